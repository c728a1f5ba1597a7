import { z } from 'zod'
import { catalogueItemSchema, packingSchema } from '../bench'
import { bikeSchema, storageSchema } from '../bike'
import { checkSchema, trialSchema } from '../checks'
import { sharingSchema, techniqueSchema } from '../crew'
import { fixSchema, turningSchema } from '../fix'
import { hazardSchema } from '../hazard'
import { errandsSchema, jobSchema } from '../jobs'
import { serviceKindSchema, supplyFamilySchema } from '../supply'

/** A function of a tool, by the name people use. */
export const toolFunctionSchema = z.object({
  id: z.string(),
  name: z.string(),
  /** The valve that it pumps up by hand, stroke by stroke. */
  pumps: z.enum(['presta', 'schrader']).optional(),
})
export type ToolFunction = z.infer<typeof toolFunctionSchema>

const chance = z.number().min(0).max(1)
const handRowSchema = z.tuple([chance, chance, chance, chance]).readonly()

/** All that a trip is analysed against: what fails, what mends it, what exists and who stocks it. */
export const referenceSchema = z.object({
  families: z.array(supplyFamilySchema),
  services: z.array(serviceKindSchema),
  functions: z.array(toolFunctionSchema),
  techniques: z.array(techniqueSchema),
  hazards: z.array(hazardSchema),
  fixes: z.array(fixSchema),
  /** How surely hands can do what is easy, medium and hard: never done, watched, done at home, done on the road. */
  hands: z.object({ easy: handRowSchema, medium: handRowSchema, hard: handRowSchema }),
  /** The chance that a tool works on a trip, by what it is. */
  works: z.object({ pump: chance, compressor: chance, folding: chance, lever: chance, simple: chance }),
  turning: turningSchema,
  sharing: sharingSchema,
  packing: packingSchema,
  /** What can be done to a bike at home, and what else is done before a ride. */
  jobs: z.array(jobSchema),
  errands: errandsSchema,
  /** What is looked over on a bike before a ride, and how spares and tools are tried. */
  checks: z.array(checkSchema),
  trials: z.array(trialSchema),
  items: z.array(catalogueItemSchema),
  /** What things are carried in, as a bike gets it. */
  containers: z.array(storageSchema),
  /** A bike of each kind, to start a passport from. */
  bikes: z.array(bikeSchema),
})
export type Reference = z.infer<typeof referenceSchema>
