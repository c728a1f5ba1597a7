import type { Ledger } from '#core/ledger'
import { tinAsKit } from '#core/shed'
import type { Trip } from '#core/trip'
import { nth } from '#core/validation'
import { StorageSerializers, useLocalStorage, watchDebounced } from '@vueuse/core'
import { proxy, wrap, type Remote } from 'comlink'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { applied, type Change } from '../session/changes'
import { kitsKeptAs } from '../session/kept-choices'
import type { KitAsked, SideBySide } from '../workers/drawer'
import type { SimulationService } from '../workers/simulation.worker'
import { useKitStore } from './kit'
import { useShed } from './shed'
import { useTripStore } from './trip'

/** A kit that somebody has given a name. */
export interface KeptKit {
  readonly id: string
  readonly name: string
  /** How many of each thing of the bench, by their ids. */
  readonly counts: Readonly<Record<string, number>>
}

/** A plan that was supposed, by what it has otherwise. */
export interface KeptPlan {
  readonly id: string
  readonly name: string
  readonly changes: readonly Change[]
}

/**
 * A column: the kit as it is chosen now, the one of the plan as it is while another is supposed, nothing, all there is, the tin
 * as it is packed, the best up to a mass, a kept one, or the best of another plan.
 */
export type ColumnRef =
  'now' | 'as-it-is' | 'nothing' | 'everything' | 'tin' | `light:${number}` | `kept:${string}` | `plan:${string}`

/** What this device keeps of one trip. */
interface Kept {
  readonly columns: readonly ColumnRef[]
  readonly kits: readonly KeptKit[]
  /** None on devices that kept kits before plans could be. */
  readonly plans?: readonly KeptPlan[]
}

const usual: Kept = { columns: ['now', 'nothing', 'everything'], kits: [] }
/** More columns than that nobody reads. */
export const mostColumns = 5
const mostKept = 20
/** Plans that differ by more than so many letters are trips of their own. */
const mostOtherwise = 100_000
/** So many trips are drawn, by one seed: whoever comes back reads the same figures. */
const drawing = { trips: 20_000, seed: 1 } as const

