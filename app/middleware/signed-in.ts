import { defineNuxtRouteMiddleware, navigateTo } from '#imports'
import { usePerson } from '../stores/person'

/** Pages that belong to somebody send everybody else to the door. Whose device it is may go on reading what is on it. */
export default defineNuxtRouteMiddleware(async (to) => {
  const { person, signInState, ask } = usePerson()
  // Whose device it is reads on while it is asked: where the signal is poor, no answer may come for long.
  if (signInState.value === 'not asked') {
    const asked = ask()
    if (!person.value) await asked
  }
  if (signInState.value !== 'signed in' && !person.value) {
    return navigateTo({ path: '/', query: { next: to.fullPath } })
  }
})
