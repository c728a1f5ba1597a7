import { setTimeout as pause } from 'node:timers/promises'
import { expect } from 'vitest'
import type { Person } from './setting'

/**
 * Nobody shall wait so long for others, ms. `npm run judge` is told the time itself and holds it to 300; where tests
 * share a machine, being slow is no fault of the server, but standing still is.
 */
export const mostMs = process.env.RAG_TIN_JUDGE === 'full' ? 300 : 2000

/** The longest that somebody who lists their trips waits for it while something goes on, ms. */
export async function neighbourWaits(neighbour: Person, meanwhile: Promise<unknown>): Promise<number> {
  let over = false
  const settled = meanwhile.then(
    () => (over = true),
    () => (over = true),
  )
  let longest = 0
  while (!over) {
    const begun = performance.now()
    expect((await neighbour.ask('GET', '/api/trips')).status).toBe(200)
    longest = Math.max(longest, performance.now() - begun)
    await Promise.race([settled, pause(5)])
  }
  return longest
}
