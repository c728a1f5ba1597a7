import { cartridges, compressor, height, strokes } from './air'
import { chainLength, chainSwaps, cutChain, singleSpeed } from './chain'
import { force, lube, pads, sealant, tape } from './stuff'
import type { Sum } from './sum'
import { spokeLength } from './wheel'

export * from './sum'
export * from './uncertain'
export * from './prefill'

/** The reckonings people do on the back of an envelope, by what they are about. */
export const sums: readonly { readonly about: string; readonly sums: readonly Sum[] }[] = [
  { about: 'Air', sums: [cartridges, strokes, compressor, height] },
  { about: 'Wheels', sums: [spokeLength] },
  { about: 'Chain', sums: [chainLength, cutChain, singleSpeed, chainSwaps] },
  { about: 'What runs out', sums: [lube, sealant, pads, tape] },
  { about: 'Hands', sums: [force] },
]
