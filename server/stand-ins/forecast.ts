import type { WeatherDay } from '#core/weather'

/** A day and a place whose weather is asked for. */
export interface WeatherQuestion {
  readonly date: string
  readonly lat: number
  /** Height of the highest ground of the day, in metres. */
  readonly eleM: number
}

/** A way to learn the weather; a real one would ask a weather service. */
export interface WeatherService {
  readonly name: string
  ask(days: readonly WeatherQuestion[]): Promise<WeatherDay[]>
}

/** Kelvin lost for each metre of height (ISO 2533, troposphere). */
const lapsePerM = 0.0065
/** How much of a day's temper goes over into the next. */
const persistence = 0.6
const rainChance = 0.38

/**
 * Weather that never was: the season of the latitude, colder with height, and
 * a temper of its own that lasts from day to day. Made up to be planned
 * against, not to be believed.
 */
export function inventedWeather(seededRandom: (...words: string[]) => () => number, seed: string): WeatherService {
  return {
    name: 'invented weather',
    async ask(days) {
      let temper = 0
      return days.map(({ date, lat, eleM }) => {
        const draw = seededRandom(seed, date)
        temper = persistence * temper + (1 - persistence) * (draw() + draw() + draw() - 1.5) * 2
        const mean = seasonalC(date, lat) - lapsePerM * eleM + 5 * temper
        // Wetter when it is cold for the time of the year.
        const rains = draw() < rainChance * (1 - temper)
        const range = rains ? 4 : 8
        const round = (value: number) => Math.round(value * 10) / 10
        return {
          date,
          lowC: round(mean - range / 2 - draw() * 2),
          highC: round(mean + range / 2 + draw() * 2),
          rainMm: rains ? round(-Math.log(1 - draw()) * 6) : 0,
          windKmH: Math.round(8 + 22 * draw() + (rains ? 10 : 0)),
        }
      })
    },
  }
}

/** A mild sort of climate: colder away from the equator, and swinging with the year the more. */
function seasonalC(date: string, lat: number): number {
  const at = new Date(`${date}T00:00:00Z`)
  const dayOfYear = (at.getTime() - Date.UTC(at.getUTCFullYear(), 0, 1)) / 86_400_000
  const far = Math.abs(lat) / 90
  const warmest = lat >= 0 ? 200 : 17
  return 27 - 32 * far ** 1.3 + 14 * far * Math.cos(((dayOfYear - warmest) / 365.25) * 2 * Math.PI)
}
