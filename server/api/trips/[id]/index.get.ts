import { readTripDocument } from '../../../db/trips'
import { answering, personOf, tripIdOf } from '../../../http/answers'
import { database } from '../../../http/database'

/** One trip with the revision of each part. */
export default answering(async (event) => readTripDocument(database(), await personOf(event), tripIdOf(event)))
