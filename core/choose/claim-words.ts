import type { ClaimNote } from '../ledger'
import type { Reference } from '../reference'

const ordinals = ['', 'first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth']

/** "second flat: thorn, glass or pinch": a claim as people would say it. */
export function claimInWords(note: ClaimNote, reference: Reference): string {
  const name = reference.hazards.find((hazard) => hazard.id === note.hazard)?.name ?? note.hazard
  const wheel = note.wheel === '' ? '' : `${note.wheel} `
  return note.k === 1 ? `${wheel}${name}` : `${ordinals[note.k] ?? `${note.k}th`} ${wheel}${name}`
}

/** "glue a patch, pump". */
export function fixInWords(fixId: string, reference: Reference): string {
  return reference.fixes.find((fix) => fix.id === fixId)?.name ?? fixId
}
