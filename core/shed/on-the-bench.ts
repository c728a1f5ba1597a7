import { thingSchema, type CatalogueItem, type Thing } from '../bench'
import { ownedThingSchema, type OwnedThing } from './schema'

/** What a thing says on the bench and in the shed alike. */
const inBoth = [
  'name',
  'massG',
  'provides',
  'heads',
  'comesApart',
  'units',
  'measures',
  'volumeMl',
  'longestMm',
  'handling',
  'from',
  'note',
] as const
export type InBoth = (typeof inBoth)[number]

/** Trust that differs by less is not worth a word. */
const noticed = 0.05

const share = (value: number) => Math.round(value * 100) / 100

const sameIn = (key: InBoth, a: Pick<Thing, InBoth>, b: Pick<Thing, InBoth>) =>
  JSON.stringify(a[key]) === JSON.stringify(b[key])

/** A thing of the shed as it lies on a bench, as many as there are. @param condition how far it can be trusted then */
export function laidFromShed(owned: OwnedThing, id: string, condition: number): Thing {
  const said = Object.fromEntries(inBoth.map((key) => [key, owned[key]]))
  return thingSchema.parse({
    ...said,
    id,
    count: owned.count,
    owned: owned.count,
    condition: share(condition),
    shed: owned.id,
  })
}

/** A thing of the catalogue as it comes into a shed; what it has cost is not known. */
export function ownedFrom(item: CatalogueItem, id: string, currency: string): OwnedThing {
  return ownedThingSchema.parse({ ...item, id, from: item.id, price: null, currency })
}

/** A thing of a bench as it goes into a shed, as many as lie there. */
export function intoShed(thing: Thing, id: string, currency: string): OwnedThing {
  const said = Object.fromEntries(inBoth.map((key) => [key, thing[key]]))
  return ownedThingSchema.parse({
    ...said,
    id,
    currency,
    count: thing.count,
    trustedTo: thing.condition < 1 ? thing.condition : null,
  })
}

/** In what a thing of the bench is other than the one of the shed that it was laid from. */
export function differsIn(thing: Thing, owned: OwnedThing, condition: number): (InBoth | 'owned' | 'condition')[] {
  return [
    ...inBoth.filter((key) => !sameIn(key, thing, owned)),
    ...(thing.owned === null || thing.owned === owned.count ? [] : ['owned' as const]),
    ...(Math.abs(thing.condition - condition) < noticed ? [] : ['condition' as const]),
  ]
}

/** The thing of the bench as the shed says it; how many there are, who brings and carries them, where they are packed and bought, and their pin, stay. */
export function asInShed(thing: Thing, owned: OwnedThing, condition: number): Thing {
  const { count, broughtBy, boughtAt, carriedBy, packedIn, pin } = thing
  return { ...laidFromShed(owned, thing.id, condition), count, broughtBy, boughtAt, carriedBy, packedIn, pin }
}

/** The thing of the shed as the bench says it; what only a shed knows stays. */
export function asOnBench(owned: OwnedThing, thing: Thing, condition: number): OwnedThing {
  const said = Object.fromEntries(inBoth.map((key) => [key, thing[key]])) as Pick<Thing, InBoth>
  const isSameMass = thing.massG === owned.massG
  return {
    ...owned,
    ...said,
    count: Math.max(1, thing.owned ?? owned.count),
    isWeighed: owned.isWeighed && isSameMass,
    trustedTo: Math.abs(thing.condition - condition) < noticed ? owned.trustedTo : thing.condition,
  }
}
