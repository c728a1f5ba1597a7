import { useRouter } from '#imports'
import { onBeforeUnmount } from 'vue'
import { stages } from './useStages'

/**
 * The key of each stage goes there. The last key counts, also where it leads back to a stage that is just being left: the
 * router would take that for no way at all, and go on leaving.
 */
export function useStageKeys(tripId: string): Record<string, () => void> {
  const router = useRouter()
  let underWay = ''
  const ends = [
    router.beforeEach((to) => {
      underWay = to.path
    }),
    router.afterEach((to) => {
      if (underWay === to.path) underWay = ''
    }),
  ]
  onBeforeUnmount(() => ends.forEach((end) => end()))
  const go = (path: string) => void router.push({ path, force: underWay !== '' && underWay !== path })
  return Object.fromEntries(stages.map(({ key, id }) => [key, () => go(`/trips/${tripId}/${id}`)]))
}
