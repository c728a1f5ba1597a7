import { openTask, type Task } from '../task'
import type { Trip } from '../trip'
import { withService } from '../ways'
import type { TaskAbout } from './about'

/** The parts of a plan in which what is to be done is kept. */
export type Preparations = Pick<Trip, 'bikes' | 'crew' | 'stops' | 'bench' | 'home'>
export type PreparationChange = Partial<Preparations>

/** What a plan becomes where something is done on another day, by somebody else, was done or left undone. */
export function settled(trip: Preparations, about: TaskAbout, change: Partial<Task>): PreparationChange {
  switch (about.kind) {
    case 'job':
      return {
        bikes: withEntry(trip.bikes, about.bikeId, (bike) => ({
          ...bike,
          jobs: bike.jobs.map((each) => (each.job === about.jobId ? { ...each, ...change } : each)),
        })),
      }
    case 'check':
      return {
        bikes: withEntry(trip.bikes, about.bikeId, (bike) => {
          const known = bike.checks.find(({ check }) => check === about.checkId)
          const others = bike.checks.filter((each) => each !== known)
          return { ...bike, checks: [...others, { ...openTask, check: about.checkId, ...known, ...change }] }
        }),
      }
    case 'practice':
      return {
        crew: withEntry(trip.crew, about.riderId, (rider) => ({
          ...rider,
          practice: rider.practice.map((each) =>
            each.technique === about.techniqueId ? { ...each, ...change } : each,
          ),
        })),
      }
    case 'parcel':
      return withService(trip, about, (service) => ({ ...service, posting: { ...service.posting, ...change } }))
    case 'buy':
      return {
        bench: withEntry(trip.bench, about.thingId, (thing) => ({
          ...thing,
          // What is got at home is bought nowhere on the way: that stop is gone, or sells no such thing.
          boughtAt: null,
          buying: { ...thing.buying, ...change },
        })),
      }
    case 'try':
      return {
        bench: withEntry(trip.bench, about.thingId, (thing) => ({ ...thing, trial: { ...thing.trial, ...change } })),
      }
    case 'papers':
      return { home: { ...trip.home, papers: { ...trip.home.papers, ...change } } }
    case 'own':
      return {
        home: { ...trip.home, tasks: withEntry(trip.home.tasks, about.taskId, (own) => ({ ...own, ...change })) },
      }
  }
}

/** What is kept of a task; open where nothing is. */
export function taskOf({ bikes, crew, stops, bench, home }: Preparations, about: TaskAbout): Task {
  const thing = (id: string) => bench.find((each) => each.id === id)
  switch (about.kind) {
    case 'job':
      return bikes.find(({ id }) => id === about.bikeId)?.jobs.find(({ job }) => job === about.jobId) ?? openTask
    case 'check':
      return (
        bikes.find(({ id }) => id === about.bikeId)?.checks.find(({ check }) => check === about.checkId) ?? openTask
      )
    case 'practice': {
      const rider = crew.find(({ id }) => id === about.riderId)
      return rider?.practice.find(({ technique }) => technique === about.techniqueId) ?? openTask
    }
    case 'parcel': {
      const stop = stops.find(({ id }) => id === about.stopId)
      return stop?.services.find(({ kind }) => kind === about.service)?.posting ?? openTask
    }
    case 'buy':
      return thing(about.thingId)?.buying ?? openTask
    case 'try':
      return thing(about.thingId)?.trial ?? openTask
    case 'papers':
      return home.papers
    case 'own':
      return home.tasks.find(({ id }) => id === about.taskId) ?? openTask
  }
}

/** The same for several. */
export const allSettled = <T extends Preparations>(trip: T, abouts: readonly TaskAbout[], change: Partial<Task>): T =>
  abouts.reduce<T>((plan, about) => ({ ...plan, ...settled(plan, about, change) }), trip)

const withEntry = <T extends { readonly id: string }>(list: readonly T[], id: string, change: (entry: T) => T): T[] =>
  list.map((entry) => (entry.id === id ? change(entry) : entry))
