import { defineNuxtPlugin } from '#imports'
import { usePageFailure } from '../stores/page-failure'

/** A page that fails says so: to the rider in a line, and to the browser, where its own errors go. */
export default defineNuxtPlugin((nuxt) => {
  const failure = usePageFailure()
  const tell = (error: unknown) => {
    if (error instanceof Error) failure.value = error.message || error.name
  }
  nuxt.hook('vue:error', (error) => reportError(error))
  window.addEventListener('error', ({ error }) => tell(error))
  window.addEventListener('unhandledrejection', ({ reason }) => tell(reason))
})
