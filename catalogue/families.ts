import { z } from 'zod'
import { supplyFamilySchema, type SupplyFamily } from '../core/supply'

const written: z.input<typeof supplyFamilySchema>[] = [
  {
    id: 'tube',
    name: 'tube',
    variant: 'bead',
    commonness: { '622': 1, '584': 0.95, '559': 0.9, '507': 0.6, '406': 0.6, '349': 0.2, '355': 0.15, '305': 0.5 },
    otherwise: 0.1,
    unit: 'tube',
  },
  {
    id: 'tyre',
    name: 'tyre',
    variant: 'bead',
    commonness: { '622': 1, '584': 0.9, '559': 0.85, '507': 0.5, '406': 0.5, '349': 0.15, '305': 0.4 },
    otherwise: 0.08,
    unit: 'tyre',
  },
  { id: 'patch', name: 'glued patch', variant: 'none', unit: 'patch' },
  { id: 'sticker-patch', name: 'self-stick patch', variant: 'none', unit: 'patch' },
  { id: 'boot', name: 'tyre boot', variant: 'none', unit: 'boot' },
  { id: 'plug', name: 'tubeless plug', variant: 'none', unit: 'plug' },
  { id: 'sealant', name: 'sealant', variant: 'none', unit: 'mL' },
  { id: 'cartridge', name: 'CO2 cartridge', variant: 'none', unit: 'cartridge', goesByPost: false },
  {
    id: 'valve-core',
    name: 'valve core',
    variant: 'kind',
    commonness: { presta: 0.8, schrader: 0.9 },
    otherwise: 0.5,
    unit: 'core',
  },
  { id: 'tubeless-valve', name: 'tubeless valve', variant: 'none', unit: 'valve' },
  { id: 'charge', name: 'charge for a compressor', variant: 'none', unit: 'Wh', goesByPost: false },
  {
    id: 'quick-link',
    name: 'quick link',
    variant: 'speeds',
    commonness: { '8': 0.9, '9': 0.9, '10': 0.9, '11': 1, '12': 0.9, '13': 0.4 },
    otherwise: 0.6,
    unit: 'link',
  },
  { id: 'chain-piece', name: 'piece of chain', variant: 'speeds', unit: 'piece' },
  {
    id: 'chain',
    name: 'chain',
    variant: 'speeds',
    commonness: { '11': 1, '12': 0.9, '13': 0.4 },
    otherwise: 0.85,
    unit: 'chain',
  },
  // Common practice, no source: shops seldom stock the one that fits.
  { id: 'hanger', name: 'derailleur hanger', variant: 'shape', commonness: {}, otherwise: 0.08, unit: 'hanger' },
  { id: 'derailleur', name: 'rear derailleur', variant: 'speeds', commonness: {}, otherwise: 0.75, unit: 'derailleur' },
  { id: 'pulley-bolt', name: 'pulley with bolt', variant: 'none', unit: 'piece' },
  { id: 'shift-cable', name: 'shift cable', variant: 'none', unit: 'cable' },
  { id: 'brake-cable', name: 'brake cable', variant: 'none', unit: 'cable' },
  {
    id: 'brake-pads',
    name: 'brake pads',
    variant: 'shape',
    commonness: { b1: 1, b2: 0.85, r1: 1 },
    otherwise: 0.4,
    unit: 'pair',
  },
  { id: 'spoke', name: 'spoke', variant: 'length', commonness: {}, otherwise: 0.7, unit: 'spoke' },
  { id: 'fibre-spoke', name: 'fibre spoke', variant: 'none', unit: 'spoke' },
  { id: 'rack-bolt', name: 'M5 rack bolt', variant: 'none', unit: 'bolt' },
  { id: 'cleat', name: 'cleat', variant: 'kind', commonness: { two: 0.9, three: 0.7 }, unit: 'cleat' },
  { id: 'cleat-bolt', name: 'cleat bolt with washer', variant: 'none', unit: 'bolt' },
  { id: 'seat-bolt', name: 'seat-clamp bolt', variant: 'none', unit: 'bolt' },
  { id: 'rotor-bolt', name: 'rotor bolt', variant: 'none', unit: 'bolt' },
  { id: 'zip-tie', name: 'zip tie', variant: 'none', unit: 'tie' },
  { id: 'strap', name: 'strap', variant: 'none', unit: 'strap' },
  { id: 'tape', name: 'cloth tape', variant: 'none', unit: 'm' },
  { id: 'thread', name: 'nylon thread', variant: 'none', unit: 'm' },
  { id: 'glue', name: 'contact glue', variant: 'none', unit: 'use', goesByPost: false },
  { id: 'wire', name: 'binding wire', variant: 'none', unit: 'm' },
  { id: 'lube', name: 'chain lube', variant: 'none', unit: 'mL' },
  { id: 'mechanic', name: 'a mechanic', variant: 'none', unit: 'hour', goesByPost: false },
]

/**
 * Kinds of parts that shops stock and riders carry. How usual a size is are
 * planning values: 622 mm and 11- or 12-speed are everywhere, odd ones are not.
 */
export const families: SupplyFamily[] = z.array(supplyFamilySchema).parse(written)
