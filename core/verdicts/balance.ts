import type { FootHours } from '../promise'
import { nth } from '../validation'
import type { Weighing } from './weighing'

/** What a thing of the kit spares: its share of what the fixes that it has a part in spare. */
export interface ThingShare extends FootHours {
  readonly item: string
}

/** Some failures and what they come to: one kind, in the mean over trips. */
export interface EventAccount {
  readonly event: string
  /** How often it comes. */
  readonly expected: number
  /** What it would cost bare-handed. */
  readonly bare: FootHours
  /** What it costs with the kit. */
  readonly kept: FootHours
  /** What nothing carried could answer. */
  readonly open: FootHours
  /** What was tried in vain, or had come to an end. */
  readonly failed: FootHours
  /** How often each fix ends it, the most often first. */
  readonly mended: readonly { readonly fix: string; readonly times: number }[]
}

/**
 * How the hours of a kit come about: bare-handed hours, less what things spare, are what nothing answers and what is tried in
 * vain; with the work and what mending leaves over they are the promise.
 */
export interface Balance {
  readonly bare: FootHours
  /** The things of the kit, the one that spares most first. */
  readonly things: readonly ThingShare[]
  readonly open: FootHours
  readonly failed: FootHours
  readonly workH: number
  /** Slower riding, and failing again, after a fix that held. */
  readonly residual: FootHours
  readonly kept: FootHours
  readonly events: readonly EventAccount[]
}

/** What a fix spares is shared evenly among the things that it takes; one that takes none is shared by nobody, and is not for sale. */
export const bareHanded = ''

export function balanceOf(weighing: Weighing): Balance {
  const { ledger, promise, problem } = weighing
  const shares = new Map<string, { hours: number; walkH: number }>()
  const events = weighing.streamsOf.map((numbers, e): EventAccount => {
    const event = nth(ledger.events, e)
    const accounts = numbers.map((number) => promise.account(number))
    const mended = event.fixes.map(({ id, needs, uses }, f) => {
      const times = accounts.reduce((total, { fixes }) => total + nth(fixes, f).held, 0)
      const spared = total(accounts.map(({ fixes }) => nth(fixes, f).spared))
      const items = weighing.restsOn(
        needs,
        uses.map(({ stock }) => stock),
      )
      const names = items.length > 0 ? items.map((item) => nth(ledger.items, item).id) : [bareHanded]
      for (const name of names) {
        const share = shares.get(name) ?? { hours: 0, walkH: 0 }
        share.hours += spared.hours / names.length
        share.walkH += spared.walkH / names.length
        shares.set(name, share)
      }
      return { fix: id, times }
    })
    const [open, failed] = [total(accounts.map((each) => each.open)), total(accounts.map((each) => each.failed))]
    const all = accounts.flatMap(({ fixes }) => fixes)
    const residual = total(all.map((fix) => fix.residual))
    const workH = all.reduce((sum, fix) => sum + fix.workH, 0)
    return {
      event: event.id,
      expected: numbers.reduce((sum, number) => sum + nth(problem.demand.streams, number).expectedInAll, 0),
      bare: total([open, failed, ...all.map((fix) => fix.spared)]),
      kept: total([open, failed, residual, { hours: workH, walkH: 0 }]),
      open,
      failed,
      mended: mended.filter(({ times }) => times > 0).sort((a, b) => b.times - a.times),
    }
  })
  const everything = problem.demand.streams.flatMap((_, number) => promise.account(number).fixes)
  const { promiseH, walkH } = promise.hours
  return {
    bare: total(events.map(({ bare }) => bare)),
    things: [...shares]
      .map(([item, share]) => ({ item, ...share }))
      .filter(({ hours }) => hours > 0)
      .sort((a, b) => b.hours - a.hours),
    open: total(events.map(({ open }) => open)),
    failed: total(events.map(({ failed }) => failed)),
    workH: everything.reduce((sum, fix) => sum + fix.workH, 0),
    residual: total(everything.map((fix) => fix.residual)),
    kept: { hours: promiseH, walkH },
    events,
  }
}

function total(list: readonly FootHours[]): FootHours {
  return {
    hours: list.reduce((sum, each) => sum + each.hours, 0),
    walkH: list.reduce((sum, each) => sum + each.walkH, 0),
  }
}
