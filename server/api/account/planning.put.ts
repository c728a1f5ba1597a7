import { z } from 'zod'
import { planningChangeSchema } from '#core/reference'
import { planAllTrips } from '../../db/planning'
import { answering } from '../../http/error-answers'
import { bodyOf } from '../../http/body'
import { database } from '../../http/database'
import { ownAccount } from '../../http/own-account'

const bodySchema = planningChangeSchema.extend({ besides: z.uuid().nullable().default(null) })

/** Changes planning values in all of one's trips but one, and in those to come. */
export default answering(async (event) => {
  const person = await ownAccount(event)
  const { besides, ...change } = await bodyOf(event, bodySchema)
  return planAllTrips(database(), person.id, change, besides)
})
