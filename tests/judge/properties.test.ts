import { catalogue } from '#catalogue'
import { ExactEvaluator } from '#core/exact'
import { indexLedger, type Ledger } from '#core/ledger'
import { PromiseEvaluator } from '#core/promise'
import { surveyRoad } from '#core/road'
import { bestKit, usualGramsPerHour } from '#core/search'
import type { Trip } from '#core/trip'
import { ledgerOfTrip } from '#core/trip-ledger'
import { nth } from '#core/validation'
import { expect, it } from 'vitest'
import { commonPractice } from '../roads/common-practice'
import { tripOn } from '../roads/road'
import { seeded } from '../seeded'
import { randomKit, tinyLedger } from '../tiny-ledgers'
import { isFull, judged, seed, tries } from './judged'

/** What must hold of kits when a trip is a little other, on roads of common practice; each with the same price of a gram. */
const random = seeded(seed)
const roads = (isFull ? commonPractice : commonPractice.slice(0, 1)).map(({ road }) => {
  const trip = tripOn(road)
  const survey = surveyRoad(trip.road.points)
  const { ledger } = ledgerOfTrip(trip, survey, catalogue)
  const priced = { ...ledger, gramsPerHour: usualGramsPerHour(indexLedger(ledger)) }
  const kit = bestKit(indexLedger(priced))
  return { trip, survey, ledger: priced, kit, valueH: valueOf(kit, priced) }
})
const each = isFull ? 8 : 3
const said: string[] = []

/** Hours not lost, less what carrying costs: the net with the bare-handed hours held. */
function valueOf({ promiseH, massG }: { promiseH: number; massG: number }, { gramsPerHour }: Ledger): number {
  return -promiseH - (gramsPerHour ? massG / gramsPerHour : 0)
}
const best = (ledger: Ledger) => valueOf(bestKit(indexLedger(ledger)), ledger)
const pick = <T>(list: readonly T[]): T => nth(list, Math.floor(random() * list.length))
const inWords = (share: number) => `${(100 * share).toFixed(2)} %`

it('a thing more on the bench never makes the best kit worse', { timeout: 900_000 }, () => {
  let worst = 0
  for (const { ledger, kit, valueH } of roads) {
    const carried = ledger.items.filter((_, i) => nth(kit.counts, i) > 0)
    for (let i = 0; i < each; i++) {
      const gone = pick(i % 2 === 0 ? carried : ledger.items)
      const without = best({ ...ledger, items: ledger.items.filter((item) => item !== gone) })
      worst = Math.max(worst, (without - valueH) / kit.emptyH)
      expect(without, gone.id).toBeLessThan(valueH + 0.001 * kit.emptyH)
    }
  }
  said.push(`Without one thing of the bench the best kit was better by ${inWords(worst)} of bare-handed hours at most.`)
})

it('better hands, better pieces and better shops never make it worse', { timeout: 900_000 }, () => {
  let worst = 0
  const better: ((ledger: Ledger) => Ledger)[] = [
    (ledger) => {
      const technique = pick(ledger.events.flatMap(({ fixes }) => fixes)).technique
      return {
        ...ledger,
        events: ledger.events.map((event) => ({
          ...event,
          fixes: event.fixes.map((fix) =>
            fix.technique === technique ? { ...fix, hands: 1 - (1 - fix.hands) / 2 } : fix,
          ),
        })),
      }
    },
    (ledger) => {
      const item = pick(ledger.items)
      return { ...ledger, items: ledger.items.map((other) => (other === item ? { ...item, condition: 1 } : other)) }
    },
    (ledger) => {
      const stock = pick(ledger.stocks)
      const refills = stock.refills.map((refill) => ({ ...refill, chance: 1 - (1 - refill.chance) / 2 }))
      return { ...ledger, stocks: ledger.stocks.map((other) => (other === stock ? { ...stock, refills } : other)) }
    },
  ]
  for (const { ledger, kit, valueH } of roads) {
    for (let i = 0; i < each; i++) {
      const valueNow = best(nth(better, i % better.length)(ledger))
      worst = Math.max(worst, (valueH - valueNow) / kit.emptyH)
      expect(valueNow).toBeGreaterThan(valueH - 0.005 * kit.emptyH)
    }
  }
  said.push(
    `With better hands, a better piece or a better shop it was worse by ${inWords(worst)} of bare-handed hours at most.`,
  )
})

it('an hour that is dearer never saves fewer hours', { timeout: 900_000 }, () => {
  let worst = 0
  for (const { ledger, kit } of roads) {
    let savedH = kit.emptyH - kit.promiseH
    for (const times of [1.3, 2, 4]) {
      const { emptyH, promiseH } = bestKit(indexLedger({ ...ledger, gramsPerHour: (ledger.gramsPerHour ?? 1) * times }))
      worst = Math.max(worst, (savedH - (emptyH - promiseH)) / emptyH)
      expect(emptyH - promiseH).toBeGreaterThan(savedH - 0.001 * emptyH)
      savedH = emptyH - promiseH
    }
  }
  said.push(`With an hour dearer, a kit saved fewer hours by ${inWords(worst)} of bare-handed hours at most.`)
})

