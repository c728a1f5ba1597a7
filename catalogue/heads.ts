import { defined } from '#core/validation'
import type { headSchema } from '#core/bench'
import type { z } from 'zod'

type Written = z.input<typeof headSchema>
type Profile = 'hex' | 'hexalobular' | 'phillips' | 'pozidriv' | 'slot'

/** The lever of a common folding tool: half its closed length. Planning values, from memory. */
const folded = { leverMm: 65, reachMm: 24, bodyMm: 14 }

/** Blades of a folding tool: short, and thick beside. */
export const folding = (profile: Profile, ...sizes: number[]): Written[] =>
  sizes.map((size) => ({ profile, size, ...folded }))
/** Other ends of a folding tool. */
export const foldingEnd = (head: Written): Written => ({ ...folded, ...head })

/**
 * Arms of hexagon keys, long and short, mm, by their size.
 * Source: ISO 2936, hexagon socket screw keys, standard lengths; from memory.
 */
const keyArmsMm: Readonly<Record<number, readonly [number, number]>> = {
  1.5: [45, 14],
  2: [50, 16],
  2.5: [56, 18],
  3: [63, 20],
  4: [70, 25],
  5: [80, 28],
  6: [90, 32],
  8: [100, 36],
  10: [112, 40],
}

/** Loose keys: the short arm in the socket, the long one in the hand. */
export const keys = (...sizes: number[]): Written[] =>
  sizes.map((size) => {
    const [leverMm, reachMm] = defined(keyArmsMm[size])
    return { profile: 'hex', size, leverMm, reachMm, bodyMm: size }
  })

/** The hollow that a loose key goes into: its short arm lies across. */
export const boreOfKeys = (...sizes: number[]) => Math.max(...sizes.map((size) => defined(keyArmsMm[size])[1]))

/** Bits in a holder with a cross handle. */
export const bits = (profile: Profile, ...sizes: number[]): Written[] =>
  sizes.map((size) => ({ profile, size, leverMm: 55, reachMm: 25, bodyMm: 7 }))

/** Bits in a slim holder that is a plug of a handlebar's end: what is in the hand is as short as the hollow allows. */
export const slimBits = (profile: Profile, ...sizes: number[]): Written[] =>
  sizes.map((size) => ({ profile, size, leverMm: 40, reachMm: 30, bodyMm: 8 }))

/** A screwdriver on a knife or pliers: turned between the fingers. */
export const driver = (profile: Profile, size: number): Written => ({
  profile,
  size,
  leverMm: 14,
  reachMm: 30,
  bodyMm: 10,
  spins: true,
})

/** A flat spanner. */
export const spanner = (profile: 'open-end' | 'ring', size: number, leverMm: number, thickMm: number): Written => ({
  profile,
  size,
  leverMm,
  reachMm: 12,
  bodyMm: size * 0.8,
  thickMm,
})

export const nippleKeys = (...sizes: number[]): Written[] =>
  sizes.map((size) => ({ profile: 'spoke-key', size, leverMm: 16, reachMm: 10, bodyMm: 8 }))

export const chainBreaker: Written = { profile: 'chain-pin', leverMm: 35, spins: true }
export const linkPliers: Written = { profile: 'link-pliers', leverMm: 60 }
export const coreKeys = (...kinds: ('presta' | 'schrader')[]): Written[] =>
  kinds.map((size) => ({ profile: 'valve-core', size, leverMm: 9, reachMm: 20, bodyMm: 5, spins: true }))
export const gripping = (opensMm: number): Written => ({
  profile: 'pliers',
  size: opensMm,
  leverMm: 90,
  thickMm: 5,
  bodyMm: 15,
})
