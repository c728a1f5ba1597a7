import { getQuery, setHeader } from 'h3'
import { tripJson } from '../../../db/stored-parts'
import { readWholeTrip } from '../../../db/trips'
import { answering, tripIdOf } from '../../../http/error-answers'
import { database } from '../../../http/database'
import { fileNameFor } from '../../../http/download'
import { personOf } from '../../../http/session'
import { doTask } from '../../../threads/pool'

/** The road with its stops, as GPX; with `?times` also when each point is passed. */
export default answering(async (event) => {
  const { parts, json } = await readWholeTrip(database(), await personOf(event), tripIdOf(event))
  const document = tripJson(json)
  const gpx = await doTask('writeRoad', { document, times: 'times' in getQuery(event) }, document.length)
  setHeader(event, 'content-type', 'application/gpx+xml; charset=utf-8')
  setHeader(event, 'content-disposition', `attachment; filename="${fileNameFor(parts.name)}.gpx"`)
  return Buffer.from(gpx.buffer, gpx.byteOffset, gpx.byteLength)
})
