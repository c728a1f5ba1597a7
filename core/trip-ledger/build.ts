import { rideableShare, ridingBarOf, strokesPerMinute, strokesTo, volumeOfTyre } from '../air'
import type { Thing } from '../bench'
import { expandTemplate, traitsOf, wheelGroups, wholeBike, type Bike, type Fastener, type WheelGroup } from '../bike'
import { bestHands, handSuccess } from '../crew'
import { residualHours, type Fix } from '../fix'
import { appliesTo, bikeFactor, lifeLeft, poissonAtLeast, wornOutAtLeast, type Hazard } from '../hazard'
import type { Reference } from '../reference'
import { legsOfGap, type Gap, type Survey } from '../road'
import type { Trip } from '../trip'
import { BenchSupply, type Draw } from './bench-supply'
import { Landscape, type Exposure } from '../availability'
import { ledgerFormat, type Ledger, type LedgerClaim, type LedgerFix } from './schema'
import { TurningNeeds } from './turning-needs'

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

/** A fix that this crew would have, were there not a fastener that nothing on the bench turns. */
export interface StuckFix {
  readonly fix: string
  readonly hazard: string
  readonly bike: string
  readonly wheel: WheelGroup['label']
  readonly fasteners: readonly Fastener[]
}

export interface BuiltLedger {
  readonly ledger: Ledger
  readonly notes: ClaimNote[]
  readonly stuck: StuckFix[]
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
  const stuck: StuckFix[] = []
  const supply = new BenchSupply(trip, reference)
  const bench: Bench = {
    supply,
    turning: new TurningNeeds(trip.bench, trip.dials.handMostN),
    conditions: stockConditions(trip.bench, supply),
  }

