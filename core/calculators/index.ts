import { cartridges, compressor, height, strokes } from './air'
import type { Calculator } from './calculator'
import { chainLength, chainSwaps, cutChain, singleSpeed } from './chain'
import { force, lube, pads, sealant, tape } from './consumables'
import { spokeLength } from './wheel'

export * from './calculator'
export * from './uncertainty'

/** The calculations people do on the back of an envelope, by what they are about. */
export const calculators: readonly { readonly about: string; readonly calculators: readonly Calculator[] }[] = [
  { about: 'Air', calculators: [cartridges, strokes, compressor, height] },
  { about: 'Wheels', calculators: [spokeLength] },
  { about: 'Chain', calculators: [chainLength, cutChain, singleSpeed, chainSwaps] },
  { about: 'What runs out', calculators: [lube, sealant, pads, tape] },
  { about: 'Hands', calculators: [force] },
]
