import type { RoadPoint } from './schema'

/** Along the equator of WGS 84, where a degree of longitude is as long as anywhere. */
const kmOfDegree = (Math.PI * 6378.137) / 180

/** A road of so many whole km, straight and level: one to reckon with where there is no other. */
export function levelRoad(lengthKm: number): RoadPoint[] {
  return Array.from({ length: lengthKm + 1 }, (_, km): RoadPoint => [0, km / kmOfDegree, null])
}
