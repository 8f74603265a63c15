import {
  type AllocationScope,
  type Proposal,
  type Proposals,
  type Scenario,
  PROPOSAL_GOALS,
} from '#core/design/allocation'
import { applyEdits, type PlanDocument } from '#core/plan/block'
import { ARM_GROUPS, type Group, GROUPS, ELBOW_JOINTS } from '#core/plan/catalogue'
import { checkInput, findingsOf } from '#core/judge/checks'
import {
  changeWords,
  concernWords,
  formatOneDecimal,
  GROUP_NAMES,
  limitWords,
  missWords,
  POSITION_NAMES,
  proofWords,
  purchaseWords,
  scenarioWords,
  wholeReadiness,
} from '#core/words'
import { armBalance } from '#core/count/ledger'
import { modeOf } from '#core/plan/method'
import type { AllocateAnswer, AllocateQuestion } from '~/workers/allocate'
import { newId } from '~/shell/newId'
import { familyOfGroup } from '~/ui/pegFamily'

const MOST_LINES = 7
const MOST_OTHERS = 6
/** Groups that a search may be let move beside the arms. */
export const OTHER_GROUPS: readonly Group[] = GROUPS.filter(
  group => !(ARM_GROUPS as readonly Group[]).includes(group),
)

/** A muscle in one column: its week, and its sets by day. */
export interface ColumnRail {
  readonly group: string
  readonly name: string
  readonly family: string
  readonly week: string
  readonly change: string
  readonly position: string
  readonly isOut: boolean
  readonly days: readonly {
    readonly direct: number
    readonly indirect: number
    readonly change: number
  }[]
}

/** Runs a question in a worker of its own, so that the page never waits; ending it ends the work at once. */
function useWorker() {
  let worker: Worker | null = null
  const progress = ref(0)
  function stop(): void {
    worker?.terminate()
    worker = null
  }
  function ask(question: AllocateQuestion): Promise<AllocateAnswer> {
    stop()
    progress.value = 0
    const own = (worker = new Worker(new URL('../../workers/allocate.ts', import.meta.url), {
      type: 'module',
    }))
    return new Promise((resolve, reject) => {
      own.addEventListener('message', ({ data }: MessageEvent<AllocateAnswer>) => {
        if (data.kind === 'progress') return void (progress.value = data.share)
        resolve(data)
        own.terminate()
      })
      own.addEventListener('error', () => reject(new Error('the worker failed')))
      own.postMessage(question)
    })
  }
  onScopeDispose(stop)
  return { ask, stop, progress: readonly(progress) }
}

