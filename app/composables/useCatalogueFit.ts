import { catalogue } from '#catalogue'
import { thingFrom, type Thing } from '#core/bench'
import { strongestHandN } from '#core/crew'
import { crewFit, toolsOn } from '#core/fit'
import { headInWords } from '#wording'
import { computed } from 'vue'
import { useSpares } from '../stores/spares'
import { useTripStore } from '../stores/trip'

type Fitted = Pick<Thing, 'id' | 'heads' | 'provides' | 'units' | 'measures'>

/** Which things of the catalogue are for the bikes of the trip, and why the others are not. */
export function useCatalogueFit() {
  const store = useTripStore()
  const { linesFor, servesNone } = useSpares()

  /** For each thing of the catalogue with heads, how many of them turn something on these bikes. */
  const turning = computed(() => turningOf(catalogue.items.map((item) => thingFrom(item, item.id))))
  function turningOf(things: readonly Thing[]): Map<string, number> {
    const tools = toolsOn(things)
    const { idle } = crewFit(store.openTrip.bikes, tools, strongestHandN(store.openTrip))
    return new Map(
      tools.map((tool) => [tool.id, tool.heads.length - idle.filter(({ tool: other }) => other === tool).length]),
    )
  }

  /** Why a thing is of no use on these bikes; empty where it is, or where that hangs on more than the bikes. */
  function whyNot(item: Fitted, turns = turning.value): string {
    if (store.openTrip.bikes.length === 0) return ''
    if (servesNone(item)) return linesFor(item)[0]?.words ?? 'serves no bike here'
    const isForTurningOnly = item.heads.length > 0 && item.provides.length === 0 && Object.keys(item.units).length === 0
    return isForTurningOnly && turns.get(item.id) === 0
      ? `turns nothing here: ${item.heads.map(headInWords).join(', ')}`
      : ''
  }
  /** Of some things, those that are of use on these bikes as far as the bikes can tell. */
  function ofUse<T extends Thing>(things: readonly T[]): T[] {
    const turns = turningOf(things)
    return things.filter((thing) => whyNot(thing, turns) === '')
  }
  return { whyNot, ofUse }
}
