import type { Fastener } from '~~/core/bike'
import { fitReasons, type FastenerView, type WayView } from '~~/core/fit'
import { amountInWords } from '~~/core/units'

/** How a fastener fares with the bench, in a line. */
export function useFitWords() {
  const store = useTripStore()
  const { system } = useView()
  const nameOf = (thing: string) => store.trip?.bench.find(({ id }) => id === thing)?.name ?? thing

  function wayInWords(way: WayView): string {
    const second = way.second ? `, with ${nameOf(way.second.thing)}, ${way.second.head}` : ''
    const force =
      way.handN !== null && way.handN > 0 ? `, ${amountInWords(way.handN, 'force', system.value)} at the hand` : ''
    const why = way.reason === 'fits' ? '' : ` (${fitReasons[way.reason]})`
    return `${nameOf(way.thing)}, ${way.head}${second}${force}${why}`
  }

  function words(fit: FastenerView, fastener: Fastener): string {
    switch (fit.coverage) {
      case 'turned':
        return fit.best ? wayInWords(fit.best) : fitReasons['by-hand']
      case 'waits':
        return fastener.canWait
      case 'borrowed':
        return 'turns only where a big wrench can be borrowed'
      case 'uncovered':
        return fit.best && fit.best.reason !== 'wrong-profile'
          ? `the nearest is ${nameOf(fit.best.thing)}, ${fit.best.head}: ${fitReasons[fit.best.reason]}`
          : 'nothing on the bench gets hold of it'
    }
  }
  return { words, wayInWords, nameOf }
}
