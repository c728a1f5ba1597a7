import { z } from 'zod'
import { taskSchema } from '../task'
import { cutTo, idSchema, nameSchema, text } from '../validation'
import { readClass, type SupplyFamily } from './family'

/** What a kind of place usually stocks: the chance for each family of parts. */
export const serviceKindSchema = z.object({
  id: z.string(),
  name: z.string(),
  /** Whether a broken bicycle can be settled there, one way or another. */
  mends: z.boolean(),
  /** The name where there is little room; soft hyphens say where it may be broken. */
  shortName: z.string().optional(),
  /** Whether it keeps a parcel until it is called for. */
  takesParcels: z.boolean().default(false),
  stocks: z.record(z.string(), z.number().min(0).max(1)),
})
export type ServiceKind = z.infer<typeof serviceKindSchema>

/** How one knows of a place, the surest first. */
export const knownFroms = ['asked', 'visited', 'map', 'hearsay'] as const
export type KnownFrom = (typeof knownFroms)[number]

/** Chance that a place is there and as it is said to be. Planning values. */
export const confidence: Record<KnownFrom, number> = { asked: 1, visited: 0.98, map: 0.95, hearsay: 0.6 }

/** Chance that a parcel lies there when one comes for it. Planning value. */
export const parcelArrives = 0.95

/** A service at a stop. */
export const serviceSchema = z.object({
  kind: text(40).min(1),
  knownFrom: z.enum(knownFroms).default('map'),
  /** Opening hours in the OpenStreetMap syntax; empty when unknown. */
  hours: text(200).default(''),
  /** What is known of this very place: class → chance that it is there. */
  stocks: z.record(text(60), z.number().min(0).max(1)).default({}),
  /** What one has posted there for oneself: class → amount. */
  parcel: z.record(text(60), z.number().gt(0).max(10_000)).default({}),
  /** When that is brought to the post, and what became of it. */
  posting: taskSchema.prefault({}),
})
export type Service = z.infer<typeof serviceSchema>

/** Whether a parcel of one's own with a class in it comes to a service: not where posting it was left undone. */
export const isPostedTo = ({ parcel, posting }: Pick<Service, 'parcel' | 'posting'>, classId: string): boolean =>
  parcel[classId] !== undefined && posting.state !== 'left'

export const exitKinds = ['train', 'bus', 'ferry', 'lift'] as const

export const stopSchema = z.object({
  id: idSchema,
  name: nameSchema,
  roadKm: z.number().min(0),
  offRoadM: z.number().min(0).max(100_000).default(0),
  services: z.array(serviceSchema).max(20).default([]),
  exit: z.enum(exitKinds).nullable().default(null),
  /** Hours one waits for it, on average. */
  exitWaitH: z.number().min(0).max(168).default(0),
  /** Hours one would wait here for what is shut; null for as long as anywhere. */
  waitH: z.number().min(0).max(72).nullable().default(null),
  /** Whether a big wrench or a vice can be borrowed. */
  bigWrench: z.boolean().default(false),
  note: text(1000).default(''),
  /** What a file says of it beyond its name, as its symbol and its type. */
  hint: text(200).default(''),
  /** What it seems to have by its name and is known not to have: kinds of service, ways out. */
  ruledOut: z
    .array(z.string().regex(/^[a-z-]{1,40}$/, 'a kind of service, as in "bike-shop"'))
    .max(20)
    .default([]),
})
export type Stop = z.infer<typeof stopSchema>

/** A place of which nothing is known yet but its name and where it is. */
export function newStop(id: string, name: string, roadKm: number, offRoadM = 0): Stop {
  return stopSchema.parse({ id, name: cutTo(name, 120), roadKm, offRoadM })
}

/**
 * The chance that a service has a part: a parcel of one's own, else what is
 * known of the very place, else what its kind usually stocks times how usual
 * the size is; the latter as far as one may believe in the place at all.
 */
export function stockChance(
  service: Service,
  classId: string,
  kinds: readonly ServiceKind[],
  families: readonly SupplyFamily[],
): number {
  if (isPostedTo(service, classId)) return parcelArrives
  const known = service.stocks[classId]
  if (known !== undefined) return known
  const kind = kinds.find((candidate) => candidate.id === service.kind)
  const supply = readClass(classId, families)
  if (!kind || !supply) return 0
  const usual = kind.stocks[supply.family.id] ?? 0
  return confidence[service.knownFrom] * usual * (supply.family.commonness[supply.variant] ?? supply.family.otherwise)
}

/** Whether a broken bike can be settled by a service, one way or another. */
export function mends(service: Service, kinds: readonly ServiceKind[]): boolean {
  return kinds.find(({ id }) => id === service.kind)?.mends ?? false
}

/** Whether a broken bike can be settled at a stop, or the ride left from it. */
export function isHelp(stop: Stop, kinds: readonly ServiceKind[]): boolean {
  return stop.exit !== null || stop.services.some((service) => mends(service, kinds))
}
