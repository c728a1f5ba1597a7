/** Pages that belong to somebody send everybody else to the door. */
export default defineNuxtRouteMiddleware(async (to) => {
  const { loggedIn, ready, fetch } = useUserSession()
  if (!ready.value) await fetch()
  if (!loggedIn.value) return navigateTo({ path: '/', query: { next: to.fullPath } })
})
