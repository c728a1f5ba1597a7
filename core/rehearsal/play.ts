import { levelNow, type Rider } from '../crew'
import { logEntrySchema, type CarriedPieces, type LogEntry } from '../log'
import type { Reference } from '../reference'
import type { Survey } from '../road'
import { uniformUnder } from '../simulate'
import {
  atThePlace,
  hoursIfFirst,
  presentAt,
  triage,
  triedIn,
  waysLeft,
  whatIsLeft,
  type Onward,
  type Outcome,
  type Triage,
  type WayAtHand,
} from '../trail'
import type { Trip } from '../trip'
import { fixOf, type LedgerOfTrip } from '../trip-ledger'
import type { Breakdown } from './breakdowns'

/** What a trip is played with. */
export interface Played {
  readonly trip: Trip
  readonly survey: Survey
  readonly laid: LedgerOfTrip
  /** Who sets off with what. */
  readonly carried: readonly CarriedPieces[]
}

/** A breakdown, and what can be done about it with what the play has left. */
export interface Scene {
  readonly breakdown: Breakdown
  readonly onward: Onward
  readonly triage: Triage
  /** What can still be tried: some was, and held or not; some hands cannot. */
  readonly ways: readonly WayAtHand[]
  readonly tries: readonly Decided[]
}

/** What somebody decided, what came of it, and what the best would have been. */
export interface Decided {
  /** The fix of the ledger; null where nothing more was tried. */
  readonly fix: string | null
  readonly technique: string | null
  readonly best: string | null
  /** Hours that it cost in the mean against the best; 0 where it was the best. */
  readonly regretH: number
  readonly outcome: Outcome | 'given up'
}

/** Numbers under a breakdown's key: whether hands can, and whether each try of each fix holds. */
const [handsNumber, holdsNumber] = [1, 10_000]
/** A fix is not tried more often than this while one failure is played. */
const mostTries = 100

/** What stands before somebody at a breakdown. @param log what was played so far */
export function sceneAt(played: Played, log: readonly LogEntry[], breakdown: Breakdown, reference: Reference): Scene {
  const { trip, survey, laid, carried } = played
  const { roadKm, at, failing } = breakdown
  const told = { ...trip, log: [...log] }
  const kit = whatIsLeft(told, carried, reference)
  const ride = { trip: told, survey, laid, kit, position: { roadKm, at } }
  const onward = atThePlace(ride, reference, presentAt(ride, []))
  const found = triage(onward, failing)
  return { breakdown, onward, triage: found, ways: found.ways, tries: [] }
}

/** What costs less than this when nothing is done about it is no practice, h. Planning value. */
const worthPlayingH = 0.25

/** Of what breaks, that which is worth a thought with everything still along. */
export const worthPlaying = (played: Played, breakdowns: readonly Breakdown[], reference: Reference): Breakdown[] =>
  breakdowns.filter((breakdown) => sceneAt(played, [], breakdown, reference).triage.lossH >= worthPlayingH)

/** The choice that costs least in the mean, of all that can still be done. */
function bestOf(scene: Scene): { readonly fix: string | null; readonly hours: number } {
  return scene.ways
    .map(({ fix }) => ({ fix, hours: hoursOf(scene, fix) }))
    .reduce<{ fix: string | null; hours: number }>((best, each) => (each.hours < best.hours ? each : best), {
      fix: null,
      hours: hoursOf(scene, null),
    })
}

function hoursOf({ onward, breakdown, ways }: Scene, fix: string | null): number {
  const left = new Set(ways.map((way) => way.fix))
  return hoursIfFirst(onward, breakdown.failing, fix, (other) => !left.has(other))
}

/**
 * Somebody decides what to try next, or to try nothing more; what comes of it is drawn, and is the same whenever the same is
 * decided.
 *
 * @param fix one of the ways of the scene; null for giving up
 * @returns the scene as it is then
 */
