import { answering, tripIdOf } from '../../../../http/error-answers'
import { database } from '../../../../http/database'
import { personOf } from '../../../../http/session'
import { readPeople } from '../../../../sharing/people'

/** Who shares a trip; and to its owner, which links are open. */
export default answering(async (event) => readPeople(database(), await personOf(event), tripIdOf(event)))
