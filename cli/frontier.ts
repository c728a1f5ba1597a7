import { catalogue } from '#catalogue'
import { frontier as kitsOf, supported } from '#core/frontier'
import { ledgerOfTrip } from '#core/trip-ledger'
import { chanceInWords, hoursInWords } from '#wording'
import { namedCounts } from './kit-file'
import { rounded, table } from './text'
import { tripOfArgs } from './trip'
import { numberOption, parsedArgs } from './usage'

/** The best kits for each mass, from nothing to everything on the bench. */
export function frontier(args: string[]): unknown {
  const { values, positionals } = parsedArgs(args, { steps: { type: 'string' }, text: { type: 'boolean' } } as const)
  const steps = numberOption(values.steps ?? '20', 'steps', 2, 200)
  const { trip, survey } = tripOfArgs(positionals)
  const { ledger } = ledgerOfTrip(trip, survey, catalogue)
  const hull = supported([...kitsOf(ledger, steps)])
  if (values.text) {
    return table(
      ['grams', 'lost', 'stranded', 'grams an hour'],
      hull.map(({ massG, promiseH, stranded, gramsPerHour }) => [
        `${rounded(massG, 1)}`,
        hoursInWords(promiseH),
        chanceInWords(stranded),
        `${rounded(gramsPerHour, 0)}`,
      ]),
      [0, 1, 2, 3],
    )
  }
  return {
    frontier: hull.map(({ counts, massG, promiseH, walkH, stranded, gramsPerHour }) => ({
      massG: rounded(massG, 3),
      promiseH: rounded(promiseH, 4),
      walkH: rounded(walkH, 4),
      stranded: rounded(stranded, 5),
      gramsPerHour: rounded(gramsPerHour, 3),
      counts: namedCounts(ledger, counts),
    })),
  }
}
