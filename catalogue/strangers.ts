import { z } from 'zod'
import { fastenerSchema, type Fastener } from '#core/bike'
import { fastener, hex, nut, phillips, torx } from './fasteners'

const nipple = (size: number) => fastener(`Nipples, ${size} mm`, 'front wheel', { profile: 'nipple', size }, [0.5, 1])

/**
 * What other people's bikes are held together with, where one may be asked for help: sizes by common practice, no source;
 * torques are planning values.
 */
export const ofStrangers: readonly Fastener[] = z
  .array(fastenerSchema)
  .parse([
    nipple(3.2),
    nipple(3.3),
    nipple(3.4),
    nipple(3.9),
    fastener('Small bolts, hex 2.5', 'bar', hex(2.5), [1, 3]),
    fastener('Bottle and brake bolts, hex 3', 'mounts', hex(3), [1, 3]),
    fastener('Stem and rack bolts, hex 4', 'bar', hex(4), [4, 6]),
    fastener('Seat post and calliper bolts, hex 5', 'saddle', hex(5), [5, 8]),
    fastener('Seat clamp and axle bolts, hex 6', 'rear wheel', hex(6), [10, 15]),
    fastener('Pedals and cranks, hex 8', 'pedals', hex(8), [30, 40]),
    fastener('Stem and rotor bolts, T25', 'front brake', torx(25), [4, 7]),
    fastener('Chainring bolts, T30', 'chainring', torx(30), [8, 12]),
    fastener('Limit screws', 'derailleur', phillips(2), [0.3, 1]),
    fastener('Mudguard and light nuts, 8 mm', 'mudguards', nut(8), [2, 4]),
    fastener('Brake and rack nuts, 10 mm', 'rack', nut(10), [5, 8]),
    fastener('Seat clamp nut, 13 mm', 'saddle', nut(13), [12, 18]),
    fastener('Pedals, 15 mm flats', 'pedals', nut(15), [30, 40], { openEndOnly: true, gapMm: 8 }),
    fastener('Axle nuts, 15 mm', 'rear wheel', nut(15), [30, 40]),
  ])
