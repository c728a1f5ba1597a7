/** How the beams of one list are drawn. */
export interface BeamScale {
  /** The part of the beam that lies left of the fulcrum. */
  readonly left: number
  /** The length of a bar, as a part of the whole beam. */
  readonly lengthOf: (hours: number) => number
}

/** So much of a beam is left to the lighter side at the least. */
const leastSide = 0.3

/**
 * Both sides of all beams of a list share one scale, so the longer side is the heavier. It is bent so that minutes can still
 * be seen beside hours, and the fulcrum stands where the longest bars of both sides find room.
 *
 * @param beams hours that each thing costs by its grams, and hours that it spares
 */
export function beamScale(beams: readonly { readonly priceH: number; readonly hours: number }[]): BeamScale {
  const bent = (hours: number) => Math.max(0, hours) ** 0.4
  const longest = (sides: readonly number[]) => bent(Math.max(0.1, ...sides))
  const price = longest(beams.map(({ priceH }) => priceH))
  const spared = longest(beams.map(({ hours }) => hours))
  const left = Math.min(1 - leastSide, Math.max(leastSide, price / (price + spared)))
  const whole = Math.max(price / left, spared / (1 - left))
  return { left, lengthOf: (hours) => bent(hours) / whole }
}
