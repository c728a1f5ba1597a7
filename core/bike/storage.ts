import { z } from 'zod'
import { idSchema, text } from '../validation'

/** Where on a bike, or on whoever rides it, something is carried. */
export const storagePlaces = [
  'under the saddle',
  'behind the saddle',
  'in the frame',
  'on the top tube, in front',
  'on the top tube, behind',
  'in a bottle cage',
  'under the down tube',
  'on the handlebar',
  'on the fork',
  'pannier',
  'on the rack',
  'in the steerer',
  'in a handlebar end',
  'in the seat tube',
  'strapped to the frame',
  'in the frame itself',
  'on the rider',
] as const
export type StoragePlace = (typeof storagePlaces)[number]

/** How it opens: all of it lies open at once, its whole side does, or one looks in from an end. */
export const openings = ['rolls out', 'wide', 'narrow'] as const
export type Opening = (typeof openings)[number]

/** The most places for things that a bike has. */
export const mostStorage = 12

/** A bag, tin, hatch or hollow of a bike, and what goes into it. */
export const storageSchema = z.object({
  id: idSchema,
  name: text(60).min(1),
  place: z.enum(storagePlaces).default('in the frame itself'),
  volumeMl: z.number().min(1).max(60_000),
  /** How much of that can be used by things that have shapes. */
  fill: z.number().min(0.1).max(1).default(0.85),
  /** What else is in it, and comes along anyway: clothes, food. */
  otherMl: z.number().min(0).max(60_000).default(0),
  /** The longest thing that goes in, mm. */
  longestMm: z.number().min(10).max(1000),
  /** How wide a round hollow is; null for anything that is not one. */
  boreMm: z.number().min(3).max(60).nullable().default(null),
  /** Whether water and dirt stay out. */
  keepsDry: z.boolean().default(true),
  /** Whether a bottle stands upright in it. */
  upright: z.boolean().default(false),
  /** Minutes until it is open: to stop, to unstrap, to take out what lies above the kit. */
  reachMin: z.number().min(0).max(60).default(0.5),
  opening: z.enum(openings).default('narrow'),
  /** What it weighs, where it comes along for the kit alone; 0 where it is on the bike anyway. */
  massG: z.number().min(0).max(5000).default(0),
})
export type Storage = z.infer<typeof storageSchema>

/** A bag as it hangs on a bike that has it anyway, where other things are in it: then it weighs nothing for the kit. */
export const hungAnyway = (bag: Storage): Storage => (bag.otherMl > 0 ? { ...bag, massG: 0 } : bag)

/** What things with shapes can fill of it, mL; below 0 where it holds more than it can. */
export const roomMl = ({ volumeMl, fill, otherMl }: Pick<Storage, 'volumeMl' | 'fill' | 'otherMl'>): number =>
  fill * volumeMl - otherMl

/** How full a bag is, as shares of what can be filled: with other things, and with so much of the kit. */
export function filledOf(
  bag: Pick<Storage, 'volumeMl' | 'fill' | 'otherMl'>,
  usedMl: number,
): { other: number; kit: number } {
  const canHoldMl = bag.fill * bag.volumeMl
  const other = Math.min(1, bag.otherMl / canHoldMl)
  return { other, kit: Math.min(1 - other, usedMl / canHoldMl) }
}

/** What all bags of a bike can take in, mL; null where it has none. */
export const bagsMl = (storage: readonly Storage[]): number | null =>
  storage.length === 0 ? null : storage.reduce((sum, bag) => sum + Math.max(0, roomMl(bag)), 0)
