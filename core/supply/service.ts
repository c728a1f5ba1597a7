import { z } from 'zod'
import { readClass, type SupplyFamily } from './family'

/** What a kind of place usually stocks: the chance for each family of parts. */
export const serviceKindSchema = z.object({
  id: z.string(),
  name: z.string(),
  /** Whether a broken bicycle can be settled there, one way or another. */
  mends: z.boolean(),
  stocks: z.record(z.string(), z.number().min(0).max(1)),
})
export type ServiceKind = z.infer<typeof serviceKindSchema>

/** A service at a stop. */
export const serviceSchema = z.object({
  kind: z.string().min(1).max(40),
  /** Opening hours in the OpenStreetMap syntax; empty when unknown. */
  hours: z.string().max(200).default(''),
  /** What is known of this very place: class → chance that it is there. */
  stocks: z.record(z.string().max(60), z.number().min(0).max(1)).default({}),
})
export type Service = z.infer<typeof serviceSchema>

export const exitKinds = ['train', 'bus', 'ferry', 'lift'] as const

export const stopSchema = z.object({
  id: z.string().min(1).max(60),
  name: z.string().min(1).max(120),
  roadKm: z.number().min(0),
  offRoadM: z.number().min(0).max(100_000).default(0),
  services: z.array(serviceSchema).max(20).default([]),
  exit: z.enum(exitKinds).nullable().default(null),
  note: z.string().max(1000).default(''),
})
export type Stop = z.infer<typeof stopSchema>

/**
 * The chance that a service has a part: what is known of the place, else what
 * its kind usually stocks, times how usual the size is.
 */
export function stockChance(
  service: Service,
  classId: string,
  kinds: readonly ServiceKind[],
  families: readonly SupplyFamily[],
): number {
  const known = service.stocks[classId]
  if (known !== undefined) return known
  const kind = kinds.find((candidate) => candidate.id === service.kind)
  const supply = readClass(classId, families)
  if (!kind || !supply) return 0
  const usual = kind.stocks[supply.family.id] ?? 0
  return usual * (supply.family.commonness[supply.variant] ?? supply.family.otherwise)
}

/** Whether a stop offers a class: some service there has it with at least the trusted chance. */
export function offers(
  stop: Stop,
  classId: string,
  trust: number,
  kinds: readonly ServiceKind[],
  families: readonly SupplyFamily[],
): boolean {
  return stop.services.some((service) => stockChance(service, classId, kinds, families) >= trust)
}

/** Whether a broken bike can be settled at a stop, or the ride left from it. */
export function isHelp(stop: Stop, kinds: readonly ServiceKind[]): boolean {
  return stop.exit !== null || stop.services.some((service) => kinds.find((kind) => kind.id === service.kind)?.mends)
}