/** Shops that have everything with a hundredth more of a chance. */
const betterShops = {
  ...catalogue,
  services: catalogue.services.map((kind) => ({
    ...kind,
    stocks: Object.fromEntries(
      Object.entries(kind.stocks).map(([family, chance]) => [family, Math.min(1, chance + 0.01)]),
    ),
  })),
}

it('a hundredth more of tread, chance, gap or trust is no cliff', { timeout: 900_000 }, () => {
  let worst = 0
  const changes: ((trip: Trip) => Trip)[] = [
    (trip) => trip,
    (trip) => ({ ...trip, dials: { ...trip.dials, trust: trip.dials.trust + 0.01 } }),
    (trip) => ({
      ...trip,
      bikes: trip.bikes.map((bike) => ({
        ...bike,
        tyres: {
          ...bike.tyres,
          rear: { ...bike.tyres.rear, treadLeft: Math.max(0, bike.tyres.rear.treadLeft - 0.01) },
        },
      })),
    }),
    (trip) => ({ ...trip, stops: trip.stops.map((stop) => ({ ...stop, roadKm: stop.roadKm * 0.99 })) }),
    (trip) => ({ ...trip, dials: { ...trip.dials, helper: trip.dials.helper + 0.01 } }),
  ]
  for (const { trip, survey, ledger, kit, valueH } of roads) {
    for (const [i, change] of changes.entries()) {
      const other = ledgerOfTrip(change(trip), survey, i === 0 ? betterShops : catalogue).ledger
      const priced = { ...other, gramsPerHour: ledger.gramsPerHour }
      const chosen = bestKit(indexLedger(priced))
      const moved = Math.abs(chosen.emptyH + valueOf(chosen, priced) - kit.emptyH - valueH) / kit.emptyH
      worst = Math.max(worst, moved)
      expect(moved).toBeLessThan(0.03)
    }
  }
  said.push(`A hundredth of tread, chance, gap, trust or passers-by moved the best net by ${inWords(worst)} at most.`)
})

it('wheels that are alike are no other than wheels nearly alike', { timeout: 900_000 }, () => {
  let worst = 0
  const withTread = (trip: Trip, front: number, rear: number): Trip => ({
    ...trip,
    bikes: trip.bikes.map(({ tyres, ...bike }) => ({
      ...bike,
      tyres: { front: { ...tyres.rear, treadLeft: front }, rear: { ...tyres.rear, treadLeft: rear } },
    })),
  })
  for (const { trip, survey, ledger, kit } of roads) {
    const [alike, nearly] = [withTread(trip, 0.8, 0.8), withTread(trip, 0.801, 0.8)].map((each) => {
      const priced = { ...ledgerOfTrip(each, survey, catalogue).ledger, gramsPerHour: ledger.gramsPerHour }
      const chosen = bestKit(indexLedger(priced))
      return chosen.emptyH + valueOf(chosen, priced)
    }) as [number, number]
    worst = Math.max(worst, Math.abs(alike - nearly) / kit.emptyH)
    expect(Math.abs(alike - nearly)).toBeLessThan(0.005 * kit.emptyH)
  }
  said.push(`Wheels alike, and wheels that differ by a thousandth of tread: ${inWords(worst)} apart at most.`)
})

it('one thing more makes the promise of a kit worse only where it makes the trips worse', { timeout: 900_000 }, () => {
  let [tried, worse] = [0, 0]
  for (let i = 0; i < tries(300); i++) {
    const document = tinyLedger(seed + i)
    const ledger = indexLedger(document)
    const [promise, exact] = [new PromiseEvaluator(ledger), new ExactEvaluator(ledger)]
    const emptyH = promise.evaluate(new Int32Array(ledger.items.length)).promiseH
    const counts = randomKit(document, seed + i)
    ledger.items.forEach(({ max }, item) => {
      if (nth(counts, item) === max) return
      const more = counts.map((count, other) => (other === item ? count + 1 : count))
      tried++
      const byH = promise.evaluate(more).promiseH - promise.evaluate(counts).promiseH
      // What the promise may be off by, on average, proves nothing.
      if (byH < 0.005 * emptyH) return
      worse++
      const exactlyH = exact.evaluate(more).promiseH - exact.evaluate(counts).promiseH
      expect(exactlyH, `seed ${seed + i}, ${nth(document.items, item).id}`).toBeGreaterThan(0)
    })
  }
  said.push(
    `Of ${tried} things added to random kits of tiny ledgers, ${worse} made the promise worse by more than 0.5 % of bare-handed hours; all of them do so on the trips themselves.`,
  )
  judged('properties', said)
})
