import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import type { LedgerEvent, LedgerFix } from '#core/ledger'
import { surveyRoad } from '#core/road'
import { onwardOf, triage, type Onward, type Triage } from '#core/trail'
import { ledgerOfTrip } from '#core/trip-ledger'
import { nth } from '#core/validation'
import { crewOf } from './crew-of'
import { once } from './once'
import { seeded } from './seeded'

/** The demo's road with two riders, and with three on three bikes. */
const plans = once(() =>
  [demoTrip(), crewOf(3, 0.3)].map((trip) => {
    const survey = surveyRoad(trip.road.points)
    return { trip, survey, laid: ledgerOfTrip(trip, survey, catalogue) }
  }),
)

/** The rest of a plan from a place that is drawn, with riders, pieces and amounts that are drawn. */
export function drawnOnward(seed: number): Onward {
  const draw = seeded(seed)
  const { trip, survey, laid } = nth(plans(), seed % plans().length)
  const roadKm = draw() * survey.lengthKm
  const day = Math.floor(draw() * 9)
  const at = `2026-06-${12 + day}T${String(Math.floor(draw() * 24)).padStart(2, '0')}:15`
  const riders = trip.crew.map(({ id }) => id)
  const present = riders.filter(() => draw() < 0.7)
  const left = trip.bench.flatMap((thing) => {
    const count = Math.floor(draw() * (thing.count + 1))
    if (count === 0) return []
    const amounts = Object.fromEntries(
      Object.entries(thing.units).map(([stock, each]) => [stock, draw() < 0.5 ? count * each : count * each * draw()]),
    )
    return [{ rider: nth(riders, Math.floor(draw() * riders.length)), thing: thing.id, count, amounts, bags: [] }]
  })
  const there = present.length > 0 ? present : riders.slice(0, 1)
  const kit = { things: trip.bench, left }
  return onwardOf({ trip, survey, laid, kit, position: { roadKm, at } }, catalogue, there)
}

const here = (value: number | readonly number[]) => (typeof value === 'number' ? value : nth(value, 0))

/** What is at hand of a ledger of which everything is carried, told from the written ledger alone. */
interface AtHand {
  readonly functions: ReadonlySet<string>
  readonly amounts: ReadonlyMap<string, number>
  readonly conditions: ReadonlyMap<string, number>
}
function atHand({ trip, laid: { ledger } }: Onward): AtHand {
  const functions = new Set<string>()
  const [amounts, good] = [new Map<string, number>(), new Map<string, number>()]
  ledger.items.forEach(({ provides, units, condition }, i) => {
    const { count } = nth(trip.bench, i)
    for (const name of provides) functions.add(name)
    for (const [stock, each] of Object.entries(units)) {
      amounts.set(stock, (amounts.get(stock) ?? 0) + count * each)
      good.set(stock, (good.get(stock) ?? 0) + count * each * condition)
    }
  })
  const conditions = new Map(Array.from(amounts, ([stock, amount]) => [stock, (good.get(stock) ?? 0) / amount]))
  return { functions, amounts, conditions }
}

const holdsOf = ({ holds, uses }: LedgerFix, { conditions }: AtHand) =>
  holds * Math.min(1, ...Object.keys(uses).map((stock) => conditions.get(stock) ?? 0))

/** What a try is worth at the place itself: hands · h · (lossH − residualH) − workH. */
const worthOf = (event: LedgerEvent, fix: LedgerFix, there: AtHand) =>
  fix.hands * holdsOf(fix, there) * (here(event.lossH) - here(fix.residualH)) - here(fix.workH)

const canBeTried = ({ needs, uses }: LedgerFix, { functions }: AtHand, amounts: ReadonlyMap<string, number>) =>
  needs.every((name) => functions.has(name)) &&
  Object.entries(uses).every(([stock, amount]) => (amounts.get(stock) ?? 0) >= amount - 1e-9)

/** The fixes that a rider goes through, by model § 4: those that can be done, in falling order of worth, equals as listed; of each attempt one. */
function goneThrough(event: LedgerEvent, there: AtHand): LedgerFix[] {
  const worth = (fix: LedgerFix) => worthOf(event, fix, there)
  const sorted = event.fixes
    .filter((fix) => canBeTried(fix, there, there.amounts) && worth(fix) > 0)
    .sort((a, b) => worth(b) - worth(a))
  return sorted.filter(
    (fix, i) => fix.attempt === undefined || sorted.findIndex(({ attempt }) => attempt === fix.attempt) === i,
  )
}

/** The best first choice by the definition; nothing where none is worth a try. */
export const firstByDefinition = (onward: Onward, event: LedgerEvent): string | undefined =>
  goneThrough(event, atHand(onward))[0]?.id

/** Draws the hours lost to one failure after another, as the definition says. */
export function hoursDrawn(onward: Onward, event: LedgerEvent, draw: () => number): () => number {
  const there = atHand(onward)
  const through = goneThrough(event, there).map((fix) => ({ fix, holds: holdsOf(fix, there) }))
  return () => {
    const amounts = new Map(there.amounts)
    const can = new Map<string, boolean>()
    let workH = 0
    for (const { fix, holds } of through) {
      const technique = fix.technique ?? `only ${fix.id}`
      for (let time = 0; time < (Object.keys(fix.uses).length > 0 ? 2 : 1); time++) {
        if (can.get(technique) === false || !canBeTried(fix, there, amounts)) break
        for (const [stock, amount] of Object.entries(fix.uses)) amounts.set(stock, (amounts.get(stock) ?? 0) - amount)
        workH += here(fix.workH)
        if (!can.has(technique)) can.set(technique, draw() < fix.hands)
        if (can.get(technique) === true && draw() < holds) return workH + here(fix.residualH)
      }
    }
    return workH + here(event.lossH)
  }
}

/** What triage says of every failure of a state. */
export const triageOfAll = (onward: Onward): { event: LedgerEvent; found: Triage }[] =>
  onward.laid.ledger.events.map((event, i) => {
    const { hazard, bike, wheel, fastener } = nth(onward.laid.notes, i)
    return { event, found: triage(onward, { hazard, bikeId: bike, wheel, fastener }) }
  })