export function decide(scene: Scene, fix: string | null, reference: Reference): Scene {
  const best = bestOf(scene)
  const regretH = Math.max(0, hoursOf(scene, fix) - best.hours)
  const way = scene.ways.find((each) => each.fix === fix)
  const outcome = way ? drawn(scene, way, reference) : 'given up'
  const decided: Decided = { fix, technique: way?.technique ?? null, best: best.fix, regretH, outcome }
  const tries = [...scene.tries, decided]
  if (outcome === 'held' || outcome === 'given up') return { ...scene, tries, ways: [] }
  const told = tries.map((each) => ({ fix: each.fix && fixOf(each.fix), could: each.outcome !== 'could not' }))
  return { ...scene, tries, ways: waysLeft(scene.triage.ways, told) }
}

function drawn(
  { breakdown: { key }, tries }: Scene,
  { fix, technique, hands, holds }: WayAtHand,
  reference: Reference,
): Outcome {
  const number = reference.techniques.findIndex(({ id }) => id === technique)
  if (uniformUnder(key, handsNumber + number) >= hands) return 'could not'
  const kind = reference.fixes.findIndex(({ id }) => id === fixOf(fix))
  const before = tries.filter((each) => each.fix === fix).length
  return uniformUnder(key, holdsNumber + kind * mostTries + before) < holds ? 'held' : 'did not hold'
}

/** What a scene comes to in the log of the play, once nothing more is done. @param number tells entries apart */
export function entryOf({ breakdown, triage: found, tries }: Scene, number: number): LogEntry {
  const { roadKm, at, failing } = breakdown
  return logEntrySchema.parse({
    id: `played ${number}`,
    at,
    roadKm,
    kind: 'failed',
    ...failing,
    wheel: failing.wheel ?? null,
    tries: tries.flatMap(({ fix, outcome }) => {
      const way = found.ways.find((each) => each.fix === fix)
      return way && outcome !== 'given up' ? [triedIn(way, outcome, null, null)] : []
    }),
    ending: tries.some(({ outcome }) => outcome === 'held') ? 'mended' : 'walked',
  })
}

/** Hours that a scene cost as it was played. */
export function hoursPlayed({ triage: found, tries }: Scene): number {
  const worked = tries.reduce((sum, { fix }) => sum + (found.ways.find((way) => way.fix === fix)?.workH ?? 0), 0)
  const held = tries.find(({ outcome }) => outcome === 'held')
  return worked + (held ? (found.ways.find((way) => way.fix === held.fix)?.residualH ?? 0) : found.lossH)
}

/** How somebody did at a technique. */
export interface Score {
  readonly technique: string
  readonly decisions: number
  /** Of these as good as the best. */
  readonly right: number
  readonly regretH: number
}

/** Nobody would tell apart what costs so little more in the mean, h. Planning value. */
const asGoodH = 0.05

/** Whether a choice was as good as the best. */
export const isAsGood = ({ regretH }: Pick<Decided, 'regretH'>): boolean => regretH <= asGoodH

/** How somebody did, technique by technique of what would have been best. */
export function scoresOf(scenes: readonly Scene[]): Score[] {
  const scores = new Map<string, Score>()
  for (const { triage: found, tries } of scenes) {
    for (const { best, regretH } of tries) {
      const technique = found.ways.find(({ fix }) => fix === best)?.technique
      if (!technique) continue
      const known = scores.get(technique) ?? { technique, decisions: 0, right: 0, regretH: 0 }
      scores.set(technique, {
        technique,
        decisions: known.decisions + 1,
        right: known.right + (isAsGood({ regretH }) ? 1 : 0),
        regretH: known.regretH + regretH,
      })
    }
  }
  return [...scores.values()].sort((a, b) => b.regretH - a.regretH)
}

/** What a rider has never done and decided right here: they have seen how it goes now, if they say so. */
export const newToThem = (scores: readonly Score[], rider: Rider): string[] =>
  scores.flatMap(({ technique, right }) => (right > 0 && levelNow(rider, technique) === 0 ? [technique] : []))
