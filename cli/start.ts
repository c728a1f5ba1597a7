import { catalogue } from '#catalogue'
import { CostsOfFailing } from '#core/availability'
import { surveyRoad } from '#core/road'
import { conditionOn, laidFromShed } from '#core/shed'
import { readTripText } from '#core/trip'
import { firstBench } from '#core/unlock'
import { gramsInWords } from '#wording'
import { shedOf } from './shed'
import { table } from './text'
import { fileText, parsedArgs } from './usage'

/** What to lay on an empty bench for this road, these bikes and these hands: what is owned, and what is missing beside it. */
export function start(args: string[]): unknown {
  const { positionals, values } = parsedArgs(args, { shed: { type: 'string' }, text: { type: 'boolean' } } as const)
  const read = readTripText(fileText(positionals), catalogue)
  const on = (read.ride.start ?? new Date().toISOString()).slice(0, 10)
  const owned = values.shed === undefined ? [] : shedOf(values.shed).things
  const bench = owned.map((thing) => laidFromShed(thing, thing.id, conditionOn(thing, on, catalogue.families)))
  const trip = { ...read, bench }
  const survey = surveyRoad(trip.road.points)
  const costs = survey.lengthKm > 0 ? new CostsOfFailing(trip, survey, catalogue) : undefined
  const things = firstBench(trip, survey, catalogue, costs).map(({ id, count }) => {
    const { name = id, massG = 0, price = 0 } = catalogue.items.find((item) => item.id === id) ?? {}
    return { id, name, count, massG, price: price * count }
  })
  if (!values.text) return { owned: bench.map(({ id, name, count, massG }) => ({ id, name, count, massG })), things }
  return table(
    ['pieces', 'each', 'thing', ''],
    [
      ...bench.map(({ count, massG, name }) => [`${count}`, gramsInWords(massG, 'metric'), name, 'owned']),
      ...things.map(({ count, massG, name }) => [`${count}`, gramsInWords(massG, 'metric'), name, '']),
    ],
    [0, 1],
  )
}
