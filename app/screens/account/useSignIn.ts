import { SignedInCoach, SignInBody } from '#shared/contracts/session'
import { fieldErrors } from '#shared/contracts/fieldErrors'
import { z } from 'zod'
import { useEndTold, useLeaving } from '~/shell/useEndedElsewhere'

/** Signing in and out, with what went wrong in words. */
export function useSignIn() {
  const { ask } = useApi()
  const { fetch: refreshSession } = useUserSession()
  const complaint = ref('')
  const isBusy = ref(false)
  const isLeaving = useLeaving()
  const { post: tell } = useEndTold()

  async function signIn(email: string, password: string): Promise<boolean> {
    const typed = SignInBody.safeParse({ email, password })
    if (!typed.success) {
      complaint.value = fieldErrors(typed.error.issues)
        .map(error => error.detail)
        .map(capitalised)
        .join(' ')
      return false
    }
    isBusy.value = true
    complaint.value = ''
    const result = await ask('/api/sign-in', {
      method: 'POST',
      body: { email, password },
      answer: SignedInCoach,
    })
    if (result.ok) await refreshSession()
    else
      complaint.value =
        result.error.kind === 'unreachable'
          ? 'The server does not answer. Check the connection and try again.'
          : result.error.problem.detail
    isBusy.value = false
    return result.ok
  }

  const signOut = () => endAt('/api/sign-out')
  const signOutEverywhere = () => endAt('/api/account/sign-out-everywhere')

  async function endAt(path: string): Promise<void> {
    isLeaving.value = true
    await ask(path, { method: 'POST', answer: z.object({}) })
    const { forgetTogether } = await import('../together/forgetTogether')
    await forgetTogether().catch(() => undefined)
    await refreshSession()
    tell('ended')
    await navigateTo('/sign-in')
    isLeaving.value = false
  }

  return {
    complaint: readonly(complaint),
    isBusy: readonly(isBusy),
    signIn,
    signOut,
    signOutEverywhere,
  }
}

function capitalised(sentence: string): string {
  return sentence.charAt(0).toUpperCase() + sentence.slice(1)
}
