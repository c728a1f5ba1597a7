import { numberAt, nth } from '../validation'
import { atHandOver } from './at-hand'
import type { DemandStream, Facing, LegGroup } from './demand-stream'
import type { FailureWalk } from './failure-walk'
import type { StockLaw } from './stock-law'

/** What one stream of failures costs a kit beside the hours: those of them on foot, and failures that strand. */
export interface StreamOnFoot {
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

/** Hours that a stream of failures costs a kit. @param laws of the clusters of stocks that it draws on */
export function hoursOfStream(
  stream: DemandStream,
  facing: Facing,
  laws: readonly StockLaw[],
  walk: FailureWalk,
): number {
  let hours = 0
  for (const group of facing.groups) {
    const { byHours, byFailures, lossH, workH, residualH } = group.sums
    follow(stream, facing, group, byHours, laws, walk)
    hours += walk.unmended * lossH
    if (byFailures !== byHours && !isSteady(group, laws)) follow(stream, facing, group, byFailures, laws, walk)
    for (let f = 0; f < stream.event.fixes.length; f++) {
      hours += numberAt(walk.tried, f) * numberAt(workH, f) + numberAt(walk.held, f) * numberAt(residualH, f)
    }
  }
  return hours
}

/** What a stream costs on foot, and how often it strands: where most hours are at stake need not be where one walks most. */
export function onFootOfStream(
  stream: DemandStream,
  facing: Facing,
  laws: readonly StockLaw[],
  walk: FailureWalk,
): StreamOnFoot {
  let [walkH, strandings] = [0, 0]
  for (const group of facing.groups) {
    const { onFoot } = group.sums
    follow(stream, facing, group, onFoot.byWalk, laws, walk)
    walkH += walk.unmended * onFoot.walkH
    for (let f = 0; f < stream.event.fixes.length; f++) {
      walkH += numberAt(walk.held, f) * numberAt(onFoot.residualWalkH, f)
    }
    if (!isSteady(group, laws)) follow(stream, facing, group, onFoot.byStrandings, laws, walk)
    strandings += walk.unmended * onFoot.strandings
  }
  return { walkH, strandings }
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
    const { legs, byHours, byFailures, lossH: lossInAllH, workH, residualH, onFoot } = group.sums
    const failures = legs.reduce((sum, leg) => sum + numberAt(stream.expected, leg), 0)
    const hopeless = facing.scenarios.reduce((sum, chance, s) => {
      const canTry = nth(group.tries, s).some(({ fix }) => fix.uses.every(({ stock }) => isCarried(stock)))
      return canTry ? sum : sum + chance
    }, 0)
    const addLost = (weights: Float64Array, lossH: number, walkH: number) => {
      follow(stream, facing, group, weights, laws, walk)
      add(open, Math.min(hopeless, walk.unmended), lossH, walkH)
      add(failed, Math.max(0, walk.unmended - hopeless), lossH, walkH)
      fixes.forEach(({ spared }, f) => add(spared, numberAt(walk.held, f), lossH, walkH))
    }
    addLost(byHours, lossInAllH, 0)
    addLost(onFoot.byWalk, 0, onFoot.walkH)
    fixes.forEach(({ residual }, f) => add(residual, numberAt(walk.held, f), 0, numberAt(onFoot.residualWalkH, f)))
    follow(stream, facing, group, byFailures, laws, walk)
    fixes.forEach((fix, f) => {
      const [tried, held] = [numberAt(walk.tried, f), numberAt(walk.held, f)]
      fix.tried += failures * tried
      fix.held += failures * held
      fix.workH += tried * numberAt(workH, f)
      add(fix.residual, held, numberAt(residualH, f), 0)
    })
  }
  return { open, failed, fixes }
}

function add(sum: { hours: number; walkH: number }, times: number, hours: number, walkH: number): void {
  sum.hours += times * hours
  sum.walkH += times * walkH
}

/** Follows the failures of a group of legs, each leg with its weight. */
function follow(
  stream: DemandStream,
  facing: Facing,
  group: LegGroup,
  weights: Float64Array,
  laws: readonly StockLaw[],
  walk: FailureWalk,
): void {
  walk.meet(stream.stocks, atHandOver(stream, group, weights, laws, walk.rows))
  walk.begin()
  for (let s = 0; s < facing.scenarios.length; s++) walk.follow(nth(group.tries, s), nth(facing.scenarios, s))
}

/** Whether a stream finds the same of its stocks on every leg of a group, so that weights of the legs are all one. */
function isSteady({ sums: { legs } }: LegGroup, laws: readonly StockLaw[]): boolean {
  return legs.length === 1 || laws.every(({ amounts }) => amounts.size === 1)
}
