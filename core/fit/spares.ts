import { pumpsThatHold } from '../air'
import type { Thing } from '../bench'
import { forBike, readTyreSize, traitsOf, wheelGroups, wholeBike, type Bike, type WheelGroup } from '../bike'
import { appliesTo } from '../hazard'
import type { Reference } from '../reference'
import { readClass, type SupplyClass } from '../supply'
import { spokeServes } from '../wheel'

export const spareVerdicts = ['serves', 'doubtful', 'does not fit'] as const
export type SpareVerdict = (typeof spareVerdicts)[number]

/** Whether a spare serves a place of a bike, and what speaks against it. */
export interface SpareFit {
  readonly verdict: SpareVerdict
  /** Empty where nothing is to be said. */
  readonly because: string
}

/** A part that a bike may want, at one or both of its wheels. */
export interface Want {
  readonly bike: Bike
  readonly group: WheelGroup
  readonly classId: string
}

/** A tube stretched or folded by more than this share of its range does not serve. Planning value. */
const tubeStretch = 0.1
/** A tyre wider than the one it replaces by more may rub, mm. Planning value. */
const widerMm = 6

const serves: SpareFit = { verdict: 'serves', because: '' }
const doubtful = (because: string): SpareFit => ({ verdict: 'doubtful', because })
const not = (because: string): SpareFit => ({ verdict: 'does not fit', because })

