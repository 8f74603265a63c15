import { failure, type Result, success } from '#core/base'
import { blockAsTold, type SentSession } from '#core/design/progress'
import { SentView } from '#shared/contracts/block'
import { defineStore } from 'pinia'
import type { ApiFailure } from '~/shell/useApi'

/** The block laid out over its dates, and what of it the client has; apart from the plan, because most screens need neither. */
export const useIssuedStore = defineStore('issued', () => {
  const plans = usePlanStore()
  const { ask } = useApi()
  const today = useToday()
  /** What the client has, and of which block. */
  const held = shallowRef<{ readonly block: string; readonly sent: readonly SentSession[] } | null>(
    null,
  )
  const NOTHING: readonly SentSession[] = []
  const sent = computed(() =>
    held.value && held.value.block === plans.client?.block?.id ? held.value.sent : NOTHING,
  )
  /** What was sent stands in place of what the plan would have. */
  const expanded = computed(() =>
    plans.whole && plans.wholeContext
      ? blockAsTold(plans.whole, plans.wholeContext, sent.value, today.value)
      : null,
  )

  async function load(): Promise<Result<true, ApiFailure>> {
    const block = plans.client?.block
    if (!block) return success(true)
    const result = await ask(`/api/blocks/${block.id}/sent`, { answer: SentView })
    if (!result.ok) return failure(result.error)
    held.value = { block: block.id, sent: result.value.sent }
    return success(true)
  }
  return { held, sent, expanded, load }
})
