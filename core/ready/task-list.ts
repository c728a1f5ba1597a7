import { trialOf, checksFor } from '../checks'
import { bikesAtDeparture } from '../trip-ledger'
import { withPlanning, type Reference } from '../reference'
import { dateOf, sharedOpeningCache, Timetable, type OpeningCache } from '../ride'
import { positionAt, type Survey } from '../road'
import { toGet } from '../shed'
import type { Service, Stop } from '../supply'
import { daysAfter, openTask, type Task } from '../task'
import type { Trip } from '../trip'
import { defined } from '../validation'
import { taskKey, type TaskAbout } from './about'
import { lastSuch, openDays, workingDays, workingDaysBefore, type OnDay } from './last-days'
import { postingDays } from './posting'

/** Something to be done before a ride. */
export interface ReadyTask {
  readonly key: string
  readonly about: TaskAbout
  readonly state: Task['state']
  /** The day that somebody has set for it; null where nobody has. */
  readonly on: string | null
  /** The rider who does it; null for anybody. */
  readonly who: string | null
  /** Whether somebody else of the crew may do it as well. */
  readonly isAnybodys: boolean
  readonly minutes: number
  /** By when it should be done; null while nobody knows when the ride begins, or where no day is early enough. */
  readonly lastDay: string | null
  /** The last day on which it is of use at all: later than that of what could still be done the evening before. */
  readonly deadline: string | null
  /** Not before this day; null where it does not matter. */
  readonly firstDay: string | null
  /** How many pieces are to be got. */
  readonly pieces: number | null
}

/** The day by which something is to be done: that which somebody has set for it, or the last one. */
export const dueDay = ({ on, lastDay }: Pick<ReadyTask, 'on' | 'lastDay'>): string | null => on ?? lastDay

/** How a task stands on a day. */
export type Standing = 'done' | 'left' | 'too late' | 'overdue' | 'due' | 'ahead'

/**
 * How a task stands on a day: whether it is settled, whether it is of no use any more, or planned for a day on which it will
 * not be, whether it should have been done by now, is due, or has time.
 *
 * @param today such as 2026-05-30
 */
export function standingOn(task: Pick<ReadyTask, 'state' | 'on' | 'lastDay' | 'deadline'>, today: string): Standing {
  if (task.state !== 'open') return task.state
  const { deadline, on } = task
  if (deadline !== null && (today > deadline || (on !== null && on > deadline))) return 'too late'
  const due = dueDay(task)
  if (due === null || due > today) return 'ahead'
  return due === today ? 'due' : 'overdue'
}

/** Nobody practises on the evening on which all is packed. */
const practiceDaysBefore = 2

/** What the list is made of beside the plan. */
interface Beside {
  /** The measured road; where it has no length nobody knows when one comes by where. */
  readonly survey: Survey
  /** How many of each thing of the bench come along. */
  readonly carried: Readonly<Record<string, number>>
  readonly book?: OpeningCache
}

/** All that is to be done before a ride, made from its plan; in the order of the work, with the days by which it is to be done. */
export function taskList(
  trip: Trip,
  given: Reference,
  { survey, carried, book = sharedOpeningCache }: Beside,
): ReadyTask[] {
  return new ListMaker(trip, withPlanning(given, trip.dials.planning), survey, carried, book).make()
}

/** What riders have put on the list themselves. */
export const ownTasks = (trip: Pick<Trip, 'crew' | 'ride' | 'home'>): ReadyTask[] =>
  trip.home.tasks.map((own) =>
    readyTask(trip, { kind: 'own', taskId: own.id }, own, { minutes: own.minutes, lastDay: eveOf(trip) }),
  )

/** The day on which a ride begins; null where nobody knows. */
const departureOf = ({ ride }: Pick<Trip, 'ride'>): string | null => ride.start?.slice(0, 10) ?? null

/** The last evening before it. */
function eveOf(trip: Pick<Trip, 'ride'>): string | null {
  const departure = departureOf(trip)
  return departure && daysAfter(departure, -1)
}

