import type { Database } from './connection'

type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0]

/** So often a transaction is begun; each time it is another that had to give way, so it comes through. */
const mostTries = 5

/** Whether the server ended a transaction so that another could go on; it asks for it to be tried again. */
function gaveWay(error: unknown): boolean {
  for (let cause = error; cause instanceof Error; cause = cause.cause) {
    if ('code' in cause && cause.code === 'ER_LOCK_DEADLOCK') return true
  }
  return false
}

/**
 * Does something all or nothing, and again when it had to give way to another writer. Rows that are not there are not
 * locked (read committed): people who save at the same time seldom meet at all.
 */
export async function allOrNothing<T>(db: Database, work: (tx: Transaction) => Promise<T>): Promise<T> {
  for (let tries = 1; ; tries++) {
    try {
      return await db.transaction(work, { isolationLevel: 'read committed' })
    } catch (error) {
      if (tries >= mostTries || !gaveWay(error)) throw error
    }
  }
}
