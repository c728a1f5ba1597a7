import { getRouterParam } from 'h3'
import { answering, tripIdOf } from '../../../../http/error-answers'
import { database } from '../../../../http/database'
import { personOf } from '../../../../http/session'
import { leaveTrip } from '../../../../sharing/people'

/** Somebody leaves a trip, or its owner takes them off it. */
export default answering(async (event) => {
  await leaveTrip(database(), await personOf(event), tripIdOf(event), getRouterParam(event, 'person') ?? '')
  return { left: true }
})