/** All parts that the fixes of a bike may use, each once for each kind of wheel it goes to. */
export function wantsOf(bike: Bike, { fixes, hazards }: Pick<Reference, 'fixes' | 'hazards'>): Want[] {
  const wants = new Map<string, Want>()
  const [whole, wheels] = [[wholeBike(bike)], wheelGroups(bike)]
  const traits = new Map([...whole, ...wheels].map((group) => [group, traitsOf(bike, group.tyre)]))
  for (const hazard of hazards) {
    for (const group of hazard.strikes === 'wheel' ? wheels : whole) {
      const ofGroup = traits.get(group)!
      if (!appliesTo(hazard.applies, ofGroup)) continue
      for (const fix of fixes) {
        if (!fix.answers.includes(hazard.id) || !appliesTo(fix.applies, ofGroup)) continue
        for (const template of Object.keys(fix.uses)) {
          const classId = forBike(template, bike, group.tyre)
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
  want: Want,
  { families }: Pick<Reference, 'families'>,
): SpareFit | undefined {
  const has = readClass(classId, families)
  const wanted = readClass(want.classId, families)
  if (!has || !wanted || has.family.id !== wanted.family.id) return undefined
  switch (has.family.id) {
    case 'tube':
      return tubeFit(thing, has, wanted, want)
    case 'tyre':
      return tyreFit(thing, has, wanted, want)
    case 'spoke':
      return spokeFit(has, wanted, want.bike)
    case 'brake-cable':
      return cableFit(thing, longest(want.bike.cables.frontBrakeMm, want.bike.cables.rearBrakeMm))
    case 'shift-cable':
      return cableFit(thing, longest(want.bike.cables.frontShiftMm, want.bike.cables.rearShiftMm))
    case 'tubeless-valve':
      return stemFit(thing, want) ?? serves
    default:
      return has.variant === wanted.variant ? serves : not(otherSize(has, wanted))
  }
}

function otherSize({ family, variant }: SupplyClass, wanted: SupplyClass): string {
  const mark = (value: string) => (family.variant === 'shape' ? value.toUpperCase() : value)
  const what = { bead: 'bead', speeds: 'speeds', shape: 'shape', length: 'mm', kind: 'kind', none: '' }[family.variant]
  return `${what} ${mark(variant)}, not ${mark(wanted.variant)}`
}

/** The worst of several findings, the first of equals. */
function worst(findings: readonly SpareFit[]): SpareFit {
  const rank = ({ verdict }: SpareFit) => spareVerdicts.indexOf(verdict)
  return findings.reduce((a, b) => (rank(b) > rank(a) ? b : a), serves)
}

function tubeFit({ measures }: Pick<Thing, 'measures'>, has: SupplyClass, wanted: SupplyClass, want: Want): SpareFit {
  if (has.variant !== wanted.variant) return not(otherSize(has, wanted))
  const widthMm = readTyreSize(want.group.tyre.size)?.widthMm
  const { fromWidthMm, toWidthMm } = measures
  const findings: SpareFit[] = []
  if (fromWidthMm === null || toWidthMm === null) findings.push(doubtful('made for which widths is not known'))
  else if (widthMm !== undefined) findings.push(widthFit(widthMm, fromWidthMm, toWidthMm))
  findings.push(valveFit(measures.valve, want))
  const stem = stemFit({ measures }, want)
  if (stem) findings.push(stem)
  return worst(findings)
}

function widthFit(widthMm: number, from: number, to: number): SpareFit {
  const range = `made for ${from} to ${to} mm, the tyre is ${widthMm}`
  if (widthMm >= from && widthMm <= to) return serves
  if (widthMm > to * (1 + tubeStretch)) return not(`too narrow: ${range}`)
  if (widthMm < from * (1 - tubeStretch)) return not(`too wide: ${range}`)
  return doubtful(range)
}

function valveFit(valve: Bike['valve'] | null, { bike, group }: Want): SpareFit {
  if (valve === null) return doubtful('which valve it has is not known')
  if (valve === bike.valve) return serves
  const rims = wheelsOf(group).map((wheel) => bike.rims[wheel])
  if (valve === 'schrader' && rims.some((rim) => !rim.wideValveHole))
    return not('a Schrader valve does not go through the hole of the rim')
  return doubtful(
    `a ${valve === 'presta' ? 'Presta' : 'Schrader'} valve: the pump must do it, and a wide hole wants a sleeve`,
  )
}

/** The stem against the deepest rim; undefined where it stands out far enough. */
function stemFit({ measures }: Pick<Thing, 'measures'>, { bike, group }: Want): SpareFit | undefined {
  const depthMm = Math.max(...wheelsOf(group).map((wheel) => bike.rims[wheel].depthMm))
  const { stemMm } = measures
  if (stemMm === null) return doubtful('stem not measured')
  const pumps = pumpsThatHold(stemMm, depthMm)
  if (pumps === 'most') return undefined
  const because = `stem of ${stemMm} mm in a rim ${depthMm} mm deep`
  return pumps === 'none' ? not(`${because}: no pump holds on`) : doubtful(`${because}: few pumps hold on`)
}

export const wheelsOf = ({ label }: Pick<WheelGroup, 'label'>): ('front' | 'rear')[] =>
  label === '' ? ['front', 'rear'] : [label]

function tyreFit({ measures }: Pick<Thing, 'measures'>, has: SupplyClass, wanted: SupplyClass, want: Want): SpareFit {
  if (has.variant !== wanted.variant) return not(otherSize(has, wanted))
  const mountedMm = readTyreSize(want.group.tyre.size)?.widthMm
  const { toWidthMm } = measures
  if (toWidthMm === null || mountedMm === undefined) return doubtful('its width is not known')
  return toWidthMm > mountedMm + widerMm
    ? doubtful(`${toWidthMm} mm wide where ${mountedMm} is on: look whether it clears the frame`)
    : serves
}

function spokeFit(has: SupplyClass, wanted: SupplyClass, bike: Bike): SpareFit {
  const [carriedMm, wantedMm] = [Number(has.variant), Number(wanted.variant)]
  if (!spokeServes(carriedMm, wantedMm)) return not(`${carriedMm} mm where ${wantedMm} is wanted`)
  const sides = [bike.wheels.front, bike.wheels.rear].flatMap((wheel) => [wheel.left, wheel.right])
  const measured = sides.some(({ measuredMm }) => measuredMm !== null && Math.round(measuredMm) === wantedMm)
  return measured ? serves : doubtful(`length not measured: ${wantedMm} mm is reckoned from rim and hub`)
}

const longest = (...lengths: (number | null)[]): number | null => {
  const known = lengths.filter((length) => length !== null)
  return known.length > 0 ? Math.max(...known) : null
}

function cableFit({ measures }: Pick<Thing, 'measures'>, neededMm: number | null): SpareFit {
  const { lengthMm } = measures
  if (lengthMm === null) return doubtful('length of the cable not measured')
  if (neededMm === null) return doubtful('length on the bike not measured')
  return lengthMm >= neededMm ? serves : not(`${lengthMm} mm long where ${neededMm} is needed`)
}

/** A want and how one thing serves it. */
export interface SpareAtWant extends SpareFit {
  readonly want: Want
  readonly classId: string
}

/** How a thing serves each bike that wants something of its kind. */
export function sparesOf(
  thing: Pick<Thing, 'units' | 'measures'>,
  wants: readonly Want[],
  reference: Pick<Reference, 'families'>,
): SpareAtWant[] {
  return Object.keys(thing.units).flatMap((classId) =>
    wants.flatMap((want) => {
      const fit = spareFit(thing, classId, want, reference)
      return fit ? [{ ...fit, want, classId }] : []
    }),
  )
}
