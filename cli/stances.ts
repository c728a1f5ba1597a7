import { catalogue } from '#catalogue'
import { standings, stances as schools } from '#core/stances'
import { chanceInWords, gramsInWords, hoursInWords } from '#wording'
import { rounded, table } from './text'
import { tripFrom } from './trip'

/** What each school of thought would pack on this road, beside the plan as it is. */
export function stances(args: string[]): unknown {
  const { trip, survey, text } = tripFrom(args)
  const rows = [...standings(trip, survey, catalogue)]
  if (!text) {
    return {
      stances: rows.map(({ stance, isTaken, kit: { massG, promiseH, walkH, stranded, counts }, hereH }) => ({
        stance,
        isTaken,
        massG: rounded(massG, 3),
        promiseH: rounded(promiseH, 4),
        walkH: rounded(walkH, 4),
        stranded: rounded(stranded, 5),
        hereH: rounded(hereH, 4),
        counts: Object.fromEntries(trip.bench.map(({ id }, i) => [id, counts[i] ?? 0])),
      })),
    }
  }
  const nameOf = (id: string | null) => schools.find((stance) => stance.id === id)?.name ?? 'the plan as it is'
  return table(
    ['carried', 'lost', 'stranded', 'lost as the plan sees it', 'stance'],
    rows.map(({ stance, isTaken, kit: { massG, promiseH, stranded }, hereH }) => [
      gramsInWords(massG, 'metric'),
      hoursInWords(promiseH),
      chanceInWords(stranded),
      hoursInWords(hereH),
      `${isTaken ? 'without: ' : ''}${nameOf(stance)}`,
    ]),
    [0, 1, 2, 3],
  )
}
