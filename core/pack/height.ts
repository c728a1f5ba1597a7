import type { StoragePlace } from '../bike'

/** How high on a bike a place is, 0 at the bottom bracket and 1 at the saddle. Planning values. */
export const heightOf: Readonly<Record<StoragePlace, number>> = {
  'under the saddle': 0.85,
  'behind the saddle': 0.9,
  'in the frame': 0.5,
  'on the top tube, in front': 0.9,
  'on the top tube, behind': 0.85,
  'in a bottle cage': 0.3,
  'under the down tube': 0.1,
  'on the handlebar': 1,
  'on the fork': 0.3,
  pannier: 0.3,
  'on the rack': 0.7,
  'in the steerer': 0.8,
  'in a handlebar end': 1,
  'in the seat tube': 0.3,
  'strapped to the frame': 0.4,
  'in the frame itself': 0.25,
  'on the rider': 1,
}
