import { usualSharing, type Sharing } from '#core/crew'
import { indexLedger, type Ledger } from '#core/ledger'
import { bestKit } from '#core/search'
import { splitProblem, type ApartLedger, type SplitProblem } from '#core/split'
import { nth } from '#core/validation'
import { seeded } from './seeded'
import { splitItems } from './split-items'
import { tinyLedger } from './tiny-ledgers'

/** A crew so small that every split can be tried: two or three riders, no more than so many pieces. */
export interface TinyCrew {
  readonly problem: SplitProblem
  /** What fails on each bike by itself, counted in full. */
  readonly alone: readonly Ledger[]
  readonly together: Ledger
}

/**
 * @param mostPieces on the bench
 * @param sharing of handing over and of unevenness
 * @param times so many times as many pieces are there
 * @param apart the share of failures that find riders apart; drawn for each leg where none is given
 */
export function tinyCrew(
  seed: number,
  mostPieces: number,
  apart?: number,
  sharing: Sharing = usualSharing,
  times = 1,
): TinyCrew {
  const random = seeded(seed)
  const between = (least: number, most: number) => least + random() * (most - least)
  const drawn = tinyLedger(seed)
  let left = mostPieces
  const items = drawn.items.flatMap((item) => {
    const max = Math.min(item.max + (random() < 0.5 ? 1 : 0), left)
    left -= max
    return max > 0 ? [{ ...item, max: times * max }] : []
  })
  const together: Ledger = { ...drawn, items, pins: {} }
  const bikes = ['a', 'b', 'c'].slice(0, random() < 0.5 ? 2 : 3)
  const struck = together.events.map(() => nth(bikes, Math.floor(random() * bikes.length)))
  const shares = Array.from({ length: together.legs }, () => apart ?? (random() < 0.3 ? 0 : random()))
  const onEvents = ({ events }: Ledger) => events.map(() => shares)
  // By themselves riders have their own hands alone.
  const hands = bikes.map(() => between(0.5, 1))
  const alone = bikes.map((bike, b): Ledger => {
    const events = together.events
      .filter((_, e) => nth(struck, e) === bike)
      .map((event) => ({ ...event, fixes: event.fixes.map((fix) => ({ ...fix, hands: fix.hands * nth(hands, b) })) }))
    return { ...together, events }
  })
  const kit = bestKit(indexLedger(together)).counts
  const problem = splitProblem({
    kit,
    sharing,
    riders: bikes.map((bikeId) => ({
      id: `rider of ${bikeId}`,
      name: bikeId,
      bikeId,
      share: random() < 0.5 ? 1 : between(0.3, 2),
      mostG: Infinity,
      mostMl: Infinity,
    })),
    items: splitItems(items, bikes.length),
    together: { ledger: together, bikes: struck, apart: onEvents(together) },
    alone: new Map(
      bikes.map((bike, b): [string, ApartLedger] => {
        const ledger = nth(alone, b)
        return [bike, { ledger, bikes: ledger.events.map(() => bike), apart: onEvents(ledger) }]
      }),
    ),
  })
  return { problem, alone, together }
}
