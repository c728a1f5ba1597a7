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
export function sealantWet(months: number, meanC = 15): number {
  const half = sealantHalfMonths * 2 ** ((15 - meanC) / 10)
  return 0.5 ** (months / half)
}

/** Tape for so many turns round a pump or lever, m; the roll grows by its own thickness. */
export function tapeM(turns: number, aroundMm: number, tapeThicknessMm = 0.3): number {
  return (Math.PI * turns * (aroundMm + tapeThicknessMm * turns)) / 1000
}

/** Turns that a length of tape gives; the reverse of `tapeM`. */
export function tapeTurns(lengthM: number, aroundMm: number, tapeThicknessMm = 0.3): number {
  const [a, b, c] = [tapeThicknessMm, aroundMm, (-lengthM * 1000) / Math.PI]
  return (-b + Math.sqrt(b * b - 4 * a * c)) / (2 * a)
}

/** Thread for a seam sewn there and back with a stitch every 4 mm, m: through, over and back again. Planning value. */
export function threadM(seamMm: number, clothMm = 3): number {
  const stitches = Math.ceil(seamMm / 4)
  const tails = 0.3
  return (2 * stitches * (4 + clothMm)) / 1000 + tails
}
