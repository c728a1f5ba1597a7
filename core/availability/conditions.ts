import { roadFactor, roadTraitsOf, type Hazard, type RoadTrait } from '../hazard'
import { dateOf, type RidingDay } from '../ride'
import { passersBy, segmentsOf, valueAt, type Stretch, type Survey, type WalkGrid } from '../road'
import { nth, numberAt } from '../validation'
import { isWet, nightPriceFactor, type Forecast, type WeatherDay } from '../weather'

/** What holds over one part of the road on the day one rides it. */
interface Span {
  readonly toKm: number
  readonly traits: ReadonlySet<RoadTrait>
  readonly signal: boolean
  readonly passersBy: number
  readonly apart: number
  readonly nightFactor: number
}

/** Metres descended up to each node of a grid; undefined where the heights are not known. */
export function descentAlong(
  { km }: Pick<WalkGrid, 'km'>,
  { km: surveyKm, eleM, downM }: Survey,
): Float64Array | undefined {
  return eleM ? km.map((at) => valueAt(surveyKm, downM, at)) : undefined
}

/** What the road and the weather are like along a grid: the surface, the marks, the rain of that day. */
export class Conditions {
  private readonly spans: Span[]
  private readonly spanOf: Uint16Array

  /**
   * @param km the nodes of the grid, with every edge of a stretch and every end of a day among them
   * @param downM metres descended up to each node; undefined where nobody knows, and then the road counts as usual
   * @param days the riding days; none where the start is unknown, and then the weather is left out
   * @param usuallyApart the share of riding that riders are out of reach of one another where a stretch says nothing of it
   */
  constructor(
    private readonly km: Float64Array,
    private readonly downM: Float64Array | undefined,
    stretches: readonly Stretch[],
    days: readonly RidingDay[],
    forecast: Forecast,
    usuallyApart = 0,
  ) {
    const weather = new Map(forecast.days.map((day) => [day.date, day]))
    const lengthKm = numberAt(km, km.length - 1)
    const pieces = segmentsOf(
      stretches,
      lengthKm,
      days.map((day) => day.toKm),
    )
    this.spans = pieces.map((piece) => {
      const today = weatherAt(piece.fromKm, days, weather)
      return {
        toKm: piece.toKm,
        traits: roadTraitsOf(piece, isWet(today)),
        signal: piece.signal,
        passersBy: passersBy[piece.traffic],
        apart: piece.apart ?? usuallyApart,
        nightFactor: nightPriceFactor(today),
      }
    })
    let span = 0
    this.spanOf = Uint16Array.from({ length: Math.max(0, km.length - 1) }, (_, step) => {
      while (span + 1 < this.spans.length && numberAt(km, step) >= nth(this.spans, span).toKm) span++
      return span
    })
  }

  /** All that they say: the same where they are. */
  get text(): string {
    const spans = this.spans.map((span) => ({ ...span, traits: [...span.traits].sort() }))
    return JSON.stringify([Array.from(this.km), this.downM ? Array.from(this.downM) : null, spans])
  }

  private alongSteps(value: (span: Span) => number): Float64Array {
    const values = this.spans.map(value)
    const steps = new Float64Array(this.spanOf.length)
    for (let step = 0; step < steps.length; step++) steps[step] = nth(values, nth(this.spanOf, step))
    return steps
  }

  /** The road's factor on a hazard over each step of the grid. */
  factorsOn(hazard: Hazard): Float64Array {
    const onRoad = this.alongSteps((span) => roadFactor(hazard, span.traits))
    const [{ byDescent }, { downM }] = [hazard, this]
    if (!byDescent || !downM) return onRoad
    return onRoad.map((factor, step) => {
      const km = stepOf(this.km, step)
      const steep = km > 0 ? stepOf(downM, step) / km / byDescent.mPerKm : 1
      return factor * (1 - byDescent.share + byDescent.share * steep)
    })
  }

  /** The kilometres of the whole road, each counted by how hard it is there. */
  weightedKm(hazard: Hazard): number {
    return this.factorsOn(hazard).reduce((sum, factor, step) => sum + factor * stepOf(this.km, step), 0)
  }

  /** How many come by on each step, against a quiet road. */
  passersBy(): Float64Array {
    return this.alongSteps((span) => span.passersBy)
  }

  /** The share of riding on each step that riders are out of reach of one another. */
  apart(): Float64Array {
    return this.alongSteps((span) => span.apart)
  }

  /** How much dearer a night out is at each node than a dry and mild one. */
  nightFactors(): Float64Array {
    const steps = this.alongSteps((span) => span.nightFactor)
    return this.km.map((_, node) => steps[Math.min(node, steps.length - 1)] ?? 1)
  }

  /** The nodes from which a call gets through. A node between two stretches takes the better. */
  signal(): boolean[] {
    const steps = Array.from(this.spanOf, (span) => nth(this.spans, span).signal)
    return Array.from(this.km, (_, node) => Boolean(steps[node] || steps[node - 1]))
  }
}

const stepOf = (values: Float64Array, step: number) => numberAt(values, step + 1) - numberAt(values, step)

function weatherAt(
  roadKm: number,
  days: readonly RidingDay[],
  weather: ReadonlyMap<string, WeatherDay>,
): WeatherDay | undefined {
  const day = days.find(({ toKm }) => roadKm < toKm)
  return day && weather.get(dateOf(day.startsAt))
}
