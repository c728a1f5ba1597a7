import { logEntrySchema, type CarriedPieces, type LogEntry } from '#core/log'
import { triedIn, type Failing, type Outcome, type WayAtHand } from '#core/trail'
import { catalogue } from '#catalogue'
import { entryInWords } from '#wording'
import { computed } from 'vue'
import { useTrail } from '../stores/trail'
import { useTripStore } from '../stores/trip'
import { wallClockNow } from '../timing/wall-clock-now'

type Failed = Extract<LogEntry, { kind: 'failed' }>

/** Whoever says twice within so many minutes where they are is not in two places. */
const sameRestMin = 15

/** What may be written into the log of a ride: each a step that can be taken back. */
export function useTrailEdits() {
  const store = useTripStore()
  const trail = useTrail()
  const mayWrite = computed(() => store.access.role !== 'reader')
  /** Who writes: whoever this is in the crew; on a ride of one, that one. */
  const me = computed(() => {
    const { crew } = store.openTrip
    return store.access.rider ?? (crew.length === 1 ? (crew[0]?.id ?? null) : null)
  })

  const common = () => ({
    id: crypto.randomUUID().slice(0, 8),
    at: wallClockNow(),
    roadKm: trail.lastPlace ? Math.round(trail.roadKm * 100) / 100 : null,
    by: me.value,
  })

  function put(fields: object): LogEntry {
    const { log } = store.openTrip
    const entry = logEntrySchema.parse({ ...common(), ...fields })
    const before = log.find(({ id }) => id === entry.id)
    const next = before ? log.map((other) => (other.id === entry.id ? entry : other)) : [...log, entry]
    store.edit(entryInWords(entry, store.openTrip, catalogue), { log: next })
    trail.written = { entry, before }
    return entry
  }

  function remove(entry: LogEntry): void {
    store.edit(`taken back: ${entryInWords(entry, store.openTrip, catalogue)}`, {
      log: store.openTrip.log.filter(({ id }) => id !== entry.id),
    })
    trail.written = undefined
  }

  /** What was written last leaves no trace. */
  function takeBack(): void {
    const { written } = trail
    if (!written) return
    if (written.before) put(written.before)
    else remove(written.entry)
    trail.written = undefined
  }

  const setOff = (carried: readonly CarriedPieces[]) => put({ kind: 'set off', carried, roadKm: trail.roadKm })

  /** @param stop where that is a stop */
  function standAt(roadKm: number, stop: string | null = null): void {
    const at = wallClockNow()
    const place = { roadKm: Math.round(roadKm * 100) / 100, at }
    if (!mayWrite.value) {
      trail.unwritten = place
      return
    }
    const last = trail.entries.at(-1)
    const minutes = last ? (Date.parse(`${at}Z`) - Date.parse(`${last.at}Z`)) / 60_000 : Infinity
    const isSame = last?.kind === 'passed' && last.by === me.value && minutes >= 0 && minutes <= sameRestMin
    put({ kind: 'passed', ...place, stop, ...(isSame && { id: last.id }) })
  }

  /** A failure that is being seen to, of which no end is known. */
  const openFailures = computed(() =>
    trail.entries.flatMap((entry) => (entry.kind === 'failed' && entry.ending === 'open' ? [entry] : [])),
  )
  const openFailureOf = ({ hazard, bikeId, wheel }: Failing, isStranger: boolean): Failed | undefined =>
    openFailures.value.find(
      (entry) =>
        entry.hazard === hazard && entry.bikeId === (isStranger ? null : bikeId) && entry.wheel === (wheel ?? null),
    )

  /**
   * A way was tried. What hands could not do used nothing up.
   *
   * @param minutes how long it took; null where nobody has looked
   */
  function tried(
    failing: Failing,
    isStranger: boolean,
    way: WayAtHand,
    outcome: Outcome,
    minutes: number | null,
  ): void {
    const before = openFailureOf(failing, isStranger)
    put({
      ...(before ?? failedBlank(failing, isStranger)),
      tries: [...(before?.tries ?? []), triedIn(way, outcome, me.value, minutes)],
      ending: outcome === 'held' ? 'mended' : 'open',
    })
  }

  const failedBlank = ({ hazard, bikeId, wheel, fastener }: Failing, isStranger: boolean) => ({
    kind: 'failed',
    hazard,
    bikeId: isStranger ? null : bikeId,
    wheel: wheel ?? null,
    fastener: fastener ?? null,
  })

  /** How a failure ended that nothing mended. */
  const ended = (failing: Failing, isStranger: boolean, ending: Failed['ending']) =>
    put({ ...(openFailureOf(failing, isStranger) ?? failedBlank(failing, isStranger)), ending })

  return { mayWrite, me, put, remove, takeBack, setOff, standAt, openFailures, openFailureOf, tried, ended }
}
