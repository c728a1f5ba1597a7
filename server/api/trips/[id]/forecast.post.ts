import type { Forecast } from '#core/weather'
import { tripJson } from '../../../db/stored-parts'
import { readWholeTrip } from '../../../db/trips'
import { answering, tripIdOf } from '../../../http/error-answers'
import { database } from '../../../http/database'
import { personOf } from '../../../http/session'
import { seededRandom } from '../../../stand-ins/seeded-random'
import { inventedWeather } from '../../../stand-ins/forecast'
import { doTask } from '../../../threads/pool'

/** What the weather becomes on the days of one's own trip. Nothing is saved: what to make of it is for the rider. */
export default answering(async (event): Promise<Forecast> => {
  const tripId = tripIdOf(event)
  const { json } = await readWholeTrip(database(), await personOf(event), tripId)
  const document = tripJson(json)
  const service = inventedWeather(seededRandom, tripId)
  return { from: service.name, days: await service.ask(await doTask('weatherQuestions', document, document.length)) }
})
