import type { Bike } from './schema'

/** Room that anything long needs beside its own length, mm. Planning value. */
const spareMm = 10
/** Part of a seat tube that the post takes up, mm. Planning value. */
const takenBySeatPostMm = 150

/** Places on a bike in which something so long can be carried: its own storage, and the seat tube below the post. */
export function placesLongEnough(longMm: number, { storage, frame }: Pick<Bike, 'storage' | 'frame'>): string[] {
  const neededMm = longMm + spareMm
  const own = storage.filter(({ longestMm }) => longestMm >= neededMm).map(({ name }) => name)
  const inSeatTube = frame.seatTubeMm - takenBySeatPostMm >= neededMm
  return inSeatTube ? [...own, 'inside the seat tube, wrapped in tape'] : own
}
