import { z } from 'zod'
import { appliesSchema } from '../hazard'

export const grades = ['lasting', 'to the next shop', 'walking pace'] as const
export const gradeSchema = z.enum(grades)
export type Grade = z.infer<typeof gradeSchema>

/** Amounts that hang on the tyre at hand: air to ride on, air to seat a bead, sealant. */
export const tyreAmounts = ['to ride', 'to seat', 'for the tyre'] as const
export type TyreAmount = (typeof tyreAmounts)[number]

/** One way to answer a hazard. */
export const fixSchema = z.object({
  id: z.string(),
  name: z.string(),
  answers: z.array(z.string()).min(1),
  applies: appliesSchema,
  /** Functions needed, all of them; the bike's sizes left open: "inflate-{valve}". */
  needs: z.array(z.string()).default([]),
  /** Fasteners that must turn, by their role: "hanger-bolt", "axle-{wheel}". */
  turns: z.array(z.string()).default([]),
  /** Fasteners that must be turned with a torque key. */
  torques: z.array(z.string()).default([]),
  /** Stock used up, class → amount; the bike's sizes left open. */
  uses: z.record(z.string(), z.union([z.number().gt(0), z.enum(tyreAmounts)])).default({}),
  /** Links of the chain that it cuts out. */
  cutsLinks: z.number().int().min(0).max(20).multipleOf(2).default(0),
  /** Pumped by hand: the minutes it takes with this tyre come on top. */
  air: z.enum(['pump']).optional(),
  technique: z.string(),
  minutes: z.number().gt(0),
  grade: gradeSchema,
  /** Success even with the best hands, for fixes that do not always hold. */
  holds: z.number().gt(0).max(1).default(1),
  /** How far a make-do that wears on lasts, in the mean, km. Where it is not given, the grade says how often one fails again. */
  lastsKm: z.number().gt(0).max(1_000_000).optional(),
  /** What is dangerous about it whoever does it, and what has to be minded of it alone: both are said before its steps. */
  dangers: z.array(z.string()).default([]),
  caution: z.string().default(''),
  /** What to do with one's hands, in the order in which it is done. */
  steps: z.array(z.string()).default([]),
  source: z.string().default('planning value'),
})
export type Fix = z.infer<typeof fixSchema>
