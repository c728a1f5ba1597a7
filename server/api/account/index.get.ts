import { personById } from '../../accounts/people'
import { planningOf } from '../../db/planning'
import { sessionsOf } from '../../accounts/sessions'
import { answering } from '../../http/error-answers'
import { database } from '../../http/database'
import { personOf } from '../../http/session'

/** What is kept of the signed-in person. */
export default answering(async (event) => {
  const id = await personOf(event)
  const person = await personById(database(), id)
  const sessions = await sessionsOf(database(), id)
  return {
    name: person?.name,
    email: person?.email,
    since: person?.createdAt,
    planning: planningOf(person?.planning ?? null),
    isShared: !person?.passwordHash,
    signedIn: sessions.map(({ createdAt }) => createdAt),
  }
})
