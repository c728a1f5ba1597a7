import { catalogue } from '#catalogue'
import { indexLedger } from '#core/ledger'
import { bestKit } from '#core/search'
import { ledgerOfTrip } from '#core/trip-ledger'
import { againstPrices, asToldLast, ways } from '#core/ways'
import { deedInWords, hoursInWords, priceInWords } from '#wording'
import { rounded, table } from './text'
import { tripFrom } from './trip'

/** Every way to buy down a risk that weighs nothing, with the best kit: worth and price, what brings most beyond its price first. */
export function jobs(args: string[]): unknown {
  const { trip, survey, text } = tripFrom(args)
  const { counts } = bestKit(indexLedger(ledgerOfTrip(trip, survey, catalogue).ledger))
  const priced = againstPrices(asToldLast(ways(trip, survey, catalogue, counts)), trip, catalogue)
  const { currency } = trip.dials
  if (!text) {
    return {
      currency,
      jobs: priced.map(({ way: { deed, isTaken, savedH, anew }, price: { minutes, money, share, hours }, netH }) => ({
        ...deed,
        isTaken,
        savedH: rounded(savedH, 4),
        anew: anew && { gainH: rounded(anew.gainH, 4), lighterG: rounded(anew.lighterG, 1) },
        price: { minutes, money, share: rounded(share, 4), hours: rounded(hours, 4) },
        netH: rounded(netH, 4),
      })),
    }
  }
  return table(
    ['spares', 'price', 'what', '', ''],
    priced.map(({ way, price, gainH }) => [
      hoursInWords(gainH),
      hoursInWords(price.hours),
      deedInWords(way.deed, trip, catalogue),
      priceInWords(price, currency),
      way.isTaken ? 'planned' : '',
    ]),
    [0, 1],
  )
}
