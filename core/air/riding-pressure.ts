import { readTyreSize, type Tyre } from '../bike'
import { tyreVolumeMl, defaultBar } from './volume'

/** Taken for a marking that nobody can read; the passport refuses those. */
const usualSize = { widthMm: 50, beadMm: 622 }

/** The pressure a tyre is ridden at, bar: as its rider says, else the usual one for its width. */
export function ridingBarOf({ rideBar, size }: Pick<Tyre, 'rideBar' | 'size'>): number {
  return rideBar ?? Number(defaultBar((readTyreSize(size) ?? usualSize).widthMm).toFixed(2))
}

/** What a tyre holds, mL. */
export function volumeOfTyre({ size }: Pick<Tyre, 'size'>): number {
  return tyreVolumeMl(readTyreSize(size) ?? usualSize)
}
