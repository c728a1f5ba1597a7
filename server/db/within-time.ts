import type { Pool, PoolConnection } from 'mysql2/promise'

/** So long the database may take over one statement, and as long over letting somebody in, ms. */
export const patienceMs = 8000

/** The database does not answer, or not in time; what was asked of it may still be done, or not at all. */
export class DatabaseAway extends Error {}

/**
 * Has whatever is asked of the database end in time. The server may stand still without a word, and the library waits
 * for it for ever.
 *
 * A connection whose statement was given up for lost keeps its place: what is asked of it next, such as taking the
 * transaction back, is done in its turn, should the server come to.
 */
export function withinTime<T extends Pool | PoolConnection>(client: T): T {
  return new Proxy(client, {
    get(target, key) {
      const value: unknown = Reflect.get(target, key, target)
      if (typeof value !== 'function') return value
      const call = (...given: unknown[]): unknown => Reflect.apply(value, target, given)
      if (key === 'query' || key === 'execute') return (...given: unknown[]) => inTime(call(...given))
      if (key === 'getConnection') return async () => withinTime((await inTime(call(), giveBack)) as PoolConnection)
      return call
    },
  })
}

/** A connection that comes when nobody waits for it any more. */
const giveBack = (connection: unknown) => (connection as PoolConnection).release()

async function inTime(asked: unknown, late?: (value: unknown) => void): Promise<unknown> {
  let timer: NodeJS.Timeout | undefined
  let isLate = false
  const answer = Promise.resolve(asked)
  const tooLate = new Promise<never>((_, reject) => {
    timer = setTimeout(() => {
      isLate = true
      reject(new DatabaseAway('the database did not answer in time'))
    }, patienceMs)
  })
  answer.then(
    (value) => isLate && late?.(value),
    () => undefined,
  )
  try {
    return await Promise.race([answer, tooLate])
  } finally {
    clearTimeout(timer)
  }
}

/** What the library says where there is nobody to talk to. */
const awayCodes = new Set([
  ...['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ETIMEDOUT', 'PROTOCOL_CONNECTION_LOST'],
  ...['ER_SERVER_SHUTDOWN', 'ER_CON_COUNT_ERROR', 'ER_CONNECTION_KILLED', 'POOL_CLOSED'],
])
const libraryWords = /Queue limit reached|connection is in closed state/

/** Whether an error, or what caused it, is the database's being away. */
export function isAway(error: unknown): boolean {
  for (let cause = error; cause instanceof Error; cause = cause.cause) {
    if (cause instanceof DatabaseAway || libraryWords.test(cause.message)) return true
    if ('code' in cause && typeof cause.code === 'string' && awayCodes.has(cause.code)) return true
  }
  return false
}
