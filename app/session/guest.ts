import type { Person } from './device-database'

/** Whoever has no account: what they make lies on this device alone, until they sign up. */
export const guest: Person = { id: 'guest', name: 'No account yet', email: '' }
