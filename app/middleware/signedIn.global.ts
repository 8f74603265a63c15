const OPEN = ['/sign-in', '/sign-up']

/** Everything but signing in and up, and a client's own sheet, is for coaches who are signed in. */
export default defineNuxtRouteMiddleware(to => {
  if (to.path === '/sheet' || to.path.startsWith('/sheet/')) return undefined
  const { loggedIn } = useUserSession()
  if (OPEN.includes(to.path)) return loggedIn.value ? navigateTo('/roster') : undefined
  if (!loggedIn.value)
    return navigateTo({ path: '/sign-in', query: to.path === '/' ? {} : { next: to.fullPath } })
  return to.path === '/' ? navigateTo('/roster') : undefined
})
