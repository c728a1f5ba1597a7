/**
 * Kilometres at which a chain is to be swapped along a road: once it has stretched by so much.
 *
 * @param left life left at the start, 0 to 1
 * @param lifeKm kilometres of this road and weather that a new one lasts, more than 0
 * @param roadKm length of the road
 */
export function chainSwapsAlong(left: number, lifeKm: number, roadKm: number): number[] {
  const swaps: number[] = []
  for (let km = left * lifeKm; km < roadKm; km += lifeKm) swaps.push(km)
  return swaps
}
