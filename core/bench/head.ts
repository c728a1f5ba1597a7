import { z } from 'zod'

/** Heads that drive a socket or a slot, or close round the flats of a nut, as wide as they are. */
export const fixedHeads = ['hex', 'slot', 'open-end', 'ring', 'socket', 'spoke-key'] as const
/** Heads that open up to a width. */
export const openingHeads = ['adjustable', 'pliers'] as const
/** Heads known by a number: T25, PH2, PZ2. */
export const numberedHeads = ['hexalobular', 'phillips', 'pozidriv'] as const
/** Heads known by a name: a lockring's spline, a kind of valve core. */
export const namedHeads = ['spline', 'valve-core'] as const
export const sizelessHeads = ['chain-pin', 'link-pliers'] as const

const common = {
  /** From the axis to where the hand pulls, mm; 0 for a head with no lever of its own. */
  leverMm: z.number().min(0).max(1000).default(80),
  /** How far it stands out of the body it turns with, mm. */
  reachMm: z.number().min(0).max(500).default(25),
  /** Half the width of the body close to it, mm: the room it needs beside a fastener. */
  bodyMm: z.number().min(0).max(200).default(8),
  /** Thickness of a jaw, mm; matters between narrow flats only. */
  thickMm: z.number().min(0).max(60).default(6),
  /** Spun between the fingers like a screwdriver: it sweeps no lever round. */
  spins: z.boolean().default(false),
  /** Flats by which another spanner turns it, mm; null where the head is turned by its own body. */
  turnedByMm: z.number().min(3).max(60).nullable().default(null),
  /** Torque it can be set to, N·m, from and to; null where it feels none. */
  setNm: z
    .object({ least: z.number().gt(0).max(300), most: z.number().gt(0).max(300) })
    .refine(({ least, most }) => most >= least, {
      message: 'a range whose most is not below its least',
      path: ['most'],
    })
    .nullable()
    .default(null),
}

/** One end of a tool: what it gets hold of, and how well it can be turned. Planning values until measured. */
export const headSchema = z.discriminatedUnion('profile', [
  z.object({ profile: z.enum(fixedHeads), size: z.number().min(0.5).max(60), ...common }),
  z.object({ profile: z.enum(openingHeads), size: z.number().min(0.5).max(80), ...common }),
  z.object({ profile: z.enum(numberedHeads), size: z.number().int().min(0).max(100), ...common }),
  z.object({
    profile: z.enum(namedHeads),
    size: z.string().regex(/^[a-z0-9-]{1,20}$/, 'a short name of letters, digits and hyphens such as "presta"'),
    ...common,
  }),
  z.object({ profile: z.enum(sizelessHeads), ...common }),
])
export type Head = z.infer<typeof headSchema>
