import { z } from 'zod'
import { idSchema, text } from '#core/validation'

/** What somebody can be let in as; there is one owner, and they hand the plan over. */
export const memberRoleSchema = z.enum(['rider', 'reader'])
export type MemberRole = z.infer<typeof memberRoleSchema>

export const inviteSchema = z.object({ role: memberRoleSchema, rider: idSchema.nullable() })
export const linkSchema = z.object({ token: text(100).min(1) })
export const personChangeSchema = z.object({
  role: memberRoleSchema.optional(),
  rider: idSchema.nullable().optional(),
})
export const handOverSchema = z.object({ person: z.uuid() })
