import { nth } from '../validation'
import type { DemandStream } from './demand-stream'

/** What is drawn on at once, and the hours that hang on it. */
type Drawing = Pick<DemandStream, 'stocks' | 'hoursAtStake'>

/**
 * Which stocks are followed together: those that a failure may draw on both, where there are few ways in which they can be
 * left; first those on which most is at stake. Every stock is in one cluster, alone where it is in no other.
 *
 * @param sizes how many amounts there are of each stock, at most
 * @param mostStates so many states a cluster of several may have
 */
export function clustersOf(
  streams: readonly Drawing[],
  sizes: readonly number[],
  mostStates: number,
): (readonly number[])[] {
  const clusterOf = sizes.map((_, stock) => ({ stocks: [stock], states: nth(sizes, stock) }))
  for (const [first, second] of pairsByStake(streams)) {
    const [cluster, joining] = [nth(clusterOf, first), nth(clusterOf, second)]
    const states = cluster.states * joining.states
    if (cluster === joining || states > mostStates) continue
    cluster.stocks.push(...joining.stocks)
    cluster.states = states
    for (const stock of joining.stocks) clusterOf[stock] = cluster
  }
  return [...new Set(clusterOf)].map(({ stocks }) => stocks)
}

/** Every two stocks that a failure may draw on both, those first on which most hours are at stake. */
function pairsByStake(streams: readonly Drawing[]): (readonly [number, number])[] {
  const pairs = new Map<string, { pair: readonly [number, number]; hours: number }>()
  for (const { stocks, hoursAtStake } of streams) {
    const sorted = [...stocks].sort((a, b) => a - b)
    sorted.forEach((first, i) => {
      for (const second of sorted.slice(i + 1)) {
        const key = `${first} ${second}`
        pairs.set(key, { pair: [first, second], hours: (pairs.get(key)?.hours ?? 0) + hoursAtStake })
      }
    })
  }
  return [...pairs.values()].sort((a, b) => b.hours - a.hours).map(({ pair }) => pair)
}
