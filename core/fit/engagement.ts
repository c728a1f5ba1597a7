import type { Head } from '../bench'
import type { Drive } from '../bike'
import type { FitReason, FitVerdict } from './turn-result'

/** Whether a head gets hold of a drive at all, before any pulling. */
export interface Engagement {
  readonly verdict: FitVerdict
  readonly reason: FitReason
}

const hold = (verdict: FitVerdict, reason: FitReason): Engagement => ({ verdict, reason })
const fits = hold('turns', 'fits')
const another = hold('cannot', 'wrong-profile')

/** Two sizes are the same within so much, mm. */
const alikeMm = 0.05
/** A key this much smaller than its socket still goes in and turns round in it, as a share. Planning value. */
const looseShare = 0.88
/** An adjustable jaw opened wider than this share of what it can is at its limit. Planning value. */
const jawLimitShare = 0.9
/** Torque up to which the wrong one of two crosses does not slip, N·m. Planning value. */
const wrongCrossNm = 1
/** Torque up to which pliers hold a nut without chewing it, N·m. Planning value. */
const pliersNm = 1

/**
 * How a head gets hold of a drive.
 *
 * @param torqueNm what it will have to bear
 */
export function engagementOf(head: Head, drive: Drive, torqueNm: number): Engagement {
  switch (drive.profile) {
    case 'by-hand':
      return another
    case 'hex':
      return head.profile === 'hex' ? insideSize(head.size, drive.size) : another
    case 'hexalobular':
      return head.profile === 'hexalobular' ? sameSize(head.size, drive.size) : another
    case 'slot':
      return head.profile === 'slot' ? blade(head.size, drive.size) : another
    case 'phillips':
    case 'pozidriv':
      return cross(head, drive.profile, drive.size, torqueNm)
    case 'flats':
      return onFlats(head, drive.size, torqueNm)
    case 'nipple':
      return onNipple(head, drive.size)
    case 'spline':
    case 'valve-core':
      return head.profile === drive.profile ? sameSize(head.size, drive.size) : another
    case 'chain-pin':
      return head.profile === 'chain-pin' ? fits : another
    case 'quick-link':
      return head.profile === 'link-pliers' ? fits : another
  }
}

function sameSize(head: number | string, drive: number | string): Engagement {
  return head === drive ? fits : hold('cannot', 'wrong-size')
}

/** A key in a socket: it does not go into a smaller one and rounds a slightly larger one off. */
function insideSize(headMm: number, driveMm: number): Engagement {
  if (Math.abs(headMm - driveMm) <= alikeMm) return fits
  return headMm < driveMm && headMm >= driveMm * looseShare
    ? hold('damages', 'rounds-off')
    : hold('cannot', 'wrong-size')
}

/** A jaw round flats: it does not go over larger ones and rounds slightly smaller ones off. */
function aroundSize(headMm: number, flatsMm: number): Engagement {
  if (Math.abs(headMm - flatsMm) <= alikeMm) return fits
  return headMm > flatsMm && headMm * looseShare <= flatsMm
    ? hold('damages', 'rounds-off')
    : hold('cannot', 'wrong-size')
}

/** A blade turns a slot as wide as itself or somewhat wider. */
function blade(headMm: number, driveMm: number): Engagement {
  if (headMm > driveMm + 0.5) return hold('cannot', 'wrong-size')
  return headMm >= driveMm * 0.6 ? fits : hold('damages', 'rounds-off')
}

function cross(head: Head, profile: 'phillips' | 'pozidriv', size: number, torqueNm: number): Engagement {
  if (head.profile !== 'phillips' && head.profile !== 'pozidriv') return another
  if (head.size !== size) return head.size < size ? hold('damages', 'rounds-off') : hold('cannot', 'wrong-size')
  if (head.profile === profile) return fits
  const reason = profile === 'phillips' ? 'pozidriv-in-phillips' : 'phillips-in-pozidriv'
  return hold(torqueNm <= wrongCrossNm ? 'awkward' : 'damages', reason)
}

function onFlats(head: Head, flatsMm: number, torqueNm: number): Engagement {
  switch (head.profile) {
    case 'open-end':
    case 'ring':
    case 'socket':
      return aroundSize(head.size, flatsMm)
    case 'adjustable':
      if (flatsMm > head.size + alikeMm) return hold('cannot', 'jaw-too-small')
      return flatsMm > head.size * jawLimitShare ? hold('awkward', 'jaw-limit') : fits
    case 'pliers':
      if (flatsMm > head.size + alikeMm) return hold('cannot', 'jaw-too-small')
      return hold(torqueNm <= pliersNm ? 'awkward' : 'damages', 'chews-corners')
    default:
      return another
  }
}

function onNipple(head: Head, flatsMm: number): Engagement {
  if (head.profile === 'pliers') return hold('damages', 'chews-corners')
  return head.profile === 'spoke-key' ? aroundSize(head.size, flatsMm) : another
}
