import { catalogue } from '#catalogue'
import { thingFrom, type Thing } from '#core/bench'
import { compareCandidates, criteria, mostCandidates, type Candidate, type CandidateReport } from '#core/candidates'
import type { Trip } from '#core/trip'
import { Fault } from '#core/validation'
import { gramsInWords, hoursInWords } from '#wording'
import { rounded, table } from './text'
import { tripOfArgs } from './trip'
import { parsedArgs, UsageError } from './usage'

/** Tools and sets of them side by side: which bolts each turns, what must be added to it, and what the best kit loses with it. */
export function candidates(args: string[]): unknown {
  const { positionals, values } = parsedArgs(args, { tools: { type: 'string' }, text: { type: 'boolean' } } as const)
  if (values.tools === undefined) throw new UsageError('--tools is needed')
  const { trip, survey } = tripOfArgs(positionals)
  const asked = values.tools.split(',').filter(Boolean)
  if (asked.length === 0 || asked.length > mostCandidates) {
    throw new Fault('--tools', `“${values.tools}”`, `1 to ${mostCandidates} tools, or sets such as key-set+torx-25`)
  }
  const named = asked.map((name): Candidate => ({ name, things: name.split('+').map((id) => thingOf(id, trip)) }))
  const reports = [...compareCandidates(trip, survey, catalogue, named)]
  if (values.text) return tableOf(reports)
  return {
    candidates: reports.map(({ name, pieces, massG, fasteners, counts, additions, kit }) => ({
      name,
      pieces,
      massG: rounded(massG, 3),
      ...counts,
      additions: Object.fromEntries(
        criteria.map((criterion) => {
          const { items, massG: addedG, price, hopeless } = additions[criterion]
          return [
            criterion,
            {
              items: items.map(({ id }) => id),
              massG: rounded(addedG, 3),
              price,
              hopeless: hopeless.map((fastener) => fastener.name),
            },
          ]
        }),
      ),
      kit: {
        massG: rounded(kit.massG, 3),
        promiseH: rounded(kit.promiseH, 4),
        stranded: rounded(kit.stranded, 5),
        netH: rounded(kit.netH, 4),
      },
      fasteners: fasteners.map(({ bike, fastener, coverage, best, isEasy, spareReachMm }) => ({
        bike,
        fastener: fastener.name,
        coverage,
        verdict: best?.verdict ?? null,
        reason: best?.reason ?? null,
        handN: best?.handN == null || !Number.isFinite(best.handN) ? null : rounded(best.handN, 1),
        isEasy,
        spareReachMm,
      })),
    })),
  }
}

/** A thing by its id on the bench, else in the catalogue. */
function thingOf(id: string, { bench }: Trip): Thing {
  const laid = bench.find((thing) => thing.id === id)
  if (laid) return laid
  const item = catalogue.items.find((candidate) => candidate.id === id)
  if (!item) throw new Fault('--tools', `“${id}”`, 'the id of a thing on the bench or in the catalogue')
  return thingFrom(item, id)
}

function tableOf(reports: readonly CandidateReport[]): string {
  return table(
    ['weighs', 'turned', 'with ease', 'uncovered', 'added for those', 'kit', 'lost with it', 'tools'],
    reports.map(({ name, massG, counts: { turned, easy, uncovered }, additions, kit }) => {
      return [
        gramsInWords(massG, 'metric'),
        `${turned}`,
        `${easy}`,
        `${uncovered}`,
        gramsInWords(additions.lightest.massG, 'metric'),
        gramsInWords(kit.massG, 'metric'),
        hoursInWords(kit.promiseH),
        name,
      ]
    }),
    [0, 1, 2, 3, 4, 5, 6],
  )
}
