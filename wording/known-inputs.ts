import { pressureLimit, ridingBarOf } from '#core/air'
import type { Thing } from '#core/bench'
import { linksWhenNew, readTyreSize, type Bike } from '#core/bike'
import type { CalculatorValues } from '#core/calculators'
import type { WearOnRoad } from '#core/trip-ledger'
import { pressureLimitWords } from './wheels'

/** What is known of an input, and from where. */
export interface Known {
  readonly value: CalculatorValues[string]
  readonly from: string
}

/** What a trip knows: its road, and one of its bikes with the bench. */
export interface KnownTrip {
  readonly bike?: Bike
  readonly bikes: number
  readonly bench: readonly Pick<Thing, 'name' | 'measures'>[]
  readonly roadKm: number | null
  /** The most a hand of the crew gives, N. */
  readonly handMostN?: number
  /** How the bike wears on that road. */
  readonly wear?: readonly WearOnRoad[]
}

/** Inputs of the sums, as far as the trip knows them. */
export function knownInputs({
  bike,
  bikes,
  bench,
  roadKm,
  handMostN,
  wear = [],
}: KnownTrip): Readonly<Record<string, Known>> {
  const known: Record<string, Known> = {}
  const say = (id: string, value: CalculatorValues[string] | null | undefined, from: string) => {
    if (value !== null && value !== undefined) known[id] = { value, from }
  }
  if (bike) fromBike(bike, say)
  const measured = (measure: 'gasG' | 'strokeMl' | 'energyWh') =>
    bench.find(({ measures }) => measures[measure] !== null)
  for (const measure of ['gasG', 'strokeMl', 'energyWh'] as const) {
    const thing = measured(measure)
    if (thing) say(measure, thing.measures[measure], `${thing.name}, on the bench`)
  }
  if (roadKm !== null && roadKm > 0) say('roadKm', roadKm, 'the road of this trip')
  for (const part of wear) fromWear(part, say)
  say('handMostN', handMostN, 'this trip')
  if (bikes > 0) {
    say('bikes', bikes, 'this trip')
    say('tyres', 2 * bikes, 'this trip')
  }
  return known
}

/** Writes down what is known of an input. */
type Say = (id: string, value: CalculatorValues[string] | null | undefined, from: string) => void

function fromBike(bike: Bike, say: Say): void {
  const { name, tyres, wheels, frame } = bike
  const size = readTyreSize(tyres.rear.size)
  say('tyre', tyres.rear.size, `${name}, rear tyre`)
  if (size) {
    const from = tyres.rear.rideBar === null ? 'usual for its width' : name
    for (const id of ['rideBar', 'bar']) say(id, ridingBarOf(tyres.rear), from)
    say('wheelMm', size.beadMm + 2 * size.widthMm, `${name}, rear tyre`)
  }
  const limit = pressureLimit(bike, 'rear')
  if (limit) say('mostBar', limit.bar, pressureLimitWords[limit.setBy])
  const side = wheels.rear.right
  const rear = `${name}, rear wheel, right`
  say('erdMm', wheels.rear.erdMm, rear)
  say('flangeMm', side.flangeMm, rear)
  say('offsetMm', side.offsetMm, rear)
  say('crossings', wheels.rear.crossings, rear)
  say('holes', wheels.rear.holes, rear)
  say('spokeHoleMm', wheels.rear.spokeHoleMm, rear)
  say('chainstayMm', frame.chainstayMm, name)
  say('chainrings', bike.chainrings, name)
  say('sprockets', bike.sprockets, name)
  say('links', bike.chainLinks ?? linksWhenNew(bike), bike.chainLinks === null ? 'as one would fit it new' : name)
}

function fromWear({ part, left, lifeKm, times }: WearOnRoad, say: Say): void {
  const here = 'this road, its weather and this bike'
  const rounded = (value: number) => Number(value.toPrecision(3))
  switch (part) {
    case 'pads':
      say('padLeft', left, 'the bike as it sets out')
      say('padLifeKm', lifeKm, 'planning value of the hazard')
      say('hard', rounded(times), here)
      return
    case 'chain':
      say('chainLeft', left, 'the bike as it sets out')
      say('chainLifeKm', rounded(lifeKm / times), here)
      return
    case 'lube':
      say('intervalKm', rounded(lifeKm / times), here)
      say('wet', 0, 'in the interval already')
      return
    case 'tread':
    case 'sealant':
  }
}
