import { defineNuxtPlugin, useRouter } from '#imports'
import { closeTop } from '../composables/useBackCloses'

/** The browser's Back closes a dialog before it leaves a stage. */
export default defineNuxtPlugin(() => {
  let isByBrowser = false
  // Before the router hears of it.
  window.addEventListener('popstate', () => (isByBrowser = true), { capture: true })
  useRouter().beforeEach(() => {
    const goes = isByBrowser
    isByBrowser = false
    return goes && closeTop() ? false : true
  })
})
