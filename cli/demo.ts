import { demoGpx, demoTrip } from '#catalogue/demo'
import { parsedArgs } from './usage'

/** The demo's trip document, or its road as GPX. */
export function demo(args: string[]): unknown {
  const { values } = parsedArgs(args, { gpx: { type: 'boolean' } } as const)
  return values.gpx ? demoGpx() : demoTrip()
}
