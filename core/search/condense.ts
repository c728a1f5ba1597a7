import type { IndexedEvent, IndexedFix, IndexedLedger } from '../ledger'
import { nth, numberAt } from '../validation'

/**
 * A ledger with fewer legs, nearly the same and quicker to search by: legs that follow each other are joined where least is
 * refilled between them, and tools always work.
 *
 * Failures add up; hours are means, by the failures; a refill inside of joined legs comes at the nearer end of them, or is
 * lost.
 */
export function condense(ledger: IndexedLedger, most: number): IndexedLedger {
  if (ledger.legs <= most) return ledger
  const starts = startsOf(ledger, most)
  const groups = Array.from({ length: ledger.legs }, (_, leg) => starts.filter((start) => start <= leg).length - 1)
  const groupOf = (leg: number) => nth(groups, leg)
  const sums = (perLeg: Float64Array) => {
    const joined = new Float64Array(starts.length)
    for (let leg = 0; leg < groups.length; leg++) {
      const group = nth(groups, leg)
      joined[group] = numberAt(joined, group) + numberAt(perLeg, leg)
    }
    return joined
  }
  const lengths = sums(new Float64Array(ledger.legs).fill(1))
  const joinEvent = (event: IndexedEvent): IndexedEvent => {
    const weights = event.wear
      ? Float64Array.from(event.wear.lives, (lives, leg) => lives + numberAt(event.perLeg, leg))
      : event.perLeg
    const total = sums(weights)
    const means = (perLeg: Float64Array) => {
      const joined = new Float64Array(starts.length)
      for (let leg = 0; leg < groups.length; leg++) {
        const group = nth(groups, leg)
        const all = numberAt(total, group)
        // Where nothing fails, each leg counts alike.
        const share = all > 0 ? numberAt(weights, leg) / all : 1 / numberAt(lengths, group)
        joined[group] = numberAt(joined, group) + share * numberAt(perLeg, leg)
      }
      return joined
    }
    return {
      ...event,
      perLeg: sums(event.perLeg),
      wear: event.wear && {
        ...event.wear,
        lives: [...sums(Float64Array.from(event.wear.lives))],
        freshAtLegs: event.wear.freshAtLegs.flatMap((leg) => (starts.includes(leg) ? [groupOf(leg)] : [])),
      },
      lossH: means(event.lossH),
      walkH: means(event.walkH),
      strands: means(event.strands),
      fixes: event.fixes.map((fix): IndexedFix => ({
        ...fix,
        workH: means(fix.workH),
        residualH: means(fix.residualH),
        residualWalkH: means(fix.residualWalkH),
      })),
    }
  }
  return {
    ...ledger,
    legs: starts.length,
    items: ledger.items.map((item) => (item.provides.length > 0 ? { ...item, condition: 1 } : item)),
    refillChance: ledger.refillChance.map((chances) => Float64Array.from(starts, (leg) => numberAt(chances, leg))),
    events: poolAlike(ledger.events.map(joinEvent)).map(orderedOnce),
  }
}

/** Failures of a sudden that are mended in the same ways are pooled: they add up, and hours are means, by the failures. */
function poolAlike(events: readonly IndexedEvent[]): IndexedEvent[] {
  const alike = new Map<string, IndexedEvent[]>()
  for (const event of events) {
    const ways = event.fixes.map((fix) => [fix.attempt, fix.needs, fix.uses, fix.technique, fix.hands, fix.holds])
    const key = event.wear ? event.id : JSON.stringify(ways)
    alike.set(key, [...(alike.get(key) ?? []), event])
  }
  return [...alike.values()].map(pool)
}

function pool(events: readonly IndexedEvent[]): IndexedEvent {
  const first = nth(events, 0)
  if (events.length === 1) return first
  const perLeg = first.perLeg.map((_, leg) => events.reduce((sum, event) => sum + numberAt(event.perLeg, leg), 0))
  const means = (hours: (event: IndexedEvent) => Float64Array) =>
    perLeg.map((failures, leg) => {
      const weighted = events.reduce((sum, event) => sum + numberAt(event.perLeg, leg) * numberAt(hours(event), leg), 0)
      return failures > 0 ? weighted / failures : numberAt(hours(first), leg)
    })
  return {
    ...first,
    perLeg,
    lossH: means(({ lossH }) => lossH),
    walkH: means(({ walkH }) => walkH),
    strands: means(({ strands }) => strands),
    fixes: first.fixes.map((fix, f) => ({
      ...fix,
      workH: means(({ fixes }) => nth(fixes, f).workH),
      residualH: means(({ fixes }) => nth(fixes, f).residualH),
      residualWalkH: means(({ fixes }) => nth(fixes, f).residualWalkH),
    })),
  }
}

/**
 * Tries are ordered on all legs as on the one where most is at stake: for a search that is near enough, unless a fix spares
 * nothing on some of them, as one with what is bought on the way before it is there.
 */
function orderedOnce(event: IndexedEvent): IndexedEvent {
  if (event.fixes.some((fix) => event.lossH.some((_, leg) => isVain(event, fix, leg)))) return event
  const stakes = event.perLeg.map(
    (failures, leg) => (failures + (event.wear?.lives[leg] ?? 0)) * numberAt(event.lossH, leg),
  )
  return { ...event, orderedAsOn: stakes.indexOf(Math.max(...stakes)) }
}

/** Whether a fix spares nothing on a leg where the failure costs something. */
const isVain = ({ lossH }: IndexedEvent, { residualH }: IndexedFix, leg: number) =>
  numberAt(lossH, leg) > 0 && numberAt(residualH, leg) >= numberAt(lossH, leg)

/** The legs at which joined ones start: where most is refilled, fitted anew, or there for the first time. */
function startsOf({ legs, refillChance, events }: IndexedLedger, most: number): number[] {
  const isFirst = (event: IndexedEvent, leg: number) =>
    event.fixes.some((fix) => isVain(event, fix, leg - 1) && !isVain(event, fix, leg))
  const refilled = (leg: number) =>
    refillChance.reduce((sum, chances) => sum + numberAt(chances, leg), 0) +
    refillChance.length * events.filter((event) => event.wear?.freshAtLegs.includes(leg) || isFirst(event, leg)).length
  return Array.from({ length: legs - 1 }, (_, i) => i + 1)
    .sort((a, b) => refilled(b) - refilled(a))
    .slice(0, most - 1)
    .concat(0)
    .sort((a, b) => a - b)
}
