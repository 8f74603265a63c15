import { PlanContract } from '#shared/contracts/plan'
import { useDebounceFn, useEventListener, useIntervalFn } from '@vueuse/core'
import { z } from 'zod'

/** Edits in quick succession go out together. */
const PAUSE_MS = 500
const RETRY_MS = 5000

const DraftContract = z.object({ version: z.int(), plan: PlanContract })

/**
 * Saves every edit of the plan by itself, tries again when the server was not reached, and keeps what it has not got
 * in this browser, so that a reload without a connection loses nothing.
 */
export function useAutosave(): void {
  const store = usePlanStore()
  const saveSoon = useDebounceFn(() => store.save(), PAUSE_MS)

  const draftKey = () => `tholepin-draft-${store.client?.block?.id}`
  function keepDraft(): void {
    if (store.isSaved || !store.plan) localStorage.removeItem(draftKey())
    else localStorage.setItem(draftKey(), JSON.stringify({ version: store.version, plan: store.plan }))
  }
  function takeUpDraft(): void {
    const text = localStorage.getItem(draftKey())
    if (text === null) return
    const draft = DraftContract.safeParse(JSON.parse(text))
    if (draft.success) store.restoreDraft(draft.data)
    else localStorage.removeItem(draftKey())
  }

  onMounted(() => {
    takeUpDraft()
    void store.save()
  })
  watch(() => store.plan, () => {
    if (store.isSaved) return
    keepDraft()
    void saveSoon()
  })
  watch(() => store.saveState, ({ kind }) => {
    keepDraft()
    if (kind === 'idle' && !store.isSaved) void saveSoon()
  })
  useIntervalFn(() => {
    if (store.saveState.kind === 'unreachable') void store.save()
  }, RETRY_MS)
  useEventListener('online', () => void store.save())
  onBeforeRouteLeave(() => store.save())
}
