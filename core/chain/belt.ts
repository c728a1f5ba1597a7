/** Pitch of a bicycle chain, mm: half an inch. Source: ISO 606, chain 081 and kin; ISO 9633. */
export const pitchMm = 12.7

/**
 * Links that a chain drawn tight round a chainring and a sprocket would have, fractions and all: the usual
 * formula of chain drives, with the pitch circles as if they were smooth.
 *
 * n = 2·a/p + (z₁ + z₂)/2 + ((z₁ − z₂)/2π)² · p/a
 *
 * @param chainstayMm from the crank's axle to the wheel's, more than 0
 * @param worn how much longer than new the chain is, as a share: 0.005 for half a per cent
 * Source: ISO 10823, selection of chain drives, number of pitches; the third term is the first of a series.
 */
export function beltLinks(chainstayMm: number, chainring: number, sprocket: number, worn = 0): number {
  const pitches = chainstayMm / (pitchMm * (1 + worn))
  const spread = (chainring - sprocket) / (2 * Math.PI)
  return 2 * pitches + (chainring + sprocket) / 2 + spread ** 2 / pitches
}
