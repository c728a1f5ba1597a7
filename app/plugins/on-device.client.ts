import { defineNuxtPlugin } from '#imports'

/** Puts the app on the device, once the page itself has all it needs. A browser that keeps nothing goes on without. */
export default defineNuxtPlugin(() => {
  if (import.meta.dev || !('serviceWorker' in navigator)) return
  const keep = () => void navigator.serviceWorker.register('/sw.js').catch(() => undefined)
  if (document.readyState === 'complete') keep()
  else window.addEventListener('load', keep, { once: true })
})
