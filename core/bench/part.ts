import { decant, densityOf, type SmallContainer } from '../consumables'
import { Fault } from '../validation'
import type { Thing } from './schema'

/** The stock that a thing is, where it is one only and nothing else; what can be taken a part of. */
export interface Divisible {
  readonly classId: string
  readonly amount: number
}

/**
 * What of a thing can be taken a part of: 15 mL of a bottle, two patches out of a box, a metre of tape.
 *
 * @returns undefined for a tool, for what is a stock of several classes, and for a single piece
 */
export function divisible({
  units,
  provides,
  heads,
}: Pick<Thing, 'units' | 'provides' | 'heads'>): Divisible | undefined {
  const [stock, another] = Object.entries(units)
  if (!stock || another || provides.length > 0 || heads.length > 0) return undefined
  const [classId, amount] = stock
  return amount > 1 ? { classId, amount } : undefined
}

/** What lies around a part, and around the whole. */
export interface Around {
  /** The whole one's bottle, box or bobbin, empty, g: it stays at home. */
  readonly wholeG: number
  /** What the part is carried in, g; 0 for what is wound on something else. */
  readonly partG: number
}

/** What would usually lie around a part: of what is poured, the lightest small container; else nothing. Planning values. */
export function usuallyAround(
  thing: Pick<Thing, 'massG'>,
  { classId, amount }: Divisible,
  partAmount: number,
): Around & { readonly containers: readonly SmallContainer[] } {
  const density = densityOf(classId)
  if (density === undefined) return { wholeG: 0, partG: 0, containers: [] }
  const { containers, massG } = decant(partAmount, density)
  return {
    wholeG: Math.max(0, inTenths(thing.massG - density * amount)),
    partG: inTenths(massG - density * partAmount),
    containers,
  }
}

/**
 * A part of a thing, as a thing of its own. It is nobody's as it stands: neither the shed nor the catalogue is asked about it.
 *
 * @param amount of its stock, more than nothing and less than the whole
 * @param named what it is called, and its id
 * @throws Fault where the amount is none or no part, or where what lies around weighs more than the whole
 */
export function partOf(
  thing: Thing,
  amount: number,
  { wholeG, partG }: Around,
  named: Pick<Thing, 'id' | 'name'>,
): Thing {
  const whole = divisible(thing)
  if (!whole) throw new Fault(thing.name, 'no stock of one kind', 'something that there can be a part of')
  if (!(amount > 0 && amount < whole.amount)) {
    throw new Fault('how much', String(amount), `more than 0 and less than ${whole.amount}`)
  }
  if (!(wholeG >= 0 && wholeG < thing.massG)) {
    throw new Fault('the empty whole', `${wholeG} g`, `0 to less than the ${thing.massG} g of the whole`)
  }
  if (!(partG >= 0)) throw new Fault('what it is carried in', `${partG} g`, '0 g or more')
  const massG = inTenths(((thing.massG - wholeG) * amount) / whole.amount + partG)
  return {
    ...thing,
    ...named,
    massG: Math.max(leastG, massG),
    count: 1,
    units: { [whole.classId]: amount },
    pin: null,
    from: null,
    volumeMl: null,
    longestMm: null,
    handling: null,
    shed: null,
    boughtAt: null,
    carriedBy: {},
    packedIn: [],
  }
}

/** Lighter than this nobody's scale weighs. */
const leastG = 0.1
const inTenths = (grams: number) => Math.round(grams * 10) / 10
