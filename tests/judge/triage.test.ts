import { expect, it } from 'vitest'
import { drawnOnward, firstByDefinition, triageOfAll } from '../drawn-states'
import { judged, tries } from './judged'

it('a failure on the road is answered with what is best first by the definition', { timeout: 1_800_000 }, () => {
  const states = tries(500)
  let [failures, answered] = [0, 0]
  for (let seed = 1; seed <= states; seed++) {
    const onward = drawnOnward(seed)
    for (const { event, found } of triageOfAll(onward)) {
      expect(found.ways[0]?.fix, `state ${seed}, ${event.id}`).toBe(firstByDefinition(onward, event))
      expect(found.expectedH).toBeLessThanOrEqual(found.lossH + 1e-9)
      failures++
      if (found.ways.length > 0) answered++
    }
  }
  judged('triage', [
    `In ${states} drawn states (a place, a time, riders, what is left) the first thing to try is the best by the definition for each of ${failures} failures; for ${answered} of them there is something to try.`,
  ])
})
