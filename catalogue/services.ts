import { z } from 'zod'
import { serviceKindSchema, type ServiceKind } from '#core/supply'

const written: z.input<typeof serviceKindSchema>[] = [
  {
    id: 'bike-shop',
    name: 'bike shop',
    mends: true,
    stocks: {
      tube: 0.98, tyre: 0.92, patch: 0.98, 'sticker-patch': 0.9, boot: 0.7, plug: 0.85, sealant: 0.9, cartridge: 0.85,
      'valve-core': 0.85, 'quick-link': 0.92, 'chain-piece': 0.9, chain: 0.92, hanger: 1, derailleur: 0.8,
      'pulley-bolt': 0.85, 'shift-cable': 0.98, 'brake-cable': 0.98, 'brake-pads': 0.9, spoke: 0.9, 'fibre-spoke': 0.1,
      'rack-bolt': 0.95, 'cleat-bolt': 0.9, cleat: 0.85, 'seat-bolt': 0.85, 'rotor-bolt': 0.85, 'zip-tie': 0.95, strap: 0.8,
      tape: 0.8, glue: 0.6, lube: 0.98, mechanic: 0.95, 'tubeless-valve': 0.85, 'cable-housing': 0.95,
      'chainring-bolt': 0.7, 'stem-bolt': 0.7, 'pulley-screw': 0.7, 'hinge-clamp': 0.1, 'o-ring': 0.5, 'thread-locker': 0.7, grease: 0.95,
      'motor-battery': 0.15, 'motor-part': 0.25, socket: 0.6, 'usb-charge': 0.7,
    },
  },
  {
    id: 'workshop',
    name: 'village workshop', shortName: 'work\u00adshop',
    mends: true,
    stocks: {
      tube: 0.4, patch: 0.7, 'brake-cable': 0.5, 'shift-cable': 0.35, 'rack-bolt': 0.9, 'seat-bolt': 0.6, 'zip-tie': 0.9,
      tape: 0.95, wire: 0.95, glue: 0.8, lube: 0.9, strap: 0.7, mechanic: 0.7, 'cable-housing': 0.4, 'stem-bolt': 0.6,
      'chainring-bolt': 0.3, cord: 0.6, 'o-ring': 0.6, 'thread-locker': 0.5, grease: 0.95, socket: 0.9, 'usb-charge': 0.6,
    },
  },
  {
    id: 'hardware-store',
    name: 'hardware store', shortName: 'hard\u00adware',
    mends: false,
    stocks: {
      tube: 0.3, patch: 0.7, 'rack-bolt': 0.95, 'seat-bolt': 0.6, 'zip-tie': 0.98, tape: 0.98, strap: 0.9, thread: 0.8,
      glue: 0.95, wire: 0.98, lube: 0.7, cord: 0.98, 'o-ring': 0.9, 'stem-bolt': 0.9,
      'thread-locker': 0.9, grease: 0.95, 'safety-pin': 0.5, tweezers: 0.4, socket: 0.2,
    },
  },
  {
    id: 'outdoor-shop',
    name: 'outdoor shop', shortName: 'out\u00addoor',
    mends: false,
    stocks: { tube: 0.5, patch: 0.65, 'zip-tie': 0.6, strap: 0.95, tape: 0.9, thread: 0.85, glue: 0.8, lube: 0.4, 'pole-sleeve': 0.8,
      'mat-patch': 0.9, cord: 0.98, 'safety-pin': 0.4, tweezers: 0.5, 'o-ring': 0.2 },
  },
  {
    id: 'supermarket',
    name: 'supermarket', shortName: 'food',
    mends: false,
    stocks: { tube: 0.25, patch: 0.3, 'zip-tie': 0.5, tape: 0.85, thread: 0.8, glue: 0.8, 'safety-pin': 0.7, tweezers: 0.7,
      acid: 0.98, cord: 0.5 },
  },
  {
    id: 'fuel-station',
    name: 'fuel station', shortName: 'fuel',
    mends: false,
    stocks: { tube: 0.1, patch: 0.25, 'zip-tie': 0.7, tape: 0.85, glue: 0.6, strap: 0.6, lube: 0.3, cord: 0.3, grease: 0.3, acid: 0.3,
      tweezers: 0.15, socket: 0.3, 'usb-charge': 0.5 },
  },
  { id: 'post', name: 'post pick-up', shortName: 'post', takesParcels: true, mends: false, stocks: {} },
  { id: 'water', name: 'water', mends: false, stocks: {} },
  // Where one sleeps under a roof there is a socket.
  { id: 'bed', name: 'bed', mends: false, stocks: { charge: 0.9, socket: 0.95, 'usb-charge': 0.95, tweezers: 0.6, 'safety-pin': 0.6 } },
]

/** What each kind of place usually stocks: chances for a usual size. Planning values, from memory. */
export const services: ServiceKind[] = z.array(serviceKindSchema).parse(written)
