import type { VNode } from 'vue'

/** Gives a field of a dialog the keyboard once the dialog itself has settled where it goes. */
export function focusWhenMounted(node: VNode) {
  setTimeout(() => (node.el as HTMLElement | null)?.focus(), 30)
}
