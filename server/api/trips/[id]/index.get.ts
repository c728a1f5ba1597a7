import { setHeader } from 'h3'
import { tripJson } from '../../../db/stored-parts'
import { readWholeTrip } from '../../../db/trips'
import { answering, tripIdOf } from '../../../http/error-answers'
import { database } from '../../../http/database'
import { personOf } from '../../../http/session'

/** One trip with the revision of each part, and how one stands to it. */
export default answering(async (event) => {
  const { json, revisions, access } = await readWholeTrip(database(), await personOf(event), tripIdOf(event))
  setHeader(event, 'content-type', 'application/json; charset=utf-8')
  return Buffer.concat([
    Buffer.from('{"trip":'),
    tripJson(json),
    Buffer.from(`,"revisions":${JSON.stringify(revisions)},"access":${JSON.stringify(access)}}`),
  ])
})
