import { z } from 'zod'
import { idSchema, nameSchema, text } from '../validation'

/** 0 never · 1 watched · 2 done at home · 3 done on the road. */
export const skillSchema = z.union([z.literal(0), z.literal(1), z.literal(2), z.literal(3)])
export type Skill = z.infer<typeof skillSchema>

export const skillWords = ['never', 'watched', 'done at home', 'done on the road'] as const

export const difficultySchema = z.enum(['easy', 'medium', 'hard'])
export type Difficulty = z.infer<typeof difficultySchema>

/** A skill that a fix needs. */
export const techniqueSchema = z.object({ id: z.string(), name: z.string(), difficulty: difficultySchema })
export type Technique = z.infer<typeof techniqueSchema>

export const riderSchema = z.object({
  id: idSchema,
  name: nameSchema,
  bikeId: idSchema,
  /** The level in every technique not named in skills. */
  hands: skillSchema.default(2),
  skills: z.record(text(60), skillSchema).default({}),
})
export type Rider = z.infer<typeof riderSchema>
