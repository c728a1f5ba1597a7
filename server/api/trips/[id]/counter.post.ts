import { z } from 'zod'
import { Fault } from '../../../../core/fault'
import { minutesPerDay } from '../../../../core/ride'
import { positionAt, surveyRoad } from '../../../../core/road'
import { counterQuestionSchema } from '../../../../core/supply'
import { readTripDocument } from '../../../db/trips'
import { answering, personOf, tripIdOf } from '../../../http/answers'
import { bodyOf } from '../../../http/body'
import { database } from '../../../http/database'
import { drawsFor } from '../../../stand-ins/draw'
import { inventedShops } from '../../../stand-ins/shop-counter'

const askSchema = counterQuestionSchema.omit({ place: true }).extend({ stop: z.string().min(1).max(60) })

const counter = inventedShops(drawsFor)

/** Asks a shop of one's own trip whether it has a part. Nothing is saved: what to make of it is for the rider. */
export default answering(async (event) => {
  const ownerId = await personOf(event)
  const { stop: stopId, kind, classId } = await bodyOf(event, askSchema)
  const { trip } = await readTripDocument(database(), ownerId, tripIdOf(event))
  const stop = trip.stops.find(({ id }) => id === stopId)
  const shop = stop?.services.find((service) => service.kind === kind)
  if (!stop || !shop) throw new Fault('stop', `"${stopId}" with a ${kind}`, 'a stop of the trip that has this service')
  const survey = surveyRoad(trip.road.points)
  const locality = { ...positionAt(trip.road.points, survey, stop.roadKm), country: trip.ride.country }
  const now = Date.now() / 60_000 + (trip.ride.utcOffsetH / 24) * minutesPerDay
  return counter.ask({ place: stop.name, kind, classId }, shop, locality, now)
})
