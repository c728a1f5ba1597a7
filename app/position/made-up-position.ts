import { positionAt, surveyRoad, type RoadPoint } from '#core/road'
import type { Locator } from './position'

/** A position that does not exist: somewhere along a road, to be tried at a desk. @param draw draws from 0 to 1 */
export const madeUpPosition = (points: readonly RoadPoint[], draw: () => number = Math.random): Locator => ({
  name: 'a made-up position',
  where: () => {
    const survey = surveyRoad(points)
    const { lat, lon } = positionAt(points, survey, survey.lengthKm * draw())
    // As far beside the road as a telephone in a valley says that it is.
    return Promise.resolve({ lat: lat + (draw() - 0.5) * 2e-4, lon: lon + (draw() - 0.5) * 2e-4, accuracyM: 15 })
  },
})
