import {
  stranded,
  type Conditions,
  type CostsOfFailing,
  type FootAndPriceAlong,
  type RidingAhead,
} from '../availability'
import type { Hazard } from '../hazard'
import { entry } from '../maths'
import { pointBefore } from '../road'
import { nth, numberAt } from '../validation'

/** What a hazard meets on each leg: how much of it counts, and what failing costs there. */
export interface Exposure {
  /** Kilometres, each counted by how hard the road is there. */
  readonly weightedKm: readonly number[]
  /** What a failure costs that nothing mends: on foot, in prices, and the chance that it strands. */
  readonly walkH: readonly number[]
  readonly priceH: readonly number[]
  readonly strands: readonly number[]
  /** Hours in the saddle until it is settled, and km. */
  readonly ridingH: readonly number[]
  readonly ridingKm: readonly number[]
  /** Hours to a big wrench that may be borrowed, on a bike that may or may not roll; null where there is none. */
  readonly toWrenchH: readonly number[] | null
  /** How many come by, against a quiet road; the mean over the trip. */
  readonly passersBy: number
  /** The share of these failures that find riders out of reach of one another: in all, and on each leg. */
  readonly apart: number
  readonly apartOnLegs: readonly number[]
}

/** How a failure is met along a road, besides what the road is like. */
interface Meeting {
  /** The chance that the bike cannot be ridden. */
  readonly stops: number
  /** How much slower it is ridden otherwise. */
  readonly limpShare: number
  readonly pushFactor: number
}

/**
 * What has been worked out, by what failing costs and how far one rides on: many hazards, both wheels and most plans meet the
 * same, and these two are of one ground.
 */
const exposuresOf = new WeakMap<FootAndPriceAlong, WeakMap<RidingAhead, Map<string, Exposure>>>()

/**
 * What a hazard meets on each leg, worked out once.
 *
 * @param settledBy the classes of which one settles it
 */
export function exposureTo(
  costs: CostsOfFailing,
  hazard: Hazard,
  settledBy: readonly string[],
  meeting: Meeting,
): Exposure {
  const { onRoad, byDescent } = hazard
  const { stops, limpShare, pushFactor } = meeting
  const stuck = costs.stuck(settledBy, pushFactor)
  const riding = costs.ridingUntilSettled(settledBy)
  const byRiding = entry(exposuresOf, stuck, () => new WeakMap<RidingAhead, Map<string, Exposure>>())
  const exposures = entry(byRiding, riding, () => new Map<string, Exposure>())
  const key = JSON.stringify([stops, limpShare, pushFactor, onRoad, byDescent])
  return entry(exposures, key, () => exposureOf(costs, stuck, riding, hazard, meeting))
}

/**
 * A failure that stops the bike with some chance, and else slows it, along the legs of a road: means over the nodes of each,
 * weighted by how hard the road is there.
 */
function exposureOf(
  costs: CostsOfFailing,
  stuck: FootAndPriceAlong,
  riding: RidingAhead,
  hazard: Hazard,
  { stops, limpShare, pushFactor }: Meeting,
): Exposure {
  const wrench = costs.toWrench(pushFactor)
  const failing = limping(stuck, riding.hours, stops, limpShare)
  const strands = stuck.walkH.map((hours) => (hours >= stranded.fromWalkH ? stops : 0))
  const toWrench = wrench?.map(
    (walk, node) => stops * walk + (1 - stops) * Math.min(walk, limpShare * numberAt(riding.hours, node)),
  )

  const { weights, legs, passersBy, apart } = weightsOn(costs, hazard)
  const meanOn = (values: Float64Array) =>
    legs.map(({ from, to, weightedKm }) => {
      // Where the road asks nothing of it, it may fail all the same: then no place there counts for more than another.
      if (weightedKm === 0) return meanOfSteps(values, from, to)
      let sum = 0
      for (let step = from; step < to; step++) {
        sum += (numberAt(weights, step) * (numberAt(values, step) + numberAt(values, step + 1))) / 2
      }
      return sum / weightedKm
    })
  const meanInAll = (values: Float64Array) => {
    let [inAll, sum] = [0, 0]
    for (const { from, to, weightedKm } of legs) {
      inAll += weightedKm
      for (let step = from; step < to; step++) sum += numberAt(weights, step) * numberAt(values, step)
    }
    return inAll > 0 ? sum / inAll : 0
  }
  return {
    weightedKm: legs.map(({ weightedKm }) => weightedKm),
    walkH: meanOn(failing.walkH),
    priceH: meanOn(failing.priceH),
    strands: meanOn(strands),
    ridingH: meanOn(riding.hours),
    ridingKm: meanOn(riding.km),
    toWrenchH: toWrench ? meanOn(toWrench) : null,
    passersBy: meanInAll(passersBy),
    apart: meanInAll(apart),
    apartOnLegs: legs.map(({ from, to, weightedKm }) => {
      let sum = 0
      for (let step = from; step < to; step++) sum += numberAt(weights, step) * numberAt(apart, step)
      return weightedKm > 0 ? sum / weightedKm : 0
    }),
  }
}

function meanOfSteps(values: Float64Array, from: number, to: number): number {
  let sum = 0
  for (let step = from; step < to; step++) sum += (numberAt(values, step) + numberAt(values, step + 1)) / 2
  return to > from ? sum / (to - from) : 0
}

/** How hard a road is on a hazard, along its steps and on each of its legs. */
interface Weights {
  readonly weights: Float64Array
  readonly legs: readonly { readonly from: number; readonly to: number; readonly weightedKm: number }[]
  readonly passersBy: Float64Array
  readonly apart: Float64Array
}

/** What has been worked out of a road's conditions: most hazards find it hard in the same places. */
const weightsOf = new WeakMap<Conditions, Map<string, Weights>>()

function weightsOn({ grid: { km }, edges, legs, conditions }: CostsOfFailing, hazard: Hazard): Weights {
  const known = entry(weightsOf, conditions, () => new Map<string, Weights>())
  return entry(known, JSON.stringify([hazard.onRoad, hazard.byDescent]), () => {
    const factors = conditions.factorsOn(hazard)
    const weights = factors.map((factor, step) => (numberAt(km, step + 1) - numberAt(km, step)) * factor)
    const onLegs = Array.from({ length: legs }, (_, leg) => {
      const from = pointBefore(km, nth(edges, leg))
      const end = nth(edges, leg + 1)
      let [to, weightedKm] = [from, 0]
      for (; to < weights.length && numberAt(km, to + 1) <= end; to++) weightedKm += numberAt(weights, to)
      return { from, to, weightedKm }
    })
    return { weights, legs: onLegs, passersBy: conditions.passersBy(), apart: conditions.apart() }
  })
}

/** A failure that stops the bike with some chance; else one limps to where it is settled, or gets off where that costs less. */
function limping(stuck: FootAndPriceAlong, riding: Float64Array, stops: number, limpShare: number): FootAndPriceAlong {
  const limps = riding.map((hours, node) =>
    hours * limpShare < numberAt(stuck.walkH, node) + numberAt(stuck.priceH, node) ? 1 : 0,
  )
  const isStuck = limps.map((limp) => stops + (1 - stops) * (1 - limp))
  return {
    walkH: stuck.walkH.map((hours, node) => hours * numberAt(isStuck, node)),
    priceH: stuck.priceH.map(
      (price, node) =>
        price * numberAt(isStuck, node) + (1 - stops) * numberAt(limps, node) * limpShare * numberAt(riding, node),
    ),
  }
}
