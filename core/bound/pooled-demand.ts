import { poissonAtLeast } from '../maths'
import { nth, numberAt } from '../validation'

/** E[min(N, n)] for n = 0 … most, N being Poisson: what so many pieces can serve at most. */
function servedOf(mean: number, most: number): number[] {
  const served = [0]
  // One piece more serves one failure more where there are that many.
  for (let n = 1; n <= most; n++) served.push(nth(served, n - 1) + poissonAtLeast(n, mean))
  return served
}

/**
 * The most failures that n = 0 … most pieces can serve over a trip, in expectation: of each stretch between two refills that
 * come true the pooled demand, E[min(N, n)], with the chance that just these two do. Concave in n.
 *
 * @param perLeg failures on each leg that come of a sudden, Poisson
 * @param besides failures that come otherwise, in all: they are served whatever there is
 * @param refillChance of each leg, that of leg 0 not counted
 */
export function servedAtMost(
  perLeg: ArrayLike<number>,
  besides: number,
  refillChance: Float64Array,
  most: number,
): number[] {
  const legs = perLeg.length
  const served = new Array<number>(most + 1).fill(0)
  for (let from = 0; from < legs; from++) {
    // The stretch begins with the trip, or with a refill that comes true; none after it does until its end.
    let chance = from === 0 ? 1 : numberAt(refillChance, from)
    let mean = 0
    for (let to = from + 1; to <= legs && chance > 0; to++) {
      mean += nth(perLeg, to - 1)
      const ends = to === legs ? 1 : numberAt(refillChance, to)
      if (ends > 0) {
        servedOf(mean, most).forEach((each, n) => (served[n] = nth(served, n) + chance * ends * each))
      }
      chance *= 1 - ends
    }
  }
  return served.map((each, n) => (n === 0 ? 0 : each + besides))
}

/** How often a stock is full in expectation: at departure and at each refill that comes true. */
export function timesFull(refillChance: Float64Array): number {
  return refillChance.reduce((sum, chance, leg) => (leg === 0 ? sum : sum + chance), 1)
}
