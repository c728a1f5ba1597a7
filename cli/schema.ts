import { tripJsonSchema } from '#core/trip'
import { parsedArgs } from './usage'

/** The JSON Schema of the trip document. */
export function schema(args: string[]): unknown {
  parsedArgs(args, {})
  return tripJsonSchema()
}
