/** How a tool turns a fastener, the best first. */
export const fitVerdicts = ['turns', 'awkward', 'damages', 'cannot'] as const
export type FitVerdict = (typeof fitVerdicts)[number]

/** Why. */
export const fitReasons = {
  fits: 'it fits',
  'by-hand': 'no tool needed',
  'wrong-profile': 'another kind of drive',
  'wrong-size': 'wrong size',
  'rounds-off': 'a size too small: it rounds the drive off',
  'too-short': 'too short to reach',
  'no-room': 'its body has no room there',
  'no-swing': 'no room to swing',
  'small-bites': 'room for a small turn at a time',
  'ring-cannot-pass': 'a ring cannot pass the axle or the cable',
  'jaw-too-thick': 'the jaw is too thick for the flats',
  'jaw-limit': 'jaw at its limit',
  'jaw-too-small': 'the jaw does not open that far',
  'pozidriv-in-phillips': 'a Pozidriv bit in a Phillips screw',
  'phillips-in-pozidriv': 'a Phillips bit in a Pozidriv screw',
  'chews-corners': 'pliers chew the corners',
  'no-lever': 'no lever arm: more than a hand gives',
  'set-too-low': 'a torque key that gives less',
  'hard-pull': 'a hard pull',
  'no-own-lever': 'needs a big wrench to turn it',
  'needs-second': 'needs a second tool on the nut',
} as const
export type FitReason = keyof typeof fitReasons

/** What comes of a head on a fastener. */
export interface Turning {
  readonly verdict: FitVerdict
  readonly reason: FitReason
  /** Force at the hand, N; null where it does not come to pulling. */
  readonly handN: number | null
}

const rank = (verdict: FitVerdict) => fitVerdicts.indexOf(verdict)

/** Whether a fastener can be turned so without harm. */
export const isTurned = ({ verdict }: Pick<Turning, 'verdict'>) => verdict === 'turns' || verdict === 'awkward'

/** How far from fitting a head is for a reason: of many that do not fit the nearest is worth naming. */
const farOff = (reason: FitReason) => (reason === 'wrong-profile' ? 2 : reason === 'wrong-size' ? 1 : 0)
const pull = ({ handN }: Turning) => handN ?? 1e6

/** Less than 0 where the first is the better: by verdict, then by how near it comes, then by the lighter pull. */
export function compareTurnings(a: Turning, b: Turning): number {
  return rank(a.verdict) - rank(b.verdict) || farOff(a.reason) - farOff(b.reason) || pull(a) - pull(b)
}

/** The worst of several findings on the same head. */
export function worstOf(findings: readonly Turning[]): Turning {
  return findings.reduce((a, b) => (rank(b.verdict) > rank(a.verdict) ? b : a))
}
