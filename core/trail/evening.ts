import { z } from 'zod'
import { traitsOf, wheelGroups } from '../bike'
import { appliesSchema, appliesTo } from '../hazard'
import { inOrder } from '../log'
import { isWet } from '../weather'
import { nth } from '../validation'
import type { Onward, RoadPosition } from './onward'
import type { KitLeft } from './what-is-left'

/** What is looked after in the two minutes of an evening. */
export const eveningCareSchema = z.object({
  id: z.string(),
  name: z.string(),
  /** What one does, in a short line. */
  look: z.string(),
  applies: appliesSchema,
  /** Due after so many km since it was done last, dry and wet; 0 for every evening. */
  everyKm: z.number().min(0),
  everyKmWet: z.number().min(0),
  /** The failures that it foresees: one of them since it was done last makes it due. */
  hazards: z.array(z.string()).default([]),
  /** What of that is as new once it is done. */
  renews: z.array(z.string()).default([]),
  /** Whether a bolt that was found loose makes it due as well. */
  afterLoose: z.boolean().default(false),
})
export type EveningCare = z.infer<typeof eveningCareSchema>

/** Something to be looked after this evening or another. */
export interface EveningTask {
  readonly id: string
  readonly isDue: boolean
  /** Ridden since it was done last, or since the start. */
  readonly kmSince: number
  /** Rain today, mm; 0 where its road does not count as wet. */
  readonly rainMm: number
  /** Failures of its kind since it was done last. */
  readonly failed: readonly string[]
  /** Parts that wear of which little is left, by what fails. */
  readonly worn: readonly {
    readonly hazard: string
    readonly bike: string
    readonly wheel: 'front' | 'rear' | null
    readonly left: number
  }[]
}

/** What the evening asks about beside. */
export interface Evening {
  /** What is due first, then the rest, each in the order of the catalogue. */
  readonly tasks: readonly EveningTask[]
  /** Bolts that were found loose on this ride, the last first. */
  readonly bolts: readonly string[]
  /** Bags that were opened for a repair since the last evening: one of them may be open still. */
  readonly bags: readonly string[]
}

/** A part of which less than this is left of its life is looked at each evening. Planning value. */
const littleLeft = 0.25

/** What is due this evening: by what was ridden, what the weather is, what the log says, and what wears. */
export function eveningOf(
  { trip, laid }: Pick<Onward, 'trip' | 'laid'>,
  cares: readonly EveningCare[],
  kit: KitLeft,
  { roadKm, at }: RoadPosition,
): Evening {
  const log = inOrder(trip.log).filter((entry) => entry.at <= at)
  const traits = trip.bikes.flatMap((bike) => wheelGroups(bike).map(({ tyre }) => traitsOf(bike, tyre)))
  const today = trip.forecast.days.find(({ date }) => date === at.slice(0, 10))
  const rainMm = isWet(today) && today ? today.rainMm : 0
  const evenings = log.flatMap((entry) => (entry.kind === 'evening' ? [entry] : []))

  const tasks = cares
    .filter(({ applies }) => traits.some((each) => appliesTo(applies, each)))
    .map(({ id, hazards, everyKm, everyKmWet, afterLoose }): EveningTask => {
      const last = evenings.findLast(({ did }) => did.includes(id))
      const since = last ? log.slice(log.indexOf(last) + 1) : log
      const kmSince = Math.max(0, roadKm - (last?.roadKm ?? 0))
      const failed = since.flatMap((entry) =>
        entry.kind === 'failed' && hazards.includes(entry.hazard) ? [entry.hazard] : [],
      )
      const isLoose = afterLoose && since.some(({ kind }) => kind === 'loose')
      const worn = laid.ledger.events.flatMap(({ wear }, e) => {
        const { hazard, bike, wheel } = nth(laid.notes, e)
        return wear && wear.left < littleLeft && hazards.includes(hazard)
          ? [{ hazard, bike, wheel, left: wear.left }]
          : []
      })
      const every = rainMm > 0 ? everyKmWet : everyKm
      const isDoneToday = last?.at.slice(0, 10) === at.slice(0, 10)
      const isDue = failed.length > 0 || isLoose || (!isDoneToday && (kmSince >= every || worn.length > 0))
      return { id, isDue, kmSince, rainMm, failed: [...new Set(failed)], worn }
    })
  const lastEvening = evenings.at(-1)
  const sinceEvening = lastEvening ? log.slice(log.indexOf(lastEvening) + 1) : log
  const opened = new Set(
    sinceEvening.flatMap((entry) => (entry.kind === 'failed' ? entry.tries.flatMap(({ took }) => took) : [])),
  )
  const bags = kit.left.flatMap(({ thing, bags: packedIn }) => (opened.has(thing) ? packedIn : []))
  const bolts = log.flatMap((entry) => (entry.kind === 'loose' ? [entry.name] : []))
  return {
    tasks: [...tasks.filter(({ isDue }) => isDue), ...tasks.filter(({ isDue }) => !isDue)],
    bolts: [...new Set(bolts.toReversed())],
    bags: [...new Set(bags)],
  }
}
