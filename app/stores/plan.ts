import { type BlockId, type ClientId, failure, type Result, success } from '#core/base'
import {
  applyEdits,
  type EditProblem,
  mergedPlans,
  type PlanDocument,
  type PlanEdit,
} from '#core/plan/block'
import { catalogueWith } from '#core/plan/catalogue'
import { checkInput, openFindings } from '#core/judge/checks'
import {
  armBalance,
  attentionList,
  isUnallocated,
  pushPull,
  rotationLedger,
} from '#core/count/ledger'
import { contextWith, methodById, type PlanContext } from '#core/plan/method'
import { isAlike } from '#core/plan/scheme'
import { ClientView } from '#shared/contracts/client'
import { SavedPlan } from '#shared/contracts/plan'
import { type CurrentBlock, CurrentBlockContract } from '#shared/contracts/problem'
import { defineStore } from 'pinia'
import { newId } from '~/shell/newId'
import type { ApiFailure } from '~/shell/useApi'

/** What is happening to edits that the server has not got yet. */
export type SaveState =
  | { readonly kind: 'idle' }
  | { readonly kind: 'saving' }
  | { readonly kind: 'unreachable' }
  | { readonly kind: 'refused'; readonly detail: string }
  | { readonly kind: 'conflict'; readonly theirs: CurrentBlock }

/** An edit that the server never got, as it was kept in this browser. */
export interface PlanDraft {
  readonly version: number
  readonly plan: PlanDocument
}

/** Changes that are looked at on the board before they count: nothing is saved until they are kept. */
export interface Trial {
  readonly name: string
  readonly before: PlanDocument
  readonly steps: readonly PlanDocument[]
}

/** A part of the document that is shown and changed as if it were a plan of its own. */
export interface OpenedPart {
  readonly shown: (whole: PlanDocument, context: PlanContext) => PlanDocument
  /** The client as the part takes her. */
  readonly context: (whole: PlanDocument, context: PlanContext) => PlanContext
  readonly taken: (
    whole: PlanDocument,
    next: PlanDocument,
    context: PlanContext,
  ) => Result<PlanDocument, EditProblem>
}

const addressOf = (id: ClientId, block: BlockId | null | undefined) =>
  `/api/clients/${id}${block ? `?block=${block}` : ''}`

