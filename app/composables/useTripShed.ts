import { catalogue } from '#catalogue'
import type { Thing } from '#core/bench'
import { asInShed, asOnBench, conditionOn, differsIn, intoShed, laidFromShed, type OwnedThing } from '#core/shed'
import { priceKnown, withPlanning } from '#core/reference'
import { computed } from 'vue'
import { useShed } from '../stores/shed'
import { useTripStore } from '../stores/trip'
import { useCatalogueFit } from './useCatalogueFit'
import { useShedEdits } from './useShedEdits'

const newId = () => crypto.randomUUID().slice(0, 8)
const fieldWords: Readonly<Record<ReturnType<typeof differsIn>[number], string>> = {
  name: 'name',
  massG: 'mass',
  provides: 'what it does',
  heads: 'its ends',
  comesApart: 'whether it comes apart',
  units: 'stock',
  volumeMl: 'what one takes up',
  longestMm: 'its longest side',
  handling: 'what is minded in packing',
  measures: 'measures',
  from: 'kind',
  owned: 'how many there are',
  note: 'note',
  condition: 'trust',
}

/** What lies on a trip's bench beside what lies in the shed. */
export function useTripShed() {
  const store = useTripStore()
  const shed = useShed()
  const { ofUse } = useCatalogueFit()
  const { currency } = useShedEdits()

  /** The day for which age counts. */
  const day = computed(() => (store.trip?.ride.start ?? new Date().toISOString()).slice(0, 10))
  /** Families and prices as this trip's planning values say. */
  const reference = computed(() => withPlanning(catalogue, store.trip?.dials.planning ?? {}))
  /** What a thing's kind costs new, in the trip's currency; undefined where nobody has said. */
  function priceOfKind({ from }: Pick<Thing, 'from'>): number | undefined {
    const item = reference.value.items.find(({ id }) => id === from)
    return item && priceKnown(`items.${item.id}`, item.price, store.openTrip.dials)
  }
  const conditionOf = (owned: OwnedThing) => conditionOn(owned, day.value, reference.value.families)
  const laid = (owned: OwnedThing) => laidFromShed(owned, newId(), conditionOf(owned))
  const ownedBy = (thing: Thing) => (thing.shed ? shed.byId.value.get(thing.shed) : undefined)
  const onBench = computed(() => new Set(store.trip?.bench.map((thing) => thing.shed)))
  const elsewhere = computed(() => shed.things.value.filter(({ id }) => !onBench.value.has(id)))

  /** All of the shed that is of use on the bikes, as it would lie on the bench. */
  async function laidForBikes(): Promise<Thing[]> {
    const { things } = await shed.open()
    return ofUse(things.map(laid))
  }
  /** Lays things of the shed down. */
  function lay(things: readonly OwnedThing[]) {
    const label = things.length === 1 ? `lay ${things[0]?.name} down` : `lay ${things.length} things down`
    store.edit(label, { bench: [...store.openTrip.bench, ...things.map(laid)] })
  }

  /** In what a thing is other than in the shed, in words; empty where it is the same, or not of the shed. */
  function differenceOf(thing: Thing): string {
    const owned = ownedBy(thing)
    if (!owned) return ''
    return differsIn(thing, owned, conditionOf(owned))
      .map((field) => fieldWords[field])
      .join(', ')
  }
  function change(thing: Thing, next: Thing, label: string) {
    store.edit(label, { bench: store.openTrip.bench.map((other) => (other.id === thing.id ? next : other)) })
  }
  /** Makes a thing of the bench what the shed says. */
  function takeOver(thing: Thing) {
    const owned = ownedBy(thing)
    if (owned) change(thing, asInShed(thing, owned, conditionOf(owned)), `${thing.name} as in the shed`)
  }
  /** Makes the thing of the shed what the bench says. */
  async function tellShed(thing: Thing) {
    const owned = ownedBy(thing)
    if (owned) await shed.put(`${thing.name} as on the bench`, [asOnBench(owned, thing, conditionOf(owned))])
  }
  /** The same thing in the shed, of which nothing lies on the bench: it was put there before, and that was taken back here. */
  const sameElsewhere = (thing: Thing) =>
    elsewhere.value.find((owned) => differsIn({ ...thing, owned: null }, owned, conditionOf(owned)).length === 0)
  /** Puts things of the bench into the shed, all of each: those that nobody owns yet, and those of which there are too few. */
  async function own(things: readonly Thing[]) {
    const pairs = things.map((thing) => {
      const known = ownedBy(thing) ?? sameElsewhere(thing)
      const owned = known
        ? { ...known, count: Math.max(known.count, thing.count) }
        : intoShed(thing, crypto.randomUUID(), currency.value)
      return { thing, owned }
    })
    const label =
      things.length === 1 ? `put ${things[0]?.name} into the shed` : `put ${things.length} things into the shed`
    await shed.put(
      label,
      pairs.map(({ owned }) => owned),
    )
    const inShed = new Map(pairs.map(({ thing, owned }) => [thing.id, { shed: owned.id, owned: owned.count }]))
    const bench = store.openTrip.bench.map((thing) => ({ ...thing, ...inShed.get(thing.id) }))
    store.edit(label, { bench })
  }
  /** What was read from a scale: the thing of the shed is the same one. */
  async function weigh(id: string, massG: number) {
    const thing = store.openTrip.bench.find((each) => each.id === id)
    if (!thing) return
    change(thing, { ...thing, massG }, `weigh ${thing.name}`)
    const owned = ownedBy(thing)
    if (owned) await shed.put(`weigh ${thing.name}`, [{ ...owned, massG, isWeighed: true }])
  }
  return {
    day,
    reference,
    priceOfKind,
    conditionOf,
    elsewhere,
    ownedBy,
    laidForBikes,
    lay,
    differenceOf,
    takeOver,
    tellShed,
    own,
    weigh,
  }
}
