import { z } from 'zod'
import { text } from '../validation'
import type { PartName } from './schema'

/**
 * Which state of a part is meant: how often it has been saved, and by which save. The number alone would not do: a
 * server that went back to an older copy would count to the same number again with something else.
 */
export const revisionSchema = z.object({ number: z.number().int().min(0), save: text(36) })
export type Revision = z.infer<typeof revisionSchema>
export type Revisions = Readonly<Record<PartName, Revision>>

export const sameRevision = (a: Revision, b: Revision) => a.number === b.number && a.save === b.save
