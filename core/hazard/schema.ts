import { z } from 'zod'
import { bikeTraits } from '../bike'
import { surfaces } from '../road'

/** What may be asked of the road where a hazard strikes. */
export const roadTraits = [...surfaces, 'thorns', 'wet'] as const
export type RoadTrait = (typeof roadTraits)[number]

export const bikeTraitSchema = z.enum(bikeTraits)
export const roadTraitSchema = z.enum(roadTraits)

/** Which bikes something applies to. */
export const appliesSchema = z
  .object({ all: z.array(bikeTraitSchema).default([]), none: z.array(bikeTraitSchema).default([]) })
  .prefault({})
export type Applies = z.infer<typeof appliesSchema>

const common = {
  id: z.string(),
  name: z.string(),
  /** Struck once for each bike, or once for each wheel. */
  strikes: z.enum(['bike', 'wheel']).default('bike'),
  applies: appliesSchema,
  /** Supply class that settles it for good, with the bike's sizes left open: "tube-{bead}". */
  settledBy: z.string(),
  /** Classes that settle it as well: a patch, a mechanic's hands. */
  alsoSettledBy: z.array(z.string()).default([]),
  /** Chance that the bike cannot be ridden with it at all. */
  stops: z.number().min(0).max(1).default(1),
  /** How much slower the bike is ridden with it otherwise; by the spokes that are left, where it is one of them. */
  limpShare: z.union([z.number().min(0).max(5), z.literal('by spokes')]).default(0.15),
  /** The wheel it strikes, where it is one only. */
  wheel: z.enum(['front', 'rear']).optional(),
  /** The role of the fasteners of which one fails, each as likely as the others. */
  fastener: z.string().optional(),
  onBike: z.array(z.object({ when: bikeTraitSchema, times: z.number().gt(0) })).default([]),
  /** As many times as often on a tyre with no tread left as on a new one. */
  onWornTread: z.number().gt(0).default(1),
  onRoad: z.array(z.object({ when: roadTraitSchema, times: z.number().gt(0) })).default([]),
  /** The share of it that goes by metres descended, and the metres for a km that its rate or its life is meant for. */
  byDescent: z.object({ share: z.number().min(0).max(1), mPerKm: z.number().gt(0) }).optional(),
  caution: z.string().default(''),
  source: z.string().default('planning value'),
}

/** Fails without warning, at a rate: a Poisson process along the road. */
export const suddenHazardSchema = z.object({
  kind: z.literal('sudden'),
  ...common,
  /** Events per 1000 km, a Gamma belief: its mean and the thousands of km of experience behind it. */
  per1000km: z.number().gt(0),
  onThousandKm: z.number().gt(0).default(5),
})

/** Parts of a bike whose remaining life is known at departure. */
export const wearingParts = ['pads', 'chain', 'tread', 'sealant', 'lube', 'cables'] as const

/** Wears out: an amount used up along the road, with a spread. */
export const wearingHazardSchema = z.object({
  kind: z.literal('wearing'),
  ...common,
  part: z.enum(wearingParts),
  /** Mean life of a new one in km of gravel. */
  lifeKm: z.number().gt(0),
  /** Standard deviation of a life as a share of its mean. */
  spread: z.number().gt(0).max(1),
})

export const hazardSchema = z.discriminatedUnion('kind', [suddenHazardSchema, wearingHazardSchema])
export type Hazard = z.infer<typeof hazardSchema>
export type WearingHazard = z.infer<typeof wearingHazardSchema>
