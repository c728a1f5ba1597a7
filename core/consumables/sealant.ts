/**
 * Sealant for one tyre, mL: 60 for a 50-622, less than in proportion to the volume, since it is the
 * inner wall that is wetted. Planning value, near what makers write on their bottles.
 */
export function sealantMl(volumeMl: number): number {
  const plainMl = 4145
  return 60 * (volumeMl / plainMl) ** 0.7
}

/** Months in which half of the sealant in a tyre has dried, in mild weather. Planning value. */
export const sealantHalfMonths = 3

/** Share of sealant still wet, some months after it was filled; each 10 °C warmer than 15 °C halves the time. */
export function sealantLeft(months: number, meanC = 15): number {
  const half = sealantHalfMonths * 2 ** ((15 - meanC) / 10)
  return 0.5 ** (months / half)
}
