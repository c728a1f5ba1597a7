import { catalogue } from '#catalogue'
import { inOrder } from '#core/log'
import { readTrip } from '#core/trip'
import { nth } from '#core/validation'
import { kitOnTheRoad, logFile, withEntries } from './kit-on-the-road'
import { rounded, table } from './text'
import { tripOfArgs } from './trip'
import { parsedArgs } from './usage'

/** What happened on the road and what is left of the kit; with more entries, the trip with those in its log. */
export function log(args: string[]): unknown {
  const { positionals, values } = parsedArgs(args, {
    add: { type: 'string', multiple: true },
    text: { type: 'boolean' },
  } as const)
  const { trip, survey } = tripOfArgs(positionals)
  if (values.add)
    return readTrip(
      values.add.reduce((told, path) => withEntries(told, logFile(path)), trip),
      catalogue,
    )
  const { kit } = kitOnTheRoad(trip, survey)
  const nameOf = new Map([...kit.things, ...trip.crew].map(({ id, name }) => [id, name]))
  const entries = inOrder(trip.log)
  if (!values.text) {
    const left = kit.left.map(({ amounts, ...pieces }) => ({
      ...pieces,
      amounts: Object.fromEntries(Object.entries(amounts).map(([stock, amount]) => [stock, rounded(amount, 4)])),
    }))
    return { entries, left }
  }
  const happened = table(
    ['when', 'km', 'who', 'what', ''],
    entries.map(({ at, roadKm, by, kind, note }) => [
      at.replace('T', ' '),
      roadKm === null ? '' : roadKm.toFixed(1),
      by === null ? '' : (nameOf.get(by) ?? ''),
      kind,
      note,
    ]),
    [1],
  )
  const still = table(
    ['still there', 'with', 'pieces', 'holding'],
    kit.left.map(({ rider, thing, count, amounts }) => [
      nameOf.get(thing) ?? thing,
      nameOf.get(rider) ?? '',
      `${count}`,
      Object.entries(amounts)
        .map(([stock, amount]) => `${rounded(amount, 2)} ${nth(stock.split('/'), 0)}`)
        .join(', '),
    ]),
    [2],
  )
  return [happened, still].join('\n')
}
