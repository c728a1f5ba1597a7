import { catalogue } from '../catalogue'
import { Fault } from '../core/fault'
import { buildLedger, type BuiltLedger } from '../core/ledger'
import { surveyRoad, type Survey } from '../core/road'
import { readTripText, type Trip } from '../core/trip'
import { fileText, wordsOf } from './usage'

export interface SurveyedTrip {
  readonly trip: Trip
  readonly survey: Survey
  /** Whether a table for people is wanted. */
  readonly text: boolean
}

/** Reads and checks the trip a command is given, and measures its road. */
export function tripFrom(words: string[]): SurveyedTrip {
  const { positionals, values } = wordsOf(words, { text: { type: 'boolean' } } as const)
  const trip = readTripText(fileText(positionals), catalogue)
  const survey = surveyRoad(trip.road.points)
  if (survey.lengthKm <= 0) throw new Fault('road.points', 'no road', 'a road of some length; import a GPX file first')
  return { trip, survey, text: values.text ?? false }
}

/** Its ledger. */
export function ledgerFrom(words: string[]): BuiltLedger {
  const { trip, survey } = tripFrom(words)
  return buildLedger(trip, survey, catalogue)
}
