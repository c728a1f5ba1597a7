import { placeOnRoad, readGpx, surveyRoad } from '#core/road'
import { fileText, parsedArgs } from './usage'

/** Length, climb and waypoints of a GPX file. */
export function gpx(args: string[]): unknown {
  const { positionals } = parsedArgs(args, {})
  const { points, waypoints, warnings } = readGpx(fileText(positionals))
  const survey = surveyRoad(points)
  for (const warning of warnings) process.stderr.write(`${warning}\n`)
  return {
    roadKm: survey.lengthKm,
    climbM: survey.climbM,
    points: points.length,
    waypoints: waypoints.map(({ name, lat, lon }) => ({ name, ...placeOnRoad(points, survey, lat, lon) })),
    warnings,
  }
}
