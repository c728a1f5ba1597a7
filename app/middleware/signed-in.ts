import { defineNuxtRouteMiddleware, navigateTo } from '#imports'
import { usePerson } from '../stores/person'

/** Pages that belong to somebody send everybody else to the door. Whose device it is may go on reading what is on it. */
export default defineNuxtRouteMiddleware(async (to) => {
  const { person, signInState, ask } = usePerson()
  if (signInState.value === 'not asked') await ask()
  if (signInState.value !== 'signed in' && !person.value) {
    return navigateTo({ path: '/', query: { next: to.fullPath } })
  }
})
