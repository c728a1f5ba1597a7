import type { Bike, BikePart, Fastener } from '~~/core/bike'
import type { Coverage, FastenerView } from '~~/core/fit'

/** How a fastener or a part stands, in a word. */
export const coverageWords: Record<Coverage | 'awkward', string> = {
  turned: 'turns',
  awkward: 'awkward',
  borrowed: 'to borrow for',
  waits: 'can wait',
  uncovered: 'uncovered',
}

export type Standing = keyof typeof coverageWords

/** From the one that needs most care. */
const order: Standing[] = ['uncovered', 'borrowed', 'awkward', 'waits', 'turned']

/** How every fastener of the crew stands with what lies on the bench. */
export function useFits() {
  const kit = useKitStore()
  const fits = computed(
    () => new Map((kit.reckoning?.fit.fasteners ?? []).map((fit) => [`${fit.bike}/${fit.fastener}`, fit])),
  )
  const fitOf = (bike: Pick<Bike, 'id'>, fastener: Pick<Fastener, 'id'>) => fits.value.get(`${bike.id}/${fastener.id}`)
  const standingOf = (fit: FastenerView | undefined): Standing =>
    fit?.coverage === 'turned' && fit.best?.verdict === 'awkward' ? 'awkward' : (fit?.coverage ?? 'turned')
  /** How a part stands: as the fastener on it that needs most care; undefined where it has none. */
  function standingOfPart(bike: Bike, part: BikePart): Standing | undefined {
    const standings = bike.fasteners
      .filter((fastener) => fastener.part === part)
      .map((fastener) => standingOf(fitOf(bike, fastener)))
    return order.find((standing) => standings.includes(standing))
  }
  return { fits, fitOf, standingOf, standingOfPart }
}
