import { fixOfAnswer } from '#core/choose'
import { atTheWrench, type ClaimNote } from '#core/trip-ledger'
import type { Reference } from '#core/reference'

const ordinals = ['', 'first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth']

/** "second flat: thorn, glass or pinch": a claim as people would say it. */
export function claimInWords(note: ClaimNote, reference: Reference): string {
  const name = reference.hazards.find((hazard) => hazard.id === note.hazard)?.name ?? note.hazard
  const wheel = note.wheel === '' ? '' : `${note.wheel} `
  return note.k === 1 ? `${wheel}${name}` : `${ordinals[note.k] ?? `${note.k}th`} ${wheel}${name}`
}

/** "glue a patch, pump"; "tighten the headset's nut, with a borrowed wrench". */
export function fixInWords(answer: string, reference: Reference): string {
  const name = reference.fixes.find((fix) => fix.id === fixOfAnswer(answer))?.name ?? answer
  return answer.endsWith(atTheWrench) ? `${name}, with a borrowed wrench` : name
}
