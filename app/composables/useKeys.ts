import { useEventListener } from '@vueuse/core'

/** Whether a key was meant for what is being typed in. */
function isTyping(event: KeyboardEvent): boolean {
  const target = event.target
  return target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
}

/** Whether a dialog or a menu has the keyboard. */
const isAside = () => document.querySelector('[role="dialog"], [role="menu"]') !== null

/** Plain keys and Ctrl (or ⌘) with keys, by what they do. */
export function useKeys(plain: Record<string, () => void>, withControl: Record<string, () => void> = {}) {
  useEventListener('keydown', (event: KeyboardEvent) => {
    if (isAside() || event.altKey) return
    const control = event.ctrlKey || event.metaKey
    if (!control && isTyping(event)) return
    const name = `${event.shiftKey && control ? 'shift+' : ''}${event.key.toLowerCase()}`
    const action = (control ? withControl : plain)[name]
    if (!action) return
    event.preventDefault()
    action()
  })
}
