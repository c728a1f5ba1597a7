import { personById } from '../../accounts/people'
import { takeoutOf } from '../../accounts/takeout'
import { answering } from '../../http/answers'
import { database } from '../../http/database'
import { fileNameFor } from '../../http/download'
import { personOf } from '../../http/session'
import { httpError } from '../../http/http-error'

/** All that is kept of the signed-in person, as one file. */
export default answering(async (event) => {
  const person = await personById(database(), await personOf(event))
  if (!person) throw httpError(401, 'Unauthorized')
  const takeout = await takeoutOf(database(), person, fileNameFor)
  setHeader(event, 'content-type', 'application/zip')
  setHeader(event, 'content-disposition', `attachment; filename="rag-tin-${fileNameFor(person.name)}.zip"`)
  return sendStream(event, takeout)
})
