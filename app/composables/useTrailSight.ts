import { navigateTo, useRoute } from '#imports'
import type { Failing } from '#core/trail'
import { computed } from 'vue'

/** What of the Trail is looked at. */
export const trailSights = ['here', 'broke', 'cause', 'mend', 'log', 'evening', 'stranded', 'tin', 'rehearsal'] as const
export type TrailSight = (typeof trailSights)[number]

type Query = Readonly<Record<string, string | undefined>>

/** What is looked at stands in the address: Back goes back, and what was open is open again after the browser was closed. */
export function useTrailSight() {
  const route = useRoute()
  const said = (name: string): string => {
    const value = route.query[name]
    return typeof value === 'string' ? value : ''
  }
  const sight = computed<TrailSight>(() => trailSights.find((each) => each === said('see')) ?? 'here')
  const bikeId = computed(() => said('bike'))
  const isStranger = computed(() => said('whose') === 'stranger')
  const symptom = computed(() => said('sign'))
  const place = computed(() => said('place'))
  /** What is being written into the log. */
  const writing = computed(() => said('write'))
  const failing = computed<Failing | undefined>(() => {
    const hazard = said('what')
    if (hazard === '' || bikeId.value === '') return undefined
    const wheel = said('wheel')
    return {
      hazard,
      bikeId: bikeId.value,
      wheel: wheel === 'front' || wheel === 'rear' ? wheel : null,
      fastener: said('bolt') || null,
    }
  })

  /** Goes to a sight; what is looked at within it is said with it. */
  const see = (next: TrailSight, query: Query = {}) =>
    navigateTo({ path: route.path, query: { ...(next === 'here' ? {} : { see: next }), ...query } })

  const failingQuery = ({ hazard, bikeId: bike, wheel, fastener }: Failing, stranger: boolean): Query => ({
    bike,
    what: hazard,
    ...(wheel && { wheel }),
    ...(fastener && { bolt: fastener }),
    ...(stranger && { whose: 'stranger' }),
  })
  const seeFailing = (failure: Failing, stranger: boolean) => see('mend', failingQuery(failure, stranger))

  return { sight, bikeId, isStranger, symptom, place, writing, failing, see, seeFailing }
}
