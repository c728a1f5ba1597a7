import { surveyRoad, writeGpx } from '../../../../core/road'
import { readTripDocument } from '../../../db/trips'
import { answering, personOf, tripIdOf } from '../../../http/answers'
import { database } from '../../../http/database'
import { fileNameFor } from '../../../http/download'

/** The road with its stops, as GPX. */
export default answering(async (event) => {
  const { trip } = await readTripDocument(database(), await personOf(event), tripIdOf(event))
  const stops = trip.stops.map(({ name, roadKm, services, note }) => ({
    name,
    roadKm,
    about: [services.map((service) => service.kind.replaceAll('-', ' ')).join(', '), note].filter(Boolean).join('. '),
  }))
  setHeader(event, 'content-type', 'application/gpx+xml; charset=utf-8')
  setHeader(event, 'content-disposition', `attachment; filename="${fileNameFor(trip.name)}.gpx"`)
  return writeGpx(trip.road, surveyRoad(trip.road.points), stops)
})
