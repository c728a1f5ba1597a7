import { catalogue } from '#catalogue'
import type { OwnTask, Shop } from '#core/home'
import { allSettled, readCalendar, settled, type ReadyTask } from '#core/ready'
import type { Task } from '#core/task'
import type { Trip } from '#core/trip'
import { taskInWords } from '#wording'
import { useTripStore } from '../stores/trip'

type Named = Pick<ReadyTask, 'about' | 'pieces'>

/** What may be done to the list of what is to be done: each a step that can be taken back. */
export function useReadyEdits() {
  const store = useTripStore()
  const inWords = (task: Named) => taskInWords(task, store.openTrip, catalogue)
  const change = (task: Named, part: Partial<Task>, label: string) =>
    store.edit(label, settled(store.openTrip, task.about, part))

  const setState = (task: Named, state: Task['state']) =>
    change(task, { state }, `${stateWords[state]}: ${inWords(task)}`)
  const setDay = (task: Named, on: string | null) => change(task, { on }, `the day of ${inWords(task)}`)
  const setWho = (task: Named, by: string | null) => change(task, { by }, `who does ${inWords(task)}`)

  function setHome(part: Partial<Trip['home']>, label: string) {
    store.edit(label, { home: { ...store.openTrip.home, ...part } })
  }
  const newId = () => crypto.randomUUID().slice(0, 8)
  const put = <T extends { readonly id: string }>(list: readonly T[], entry: T): T[] =>
    list.some(({ id }) => id === entry.id)
      ? list.map((other) => (other.id === entry.id ? entry : other))
      : [...list, entry]
  const putOwn = (own: OwnTask) => setHome({ tasks: put(store.openTrip.home.tasks, own) }, own.name)
  const removeOwn = ({ id, name }: OwnTask) =>
    setHome({ tasks: store.openTrip.home.tasks.filter((own) => own.id !== id) }, `no more: ${name}`)
  const putShop = (shop: Shop) => setHome({ shops: put(store.openTrip.home.shops, shop) }, `the shop ${shop.name}`)
  /** What was to be bought in a shop that is none any more is ordered again. */
  function removeShop({ id, name }: Shop) {
    const { home, bench } = store.openTrip
    store.edit(`no more: ${name}`, {
      home: { ...home, shops: home.shops.filter((shop) => shop.id !== id) },
      bench: bench.map((thing) =>
        thing.buying.shop === id ? { ...thing, buying: { ...thing.buying, shop: null } } : thing,
      ),
    })
  }
  function buyAt(thingId: string, shop: string | null) {
    const bench = store.openTrip.bench.map((thing) =>
      thing.id === thingId ? { ...thing, buying: { ...thing.buying, shop } } : thing,
    )
    store.edit('where it is bought', { bench })
  }

  /**
   * Takes days from a calendar in that this list once went out with; what stands there on its day already stays as it is.
   *
   * @returns how many days are others, and how many entries are of something else
   * @throws Fault where it is no calendar
   */
  function takeCalendar(text: string, tasks: readonly ReadyTask[]): { moved: number; others: number } {
    const open = tasks.filter(({ state }) => state === 'open')
    const { days, others } = readCalendar(
      text,
      store.id,
      tasks.map(({ key }) => key),
    )
    const moved = open.filter(({ key, on, lastDay }) => days.has(key) && days.get(key) !== (on ?? lastDay))
    const trip = moved.reduce(
      (plan, { about, key }) => allSettled(plan, [about], { on: days.get(key) ?? null }),
      store.openTrip,
    )
    const { bikes, crew, stops, bench, home } = trip
    const changed = Object.entries({ bikes, crew, stops, bench, home }).filter(
      ([part, value]) => value !== store.openTrip[part as keyof Trip],
    )
    if (moved.length > 0) store.edit('days from a calendar', Object.fromEntries(changed))
    return { moved: moved.length, others }
  }

  return {
    inWords,
    setState,
    setDay,
    setWho,
    putOwn,
    removeOwn,
    putShop,
    removeShop,
    buyAt,
    setHome,
    newId,
    takeCalendar,
  }
}

const stateWords: Readonly<Record<Task['state'], string>> = { open: 'to be done', done: 'done', left: 'left undone' }
