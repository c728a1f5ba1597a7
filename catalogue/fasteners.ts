import type { z } from 'zod'
import type { Drive, fastenerSchema } from '#core/bike'

type Written = z.input<typeof fastenerSchema>
type More = Partial<Omit<Written, 'id' | 'name' | 'part' | 'drive' | 'torqueNm'>>

/*
 * Fasteners by group of parts, to put a bike's list together from. Sizes are common practice; torques are planning
 * values of the kind makers print beside such bolts: the maker's manual decides.
 */

export const hex = (size: number): Drive => ({ profile: 'hex', size })
export const torx = (size: number): Drive => ({ profile: 'hexalobular', size })
export const phillips = (size: number): Drive => ({ profile: 'phillips', size })
export const pozidriv = (size: number): Drive => ({ profile: 'pozidriv', size })
export const nut = (size: number): Drive => ({ profile: 'flats', size })
const spline = (size: string): Drive => ({ profile: 'spline', size })
const byHand: Drive = { profile: 'by-hand' }

const idOf = (name: string) => name.toLowerCase().replace(/[^a-z0-9]+/g, '-')

/** One fastener; its torque from and to in N·m. */
export function fastener(
  name: string,
  part: Written['part'],
  drive: Drive,
  [least, most]: readonly [number, number],
  more: More = {},
): Written {
  return { id: idOf(name), name, part, drive, torqueNm: { least, most }, ...more }
}

const workshop = 'bearings: a workshop, and seldom on the road'

/** What every chain, tyre and wheel has. */
export const runningGear = (valve: 'presta' | 'schrader', nippleMm = 3.2): Written[] => [
  fastener('Chain pin', 'chain', { profile: 'chain-pin' }, [1, 3], { role: 'chain-pin' }),
  fastener('Quick link', 'chain', { profile: 'quick-link' }, [0, 2], {
    role: 'quick-link',
    canWait: 'pressed open by hand, or the chain is opened at a pin',
  }),
  fastener('Valve core, front', 'front tyre', { profile: 'valve-core', size: valve }, [0.2, 0.4], {
    role: 'valve-core',
  }),
  fastener('Valve core, rear', 'rear tyre', { profile: 'valve-core', size: valve }, [0.2, 0.4], { role: 'valve-core' }),
  fastener('Nipples, front', 'front wheel', { profile: 'nipple', size: nippleMm }, [0.5, 1], {
    role: 'nipple-front',
    count: 32,
  }),
  fastener('Nipples, rear', 'rear wheel', { profile: 'nipple', size: nippleMm }, [0.5, 1], {
    role: 'nipple-rear',
    count: 32,
  }),
]

export const axlesByKey: Written[] = [
  fastener('Axle, front', 'front hub', hex(6), [10, 12], { role: 'axle-front' }),
  fastener('Axle, rear', 'rear hub', hex(6), [10, 12], { role: 'axle-rear' }),
]
export const axlesByHand: Written[] = [
  fastener('Quick release, front', 'front hub', byHand, [0, 0], { role: 'axle-front' }),
  fastener('Quick release, rear', 'rear hub', byHand, [0, 0], { role: 'axle-rear' }),
]
export const axleNuts = (mm: number): Written[] => [
  fastener('Axle nuts, front', 'front hub', nut(mm), [20, 25], { role: 'axle-front', count: 2 }),
  fastener('Axle nuts, rear', 'rear hub', nut(mm), [25, 35], { role: 'axle-rear', count: 2 }),
]

/** Crank on a square or splined axle, pulled on by one bolt. */
export const crankByBolt: Written[] = [
  fastener('Crank bolts', 'crank', hex(8), [40, 48], { role: 'crank-bolt', count: 2, recessMm: 12 }),
  fastener('Bottom bracket cups', 'bottom bracket', spline('b1'), [35, 50], { count: 2, canWait: workshop }),
]
/** Crank pinched on a hollow axle. */
export const crankByPinch: Written[] = [
  fastener('Crank pinch bolts', 'crank', hex(5), [12, 14], { role: 'crank-bolt', count: 2 }),
  fastener('Crank preload cap', 'crank', spline('p1'), [0.7, 1.5], { canWait: 'holds once the pinch bolts are tight' }),
  fastener('Bottom bracket cups', 'bottom bracket', spline('b2'), [35, 50], { count: 2, canWait: workshop }),
]

export const chainringBolts = (drive: Drive, count: number): Written =>
  fastener('Chainring bolts', 'chainring', drive, [8, 10], { role: 'chainring-bolt', count })

export const pedalsByKey = (mm: number): Written =>
  fastener('Pedals', 'pedals', hex(mm), [30, 35], { role: 'pedal', count: 2, recessMm: 14 })
/** Flats between crank and pedal: only a thin open end gets there. */
export const pedalsByFlats = fastener('Pedals', 'pedals', nut(15), [30, 35], {
  role: 'pedal',
  count: 2,
  openEndOnly: true,
  gapMm: 6,
})
export const cleatBolts = (count: number): Written =>
  fastener('Cleat bolts', 'pedals', hex(4), [4, 6], { role: 'cleat-bolt', count, recessMm: 3 })

