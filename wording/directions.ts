/** The winds of a compass from north by east, each a sixteenth of the way round. */
export const winds = [
  'N',
  'NNE',
  'NE',
  'ENE',
  'E',
  'ESE',
  'SE',
  'SSE',
  'S',
  'SSW',
  'SW',
  'WSW',
  'W',
  'WNW',
  'NW',
  'NNW',
] as const
export const degreesOfWind = 360 / winds.length

/** A bearing as one says it: "NE". */
export const windOf = (bearing: number): string => winds[Math.round(bearing / degreesOfWind) % winds.length] ?? 'N'
