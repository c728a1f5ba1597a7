import type { Bike, Storage, StoragePlace } from '../bike'

/** How many bags one place of a bike takes, where it is not one. */
const several: Partial<Record<StoragePlace, number>> = {
  pannier: 4,
  'on the fork': 2,
  'in a handlebar end': 2,
  'strapped to the frame': 12,
  'in the frame itself': 12,
  'on the rider': 3,
}

/** Whether one more bag has a place on a bike. */
export function hasPlaceFor(
  { storage, racks, bottleMounts }: Pick<Bike, 'storage' | 'racks' | 'bottleMounts'>,
  { place }: Pick<Storage, 'place'>,
): boolean {
  const there = storage.filter((other) => other.place === place).length
  if (place === 'in a bottle cage') return there < bottleMounts
  if (place === 'pannier') return there < (racks.rear ? 2 : 0) + (racks.front ? 2 : 0)
  if (place === 'on the rack') return there < (racks.rear ? 1 : 0) + (racks.front ? 1 : 0)
  return there < (several[place] ?? 1)
}

/** What has to be looked at where a bag sits. */
export type Caution =
  | 'knees'
  | 'heels'
  | 'tyre'
  | 'full travel'
  | 'fork that moves'
  | 'steering'
  | 'steerer'
  | 'handlebar end'
  | 'frame that moves'

/** What to look at before riding off with a bag where it is. Common practice, no source. */
export function cautionsFor({ suspension }: Pick<Bike, 'suspension'>, { place }: Pick<Storage, 'place'>): Caution[] {
  const { forkMm, rearMm } = suspension
  switch (place) {
    case 'under the saddle':
    case 'behind the saddle':
      return [rearMm > 0 ? 'full travel' : 'tyre']
    case 'on the top tube, behind':
      return ['knees']
    case 'pannier':
      return ['heels']
    case 'on the handlebar':
      return forkMm > 0 ? ['steering', 'full travel'] : ['steering']
    case 'on the fork':
      return forkMm > 0 ? ['fork that moves', 'steering'] : ['steering']
    case 'in the steerer':
      return ['steerer']
    case 'in a handlebar end':
      return ['handlebar end']
    case 'strapped to the frame':
    case 'in the frame':
      return rearMm > 0 ? ['frame that moves'] : []
    case 'on the top tube, in front':
    case 'in a bottle cage':
    case 'under the down tube':
    case 'on the rack':
    case 'in the seat tube':
    case 'in the frame itself':
    case 'on the rider':
      return []
  }
}
