import type { LogEntry, Spent } from '#core/log'
import type { Reference } from '#core/reference'
import type { Trip } from '#core/trip'
import { fixInWords, failureInWords } from './failures'
import { stockInWords } from './supply'

/** How a failure ended, in words. */
export const endingWords: Readonly<Record<Extract<LogEntry, { kind: 'failed' }>['ending'], string>> = {
  mended: 'mended',
  'ridden on': 'ridden on as it was',
  walked: 'on foot',
  lift: 'by a lift',
  left: 'the ride was left',
  open: 'not mended yet',
}

/** What became of something that is not there any more. */
export const lossWords: Readonly<Record<Extract<LogEntry, { kind: 'gone' }>['why'], string>> = {
  used: 'used up',
  broke: 'broke',
  lost: 'lost',
  'given away': 'given away',
  empty: 'empty',
}

/** How something was come by. */
export const comingWords: Readonly<Record<Extract<LogEntry, { kind: 'got' }>['how'], string>> = {
  bought: 'bought',
  given: 'given',
  posted: 'came by post',
  borrowed: 'borrowed',
}

/** What an entry of a log says, in one line: "rear flat: thorn, glass or pinch: mended, glue a patch". */
export function entryInWords(
  entry: LogEntry,
  { bikes, bench, stops }: Pick<Trip, 'bikes' | 'bench' | 'stops'>,
  reference: Pick<Reference, 'hazards' | 'fixes' | 'families' | 'services'>,
): string {
  const thingName = (id: string) =>
    bench.find((thing) => thing.id === id)?.name ?? 'something that came along on the way'
  const stopName = (id: string | null) => stops.find((stop) => stop.id === id)?.name ?? 'a stop'
  const spentWords = ({ thing, stock, amount }: Spent) => {
    if (stock !== null) return stockInWords(amount, stock, reference.families)
    return `${amount === 1 ? '' : `${amount} × `}${thingName(thing)}`
  }
  switch (entry.kind) {
    case 'set off': {
      const riders = new Set(entry.carried.map(({ rider }) => rider)).size
      const pieces = entry.carried.reduce((sum, { count }) => sum + count, 0)
      return `set off with ${pieces} ${pieces === 1 ? 'piece' : 'pieces'}${riders > 1 ? ` on ${riders} bikes` : ''}`
    }
    case 'failed': {
      const { hazard, bikeId, wheel, fastener, tries, ending } = entry
      const what = failureInWords({ hazard, bike: bikeId ?? '', wheel, fastener }, reference, bikes)
      const held = tries.findLast((each) => each.held === true)?.fix
      const whose = bikeId === null ? ', on a stranger’s bike' : ''
      const how = held ? `, ${fixInWords(held, reference)}` : ''
      return `${what}${whose}: ${endingWords[ending]}${ending === 'mended' ? how : ''}`
    }
    case 'gone':
      return `${lossWords[entry.why]}: ${entry.spent.map(spentWords).join(', ')}`
    case 'got':
      return `${comingWords[entry.how]}: ${entry.count > 1 ? `${entry.count} × ` : ''}${entry.name}`
    case 'loose':
      return `found loose: ${entry.name}`
    case 'renewed':
      return `made new: ${failureInWords({ ...entry, bike: entry.bikeId, fastener: null }, reference, bikes)}`
    case 'passed':
      return entry.stop === null ? 'was here' : `came to ${stopName(entry.stop)}`
    case 'shop': {
      const kind = reference.services.find(({ id }) => id === entry.service)?.name ?? entry.service
      return `${stopName(entry.stop)}, ${kind}: ${entry.found}`
    }
    case 'evening':
      return `looked after in the evening: ${entry.did.length}`
    case 'put away':
      return `put away in the shed: ${entry.things.length === 1 ? 'one thing' : `${entry.things.length} things`}`
    case 'note':
      return entry.note === '' ? 'a note' : entry.note
  }
}
