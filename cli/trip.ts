import { catalogue } from '#catalogue'
import { surveyRoad, type Survey } from '#core/road'
import { readTripText, type Trip } from '#core/trip'
import { Fault } from '#core/validation'
import { fileText, parsedArgs } from './usage'

interface AskedTrip {
  readonly trip: Trip
  /** Whether a table for people is wanted. */
  readonly text: boolean
}

export interface SurveyedTrip extends AskedTrip {
  readonly survey: Survey
}

/** Reads and checks the trip a command is given. */
export function tripDocument(args: string[]): AskedTrip {
  const { positionals, values } = parsedArgs(args, { text: { type: 'boolean' } } as const)
  return { trip: readTripText(fileText(positionals), catalogue), text: values.text ?? false }
}

/** The same, with its road measured. */
export function tripFrom(args: string[]): SurveyedTrip {
  const { trip, text } = tripDocument(args)
  return { trip, survey: surveyOf(trip), text }
}

/** A trip with its road measured, for a command that has options of its own. */
export function tripOfArgs(positionals: string[]): Omit<SurveyedTrip, 'text'> {
  const trip = readTripText(fileText(positionals), catalogue)
  return { trip, survey: surveyOf(trip) }
}

function surveyOf({ road }: Trip): Survey {
  const survey = surveyRoad(road.points)
  if (survey.lengthKm <= 0) throw new Fault('road.points', 'no road', 'a road of some length; import a GPX file first')
  return survey
}
