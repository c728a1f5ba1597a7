import type { Stream } from './keyed-random'

/** Larger means are drawn in parts, so that e to their negative is a number. */
const largestMean = 500

/** A count of a Poisson law. Source: inversion, as in L. Devroye, "Non-Uniform Random Variate Generation" (1986), X.3.3. */
export function poissonDraw(mean: number, stream: Stream): number {
  if (mean > largestMean) return poissonDraw(largestMean, stream) + poissonDraw(mean - largestMean, stream)
  const drawn = stream.next()
  let [count, chance] = [0, Math.exp(-mean)]
  let sum = chance
  while (drawn >= sum && chance > 0) {
    count++
    chance *= mean / count
    sum += chance
  }
  return count
}

/**
 * A number of the Gamma law with a shape above 0 and scale 1.
 * Source: G. Marsaglia & W. W. Tsang, "A simple method for generating gamma variables", ACM TOMS 26 (2000).
 */
export function gammaDraw(shape: number, stream: Stream): number {
  if (shape < 1) return gammaDraw(shape + 1, stream) * Math.exp(Math.log(1 - stream.next()) / shape)
  const d = shape - 1 / 3
  const c = 1 / Math.sqrt(9 * d)
  for (;;) {
    const x = stream.nextNormal()
    const root = 1 + c * x
    if (root <= 0) continue
    const v = root * root * root
    const u = 1 - stream.next()
    // The squeeze settles most of them without a logarithm.
    if (u < 1 - 0.0331 * x * x * x * x || Math.log(u) < 0.5 * x * x + d - d * v + d * Math.log(v)) return d * v
  }
}

/**
 * A number of the same law, of those above a limit. Numbers of the law are drawn until one lies above a limit that many do;
 * above a higher one, numbers of an exponential law are, that touches the Gamma law at the limit and nowhere lies below it,
 * and each is kept as often as the Gamma law has it. Source: the rejection method, L. Devroye, "Non-Uniform Random Variate
 * Generation" (1986), II.3.
 *
 * @param limit 0 or more
 */
export function gammaDrawAbove(shape: number, limit: number, stream: Stream): number {
  if (limit <= shape) {
    for (;;) {
      const drawn = gammaDraw(shape, stream)
      if (drawn > limit) return drawn
    }
  }
  const bend = shape - 1
  // Below a shape of 1 the law falls more steeply than the exponential of rate 1.
  const rate = 1 - Math.max(0, bend) / limit
  for (;;) {
    const above = -Math.log(1 - stream.next()) / rate
    const kept = Math.exp(bend * Math.log1p(above / limit) - (1 - rate) * above)
    if (above > 0 && stream.next() < kept) return limit + above
  }
}
