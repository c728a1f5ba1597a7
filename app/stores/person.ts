import { createGlobalState, useLocalStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import { forgetPerson, recallPerson, rememberPerson } from '../session/device-person'
import type { Person } from '../session/device-database'
import { guest } from '../session/guest'
import { api } from '../http/api'

const patienceMs = 5000

/**
 * Whose device this is. It is remembered here until they sign out, so that their trips can be read while the server is
 * away or their session has ended.
 */
export const usePerson = createGlobalState(() => {
  /** Whether the server knows who this is; unknown while it does not answer. */
  const signInState = ref<'not asked' | 'signed in' | 'signed out' | 'unknown'>('not asked')
  /** Whether the server can send letters, such as for a password that was forgotten. */
  const sendsLetters = ref(false)
  const person = useLocalStorage<Person | null>('rag-tin.person', null, {
    serializer: { read: (text) => JSON.parse(text) as Person | null, write: (value) => JSON.stringify(value) },
  })

  let asking: Promise<void> | undefined
  /** Asks the server who this is, and the device where it does not answer; once for all who want to know it meanwhile. */
  const ask = (): Promise<void> => (asking ??= askNow().finally(() => (asking = undefined)))

  async function askNow(): Promise<void> {
    try {
      // Whose device it is may read on without an answer: where the signal is poor, none may come for minutes.
      const signal = person.value ? AbortSignal.timeout(patienceMs) : undefined
      const answer = await api<{ user: Person | null; sendsLetters: boolean }>('/api/session', { signal, retry: 0 })
      const { user } = answer
      sendsLetters.value = answer.sendsLetters
      signInState.value = user ? 'signed in' : 'signed out'
      if (user) {
        person.value = { id: user.id, name: user.name, email: user.email }
        // A browser that keeps no database goes on without.
        await rememberPerson({ ...person.value }).catch(() => undefined)
      }
    } catch {
      signInState.value = 'unknown'
    }
    // Of whoever is known here nothing is looked up: on the road that would be waited for.
    person.value ??= (await recallPerson().catch(() => undefined)) ?? null
  }

  const isGuest = computed(() => person.value?.id === guest.id)
  /** Goes on without an account: what is made lies on this device alone. */
  async function stayGuest(): Promise<void> {
    person.value = guest
    await rememberPerson(guest).catch(() => undefined)
  }

  async function forget(): Promise<void> {
    person.value = null
    signInState.value = 'signed out'
    await forgetPerson().catch(() => undefined)
  }

  return { person, isGuest, signInState, sendsLetters, ask, stayGuest, forget }
})
