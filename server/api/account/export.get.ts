import { getQuery, setHeader, sendStream } from 'h3'
import { personById } from '../../accounts/people'
import { exportAccount } from '../../accounts/account-export'
import { answering } from '../../http/error-answers'
import { database } from '../../http/database'
import { fileNameFor } from '../../http/download'
import { httpError } from '../../http/http-error'
import { personOf } from '../../http/session'

/** All that is kept of the signed-in person, as one file. */
export default answering(async (event) => {
  const person = await personById(database(), await personOf(event))
  if (!person) throw httpError(401, 'Unauthorized')
  const file = await exportAccount(database(), person, fileNameFor, getQuery(event).identity === 'yes')
  setHeader(event, 'content-type', 'application/zip')
  setHeader(event, 'content-disposition', `attachment; filename="rag-tin-${fileNameFor(person.name)}.zip"`)
  return sendStream(event, file)
})
