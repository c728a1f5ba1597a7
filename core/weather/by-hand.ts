import { cutTo } from '../validation'
import type { Forecast, WeatherDay } from './schema'

/** A day of which nothing is known: dry and mild, so that it changes nothing. */
export function defaultWeather(date: string): WeatherDay {
  return { date, lowC: 10, highC: 20, rainMm: 0, windKmH: 10 }
}

const byHand = ', changed by hand'

/**
 * The weather with something of one day said by hand. A low above the high
 * takes the high with it, and the other way round.
 *
 * @param change within the ranges of the schema
 */
export function setWeather(forecast: Forecast, date: string, change: Partial<Omit<WeatherDay, 'date'>>): Forecast {
  const before = forecast.days.find((day) => day.date === date) ?? defaultWeather(date)
  const day = { ...before, ...change }
  if (change.lowC !== undefined) day.highC = Math.max(day.highC, day.lowC)
  else day.lowC = Math.min(day.lowC, day.highC)
  return { from: saidBy(forecast), days: inOrder([...others(forecast, date), day]) }
}

/** The weather without that of one day, which counts as dry and mild again. */
export function clearWeather(forecast: Forecast, date: string): Forecast {
  const days = others(forecast, date)
  return { from: days.length > 0 ? saidBy(forecast) : '', days }
}

const others = ({ days }: Forecast, date: string) => days.filter((day) => day.date !== date)
const inOrder = (days: WeatherDay[]) => days.sort((a, b) => a.date.localeCompare(b.date))
const saidBy = ({ from }: Forecast) => (from === '' || from.endsWith(byHand) ? from : cutTo(from, 100) + byHand)
