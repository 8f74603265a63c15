import { type ClientId, clientId } from '#core/base'

/**
 * Loads the client that the path names, with her plan, before a page is drawn: today's block, or the one that was chosen.
 *
 * Errors: without a sign-in on to the form; a client that is not the coach's is not found; a server that does not answer is said so.
 */
export async function useClientPlan(screen: string): Promise<ClientId> {
  const app = useNuxtApp()
  const store = usePlanStore()
  const id = clientId(String(useRoute().params.clientId))
  const { chosen, leave } = useChosenBlock(id)
  const { data: outcome, error } = await useAsyncData(`${screen}-${id}`, async () => {
    let result = await store.load(id, chosen.value)
    // A block that was chosen and is gone by now: today's is there.
    if (!result.ok && chosen.value && result.error.kind === 'refused') {
      leave()
      result = await store.load(id, null)
    }
    if (result.ok) return 'loaded' as const
    return result.error.kind === 'refused' ? result.error.problem.status : ('unreachable' as const)
  })
  store.openPart(null)
  if (outcome.value === 401) await app.runWithContext(() => navigateTo('/sign-in'))
  // Without an outcome the page was left before it was there: nothing failed, and nobody sees it.
  else if (error.value || (outcome.value !== undefined && outcome.value !== 'loaded'))
    throw createError({ statusCode: outcome.value === 404 ? 404 : 503, fatal: true })
  return id
}
