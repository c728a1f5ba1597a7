import { numberAt, nth } from '../validation'
import { atHandOver, type AtHand } from './at-hand'
import type { DemandStream, Facing, LegGroup } from './demand-stream'
import type { FailureWalk } from './failure-walk'
import type { StockLaw } from './stock-law'

/** What one stream of failures costs a kit: in hours, on foot, and in failures that strand. */
export interface StreamCost {
  readonly hours: number
  readonly walkH: number
  readonly strandings: number
}

/** Hours, and the part of them on foot. */
export interface FootHours {
  readonly hours: number
  readonly walkH: number
}

/** What one of the fixes does against a stream of failures, in the mean over trips. */
export interface FixAccount {
  /** How often it is tried, and how often it ends the failure. */
  readonly tried: number
  readonly held: number
  /** What the failures that it ends would have cost. */
  readonly spared: FootHours
  /** Hours of trying it. */
  readonly workH: number
  /** What is lost still when it has held. */
  readonly residual: FootHours
}

/** What becomes of the failures of a stream. The hours of a kit are those of all that it does not spare. */
export interface StreamAccount {
  /** Where nothing carried could be tried. */
  readonly open: FootHours
  /** Where what was tried did not do, or had come to an end. */
  readonly failed: FootHours
  /** By the number of each fix. */
  readonly fixes: readonly FixAccount[]
}

export function costOfStream(
  stream: DemandStream,
  facing: Facing,
  laws: readonly StockLaw[],
  walk: FailureWalk,
): StreamCost {
  let [hours, walkH, strandings] = [0, 0, 0]
  for (const group of facing.groups) {
    const unmended = followByHours(stream, facing, group, laws, walk)
    hours += unmended * group.lossH
    walkH += unmended * group.walkH
    strandings += unmended * group.strandings
    followByFailures(stream, facing, group, laws, walk)
    for (let f = 0; f < stream.event.fixes.length; f++) {
      const held = numberAt(walk.held, f)
      hours += numberAt(walk.tried, f) * numberAt(group.workH, f) + held * numberAt(group.residualH, f)
      walkH += held * numberAt(group.residualWalkH, f)
    }
  }
  return { hours, walkH, strandings }
}

/** @param isCarried whether a stock is carried at all */
export function accountOfStream(
  stream: DemandStream,
  facing: Facing,
  laws: readonly StockLaw[],
  walk: FailureWalk,
  isCarried: (stock: number) => boolean,
): StreamAccount {
  const open = { hours: 0, walkH: 0 }
  const failed = { hours: 0, walkH: 0 }
  const fixes = stream.event.fixes.map(() => ({
    tried: 0,
    held: 0,
    spared: { hours: 0, walkH: 0 },
    workH: 0,
    residual: { hours: 0, walkH: 0 },
  }))
  for (const group of facing.groups) {
    const failures = group.legs.reduce((sum, leg) => sum + numberAt(stream.expected, leg), 0)
    const unmended = followByHours(stream, facing, group, laws, walk)
    const hopeless = facing.scenarios.reduce((sum, chance, s) => {
      const canTry = nth(group.tries, s).some(({ fix }) => fix.uses.every(({ stock }) => isCarried(stock)))
      return canTry ? sum : sum + chance
    }, 0)
    add(open, Math.min(hopeless, unmended), group.lossH, group.walkH)
    add(failed, Math.max(0, unmended - hopeless), group.lossH, group.walkH)
    fixes.forEach(({ spared }, f) => add(spared, numberAt(walk.held, f), group.lossH, group.walkH))
    followByFailures(stream, facing, group, laws, walk)
    fixes.forEach((fix, f) => {
      const [tried, held] = [numberAt(walk.tried, f), numberAt(walk.held, f)]
      fix.tried += failures * tried
      fix.held += failures * held
      fix.workH += tried * numberAt(group.workH, f)
      add(fix.residual, held, numberAt(group.residualH, f), numberAt(group.residualWalkH, f))
    })
  }
  return { open, failed, fixes }
}

function add(sum: { hours: number; walkH: number }, times: number, hours: number, walkH: number): void {
  sum.hours += times * hours
  sum.walkH += times * walkH
}

/**
 * Follows the failures of a group of legs, each counted by the hours at stake on its leg.
 *
 * @returns the share that nothing mends
 */
function followByHours(
  stream: DemandStream,
  facing: Facing,
  group: LegGroup,
  laws: readonly StockLaw[],
  walk: FailureWalk,
): number {
  follow(facing, group, atHandOver(stream, group, group.byHours, laws), walk)
  return walk.unmended
}

/** Follows them each counted alike; the same as by hours where a stream finds the same of its stocks on every leg. */
function followByFailures(
  stream: DemandStream,
  facing: Facing,
  group: LegGroup,
  laws: readonly StockLaw[],
  walk: FailureWalk,
): void {
  const isSteady =
    group.legs.length === 1 || stream.stocks.every((stock) => nth(nth(laws, stock).sudden, 0).amounts.length === 1)
  if (!isSteady) follow(facing, group, atHandOver(stream, group, group.byFailures, laws), walk)
}

function follow(facing: Facing, group: LegGroup, atHand: readonly AtHand[], walk: FailureWalk): void {
  walk.begin()
  facing.scenarios.forEach((chance, s) => walk.follow(nth(group.tries, s), atHand, chance))
}
