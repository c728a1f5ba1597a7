import { useRuntimeConfig } from 'nitropack/runtime'
import { getRequestURL, type H3Event } from 'h3'
import { failureOf } from '../log/failure'
import { log } from '../log/log'
import { mailServer } from '../mail/mail-server'
import type { Letter, Mailer } from '../mail/mailer'
import { LetterBox } from '../stand-ins/letter-box'

let box: LetterBox | undefined
let server: Mailer | undefined

/** The demo's box of letters; undefined outside the demo. */
export function letterBox(): LetterBox | undefined {
  if (!useRuntimeConfig().demoEmail) return undefined
  box ??= new LetterBox()
  return box
}

function mailer(): Mailer | undefined {
  const { mailerUrl, mailerFrom, origin } = useRuntimeConfig()
  if (letterBox()) return letterBox()
  // Without an address of its own a letter would lead to whichever host a request names.
  if (!mailerUrl || !mailerFrom || !origin) return undefined
  server ??= mailServer(mailerUrl, mailerFrom)
  return server
}

/** Whether letters can be sent at all. */
export const sendsLetters = () => mailer() !== undefined

/**
 * Has a letter sent after the answer: how long that takes tells nobody whether it was written.
 *
 * @param write what it says, given where the app is reached; undefined for no letter
 */
export function sendLater(event: H3Event, write: (place: string) => Promise<Letter | undefined>): void {
  const office = mailer()
  if (!office) return
  const place = useRuntimeConfig().origin || getRequestURL(event).origin
  event.waitUntil(
    write(place)
      .then((letter) => letter && office.send(letter))
      .catch((error: unknown) => log.error({ undone: 'a letter', failure: failureOf(error) })),
  )
}
