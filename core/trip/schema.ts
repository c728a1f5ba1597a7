import { z } from 'zod'
import { thingSchema } from '../bench'
import { bikeSchema } from '../bike'
import { riderSchema } from '../crew'
import { homeSchema } from '../home'
import { logSchema } from '../log'
import { rideSchema } from '../ride'
import { emptyRoad, roadSchema } from '../road'
import { stopSchema } from '../supply'
import { text } from '../validation'
import { forecastSchema } from '../weather'
import { dialsSchema } from './dials'

export const tripFormat = 'rag-tin.trip/6'

/** The longest name of a trip, in characters. */
export const longestTripName = 120

/** The parts of a trip that are saved one by one, in the order of the work. */
export const partSchemas = {
  name: text(longestTripName).trim().min(1),
  road: roadSchema,
  ride: rideSchema,
  forecast: forecastSchema,
  stops: z.array(stopSchema).max(1000),
  bikes: z.array(bikeSchema).max(20),
  crew: z.array(riderSchema).max(20),
  bench: z.array(thingSchema).max(500),
  home: homeSchema,
  log: logSchema,
  dials: dialsSchema,
} as const
export type PartName = keyof typeof partSchemas
export const partNames = Object.keys(partSchemas) as PartName[]

/** One whole plan. */
export const tripSchema = z.object({
  format: z.literal(tripFormat),
  name: partSchemas.name,
  road: partSchemas.road.default(emptyRoad),
  ride: partSchemas.ride.prefault({}),
  forecast: partSchemas.forecast.prefault({}),
  stops: partSchemas.stops.default([]),
  bikes: partSchemas.bikes.default([]),
  crew: partSchemas.crew.default([]),
  bench: partSchemas.bench.default([]),
  home: partSchemas.home.prefault({}),
  log: partSchemas.log.default([]),
  dials: partSchemas.dials.prefault({}),
})
export type Trip = z.infer<typeof tripSchema>
