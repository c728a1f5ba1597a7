import { cautionsOf, type Fix } from '../fix'
import { uniformUnder } from '../simulate'
import { nth } from '../validation'

/** What somebody who has decided how to mend something is asked before they see what comes of it. */
export interface Question {
  /** Which thing one takes out for it, which of its steps comes first, or what is to be minded. */
  readonly about: 'thing' | 'first step' | 'caution'
  /** Ids of things, or lines of text; one of them is right. */
  readonly options: readonly string[]
  readonly right: string
}

/** So many of a kind are shown: one of things or cautions is right, and of steps the first. */
const mostThings = 4
const mostSteps = 3
const mostCautions = 3
/** Where the numbers of questions begin among all that are drawn under a breakdown's key. */
const questionsNumber = 2_000_000

/**
 * Questions about a fix: what is taken out for it, which step comes first, and which caution it wants. Of what there is nothing
 * wrong to choose from there is no question. The same key asks the same.
 *
 * @param takes the things that it takes
 * @param along all things that are along, each once
 * @param fixes all of the catalogue, whose cautions are the wrong ones
 */
export function questionsOn(
  fix: Fix,
  takes: readonly string[],
  along: readonly string[],
  fixes: readonly Fix[],
  key: number,
): Question[] {
  let number = questionsNumber
  /** Some of a list, in an order that is drawn. */
  function some<T>(list: readonly T[], most: number): T[] {
    return list
      .map((value) => ({ value, by: uniformUnder(key, number++) }))
      .sort((a, b) => a.by - b.by)
      .slice(0, most)
      .map(({ value }) => value)
  }
  const ask = (about: Question['about'], right: string, wrong: readonly string[]): Question[] =>
    wrong.length > 0 ? [{ about, right, options: some([right, ...wrong], wrong.length + 1) }] : []

  const needed = some(takes, 1)
  const others = some(
    along.filter((thing) => !takes.includes(thing)),
    mostThings - 1,
  )
  const steps = [...new Set(fix.steps)]
  const shown = some(steps, mostSteps).sort((a, b) => steps.indexOf(a) - steps.indexOf(b))
  const mine = cautionsOf(fix)
  const cautions = some(
    [...new Set(fixes.flatMap(cautionsOf))].filter((caution) => !mine.includes(caution)),
    mostCautions - 1,
  )
  return [
    ...needed.flatMap((thing) => ask('thing', thing, others)),
    ...(shown.length > 1 ? ask('first step', nth(shown, 0), shown.slice(1)) : []),
    ...some(mine, 1).flatMap((caution) => ask('caution', caution, cautions)),
  ]
}
