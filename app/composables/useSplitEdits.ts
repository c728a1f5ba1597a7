import type { Thing } from '#core/bench'
import type { SplitPlan } from '#core/split'
import { nth } from '#core/validation'
import { useSplit } from '../stores/split'
import { useTripStore } from '../stores/trip'

/** What may be done to a split: each a step that can be taken back. */
export function useSplitEdits() {
  const store = useTripStore()
  const split = useSplit()

  const nameOf = (riderId: string) => store.openTrip.crew.find(({ id }) => id === riderId)?.name ?? ''
  const carriedOf = (thing: Thing, riderId: string) => {
    const item = store.openTrip.bench.findIndex(({ id }) => id === thing.id)
    return split.plan?.riders.find(({ id }) => id === riderId)?.counts[item] ?? 0
  }
  /** Without those who need not carry any. */
  const kept = (carriedBy: Record<string, number>) =>
    Object.fromEntries(Object.entries(carriedBy).filter(([, count]) => count > 0))
  function change(thing: Thing, part: Partial<Thing>, label: string) {
    const bench = store.openTrip.bench.map((other) => (other.id === thing.id ? { ...other, ...part } : other))
    store.edit(label, { bench })
  }

  /** A piece goes to another rider and stays there. */
  function give(thing: Thing, from: string, to: string) {
    if (from === to) return
    const carriedBy = kept({
      ...thing.carriedBy,
      [from]: Math.min(thing.carriedBy[from] ?? 0, carriedOf(thing, from) - 1),
      [to]: carriedOf(thing, to) + 1,
    })
    change(thing, { carriedBy }, `give ${thing.name} to ${nameOf(to)}`)
  }

  /** All that a rider carries of a thing stays there, whatever else changes. */
  function keep(thing: Thing, riderId: string) {
    const carriedBy = { ...thing.carriedBy, [riderId]: carriedOf(thing, riderId) }
    change(thing, { carriedBy }, `${thing.name} stays with ${nameOf(riderId)}`)
  }
  function letGo(thing: Thing, riderId: string) {
    const { [riderId]: _, ...carriedBy } = thing.carriedBy
    change(thing, { carriedBy }, `${thing.name} may change hands`)
  }

  /** One more is carried: off the bench, or laid there for it. */
  function double(thing: Thing, riderId: string, isThere: boolean) {
    const carriedBy = { ...thing.carriedBy, [riderId]: carriedOf(thing, riderId) + 1 }
    const count = isThere ? thing.count : thing.count + 1
    // Who already carries the others goes on doing so: else one of theirs would be handed over instead.
    for (const { id } of store.openTrip.crew) {
      const carried = carriedOf(thing, id)
      if (id !== riderId && carried > 0) carriedBy[id] = carried
    }
    change(thing, { carriedBy, count }, `one more ${thing.name} on ${nameOf(riderId)}`)
  }

  /** No more of a thing are carried than now, less one. */
  function leave(thing: Thing, riderId: string, plan: SplitPlan) {
    const item = store.openTrip.bench.findIndex(({ id }) => id === thing.id)
    const max = nth(plan.counts, item) - 1
    const carriedBy = kept({
      ...thing.carriedBy,
      [riderId]: Math.min(thing.carriedBy[riderId] ?? 0, carriedOf(thing, riderId) - 1),
    })
    change(
      thing,
      { carriedBy, pin: { min: Math.min(thing.pin?.min ?? 0, max), max } },
      `leave one ${thing.name} at home`,
    )
  }

  /** Everything stays with whoever has it now. */
  function keepAll(plan: SplitPlan) {
    const bench = store.openTrip.bench.map((thing, item) => ({
      ...thing,
      carriedBy: kept(Object.fromEntries(plan.riders.map(({ id, counts }) => [id, counts[item] ?? 0]))),
    }))
    store.edit('everything stays where it is', { bench })
  }
  function letAllGo() {
    store.edit('split it anew', { bench: store.openTrip.bench.map((thing) => ({ ...thing, carriedBy: {} })) })
  }

  return { give, keep, letGo, double, leave, keepAll, letAllGo }
}