/** What a kind of task says of itself; the rider whom it is nearest to does it where nobody else is set. */
type KnownOfTask = Pick<ReadyTask, 'minutes' | 'lastDay'> & Partial<ReadyTask> & { readonly nearest?: string | null }

function readyTask(
  trip: Pick<Trip, 'crew' | 'ride'>,
  about: TaskAbout,
  { state, on, by }: Task,
  { nearest = null, ...known }: KnownOfTask,
): ReadyTask {
  return {
    key: taskKey(about),
    about,
    state,
    on,
    who: trip.crew.some(({ id }) => id === by) ? by : nearest,
    isAnybodys: true,
    deadline: eveOf(trip),
    firstDay: null,
    pieces: null,
    ...known,
  }
}

class ListMaker {
  private readonly departure: string | null
  /** The last evening before the ride. */
  private readonly eve: string | null
  private readonly isWorking: OnDay

  constructor(
    private readonly trip: Trip,
    private readonly reference: Reference,
    private readonly survey: Survey,
    private readonly carried: Readonly<Record<string, number>>,
    private readonly book: OpeningCache,
  ) {
    this.departure = departureOf(trip)
    this.eve = eveOf(trip)
    this.isWorking = workingDays(trip.home.country ?? trip.ride.country, book)
  }

  make(): ReadyTask[] {
    return [
      ...this.jobs(),
      ...this.checks(),
      ...this.purchases(),
      ...this.parcels(),
      ...this.trials(),
      ...this.practice(),
      this.task({ kind: 'papers' }, this.trip.home.papers, {
        minutes: this.reference.errands.papers.minutes,
        lastDay: this.eve,
      }),
      ...ownTasks(this.trip),
    ]
  }

  private task(about: TaskAbout, planned: Task, known: KnownOfTask): ReadyTask {
    return readyTask(this.trip, about, planned, known)
  }

  private daysBefore(days: number | null): string | null {
    return this.departure === null || days === null ? null : daysAfter(this.departure, -days)
  }

  private riderOf(bikeId: string): string | null {
    return this.trip.crew.find((rider) => rider.bikeId === bikeId)?.id ?? null
  }

  private jobs(): ReadyTask[] {
    return this.trip.bikes.flatMap(({ id: bikeId, jobs }) =>
      jobs.flatMap((planned) => {
        const job = this.reference.jobs.find(({ id }) => id === planned.job)
        if (!job) return []
        const lastDay = this.daysBefore(job.daysBefore)
        const about = { kind: 'job', bikeId, jobId: job.id } as const
        return [this.task(about, planned, { minutes: job.minutes, lastDay, nearest: this.riderOf(bikeId) })]
      }),
    )
  }

  /** Of bikes that somebody rides, with their jobs done: bolts that will have been locked are not looked over once more. */
  private checks(): ReadyTask[] {
    return bikesAtDeparture(this.trip, this.reference)
      .filter(({ id }) => this.riderOf(id) !== null)
      .flatMap((bike) =>
        checksFor(bike, this.reference.checks).map(({ id: checkId, minutes, daysBefore, soonestDays }) => {
          const planned = bike.checks.find(({ check }) => check === checkId) ?? openTask
          const about = { kind: 'check', bikeId: bike.id, checkId } as const
          const lastDay = this.daysBefore(daysBefore)
          const firstDay = this.daysBefore(soonestDays ?? null)
          return this.task(about, planned, { minutes, lastDay, firstDay, nearest: this.riderOf(bike.id) })
        }),
      )
  }

  private practice(): ReadyTask[] {
    const { minutes } = this.reference.errands.practice
    return this.trip.crew.flatMap(({ id: riderId, practice }) =>
      practice.map((planned) =>
        this.task({ kind: 'practice', riderId, techniqueId: planned.technique }, planned, {
          minutes,
          lastDay: this.daysBefore(practiceDaysBefore),
          who: riderId,
          isAnybodys: false,
        }),
      ),
    )
  }

