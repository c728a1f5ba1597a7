import type { Page } from '@playwright/test'
import { bikeFrom, catalogue, symptoms } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { riderSchema } from '#core/crew'
import { logEntrySchema } from '#core/log'
import { surveyRoad } from '#core/road'
import { atThePlace, causesOf, triage, whatIsLeft } from '#core/trail'
import { fixOf, writeLedger } from '#core/trip-ledger'
import { tripSchema, type Trip } from '#core/trip'
import { defined, nth } from '#core/validation'
import { expect } from './rig'

/** A telephone. */
export const phone = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true } as const

/** Where the ride is, km, and when. */
export const roadKm = 212
export const at = '2026-06-14T15:40'

/** The demo on the road at that place: three riders on three bikes, who set off with all that lies on the bench. */
export function onTheRoad(): Trip {
  const demo = demoTrip()
  const folding = { ...bikeFrom('folder', 'sprat'), name: 'The Sprat, folding' }
  const third = riderSchema.parse({ id: 'tove', name: 'Tove', bikeId: folding.id })
  const bags = ['top-tube bag', 'frame bag', 'seat pack']
  const crew = [...demo.crew, third]
  const carried = demo.bench
    .filter(({ boughtAt }) => boughtAt === null)
    .map(({ id, count }, i) => {
      return { rider: nth(crew, i % crew.length).id, thing: id, count, bag: nth(bags, i % bags.length) }
    })
  const log = [
    { id: 'off', at: '2026-06-12T08:30', roadKm: 0, kind: 'set off', carried },
    { id: 'here', at, roadKm, kind: 'passed' },
  ].map((entry) => logEntrySchema.parse(entry))
  return tripSchema.parse({ ...demo, bikes: [...demo.bikes, folding], crew, log })
}

/** A failure as it is pointed at, and what the first thing to do about it begins with. */
export interface Expected {
  readonly bike: string
  readonly symptom: string
  readonly hazard: string
  readonly wheel: string | null
  /** The first step of the first way; nothing where nothing mends it. */
  readonly step: string | undefined
}

/** What the core itself answers to so many failures of each bike. */
export function expectedAnswers(trip: Trip, perBike: number): Expected[] {
  const survey = surveyRoad(trip.road.points)
  const ride = {
    trip,
    survey,
    laid: writeLedger(trip, survey, catalogue),
    kit: whatIsLeft(trip, [], catalogue),
    position: { roadKm, at },
  }
  const here = atThePlace(
    ride,
    catalogue,
    trip.crew.map(({ id }) => id),
  )
  return trip.bikes.flatMap((bike) => {
    const seen = new Set<string>()
    const all = symptoms.flatMap((symptom) =>
      causesOf(here, symptom, bike.id).flatMap(({ note: { hazard, wheel, fastener } }): Expected[] => {
        if (seen.has(`${hazard} ${wheel}`)) return []
        seen.add(`${hazard} ${wheel}`)
        const first = triage(here, { hazard, bikeId: bike.id, wheel, fastener }).ways[0]
        const fix = first && catalogue.fixes.find(({ id }) => id === fixOf(first.fix))
        return [{ bike: bike.name, symptom: symptom.id, hazard, wheel, step: fix?.steps[0] }]
      }),
    )
    // From all parts of the bike, and not the first ones alone.
    const stride = all.length / perBike
    return Array.from({ length: perBike }, (_, i) => nth(all, Math.floor(i * stride)))
  })
}

/** From the place itself to the answer: three touches, of which none goes by a pointer that hovers. */
export async function touchThrough(page: Page, { symptom, hazard, wheel }: Expected): Promise<void> {
  const name = defined(symptoms.find(({ id }) => id === symptom)).name
  await page.getByRole('button', { name: 'It broke', exact: true }).tap()
  await page.locator('[data-symptoms]').getByRole('button', { name, exact: true }).tap()
  await page
    .locator(`[data-cause="${hazard} ${wheel ?? ''}"]`)
    .first()
    .tap()
}

/** The road has been looked along. */
export async function looked(page: Page): Promise<void> {
  await expect(page.locator('[data-where]')).toBeVisible()
}
