import { hashPassword } from '#auth/password'
import { getUserSession } from '#auth/session'
import { inTurn } from '../../accounts/hashing'
import { setPasswordHash } from '../../accounts/people'
import { passwordSchema } from '../../accounts/schema'
import { endSessionsOf } from '../../accounts/sessions'
import { allOrNothing } from '../../db/transaction'
import { answering } from '../../http/error-answers'
import { bodyOf } from '../../http/body'
import { database } from '../../http/database'
import { ownAccount, provePassword } from '../../http/own-account'
import { sendLater } from '../../http/mail'
import { passwordChangedLetter } from '../../mail/letters'

/** Changes the person's password; whoever else is signed in with the old one is no longer. */
export default answering(async (event) => {
  const person = await ownAccount(event)
  const { password, newPassword } = await bodyOf(event, passwordSchema, 'where')
  await provePassword(event, person, password)
  const passwordHash = await inTurn(() => hashPassword(newPassword))
  const { secure } = await getUserSession(event)
  await allOrNothing(database(), async (tx) => {
    await setPasswordHash(tx, person.id, passwordHash)
    await endSessionsOf(tx, person.id, secure?.session)
  })
  sendLater(event, async (place) => passwordChangedLetter(person.email, place))
  return { changed: true }
})
