import { defineNuxtPlugin, useRouter } from '#imports'

/** What is typed in a field counts when the field is left: also when the page under it is left, by whichever way. */
export default defineNuxtPlugin(() => {
  const commit = () => {
    if (document.activeElement instanceof HTMLElement) document.activeElement.blur()
  }
  useRouter().beforeEach(commit)
  window.addEventListener('beforeunload', commit, { capture: true })
  window.addEventListener('pagehide', commit, { capture: true })
})
