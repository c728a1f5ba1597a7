import { KM_PER_MILE, MM_PER_INCH, type UnitSystem } from '#core/units'
import type { WeatherDay } from '#core/weather'

/** A day's weather in a line: "6–12 °C, 9 mm, wind 38 km/h". */
export function weatherInWords(day: WeatherDay, system: UnitSystem): string {
  if (system === 'imperial') {
    const fahrenheit = (celsius: number) => Math.round(celsius * 1.8 + 32)
    const rain = day.rainMm > 0 ? `, ${(day.rainMm / MM_PER_INCH).toFixed(2)} in` : ''
    return `${fahrenheit(day.lowC)}–${fahrenheit(day.highC)} °F${rain}, wind ${Math.round(day.windKmH / KM_PER_MILE)} mph`
  }
  const rain = day.rainMm > 0 ? `, ${day.rainMm < 1 ? day.rainMm.toFixed(1) : Math.round(day.rainMm)} mm` : ''
  return `${Math.round(day.lowC)}–${Math.round(day.highC)} °C${rain}, wind ${Math.round(day.windKmH)} km/h`
}
