import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { indexLedger } from '#core/ledger'
import { bestPacking, packOfTrip, usesOfKit } from '#core/pack'
import { surveyRoad } from '#core/road'
import { bestKit } from '#core/search'
import { bestSplit, failuresTogether, planOf, splitOfTrip } from '#core/split'
import type { Trip } from '#core/trip'
import { ledgerOfTrip } from '#core/trip-ledger'
import { crewOf } from '../crew-of'
import { medianMs, ms, say } from './measure'

/** Speed of splitting a kit that was not split before, and of packing it, the ledger of its trip being written. */
export async function benchSplit(): Promise<void> {
  const demo = demoTrip()
  await saySplit('demo', demo, '≤ 100 ms')
  await saySplit('demo, apart for a third of the time', { ...demo, ride: { ...demo.ride, apart: 1 / 3 } }, '')
  await saySplit('twelve riders', crewOf(12, 0), '≤ 1 s')
  await saySplit('twelve riders, apart for a third of the time', crewOf(12, 1 / 3), '≤ 1 s')
}

async function saySplit(what: string, trip: Trip, wanted: string): Promise<void> {
  const survey = surveyRoad(trip.road.points)
  const laid = ledgerOfTrip(trip, survey, catalogue)
  const kit = bestKit(indexLedger(laid.ledger)).counts
  const problem = () => splitOfTrip(trip, survey, catalogue, laid, kit)
  const splitMs = await medianMs(bestSplit, 4000, problem)
  say(`${what}: kit split, median`, ms(splitMs), wanted)
  const split = bestSplit(problem())
  const plan = planOf(split)
  const pack = () => {
    const uses = usesOfKit(trip, laid, plan.counts, failuresTogether(split.problem))
    return packOfTrip(trip, catalogue, uses, plan).map((each) => bestPacking(each.problem))
  }
  say(`${what}: all packed, median`, ms(await medianMs(pack, 4000)), wanted)
}
