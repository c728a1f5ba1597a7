import { catalogue } from '#catalogue'
import { thingFrom, type CatalogueItem } from '#core/bench'
import { crewFit, toolsOn } from '#core/fit'
import { headInWords } from '#wording'
import { computed } from 'vue'
import { useSpares } from '../stores/spares'
import { useTripStore } from '../stores/trip'

/** Which things of the catalogue are for the bikes of the trip, and why the others are not. */
export function useCatalogueFit() {
  const store = useTripStore()
  const { linesFor, servesNone } = useSpares()

  /** For each thing with heads, how many of them turn something on these bikes. */
  const turning = computed(() => {
    const tools = toolsOn(catalogue.items.map((item) => thingFrom(item, item.id)))
    const { idle } = crewFit(store.openTrip.bikes, tools, store.openTrip.dials.handMostN)
    return new Map(
      tools.map((tool) => [tool.id, tool.heads.length - idle.filter(({ tool: other }) => other === tool).length]),
    )
  })

  /** Why a thing is of no use on these bikes; empty where it is, or where that hangs on more than the bikes. */
  function whyNot(item: CatalogueItem): string {
    if (store.openTrip.bikes.length === 0) return ''
    if (servesNone(item)) return linesFor(item)[0]?.words ?? 'serves no bike here'
    const isForTurningOnly = item.heads.length > 0 && item.provides.length === 0 && Object.keys(item.units).length === 0
    return isForTurningOnly && turning.value.get(item.id) === 0
      ? `turns nothing here: ${item.heads.map(headInWords).join(', ')}`
      : ''
  }
  return { whyNot }
}
