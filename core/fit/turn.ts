import type { Head } from '../bench'
import { hardestNm, type Drive, type Fastener } from '../bike'
import { comfortableShare, handForceN } from './force'
import { engagementOf } from './engagement'
import { worstTurnResult, type FitReason, type TurnResult } from './turn-result'

/** Degrees after which a head can be set on anew. Flats turned over an open end's bend, and a ring of twelve. */
const stepDeg: Partial<Record<Head['profile'], number>> = {
  slot: 180,
  phillips: 90,
  pozidriv: 90,
  ring: 30,
  'open-end': 30,
  'spoke-key': 90,
}
const usualStepDeg = 60

/**
 * Which heads close round what they turn: an axle or a cable through it keeps them off.
 */
const closed: ReadonlySet<Head['profile']> = new Set(['ring', 'socket'])
/** Jaws that go between narrow flats only when they are thin enough. */
const jaws: ReadonlySet<Head['profile']> = new Set(['open-end', 'ring', 'adjustable', 'pliers'])

/** How a fastener stands, seen by one tool: the drive that is turned, what is around it, and whose hand pulls. */
export type TurnTask = Pick<Fastener, 'recessMm' | 'roomMm' | 'swingDeg' | 'openEndOnly' | 'gapMm'> & {
  readonly drive: Drive
  readonly torqueNm: number
  /** The most a hand gives, N. */
  readonly handMostN: number
}

export function turnTaskOf(fastener: Fastener, handMostN: number): TurnTask {
  const { drive, recessMm, roomMm, swingDeg, openEndOnly, gapMm } = fastener
  return { drive, torqueNm: hardestNm(fastener), handMostN, recessMm, roomMm, swingDeg, openEndOnly, gapMm }
}

/** What keeps a head off before it comes to pulling; made once each, for most heads do not fit most fasteners. */
const keptOff = new Map<FitReason, TurnResult>()
function cannot(reason: FitReason): TurnResult {
  let turning = keptOff.get(reason)
  if (!turning) {
    turning = { verdict: 'cannot', reason, handN: null }
    keptOff.set(reason, turning)
  }
  return turning
}

/**
 * What comes of a head on a fastener: whether it gets hold, reaches, has room, swings, and whether a hand is
 * strong enough at the end of its lever. The worst finding decides.
 *
 * @param leverMm lever that turns it, where it is not its own
 */
export function turnWith(head: Head, setting: TurnTask, leverMm = head.leverMm): TurnResult {
  const { drive, torqueNm, handMostN, recessMm, roomMm, swingDeg, openEndOnly, gapMm } = setting
  const held = engagementOf(head, drive, torqueNm)
  if (held.verdict === 'cannot') return cannot(held.reason)

  if (openEndOnly && closed.has(head.profile)) return cannot('ring-cannot-pass')
  if (gapMm !== null && jaws.has(head.profile) && head.thickMm > gapMm) return cannot('jaw-too-thick')
  if (recessMm > head.reachMm) return cannot('too-short')
  if (head.bodyMm > roomMm) return cannot('no-room')
  const step = stepDeg[head.profile] ?? usualStepDeg
  if (!head.spins && swingDeg < step) return cannot('no-swing')
  if (torqueNm > 0 && leverMm === 0) return cannot('no-own-lever')

  if (head.setNm && torqueNm > head.setNm.most) return cannot('set-too-low')

  const handN = handForceN(torqueNm, leverMm)
  if (handN > handMostN) return { verdict: 'cannot', reason: 'no-lever', handN }
  const findings: TurnResult[] = [{ ...held, handN }]
  if (handN > comfortableShare * handMostN) findings.push({ verdict: 'awkward', reason: 'hard-pull', handN })
  if (!head.spins && swingDeg < 2 * step) findings.push({ verdict: 'awkward', reason: 'small-bites', handN })
  return worstTurnResult(findings)
}
