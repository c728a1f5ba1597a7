import { intoShed, ownedFrom, type OwnedThing } from '#core/shed'
import { planningCurrency } from '#core/money'
import { items } from '../items'
import { demoBench } from './bench'

/** What is known of some things beyond what lies on the bench. */
const known: Readonly<Record<string, Partial<OwnedThing>>> = {
  'hose-pump': { isWeighed: true, price: 3490, bought: '2022-04-09', uses: 61 },
  'mini-pump': { isWeighed: true, price: 2450, bought: '2019-05-11', uses: 14 },
  'co2-25': { isWeighed: true, price: 420, bought: '2025-03-22', tested: '2026-05-02' },
  'tube-622': { isWeighed: true, price: 890, bought: '2026-04-18' },
  'tube-622-light': { isWeighed: true, price: 950, bought: '2025-04-12', tested: '2026-04-20' },
  'patch-kit': { isWeighed: true, price: 350, bought: '2025-08-01' },
  'levers-two': { isWeighed: true, price: 380, uses: 33 },
  'plug-kit': { isWeighed: true, price: 1600, bought: '2025-03-01', uses: 2 },
  'sealant-60': { bought: '2025-02-14', opened: '2025-09-06', note: 'The bottle from the autumn, half full.' },
  'tyre-622': { isWeighed: true, price: 4700 },
  breaker: { isWeighed: true, price: 1450, uses: 9 },
  'folding-17': { isWeighed: true, price: 4200, bought: '2021-06-19', uses: 140 },
  'multi-pliers': { isWeighed: true, price: 5600, uses: 48 },
  'super-glue': { bought: '2025-11-03' },
}

/** At home, and not on the bench of this trip. */
const atHome: readonly (readonly [string, Partial<OwnedThing>])[] = [
  ['co2-16', { count: 3, bought: '2023-05-20' }],
  ['tube-584', { bought: '2021-07-03' }],
  ['compressor', { isWeighed: true, massG: 402, price: 8900, bought: '2024-12-24', uses: 12 }],
  ['key-set', { uses: 210 }],
  ['pads-r1', { count: 2 }],
]

/** What the demo rider owns: nearly all of her bench, and some more. */
export const demoShed: OwnedThing[] = [
  ...demoBench
    .filter(({ shed }) => shed !== null)
    .map((thing) => ({ ...intoShed(thing, thing.shed ?? thing.id, planningCurrency), ...known[thing.id] })),
  ...atHome.flatMap(([id, more]) => {
    const item = items.find((candidate) => candidate.id === id)
    return item ? [{ ...ownedFrom(item, id, planningCurrency), ...more }] : []
  }),
]
