import { usualConditions, usualPacking } from '#core/bench'
import { bikeSchema } from '#core/bike'
import { successBySkill, usualSharing } from '#core/crew'
import { fixSchema, usualTurning } from '#core/fix'
import { hazardSchema } from '#core/hazard'
import { usualErrands } from '#core/jobs'
import type { Reference } from '#core/reference'
import type { RoadPoint } from '#core/road'
import { newStop, serviceSchema, supplyFamilySchema } from '#core/supply'
import { tripSchema } from '#core/trip'

/** A level road of 100 km with one shop at km 40, one bike, one hazard of one in 1000 km: all of it worked out by hand. */
const kmOfDegree = (Math.PI * 6378.137) / 180
export const line: RoadPoint[] = Array.from({ length: 101 }, (_, i) => [0, i / kmOfDegree, 10])
/** Hours to push a bike for a km: three miles an hour, times 1.15. */
export const pushH = 1.15 / 4.828032
const flat = { kind: 'sudden', id: 'flat', name: 'flat', settledBy: 'tube-{bead}', per1000km: 1 } as const
const swap = {
  id: 'swap',
  name: 'swap',
  answers: ['flat'],
  needs: ['lever'],
  uses: { 'tube-{bead}': 1 },
  technique: 'change',
  minutes: 15,
  grade: 'lasting',
} as const
export const referenceWith = (hazard: object = {}, fix: object = {}): Reference => ({
  families: [
    supplyFamilySchema.parse({ id: 'tube', name: 'tube', variant: 'bead', commonness: { '622': 1 } }),
    supplyFamilySchema.parse({ id: 'mechanic', name: 'a mechanic', variant: 'none' }),
  ],
  services: [{ id: 'shop', name: 'shop', mends: true, takesParcels: false, stocks: { tube: 0.9, mechanic: 0.5 } }],
  functions: [
    { id: 'lever', name: 'lever' },
    { id: 'inflate-presta', name: 'pump', pumps: 'presta' },
  ],
  techniques: [{ id: 'change', name: 'change a tube', difficulty: 'easy', family: 'tyres' }],
  hazards: [hazardSchema.parse({ ...flat, ...hazard })],
  fixes: [fixSchema.parse({ ...swap, ...fix })],
  hands: successBySkill,
  works: usualConditions,
  turning: usualTurning,
  sharing: usualSharing,
  packing: usualPacking,
  containers: [],
  jobs: [],
  errands: usualErrands,
  checks: [],
  trials: [],
  items: [],
  bikes: [],
})
export const bike = bikeSchema.parse({
  id: 'b',
  name: 'b',
  tyres: { front: { size: '45-622' }, rear: { size: '45-622' } },
})
const town = newStop('town', 'Town', 40)
export const shopAt = (stocks: Record<string, number> = {}, hours = '') => ({
  ...town,
  services: [serviceSchema.parse({ kind: 'shop', knownFrom: 'asked', stocks, hours })],
})
export const base = tripSchema.parse({
  format: 'rag-tin.trip/6',
  name: 'by hand',
  road: { points: line },
  stops: [shopAt()],
  bikes: [bike],
  crew: [{ id: 'r', name: 'r', bikeId: 'b', hands: 2 }],
  bench: [
    { id: 'lever', name: 'lever', massG: 20, provides: ['lever'] },
    { id: 'tube', name: 'tube', massG: 150, count: 2, units: { 'tube-622': 1 }, condition: 0.8 },
  ],
  dials: { nightOutH: 0, helper: 0 },
})
