/** Everything but the sign-in page is for coaches who are signed in. */
export default defineNuxtRouteMiddleware((to) => {
  const { loggedIn } = useUserSession()
  if (to.path === '/sign-in') return loggedIn.value ? navigateTo('/roster') : undefined
  if (!loggedIn.value) return navigateTo({ path: '/sign-in', query: to.path === '/' ? {} : { next: to.fullPath } })
  return to.path === '/' ? navigateTo('/roster') : undefined
})
