import type { Task } from '../task'
import type { Trip } from './schema'

/** The parts of a trip that speak of riders. */
type OfRiders = Pick<Trip, 'crew' | 'bench' | 'bikes' | 'stops' | 'home'>

/**
 * A trip without one of the riders: what they brought is everybody's, what they carried is carried by others, and what they
 * were to do before the ride is done by whoever is nearest to it. Parts that do not speak of them stay the very same.
 */
export function withoutRider({ crew, bench, bikes, stops, home }: OfRiders, riderId: string): OfRiders {
  const free = <T extends Pick<Task, 'by'>>(task: T): T => (task.by === riderId ? { ...task, by: null } : task)
  const tasks = changed(home.tasks, free)
  const papers = free(home.papers)
  return {
    crew: crew.filter(({ id }) => id !== riderId),
    bench: changed(bench, (thing) => {
      const { [riderId]: carried, ...carriedBy } = thing.carriedBy
      const broughtBy = thing.broughtBy === riderId ? null : thing.broughtBy
      const [buying, trial] = [free(thing.buying), free(thing.trial)]
      const isSame =
        carried === undefined && broughtBy === thing.broughtBy && buying === thing.buying && trial === thing.trial
      return isSame ? thing : { ...thing, carriedBy, broughtBy, buying, trial }
    }),
    bikes: changed(bikes, (bike) => {
      const [jobs, checks] = [changed(bike.jobs, free), changed(bike.checks, free)]
      return jobs === bike.jobs && checks === bike.checks ? bike : { ...bike, jobs, checks }
    }),
    stops: changed(stops, (stop) => {
      const services = changed(stop.services, (service) => {
        const posting = free(service.posting)
        return posting === service.posting ? service : { ...service, posting }
      })
      return services === stop.services ? stop : { ...stop, services }
    }),
    home: tasks === home.tasks && papers === home.papers ? home : { ...home, tasks, papers },
  }
}

/** A list with its entries changed; the same one where none is another. */
function changed<T>(list: T[], change: (entry: T) => T): T[] {
  const next = list.map(change)
  return next.every((entry, i) => entry === list[i]) ? list : next
}
