import { pino } from 'pino'

/**
 * What the server says of itself: a line of JSON for each thing, on its standard output, where whoever started it keeps
 * it. Nothing in it is somebody's own: no name, no address, no text of a trip.
 */
export const log = pino({ base: null, timestamp: () => `,"at":"${new Date().toISOString()}"` })
