import { isForSigningIn, isOpenPath } from '~/shell/openPaths'

/** Everything but signing in and up, and a client's own sheet, is for coaches who are signed in. */
export default defineNuxtRouteMiddleware(to => {
  const { loggedIn } = useUserSession()
  if (isForSigningIn(to.path)) return loggedIn.value ? navigateTo('/roster') : undefined
  if (isOpenPath(to.path)) return undefined
  if (!loggedIn.value)
    return navigateTo({ path: '/sign-in', query: to.path === '/' ? {} : { next: to.fullPath } })
  return to.path === '/' ? navigateTo('/roster') : undefined
})
