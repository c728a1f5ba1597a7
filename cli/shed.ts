import { catalogue } from '#catalogue'
import { conditionOn, readShedCsv, type OwnedThing, type ReadShed } from '#core/shed'
import { conditionInWords, gramsInWords } from '#wording'
import { rounded, table } from './text'
import { UsageError, dayOption, fileText, parsedArgs } from './usage'

/** Reads a shed from a table; a thing without an id is named by its place in it. */
export function shedOf(path: string): ReadShed {
  let place = 0
  return readShedCsv(fileText([path]), catalogue.items, () => `thing-${++place}`)
}

/** Checks a table of a shed, and says what is in it and how far that can be trusted. */
export function shed(args: string[]): unknown {
  const { values } = parsedArgs(args, {
    csv: { type: 'string' },
    on: { type: 'string' },
    text: { type: 'boolean' },
  } as const)
  if (values.csv === undefined) throw new UsageError('--csv is needed')
  const on = dayOption(values.on)
  const { things, passedOver } = shedOf(values.csv)
  const condition = (thing: OwnedThing) => rounded(conditionOn(thing, on, catalogue.families), 4)
  if (!values.text) {
    return {
      on,
      massG: rounded(
        things.reduce((sum, { massG, count }) => sum + massG * count, 0),
        3,
      ),
      things: things.map((thing) => ({
        id: thing.id,
        name: thing.name,
        count: thing.count,
        massG: thing.massG,
        isWeighed: thing.isWeighed,
        condition: condition(thing),
      })),
      passedOver,
    }
  }
  return table(
    ['pieces', 'each', 'weighed', 'thing', 'condition'],
    things.map((thing) => [
      `${thing.count}`,
      gramsInWords(thing.massG, 'metric'),
      thing.isWeighed ? 'yes' : 'no',
      thing.name,
      conditionInWords(thing, on, catalogue.families),
    ]),
    [0, 1],
  )
}
