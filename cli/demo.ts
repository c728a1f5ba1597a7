import { demoGpx, demoTrip } from '#catalogue/demo'
import { wordsOf } from './usage'

/** The demo's trip document, or its road as GPX. */
export function demo(words: string[]): unknown {
  const { values } = wordsOf(words, { gpx: { type: 'boolean' } } as const)
  return values.gpx ? demoGpx() : demoTrip()
}