  /** What is carried and not there; what was bought for this ride stays on the list. A way to a shop is shared by all that is got there. */
  private purchases(): ReadyTask[] {
    const { bench, stops, home } = this.trip
    const { order, shop: way } = this.reference.errands
    const untouched = bench.map((thing) => ({ ...thing, buying: { ...thing.buying, state: 'open' as const } }))
    const lacking = toGet(untouched, this.wanted(), stops).filter(({ shop }) => !shop)
    return lacking.map(({ thing: { id: thingId, broughtBy }, pieces }) => {
      const { buying } = defined(bench.find(({ id }) => id === thingId))
      const shop = home.shops.find(({ id }) => id === buying.shop)
      const isOrdered = !shop || shop.deliveryDays !== null
      const together = lacking.filter((other) => other.thing.buying.shop === buying.shop).length
      const lastDay = this.eve && this.lastDayToBuy(this.eve, shop)
      return this.task({ kind: 'buy', thingId }, buying, {
        minutes: isOrdered ? order.minutes : way.minutes / together,
        lastDay,
        deadline: lastDay,
        nearest: broughtBy,
        pieces,
      })
    })
  }

  /** What the kit takes; of what buying was left undone, all that could be carried. */
  private wanted(): Record<string, number> {
    const wantedOf = ({ id, count, buying }: Trip['bench'][number]) =>
      buying.state === 'left' ? count : (this.carried[id] ?? 0)
    return Object.fromEntries(this.trip.bench.map((thing) => [thing.id, wantedOf(thing)]))
  }

  private lastDayToBuy(eve: string, shop: Trip['home']['shops'][number] | undefined): string | null {
    const days = shop ? shop.deliveryDays : this.reference.errands.order.days
    if (days !== null) {
      const delivered = lastSuch(eve, this.isWorking)
      return delivered && workingDaysBefore(delivered, days, this.isWorking)
    }
    const country = this.trip.home.country ?? this.trip.ride.country
    const opening = this.book.find(shop?.hours ?? '', { lat: 0, lon: 0, country })
    return lastSuch(eve, opening ? openDays(opening) : this.isWorking)
  }

  private parcels(): ReadyTask[] {
    const { stops, ride, road } = this.trip
    const { parcel } = this.reference.errands
    const timetable = ride.start !== null && this.survey.lengthKm > 0 ? new Timetable(this.survey, road, ride) : null
    return stops.flatMap((stop) =>
      stop.services
        .filter((service) => Object.keys(service.parcel).length > 0)
        .map((service) => {
          const visit = timetable && dateOf(timetable.stayAt(stop.roadKm).arrives)
          const days = visit === null ? null : postingDays(visit, parcel, this.isWorking, this.daysOpen(stop, service))
          const lastDay = days?.last ?? null
          return this.task({ kind: 'parcel', stopId: stop.id, service: service.kind }, service.posting, {
            minutes: parcel.minutes,
            lastDay,
            deadline: lastDay,
            firstDay: days?.first ?? null,
          })
        }),
    )
  }

  /** Days on which a parcel can be handed in; where nobody knows the hours, working days. */
  private daysOpen(stop: Stop, { hours }: Service): OnDay {
    const { ride, road } = this.trip
    const { lat, lon } = positionAt(road.points, this.survey, stop.roadKm)
    const opening = this.book.find(hours, { lat, lon, country: ride.country })
    return opening ? openDays(opening) : workingDays(ride.country, this.book)
  }

  private trials(): ReadyTask[] {
    const { trials, families } = this.reference
    return this.trip.bench.flatMap((thing) => {
      const trial = (this.carried[thing.id] ?? 0) > 0 ? trialOf(thing, trials, families) : undefined
      // What is bought on the way cannot be tried at home.
      if (!trial || thing.boughtAt !== null) return []
      const { minutes, daysBefore, soonestDays = null } = trial
      return [
        this.task({ kind: 'try', thingId: thing.id }, thing.trial, {
          minutes,
          lastDay: this.daysBefore(daysBefore),
          firstDay: this.daysBefore(soonestDays),
          nearest: thing.broughtBy,
        }),
      ]
    })
  }
}
