import { nth } from '#core/validation'
import { readOpening, formatWallClock, type Locality, type WallMinutes } from '#core/ride'
import { stockChance, type CounterAnswer, type CounterQuestion, type Service } from '#core/supply'
import { catalogue } from '#catalogue'

/** A way to ask shops; a real one would telephone or write. */
export interface ShopCounter {
  /**
   * Asks a shop for a part.
   *
   * @param now by the clock on the wall there
   * @returns what was said; the promise takes as long as the shop does
   */
  ask(question: CounterQuestion, shop: Service, locality: Locality, now: WallMinutes): Promise<CounterAnswer>
}

const refusals = ['not over the telephone', 'the one who knows is away', 'too busy today'] as const
const refusesChance = 0.1
/** Of the shops that have not got a thing, so many would order it. */
const ordersChance = 0.6
const longestAnswerMs = 2000

/**
 * Shops that do not exist. The same shop says the same of the same part: what
 * it has is drawn by its kind's usual chance from a seed of its own.
 */
export function inventedShops(seededRandom: (...words: string[]) => () => number): ShopCounter {
  return {
    async ask({ place, kind, classId }, shop, locality, now) {
      const opening = shop.hours === '' ? undefined : readOpening(shop.hours, locality)
      if (opening && !('error' in opening) && opening.at(now) === 'closed') {
        const opens = opening.opensFrom(now)
        return { answer: 'shut', opens: opens === undefined ? null : formatWallClock(opens) }
      }
      const draw = seededRandom(place, kind, classId)
      await new Promise((done) => setTimeout(done, draw() * longestAnswerMs))
      if (draw() < refusesChance) {
        return { answer: 'will not say', because: nth(refusals, Math.floor(draw() * refusals.length)) }
      }
      // What the kind usually has, not what the rider believes of this one.
      const usual = { ...shop, knownFrom: 'asked' as const, stocks: {}, parcel: {} }
      const chance = stockChance(usual, classId, catalogue.services, catalogue.families)
      if (draw() < chance) return { answer: 'has' }
      if (chance > 0 && draw() < ordersChance) return { answer: 'orders', days: 2 + Math.floor(draw() * 8) }
      return { answer: 'has not' }
    },
  }
}
