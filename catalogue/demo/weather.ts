import { forecastSchema, type Forecast } from '#core/weather'

const day = (date: string, lowC: number, highC: number, rainMm: number, windKmH: number) => ({
  date: `2026-06-${date}`,
  lowC,
  highC,
  rainMm,
  windKmH,
})

/** An invented week: fair, then two wet days over the second pass with a cold night between them. */
export const demoForecast: Forecast = forecastSchema.parse({
  from: 'invented for the demo',
  days: [
    day('12', 9, 16, 0, 18),
    day('13', 10, 18, 0.4, 14),
    day('14', 11, 19, 0, 12),
    day('15', 8, 15, 1.2, 25),
    day('16', 6, 12, 9, 38),
    day('17', 5, 11, 14, 45),
    day('18', 7, 14, 0.6, 22),
    day('19', 9, 16, 0, 16),
  ],
})
