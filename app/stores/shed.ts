import { createGlobalState } from '@vueuse/core'
import { computed, markRaw, ref, shallowRef, watch } from 'vue'
import { mostChanges, type OwnedThing } from '#core/shed'
import { api, statusOf } from '../http/api'
import { guest } from '../session/guest'
import { deviceShed, memoryShed, type ShedDevice } from '../session/shed-device'
import { fetchShed } from '../session/shed-server'
import { ShedSession, type ShedState } from '../session/shed-session'
import type { ShedConflict } from '../session/shed-merge'
import { browserTimers } from '../session/timers'
import { usePerson } from './person'

const nameOfChannel = (person: string) => `rag-tin shed ${person}`

async function deviceOf(person: string): Promise<ShedDevice> {
  const device = deviceShed(person)
  return device.read().then(
    () => device,
    () => memoryShed(),
  )
}

/** What the rider whose device this is owns. */
export const useShed = createGlobalState(() => {
  const { person } = usePerson()
  const things = shallowRef<readonly OwnedThing[]>([])
  const conflicts = shallowRef<readonly ShedConflict[]>([])
  const state = shallowRef<ShedState>({ kind: 'clean' })
  const unsaved = ref(0)
  const undoLabel = ref<string>()
  const redoLabel = ref<string>()
  const isKnown = ref(false)
  const session = shallowRef<Promise<ShedSession>>()
  let close: () => void = () => undefined
  /** Counts whose shed it has been: what is opened for somebody who has gone meanwhile is shown to nobody. */
  let owners = 0

  async function openFor(id: string): Promise<ShedSession> {
    const owner = owners
    const channel = new BroadcastChannel(nameOfChannel(id))
    const opened = markRaw(
      new ShedSession({
        device: await deviceOf(id),
        server: id === guest.id ? undefined : fetchShed(id),
        timers: browserTimers,
        newId: () => crypto.randomUUID(),
        tell: () => channel.postMessage('changed'),
        alone: async (work) => await navigator.locks.request(`rag-tin shed ${id}`, work),
      }),
    )
    const show = () => {
      if (owner !== owners) return
      things.value = opened.things
      conflicts.value = opened.conflicts
      state.value = opened.state
      unsaved.value = opened.unsaved
      undoLabel.value = opened.undoLabel
      redoLabel.value = opened.redoLabel
    }
    opened.subscribe(show)
    channel.addEventListener('message', () => void opened.look())
    const online = () => void opened.catchUp()
    window.addEventListener('online', online)
    const end = () => {
      opened.end()
      channel.close()
      window.removeEventListener('online', online)
    }
    if (owner !== owners) end()
    else close = end
    await opened.look()
    if (owner !== owners) return opened
    isKnown.value = true
    void opened.open()
    return opened
  }

  /** Opens the shed, where it is not open yet. */
  async function open(): Promise<ShedSession> {
    session.value ??= openFor(person.value?.id ?? guest.id)
    return session.value
  }

  function leave(): void {
    owners++
    close()
    close = () => undefined
    session.value = undefined
    things.value = []
    conflicts.value = []
    isKnown.value = false
  }
  watch(() => person.value?.id, leave)

  /** Looks what other devices have saved. */
  const catchUp = async () => (await open()).catchUp()
  /** Changes, adds and removes things in one step. */
  const edit = async (label: string, changed: ReadonlyMap<string, OwnedThing | null>) =>
    (await open()).edit(label, changed)
  /** Changes or adds things. */
  const put = (label: string, changed: readonly OwnedThing[]) =>
    edit(label, new Map(changed.map((thing) => [thing.id, thing])))
  const remove = (thing: OwnedThing) => edit(`take ${thing.name} out of the shed`, new Map([[thing.id, null]]))
  const undo = async () => (await open()).undo()
  const redo = async () => (await open()).redo()
  const settle = async (id: string, side: 'here' | 'there') => (await open()).settle(id, side)
  const tryAgain = async () => (await open()).tryAgain()
  /** Brings everything to the server. @returns how many things could not be brought */
  async function flush(): Promise<number> {
    const opened = await open()
    await opened.bring()
    return opened.unsaved
  }

  const byId = computed(() => new Map(things.value.map((thing) => [thing.id, thing])))
  return {
    ...{ things, byId, conflicts, state, unsaved, undoLabel, redoLabel, isKnown },
    ...{ open, catchUp, edit, put, remove, undo, redo, settle, tryAgain, flush, leave },
  }
})

/** Signs out on this device: nothing stays of the person's shed. */
export async function wipeShed(): Promise<void> {
  const { person } = usePerson()
  useShed().leave()
  await (await deviceOf(person.value?.id ?? guest.id)).wipe()
}

/** How many things lie in the shed of this device that were put there without an account. */
export const countOwnShed = async () => (await (await deviceOf(guest.id)).read()).length

/**
 * Takes what was put into a shed without an account over into the one of whoever is signed in; it is forgotten on the device
 * once the account has it.
 */
export async function takeOverOwnShed(): Promise<void> {
  const left = await deviceOf(guest.id)
  const rows = (await left.read()).flatMap(({ id, thing }) => (thing ? [{ id, thing }] : []))
  for (let from = 0; from < rows.length; from += mostChanges) {
    const some = rows.slice(from, from + mostChanges)
    await giveToAccount(some.map(({ thing }) => thing))
    const ids = some.map(({ id }) => id)
    await left.change(ids, (row) => ({ ...row, saved: null, version: '', thing: null }))
  }
}

/** Puts things into the shed of whoever is signed in; one whose id something else has there gets an id of its own. */
async function giveToAccount(things: readonly OwnedThing[]): Promise<void> {
  const save = (list: readonly OwnedThing[]) =>
    api('/api/shed', {
      method: 'PATCH',
      body: { save: crypto.randomUUID(), changes: list.map((thing) => ({ id: thing.id, base: '', thing })) },
    })
  try {
    await save(things)
  } catch (error) {
    if (statusOf(error) !== 409) throw error
    await save(things.map((thing) => ({ ...thing, id: crypto.randomUUID() })))
  }
}
