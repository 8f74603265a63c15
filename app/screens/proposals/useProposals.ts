import {
  type AllocationScope,
  type Proposal,
  type Proposals,
  type Reasons,
  PROPOSAL_GOALS,
  winnerOf,
} from '#core/design/allocation'
import { applyEdits, type PlanDocument } from '#core/plan/block'
import { ARM_GROUPS, type Group, GROUPS } from '#core/plan/catalogue'
import { checkInput } from '#core/judge/checks'
import {
  changeWords,
  concernWords,
  fewestWords,
  leftOutWords,
  limitWords,
  missWords,
  proofWords,
  purchaseWords,
  whyNotLines,
  withheldWords,
} from '#core/words'
import { modeOf } from '#core/plan/method'
import { newId } from '~/shell/newId'
import type { Asked } from '~/workers/allocate'
import { columnFigures, columnRails } from './columnView'

const MOST_LINES = 7
const MOST_OTHERS = 6
/** Groups that a search may be let move beside the arms. */
export const OTHER_GROUPS: readonly Group[] = GROUPS.filter(
  group => !(ARM_GROUPS as readonly Group[]).includes(group),
)

/** Everything the Proposals page shows and does: drawing three, looking into each, taking one whole or in part. */
export function useProposals() {
  const store = usePlanStore()
  const { showOnBoard, nameVersion } = useTrial()
  const drawing = useAllocator()
  const scope = ref<AllocationScope>('arms')
  /** Muscles beside the arms that may move too. */
  const others = ref<readonly Group[]>(
    OTHER_GROUPS.filter(group => store.context && modeOf(store.context, group) === 'build'),
  )
  const state = ref<'idle' | 'drawing' | 'drawn' | 'cancelled' | 'failed'>('idle')
  const proposals = shallowRef<Proposals | null>(null)
  /** The plan the proposals were drawn for; an edit since makes them old. */
  const drawnFor = shallowRef<PlanDocument | null>(null)
  const chosen = ref(0)
  const left = ref<ReadonlySet<string>>(new Set())
  const message = ref('')
  /** How often three have been drawn. */
  const draws = ref(0)

  const reasons = shallowRef<Reasons | null>(null)
  const asking = useAllocator()
  /** Asked after the proposals are there, which nobody waits for. */
  async function askWhyNot(question: Asked, drawn: Proposals): Promise<void> {
    reasons.value = null
    const winner = winnerOf(drawn)
    if (!winner || winner.misses.length === 0) return
    const proposal = { changes: winner.changes }
    const answer = await asking.ask({ ...question, kind: 'why_not', proposal }).catch(() => null)
    if (answer?.kind === 'reasons' && proposals.value === drawn) reasons.value = answer.reasons
  }

  async function draw(): Promise<void> {
    const [plan, context] = [store.plan, store.context]
    if (!plan || !context) return
    state.value = 'drawing'
    left.value = new Set()
    reasons.value = null
    const question: Asked = {
      plan: toRaw(plan),
      context: toRaw(context),
      scope: scope.value,
      chosen: toRaw(others.value),
    }
    try {
      const answer = await drawing.ask({ ...question, kind: 'propose' })
      if (answer.kind !== 'proposals') return
      void askWhyNot(question, answer.proposals)
      proposals.value = answer.proposals
      drawnFor.value = plan
      state.value = 'drawn'
      draws.value += 1
      message.value = ''
    } catch {
      state.value = 'failed'
    }
  }
  function cancel(): void {
    drawing.stop()
    state.value = proposals.value ? 'drawn' : 'cancelled'
    message.value = 'Stopped. Nothing was changed.'
  }
  const keyOf = (proposal: Proposal, at: number) => `${proposal.kind} ${at}`
  function taken(proposal: Proposal) {
    return proposal.changes.filter((_, at) => !left.value.has(keyOf(proposal, at)))
  }
  function toggle(proposal: Proposal, at: number): void {
    const next = new Set(left.value)
    const key = keyOf(proposal, at)
    if (!next.delete(key)) next.add(key)
    left.value = next
  }
  function planAfter(proposal: Proposal): PlanDocument | null {
    const after =
      drawnFor.value &&
      applyEdits(
        drawnFor.value,
        taken(proposal).map(({ edit }) => edit),
        newId,
      )
    return after?.ok ? after.value : null
  }
  /** Muscles with a rail of their own: the arms, and what else may move and does. */
  const shownGroups = computed(() => [
    ...ARM_GROUPS,
    ...OTHER_GROUPS.filter(group =>
      scope.value === 'chosen'
        ? others.value.includes(group)
        : scope.value === 'all' &&
          proposals.value?.proposals.some(({ changes }) =>
            changes.some(({ cell }) => cell.main === group),
          ),
    ).slice(0, MOST_OTHERS),
  ])
  /** A change of the days makes them old; what is only noted with the plan does not. */
  const isOld = computed(
    () => drawnFor.value !== null && drawnFor.value.rotation !== store.plan?.rotation,
  )

  /** The changes of a proposal as far as they are chosen; null, with the reason told, where nothing can be taken. */
  function takeable(at: number) {
    const proposal = proposals.value?.proposals[at]
    const changes = proposal ? taken(proposal) : []
    message.value = isOld.value
      ? 'The plan has changed since. Draw again first.'
      : proposal && changes.length === 0
        ? 'Nothing is chosen: the plan stays as it is.'
        : message.value
    const goal = proposal && PROPOSAL_GOALS[proposal.kind]
    return goal && !isOld.value && changes.length > 0
      ? {
          name: `Proposal ${goal.letter}: ${goal.name.toLowerCase()}`,
          edits: changes.map(({ edit }) => edit),
        }
      : null
  }
  /** Takes a proposal, as far as it is chosen, in one step of undo, and names the version in the history. */
  async function use(at: number): Promise<void> {
    const asked = takeable(at)
    if (!asked) return
    if (!store.editAll(asked.edits).ok)
      return void (message.value = 'This does not fit the plan any more. Draw again.')
    await store.save()
    await nameVersion(asked.name)
    await navigateTo(`/clients/${store.client?.id}/split`)
  }
  /** Shows a proposal on the board without saving it. */
  async function tryOnBoard(at: number): Promise<void> {
    const asked = takeable(at)
    if (asked) await showOnBoard(asked.name, asked.edits)
  }

  const nowColumn = computed(() =>
    store.plan && store.input
      ? {
          rails: columnRails(store.input, store.input, shownGroups.value),
          ...columnFigures(store.plan, store.input),
        }
      : null,
  )
  const columns = computed(
    () =>
      proposals.value?.proposals.map(proposal => {
        const { letter, name, idea } = PROPOSAL_GOALS[proposal.kind]
        const after = planAfter(proposal)
        const [before, context] = [store.input, store.context]
        const input = after && context ? checkInput(after, context) : null
        const catalogue = context!.catalogue
        return {
          letter,
          name,
          idea,
          proposal,
          ...(after && input && before
            ? {
                rails: columnRails(input, before, shownGroups.value),
                figures: columnFigures(after, input),
              }
            : { rails: [], figures: null }),
          changes: proposal.changes.map((change, n) => ({
            words: changeWords(change, catalogue),
            isTaken: !left.value.has(keyOf(proposal, n)),
            toggle: () => toggle(proposal, n),
          })),
          surety:
            proposal.kind === 'fewest_changes'
              ? fewestWords(proposals.value!.fewestBound, proposal.changes.length)
              : '',
          misses: proposal.misses.slice(0, MOST_LINES).map(missWords),
          binding: [...new Set(proposal.limits.map(limitWords))],
        }
      }) ?? [],
  )
  /** Why the one that meets the wants best meets no more of them, and what more would buy. */
  const whyNot = computed(() => ({
    wants: (reasons.value?.whyNot ?? []).map(why => ({
      want: missWords(why.miss),
      lines: whyNotLines(why),
    })),
    purchases: (reasons.value?.purchases ?? []).map(purchaseWords),
  }))
  const proof = computed(() =>
    proposals.value
      ? proofWords(
          proposals.value,
          Math.min(...proposals.value.proposals.map(({ points }) => points)),
        )
      : '',
  )
  const concerns = computed(() => proposals.value?.concerns.map(concernWords) ?? [])
  /** What is held back for a joint, and why fewer than three are shown. */
  const notes = computed(() => {
    const [drawn, context] = [proposals.value, store.context]
    if (!drawn || !context) return { withheld: [], leftOut: [] }
    return {
      withheld: withheldWords(drawn.withheld, context),
      leftOut: drawn.cells === 0 ? [] : drawn.leftOut.map(leftOutWords),
    }
  })
  function toggleOther(group: Group): void {
    others.value = others.value.includes(group)
      ? others.value.filter(one => one !== group)
      : [...others.value, group]
  }

  return {
    scope,
    others,
    toggleOther,
    tryOnBoard,
    state,
    progress: drawing.progress,
    proposals,
    chosen,
    message,
    columns,
    nowColumn,
    proof,
    concerns,
    notes,
    whyNot,
    isOld,
    draws,
    draw,
    cancel,
    use,
  }
}
