import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demoTrip } from '#catalogue/demo'
import { partNames, type Trip } from '#core/trip'
import { defined } from '#core/validation'
import { createAnalyser, type Analysis } from '../../app/workers/analyser'
import type { WrittenLedger } from '../../app/workers/kit-chooser'
import { packLine } from '../../app/workers/packed-line'

/** Changes of a trip that a rider makes, each of another part or dial. */
const changes: Record<string, (trip: Trip, n: number) => Trip> = {
  'the price of a gram': (trip, n) => ({ ...trip, dials: { ...trip.dials, gramsPerHour: 50 + n * 60 } }),
  'the most it may weigh': (trip, n) => ({ ...trip, dials: { ...trip.dials, budgetG: n % 3 === 0 ? null : n * 90 } }),
  'how hard a hand pulls': (trip, n) => ({ ...trip, dials: { ...trip.dials, handMostN: 100 + n * 30 } }),
  'who stops to help': (trip, n) => ({ ...trip, dials: { ...trip.dials, helper: n / 30 } }),
  'hours walked in a day': (trip, n) => ({ ...trip, dials: { ...trip.dials, walkHoursPerDay: 4 + n / 2 } }),
  'trust in shops': (trip, n) => ({ ...trip, dials: { ...trip.dials, trust: n / 20 } }),
  'a thing less': (trip, n) => ({ ...trip, bench: trip.bench.filter((_, i) => i !== n) }),
  'a stop less': (trip, n) => ({ ...trip, stops: trip.stops.filter((_, i) => i !== n % trip.stops.length) }),
  'a rider who never did it': (trip, n) => ({
    ...trip,
    crew: trip.crew.map((rider, i) => (i === n % trip.crew.length ? { ...rider, hands: 0 as const } : rider)),
  }),
  'a heavier bike': (trip, n) => ({ ...trip, bikes: trip.bikes.map((bike) => ({ ...bike, pushFactor: 1 + n / 20 })) }),
  'a later start': (trip, n) => ({
    ...trip,
    ride: { ...trip.ride, start: `2026-06-${String(10 + (n % 18)).padStart(2, '0')}T08:30` },
  }),
  'dry weather': (trip) => ({ ...trip, forecast: { from: '', days: [] } }),
  'nothing said of the road': (trip) => ({ ...trip, road: { ...trip.road, stretches: [] } }),
  'who carries what': (trip, n) => ({
    ...trip,
    bench: trip.bench.map((thing, i) => (i === n ? { ...thing, carriedBy: { [trip.crew[0]?.id ?? '']: 1 } } : thing)),
  }),
  'bags, and where things are packed': (trip, n) => ({
    ...trip,
    bikes: trip.bikes.map((bike) => ({ ...bike, storage: bike.storage.slice(n % 3) })),
    bench: trip.bench.map((thing, i) =>
      i === n ? { ...thing, packedIn: [{ bikeId: 'fox', storageId: 'seat-pack', count: 1 }], volumeMl: 10 + n } : thing,
    ),
  }),
  'another name': (trip, n) => ({ ...trip, name: `trip ${n}` }),
}

/** What is worked out from the whole trip at once. */
function anew(trip: Trip): Analysis {
  const { points, ...road } = trip.road
  return defined(createAnalyser().analyse({ ...trip, road }, 'line', packLine(points)))
}

describe('the analyser', () => {
  it('comes to the same by steps as from the whole at once', { timeout: 180_000 }, () => {
    const step = fc.tuple(fc.constantFrom(...Object.keys(changes)), fc.integer({ min: 0, max: 20 }))
    fc.assert(
      fc.property(fc.array(step, { minLength: 1, maxLength: 6 }), (steps) => {
        const analyser = createAnalyser()
        let trip = demoTrip()
        const { points, ...road } = trip.road
        analyser.analyse({ ...trip, road }, 'line', packLine(points))
        let last: Analysis | undefined
        for (const [name, n] of steps) {
          const next = defined(changes[name])(trip, n)
          const changed = partNames.filter((part) => trip[part] !== next[part])
          const { points: _, ...lineless } = next.road
          const parts = Object.fromEntries(changed.filter((part) => part !== 'road').map((part) => [part, next[part]]))
          last = analyser.analyse({ ...parts, ...(changed.includes('road') && { road: lineless }) }, 'line', undefined)
          trip = next
        }
        // But for the ledger's number, which tells how often one was written.
        const plain = (analysis: Analysis | undefined) => ({ ...analysis, built: { ...analysis?.built, number: 0 } })
        expect(plain(last)).toEqual(plain(anew(trip)))
      }),
      { numRuns: 4, seed: 12 },
    )
  })

  it('asks for the line of a road that it has not seen, and takes nothing until it has it', () => {
    const analyser = createAnalyser()
    const { points, ...road } = demoTrip().road
    expect(analyser.analyse({ ...demoTrip(), road }, 'unseen', undefined)).toBeUndefined()
    expect(analyser.analyse({ ...demoTrip(), road }, 'unseen', packLine(points))?.lengthKm).toBeCloseTo(620.58, 1)
  })

  it('tells each ledger once, as it is written', () => {
    const told: WrittenLedger[] = []
    const analyser = createAnalyser((written) => told.push(written))
    const { dials, bench, ...trip } = demoTrip()
    const { points, ...road } = trip.road
    const first = analyser.analyse({ ...trip, dials, bench, road }, 'line', packLine(points))
    const { number, ledger } = defined(first?.built ?? undefined)
    expect(told).toEqual([{ number, ledger }])
    analyser.analyse({ dials: { ...dials, gramsPerHour: 50 } }, 'line', undefined)
    expect(told, 'its price alone is another').toHaveLength(1)
    const second = analyser.analyse({ bench: bench.slice(1) }, 'line', undefined)
    expect(told.slice(1)).toEqual([{ number: second?.built?.number, ledger: second?.built?.ledger }])
  })
})
