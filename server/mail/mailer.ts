/** A letter to somebody, in plain text. */
export interface Letter {
  readonly to: string
  readonly subject: string
  readonly text: string
}

/** A way to send letters: a mail server, or the demo's stand-in for one. */
export interface Mailer {
  /** @throws where the letter is not taken */
  send(letter: Letter): Promise<void>
}
