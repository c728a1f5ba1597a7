import { traitsOf, wholeBike, type Bike } from '../bike'
import { appliesTo } from '../hazard'
import { isInTime, openTask } from '../task'
import { leftOf, renewed } from './renew'
import type { Job } from './schema'

/** The jobs that a bike can be given: those that make something new that is not. */
export function jobsFor(bike: Bike, jobs: readonly Job[]): Job[] {
  return jobs.filter((job) => isFor(bike, job) && leftOf(bike, job.renews) < 1)
}

/** Whether a bike has what a job makes new; a tyre is asked for its own wheel. */
function isFor(bike: Bike, { applies, renews }: Job): boolean {
  const tyre = renews === 'front tread' ? bike.tyres.front : wholeBike(bike).tyre
  return appliesTo(applies, traitsOf(bike, tyre))
}

/** The bike that is given a job before the ride, on a day or on one that is still open. */
export const withJob = (bike: Bike, job: string, on: string | null = null): Bike => {
  const isPlanned = bike.jobs.some((planned) => planned.job === job)
  const jobs = isPlanned
    ? bike.jobs.map((planned) =>
        planned.job === job ? { ...planned, on, state: planned.state === 'left' ? 'open' : planned.state } : planned,
      )
    : [...bike.jobs, { ...openTask, job, on }]
  return { ...bike, jobs }
}

/** The bike that is given a job no more. */
export const withoutJob = (bike: Bike, job: string): Bike => ({
  ...bike,
  jobs: bike.jobs.filter((planned) => planned.job !== job),
})

/**
 * A bike as it stands at the start, with every job done that is planned in time; a job that comes too late, or that nobody
 * knows any more, counts for nothing.
 *
 * @param start when the ride begins, such as 2026-06-12T08:30; null while nobody knows
 */
export function atDeparture(bike: Bike, start: string | null, jobs: readonly Job[]): Bike {
  return bike.jobs
    .filter((planned) => isInTime(planned, start))
    .flatMap(({ job }) => jobs.filter(({ id }) => id === job))
    .filter((job) => isFor(bike, job))
    .reduce((done, { renews }) => renewed(done, renews), bike)
}
