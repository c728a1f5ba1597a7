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
