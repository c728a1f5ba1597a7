import { z } from 'zod'
import { idSchema } from '../validation'

/** What somebody may do to a plan: all of it; what is their own of it; read it. */
export const roles = ['owner', 'rider', 'reader'] as const
export const roleSchema = z.enum(roles)
export type Role = z.infer<typeof roleSchema>

/** How somebody stands to a plan. */
export const accessSchema = z.object({
  role: roleSchema,
  /** Who of the crew they are; null where nobody has said so. */
  rider: idSchema.nullable(),
  /** How many people share the plan. */
  people: z.number().int().min(1),
})
export type Access = z.infer<typeof accessSchema>

/** Of a plan that nobody else sees. */
export const soleAccess: Access = { role: 'owner', rider: null, people: 1 }

/** So long a link is good that lets somebody join a plan, in days. */
export const invitationDays = 30
