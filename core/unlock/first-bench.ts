import { CostsOfFailing } from '../availability'
import { thingFrom, type CatalogueItem } from '../bench'
import { crewFit, lightestAddition, toolsOn } from '../fit'
import { indexLedger } from '../ledger'
import { KitSearch, usualGramsPerHour } from '../search'
import type { Reference } from '../reference'
import { levelRoad, surveyRoad, type Survey } from '../road'
import type { Trip } from '../trip'
import { nth } from '../validation'
import { withCatalogue, type Piece } from './what-is-lacking'

/** Who has no road yet is thought to ride so many km without a shop. */
const thoughtKm = 150

/**
 * What to lay on an empty bench: of all the catalogue, the kit that this road asks of these bikes and hands, as the search for
 * it finds it at the price that the road suggests; and for every fastener that none of it turns, the lightest things that do.
 *
 * @param costs of the same trip's road; none where there is no road yet: a level one without a shop is taken then
 */
export function firstBench(trip: Trip, survey: Survey, reference: Reference, costs?: CostsOfFailing): Piece[] {
  const pieces = costs ? kitOf(trip, survey, reference, costs) : kitWithoutRoad(trip, reference)
  const items = pieces.map(({ id }) => itemOf(id, reference))
  const tools = toolsOn(items.map((item) => thingFrom(item, item.id)))
  const uncovered = crewFit(trip.bikes, tools, trip.dials.handMostN)
    .fasteners.filter(({ coverage }) => coverage === 'uncovered')
    .map(({ fastener }) => fastener)
  const { items: more } = lightestAddition(uncovered, tools, reference.items, trip.dials.handMostN)
  return [...pieces, ...more.map(({ id }) => ({ id, count: 1 }))]
}

function kitWithoutRoad(trip: Trip, reference: Reference): Piece[] {
  const points = levelRoad(thoughtKm)
  const thought = { ...trip, road: { name: '', points, stretches: [] }, stops: [], ride: { ...trip.ride, nights: [] } }
  const survey = surveyRoad(points)
  return kitOf(thought, survey, reference, new CostsOfFailing(thought, survey, reference))
}

function kitOf(trip: Trip, survey: Survey, reference: Reference, costs: CostsOfFailing): Piece[] {
  const { ledger, things } = withCatalogue({ ...trip, bench: [] }, survey, reference, costs)
  const free = { ...ledger, budgetG: null, gramsPerHour: null }
  const gramsPerHour = usualGramsPerHour(indexLedger(free))
  if (gramsPerHour === null) return []
  const { counts } = KitSearch.forLedger(indexLedger({ ...free, gramsPerHour })).best()
  return counts.flatMap((count, item) => (count > 0 ? [{ id: nth(things, item).id, count }] : []))
}

function itemOf(id: string, { items }: Reference): CatalogueItem {
  const item = items.find((candidate) => candidate.id === id)
  if (!item) throw new RangeError(`the catalogue has no "${id}"`)
  return item
}
