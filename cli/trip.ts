import { catalogue } from '#catalogue'
import { buildLedger, type BuiltLedger } from '#core/ledger'
import { surveyRoad, type Survey } from '#core/road'
import { readTripText, type Trip } from '#core/trip'
import { Fault } from '#core/validation'
import { fileText, wordsOf } from './usage'

interface AskedTrip {
  readonly trip: Trip
  /** Whether a table for people is wanted. */
  readonly text: boolean
}

export interface SurveyedTrip extends AskedTrip {
  readonly survey: Survey
}

/** Reads and checks the trip a command is given. */
export function tripDocument(words: string[]): AskedTrip {
  const { positionals, values } = wordsOf(words, { text: { type: 'boolean' } } as const)
  return { trip: readTripText(fileText(positionals), catalogue), text: values.text ?? false }
}

/** The same, with its road measured. */
export function tripFrom(words: string[]): SurveyedTrip {
  const { trip, text } = tripDocument(words)
  const survey = surveyRoad(trip.road.points)
  if (survey.lengthKm <= 0) throw new Fault('road.points', 'no road', 'a road of some length; import a GPX file first')
  return { trip, survey, text }
}

/** Its ledger. */
export function ledgerFrom(words: string[]): BuiltLedger {
  const { trip, survey } = tripFrom(words)
  return buildLedger(trip, survey, catalogue)
}
