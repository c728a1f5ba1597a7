/** Pages that belong to somebody send everybody else to the door. Whose device it is may go on reading what is on it. */
export default defineNuxtRouteMiddleware(async (to) => {
  const { person, standing, ask } = usePerson()
  if (standing.value === 'not asked') await ask()
  if (standing.value !== 'signed in' && !person.value) {
    return navigateTo({ path: '/', query: { next: to.fullPath } })
  }
})
