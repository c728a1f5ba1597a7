import type { Letter, Mailer } from '../mail/mailer'

export interface KeptLetter extends Letter {
  readonly id: number
  readonly at: Date
}

/** So many letters are kept, the latest. */
const mostKept = 50

/** Sends nothing anywhere: what would have been sent lies in a box that anybody may look into. It is for the demo alone. */
export class LetterBox implements Mailer {
  private letters: readonly KeptLetter[] = []
  private count = 0

  send(letter: Letter): Promise<void> {
    this.letters = [{ ...letter, id: ++this.count, at: new Date() }, ...this.letters].slice(0, mostKept)
    return Promise.resolve()
  }

  /** The latest first. */
  all(): readonly KeptLetter[] {
    return this.letters
  }

  /** An account is closed: what was written to it goes with it. */
  forget(address: string): void {
    this.letters = this.letters.filter(({ to }) => to !== address)
  }
}