export const cassette: Written = fastener('Cassette lockring', 'cassette', spline('c1'), [30, 40], { role: 'lockring' })
export const derailleur = (pulley: Drive, limit: Drive, anchor: Drive): Written[] => [
  fastener('Derailleur bolt', 'derailleur', hex(5), [8, 10], { role: 'derailleur-bolt' }),
  fastener('Pulley bolts', 'derailleur', pulley, [2, 3], { role: 'pulley-bolt', count: 2 }),
  fastener('Limit screws', 'derailleur', limit, [0, 0.5], { role: 'limit-screw', count: 2 }),
  fastener('Shift cable anchor', 'derailleur', anchor, [4, 6], { role: 'shift-anchor' }),
]
export const shifterClamp = (drive: Drive): Written => fastener('Shifter clamp', 'shifter', drive, [3, 5])

export const discBrakes = (padPin: Drive, rotor: Drive, rotorBolts: number): Written[] => [
  fastener('Calliper bolts, front', 'front brake', hex(5), [6, 8], { role: 'calliper', count: 2 }),
  fastener('Calliper bolts, rear', 'rear brake', hex(5), [6, 8], { role: 'calliper', count: 2 }),
  fastener('Pad pin, front', 'front brake', padPin, [1, 3], { role: 'pad-pin', recessMm: 4 }),
  fastener('Pad pin, rear', 'rear brake', padPin, [1, 3], { role: 'pad-pin', recessMm: 4 }),
  fastener('Rotor bolts, front', 'front rotor', rotor, [4, 6], { role: 'rotor-bolt', count: rotorBolts }),
  fastener('Rotor bolts, rear', 'rear rotor', rotor, [4, 6], { role: 'rotor-bolt', count: rotorBolts }),
]
export const cableAnchors: Written[] = [
  fastener('Brake cable anchor, front', 'front brake', hex(5), [6, 8], { role: 'brake-anchor' }),
  fastener('Brake cable anchor, rear', 'rear brake', hex(5), [6, 8], { role: 'brake-anchor' }),
]
export const rimBrakes = (pad: Drive): Written[] => [
  fastener('Brake arm bolts, front', 'front brake', hex(5), [6, 9], { role: 'calliper', count: 2 }),
  fastener('Brake arm bolts, rear', 'rear brake', hex(5), [6, 9], { role: 'calliper', count: 2 }),
  fastener('Pad nuts, front', 'front brake', pad, [5, 7], { role: 'pad-pin', count: 2, swingDeg: 100 }),
  fastener('Pad nuts, rear', 'rear brake', pad, [5, 7], { role: 'pad-pin', count: 2, swingDeg: 100 }),
]
export const leverClamps = (drive: Drive): Written => fastener('Brake lever clamps', 'bar', drive, [4, 6], { count: 2 })

export const stem = (face: Drive, clamp: Drive, more: More = {}): Written[] => [
  fastener('Stem face plate', 'stem', face, [5, 6], { role: 'stem', count: 4, ...more }),
  fastener('Stem clamp', 'stem', clamp, [5, 6], { role: 'stem', count: 2, ...more }),
]
export const headsetCap = (drive: Drive): Written =>
  fastener('Headset cap', 'headset', drive, [1, 3], { role: 'headset' })
/** A threaded headset: two thin spanners too large to carry. */
export const threadedHeadset: Written = fastener('Headset lock nut', 'headset', nut(32), [15, 20], {
  role: 'headset-nut',
})

export const seat = (clamp: Drive, more: More = {}): Written[] => [
  fastener('Seat clamp', 'seat post', clamp, [5, 6], { role: 'seat-clamp', ...more }),
]
/** Under the rails, where a stubby key does not reach. */
export const saddleBolts = (drive: Drive, count: number): Written =>
  fastener('Saddle clamp', 'saddle', drive, [10, 14], {
    role: 'saddle',
    count,
    recessMm: 22,
    roomMm: 18,
    swingDeg: 140,
  })
/** Nuts on both sides of the rails. */
export const saddleNuts = (mm: number): Written =>
  fastener('Saddle clamp', 'saddle', nut(mm), [12, 16], { role: 'saddle', count: 2, swingDeg: 90 })

export const bottleCages = (count: number, drive = hex(4)): Written =>
  fastener('Cage bolts', 'mounts', drive, [2, 3], { role: 'cage-bolt', count: 2 * count })
export const rack = (count: number): Written[] => [
  fastener('Rack bolts', 'rack', hex(4), [4, 6], { role: 'rack-bolt', count }),
  fastener('Rack stay nuts', 'rack', hex(4), [4, 6], { role: 'rack-bolt', count: 2, counterhold: nut(8) }),
]
export const mudguards = (drive: Drive): Written[] => [
  fastener('Mudguard stays', 'mudguards', nut(8), [2, 4], { role: 'mudguard-bolt', count: 4, swingDeg: 120 }),
  fastener('Mudguard bridge', 'mudguards', drive, [2, 4], { role: 'mudguard-bolt', count: 2 }),
]
export const lights = (drive: Drive): Written =>
  fastener('Light bracket', 'lights', drive, [1, 3], { role: 'light', count: 2 })
export const suspensionFork: Written[] = [
  fastener('Fork air cap', 'fork', { profile: 'valve-core', size: 'schrader' }, [0.2, 0.4], {
    canWait: 'wants a shock pump, and rides low without',
  }),
  fastener('Fork lowers', 'fork', hex(5), [6, 10], { count: 2, canWait: workshop }),
]
export const pivots: Written[] = [
  fastener('Main pivot', 'pivots', hex(6), [14, 18], { role: 'pivot', count: 1 }),
  fastener('Link pivots', 'pivots', hex(5), [10, 14], { role: 'pivot', count: 4 }),
  fastener('Shock bolts', 'shock', hex(5), [9, 12], { role: 'pivot', count: 2 }),
]
