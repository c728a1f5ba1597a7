import betaQuantile from '@stdlib/stats-base-dists-beta-quantile'
import gammaQuantile from '@stdlib/stats-base-dists-gamma-quantile'

/** What is told of a belief: its mean, and where what is believed in lies four times out of five. */
export interface Estimate {
  readonly mean: number
  readonly low: number
  readonly high: number
}

/** The middle four fifths are told: what lies outside is no great surprise, one time in ten on either side. */
export const told = { low: 0.1, high: 0.9 } as const

/** A Gamma belief in a rate: as if so many events had been seen in so much exposure. Both greater than 0. */
export interface RateBelief {
  readonly events: number
  readonly exposure: number
}

/**
 * A belief in a rate after more was seen: conjugate to Poisson counts.
 * Source: Gelman et al., Bayesian Data Analysis, 3rd ed., § 2.6.
 *
 * @param events whole, 0 or more
 * @param exposure 0 or more, in the unit of the belief's
 */
export const withCounts = (belief: RateBelief, events: number, exposure: number): RateBelief => ({
  events: belief.events + events,
  exposure: belief.exposure + exposure,
})

export const rateEstimate = ({ events, exposure }: RateBelief): Estimate => ({
  mean: events / exposure,
  low: gammaQuantile(told.low, events, exposure),
  high: gammaQuantile(told.high, events, exposure),
})

/** A Beta belief in a chance: as if so many tries had gone well, and so many not. Both greater than 0. */
export interface ChanceBelief {
  readonly well: number
  readonly ill: number
}

/** A belief in a chance, by its mean between 0 and 1 and how many tries it stands on. */
export const chanceBelief = (mean: number, tries: number): ChanceBelief => ({
  well: mean * tries,
  ill: (1 - mean) * tries,
})

/** A belief in a chance after more tries: conjugate to the binomial. Source: the same, § 2.4. */
export const withTries = (belief: ChanceBelief, well: number, ill: number): ChanceBelief => ({
  well: belief.well + well,
  ill: belief.ill + ill,
})

export const chanceEstimate = ({ well, ill }: ChanceBelief): Estimate => ({
  mean: well / (well + ill),
  low: betaQuantile(told.low, well, ill),
  high: betaQuantile(told.high, well, ill),
})

/**
 * A belief in the mean life of a part, in lives as they were planned: lives are Gamma distributed with a known spread, and of
 * their rate there is a Gamma belief, which is conjugate to them. Source: Fink, A Compendium of Conjugate Priors, 1997.
 */
export interface LifeBelief {
  /** The lives that it stands on, and what they came to together, in planned lives. */
  readonly lives: number
  readonly lived: number
  /** Standard deviation of a life as a share of its mean, more than 0. */
  readonly spread: number
}

export const withLives = (belief: LifeBelief, lived: readonly number[]): LifeBelief => ({
  ...belief,
  lives: belief.lives + lived.length,
  lived: belief.lived + lived.reduce((sum, each) => sum + each, 0),
})

export function lifeEstimate({ lives, lived, spread }: LifeBelief): Estimate {
  const shape = 1 / spread ** 2
  // The mean life is the shape over a rate that is Gamma: long where that is low.
  const atRate = (chance: number) => shape / gammaQuantile(chance, lives * shape, lived)
  return { mean: lived / lives, low: atRate(told.high), high: atRate(told.low) }
}
