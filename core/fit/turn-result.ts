/** How a tool turns a fastener, the best first. */
export const fitVerdicts = ['turns', 'awkward', 'damages', 'cannot'] as const
export type FitVerdict = (typeof fitVerdicts)[number]

/** Why. */
export const fitReasons = [
  'fits',
  'by-hand',
  'wrong-profile',
  'wrong-size',
  'rounds-off',
  'too-short',
  'no-room',
  'no-swing',
  'small-bites',
  'ring-cannot-pass',
  'jaw-too-thick',
  'jaw-limit',
  'jaw-too-small',
  'pozidriv-in-phillips',
  'phillips-in-pozidriv',
  'chews-corners',
  'no-lever',
  'set-too-low',
  'hard-pull',
  'no-own-lever',
  'needs-second',
] as const
export type FitReason = (typeof fitReasons)[number]

/** What comes of a head on a fastener. */
export interface TurnResult {
  readonly verdict: FitVerdict
  readonly reason: FitReason
  /** Force at the hand, N; null where it does not come to pulling. */
  readonly handN: number | null
}

/** Whether it turns so without a hard pull, small bites or a jaw at its limit. */
export const isTurnedWithEase = ({ verdict }: Pick<TurnResult, 'verdict'>) => verdict === 'turns'

const rank = (verdict: FitVerdict) => fitVerdicts.indexOf(verdict)

/** Whether a fastener can be turned so without harm. */
export const isTurned = ({ verdict }: Pick<TurnResult, 'verdict'>) => verdict === 'turns' || verdict === 'awkward'

/** How far from fitting a head is for a reason: of many that do not fit the nearest is worth naming. */
const farOff = (reason: FitReason) => (reason === 'wrong-profile' ? 2 : reason === 'wrong-size' ? 1 : 0)
const pull = ({ handN }: TurnResult) => handN ?? 1e6

/** Less than 0 where the first is the better: by verdict, then by how near it comes, then by the lighter pull. */
export function compareTurnResults(a: TurnResult, b: TurnResult): number {
  return rank(a.verdict) - rank(b.verdict) || farOff(a.reason) - farOff(b.reason) || pull(a) - pull(b)
}

/** The worst of several findings on the same head. */
export function worstTurnResult(findings: readonly TurnResult[]): TurnResult {
  return findings.reduce((a, b) => (rank(b.verdict) > rank(a.verdict) ? b : a))
}
