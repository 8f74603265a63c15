import type { Draft, Drafts } from '#core/design/draft'
import { ARM_GROUPS, GROUPS } from '#core/plan/catalogue'
import { checkInput } from '#core/judge/checks'
import { plannedSets } from '#core/plan/scheme'
import {
  capitalised,
  concernWords,
  dayWords,
  formatSets,
  limitWords,
  missWords,
  slotName,
  withheldWords,
} from '#core/words'
import { columnFigures, columnRails } from './columnView'

const MOST_LINES = 7
const LETTERS = ['A', 'B', 'C'] as const

/** Whole rotations from nothing, for a rotation that holds no set yet: drawing them, looking into each, taking one. */
export function useDrafts() {
  const store = usePlanStore()
  const { showOnBoard, nameVersion } = useTrial()
  const drawing = useAllocator()
  const state = ref<'idle' | 'drawing' | 'drawn' | 'cancelled' | 'failed'>('idle')
  const drawn = shallowRef<Drafts | null>(null)
  const message = ref('')

  async function draw(): Promise<void> {
    const [plan, context] = [store.plan, store.context]
    if (!plan || !context) return
    state.value = 'drawing'
    try {
      const answer = await drawing.ask({
        kind: 'draft',
        plan: toRaw(plan),
        context: toRaw(context),
      })
      if (answer.kind !== 'drafts') return
      drawn.value = answer.drafts
      state.value = 'drawn'
      message.value = ''
    } catch {
      state.value = 'failed'
    }
  }
  function cancel(): void {
    drawing.stop()
    state.value = drawn.value ? 'drawn' : 'cancelled'
    message.value = 'Stopped. Nothing was changed.'
  }

  const nameOf = (at: number) => {
    const draft = drawn.value?.drafts[at]
    return draft ? `Draft ${LETTERS[at]}: ${draft.name.toLowerCase()}` : ''
  }
  const editsOf = ({ days }: Draft) => [{ kind: 'use_days' as const, days }]
  async function use(at: number): Promise<void> {
    const draft = drawn.value?.drafts[at]
    if (!draft) return
    if (!store.editAll(editsOf(draft)).ok)
      return void (message.value = 'This does not fit the plan any more. Draw again.')
    await store.save()
    await nameVersion(nameOf(at))
    await navigateTo(`/clients/${store.client?.id}/split`)
  }
  async function tryOnBoard(at: number): Promise<void> {
    const draft = drawn.value?.drafts[at]
    if (draft) await showOnBoard(nameOf(at), editsOf(draft))
  }

  function daysOf({ days }: Draft) {
    const { catalogue } = store.context!
    return days.flatMap((day, at) =>
      day.sessions.map(session => ({
        title: capitalised(dayWords(day, at)),
        lines: session.groupings.map(({ slots }) =>
          slots
            .map(slot => `${slotName(slot, catalogue)} ${formatSets(plannedSets(slot.scheme))}`)
            .join(' with '),
        ),
      })),
    )
  }
  const columns = computed(() => {
    const [plan, context] = [store.plan, store.context]
    if (!plan || !context) return []
    return (drawn.value?.drafts ?? []).map((draft, at) => {
      const filled = { ...plan, rotation: { ...plan.rotation, days: draft.days } }
      const input = checkInput(filled, context)
      const body = GROUPS.filter(
        group =>
          !(ARM_GROUPS as readonly string[]).includes(group) &&
          input.ledger.groups[group].week.direct.value > 0,
      )
      return {
        letter: LETTERS[at]!,
        name: draft.name,
        idea: draft.why,
        rails: columnRails(input, input, ARM_GROUPS),
        body: columnRails(input, input, body),
        figures: columnFigures(filled, input),
        days: daysOf(draft),
        misses: draft.misses.slice(0, MOST_LINES).map(missWords),
        binding: [...new Set(draft.limits.map(limitWords))],
      }
    })
  })
  const notes = computed(() => ({
    concerns: drawn.value?.concerns.map(concernWords) ?? [],
    withheld:
      drawn.value && store.context ? withheldWords(drawn.value.withheld, store.context) : [],
  }))

  return {
    state,
    message,
    progress: drawing.progress,
    columns,
    notes,
    draw,
    cancel,
    use,
    tryOnBoard,
  }
}
