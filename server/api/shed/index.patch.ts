import { shedSaveSchema } from '#core/shed'
import { checkAgainst } from '#core/validation'
import { saveShed } from '../../db/shed'
import { bytesOf, jsonOf, mostBytes } from '../../http/body'
import { answering } from '../../http/error-answers'
import { database } from '../../http/database'
import { personOf } from '../../http/session'

/** Saves some things of one's shed, all or none; 409 with how they stand when one was saved elsewhere since it was read. */
export default answering(async (event) => {
  const userId = await personOf(event)
  const { save, changes } = checkAgainst(shedSaveSchema, jsonOf(await bytesOf(event, mostBytes.shed)))
  return { things: await saveShed(database(), userId, save, changes) }
})
