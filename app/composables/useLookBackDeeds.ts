import { catalogue } from '#catalogue'
import { navigateTo } from '#imports'
import { nextTrip, withLearned, type LearnedValue, type ThingSince } from '#core/learn'
import { logAsTable, logFromTable, type LogEntry } from '#core/log'
import { surveyRoad, writeGpx } from '#core/road'
import { changedPlanning } from '#core/reference'
import { entryInWords } from '#wording'
import { saveAs } from '../http/save-as'
import { useOwnPlanning } from '../stores/own-planning'
import { useTripStore } from '../stores/trip'
import { useTrips } from '../stores/trips'

/** What may be done with what a ride taught: each by choice, and a step that can be taken back where it changes the trip. */
export function useLookBackDeeds() {
  const store = useTripStore()
  const own = useOwnPlanning()

  /** @param inAll whether it holds for all of one’s trips as well. @returns how many others were changed */
  async function takeOver(values: readonly LearnedValue[], inAll: boolean): Promise<number> {
    const { dials } = store.openTrip
    const planning = withLearned({}, values)
    store.edit('take over what was learned', {
      dials: { ...dials, planning: changedPlanning(dials.planning, { planning, back: [] }) },
    })
    return inAll ? own.change({ planning, back: [] }, store.id) : 0
  }

  /** Begins a trip with the kit as it came home. @returns what is otherwise since the last kit */
  async function beginNext(name: string): Promise<readonly ThingSince[]> {
    const planning = { ...(await useTrips().planning()), ...store.openTrip.dials.planning }
    const { trip, since } = nextTrip(store.openTrip, catalogue, planning, name)
    const id = await useTrips().create(trip)
    await navigateTo(`/trips/${id}/bench`)
    return since
  }

  function writeTable() {
    saveAs(new Blob([logAsTable(store.openTrip.log)], { type: 'text/csv' }), `${store.openTrip.name} log.csv`)
  }

  function writePlaces() {
    const { road, log, name } = store.openTrip
    const places = log.flatMap((entry) =>
      entry.roadKm === null || entry.kind === 'passed'
        ? []
        : [
            {
              name: entryInWords(entry, store.openTrip, catalogue),
              roadKm: entry.roadKm,
              about: [entry.at.replace('T', ' '), entry.kind === 'note' ? '' : entry.note].filter(Boolean).join('; '),
              symbol: entry.kind,
            },
          ],
    )
    const survey = surveyRoad(road.points)
    saveAs(new Blob([writeGpx(road, survey, places)], { type: 'application/gpx+xml' }), `${name} log.gpx`)
  }

  /** Takes entries of a table in; those that are there already are left as they are. @returns how many came */
  function takeTable(text: string): number {
    const { log } = store.openTrip
    const known = new Set(log.map(({ id }) => id))
    const more = logFromTable(text).filter(({ id }: LogEntry) => !known.has(id))
    if (more.length > 0) store.edit('entries of a table', { log: [...log, ...more] })
    return more.length
  }

  return { takeOver, beginNext, writeTable, writePlaces, takeTable }
}
