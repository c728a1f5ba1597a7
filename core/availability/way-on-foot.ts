import { levelHours, nearestNode, type WalkGrid } from '../road'
import { nth, numberAt } from '../validation'

/** A place where what is lacking may be had. */
export interface ChancePlace {
  readonly roadKm: number
  readonly offRoadM: number
  /** The chance that it is there and can be had, 0 to 1. */
  readonly chance: number
  /** Hours one waits there until one knows. */
  readonly waitH: number
}

/** Where the road is left for good: an exit, or an end. */
export interface RoadEnd {
  readonly roadKm: number
  readonly offRoadM: number
  /** What it costs beside the walk, in hours: waiting, the ride being over. */
  readonly priceH: number
}

/** Hours that something costs, in expectation: on foot, and besides. */
export interface FootAndPrice {
  readonly walkH: number
  readonly priceH: number
}

/** The same along the nodes of a grid. */
export interface FootAndPriceAlong {
  readonly walkH: Float64Array
  readonly priceH: Float64Array
}

/** So many places each way are thought of. */
const mostEachWay = 4

const nothing: FootAndPrice = { walkH: 0, priceH: 0 }
const total = ({ walkH, priceH }: FootAndPrice) => walkH + priceH

/**
 * The way on foot from every node until what is lacking is had, or the road is left: of the four places nearest each way,
 * one looks in those, in the order, that cost least in expectation; where all fail, or none is worth it, one goes on to an
 * exit or an end. What costs least is decided by hours and prices together.
 *
 * @param places in any order; of chance 0 they count as not there
 * @param leaving from every node to the exit or end that costs least
 * @param pushFactor how much slower than a walker one is with a loaded bike, 1 or more
 * Expected cost by dynamic programming over the places looked in, after M. Held and R. M. Karp, Journal of the Society for
 * Industrial and Applied Mathematics 10 (1962).
 */
export function wayOnFoot(
  grid: WalkGrid,
  places: readonly ChancePlace[],
  leaving: FootAndPriceAlong,
  pushFactor: number,
): FootAndPriceAlong {
  const along = places
    .filter(({ chance }) => chance > 0)
    .map((place) => ({
      ...place,
      node: nearestNode(grid, place.roadKm),
      asideH: asideHours(grid, place.offRoadM, pushFactor),
    }))
    .sort((a, b) => a.node - b.node)
  const walk = (from: number, to: number) => walkHours(grid, from, to, pushFactor)

  /** For nodes with so many places behind them: what it costs from there. */
  const stretch = (behind: number) => {
    const near = along.slice(Math.max(0, behind - mostEachWay), behind + mostEachWay)
    const known = new Map<number, FootAndPrice>()
    /** From a node, the places of a set having been looked in; to look in a place costs at least the way there. */
    const from = (node: number, looked: number): FootAndPrice => {
      let best: FootAndPrice = { walkH: numberAt(leaving.walkH, node), priceH: numberAt(leaving.priceH, node) }
      near.forEach((place, i) => {
        if ((looked & (1 << i)) !== 0) return
        const there: FootAndPrice = { walkH: walk(node, place.node) + place.asideH, priceH: place.waitH }
        if (total(there) >= total(best)) return
        const failing = 1 - place.chance
        const onwards = failing > 0 ? afterFailing(i, looked | (1 << i)) : nothing
        const cost = {
          walkH: there.walkH + failing * (place.asideH + onwards.walkH),
          priceH: there.priceH + failing * onwards.priceH,
        }
        if (total(cost) < total(best)) best = cost
      })
      return best
    }
    const afterFailing = (i: number, looked: number): FootAndPrice => {
      const key = looked * 2 * mostEachWay + i
      const before = known.get(key)
      if (before) return before
      const best = from(nth(near, i).node, looked)
      known.set(key, best)
      return best
    }
    return (node: number) => from(node, 0)
  }

  const way = emptyAlong(grid)
  let behind = 0
  let bestFrom = stretch(0)
  for (let node = 0; node < grid.km.length; node++) {
    const passed = behind
    while (behind < along.length && nth(along, behind).node <= node) behind++
    if (behind > passed) bestFrom = stretch(behind)
    const best = bestFrom(node)
    way.walkH[node] = best.walkH
    way.priceH[node] = best.priceH
  }
  return way
}

/**
 * From every node to the exit or end that costs least.
 *
 * @param ends at least one
 * @param pushFactor how much slower than a walker one is with a loaded bike, 1 or more
 */
export function leavingAlong(grid: WalkGrid, ends: readonly RoadEnd[], pushFactor: number): FootAndPriceAlong {
  const way = emptyAlong(grid)
  const leastH = new Float64Array(grid.km.length).fill(Infinity)
  for (const { roadKm, offRoadM, priceH } of ends) {
    const end = nearestNode(grid, roadKm)
    const asideH = asideHours(grid, offRoadM, pushFactor)
    for (let node = 0; node < leastH.length; node++) {
      const walkH = walkHours(grid, node, end, pushFactor) + asideH
      if (walkH + priceH >= numberAt(leastH, node)) continue
      leastH[node] = walkH + priceH
      way.walkH[node] = walkH
      way.priceH[node] = priceH
    }
  }
  return way
}

function walkHours({ aheadH, backH }: WalkGrid, from: number, to: number, pushFactor: number): number {
  const hours = to > from ? aheadH : backH
  return pushFactor * Math.abs(numberAt(hours, to) - numberAt(hours, from))
}

const asideHours = (grid: WalkGrid, offRoadM: number, pushFactor: number) =>
  pushFactor * levelHours(offRoadM / 1000, grid.method)

export function emptyAlong({ km }: Pick<WalkGrid, 'km'>): FootAndPriceAlong {
  return { walkH: new Float64Array(km.length), priceH: new Float64Array(km.length) }
}

/** Of some ways along the same nodes, at each the one that costs least; the earlier one where they cost the same. */
export function leastAlong(ways: readonly FootAndPriceAlong[], grid: Pick<WalkGrid, 'km'>): FootAndPriceAlong {
  const least = emptyAlong(grid)
  for (let node = 0; node < grid.km.length; node++) {
    let leastH = Infinity
    for (const { walkH, priceH } of ways) {
      const [walk, price] = [numberAt(walkH, node), numberAt(priceH, node)]
      if (walk + price >= leastH) continue
      leastH = walk + price
      least.walkH[node] = walk
      least.priceH[node] = price
    }
  }
  return least
}
