import { SignedInCoach } from '#shared/contracts/session'

/** Going into a studio to look around in. */
export function useDemo() {
  const { ask } = useApi()
  const { fetch: refreshSession } = useUserSession()
  const isBusy = ref(false)
  const complaint = ref('')
  async function enter(): Promise<void> {
    isBusy.value = true
    complaint.value = ''
    const result = await ask('/api/demo', { method: 'POST', answer: SignedInCoach })
    if (result.ok) {
      await refreshSession()
      await navigateTo('/roster', { external: true })
    } else
      complaint.value =
        result.error.kind === 'unreachable'
          ? 'The server does not answer. Try again.'
          : result.error.problem.detail
    isBusy.value = false
  }
  return { isBusy: readonly(isBusy), complaint: readonly(complaint), enter }
}
