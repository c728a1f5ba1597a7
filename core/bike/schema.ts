import { z } from 'zod'
import { tyreSchema } from './tyre'

const shape = z.string().regex(/^[a-z0-9]{1,8}$/, 'a short shape mark of letters and digits such as "k3"')
const share = z.number().min(0).max(1)

/** What the hazards and fixes need to know of a bike. */
export const bikeSchema = z.object({
  id: z.string().min(1).max(60),
  name: z.string().min(1).max(120),
  tyres: z.object({ front: tyreSchema, rear: tyreSchema }),
  valve: z.enum(['presta', 'schrader']).default('presta'),
  /** Sealant left in tubeless tyres, 1 when just filled. */
  sealantLeft: share.default(0.8),
  gears: z.enum(['derailleur', 'hub', 'single']).default('derailleur'),
  shifting: z.enum(['cable', 'electric', 'none']).default('cable'),
  speeds: z.number().int().min(1).max(14).default(11),
  hanger: shape.default('a1'),
  /** Chain life left, 1 when new. */
  chainLeft: share.default(0.8),
  brakes: z.enum(['rim', 'cable-disc', 'hydraulic-disc']).default('cable-disc'),
  padShape: shape.default('b1'),
  padLeft: share.default(0.8),
  spokes: z
    .object({
      nippleMm: z.number().min(3).max(5).default(3.2),
      frontMm: z.number().int().min(60).max(350).default(290),
      rearLeftMm: z.number().int().min(60).max(350).default(290),
      rearDriveMm: z.number().int().min(60).max(350).default(288),
    })
    .prefault({}),
  rearSuspension: z.boolean().default(false),
  rack: z.boolean().default(false),
  cleats: z.boolean().default(false),
  /** How much slower than a walker one is pushing this bike loaded; planning value 1.15. */
  pushFactor: z.number().min(1).max(4).default(1.15),
})
export type Bike = z.infer<typeof bikeSchema>
