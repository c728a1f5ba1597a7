import type { Thing } from '../bench'
import { forBike, traitsOf, wheelGroups, type Bike, type WheelGroup } from '../bike'
import { bestHands, handSuccess } from '../crew'
import { residualHours, type Fix } from '../fix'
import { appliesTo, bikeFactor, lifeLeft, poissonAtLeast, wornOutAtLeast, type Hazard } from '../hazard'
import type { Reference } from '../reference'
import { legsOfGap, type Gap, type Survey } from '../road'
import type { Trip } from '../trip'
import { Landscape, type Exposure } from './landscape'
import { ledgerFormat, type Ledger, type LedgerClaim, type LedgerFix } from './schema'

/** Where a claim comes from, for people to read. */
export interface ClaimNote {
  readonly claim: string
  readonly hazard: string
  readonly bike: string
  readonly wheel: WheelGroup['label']
  readonly gap: Gap
  readonly k: number
  readonly settledBy: string
  /** Events expected in the gap. */
  readonly expected: number
}

export interface BuiltLedger {
  readonly ledger: Ledger
  readonly notes: ClaimNote[]
}

/** A k-th claim is written down while it is worth at least this many hours; what is left out is seconds. */
const worthWritingH = 0.005
/** No kit is made for more than this many failures of one kind in one gap. */
const mostRepeats = 12

/**
 * Writes the ledger of a trip: for each bike, each hazard it is open to, each
 * gap of the class that settles it, the first, second, third… failure with its
 * chance and its cost, and every fix that would answer it.
 *
 * @param survey the measured road of the trip; it must have a length
 * @param landscape the same trip's road and stops, where that is there already
 */
export function buildLedger(
  trip: Trip,
  survey: Survey,
  reference: Reference,
  landscape = new Landscape(trip, survey, reference),
): BuiltLedger {
  const claims: LedgerClaim[] = []
  const notes: ClaimNote[] = []
  const conditions = stockConditions(trip.bench)

  for (const bike of trip.bikes) {
    for (const hazard of reference.hazards) {
      const groups = hazard.strikes === 'wheel' ? wheelGroups(bike) : [wholeBike(bike)]
      for (const group of groups) {
        const traits = traitsOf(bike, group.tyre)
        if (!appliesTo(hazard.applies, traits)) continue
        const settledBy = forBike(hazard.settledBy, bike, group.tyre)
        const fixes = reference.fixes
          .filter((fix) => fix.answers.includes(hazard.id) && appliesTo(fix.applies, traits))
          .map((fix) => ({ fix, hands: handsOn(fix, bike, group, trip, reference, conditions) }))
        const rate = group.wheels * bikeFactor(hazard, traits)
        landscape.exposures(hazard, settledBy, bike.pushFactor).forEach((exposure, g) => {
          const lossH = exposure.lossH * hazard.severity
          const chance = chanceOf(hazard, bike, group, exposure, rate, g)
          if (chance.atLeast(1) * lossH < worthWritingH) return
          const helper = Math.min(1, trip.dials.helper * exposure.passersBy)
          const answers = fixes.map(({ fix, hands }) => hands.answer(helper, residualHours(fix, lossH)))
          for (let k = 1; k <= mostRepeats; k++) {
            const probability = chance.atLeast(k)
            if (probability * lossH < worthWritingH) break
            const place = group.label === '' ? bike.id : `${bike.id}-${group.label}`
            const claim = `${hazard.id}/${place}/g${g + 1}/k${k}`
            claims.push({ id: claim, legs: exposure.legs, probability, lossH, fixes: answers })
            notes.push({
              claim,
              hazard: hazard.id,
              bike: bike.id,
              wheel: group.label,
              gap: exposure.gap,
              k,
              settledBy,
              expected: chance.expected,
            })
          }
        })
      }
    }
  }
  return { ledger: assemble(trip, landscape, claims), notes }
}

const wholeBike = (bike: Bike): WheelGroup => ({ label: '', wheels: 1, tyre: bike.tyres.rear })

function chanceOf(
  hazard: Hazard,
  bike: Bike,
  group: WheelGroup,
  exposure: Exposure,
  rate: number,
  gapNumber: number,
): { expected: number; atLeast: (k: number) => number } {
  if (hazard.kind === 'sudden') {
    const expected = (hazard.per1000km * rate * exposure.weightedKm) / 1000
    return { expected, atLeast: (k) => poissonAtLeast(k, expected) }
  }
  const lives = (rate * exposure.weightedKm) / hazard.lifeKm
  // Whoever passes a place that has the part fits a fresh one there if it would not last the next gap.
  const left = gapNumber === 0 ? lifeLeft(hazard, bike, group.tyre.treadLeft) : 1
  return { expected: lives, atLeast: (k) => wornOutAtLeast(k, lives, left, hazard.spread) }
}

/** A fix as this crew would do it on this bike; where it happens decides who comes by and what it costs. */
interface HandsOn {
  answer(helper: number, residualH: number): LedgerFix
}

function handsOn(
  fix: Fix,
  bike: Bike,
  group: WheelGroup,
  trip: Trip,
  reference: Reference,
  conditions: ReadonlyMap<string, number>,
): HandsOn {
  const size = (template: string) => forBike(template, bike, group.tyre)
  const technique = reference.techniques.find((candidate) => candidate.id === fix.technique)
  if (!technique) throw new RangeError(`the fix "${fix.id}" names no known technique: "${fix.technique}"`)
  const { level } = bestHands(trip.crew, technique.id)
  const uses = Object.fromEntries(Object.entries(fix.uses).map(([stock, amount]) => [size(stock), amount]))
  const holds = fix.holds * Math.min(1, ...Object.keys(uses).map((stock) => conditions.get(stock) ?? 1))
  const written = { id: fix.id, needs: fix.needs.map(size), uses }
  return {
    answer: (helper, residualH) => ({ ...written, success: handSuccess(level, technique, helper) * holds, residualH }),
  }
}

/** How far each class on the bench can be trusted: the mean over its pieces, by amount. */
function stockConditions(bench: readonly Thing[]): Map<string, number> {
  const sums = new Map<string, { amount: number; good: number }>()
  for (const thing of bench) {
    for (const [stock, units] of Object.entries(thing.units)) {
      const amount = units * thing.count
      const sum = sums.get(stock) ?? { amount: 0, good: 0 }
      sums.set(stock, { amount: sum.amount + amount, good: sum.good + amount * thing.condition })
    }
  }
  return new Map([...sums].map(([stock, { amount, good }]) => [stock, good / amount]))
}

function assemble(trip: Trip, landscape: Landscape, claims: LedgerClaim[]): Ledger {
  const stocks = new Set<string>()
  for (const thing of trip.bench) for (const stock of Object.keys(thing.units)) stocks.add(stock)
  for (const claim of claims) {
    for (const fix of claim.fixes) for (const stock of Object.keys(fix.uses)) stocks.add(stock)
  }
  const legsOf = (classId: string) => landscape.gaps(classId).map((gap) => legsOfGap(gap, landscape.edges))
  return {
    format: ledgerFormat,
    legs: landscape.edges.length - 1,
    items: trip.bench.map(({ id, massG, count, provides, units }) => ({ id, massG, max: count, provides, units })),
    stocks: [...stocks].sort().map((id) => ({ id, gaps: legsOf(id) })),
    claims,
    budgetG: trip.dials.budgetG,
    gramsPerHour: trip.dials.gramsPerHour,
    pins: Object.fromEntries(trip.bench.flatMap(({ id, pin }) => (pin ? [[id, pin]] : []))),
  }
}
