import type { QueueEntry } from '#shared/contracts/queue'
import { type FetchedReview, useReviewFetch } from '../review/useReview'

/** How many clients ahead are fetched while the coach looks at one. */
const AHEAD = 2

/** Reviews of those who come next, fetched while the coach looks at the one at hand, so that the next is there at once. */
export function useEarlyReviews(
  waiting: Readonly<Ref<readonly QueueEntry[]>>,
  current: Readonly<Ref<QueueEntry | null>>,
) {
  const fetched = useReviewFetch()
  const held = new Map<string, { readonly of: string; readonly review: Promise<FetchedReview> }>()
  /** What a review was fetched for: it is of no use once the client's plan or what waits of her is another. */
  const stamp = ({ pass, version, keys }: QueueEntry) => [pass, version, ...keys].join(' ')
  function fetchAhead(): void {
    const at = waiting.value.findIndex(({ id }) => id === current.value?.id)
    const ahead = waiting.value
      .filter(({ id }) => id !== current.value?.id)
      .slice(Math.max(0, at), Math.max(0, at) + AHEAD)
    const wanted = new Set(ahead.map(({ id }) => id as string))
    for (const id of held.keys()) if (!wanted.has(id)) held.delete(id)
    for (const entry of ahead) {
      if (held.get(entry.id)?.of === stamp(entry)) continue
      const review = fetched(`/api/clients/${entry.id}/review/${entry.pass ?? 'latest'}`)
      review.catch(() => held.delete(entry.id))
      held.set(entry.id, { of: stamp(entry), review })
    }
  }
  if (import.meta.client) watch([waiting, current], fetchAhead, { flush: 'post' })
  onMounted(fetchAhead)
  return {
    /** What was fetched of a client ahead, if it still holds. */
    take(entry: QueueEntry): Promise<FetchedReview> | null {
      const found = held.get(entry.id)
      return found?.of === stamp(entry) ? found.review : null
    },
  }
}
export type EarlyReviews = ReturnType<typeof useEarlyReviews>
