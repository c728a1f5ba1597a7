import type { Symptom } from '../hazard'
import type { EventNote } from '../trip-ledger'
import { nth } from '../validation'
import type { Onward } from './onward'

/** Something that may have failed, and how likely it is that among all that a symptom may mean. */
export interface Cause {
  readonly note: EventNote
  readonly share: number
}

/**
 * What may have failed, by what a rider sees, hears or feels: what can fail on the bike, the likeliest at this place first. What
 * fails of a sudden is as likely as it comes there; what wears the likelier, the less of it is left. Of bolts of one kind it is
 * any of them.
 */
export function causesOf({ laid }: Onward, { hazards }: Pick<Symptom, 'hazards'>, bikeId: string): Cause[] {
  const found = new Map<string, { note: EventNote; often: number }>()
  laid.ledger.events.forEach(({ perLeg, wear }, e) => {
    const note = nth(laid.notes, e)
    if (note.bike !== bikeId || !hazards.includes(note.hazard)) return
    const often = wear ? nth(wear.lives, 0) / wear.left : nth(perLeg, 0)
    const key = `${note.hazard} ${note.wheel ?? ''}`
    const known = found.get(key)
    found.set(key, { note: known?.note ?? note, often: (known?.often ?? 0) + often })
  })
  const causes = [...found.values()]
  const inAll = causes.reduce((sum, { often }) => sum + often, 0)
  const place = ({ note }: { note: EventNote }) => hazards.indexOf(note.hazard)
  return causes
    .sort((a, b) => b.often - a.often || place(a) - place(b))
    .map(({ note, often }) => ({ note, share: inAll > 0 ? often / inAll : 1 / causes.length }))
}
