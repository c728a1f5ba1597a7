import { setHeader } from 'h3'
import { tripJson } from '../../../db/stored-parts'
import { readWholeTrip } from '../../../db/trips'
import { answering, tripIdOf } from '../../../http/error-answers'
import { database } from '../../../http/database'
import { fileNameFor } from '../../../http/download'
import { personOf } from '../../../http/session'

/** The trip document, to keep or to hand on. */
export default answering(async (event) => {
  const { parts, json } = await readWholeTrip(database(), await personOf(event), tripIdOf(event))
  setHeader(event, 'content-type', 'application/json; charset=utf-8')
  setHeader(event, 'content-disposition', `attachment; filename="${fileNameFor(parts.name)}.rag-tin.json"`)
  return tripJson(json)
})
