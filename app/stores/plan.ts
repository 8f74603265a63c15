import { type ClientId, failure, type Result, success } from '#core/base'
import { applyEdit, type EditProblem, type PlanDocument, type PlanEdit } from '#core/block'
import { armBalance, attentionList, isUnallocated, rotationLedger } from '#core/ledger'
import { contextWith, methodById } from '#core/method'
import { ClientView } from '#shared/contracts/client'
import { SavedPlan } from '#shared/contracts/plan'
import { type CurrentBlock, CurrentBlockContract } from '#shared/contracts/problem'
import { defineStore } from 'pinia'
import { newId } from '~/composables/newId'
import type { ApiFailure } from '~/composables/useApi'

/** What is happening to edits that the server has not got yet. */
export type SaveState =
  | { readonly kind: 'idle' }
  | { readonly kind: 'saving' }
  | { readonly kind: 'unreachable' }
  | { readonly kind: 'refused', readonly detail: string }
  | { readonly kind: 'conflict', readonly theirs: CurrentBlock }

/** An edit that the server never got, as it was kept in this browser. */
export interface PlanDraft { readonly version: number, readonly plan: PlanDocument }

/** The plan being edited: the document, its undo stack, and how far the server has followed. */
export const usePlanStore = defineStore('plan', () => {
  const client = shallowRef<ClientView | null>(null)
  const plan = shallowRef<PlanDocument | null>(null)
  const savedPlan = shallowRef<PlanDocument | null>(null)
  const version = ref(0)
  const savedAt = ref<string | null>(null)
  const saveState = shallowRef<SaveState>({ kind: 'idle' })
  const unsavedChanges = ref(0)
  const past = shallowRef<readonly PlanDocument[]>([])
  const future = shallowRef<readonly PlanDocument[]>([])
  const { ask } = useApi()

  const context = computed(() => client.value && contextWith(methodById(client.value.method), client.value.facts))
  const ledger = computed(() => plan.value && context.value && rotationLedger(plan.value.rotation, context.value))
  const balance = computed(() => ledger.value && context.value && armBalance(ledger.value.work.flat(), context.value))
  const attention = computed(() => (ledger.value ? attentionList(ledger.value) : []))
  const isEmpty = computed(() => ledger.value !== null && isUnallocated(ledger.value))
  const isSaved = computed(() => plan.value === savedPlan.value)

  async function load(id: ClientId): Promise<Result<true, ApiFailure>> {
    const result = await ask(`/api/clients/${id}`, { answer: ClientView })
    if (!result.ok) return failure(result.error)
    client.value = result.value
    stand(result.value.block)
    return success(true)
  }

  function stand(block: CurrentBlock | null): void {
    plan.value = savedPlan.value = block?.plan ?? null
    version.value = block?.version ?? 0
    savedAt.value = block?.savedAt ?? null
    saveState.value = { kind: 'idle' }
    unsavedChanges.value = 0
    past.value = []
    future.value = []
  }

  function show(next: PlanDocument): void {
    plan.value = next
    unsavedChanges.value += 1
  }

  function edit(change: PlanEdit): Result<PlanDocument, EditProblem> {
    if (!plan.value) return failure({ kind: 'no_such_day', day: 0 })
    const before = plan.value
    const result = applyEdit(before, change, newId)
    if (result.ok && result.value !== before) {
      past.value = [...past.value, before]
      future.value = []
      show(result.value)
    }
    return result
  }

  function undo(): boolean {
    const before = past.value.at(-1)
    if (!before || !plan.value) return false
    past.value = past.value.slice(0, -1)
    future.value = [plan.value, ...future.value]
    show(before)
    return true
  }

  function redo(): boolean {
    const [after, ...others] = future.value
    if (!after || !plan.value) return false
    past.value = [...past.value, plan.value]
    future.value = others
    show(after)
    return true
  }

  async function save(): Promise<void> {
    const block = client.value?.block
    const sent = plan.value
    if (!block || !sent || isSaved.value || saveState.value.kind === 'saving' || saveState.value.kind === 'conflict') return
    const changes = unsavedChanges.value
    saveState.value = { kind: 'saving' }
    const result = await ask(`/api/blocks/${block.id}/plan`, { method: 'PUT', body: { version: version.value, plan: sent }, answer: SavedPlan })
    if (client.value?.block?.id !== block.id) return
    if (!result.ok) {
      saveState.value = refusal(result.error)
      return
    }
    savedPlan.value = sent
    version.value = result.value.version
    savedAt.value = result.value.savedAt
    unsavedChanges.value -= changes
    saveState.value = { kind: 'idle' }
  }

  /** Takes up edits that an earlier visit could not save. */
  function restoreDraft(draft: PlanDraft): void {
    if (!savedPlan.value || JSON.stringify(draft.plan) === JSON.stringify(savedPlan.value)) return
    past.value = [savedPlan.value]
    show(draft.plan)
    if (draft.version === version.value) return
    saveState.value = { kind: 'conflict', theirs: { version: version.value, savedAt: savedAt.value ?? '', plan: savedPlan.value } }
  }

  /** Puts our plan over the newer one; theirs stays in the revisions. */
  async function keepMine(): Promise<void> {
    if (saveState.value.kind !== 'conflict') return
    const { theirs } = saveState.value
    version.value = theirs.version
    savedPlan.value = theirs.plan
    saveState.value = { kind: 'idle' }
    await save()
  }

  /** Goes on from the newer plan; ours stays one undo away. */
  function takeTheirs(): void {
    if (saveState.value.kind !== 'conflict' || !plan.value) return
    const { theirs } = saveState.value
    const mine = plan.value
    stand(theirs)
    past.value = [mine]
  }

  return {
    client, plan, savedPlan, version, savedAt, saveState, unsavedChanges, past, future,
    context, ledger, balance, attention, isEmpty, isSaved,
    load, edit, undo, redo, save, restoreDraft, keepMine, takeTheirs,
  }
})

function refusal(error: ApiFailure): SaveState {
  if (error.kind === 'unreachable') return { kind: 'unreachable' }
  if (error.problem.status !== 409) return { kind: 'refused', detail: error.problem.detail }
  const theirs = CurrentBlockContract.safeParse(error.problem.current)
  return theirs.success ? { kind: 'conflict', theirs: theirs.data } : { kind: 'refused', detail: error.problem.detail }
}
