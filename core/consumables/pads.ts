/** What is left of something that wears, at a place of the road. */
export interface PadsLeft {
  readonly roadKm: number
  /** Share of a new one: the mean, and with a tenth of a chance less or more. */
  readonly mean: number
  readonly low: number
  readonly high: number
}

/** Standard deviations from the mean to the tenth of a normal distribution. Source: tables of the normal distribution. */
const tenthAt = 1.2816

/**
 * What is left along a road of something that wears with a spread.
 *
 * @param left life left at the start, 0 to 1
 * @param livesAt lives used up at each place, on average, growing
 * @param spread standard deviation of one life as a share of its mean
 */
export function padsLeftAlong(
  left: number,
  livesAt: readonly { roadKm: number; lives: number }[],
  spread: number,
): PadsLeft[] {
  return livesAt.map(({ roadKm, lives }) => {
    const deviation = tenthAt * spread * Math.sqrt(lives)
    const within = (share: number) => Math.min(1, Math.max(0, share))
    return {
      roadKm,
      mean: within(left - lives),
      low: within(left - lives - deviation),
      high: Math.min(left, within(left - lives + deviation)),
    }
  })
}
