import Sortable from 'sortablejs'
import { onBeforeUnmount, onMounted, type Ref } from 'vue'

/**
 * Pieces of a list that are dragged by their grips into other lists of a group. Lists say in `data-list` what they are, rows in
 * `data-thing`. What lies where is drawn by the plan alone: a row that is let go of goes back to where it was taken from.
 *
 * @param onGiven told what was let go of on which other list
 */
export function useDraggedPieces(
  list: Readonly<Ref<HTMLElement | null>>,
  group: string,
  onGiven: (thingId: string, to: string) => void,
): void {
  let sortable: Sortable | undefined
  onMounted(() => {
    if (!list.value) return
    sortable = Sortable.create(list.value, {
      group,
      sort: false,
      animation: 120,
      handle: '[data-grip]',
      // One way of dragging for every pointer; a finger that scrolls is no drag.
      forceFallback: true,
      fallbackOnBody: true,
      fallbackTolerance: 4,
      delay: 120,
      delayOnTouchOnly: true,
      ghostClass: 'opacity-30',
      onEnd({ item, from, to, oldIndex }) {
        if (from === to) return
        from.insertBefore(item, from.children[oldIndex ?? 0] ?? null)
        const [thingId, other] = [item.dataset.thing, to.dataset.list]
        if (thingId && other) onGiven(thingId, other)
      },
    })
  })
  onBeforeUnmount(() => sortable?.destroy())
}
