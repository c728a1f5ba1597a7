import { thingSchema, type Thing } from '#core/bench'
import { items } from '../items'

/** Laid down to see what they would be worth. */
const notOwned = ['pads-b2', 'spoke-288', 'needle-thread', 'torque-key', 'lube-60', 'rack-bolts']

/** A thing taken from the catalogue, as it lies on the bench. */
function taken(from: string, change: Partial<Thing> = {}): Thing {
  const item = items.find((candidate) => candidate.id === from)
  if (!item) throw new RangeError(`the catalogue has no "${from}"`)
  const { name, massG, provides, heads, comesApart, units, measures } = item
  const said = { id: from, from, name, massG, provides, heads, comesApart, units, measures, ...change }
  return thingSchema.parse({ ...said, shed: notOwned.includes(said.id) ? null : said.id })
}

/** About 45 things two riders own. */
export const demoBench: Thing[] = [
  taken('hose-pump', { massG: 142 }),
  taken('mini-pump', { massG: 98, note: 'Second pump, in case the two ride apart.' }),
  taken('co2-head'),
  taken('co2-25', { count: 4, massG: 91 }),
  taken('tube-622', { count: 4, massG: 178 }),
  taken('tube-622-light', {
    count: 2,
    massG: 108,
    condition: 0.9,
    note: 'A year in the bag, held under water in spring.',
  }),
  taken('patch-kit', { massG: 27 }),
  taken('sticker-patches'),
  taken('levers-two', { massG: 23 }),
  taken('lever-strong'),
  taken('boot', { count: 3 }),
  taken('boot-cloth'),
  taken('plug-kit', { massG: 29 }),
  taken('plugs'),
  taken('sealant-60', { count: 2 }),
  taken('core-tool'),
  taken('core-presta', { count: 2 }),
  taken('tyre-622', { massG: 468 }),
  taken('link-12', { count: 3 }),
  taken('link-11', { count: 3 }),
  taken('piece-12'),
  taken('piece-11'),
  taken('breaker', { massG: 64 }),
  taken('link-pliers'),
  taken('hanger', { id: 'hanger-k3', name: 'Hanger, shape K3', massG: 19, units: { 'hanger-k3': 1 } }),
  taken('hanger', { id: 'hanger-m7', name: 'Hanger, shape M7', massG: 23, units: { 'hanger-m7': 1 } }),
  taken('pulley'),
  taken('shift-cable', { count: 2 }),
  taken('brake-cable', { count: 2 }),
  taken('pads-b1', { count: 2 }),
  taken('pads-b2', { count: 2 }),
  taken('rotor-bolts'),
  taken('spoke', { id: 'spoke-291', name: 'Spoke with nipple, 291 mm', count: 3, units: { 'spoke-291': 1 } }),
  taken('spoke-288', { count: 3 }),
  taken('fibre-spoke', { count: 2 }),
  taken('spoke-key'),
  taken('lockring-tool'),
  taken('folding-17', { massG: 171 }),
  taken('folding-9'),
  taken('key-8'),
  taken('torque-key'),
  taken('multi-pliers', { massG: 138 }),
  taken('needle-thread'),
  taken('tape'),
  taken('zip-ties'),
  taken('hook-loop'),
  taken('wire'),
  taken('rag', { massG: 10 }),
  taken('rack-bolts'),
  taken('cleat-bolts'),
  taken('seat-bolt'),
  taken('lube-15'),
  taken('lube-60'),
  taken('super-glue'),
]
