import { catalogue } from '../catalogue'
import { classesOf, Landscape, worstPushOut } from '../core/ledger'
import { tripFrom } from './trip'

/** The gaps of every class that the trip's bikes and bench bring up, and the worst walk out. */
export function gaps(words: string[]): unknown {
  const { trip, survey } = tripFrom(words)
  const landscape = new Landscape(trip, survey, catalogue)
  return {
    gaps: Object.fromEntries(classesOf(trip, catalogue).map((classId) => [classId, landscape.gaps(classId)])),
    pushOut: worstPushOut(landscape, trip),
  }
}
