import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { indexLedger, massOf, type IndexedLedger } from '#core/ledger'
import { surveyRoad } from '#core/road'
import { bestKit } from '#core/search'
import { Simulation } from '#core/simulate'
import { ledgerOfTrip } from '#core/trip-ledger'
import { nth } from '#core/validation'
import { expect, it } from 'vitest'
import { tripSizeLedger } from '../trip-size-ledgers'
import { isFull, judged, seed, tries } from './judged'

/** Trips for a first look at a neighbour of a kit, to make sure of it, and to compare at the end. */
const trips = isFull ? { look: 4000, sure: 20_000, end: 60_000 } : { look: 400, sure: 3000, end: 20_000 }
/** So many neighbours that look best are made sure of. */
const mostLooked = 4
const mostRounds = isFull ? 12 : 1

/** Net hours of a kit on trips of a seed: two kits meet the same trips. */
function netOn(ledger: IndexedLedger, counts: readonly number[], count: number, seedOfTrips: number): number {
  const simulation = new Simulation(ledger, counts, seedOfTrips)
  simulation.run(count)
  return -simulation.report().meanH - massOf(ledger, counts) * ledger.hoursPerGram
}

/** Everything that is one piece more or less, or one piece of one thing for one of another that does the same. */
function neighbours({ items }: IndexedLedger, counts: readonly number[]): number[][] {
  const changed = (...changes: [item: number, by: number][]) =>
    counts.map((count, item) => count + changes.reduce((sum, [at, by]) => (at === item ? sum + by : sum), 0))
  const isAllowed = (kit: readonly number[]) =>
    kit.every((count, item) => count >= nth(items, item).min && count <= nth(items, item).max)
  const does = (item: number) => [
    ...nth(items, item).provides.map((name) => `does ${name}`),
    ...nth(items, item).units.map(({ stock }) => `is ${stock}`),
  ]
  const rivals = (item: number) =>
    items.flatMap((_, other) =>
      other !== item && does(other).some((name) => does(item).includes(name)) ? [other] : [],
    )
  return items
    .flatMap((_, item) => [
      changed([item, 1]),
      changed([item, -1]),
      ...rivals(item).map((other) => changed([item, -1], [other, 1])),
    ])
    .filter(isAllowed)
}

/** A search that knows nothing of promises: it draws trips with one kit after another. */
function searchOnDrawnTrips(ledger: IndexedLedger, from: readonly number[]): readonly number[] {
  let kit = from
  for (let round = 0; round < mostRounds; round++) {
    const here = netOn(ledger, kit, trips.look, seed + round)
    const looked = neighbours(ledger, kit)
      .map((counts) => ({ counts, gain: netOn(ledger, counts, trips.look, seed + round) - here }))
      .filter(({ gain }) => gain > 0)
      .sort((a, b) => b.gain - a.gain)
      .slice(0, mostLooked)
    const surely = netOn(ledger, kit, trips.sure, seed + 1000 + round)
    const better = looked.find(({ counts }) => netOn(ledger, counts, trips.sure, seed + 1000 + round) > surely)
    if (!better) return kit
    kit = better.counts
  }
  return kit
}

it('a long search on drawn trips finds no kit that is better by much', { timeout: 3_000_000 }, () => {
  const demo = demoTrip()
  const ledgers = [
    ledgerOfTrip(demo, surveyRoad(demo.road.points), catalogue).ledger,
    ...Array.from({ length: tries(10) }, (_, i) => tripSizeLedger(seed + i)),
  ]
  const short = (isFull ? ledgers : ledgers.slice(0, 1)).map((document, i) => {
    const ledger = indexLedger(document)
    const chosen = bestKit(ledger)
    const found = searchOnDrawnTrips(ledger, chosen.counts)
    const [net, best] = [chosen.counts, found].map((counts) => netOn(ledger, counts, trips.end, seed + 5000)) as [
      number,
      number,
    ]
    const share = Math.max(0, best - net) / chosen.emptyH
    expect(share, i === 0 ? 'demo' : `seed ${seed + i - 1}`).toBeLessThan(0.01)
    return share
  })
  const inWords = (share: number) => `${(100 * share).toFixed(2)} %`
  judged('drawn-search', [
    `From the chosen kit of the demo a search on drawn trips (${trips.look} for each neighbour, ${trips.sure} to make sure) comes to one that is better by ${inWords(nth(short, 0))} of bare-handed hours, on ${trips.end} other trips; on ${short.length - 1} random ledgers as long as a trip’s by ${inWords(short.slice(1).reduce((sum, each) => sum + each, 0) / Math.max(1, short.length - 1))} on average, ${inWords(Math.max(0, ...short.slice(1)))} at worst.`,
  ])
})
