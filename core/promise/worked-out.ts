import { entry, ListMap } from '../maths'
import { nth } from '../validation'
import type { Facing } from './demand-stream'
import { lawAsList, type NumberedLaw, type StockLaw } from './stock-law'
import type { StreamOnFoot } from './stream-cost'
import type { AmountsLeft } from './amounts-left'
import type { StreamDraws } from './stream-draws'

/** So many laws of stocks of which so much is carried are kept in mind. */
const mostLaws = 1000
/** And so many costs of a stream against which something is carried, and so many of what it draws. */
const [mostCosts, mostDraws] = [1000, 1000]

/** What is known of stocks that are followed together, of which so much is carried. */
interface OfCluster {
  readonly amounts: AmountsLeft
  /** By the numbers of what is drawn. */
  readonly laws: ListMap<NumberedLaw>
  /** By what they say: laws that say the same are one. */
  readonly lawsByWhatTheySay: ListMap<NumberedLaw>
}

/** What a kit has against a stream, with what is known of that; by the numbers of the laws that it meets. */
export class Faced {
  readonly hours = new ListMap<number>(mostCosts)
  readonly onFoot = new ListMap<StreamOnFoot>(mostCosts)
  /** The same after the number of the cluster that is drawn on. */
  readonly draws = new ListMap<StreamDraws>(mostDraws)

  constructor(readonly facing: Facing) {}
}

/** What has been worked out of the demand on the stocks, for one kit or another: whoever meets the same has it at once. */
export class WorkedOut {
  private readonly ofClusters = new Map<number, Map<string, OfCluster>>()
  private readonly allFaced = new WeakMap<Facing, Faced>()
  private clustersCount = 0
  /** The list that is looked up; used again for the next. */
  private readonly list: number[] = []
  private drawsCount = 0
  private lawsCount = 0

  /**
   * The law of stocks that are followed together, by how much of them is carried and what is drawn of them.
   *
   * @param cluster the number of their cluster
   * @param full how much of each is carried
   * @param amountsLeft works out what they can come down to
   * @param workOut works out the law
   */
  law(
    cluster: number,
    full: readonly number[],
    draws: readonly StreamDraws[],
    amountsLeft: () => AmountsLeft,
    workOut: (amounts: AmountsLeft) => StockLaw,
  ): NumberedLaw {
    const byFull = entry(this.ofClusters, cluster, () => new Map<string, OfCluster>())
    const { amounts, laws, lawsByWhatTheySay } = entry(byFull, full.join(), () => ({
      amounts: amountsLeft(),
      laws: new ListMap<NumberedLaw>(mostLaws),
      lawsByWhatTheySay: new ListMap<NumberedLaw>(),
    }))
    this.list.length = 0
    for (const { number } of draws) this.list.push(number)
    return laws.value(this.list, () => {
      const law = workOut(amounts)
      return lawsByWhatTheySay.value(lawAsList(law), () => ({ ...law, number: ++this.lawsCount }))
    })
  }

  /** A number for a cluster of which nothing is known yet. */
  nextCluster(): number {
    return this.clustersCount++
  }

  /** What a kit has against a stream: always the same for the same. */
  faced(facing: Facing): Faced {
    return entry(this.allFaced, facing, () => new Faced(facing))
  }

  /** What a stream draws of a cluster, by what is carried against it and the laws of the others that it draws on. */
  draws(
    faced: Faced,
    cluster: number,
    others: readonly number[],
    laws: readonly NumberedLaw[],
    workOut: (number: number) => StreamDraws,
  ): StreamDraws {
    this.list.length = 0
    this.list.push(cluster)
    return faced.draws.value(this.listWith(others, laws), () => workOut(++this.drawsCount))
  }

  /** Hours that a stream costs, by what is carried against it and the laws of the clusters that it draws on, once known. */
  knownHours({ hours }: Faced, clusters: readonly number[], laws: readonly NumberedLaw[]): number | undefined {
    this.list.length = 0
    return hours.known(this.listWith(clusters, laws))
  }

  /** The same, worked out where they are not known. */
  hours({ hours }: Faced, clusters: readonly number[], laws: readonly NumberedLaw[], workOut: () => number): number {
    this.list.length = 0
    return hours.value(this.listWith(clusters, laws), workOut)
  }

  /** The same of what it costs on foot. */
  onFoot(
    { onFoot }: Faced,
    clusters: readonly number[],
    laws: readonly NumberedLaw[],
    workOut: () => StreamOnFoot,
  ): StreamOnFoot {
    this.list.length = 0
    return onFoot.value(this.listWith(clusters, laws), workOut)
  }

  private listWith(clusters: readonly number[], laws: readonly NumberedLaw[]): readonly number[] {
    for (const cluster of clusters) this.list.push(nth(laws, cluster).number)
    return this.list
  }
}
