import { isAlike } from '#core/plan/scheme'
import { PlanContract } from '#shared/contracts/plan'
import { useBroadcastChannel, useDebounceFn, useEventListener, useIntervalFn } from '@vueuse/core'
import { get, set } from 'idb-keyval'
import { z } from 'zod'

/** Edits in quick succession go out together. */
const PAUSE_MS = 500
const RETRY_MS = 5000
const KEEP_PAUSE_MS = 150

/** What is kept in this browser: the plan as edited, and the steps that undo and redo are made of. */
const KeptContract = z.object({
  version: z.int(),
  isSaved: z.boolean(),
  plan: PlanContract,
  past: z.array(PlanContract),
  future: z.array(PlanContract),
})

/**
 * Saves every edit of the plan by itself, tries again when the server was not reached, and keeps it with the undo steps
 * in this browser (IndexedDB), so that a reload loses neither edits nor steps. Windows on one plan tell each other of saves.
 * `isTakenUp` tells when what was kept is back; until then the board should not be edited.
 */
export function useAutosave(): { readonly isTakenUp: Readonly<Ref<boolean>> } {
  const store = usePlanStore()
  const saveSoon = useDebounceFn(() => store.save(), PAUSE_MS)
  const key = () => `tholepin-plan-${store.client?.block?.id}`
  const isTakenUp = ref(false)

  async function keep(): Promise<void> {
    // What is on trial is not an edit yet: a reload puts it back.
    if (!store.whole || !isTakenUp.value || store.trial) return
    // One write holds all steps: what they share is stored once.
    await set(key(), {
      version: store.version,
      isSaved: store.isSaved,
      plan: toRaw(store.whole),
      past: store.past.map(toRaw),
      future: store.future.map(toRaw),
    })
  }
  const keepSoon = useDebounceFn(keep, KEEP_PAUSE_MS)

  async function takeUp(): Promise<void> {
    const kept = KeptContract.safeParse(await get(key()).catch(() => undefined))
    if (kept.success) takeOver(kept.data)
    isTakenUp.value = true
  }
  function takeOver(kept: z.output<typeof KeptContract>): void {
    const { plan, past, future } = kept
    if (isAlike(plan, store.whole)) store.restoreSteps({ past, future })
    else if (!kept.isSaved) {
      store.restoreDraft(kept)
      if (store.saveState.kind !== 'conflict')
        store.restoreSteps({ past: past.length > 0 ? past : store.past, future })
    }
  }

  const { data: heard, post } = useBroadcastChannel<
    { block: string; version: number },
    { block: string; version: number }
  >({ name: 'tholepin-plan' })
  // A save that is under way is waited for: its answer changes the state, and then the newer version is taken up.
  watch([heard, () => store.saveState.kind] as const, ([message, state]) => {
    if (
      message &&
      state !== 'saving' &&
      message.block === store.client?.block?.id &&
      message.version > store.version
    )
      void store.catchUp()
  })
  watch(
    () => store.version,
    version =>
      isTakenUp.value && store.client?.block && post({ block: store.client.block.id, version }),
  )

  onMounted(async () => {
    await takeUp()
    await store.save()
  })
  watch(
    () => store.whole,
    () => {
      void keepSoon()
      if (!store.isSaved) void saveSoon()
    },
  )
  watch(
    () => store.saveState,
    ({ kind }, before) => {
      // That it is saved is kept at once: a draft that looks unsaved would come back over what was undone since.
      void (kind === 'idle' && before.kind === 'saving' ? keep() : keepSoon())
      if (kind === 'idle' && !store.isSaved) void saveSoon()
    },
  )
  useIntervalFn(() => {
    if (store.saveState.kind === 'unreachable') void store.save()
  }, RETRY_MS)
  useEventListener('online', () => void store.save())
  useEventListener('focus', () => void store.catchUp())
  useEventListener('pagehide', () => void keep())
  onBeforeRouteLeave(async () => {
    await keep()
    await store.save()
  })
  return { isTakenUp: readonly(isTakenUp) }
}
