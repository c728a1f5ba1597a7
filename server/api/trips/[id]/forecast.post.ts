import type { Forecast } from '../../../../core/weather'
import { tripJson } from '../../../db/kept'
import { readWholeTrip } from '../../../db/trips'
import { answering, tripIdOf } from '../../../http/answers'
import { database } from '../../../http/database'
import { personOf } from '../../../http/session'
import { drawsFor } from '../../../stand-ins/draw'
import { inventedWeather } from '../../../stand-ins/forecast'
import { doTask } from '../../../threads/pool'

/** What the weather becomes on the days of one's own trip. Nothing is saved: what to make of it is for the rider. */
export default answering(async (event): Promise<Forecast> => {
  const tripId = tripIdOf(event)
  const { json } = await readWholeTrip(database(), await personOf(event), tripId)
  const document = tripJson(json)
  const service = inventedWeather(drawsFor, tripId)
  return { from: service.name, days: await service.ask(await doTask('weatherQuestions', document, document.length)) }
})
