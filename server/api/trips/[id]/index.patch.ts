import { z } from 'zod'
import { checkAgainst } from '../../../../core/fault'
import { partNames, revisionSchema } from '../../../../core/trip'
import { saveParts } from '../../../db/trips'
import { answering, personOf, tripIdOf } from '../../../http/answers'
import { bytesOf, jsonOf, mostBytes } from '../../../http/body'
import { database } from '../../../http/database'

const changesSchema = z.object({
  save: z.uuid(),
  changes: z
    .array(z.object({ part: z.enum(partNames), base: revisionSchema, value: z.unknown() }))
    .min(1)
    .max(partNames.length),
})

/** Saves some parts of a trip, all or none; 409 when one was saved elsewhere since it was read. */
export default answering(async (event) => {
  const ownerId = await personOf(event)
  const { save, changes } = checkAgainst(changesSchema, jsonOf(await bytesOf(event, mostBytes.trip)))
  return saveParts(database(), ownerId, tripIdOf(event), save.toLowerCase(), changes)
})
