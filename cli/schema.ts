import { tripJsonSchema } from '#core/trip'
import { wordsOf } from './usage'

/** The JSON Schema of the trip document. */
export function schema(words: string[]): unknown {
  wordsOf(words, {})
  return tripJsonSchema()
}
