import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { indexLedger } from '#core/ledger'
import { surveyRoad } from '#core/road'
import { bestKit } from '#core/search'
import { bestSplit, planOf, splitOfTrip } from '#core/split'
import { bestPacking, packOfTrip, usesOfKit } from '#core/pack'
import { readTrip, type Trip } from '#core/trip'
import { ledgerOfTrip } from '#core/trip-ledger'
import { nth } from '#core/validation'
import { medianMs, ms, say } from './measure'

/** Speed of splitting a kit and packing it, its ledgers being written. */
export async function benchSplit(): Promise<void> {
  await saySplit('demo', demoTrip(), '≤ 100 ms')
  await saySplit('demo, apart for a third of the time', apart(demoTrip()), '')
  await saySplit('twelve riders', twelve(), '≤ 1 s')
  await saySplit('twelve riders, apart for a third of the time', apart(twelve()), '≤ 1 s')
}

async function saySplit(what: string, trip: Trip, wanted: string): Promise<void> {
  const survey = surveyRoad(trip.road.points)
  const laid = ledgerOfTrip(trip, survey, catalogue)
  const problem = splitOfTrip(trip, survey, catalogue, laid, bestKit(indexLedger(laid.ledger)).counts)
  say(`${what}: kit split, median`, ms(await medianMs(() => bestSplit(problem), 4000)), wanted)
  const plan = planOf(bestSplit(problem))
  const pack = () =>
    packOfTrip(trip, catalogue, usesOfKit(trip, laid, plan.counts), plan).map((each) => bestPacking(each.problem))
  say(`${what}: all packed, median`, ms(await medianMs(pack, 4000)), wanted)
}

const apart = (trip: Trip): Trip => ({ ...trip, ride: { ...trip.ride, apart: 1 / 3 } })

/** Twelve riders on the demo's road, with enough on the bench for one in two to have everything. */
function twelve(): Trip {
  const demo = demoTrip()
  const bikes = Array.from({ length: 12 }, (_, i) => ({
    ...nth(demo.bikes, i % 2),
    id: `bike-${i}`,
    name: `Bike ${i}`,
  }))
  const crew = bikes.map(({ id }, i) => ({
    ...nth(demo.crew, i % 2),
    id: `rider-${i}`,
    name: `Rider ${i}`,
    bikeId: id,
  }))
  const bench = demo.bench.map((thing) => ({ ...thing, count: Math.max(thing.count, 6) }))
  return readTrip({ ...demo, name: 'Twelve riders', bikes, crew, bench }, catalogue)
}
