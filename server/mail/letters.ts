import { letterMinutes } from '../accounts/password-letters'
import type { Letter } from './mailer'

/*
 * Letters say nothing that somebody else may have typed, such as a name: anybody can open an account for another's
 * address and have it written to.
 */

export function newPasswordLetter(to: string, place: string, token: string): Letter {
  return {
    to,
    subject: 'A new password for Rag Tin',
    text: [
      `Somebody asked at ${place} for a new password for the account of ${to}.`,
      // What follows the # never leaves the browser: no server and no proxy on the way writes it down.
      `Choose it here, within ${letterMinutes} minutes:\n${place}/new-password#${token}`,
      'If that was not you, leave this letter be: nothing has changed.',
    ].join('\n\n'),
  }
}

export function passwordChangedLetter(to: string, place: string): Letter {
  return {
    to,
    subject: 'Your password for Rag Tin was changed',
    text: [
      `At ${place} the password of the account of ${to} was changed, and all other devices were signed out.`,
      `If that was not you, choose a new one: ${place}/forgotten`,
    ].join('\n\n'),
  }
}

/** To the address of before: whoever holds it should know. */
export function movedLetter(to: string, place: string): Letter {
  return {
    to,
    subject: 'Your account of Rag Tin has another address',
    text: [
      `At ${place} the account of ${to} was given another e-mail address; letters go there from now on.`,
      'If that was not you, tell whoever runs it.',
    ].join('\n\n'),
  }
}
