import { catalogue } from '../../../../catalogue'
import { surveyRoad } from '../../../../core/road'
import { gpxOf } from '../../../../core/trip'
import { readTripDocument } from '../../../db/trips'
import { answering, personOf, tripIdOf } from '../../../http/answers'
import { database } from '../../../http/database'
import { fileNameFor } from '../../../http/download'

/** The road with its stops, as GPX; with `?times` also when each point is passed. */
export default answering(async (event) => {
  const { trip } = await readTripDocument(database(), await personOf(event), tripIdOf(event))
  setHeader(event, 'content-type', 'application/gpx+xml; charset=utf-8')
  setHeader(event, 'content-disposition', `attachment; filename="${fileNameFor(trip.name)}.gpx"`)
  return gpxOf(trip, surveyRoad(trip.road.points), catalogue, 'times' in getQuery(event))
})
