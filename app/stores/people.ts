import type { Access, Role } from '#core/access'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { api } from '../http/api'
import type { PastSave } from '../session/saves-together'
import { usePerson } from './person'
import { useTripStore } from './trip'

/** Somebody who shares the trip. */
export interface PersonOfTrip {
  readonly id: string
  readonly name: string
  readonly role: Role
  readonly rider: string | null
}

/** What somebody can be let in as. */
export type MemberRole = Exclude<Role, 'owner'>

export interface Invitation {
  readonly id: string
  readonly role: MemberRole
  readonly rider: string | null
  readonly createdAt: string
}

interface People {
  readonly access: Access
  readonly people: readonly PersonOfTrip[]
  readonly invitations: readonly Invitation[]
}

/** Who shares the trip that is open, as the server says; what is done to that is done there at once. */
export const usePeople = defineStore('people', () => {
  const store = useTripStore()
  const { person } = usePerson()
  const known = shallowRef<People>()
  const history = shallowRef<readonly PastSave[]>()
  const path = (rest: string) => `/api/trips/${store.id}/${rest}`
  const people = computed(() => known.value?.people ?? [])
  const me = computed(() => people.value.find(({ id }) => id === person.value?.id))

  async function look(): Promise<void> {
    const trip = store.id
    const [answer, past] = await Promise.all([api<People>(path('people')), api<PastSave[]>(path('history'))])
    if (store.id !== trip) return
    known.value = answer
    history.value = past
  }
  function forget() {
    known.value = undefined
    history.value = undefined
  }

  /** Something is done on the server, and then looked at. */
  async function ask(method: 'PATCH' | 'DELETE' | 'PUT', rest: string, body?: object): Promise<void> {
    await api(path(rest), { method, ...(body && { body }) })
    await Promise.all([look(), store.catchUp()])
  }

  /** @returns the link, which is told this once */
  async function invite(role: MemberRole, rider: string | null): Promise<{ id: string; link: string }> {
    const body = { role, rider }
    const { id, token } = await api<{ id: string; token: string }>(path('invitations'), { method: 'POST', body })
    await look()
    return { id, link: `${location.origin}/join#${token}` }
  }

  return {
    people,
    me,
    invitations: computed(() => known.value?.invitations ?? []),
    history,
    isKnown: computed(() => known.value !== undefined),
    look,
    forget,
    invite,
    revoke: (id: string) => ask('DELETE', `invitations/${id}`),
    change: (id: string, part: { role?: MemberRole; rider?: string | null }) => ask('PATCH', `people/${id}`, part),
    takeOff: (id: string) => ask('DELETE', `people/${id}`),
    handOver: (id: string) => ask('PUT', 'owner', { person: id }),
    /** After that the trip is no longer there for whoever left. */
    leave: async () => {
      await api(path(`people/${person.value?.id ?? ''}`), { method: 'DELETE' })
    },
  }
})
