import { getQuery, setHeader } from 'h3'
import { tripJson } from '../../../db/stored-parts'
import { readWholeTrip } from '../../../db/trips'
import { answering, tripIdOf } from '../../../http/error-answers'
import { database } from '../../../http/database'
import { fileNameFor } from '../../../http/download'
import { personOf } from '../../../http/session'
import { doTask } from '../../../threads/pool'
import { SingleFlight } from '../../../threads/single-flight'

/** Writing a long road takes seconds: whoever presses again meanwhile has the same. */
const writing = new SingleFlight<Uint8Array<ArrayBuffer>>()

/** The road with its stops, as GPX; with `?times` also when each point is passed. */
export default answering(async (event) => {
  const tripId = tripIdOf(event)
  const { parts, json, revisions } = await readWholeTrip(database(), await personOf(event), tripId)
  const times = 'times' in getQuery(event)
  const gpx = await writing.do(JSON.stringify([tripId, revisions, times]), () => {
    const document = tripJson(json)
    return doTask('writeRoad', { document, times }, document.length)
  })
  setHeader(event, 'content-type', 'application/gpx+xml; charset=utf-8')
  setHeader(event, 'content-disposition', `attachment; filename="${fileNameFor(parts.name)}.gpx"`)
  return Buffer.from(gpx.buffer, gpx.byteOffset, gpx.byteLength)
})