/** Everything the Proposals page shows and does: drawing three, looking into each, taking one whole or in part. */
export function useProposals() {
  const store = usePlanStore()
  const { showOnBoard, nameVersion } = useTrial()
  const drawing = useWorker()
  const trying = useWorker()
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
  const table = shallowRef<readonly Scenario[]>([])
  const isTrying = ref(false)
  /** How often three have been drawn. */
  const draws = ref(0)

  async function draw(): Promise<void> {
    const [plan, context] = [store.plan, store.context]
    if (!plan || !context) return
    state.value = 'drawing'
    left.value = new Set()
    try {
      const answer = await drawing.ask({
        kind: 'propose',
        plan: toRaw(plan),
        context: toRaw(context),
        scope: scope.value,
        chosen: toRaw(others.value),
      })
      if (answer.kind !== 'proposals') return
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
  async function tryScenarios(): Promise<void> {
    const [plan, context] = [store.plan, store.context]
    if (!plan || !context) return
    isTrying.value = true
    try {
      const answer = await trying.ask({
        kind: 'scenarios',
        plan: toRaw(plan),
        context: toRaw(context),
      })
      if (answer.kind === 'scenarios') table.value = answer.scenarios
    } catch {
      message.value = 'The other terms could not be tried. Try again.'
    }
    isTrying.value = false
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
  const isOld = computed(() => drawnFor.value !== null && drawnFor.value !== store.plan)

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

  function railsOf(
    input: NonNullable<typeof store.input>,
    before: NonNullable<typeof store.input>,
  ): readonly ColumnRail[] {
    return shownGroups.value.map((group): ColumnRail => {
      const { week, position, outside } = input.ledger.groups[group]
      const was = before.ledger.groups[group].week.counted.value
      return {
        group,
        name: GROUP_NAMES[group],
        family: familyOfGroup(group),
        week: formatOneDecimal(week.counted.value),
        isOut: Math.abs(outside) >= 0.05,
        position: POSITION_NAMES[position],
        change:
          Math.abs(week.counted.value - was) < 0.05
            ? ''
            : `${week.counted.value > was ? '+' : ''}${formatOneDecimal(week.counted.value - was)}`,
        days: input.ledger.days.map(({ groups }, day) => ({
          direct: groups[group].direct.value,
          indirect: groups[group].indirect.value,
          change:
            groups[group].counted.value -
            (before.ledger.days[day]?.groups[group].counted.value ?? 0),
        })),
      }
    })
  }
  function figuresOf(input: NonNullable<typeof store.input>) {
    const arrivals = ARM_GROUPS.flatMap(group =>
      input.recovery.arrivals[group].map(arrival => ({ ...arrival, group })),
    )
    const [worst] = [...arrivals].sort(
      (a, b) => a.readiness - a.required - (b.readiness - b.required),
    )
    const minutes = input.sessions.reduce((sum, { time }) => sum + time.seconds, 0) / 60
    return {
      readiness: worst
        ? {
            percent: wholeReadiness(worst.readiness),
            isShort: worst.thread !== 'whole',
            words: `${GROUP_NAMES[worst.group].split(' ')[0]}, day ${worst.fromDay + 1} to ${worst.day + 1}`,
          }
        : null,
      elbow: Math.max(
        ...ELBOW_JOINTS.map(joint =>
          Math.max(
            0,
            ...input.joints[joint].sessions.map(
              ({ load }) => load / input.joints[joint].ceiling.session,
            ),
          ),
        ),
      ),
      minutes: Math.round(minutes),
      sets: input.sessions.reduce((sum, { sets }) => sum + sets, 0),
      open: findingsOf(input).filter(({ severity }) => severity !== 'info').length,
      ratio: armBalance(input.ledger.work.flat(), input.context).ratio,
    }
  }
  const nowColumn = computed(() =>
    store.input ? { rails: railsOf(store.input, store.input), ...figuresOf(store.input) } : null,
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
          ...(input && before
            ? { rails: railsOf(input, before), figures: figuresOf(input) }
            : { rails: [], figures: null }),
          changes: proposal.changes.map((change, n) => ({
            words: changeWords(change, catalogue),
            isTaken: !left.value.has(keyOf(proposal, n)),
            toggle: () => toggle(proposal, n),
          })),
          misses: proposal.misses.slice(0, MOST_LINES).map(missWords),
          binding: [...new Set(proposal.limits.map(limitWords))],
          purchases: proposal.purchases.slice(0, 4).map(purchaseWords),
        }
      }) ?? [],
  )
  const proof = computed(() =>
    proposals.value
      ? proofWords(
          proposals.value,
          Math.min(...proposals.value.proposals.map(({ points }) => points)),
        )
      : '',
  )
  const concerns = computed(() => proposals.value?.concerns.map(concernWords) ?? [])
  const scenarioRows = computed(() =>
    table.value.map(scenario => ({
      key: `${scenario.kind} ${scenario.day}`,
      name: scenarioWords(scenario.kind, scenario.day),
      days: scenario.trainingDays,
      minutes: Math.round(scenario.minutes),
      misses: scenario.misses.slice(0, 4).map(missWords),
      stimulus: formatOneDecimal(scenario.stimulus),
    })),
  )

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
    isOld,
    scenarioRows,
    isTrying,
    draws,
    draw,
    cancel,
    use,
    tryScenarios,
  }
}
