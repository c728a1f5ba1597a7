import { readLedger } from '#core/ledger'
import { nth } from '#core/validation'
import { drawTrips, upToH } from '../../app/workers/drawer'
import { expect, it } from 'vitest'
import { workedExample } from '../worked-example'

const ledger = readLedger({
  ...workedExample(),
  events: workedExample().events.map((event) => ({ ...event, walkH: 3 })),
})
const counts = [1, 1, 1, 1, 1, 1, 0, 0]

it('drawn trips are told of as they come, and sorted by their hours on foot', async () => {
  const told: number[] = []
  const { report, byWalkH } = await drawTrips(ledger, counts, { trips: 2500, seed: 3 }, (drawn) => told.push(drawn))
  expect(told).toEqual([1000, 2000, 2500])
  expect(report.trips).toBe(2500)
  expect(byWalkH).toHaveLength(upToH.length + 1)
  expect(byWalkH.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9)
  // Each unmended failure is three hours on foot, so that nobody walks for one or two.
  expect(byWalkH[0]).toBeGreaterThan(0)
  expect(byWalkH[1]).toBe(0)
  expect(byWalkH[2]).toBe(0)
  expect(byWalkH[3]).toBeGreaterThan(0)
})

it('who pushes for some seconds is not told to have walked', async () => {
  const barely = readLedger({
    ...ledger,
    events: ledger.events.map((event) => ({
      ...event,
      fixes: event.fixes.map((fix) => ({ ...fix, residualH: 0.002, residualWalkH: 0.002 })),
    })),
  })
  const shares = (drawnFrom: typeof ledger) => drawTrips(drawnFrom, counts, { trips: 1000, seed: 3 }, () => undefined)
  expect((await shares(barely)).byWalkH[0]).toBeCloseTo(nth((await shares(ledger)).byWalkH, 0), 9)
})

it('the same seed draws the same trips', async () => {
  const draw = (seed: number) => drawTrips(ledger, counts, { trips: 1000, seed }, () => undefined)
  expect(await draw(1)).toEqual(await draw(1))
  expect((await draw(2)).report.meanH).not.toBe((await draw(1)).report.meanH)
})
