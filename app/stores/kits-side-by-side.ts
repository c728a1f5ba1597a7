import type { Ledger } from '#core/ledger'
import { tinAsKit } from '#core/shed'
import { StorageSerializers, useLocalStorage, watchDebounced } from '@vueuse/core'
import { proxy, wrap, type Remote } from 'comlink'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
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

/** A column: the kit as it is chosen now, nothing, all there is, the tin as it is packed, the best up to a mass, a kept one. */
export type ColumnRef = 'now' | 'nothing' | 'everything' | 'tin' | `light:${number}` | `kept:${string}`

/** What this device keeps of one trip. */
interface Kept {
  readonly columns: readonly ColumnRef[]
  readonly kits: readonly KeptKit[]
}

const usual: Kept = { columns: ['now', 'nothing', 'everything'], kits: [] }
/** More columns than that nobody reads. */
export const mostColumns = 5
const mostKept = 20
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

  /** What a column has; undefined where its kit is not there any more. */
  function askedFor(column: ColumnRef, { items }: Ledger): KitAsked | undefined {
    if (column === 'now') return { counts: kit.chosen?.kit?.counts ?? [] }
    if (column === 'nothing') return { counts: items.map(() => 0) }
    if (column === 'everything') return { counts: items.map(({ max }) => max) }
    if (column === 'tin') {
      const packed = tinAsKit(store.openTrip.bench, shed.things.value)
      return { counts: items.map(({ max }, i) => Math.min(max, packed[i] ?? 0)) }
    }
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
  function stop() {
    at?.worker.terminate()
    at = undefined
    isBusy.value = false
  }

  /** While somebody looks, all is drawn anew whenever the kit, what it is chosen for, or what is compared is another. */
  function watchKits() {
    watchDebounced([() => kit.chosen, columns, kits, shed.things], find, { immediate: true, debounce: 300 })
  }
  function find() {
    stop()
    told.value = undefined
    failed.value = ''
    const ledger = kit.chosen?.kit && kit.chosen.built.ledger
    if (!ledger) return
    const asked = columns.value.map((column) => ({ column, kit: askedFor(column, ledger) }))
    const there = asked.flatMap(({ column, kit: each }) => (each ? [{ column, kit: each }] : []))
    toldOf.value = there.map(({ column }) => column)
    if (there.length === 0) return
    const worker = new Worker(new URL('../workers/simulation.worker.ts', import.meta.url), { type: 'module' })
    const service = wrap<SimulationService>(worker)
    at = { worker, service }
    isBusy.value = true
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

  return { columns, kits, add, drop, keep, forget, told, toldOf, isBusy, failed, trips: drawing.trips, watchKits, stop }
})