  for (const bike of trip.bikes) {
    const [whole, wheels] = [[wholeBike(bike)], wheelGroups(bike)]
    const traitsOfGroup = new Map([...whole, ...wheels].map((group) => [group, traitsOf(bike, group.tyre)]))
    for (const hazard of reference.hazards) {
      const groups = hazard.strikes === 'wheel' ? wheels : whole
      for (const group of groups) {
        const traits = traitsOfGroup.get(group)!
        if (!appliesTo(hazard.applies, traits)) continue
        const settledBy = expandTemplate(hazard.settledBy, bike, group.tyre)
        const fixes = reference.fixes
          .filter((fix) => fix.answers.includes(hazard.id) && appliesTo(fix.applies, traits))
          .flatMap((fix) => {
            const { hands, fasteners } = handsOn(fix, bike, group, trip, reference, bench)
            if (fasteners.length > 0)
              stuck.push({ fix: fix.id, hazard: hazard.id, bike: bike.id, wheel: group.label, fasteners })
            return hands.map((hand) => ({ fix, hand }))
          })
        const rate = group.wheels * bikeFactor(hazard, traits)
        landscape.exposures(hazard, settledBy, bike.pushFactor).forEach((exposure, g) => {
          const lossH = exposure.lossH * hazard.severity
          const chance = chanceOf(hazard, bike, group, exposure, rate, g)
          if (chance.atLeast(1) * lossH < worthWritingH) return
          const helper = Math.min(1, trip.dials.helper * exposure.passersBy)
          const toWrenchH = exposure.wrenchH === null ? null : exposure.wrenchH * hazard.severity
          const answers = fixes.flatMap(({ fix, hand }) => hand.answer(fix, helper, lossH, toWrenchH))
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
  return { ledger: assemble(trip, landscape, claims, bench), notes, stuck }
}

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

/** What the bench gives to fixes. */
interface Bench {
  readonly supply: BenchSupply
  readonly turning: TurningNeeds
  readonly conditions: ReadonlyMap<string, number>
}

/** A fix as this crew would do it on this bike; where it happens decides who comes by and what it costs. */
interface HandsOn {
  /** The fix as an answer; none where it needs a borrowed wrench and there is none to borrow. */
  answer(fix: Fix, helper: number, lossH: number, toWrenchH: number | null): LedgerFix[]
}

/** A mark that an answer is done where a big wrench can be borrowed. */
export const atTheWrench = '@wrench'

/**
 * A fix in all the ways this crew could do it on this bike: with each stock that serves, and with a wrench borrowed on the
 * way; and the fasteners that keep it from being done out on the road.
 */
function handsOn(
  fix: Fix,
  bike: Bike,
  group: WheelGroup,
  trip: Trip,
  reference: Reference,
  { supply, turning, conditions }: Bench,
): { hands: HandsOn[]; fasteners: readonly Fastener[] } {
  const size = (template: string) => expandTemplate(template, bike, group.tyre)
  const technique = reference.techniques.find((candidate) => candidate.id === fix.technique)
  if (!technique) throw new RangeError(`the fix "${fix.id}" names no known technique: "${fix.technique}"`)
  const { level } = bestHands(trip.crew, technique.id)
  const { needs, withWrench, stuck } = turning.forFix(fix, bike, group)
  const functions = fix.needs.map(size)
  const moreH = fix.air === 'pump' ? pumpingH(bike, group, trip.bench, reference) : 0
  const hand = (turned: string[], draw: Draw, mark: string, atWrench: boolean): HandsOn => {
    const written = { id: `${fix.id}${mark}`, needs: [...functions, ...turned], uses: draw }
    const holds = fix.holds * Math.min(1, ...Object.keys(draw).map((stock) => conditions.get(stock) ?? 1))
    return {
      answer(asked, helper, lossH, toWrenchH) {
        if (atWrench && toWrenchH === null) return []
        const residualH = residualHours(asked, lossH, moreH + (atWrench ? toWrenchH! : 0))
        if (atWrench && residualH >= lossH) return []
        return [{ ...written, success: handSuccess(level, technique, helper) * holds, residualH }]
      },
    }
  }
  const hands = supply.draws(fix, bike, group, size).flatMap((draw, i) => {
    const mark = i === 0 ? '' : `@${Object.keys(draw).join('+')}`
    return [
      ...(needs ? [hand(needs, draw, mark, false)] : []),
      ...(withWrench ? [hand(withWrench, draw, `${mark}${atTheWrench}`, true)] : []),
    ]
  })
  return { hands, fasteners: stuck }
}

/** What a pump draws in with a stroke where nobody has measured, mL. Planning value. */
const usualStrokeMl = 45

/** Hours of pumping until the tyre can be ridden on, with the smallest pump on the bench. */
function pumpingH(
  bike: Bike,
  { tyre }: WheelGroup,
  bench: readonly Thing[],
  { functions }: Pick<Reference, 'functions'>,
): number {
  const pumping = functions.filter(({ pumps }) => pumps === bike.valve).map(({ id }) => id)
  const pumps = bench.filter(({ provides }) => provides.some((id) => pumping.includes(id)))
  const strokes = pumps.map(({ measures }) => measures.strokeMl ?? usualStrokeMl)
  const strokeMl = strokes.length > 0 ? Math.min(...strokes) : usualStrokeMl
  return strokesTo(ridingBarOf(tyre) * rideableShare, volumeOfTyre(tyre), strokeMl) / strokesPerMinute / 60
}

/** How far each stock on the bench can be trusted: the mean over its pieces, by amount. */
function stockConditions(bench: readonly Thing[], supply: BenchSupply): Map<string, number> {
  const sums = new Map<string, { amount: number; good: number }>()
  for (const thing of bench) {
    for (const [stock, units] of Object.entries(supply.unitsOf(thing))) {
      const amount = units * thing.count
      const sum = sums.get(stock) ?? { amount: 0, good: 0 }
      sums.set(stock, { amount: sum.amount + amount, good: sum.good + amount * thing.condition })
    }
  }
  return new Map([...sums].map(([stock, { amount, good }]) => [stock, good / amount]))
}

function assemble(trip: Trip, landscape: Landscape, claims: LedgerClaim[], { supply, turning }: Bench): Ledger {
  const stocks = new Set(supply.classOf.keys())
  for (const claim of claims) {
    for (const fix of claim.fixes) for (const stock of Object.keys(fix.uses)) stocks.add(stock)
  }
  const legsOf = (stock: string) =>
    landscape.gaps(supply.classOf.get(stock) ?? stock).map((gap) => legsOfGap(gap, landscape.edges))
  return {
    format: ledgerFormat,
    legs: landscape.edges.length - 1,
    items: trip.bench.map((thing) => ({
      id: thing.id,
      massG: thing.massG,
      max: thing.count,
      provides: [...thing.provides, ...turning.functionsOf(thing.id)],
      units: supply.unitsOf(thing),
    })),
    stocks: [...stocks].sort().map((id) => ({ id, gaps: legsOf(id) })),
    claims,
    budgetG: trip.dials.budgetG,
    gramsPerHour: trip.dials.gramsPerHour,
    pins: Object.fromEntries(trip.bench.flatMap(({ id, pin }) => (pin ? [[id, pin]] : []))),
  }
}
