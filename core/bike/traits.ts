import type { Bike } from './schema'
import type { Tyre } from './tyre'
import { readTyreSize } from './tyre'

/** Words that hazards and fixes ask of a bike, of one of its wheels, or of the road. */
export const bikeTraits = [
  'tubeless',
  'tubed',
  'light-tyre',
  'tough-tyre',
  'derailleur',
  'hub-gear',
  'single-speed',
  'cable-shift',
  'electric-shift',
  'rim-brake',
  'cable-brake',
  'disc-brake',
  'hydraulic',
  'rear-suspension',
  'rack',
  'cleats',
  'small-wheel',
] as const
export type BikeTrait = (typeof bikeTraits)[number]

/** Wheels alike in everything that matters to a hazard, counted together. */
export interface WheelGroup {
  /** "" when both wheels are alike, else "front" or "rear". */
  readonly label: '' | 'front' | 'rear'
  readonly wheels: number
  readonly tyre: Tyre
}

const sameTyre = (a: Tyre, b: Tyre) =>
  readTyreSize(a.size)?.beadMm === readTyreSize(b.size)?.beadMm &&
  a.tubeless === b.tubeless &&
  a.protection === b.protection &&
  a.treadLeft === b.treadLeft

/** The bike's wheels, together where their tyres are alike. */
export function wheelGroups(bike: Bike): WheelGroup[] {
  const { front, rear } = bike.tyres
  if (sameTyre(front, rear)) return [{ label: '', wheels: 2, tyre: rear }]
  return [
    { label: 'front', wheels: 1, tyre: front },
    { label: 'rear', wheels: 1, tyre: rear },
  ]
}

/** What is true of a bike, with one of its tyres in mind. */
export function traitsOf(bike: Bike, tyre: Tyre): Set<BikeTrait> {
  const traits = new Set<BikeTrait>()
  const add = (trait: BikeTrait, holds: boolean) => holds && traits.add(trait)
  add('tubeless', tyre.tubeless)
  add('tubed', !tyre.tubeless)
  add('light-tyre', tyre.protection === 'light')
  add('tough-tyre', tyre.protection === 'tough')
  add('derailleur', bike.gears === 'derailleur')
  add('hub-gear', bike.gears === 'hub')
  add('single-speed', bike.gears === 'single')
  add('cable-shift', bike.gears !== 'single' && bike.shifting === 'cable')
  add('electric-shift', bike.shifting === 'electric')
  add('rim-brake', bike.brakes === 'rim')
  add('cable-brake', bike.brakes !== 'hydraulic-disc')
  add('disc-brake', bike.brakes !== 'rim')
  add('hydraulic', bike.brakes === 'hydraulic-disc')
  add('rear-suspension', bike.rearSuspension)
  add('rack', bike.rack)
  add('cleats', bike.cleats)
  add('small-wheel', (readTyreSize(tyre.size)?.beadMm ?? 622) <= 451)
  return traits
}

/**
 * Puts a bike's own sizes into a template such as "tube-{bead}".
 * Known marks: bead, valve, speeds, hanger, pad, nipple, spokeFront,
 * spokeRearLeft, spokeRearDrive.
 */
export function forBike(template: string, bike: Bike, tyre: Tyre): string {
  const sizes: Record<string, string | number | undefined> = {
    bead: readTyreSize(tyre.size)?.beadMm,
    valve: bike.valve,
    speeds: bike.speeds,
    hanger: bike.hanger,
    pad: bike.padShape,
    nipple: bike.spokes.nippleMm,
    spokeFront: bike.spokes.frontMm,
    spokeRearLeft: bike.spokes.rearLeftMm,
    spokeRearDrive: bike.spokes.rearDriveMm,
  }
  return template.replace(/\{(\w+)\}/g, (mark, name: string) => {
    const size = sizes[name]
    if (size === undefined) throw new RangeError(`${mark} is not a size of a bike`)
    return String(size)
  })
}
