import { z } from 'zod'
import { tripSchema } from './schema'

/** The trip document's JSON Schema (draft 2020-12), as written by hand or by other programs. */
export function tripJsonSchema(): Record<string, unknown> {
  return z.toJSONSchema(tripSchema, { io: 'input' })
}
