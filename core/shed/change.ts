import { z } from 'zod'
import { idSchema, text } from '../validation'
import { ownedThingSchema } from './schema'

/** Which state of a thing is meant, by the save that made it; empty where the thing is not there. */
export const versionSchema = text(36)

/** More things than are saved at a time. */
export const mostChanges = 100

/** A thing of a shed as it shall be, null where it shall not be there, and the version that it was changed from. */
export const shedChangeSchema = z
  .object({ id: idSchema, base: versionSchema, thing: ownedThingSchema.nullable() })
  .refine(({ id, thing }) => thing === null || thing.id === id, { message: 'the id of the thing', path: ['id'] })
export type ShedChange = z.infer<typeof shedChangeSchema>

export const shedSaveSchema = z.object({
  save: z.uuid(),
  changes: z.array(shedChangeSchema).min(1).max(mostChanges),
})

/** A thing of a shed as the server has it; null where it is not there. */
export interface SavedThing {
  readonly id: string
  readonly version: string
  readonly thing: z.infer<typeof ownedThingSchema> | null
}
