import { defineNuxtPlugin, navigateTo } from '#imports'
import { watch } from 'vue'
import { usePerson } from '../stores/person'
import { useTripSessions } from '../stores/trip-sessions'

/** Whoever else signs in or out, in any window: this one shows nothing of the one before. */
export default defineNuxtPlugin(() => {
  const { person } = usePerson()
  watch(
    () => person.value?.id,
    (id, before) => {
      if (before !== undefined && id !== before) void navigateTo(id === undefined ? '/' : '/trips')
    },
  )
  window.addEventListener('online', () => {
    if (person.value) void useTripSessions().then((sessions) => sessions.tryAgain())
  })
})
