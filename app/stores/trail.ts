import { inOrder, type CarriedPieces, type LogEntry } from '#core/log'
import type { RoadPoint } from '#core/road'
import type { Failing, RiderElsewhere } from '#core/trail'
import type { Trip } from '#core/trip'
import { StorageSerializers, useDocumentVisibility, useIntervalFn, useLocalStorage, watchDebounced } from '@vueuse/core'
import { transfer, wrap, type Remote } from 'comlink'
import { defineStore } from 'pinia'
import { computed, nextTick, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { awayKeptAs } from '../session/kept-choices'
import { wallClockNow } from '../timing/wall-clock-now'
import { packLine, type LineId } from '../workers/packed-line'
import type { Answer, Here, Place, TrailGuideService, Whereabouts } from '../workers/trail-guide'
import type { TripWithoutLine } from '../workers/wayfinder'
import { useTripStore } from './trip'

type Outlook = Awaited<ReturnType<Remote<TrailGuideService>['outlook']>>
type WouldMendList = Awaited<ReturnType<Remote<TrailGuideService>['wouldMend']>>

/** Where somebody has said that they are. */
interface SaidPlace {
  readonly roadKm: number
  readonly at: string
}

/** A worker that guides. */
interface Guide {
  readonly worker: Worker
  readonly service: Remote<TrailGuideService>
  /** The line of a road that it was given last. */
  line?: LineId
}

/** The light, and what is open, is another after so long. */
const anewEveryMs = 10 * 60_000

/** What to do on the road: where riders are, what they have left, and what that makes possible. */
export const useTrail = defineStore('trail', () => {
  const store = useTripStore()
  const place = shallowRef<Place>()
  const here = shallowRef<Here>()
  const outlook = shallowRef<Outlook>()
  const failure = ref('')
  const isLooking = ref(false)
  /** The clock on the wall, to the minute. */
  const now = ref(wallClockNow())
  /** Where somebody says they are who may not write into the log. */
  const unwritten = shallowRef<SaidPlace>()
  /** The bike that somebody pointed at last. */
  const bikeId = ref('')
  /** What was written last, and what stood there before; it can be taken back with a touch. */
  const written = shallowRef<{ readonly entry: LogEntry; readonly before: LogEntry | undefined }>()
  /** Who is elsewhere, for each trip. */
  const awayByTrip = useLocalStorage<Record<string, RiderElsewhere[]>>(
    awayKeptAs,
    {},
    { serializer: StorageSerializers.object },
  )
  const away = computed<readonly RiderElsewhere[]>(() =>
    (awayByTrip.value[store.id] ?? []).flatMap(({ rider, hoursOff }) =>
      store.trip?.crew.some(({ id }) => id === rider) ? [{ rider, hoursOff }] : [],
    ),
  )
  const setAway = (riders: readonly RiderElsewhere[]) =>
    (awayByTrip.value = { ...awayByTrip.value, [store.id]: [...riders] })

  const entries = computed(() => inOrder(store.trip?.log ?? []))
  const hasSetOff = computed(() => entries.value.some(({ kind }) => kind === 'set off'))
  /** The last place of which the log knows. */
  const lastPlace = computed<SaidPlace | undefined>(() => {
    const logged = entries.value.findLast(({ roadKm }) => roadKm !== null)
    const said = logged?.roadKm != null ? { roadKm: logged.roadKm, at: logged.at } : undefined
    const { value: mine } = unwritten
    return mine && (!said || mine.at >= said.at) ? mine : said
  })
  const roadKm = computed(() => lastPlace.value?.roadKm ?? 0)
  /** The time that counts: before anybody has set off, when one comes by as planned; then the clock, by steps. */
  const at = computed(() => (hasSetOff.value ? `${now.value.slice(0, 15)}0` : null))
  const whereabouts = computed<Whereabouts>(() => ({ roadKm: roadKm.value, at: at.value, away: away.value }))

  let lines = new WeakMap<readonly RoadPoint[], LineId>()
  const guides: Partial<Record<'quick' | 'slow', Guide>> = {}
  let watching = 0
  let asked = 0
  /** What was looked at last. */
  let looked: { readonly trip: Trip; readonly where: Whereabouts } | undefined

  function lineIdOf(points: readonly RoadPoint[]): LineId {
    const id = lines.get(points) ?? crypto.randomUUID()
    lines.set(points, id)
    return id
  }

  /** What takes long is asked of another worker: the one that answers a touch is never busy with it. */
  function guide(pace: 'quick' | 'slow'): Guide {
    const known = guides[pace]
    if (known) return known
    const worker = new Worker(new URL('../workers/trail.worker.ts', import.meta.url), { type: 'module' })
    worker.onerror = (event) => (failure.value = event.message || 'The road could not be looked at.')
    return (guides[pace] = { worker, service: wrap<TrailGuideService>(worker) })
  }

  /**
   * On the way to the Trail: the worker has read itself by the time that the trip is there, and is at work on it before any of
   * it is drawn.
   */
  function prepare(): void {
    guide('quick')
    watch(
      () => store.trip,
      () => void look(),
      { flush: 'sync', once: true },
    )
    onScopeDispose(() => {
      if (watching === 0) leave()
    })
  }

  /** Takes the trip up at the place. */
  async function arrive(pace: 'quick' | 'slow', trip: Trip, where: Whereabouts): Promise<Place> {
    const { points, ...road } = trip.road
    const given: TripWithoutLine = { ...trip, road }
    const lineId = lineIdOf(points)
    const asked = guide(pace)
    const packed = asked.line === lineId ? undefined : packLine(points)
    asked.line = lineId
    const line = packed && transfer(packed, [packed.buffer])
    const taken = await asked.service.arriveAt(given, lineId, line, where)
    if (!taken) throw new Error('The line of the road was lost on its way.')
    return taken
  }

  /** The place is looked at anew whenever plan, log or place are others, while somebody looks. */
  function watchPlace(): void {
    watching++
    onScopeDispose(() => {
      watching--
      if (watching === 0) leave()
    })
    const visibility = useDocumentVisibility()
    useIntervalFn(() => (now.value = wallClockNow()), 20_000)
    watchDebounced([() => store.trip, whereabouts, visibility], () => visibility.value === 'visible' && void look(), {
      immediate: true,
      debounce: 30,
    })
    useIntervalFn(() => void look(), anewEveryMs)
  }

  async function look(): Promise<void> {
    const { trip } = store
    if (!trip || trip.road.points.length === 0 || trip.crew.length === 0 || trip.bikes.length === 0) return
    const where = whereabouts.value
    const isThere = looked?.trip === trip && looked.where === where
    // It may be at it already: since before anything was drawn.
    if (isThere && isLooking.value) return
    looked = { trip, where }
    const mine = ++asked
    isLooking.value = true
    failure.value = ''
    try {
      const arrived = isThere && place.value ? place.value : await arrive('quick', trip, where)
      if (mine !== asked) return
      place.value = arrived
      // Whoever looks at a failure asks for it once that is drawn, and is answered before all else.
      await nextTick()
      if (watching === 0) {
        isLooking.value = false
        return
      }
      const found = await guide('quick').service.lookAround()
      if (mine !== asked) return
      here.value = found
      isLooking.value = false
      await arrive('slow', trip, where)
      if (mine !== asked) return
      const seen = await guide('slow').service.outlook()
      if (mine === asked) outlook.value = seen
    } catch (error) {
      if (mine === asked) failure.value = error instanceof Error ? error.message : String(error)
    }
    if (mine === asked) isLooking.value = false
  }

  /** What to do about a failure here; the place has been looked at by then. */
  const answerTo = (failing: Failing): Promise<Answer> => guide('quick').service.answerTo(failing, whereabouts.value)

  /** What would mend it if one had it. */
  const wouldMend = (failing: Failing, answer: Answer): Promise<WouldMendList> =>
    guide('slow').service.wouldMend(failing, answer.now)

  /** What everybody sets off with as planned. */
  async function setOffWith(): Promise<CarriedPieces[]> {
    await arrive('slow', store.openTrip, whereabouts.value)
    return guide('slow').service.setOffWith()
  }

  /** Draws a trip to be played at home, on the plan as it is. @returns how much breaks on it */
  async function rehearse(seed: number): Promise<number> {
    await arrive('slow', store.openTrip, whereabouts.value)
    return guide('slow').service.rehearse(seed)
  }
  const nextScene = () => guide('slow').service.nextScene()
  const decideOn = (fix: string | null) => guide('slow').service.decideOn(fix)
  const playScores = () => guide('slow').service.playScores()

  const placeOf = (lat: number, lon: number) => guide('quick').service.placeOf(lat, lon, roadKm.value)

  function leave(): void {
    asked++
    for (const pace of ['quick', 'slow'] as const) {
      guides[pace]?.worker.terminate()
      guides[pace] = undefined
    }
    lines = new WeakMap()
    looked = undefined
    place.value = here.value = outlook.value = undefined
    unwritten.value = written.value = undefined
    bikeId.value = ''
    isLooking.value = false
  }

  return {
    place,
    here,
    outlook,
    failure,
    isLooking,
    now,
    entries,
    hasSetOff,
    lastPlace,
    roadKm,
    away,
    setAway,
    unwritten,
    written,
    bikeId,
    prepare,
    watchPlace,
    answerTo,
    wouldMend,
    setOffWith,
    rehearse,
    nextScene,
    decideOn,
    playScores,
    placeOf,
  }
})