/** The plan being edited: the document, its undo stack, and how far the server has followed. */
export const usePlanStore = defineStore('plan', () => {
  const client = shallowRef<ClientView | null>(null)
  /** The whole document, as it is saved. */
  const whole = shallowRef<PlanDocument | null>(null)
  /** The part that is opened by itself; null for the whole block. */
  const part = shallowRef<OpenedPart | null>(null)
  const savedPlan = shallowRef<PlanDocument | null>(null)
  const version = ref(0)
  const savedAt = ref<string | null>(null)
  const saveState = shallowRef<SaveState>({ kind: 'idle' })
  const unsavedChanges = ref(0)
  const past = shallowRef<readonly PlanDocument[]>([])
  const future = shallowRef<readonly PlanDocument[]>([])
  /** Grows whenever changes of another window were laid under ours. */
  const mergedAt = ref(0)
  const trial = shallowRef<Trial | null>(null)
  /** Sent, and no answer came: the server may have it all the same. */
  const unanswered = shallowRef<readonly PlanDocument[]>([])
  const { ask } = useApi()

  /** The client as the whole block takes her. */
  const wholeContext = computed(
    () =>
      client.value &&
      contextWith(client.value.method, client.value.facts, catalogueWith(client.value.library)),
  )
  const opened = computed(() =>
    part.value && whole.value && wholeContext.value
      ? {
          plan: part.value.shown(whole.value, wholeContext.value),
          context: part.value.context(whole.value, wholeContext.value),
        }
      : null,
  )
  /** What the screens show and change: the document, or the part that is opened, with the client as it takes her. */
  const plan = computed(() => opened.value?.plan ?? whole.value)
  const context = computed(() => opened.value?.context ?? wholeContext.value)
  const openPart = (next: OpenedPart | null) => (part.value = next)
  /** The preset that the client's method was copied from; null for a preset itself. */
  const methodBase = computed(() =>
    client.value?.basedOn ? methodById(client.value.basedOn) : null,
  )
  const ledger = computed(
    () => plan.value && context.value && rotationLedger(plan.value.rotation, context.value),
  )
  const balance = computed(
    () => ledger.value && context.value && armBalance(ledger.value.work.flat(), context.value),
  )
  /** Everything the checks look at: sessions with their minutes, recovery, joints. */
  const input = computed(() =>
    plan.value && context.value && ledger.value
      ? checkInput(plan.value, context.value, {}, ledger.value)
      : null,
  )
  const found = computed(() =>
    plan.value && input.value ? openFindings(plan.value, input.value) : { open: [], putAside: [] },
  )
  const findings = computed(() => found.value.open)
  const dismissed = computed(() => found.value.putAside)
  const compounds = computed(() =>
    ledger.value && context.value ? pushPull(ledger.value.work.flat(), context.value) : null,
  )
  const attention = computed(() => (ledger.value ? attentionList(ledger.value) : []))
  const isEmpty = computed(() => ledger.value !== null && isUnallocated(ledger.value))
  const isSaved = computed(() => whole.value === savedPlan.value)

  /** Loads a client with one of her blocks: today's where none is named. */
  async function load(
    id: ClientId,
    block: BlockId | null = null,
  ): Promise<Result<true, ApiFailure>> {
    const result = await ask(addressOf(id, block), { answer: ClientView })
    if (!result.ok) return failure(result.error)
    client.value = result.value
    stand(result.value.block)
    return success(true)
  }

  /** What is known of the client, asked for anew; the plan and its steps stay as they are here. */
  async function readClientAgain(): Promise<void> {
    const known = client.value
    if (!known) return
    const result = await ask(addressOf(known.id, known.block?.id), { answer: ClientView })
    if (result.ok && client.value?.id === known.id)
      client.value = { ...result.value, block: known.block }
  }

  function stand(block: CurrentBlock | null): void {
    whole.value = savedPlan.value = block?.plan ?? null
    version.value = block?.version ?? 0
    savedAt.value = block?.savedAt ?? null
    saveState.value = { kind: 'idle' }
    unsavedChanges.value = 0
    past.value = []
    future.value = []
    trial.value = null
    unanswered.value = []
  }

  function show(next: PlanDocument): void {
    whole.value = next
    unsavedChanges.value += 1
  }

  function edit(change: PlanEdit): Result<PlanDocument, EditProblem> {
    return editAll([change])
  }

  /** Several edits as one step of undo; the first that cannot be made stops them all. */
  function editAll(changes: readonly PlanEdit[]): Result<PlanDocument, EditProblem> {
    if (!plan.value) return failure({ kind: 'no_such_day', day: 0 })
    const result = applyEdits(plan.value, changes, newId)
    return result.ok ? takeUp(result.value) : result
  }

  /** What was shown and is changed now, as one step of undo: in the opened part alone, where one is. */
  function takeUp(next: PlanDocument): Result<PlanDocument, EditProblem> {
    if (next === plan.value) return success(next)
    const taken =
      whole.value && part.value && wholeContext.value
        ? part.value.taken(whole.value, next, wholeContext.value)
        : success(next)
    if (taken.ok) put(taken.value)
    return taken
  }

  /** Another document altogether, as from the history, as one step of undo. */
  function put(next: PlanDocument): void {
    const before = whole.value
    if (!before || next === before) return
    past.value = [...past.value, before]
    future.value = []
    show(next)
  }

  /** Shows another plan on trial, as one step of undo; it is saved only once it is kept. */
  function tryOut(next: PlanDocument, name: string): Result<PlanDocument, EditProblem> {
    if (!whole.value) return failure({ kind: 'no_such_day', day: 0 })
    const begun = { name, before: whole.value, steps: past.value }
    const taken = takeUp(next)
    if (taken.ok) trial.value = begun
    return taken
  }

  async function keepTrial(): Promise<void> {
    trial.value = null
    await save()
  }

  /** Back to the plan as it was before the trial, with the steps that were there. */
  function endTrial(): void {
    if (!trial.value) return
    const { before, steps } = trial.value
    trial.value = null
    past.value = steps
    future.value = []
    whole.value = before
    if (isSaved.value) unsavedChanges.value = 0
  }

  function undo(): boolean {
    const before = past.value.at(-1)
    if (!before || !whole.value) return false
    past.value = past.value.slice(0, -1)
    future.value = [whole.value, ...future.value]
    show(before)
    return true
  }

  function redo(): boolean {
    const [after, ...others] = future.value
    if (!after || !whole.value) return false
    past.value = [...past.value, whole.value]
    future.value = others
    show(after)
    return true
  }

  async function save(): Promise<void> {
    const block = client.value?.block
    const sent = whole.value
    if (
      !block ||
      !sent ||
      isSaved.value ||
      saveState.value.kind === 'saving' ||
      saveState.value.kind === 'conflict' ||
      trial.value
    )
      return
    const changes = unsavedChanges.value
    saveState.value = { kind: 'saving' }
    const result = await ask(`/api/blocks/${block.id}/plan`, {
      method: 'PUT',
      body: { version: version.value, plan: sent },
      answer: SavedPlan,
    })
    if (client.value?.block?.id !== block.id) return
    if (!result.ok) {
      saveState.value = refusal(result.error)
      if (saveState.value.kind === 'unreachable') unanswered.value = [...unanswered.value, sent]
      if (saveState.value.kind === 'conflict' && mergeWith(saveState.value.theirs)) await save()
      return
    }
    unanswered.value = []
    savedPlan.value = sent
    version.value = result.value.version
    savedAt.value = result.value.savedAt
    unsavedChanges.value -= changes
    saveState.value = { kind: 'idle' }
  }

  /** Takes up edits that an earlier visit could not save. */
  function restoreDraft(draft: PlanDraft): void {
    if (!savedPlan.value || isAlike(draft.plan, savedPlan.value)) return
    past.value = [savedPlan.value]
    future.value = []
    show(draft.plan)
    if (draft.version === version.value) return
    saveState.value = {
      kind: 'conflict',
      theirs: { version: version.value, savedAt: savedAt.value ?? '', plan: savedPlan.value },
    }
  }

  /** The server had taken what we sent before the connection broke: nobody else has changed anything. */
  const isOurOwn = (theirs: CurrentBlock) =>
    unanswered.value.some(sent => isAlike(sent, theirs.plan))

  /** Lays ours and theirs together where they touch different days; false where both changed one, which the coach decides. */
  function mergeWith(theirs: CurrentBlock): boolean {
    const mine = whole.value
    const isOwn = isOurOwn(theirs)
    const base = isOwn ? theirs.plan : savedPlan.value
    if (!base || !mine) return false
    unanswered.value = []
    const merged = mergedPlans(base, mine, theirs.plan)
    if (merged.kind !== 'merged') return false
    savedPlan.value = theirs.plan
    version.value = theirs.version
    savedAt.value = theirs.savedAt
    whole.value = isAlike(merged.plan, theirs.plan) ? theirs.plan : merged.plan
    // Undo goes back over our own steps only: theirs stays under every one of them.
    const under = (step: PlanDocument): PlanDocument => {
      const laid = mergedPlans(base, step, theirs.plan)
      return laid.kind === 'merged' ? laid.plan : step
    }
    past.value = past.value.map(under)
    future.value = future.value.map(under)
    saveState.value = { kind: 'idle' }
    if (!isOwn) mergedAt.value += 1
    return true
  }

  /** Takes up what another window has saved meanwhile. */
  async function catchUp(): Promise<void> {
    const known = client.value
    if (
      !known?.block ||
      trial.value ||
      saveState.value.kind === 'saving' ||
      saveState.value.kind === 'conflict'
    )
      return
    const result = await ask(addressOf(known.id, known.block.id), { answer: ClientView })
    if (
      !result.ok ||
      client.value?.id !== known.id ||
      !result.value.block ||
      result.value.block.version <= version.value
    )
      return
    if (!mergeWith(result.value.block))
      saveState.value = { kind: 'conflict', theirs: result.value.block }
    else await save()
  }

  /** What undo and redo are made of, as it is kept over a reload. */
  function restoreSteps(steps: {
    readonly past: readonly PlanDocument[]
    readonly future: readonly PlanDocument[]
  }): void {
    past.value = steps.past
    future.value = steps.future
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
    if (saveState.value.kind !== 'conflict' || !whole.value) return
    const { theirs } = saveState.value
    const mine = whole.value
    stand(theirs)
    past.value = [mine]
  }

  return {
    client,
    whole,
    plan,
    openPart,
    wholeContext,
    savedPlan,
    version,
    savedAt,
    saveState,
    unsavedChanges,
    past,
    future,
    trial,
    context,
    methodBase,
    ledger,
    balance,
    attention,
    isEmpty,
    isSaved,
    mergedAt,
    input,
    findings,
    dismissed,
    compounds,
    load,
    readClientAgain,
    edit,
    editAll,
    put,
    tryOut,
    keepTrial,
    endTrial,
    undo,
    redo,
    save,
    restoreDraft,
    restoreSteps,
    catchUp,
    keepMine,
    takeTheirs,
  }
})

function refusal(error: ApiFailure): SaveState {
  // A server that fails has taken nothing; what is unsaved is kept and sent again.
  if (error.kind === 'unreachable' || error.problem.status >= 500) return { kind: 'unreachable' }
  if (error.problem.status !== 409) return { kind: 'refused', detail: error.problem.detail }
  const theirs = CurrentBlockContract.safeParse(error.problem.current)
  return theirs.success
    ? { kind: 'conflict', theirs: theirs.data }
    : { kind: 'refused', detail: error.problem.detail }
}
