import type { Reading } from './line'

/** How a weighing stands. */
export type Phase =
  | 'waiting'
  /** Nothing lies on the pan. */
  | 'empty'
  | 'settling'
  | 'settled'
  /** More than the scale can weigh. */
  | 'over'
  /** Less than nothing lies there: something that was tared has gone. */
  | 'under'

/** What somebody at the scale should know. */
export type Hint = 'lifted too early' | 'drifted' | 'silent'

export interface Weighing {
  readonly phase: Phase
  /** What is read at the moment; null where that is nothing, or beyond the scale. */
  readonly grams: number | null
  /** What was weighed: it stays while the thing lies there, though the scale may drift. */
  readonly settledG: number | null
  readonly hint: Hint | null
  /** The last readings that lie close to the first of them. */
  readonly row: readonly { readonly grams: number; readonly atMs: number }[]
  /** The most that was read since the pan was empty. */
  readonly mostG: number
  /** Whether anything was weighed since. */
  readonly wasSettled: boolean
  readonly heardMs: number | null
}

export const nothingWeighed: Weighing = {
  phase: 'waiting',
  grams: null,
  settledG: null,
  hint: null,
  row: [],
  mostG: 0,
  wasSettled: false,
  heardMs: null,
}

/** How a weighing is judged; written down in docs/scale-protocol.md. */
export const rules = {
  /** Readings this close to one another are the same, g. */
  closeG: 0.2,
  /** For so long they are the same before anything is weighed, ms. */
  holdMs: 800,
  /** Fewer readings say nothing. */
  leastReadings: 5,
  /** Less is an empty pan, g. */
  emptyG: 1,
  /** An empty pan that says more than this has drifted, g. */
  driftG: 0.2,
  /** What has been weighed stays so while the reading moves no further, g. */
  staysG: 2,
  /** No line for so long is silence, ms. */
  silenceMs: 1500,
} as const

/**
 * A weighing after one more reading. A thing is weighed when readings that the scale calls steady have stood close together
 * for a while; a hand that leaves early, or a pan that moves, is never taken for a mass.
 *
 * @param atMs when it was heard; never earlier than the one before
 */
export function heard(before: Weighing, { state, grams }: Reading, atMs: number): Weighing {
  if (grams === null) {
    const phase = state === 'over' ? 'over' : 'under'
    const mostG = state === 'over' ? Infinity : before.mostG
    return { ...before, phase, grams, settledG: null, hint: null, row: [], mostG, heardMs: atMs }
  }
  const [first] = before.row
  const isClose = first !== undefined && Math.abs(grams - first.grams) <= rules.closeG
  const row = state === 'steady' ? [...(isClose ? before.row : []), { grams, atMs }] : []
  const since = row[0]?.atMs ?? atMs
  const mostG = before.phase === 'empty' ? grams : Math.max(before.mostG, grams)
  const now: Weighing = { ...before, grams, row, mostG, heardMs: atMs }
  if (row.length >= rules.leastReadings && atMs - since >= rules.holdMs) return stoodStill(now)
  const stays =
    (before.phase === 'settled' && Math.abs(grams - (before.settledG ?? 0)) <= rules.staysG) ||
    (before.phase === 'empty' && Math.abs(grams) < rules.emptyG)
  return stays ? now : { ...now, phase: 'settling', settledG: null }
}

/** A weighing whose last readings are all the same. */
function stoodStill(now: Weighing): Weighing {
  const level = now.row.reduce((sum, { grams }) => sum + grams, 0) / now.row.length
  if (level <= -rules.emptyG) return { ...now, phase: 'under', settledG: null, hint: null }
  if (level < rules.emptyG) {
    const wasLifted = !now.wasSettled && now.mostG >= rules.emptyG
    const kept = now.phase === 'empty' && now.hint === 'lifted too early' ? now.hint : null
    const hint = Math.abs(level) > rules.driftG ? 'drifted' : wasLifted ? 'lifted too early' : kept
    return { ...now, phase: 'empty', settledG: null, hint, mostG: 0, wasSettled: false }
  }
  const settledG = now.phase === 'settled' && now.settledG !== null ? now.settledG : Math.round(level * 10) / 10
  return { ...now, phase: 'settled', settledG, hint: null, wasSettled: true }
}

/** A weighing of which nothing was heard for a while. */
export function waited(before: Weighing, atMs: number): Weighing {
  if (before.heardMs === null || atMs - before.heardMs < rules.silenceMs) return before
  return { ...nothingWeighed, hint: 'silent', heardMs: before.heardMs }
}
