import type { H3Event } from 'h3'
import { coachId } from '#core/base'
import { type SignedIn, signOut } from '../services/signIn'

/** Keeps a sign-in in the sealed cookie, ends the one that was in it, and gives what screens may know of it. */
export async function keepSignIn(
  event: H3Event,
  { coach, signIn }: SignedIn,
): Promise<{ name: string; studio: string }> {
  const { secure: before } = await getUserSession(event)
  // The same one is kept again where only what screens know of it has changed.
  if (before && before.signInId !== signIn.id)
    await signOut({ coachId: coachId(before.coachId), id: before.signInId })
  const { name, studio, writing = {}, isDemo = false } = coach
  const user = { name, studio, writing, isDemo }
  await replaceUserSession(event, { user, secure: { coachId: coach.id, signInId: signIn.id } })
  return user
}
