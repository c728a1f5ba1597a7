import type { Ledger } from '#core/ledger'
import { Fault } from '#core/validation'
import { jsonFile } from './json-file'

/** How many of each item a kit has, in the order of the ledger: read from a file such as {"tube": 2}. */
export function kitFrom(path: string, { items }: Ledger): number[] {
  const kit = jsonFile(path, 'a kit such as {"tube": 2}')
  if (kit === null || typeof kit !== 'object' || Array.isArray(kit)) {
    throw new Fault('the kit', JSON.stringify(kit), 'how many of each item, such as {"tube": 2}')
  }
  const counts = new Map(items.map(({ id }) => [id, 0]))
  for (const [id, count] of Object.entries(kit)) {
    const item = items.find((candidate) => candidate.id === id)
    if (!item) throw new Fault(`the kit, ${id}`, `"${id}"`, 'the id of one of the items of the ledger')
    if (typeof count !== 'number' || !Number.isInteger(count) || count < 0 || count > item.max) {
      throw new Fault(`the kit, ${id}`, JSON.stringify(count), `a whole number from 0 to the ${item.max} there are`)
    }
    counts.set(id, count)
  }
  return [...counts.values()]
}

/** The same as an object; what stays at home is 0. */
export function namedCounts({ items }: Pick<Ledger, 'items'>, counts: ArrayLike<number>): Record<string, number> {
  return Object.fromEntries(items.map(({ id }, i) => [id, counts[i] ?? 0]))
}
