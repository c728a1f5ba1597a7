import { defined } from '../validation'
import { pumpsThatHold } from '../air'
import type { Thing } from '../bench'
import {
  wheelsOf,
  expandTemplate,
  readTyreSize,
  traitsOf,
  wheelGroups,
  wholeBike,
  type Bike,
  type WheelGroup,
} from '../bike'
import { appliesTo } from '../hazard'
import type { Reference } from '../reference'
import { readClass, type SupplyClass, type SupplyFamily } from '../supply'
import { spokeServes } from './spoke-lengths'

export const spareVerdicts = ['serves', 'doubtful', 'does not fit'] as const
export type SpareVerdict = (typeof spareVerdicts)[number]

/** What speaks against a spare, or what nobody has measured. */
export type SpareReason =
  | {
      readonly about: 'other size'
      readonly variant: SupplyFamily['variant']
      readonly has: string
      readonly wanted: string
    }
  | { readonly about: 'width range unknown' }
  | {
      readonly about: 'width'
      readonly finding: 'too narrow' | 'too wide' | 'at its limit'
      readonly fromMm: number
      readonly toMm: number
      readonly tyreMm: number
    }
  | { readonly about: 'valve unknown' }
  | { readonly about: 'valve hole' }
  | { readonly about: 'other valve'; readonly valve: Bike['valve'] }
  | { readonly about: 'stem unknown' }
  | { readonly about: 'stem'; readonly stemMm: number; readonly depthMm: number; readonly pumps: 'few' | 'none' }
  | { readonly about: 'tyre width unknown' }
  | { readonly about: 'clearance'; readonly widthMm: number; readonly mountedMm: number }
  | { readonly about: 'spoke length'; readonly carriedMm: number; readonly wantedMm: number }
  | { readonly about: 'spoke not measured'; readonly wantedMm: number }
  | { readonly about: 'cable not measured' }
  | { readonly about: 'cable of the bike not measured' }
  | { readonly about: 'cable too short'; readonly lengthMm: number; readonly neededMm: number }

/** Whether a spare serves a place of a bike, and what speaks against it. */
export interface SpareFit {
  readonly verdict: SpareVerdict
  /** Null where nothing is to be said. */
  readonly reason: SpareReason | null
}

/** A part that a bike may want, at one or both of its wheels. */
export interface Requirement {
  readonly bike: Bike
  readonly group: WheelGroup
  readonly classId: string
}

/** A tube stretched or folded by more than this share of its range does not serve. Planning value. */
const tubeStretch = 0.1
/** A tyre wider than the one it replaces by more may rub, mm. Planning value. */
const widerMm = 6

const serves: SpareFit = { verdict: 'serves', reason: null }
const doubtful = (reason: SpareReason): SpareFit => ({ verdict: 'doubtful', reason })
const misfit = (reason: SpareReason): SpareFit => ({ verdict: 'does not fit', reason })

/** All parts that the fixes of a bike may use, each once for each kind of wheel it goes to. */
export function requirementsOf(bike: Bike, { fixes, hazards }: Pick<Reference, 'fixes' | 'hazards'>): Requirement[] {
  const wants = new Map<string, Requirement>()
  const [whole, wheels] = [[wholeBike(bike)], wheelGroups(bike)]
  const traits = new Map([...whole, ...wheels].map((group) => [group, traitsOf(bike, group.tyre)]))
  for (const hazard of hazards) {
    for (const group of hazard.strikes === 'wheel' ? wheels : whole) {
      const ofGroup = defined(traits.get(group))
      if (!appliesTo(hazard.applies, ofGroup)) continue
      for (const fix of fixes) {
        if (!fix.answers.includes(hazard.id) || !appliesTo(fix.applies, ofGroup)) continue
        for (const template of Object.keys(fix.uses)) {
          const classId = expandTemplate(template, bike, group.tyre)
          wants.set(`${classId} ${group.label}`, { bike, group, classId })
        }
      }
    }
  }
  return [...wants.values()]
}

/**
 * Whether a piece of a class on the bench serves where a bike wants one of the same family.
 *
 * @returns undefined where they are of different families
 */
export function spareFit(
  thing: Pick<Thing, 'measures'>,
  classId: string,
  want: Requirement,
  { families }: Pick<Reference, 'families'>,
): SpareFit | undefined {
  const has = readClass(classId, families)
  const wanted = readClass(want.classId, families)
  if (!has || !wanted || has.family.id !== wanted.family.id) return undefined
  switch (has.family.fitBy) {
    case 'tube':
      return tubeFit(thing, has, wanted, want)
    case 'tyre':
      return tyreFit(thing, has, wanted, want)
    case 'spoke':
      return spokeFit(has, wanted, want.bike)
    case 'brake cable':
      return cableFit(thing, longest(want.bike.cables.frontBrakeMm, want.bike.cables.rearBrakeMm))
    case 'shift cable':
      return cableFit(thing, longest(want.bike.cables.frontShiftMm, want.bike.cables.rearShiftMm))
    case 'valve stem':
      return stemFit(thing, want) ?? serves
    case 'size':
      return has.variant === wanted.variant ? serves : otherSize(has, wanted)
  }
}

const otherSize = ({ family, variant }: SupplyClass, wanted: SupplyClass): SpareFit =>
  misfit({ about: 'other size', variant: family.variant, has: variant, wanted: wanted.variant })

