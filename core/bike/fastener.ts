import { z } from 'zod'
import { idSchema, nameSchema, text } from '../validation'
import { bikeParts } from './parts'

/** Drives measured in millimetres: across flats, or the width of a blade. */
export const measuredDrives = ['hex', 'slot', 'flats', 'nipple'] as const
/** Drives known by a number: T25, PH2, PZ2. */
export const numberedDrives = ['hexalobular', 'phillips', 'pozidriv'] as const
/** Drives known by a name: the spline of a lockring, the kind of a valve core. */
export const namedDrives = ['spline', 'valve-core'] as const
/** Drives of one kind only. By hand: a lever or a thumbscrew that wants no tool. */
export const sizelessDrives = ['chain-pin', 'quick-link', 'by-hand'] as const

const sizeName = z.string().regex(/^[a-z0-9-]{1,20}$/, 'a short name of letters, digits and hyphens such as "presta"')

/** What a tool has to get hold of. */
export const driveSchema = z.discriminatedUnion('profile', [
  z.object({ profile: z.enum(measuredDrives), size: z.number().min(0.5).max(60) }),
  z.object({ profile: z.enum(numberedDrives), size: z.number().int().min(0).max(100) }),
  z.object({ profile: z.enum(namedDrives), size: sizeName }),
  z.object({ profile: z.enum(sizelessDrives) }),
])
export type Drive = z.infer<typeof driveSchema>

/** Something on a bike that a tool turns. All measures are planning values until somebody has looked. */
export const fastenerSchema = z.object({
  id: idSchema,
  name: nameSchema,
  part: z.enum(bikeParts),
  /** What fixes call it: "hanger-bolt"; empty where no fix asks for it. */
  role: z
    .string()
    .regex(/^[a-z0-9-]{0,40}$/, 'a role such as "hanger-bolt"')
    .default(''),
  count: z.number().int().min(1).max(99).default(1),
  drive: driveSchema,
  /** Tightening torque, N·m. The maker's manual decides. */
  torqueNm: z
    .object({ least: z.number().min(0).max(300), most: z.number().min(0).max(300) })
    .refine(({ least, most }) => most >= least, {
      message: 'a torque whose most is not below its least',
      path: ['most'],
    }),
  /** Torque it takes to come loose, N·m; null: as much as it was tightened with. */
  looseNm: z.number().min(0).max(300).nullable().default(null),
  /** How deep the drive lies, mm: a key must reach that far. */
  recessMm: z.number().min(0).max(400).default(0),
  /** Room beside its axis for the body of a tool, mm. */
  roomMm: z.number().min(1).max(500).default(100),
  /** How far a lever can swing before it meets something, degrees. */
  swingDeg: z.number().min(5).max(360).default(360),
  /** An axle or a cable runs through it: a ring or a socket cannot be put over. */
  openEndOnly: z.boolean().default(false),
  /** Width of the flats along the axis, mm, where only a thin jaw gets in; null where any does. */
  gapMm: z.number().min(1).max(60).nullable().default(null),
  /** What a second tool has to hold on the other side; null where nothing turns with it. */
  counterhold: driveSchema.nullable().default(null),
  /** It clamps carbon, or a light part that breaks: a torque key and the maker's value decide. */
  wantsTorqueKey: z.boolean().default(false),
  /** Why it can wait for a workshop; empty where it cannot. */
  canWait: text(200).default(''),
})
export type Fastener = z.infer<typeof fastenerSchema>

/** What a fastener may need at most, N·m: the larger of tightening it enough and getting it loose. */
export function hardestNm({ torqueNm, looseNm }: Pick<Fastener, 'torqueNm' | 'looseNm'>): number {
  return Math.max(torqueNm.least, looseNm ?? torqueNm.most)
}
