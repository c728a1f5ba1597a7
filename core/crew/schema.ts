import { z } from 'zod'
import { taskFields } from '../task'
import { idSchema, nameSchema, text } from '../validation'

/** 0 never · 1 watched · 2 done at home · 3 done on the road. */
export const skillSchema = z.union([z.literal(0), z.literal(1), z.literal(2), z.literal(3)])
export type Skill = z.infer<typeof skillSchema>

export const skillWords = ['never', 'watched', 'done at home', 'done on the road'] as const

export const difficultySchema = z.enum(['easy', 'medium', 'hard'])
export type Difficulty = z.infer<typeof difficultySchema>

/** What a skill is for, as people would look for it. */
export const handFamilySchema = z.enum([
  'tyres',
  'chain',
  'brakes and cables',
  'wheels',
  'bolts and straps',
  'riding on',
])

/** A skill that a fix needs. */
export const techniqueSchema = z.object({
  id: z.string(),
  name: z.string(),
  difficulty: difficultySchema,
  family: handFamilySchema,
})
export type Technique = z.infer<typeof techniqueSchema>

/** Something to be done once more before departure, until the hands know it. */
export const practiceSchema = z.object({
  technique: text(60),
  /** The level it comes to. */
  level: skillSchema,
  ...taskFields,
})

/** The most a bike and its rider are asked to carry. */
const mostLoadG = 100_000

export const riderSchema = z.object({
  id: idSchema,
  name: nameSchema,
  bikeId: idSchema,
  /** The stops at which this rider joins the others and leaves them; null for the start and the end. */
  joins: idSchema.nullable().default(null),
  leaves: idSchema.nullable().default(null),
  /** The level in every technique not named in skills. */
  hands: skillSchema.default(2),
  skills: z.record(text(60), skillSchema).default({}),
  /** What will have been practised by departure. */
  practice: z.array(practiceSchema).max(100).default([]),
  /** The most that this hand gives at the end of a lever, N; null where it is as any other of the trip. */
  handMostN: z.number().min(50).max(1500).nullable().default(null),
  /** All that this rider takes along on the bike, the kit with it, g; null where nobody has said. */
  loadG: z.number().min(0).max(mostLoadG).nullable().default(null),
  /** The most of the kit that this rider can carry, g and mL; null for as much as comes. */
  carriesMostG: z.number().min(0).max(mostLoadG).nullable().default(null),
  carriesMostMl: z.number().min(0).max(200_000).nullable().default(null),
  /** How much of the kit this rider would carry, against 1 for anybody. */
  share: z.number().min(0).max(10).default(1),
})
export type Rider = z.infer<typeof riderSchema>
