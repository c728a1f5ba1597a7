import { Fault } from '../../../../core/fault'
import { dateOf, Timetable } from '../../../../core/ride'
import { pointBefore, positionAt, surveyRoad, type Survey } from '../../../../core/road'
import type { Forecast } from '../../../../core/weather'
import { readTripDocument } from '../../../db/trips'
import { answering, personOf, tripIdOf } from '../../../http/answers'
import { database } from '../../../http/database'
import { drawsFor } from '../../../stand-ins/draw'
import { inventedWeather, type WeatherQuestion } from '../../../stand-ins/forecast'

/** What the weather becomes on the days of one's own trip. Nothing is saved: what to make of it is for the rider. */
export default answering(async (event): Promise<Forecast> => {
  const tripId = tripIdOf(event)
  const { trip } = await readTripDocument(database(), await personOf(event), tripId)
  const survey = surveyRoad(trip.road.points)
  if (survey.lengthKm <= 0) throw new Fault('road.points', 'no road', 'a road; import a GPX file first')
  if (trip.ride.start === null) throw new Fault('ride.start', 'null', 'the day on which the ride begins')
  // Two short rides may begin on the same date; it has one weather.
  const byDate = new Map<string, WeatherQuestion>()
  for (const day of new Timetable(survey, trip.road, trip.ride).days) {
    const date = dateOf(day.startsAt)
    const { lat } = positionAt(trip.road.points, survey, day.fromKm)
    const eleM = Math.max(byDate.get(date)?.eleM ?? -Infinity, highest(survey, day.fromKm, day.toKm))
    byDate.set(date, { date, lat, eleM })
  }
  const service = inventedWeather(drawsFor, tripId)
  return { from: service.name, days: await service.ask([...byDate.values()]) }
})

function highest({ km, eleM }: Survey, fromKm: number, toKm: number): number {
  return eleM ? eleM.subarray(pointBefore(km, fromKm), pointBefore(km, toKm) + 1).reduce((a, b) => Math.max(a, b)) : 0
}