/** Kits side by side on the same drawn trips; which, this device remembers. */
export const useKitsSideBySide = defineStore('kits-side-by-side', () => {
  const store = useTripStore()
  const kit = useKitStore()
  const shed = useShed()
  const byTrip = useLocalStorage<Record<string, Kept>>(kitsKeptAs, {}, { serializer: StorageSerializers.object })
  const kept = computed<Kept>(() => byTrip.value[store.id] ?? usual)
  const put = (part: Partial<Kept>) => (byTrip.value = { ...byTrip.value, [store.id]: { ...kept.value, ...part } })

  const columns = computed(() => kept.value.columns)
  const kits = computed(() => kept.value.kits)
  const plans = computed(() => kept.value.plans ?? [])
  function add(column: ColumnRef) {
    if (!columns.value.includes(column)) put({ columns: [...columns.value, column].slice(0, mostColumns) })
  }
  const drop = (column: ColumnRef) => put({ columns: columns.value.filter((each) => each !== column) })

  /** Keeps the kit of now under a name, as one more column where there is room. */
  function keep(name: string) {
    const chosen = kit.chosen?.kit
    const items = kit.chosen?.built.ledger.items
    if (!chosen || !items) return
    const id = crypto.randomUUID().slice(0, 8)
    const counts = Object.fromEntries(
      items.flatMap((item, i) => (chosen.counts[i] ? [[item.id, chosen.counts[i]]] : [])),
    )
    put({ kits: [{ id, name, counts }, ...kits.value].slice(0, mostKept) })
    add(`kept:${id}`)
  }
  function forget(id: string) {
    const columnsLeft = columns.value.filter((each) => each !== `kept:${id}`)
    put({ kits: kits.value.filter((each) => each.id !== id), columns: columnsLeft })
  }

  /** Why what is supposed cannot be kept as a plan to compare; empty where it can. */
  function unkeepable(): string {
    const changes = store.supposedChanges()
    if (changes.some(({ path: [part, field] }) => part === 'road' && field === 'points'))
      return 'Another line is another trip: copy this one for it.'
    if (JSON.stringify(changes).length > mostOtherwise) return 'It is otherwise in too much: copy the trip for it.'
    return ''
  }
  /** Keeps what is supposed under a name, as one more column where there is room. */
  function keepPlan(name: string) {
    const changes = store.supposedChanges()
    if (changes.length === 0 || unkeepable()) return
    const id = crypto.randomUUID().slice(0, 8)
    put({ plans: [{ id, name, changes }, ...plans.value].slice(0, mostKept) })
    add(`plan:${id}`)
  }
  function forgetPlan(id: string) {
    const columnsLeft = columns.value.filter((each) => each !== `plan:${id}`)
    put({ plans: plans.value.filter((each) => each.id !== id), columns: columnsLeft })
  }
  /** From now on a plan is supposed. */
  function supposePlan(id: string) {
    const plan = plans.value.find((each) => each.id === id)
    if (plan) store.supposeChanges(plan.name, plan.changes)
  }
  const isPlan = (column: ColumnRef) => column === 'as-it-is' || column.startsWith('plan:')
  /** The trip as a column would have it; undefined where there is no such plan. */
  function planned(column: ColumnRef): Trip | undefined {
    const base = store.asItIs()
    if (!isPlan(column)) return store.trip
    // Unless another is supposed, the plan as it is is that of now.
    if (column === 'as-it-is') return store.isSupposing ? base : undefined
    const plan = plans.value.find(({ id }) => column === `plan:${id}`)
    return base && plan && applied(base, plan.changes)
  }

  /** What a column has; undefined where its kit is not there any more. */
  function askedFor(
    column: ColumnRef,
    { items }: Ledger,
    ofPlans: ReadonlyMap<string, KitAsked>,
  ): KitAsked | undefined {
    if (column === 'now') return { counts: kit.chosen?.kit?.counts ?? [] }
    if (column === 'nothing') return { counts: items.map(() => 0) }
    if (column === 'everything') return { counts: items.map(({ max }) => max) }
    if (column === 'tin') {
      const packed = tinAsKit(store.openTrip.bench, shed.things.value)
      return { counts: items.map(({ max }, i) => Math.min(max, packed[i] ?? 0)) }
    }
    if (isPlan(column)) return ofPlans.get(column)
    const [kind, rest] = [column.slice(0, column.indexOf(':')), column.slice(column.indexOf(':') + 1)]
    if (kind === 'light') return { atMostG: Number(rest) }
    const own = kits.value.find(({ id }) => id === rest)
    return own && { counts: items.map(({ id, max }) => Math.min(max, own.counts[id] ?? 0)) }
  }

  const told = shallowRef<SideBySide>()
  /** The columns that were told of. */
  const toldOf = shallowRef<readonly ColumnRef[]>([])
  const isBusy = ref(true)
  const failed = ref('')
  // The remote is held on to beside its worker: once it is collected as garbage, the worker's answer finds nobody.
  let at: { worker: Worker; service: Remote<SimulationService> } | undefined
  /** Of several rounds the last alone counts. */
  let round = 0
  function stop() {
    round++
    at?.worker.terminate()
    at = undefined
    isBusy.value = false
  }

  /** While somebody looks, all is drawn anew whenever the kit, what it is chosen for, or what is compared is another. */
  function watchKits() {
    watchDebounced([() => kit.chosen, columns, kits, plans, shed.things], () => void find(), {
      immediate: true,
      debounce: 300,
    })
  }
  /** What the columns have that are plans. */
  async function askedOfPlans(): Promise<ReadonlyMap<string, KitAsked>> {
    const asked = columns.value.flatMap((column) => {
      const trip = isPlan(column) ? planned(column) : undefined
      return trip ? [{ column, trip }] : []
    })
    const base = store.asItIs()
    if (!base || asked.length === 0) return new Map()
    const ledgers = await kit.ledgersOf(
      base,
      asked.map(({ trip }) => trip),
    )
    return new Map(ledgers.map((ledger, i) => [nth(asked, i).column, 'why' in ledger ? ledger : { plan: ledger }]))
  }
  async function find() {
    stop()
    const mine = round
    told.value = undefined
    failed.value = ''
    const ledger = kit.chosen?.kit && kit.chosen.built.ledger
    if (!ledger) return
    isBusy.value = true
    try {
      const ofPlans = await askedOfPlans()
      if (mine === round) draw(ledger, ofPlans)
    } catch (error) {
      if (mine !== round) return
      stop()
      failed.value = error instanceof Error ? error.message : String(error)
    }
  }
  function draw(ledger: Ledger, ofPlans: ReadonlyMap<string, KitAsked>) {
    const asked = columns.value.map((column) => ({ column, kit: askedFor(column, ledger, ofPlans) }))
    const there = asked.flatMap(({ column, kit: each }) => (each ? [{ column, kit: each }] : []))
    toldOf.value = there.map(({ column }) => column)
    isBusy.value = there.length > 0
    if (there.length === 0) return
    const worker = new Worker(new URL('../workers/simulation.worker.ts', import.meta.url), { type: 'module' })
    const service = wrap<SimulationService>(worker)
    at = { worker, service }
    const isNow = () => at?.worker === worker
    const fail = (why: string) => {
      if (!isNow()) return
      stop()
      failed.value = why
    }
    worker.onerror = (event) => fail(event.message || 'The kits could not be compared.')
    const onTold = proxy((next: SideBySide) => {
      if (isNow()) told.value = next
    })
    const kitsAsked = there.map((each) => each.kit)
    service.compareSideBySide(ledger, kitsAsked, drawing, onTold).then(
      () => isNow() && stop(),
      (error: unknown) => fail(error instanceof Error ? error.message : String(error)),
    )
  }

  return {
    columns,
    kits,
    plans,
    add,
    drop,
    keep,
    forget,
    unkeepable,
    keepPlan,
    forgetPlan,
    supposePlan,
    planned,
    told,
    toldOf,
    isBusy,
    failed,
    trips: drawing.trips,
    watchKits,
    stop,
  }
})
