import { z } from 'zod'
import { taskFields } from '../task'
import { idSchema, nameSchema, text } from '../validation'
import { fastenerSchema } from './fastener'
import { frameSchema } from './frame'
import { tyreSchema } from './tyre'
import { mostStorage, storageSchema } from './storage'
import { rimSchema, wheelSchema } from './wheel'

const shape = z.string().regex(/^[a-z0-9]{1,8}$/, 'a short shape mark of letters and digits such as "k3"')
const share = z.number().min(0).max(1)
const teeth = z.number().int().min(6).max(70)
const cableMm = z.number().min(100).max(4000).nullable().default(null)

/** The kinds of bike a passport may start from. */
export const bikeKinds = [
  'gravel',
  'hard-tail',
  'full-suspension',
  'tourer',
  'folder',
  'fat-electric',
  'single-speed',
] as const
export type BikeKind = (typeof bikeKinds)[number]
/** What a bike is taken for until somebody says what it is. */
export const assumedKind: BikeKind = 'gravel'

/** Work on a bike that is to be done at home. */
export const plannedJobSchema = z.object({ job: text(40).min(1), ...taskFields })

/** A check of a bike of which somebody has said when it is done, by whom, or what became of it. */
export const plannedCheckSchema = z.object({ check: text(40).min(1), ...taskFields })

/** A bike's passport: what fails on it, what fits it, what turns it. */
export const bikeSchema = z.object({
  id: idSchema,
  name: nameSchema,
  kind: z.enum(bikeKinds).default(assumedKind),
  frame: frameSchema.prefault({}),

  tyres: z.object({ front: tyreSchema, rear: tyreSchema }),
  rims: z.object({ front: rimSchema.prefault({}), rear: rimSchema.prefault({}) }).prefault({}),
  valve: z.enum(['presta', 'schrader']).default('presta'),
  /** Sealant left in tubeless tyres, 1 when just filled. */
  sealantLeft: share.default(0.8),
  wheels: z.object({ front: wheelSchema.prefault({}), rear: wheelSchema.prefault({}) }).prefault({}),

  gears: z.enum(['derailleur', 'hub', 'single']).default('derailleur'),
  shifting: z.enum(['cable', 'electric', 'none']).default('cable'),
  speeds: z.number().int().min(1).max(14).default(11),
  chainrings: z.array(teeth).min(1).max(3).default([40]),
  /** Teeth of each sprocket, the smallest first. */
  sprockets: z.array(teeth).min(1).max(14).default([11, 13, 15, 17, 19, 21, 24, 28, 32, 37, 42]),
  /** Links of the chain as it is, each of half an inch; null where nobody has counted. */
  chainLinks: z.number().int().min(50).max(250).nullable().default(null),
  hanger: shape.default('a1'),
  /** The hanger is part of the frame: there is none to be changed. */
  hangerOfFrame: z.boolean().default(false),
  /** Spline of what holds the sprockets. */
  lockring: shape.default('c1'),
  /** Chain life left, 1 when new. */
  chainLeft: share.default(0.8),
  /** Life that the shift cables have left before they fray, 1 when new. */
  cablesLeft: share.default(0.8),

  brakes: z.enum(['rim', 'cable-disc', 'hydraulic-disc']).default('cable-disc'),
  padShape: shape.default('b1'),
  padCompound: z.enum(['organic', 'sintered', 'rubber']).default('organic'),
  /** Thickness left of what may be worn away, 1 when new. */
  padLeft: share.default(0.8),
  /** Inner cables this bike needs at least, mm; null where nobody has measured. */
  cables: z
    .object({ frontBrakeMm: cableMm, rearBrakeMm: cableMm, rearShiftMm: cableMm, frontShiftMm: cableMm })
    .prefault({}),

  pedals: z.enum(['flat', 'two-bolt', 'three-bolt']).default('flat'),
  racks: z.object({ front: z.boolean().default(false), rear: z.boolean().default(false) }).prefault({}),
  mudguards: z.boolean().default(false),
  leatherSaddle: z.boolean().default(false),
  /** Travel in mm; 0 where there is none. */
  suspension: z
    .object({ forkMm: z.number().min(0).max(250).default(0), rearMm: z.number().min(0).max(250).default(0) })
    .prefault({}),
  motor: z.enum(['none', 'mid', 'front-hub', 'rear-hub']).default('none'),
  batteryWh: z.number().min(0).max(3000).default(0),
  lights: z.enum(['none', 'battery', 'dynamo']).default('battery'),
  /** Whether every bolt has been checked, and those that come loose are locked. */
  boltsLocked: z.boolean().default(false),
  /** Whether somebody of the crew has worked on it; not where it is hired, borrowed or new. */
  known: z.boolean().default(true),
  /** Places for a bottle or a cage. */
  bottleMounts: z.number().int().min(0).max(8).default(2),
  /** What things are carried in. */
  storage: z
    .array(storageSchema)
    .max(mostStorage)
    .refine((list) => new Set(list.map(({ id }) => id)).size === list.length, {
      message: 'places for things that each have an id of their own',
    })
    .default([]),
  /** What it carries for the night, and what may fail of it: a tent with poles, a mat to blow up. */
  camp: z.object({ tent: z.boolean().default(false), mat: z.boolean().default(false) }).prefault({}),

  /** What will have been done to it by departure. */
  jobs: z.array(plannedJobSchema).max(30).default([]),
  /** What is looked over before departure, as far as something is said of it; all else is still open. */
  checks: z
    .array(plannedCheckSchema)
    .max(60)
    .refine((list) => new Set(list.map(({ check }) => check)).size === list.length, {
      message: 'checks of which none is named twice',
    })
    .default([]),

  /** How much slower than a walker one is pushing this bike loaded; planning value 1.15. */
  pushFactor: z.number().min(1).max(4).default(1.15),
  /** Every bolt, nut and screw that may have to be turned. */
  fasteners: z
    .array(fastenerSchema)
    .max(120)
    .refine((list) => new Set(list.map(({ id }) => id)).size === list.length, {
      message: 'fasteners that each have an id of their own',
    })
    .default([]),
})
export type Bike = z.infer<typeof bikeSchema>
