const OPEN = ['/sign-in', '/sign-up']

/** Pages for whoever has no sign-in. */
export const isForSigningIn = (path: string): boolean => OPEN.includes(path)

/** Pages that need no coach's sign-in: signing in and up, a new password by link, what is shown by an address, and a client's own sheet. */
export const isOpenPath = (path: string): boolean =>
  isForSigningIn(path) ||
  path === '/new-password' ||
  path === '/shown' ||
  // It opens without reception; the server says who may see what.
  path === '/together' ||
  path === '/sheet' ||
  path.startsWith('/sheet/')
