import { onUnmounted, watch } from 'vue'

/** So long the page takes to close what was open and to settle where the keyboard is. */
const settledMs = 50

/**
 * Gives the keyboard back to whatever had it before a dialog was opened; where that is gone, to the page's main part,
 * so that nobody is sent to the top.
 */
export function useFocusReturn(isOpen: () => boolean): void {
  let opener: HTMLElement | undefined

  function giveBack() {
    const to = opener
    opener = undefined
    setTimeout(() => {
      const { activeElement } = document
      // Another dialog, or whoever closed this one, has it by now; one that this lay upon has it back at its first field.
      const isBack = to?.closest('[role=dialog]')?.contains(activeElement) ?? false
      if (activeElement !== null && activeElement !== document.body && !isBack) return
      const target = to?.isConnected ? to : document.querySelector<HTMLElement>('main')
      if (target?.tabIndex === -1 && !target.hasAttribute('tabindex')) target.setAttribute('tabindex', '-1')
      target?.focus({ preventScroll: true })
    }, settledMs)
  }
  watch(
    isOpen,
    (open) => {
      if (open) opener = openerNow()
      else if (opener) giveBack()
    },
    { immediate: true, flush: 'sync' },
  )
  onUnmounted(() => {
    if (opener) giveBack()
  })
}

/** What has the keyboard; for a menu, which goes with the choice, the button that opened it. */
function openerNow(): HTMLElement | undefined {
  const active = document.activeElement
  if (!(active instanceof HTMLElement) || active === document.body) return undefined
  const menu = active.closest('[role=menu]')
  const button = menu && document.getElementById(menu.getAttribute('aria-labelledby') ?? '')
  return button ?? active
}
