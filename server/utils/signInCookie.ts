import type { H3Event } from 'h3'
import type { SignedIn } from '../services/signIn'

/** Where a request comes from, for limits on attempts. */
export function addressOf(event: H3Event): string {
  return event.node.req.socket.remoteAddress ?? 'unknown'
}

/** Keeps a sign-in in the sealed cookie and gives what screens may know of it. */
export async function keepSignIn(
  event: H3Event,
  { coach, signIn }: SignedIn,
): Promise<{ name: string; studio: string }> {
  const { name, studio, writing = {}, isDemo = false } = coach
  const user = { name, studio, writing, isDemo }
  await replaceUserSession(event, { user, secure: { coachId: coach.id, signInId: signIn.id } })
  return user
}
