import { useLocalStorage } from '@vueuse/core'

interface Person {
  readonly id: string
  readonly name: string
  readonly email: string
}

/** Whether the server knows who this is; unknown while it does not answer. */
const standing = ref<'not asked' | 'signed in' | 'signed out' | 'unknown'>('not asked')

/**
 * Whose device this is. It is remembered here until they sign out, so that their trips can be read while the server is
 * away or their session has ended.
 */
export function usePerson() {
  const person = useLocalStorage<Person | null>('rag-tin.person', null, {
    serializer: { read: (text) => JSON.parse(text) as Person | null, write: (value) => JSON.stringify(value) },
  })

  /** Asks the server who this is. */
  async function ask(): Promise<void> {
    try {
      const { user } = await api<{ user?: Person }>('/api/_auth/session')
      standing.value = user ? 'signed in' : 'signed out'
      if (user) person.value = { id: user.id, name: user.name, email: user.email }
    } catch {
      standing.value = 'unknown'
    }
  }

  function forget(): void {
    person.value = null
    standing.value = 'signed out'
  }

  return { person, standing, ask, forget }
}
