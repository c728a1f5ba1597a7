import { defineNuxtPlugin, navigateTo, reloadNuxtApp, useRoute } from '#imports'
import { watch } from 'vue'
import { usePerson } from '../stores/person'
import { useTripSessions } from '../stores/trip-sessions'

/** Whoever else signs in or out, in any window: this one shows nothing of the one before. */
export default defineNuxtPlugin(() => {
  const { person } = usePerson()
  const route = useRoute()
  watch(
    () => person.value?.id,
    (id, before) => {
      if (before === undefined || id === before) return
      // The list of the one before may be drawn already.
      if (id !== undefined && route.path === '/trips') reloadNuxtApp({ path: '/trips', force: true })
      else void navigateTo(id === undefined ? '/' : '/trips')
    },
  )
  window.addEventListener('online', () => {
    if (person.value) void useTripSessions().then((sessions) => sessions.tryAgain())
  })
})
