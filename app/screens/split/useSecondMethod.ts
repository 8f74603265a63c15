import { PROPOSAL_GOALS, type Proposals, winnerOf } from '#core/design/allocation'
import { secondMethod, underMethod } from '#core/judge/second-method'
import type { Method } from '#core/plan/method'
import {
  formatOneDecimal,
  GROUP_NAMES,
  missWords,
  POSITION_NAMES,
  twiceSeenWords,
} from '#core/words'
import { SavedClient } from '#shared/contracts/profile'
import type { ShownBoard } from './useShownBoard'

const MOST_MISSES = 3

/** Another method laid over the board: which, what it sees otherwise, which proposal it would choose, and taking it. */
export function useSecondMethod(board: Pick<ShownBoard, 'store' | 'laidOver' | 'shownPlan'>) {
  const { store, laidOver, shownPlan } = board
  const { ask } = useApi()
  const { worded } = useFindings()
  const { methods } = useStudioSettings()
  const own = computed(() => store.client?.method ?? null)
  const others = computed(() => methods.value.filter(({ id }) => id !== own.value?.id))
  /** The method the client followed before another was taken here. */
  const before = shallowRef<Method | null>(null)
  const message = ref('')

  function lay(id: string): void {
    laidOver.value = others.value.find(method => method.id === id) ?? null
  }
  /** Begins with a method that counts otherwise, since that is what one asks about. */
  function begin(): void {
    const counts = (method: Method) => method.school.id !== own.value?.school.id
    laidOver.value = others.value.find(counts) ?? others.value[0] ?? null
  }

  const seen = computed(() =>
    laidOver.value && shownPlan.value && store.context
      ? secondMethod(shownPlan.value, store.context, laidOver.value)
      : null,
  )
  const muscles = computed(() =>
    (seen.value?.muscles ?? []).map(muscle => ({
      group: muscle.group,
      name: GROUP_NAMES[muscle.group],
      changesSides: muscle.changesSides,
      reason: own.value ? twiceSeenWords(muscle, own.value, seen.value!.method) : '',
      sides: [muscle.own, muscle.other].map(({ counted, band, position }) => ({
        counted: formatOneDecimal(counted),
        band: `${formatOneDecimal(band.floor)} to ${formatOneDecimal(band.ceiling)}`,
        position: POSITION_NAMES[position],
      })),
    })),
  )
  const findings = computed(() => ({
    appears: (seen.value?.appears ?? []).map(worded),
    goes: (seen.value?.goes ?? []).map(worded),
  }))
  const minutes = computed(() =>
    seen.value
      ? { own: Math.round(seen.value.minutes.own), other: Math.round(seen.value.minutes.other) }
      : null,
  )

  async function take(method: Method): Promise<void> {
    const id = store.client?.id
    const was = own.value
    if (!id || !was) return
    if (!store.isSaved) await store.save()
    const result = await ask(`/api/clients/${id}/method`, {
      method: 'PUT',
      body: { method: method.id },
      answer: SavedClient,
    })
    if (!result.ok)
      return void (message.value = 'The method could not be changed. Try again in a moment.')
    before.value = before.value ? null : was
    message.value = `${store.client?.name ?? 'The client'} follows ${method.name} now.`
    await store.readClientAgain()
    lay(was.id)
  }

  return {
    own,
    others,
    laidOver,
    before,
    message,
    begin,
    lay,
    muscles,
    findings,
    minutes,
    take,
    ...useWinners(board),
  }
}

/** Which proposal wins under the client's method and under the one laid over it. */
function useWinners({
  store,
  laidOver,
  shownPlan,
}: Pick<ShownBoard, 'store' | 'laidOver' | 'shownPlan'>) {
  const [first, second] = [useAllocator(), useAllocator()]
  const state = ref<'idle' | 'drawing' | 'drawn' | 'failed'>('idle')
  const winners = shallowRef<readonly { readonly method: string; readonly words: string }[]>([])

  function wordsOf(proposals: Proposals): string {
    const winner = winnerOf(proposals)
    if (!winner) return 'nothing can be proposed'
    const { letter, name } = PROPOSAL_GOALS[winner.kind]
    const misses = winner.misses.slice(0, MOST_MISSES).map(missWords)
    const changes = `${winner.changes.length} ${winner.changes.length === 1 ? 'change' : 'changes'}`
    return `${letter} ${name}, ${changes}; ${misses.length === 0 ? 'every want is met' : misses.join(', ')}`
  }
  async function draw(): Promise<void> {
    const [plan, context, method] = [shownPlan.value, store.context, laidOver.value]
    if (!plan || !context || !method) return
    state.value = 'drawing'
    try {
      const asked = [
        [first, context],
        [second, underMethod(context, method)],
      ] as const
      const answers = await Promise.all(
        asked.map(([worker, under]) =>
          worker.ask({
            kind: 'propose',
            plan: toRaw(plan),
            context: toRaw(under),
            scope: 'arms',
            chosen: [],
          }),
        ),
      )
      winners.value = answers.flatMap((answer, at) =>
        answer.kind === 'proposals'
          ? [{ method: asked[at]![1].method.name, words: wordsOf(answer.proposals) }]
          : [],
      )
      state.value = 'drawn'
    } catch {
      state.value = 'failed'
    }
  }
  watch([laidOver, shownPlan], () => (state.value = 'idle'))
  return { winners, winnersState: state, drawWinners: draw }
}
