import { defineNuxtRouteMiddleware, navigateTo } from '#imports'
import { usePerson } from '../stores/person'

/** So long a page waits to hear who has signed in where it is known whose device it is. */
const patienceMs = 300

/** Pages that belong to somebody send everybody else to the door. Whose device it is may go on reading what is on it. */
export default defineNuxtRouteMiddleware(async (to) => {
  const { person, signInState, ask } = usePerson()
  // Whose device it is reads on: nobody is asked without a network, and where the signal is poor no answer may come for long.
  if (signInState.value === 'not asked' && (navigator.onLine || !person.value)) {
    const patience = new Promise<void>((go) => setTimeout(go, patienceMs))
    await Promise.race(person.value ? [ask(), patience] : [ask()])
  }
  if (signInState.value !== 'signed in' && !person.value) {
    return navigateTo({ path: '/', query: { next: to.fullPath } })
  }
})