/** The worst of several findings, the first of equals. */
function worst(findings: readonly SpareFit[]): SpareFit {
  const rank = ({ verdict }: SpareFit) => spareVerdicts.indexOf(verdict)
  return findings.reduce((a, b) => (rank(b) > rank(a) ? b : a), serves)
}

function tubeFit(
  { measures }: Pick<Thing, 'measures'>,
  has: SupplyClass,
  wanted: SupplyClass,
  want: Requirement,
): SpareFit {
  if (has.variant !== wanted.variant) return otherSize(has, wanted)
  const widthMm = readTyreSize(want.group.tyre.size)?.widthMm
  const { fromWidthMm, toWidthMm } = measures
  const findings: SpareFit[] = []
  if (fromWidthMm === null || toWidthMm === null) findings.push(doubtful({ about: 'width range unknown' }))
  else if (widthMm !== undefined) findings.push(widthFit(widthMm, fromWidthMm, toWidthMm))
  findings.push(valveFit(measures.valve, want))
  const stem = stemFit({ measures }, want)
  if (stem) findings.push(stem)
  return worst(findings)
}

function widthFit(tyreMm: number, fromMm: number, toMm: number): SpareFit {
  if (tyreMm >= fromMm && tyreMm <= toMm) return serves
  const range = { about: 'width', fromMm, toMm, tyreMm } as const
  if (tyreMm > toMm * (1 + tubeStretch)) return misfit({ ...range, finding: 'too narrow' })
  if (tyreMm < fromMm * (1 - tubeStretch)) return misfit({ ...range, finding: 'too wide' })
  return doubtful({ ...range, finding: 'at its limit' })
}

function valveFit(valve: Bike['valve'] | null, { bike, group }: Requirement): SpareFit {
  if (valve === null) return doubtful({ about: 'valve unknown' })
  if (valve === bike.valve) return serves
  const rims = wheelsOf(group).map((wheel) => bike.rims[wheel])
  if (valve === 'schrader' && rims.some((rim) => !rim.wideValveHole)) return misfit({ about: 'valve hole' })
  return doubtful({ about: 'other valve', valve })
}

/** The stem against the deepest rim; undefined where it stands out far enough. */
function stemFit({ measures }: Pick<Thing, 'measures'>, { bike, group }: Requirement): SpareFit | undefined {
  const depthMm = Math.max(...wheelsOf(group).map((wheel) => bike.rims[wheel].depthMm))
  const { stemMm } = measures
  if (stemMm === null) return doubtful({ about: 'stem unknown' })
  const pumps = pumpsThatHold(stemMm, depthMm)
  if (pumps === 'most') return undefined
  const reason = { about: 'stem', stemMm, depthMm, pumps } as const
  return pumps === 'none' ? misfit(reason) : doubtful(reason)
}

function tyreFit(
  { measures }: Pick<Thing, 'measures'>,
  has: SupplyClass,
  wanted: SupplyClass,
  want: Requirement,
): SpareFit {
  if (has.variant !== wanted.variant) return otherSize(has, wanted)
  const mountedMm = readTyreSize(want.group.tyre.size)?.widthMm
  const { toWidthMm } = measures
  if (toWidthMm === null || mountedMm === undefined) return doubtful({ about: 'tyre width unknown' })
  return toWidthMm > mountedMm + widerMm ? doubtful({ about: 'clearance', widthMm: toWidthMm, mountedMm }) : serves
}

function spokeFit(has: SupplyClass, wanted: SupplyClass, bike: Bike): SpareFit {
  const [carriedMm, wantedMm] = [Number(has.variant), Number(wanted.variant)]
  if (!spokeServes(carriedMm, wantedMm)) return misfit({ about: 'spoke length', carriedMm, wantedMm })
  const sides = [bike.wheels.front, bike.wheels.rear].flatMap((wheel) => [wheel.left, wheel.right])
  const measured = sides.some(({ measuredMm }) => measuredMm !== null && Math.round(measuredMm) === wantedMm)
  return measured ? serves : doubtful({ about: 'spoke not measured', wantedMm })
}

const longest = (...lengths: (number | null)[]): number | null => {
  const known = lengths.filter((length) => length !== null)
  return known.length > 0 ? Math.max(...known) : null
}

function cableFit({ measures }: Pick<Thing, 'measures'>, neededMm: number | null): SpareFit {
  const { lengthMm } = measures
  if (lengthMm === null) return doubtful({ about: 'cable not measured' })
  if (neededMm === null) return doubtful({ about: 'cable of the bike not measured' })
  return lengthMm >= neededMm ? serves : misfit({ about: 'cable too short', lengthMm, neededMm })
}

/** A want and how one thing serves it. */
export interface SpareAtRequirement extends SpareFit {
  readonly want: Requirement
  readonly classId: string
}

/** How a thing serves each bike that wants something of its kind. */
export function spareFitsOf(
  thing: Pick<Thing, 'units' | 'measures'>,
  wants: readonly Requirement[],
  reference: Pick<Reference, 'families'>,
): SpareAtRequirement[] {
  return Object.keys(thing.units).flatMap((classId) =>
    wants.flatMap((want) => {
      const fit = spareFit(thing, classId, want, reference)
      return fit ? [{ ...fit, want, classId }] : []
    }),
  )
}
