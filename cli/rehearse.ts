import { catalogue } from '#catalogue'
import { packedKit } from '#core/pack'
import { decide, drawBreakdowns, entryOf, hoursPlayed, sceneAt, scoresOf, type Scene } from '#core/rehearsal'
import type { LogEntry } from '#core/log'
import { carriedAsPacked } from '#core/trail'
import { failureInWords, fixInWords, hoursInWords } from '#wording'
import { rounded } from './text'
import { tripOfArgs } from './trip'
import { numberOption, parsedArgs } from './usage'

/** Plays a trip that is drawn: what breaks where, what the best choice is, and what comes of it. */
export function rehearse(args: string[]): unknown {
  const { positionals, values } = parsedArgs(args, { seed: { type: 'string' }, text: { type: 'boolean' } } as const)
  const { trip, survey } = tripOfArgs(positionals)
  const seed = numberOption(values.seed ?? '1', 'seed', 0, 2 ** 31)
  const { costs, laid, split, packs } = packedKit(trip, survey, catalogue)
  const played = { trip, survey, laid, carried: carriedAsPacked(trip, split, packs) }
  const log: LogEntry[] = []
  const scenes: Scene[] = []
  for (const breakdown of drawBreakdowns(laid, costs.timetable, seed)) {
    let scene = sceneAt(played, log, breakdown, catalogue)
    while (scene.ways.length > 0) {
      // To see what is best one asks what giving up would have been worse than.
      const { best } = decide(scene, null, catalogue).tries.at(-1) ?? { best: null }
      scene = decide(scene, best, catalogue)
    }
    scenes.push(scene)
    log.push(entryOf(scene, log.length))
  }
  if (values.text) {
    if (scenes.length === 0) return `Nothing fails on this trip. Draw another: --seed ${seed + 1}`
    return scenes
      .map((scene) => {
        const { breakdown, triage, tries } = scene
        const done = tries.map(({ fix, outcome }) =>
          fix === null ? 'nothing more' : `${fixInWords(fix, catalogue)}: ${outcome}`,
        )
        return [
          `km ${breakdown.roadKm.toFixed(1)}, ${breakdown.at.replace('T', ' ')}: ${failureInWords(triage.note, catalogue, trip.bikes)}`,
          `  ${done.join('; ') || 'nothing with you mends it'}`,
          `  ${hoursInWords(hoursPlayed(scene))} lost, of ${hoursInWords(triage.lossH)} with nothing done`,
        ].join('\n')
      })
      .join('\n')
  }
  return {
    seed,
    breakdowns: scenes.map((scene) => ({
      roadKm: rounded(scene.breakdown.roadKm, 2),
      at: scene.breakdown.at,
      ...scene.breakdown.failing,
      ways: scene.triage.ways.map(({ fix }) => fix),
      decided: scene.tries.map(({ regretH, ...decided }) => ({ ...decided, regretH: rounded(regretH, 4) })),
      hours: rounded(hoursPlayed(scene), 4),
      lossH: rounded(scene.triage.lossH, 4),
    })),
    scores: scoresOf(scenes).map(({ regretH, ...score }) => ({ ...score, regretH: rounded(regretH, 4) })),
  }
}
