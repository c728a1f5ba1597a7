import { CostsOfFailing } from '../availability'
import { thingFrom, type CatalogueItem } from '../bench'
import { strongestHandN } from '../crew'
import { crewFit, lightestAddition, toolsOn } from '../fit'
import { indexLedger, termsOf } from '../ledger'
import { KitSearch } from '../search'
import type { Reference } from '../reference'
import { levelRoad, surveyRoad, type Survey } from '../road'
import type { Trip } from '../trip'
import { nth } from '../validation'
import { withCatalogue, type Piece } from './what-is-lacking'

/** Who has no road yet is thought to ride so many km without a shop. */
const thoughtKm = 150
/** What would have to be got counts for so much more than its mass: nobody buys a pump to spare ten grams. Planning value. */
const gettingFactor = 1.6

/**
 * What to lay on a bench beside what is owned: of all the catalogue, the kit that this road asks of these bikes and hands, as
 * the search for it finds it at the price that the road suggests, or a higher one of the dial; and for every fastener that none of it turns, the lightest
 * things that do. What is owned lies on the bench of the trip already and is chosen before what would have to be got.
 *
 * @param costs of the same trip's road; none where there is no road yet: a level one without a shop is taken then
 */
export function firstBench(trip: Trip, survey: Survey, reference: Reference, costs?: CostsOfFailing): Piece[] {
  const pieces = costs ? kitOf(trip, survey, reference, costs) : kitWithoutRoad(trip, reference)
  const items = pieces.map(({ id }) => itemOf(id, reference))
  const tools = toolsOn([...trip.bench, ...items.map((item) => thingFrom(item, item.id))])
  const handMostN = strongestHandN(trip)
  const uncovered = crewFit(trip.bikes, tools, handMostN)
    .fasteners.filter(({ coverage }) => coverage === 'uncovered')
    .map(({ fastener }) => fastener)
  const { items: more } = lightestAddition(uncovered, tools, reference.items, handMostN)
  return [...pieces, ...more.map(({ id }) => ({ id, count: 1 }))]
}

function kitWithoutRoad(trip: Trip, reference: Reference): Piece[] {
  const points = levelRoad(thoughtKm)
  const thought = { ...trip, road: { name: '', points, stretches: [] }, stops: [], ride: { ...trip.ride, nights: [] } }
  const survey = surveyRoad(points)
  return kitOf(thought, survey, reference, new CostsOfFailing(thought, survey, reference))
}

function kitOf(trip: Trip, survey: Survey, reference: Reference, costs: CostsOfFailing): Piece[] {
  const { ledger, things } = withCatalogue(trip, survey, reference, costs)
  const isOwned = trip.bench.length > 0
  const items = ledger.items.map((item, i) =>
    isOwned && nth(things, i).isThought ? { ...item, massG: item.massG * gettingFactor } : item,
  )
  const free = { ...ledger, items, budgetG: null, budgetMoney: null, gramsPerHour: null }
  const search = KitSearch.forLedger(indexLedger(free))
  const usual = search.usualGramsPerHour(items.map(({ max }) => max))
  if (usual === null) return []
  // Who carries more for an hour, by the dial or by a stance, has more to choose from; who carries less leaves it on the bench.
  const gramsPerHour = Math.max(usual, trip.dials.gramsPerHour ?? 0)
  const { counts } = search.under(termsOf({ ...free, gramsPerHour })).best()
  return counts.flatMap((count, item) =>
    count > 0 && nth(things, item).isThought ? [{ id: nth(things, item).id, count }] : [],
  )
}

function itemOf(id: string, { items }: Reference): CatalogueItem {
  const item = items.find((candidate) => candidate.id === id)
  if (!item) throw new RangeError(`the catalogue has no "${id}"`)
  return item
}
