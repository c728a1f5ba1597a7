import { readShed } from '../../db/shed'
import { answering } from '../../http/error-answers'
import { database } from '../../http/database'
import { personOf } from '../../http/session'

/** What one owns, each thing with the version that it is in. */
export default answering(async (event) => ({ things: await readShed(database(), await personOf(event)) }))
