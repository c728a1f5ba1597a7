import pLimit from 'p-limit'

/** So many passwords are hashed at a time, each for a tenth of a second and with 16 MB; so many wait for it. */
const atATime = 2
const mostWaiting = 40

const limit = pLimit(atATime)

/** Too many passwords are being hashed. */
export class TooManyHashes extends Error {}

/** Does what hashes a password once it is its turn. @throws TooManyHashes */
export function inTurn<T>(hash: () => Promise<T>): Promise<T> {
  if (limit.pendingCount >= mostWaiting) throw new TooManyHashes()
  return limit(hash)
}
