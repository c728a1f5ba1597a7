import { linksForLargest, singleSpeeds, type SingleSpeed } from '../chain'
import type { Bike } from './schema'
import { spokeToBuyMm } from './spokes'
import { type Tyre, readTyreSize } from './tyre'

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
  'free-drive-side',
  'can-be-single-speed',
  'threaded-headset',
  'organic-pads',
  'sintered-pads',
  'motor',
  'folds',
  'leather-saddle',
  'suspension-fork',
  'locked-bolts',
  'hanger-of-frame',
  'lights',
  'tent',
  'mat',
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

/** The wheels of a group. */
export const wheelsOf = ({ label }: Pick<WheelGroup, 'label'>): ('front' | 'rear')[] =>
  label === '' ? ['front', 'rear'] : [label]

/** The bike as a whole, its rear tyre in mind. */
export const wholeBike = (bike: Bike): WheelGroup => ({ label: '', wheels: 1, tyre: bike.tyres.rear })

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
  add('rear-suspension', bike.suspension.rearMm > 0)
  add('suspension-fork', bike.suspension.forkMm > 0)
  add('locked-bolts', bike.boltsLocked)
  add('hanger-of-frame', bike.hangerOfFrame)
  add('lights', bike.lights !== 'none')
  add('tent', bike.camp.tent)
  add('mat', bike.camp.mat)
  add('rack', bike.racks.front || bike.racks.rear)
  add('cleats', bike.pedals !== 'flat')
  add('organic-pads', bike.padCompound === 'organic')
  add('sintered-pads', bike.padCompound === 'sintered')
  add('motor', bike.motor !== 'none')
  add('folds', bike.frame.shape === 'folding')
  add('leather-saddle', bike.leatherSaddle)
  add('can-be-single-speed', bike.gears === 'derailleur' && singleSpeedsOf(bike).some(({ holds }) => holds))
  add(
    'threaded-headset',
    bike.fasteners.some(({ role }) => role === 'headset-nut'),
  )
  add('free-drive-side', bike.wheels.rear.freeDriveSide)
  add('small-wheel', (readTyreSize(tyre.size)?.beadMm ?? 622) <= 451)
  return traits
}

/** The single speeds a bike could be turned into, the best first. */
export function singleSpeedsOf(bike: Bike): SingleSpeed[] {
  const size = readTyreSize(bike.tyres.rear.size)
  const wheelMm = size ? size.beadMm + 2 * size.widthMm : 700
  const path = { chainstayMm: bike.frame.chainstayMm, chainrings: bike.chainrings, sprockets: bike.sprockets }
  return singleSpeeds(path, wheelMm, bike.chainLinks ?? linksWhenNew(bike))
}

/** Links of a chain as one would fit it new: right for the largest gear. */
export function linksWhenNew({
  frame,
  chainrings,
  sprockets,
}: Pick<Bike, 'frame' | 'chainrings' | 'sprockets'>): number {
  return linksForLargest(frame.chainstayMm, Math.max(...chainrings), Math.max(...sprockets))
}

/** The sizes of a bike, with one of its tyres in mind, that a template may ask for. */
const sizes: Readonly<Record<string, (bike: Bike, tyre: Tyre) => string | number | undefined>> = {
  bead: (_, tyre) => readTyreSize(tyre.size)?.beadMm,
  valve: ({ valve }) => valve,
  speeds: ({ speeds }) => speeds,
  hanger: ({ hanger }) => hanger,
  cleat: ({ pedals }) => (pedals === 'three-bolt' ? 'three' : 'two'),
  pad: ({ padShape }) => padShape,
  spokeFrontLeft: (bike) => spokeToBuyMm(bike, 'front left'),
  spokeFrontRight: (bike) => spokeToBuyMm(bike, 'front right'),
  spokeRearLeft: (bike) => spokeToBuyMm(bike, 'rear left'),
  spokeRearDrive: (bike) => spokeToBuyMm(bike, 'rear right'),
}

/**
 * Puts a bike's own sizes into a template such as "tube-{bead}".
 *
 * @throws RangeError where a mark is none of `sizes`
 */
export function expandTemplate(template: string, bike: Bike, tyre: Tyre): string {
  return template.replace(/\{(\w+)\}/g, (mark, name: string) => {
    const size = sizes[name]?.(bike, tyre)
    if (size === undefined) throw new RangeError(`${mark} is not a size of a bike`)
    return String(size)
  })
}
