import { attemptWords, bestName, doneLine, doneSetWords, formatDay, storyNotes } from '#core/words'
import { saidAmount } from '#core/plan/estimate'
import { BODY_SIDES, type BodySide } from '#core/body/log'
import { SIDE_ORDERS, type SideRule } from '#core/plan/method'
import type { StoryDay } from '#core/follow/story'
import { workStages } from '#core/plan/scheme'
import { SavedClient } from '#shared/contracts/profile'
import { StoryAnswer, type StoryView } from '#shared/contracts/story'

/** What of a story is shown; empty shows all. */
interface Filters {
  purpose: string
  side: '' | BodySide
  grip: string
  setUp: string
}
const ALL: Filters = { purpose: '', side: '', grip: '', setUp: '' }

const intentsOf = ({ planned, sets }: StoryDay) => [
  ...planned.map(({ intent }) => intent),
  ...sets.map(({ intent }) => intent),
]
const gripsOf = ({ planned }: StoryDay) =>
  planned.flatMap(({ scheme }) =>
    scheme.runs.flatMap(run => workStages(run).flatMap(({ grip }) => (grip ? [grip] : []))),
  )
const distinct = (values: readonly (string | null)[]) =>
  [...new Set(values.filter(value => value !== null && value !== ''))].sort() as string[]

/** Days under the filters; a side leaves the other side's sets out. */
function filtered(days: StoryView['days'], filters: Filters): StoryView['days'] {
  return days
    .filter(
      day =>
        (filters.purpose === '' || intentsOf(day).includes(filters.purpose)) &&
        (filters.grip === '' || gripsOf(day).some(grip => grip === filters.grip)) &&
        (filters.setUp === '' || day.setUp === filters.setUp),
    )
    .map(day =>
      filters.side === ''
        ? day
        : { ...day, sets: day.sets.filter(set => set.side === filters.side) },
    )
}

/** The story of one exercise of a client: fetched, filtered, and with its rule for left and right. */
export function useStory(clientId: string, first: () => string) {
  const { ask } = useApi()
  const exercise = ref(first())
  const view = shallowRef<StoryView | null>(null)
  const state = ref<'loading' | 'ready' | 'failed'>('loading')
  const filters = reactive({ ...ALL })
  /** The rule before the last change, to go back to. */
  const before = shallowRef<{ readonly rule: SideRule | null } | null>(null)

  async function load(): Promise<void> {
    const asked = exercise.value
    state.value = 'loading'
    const result = await ask(`/api/clients/${clientId}/stories/${asked}`, { answer: StoryAnswer })
    if (asked !== exercise.value) return
    if (result.ok) view.value = result.value
    state.value = result.ok ? 'ready' : 'failed'
  }
  watch(
    exercise,
    () => {
      Object.assign(filters, ALL)
      before.value = null
      view.value = null
      void load()
    },
    { immediate: true },
  )

  async function saveRule(rule: SideRule | null): Promise<void> {
    const result = await ask(`/api/clients/${clientId}/sides`, {
      method: 'PUT',
      body: { exercise: exercise.value, sides: rule },
      answer: SavedClient,
    })
    if (result.ok) await load()
    else state.value = 'failed'
  }
  async function setRule(rule: SideRule | null): Promise<void> {
    const was = view.value?.sideRule ?? null
    await saveRule(rule)
    before.value = { rule: was }
  }
  async function undoRule(): Promise<void> {
    const was = before.value
    before.value = null
    if (was) await saveRule(was.rule)
  }

  const nameOf = (other: string) => view.value?.names[other] ?? other
  const days = computed(() => filtered(view.value?.days ?? [], filters))
  const unit = computed(() => view.value?.unit ?? 'kg')
  return {
    exercise,
    view,
    state: readonly(state),
    filters,
    load,
    days,
    choices: computed(() => {
      const all = view.value?.days ?? []
      return {
        purpose: distinct(all.flatMap(intentsOf)),
        side: BODY_SIDES.filter(side =>
          all.some(({ sets }) => sets.some(set => set.side === side)),
        ),
        grip: distinct(all.flatMap(gripsOf)),
        setUp: distinct(all.map(({ setUp }) => setUp)),
      }
    }),
    rows: computed(() =>
      [...days.value].reverse().map(day => ({
        key: day.session,
        day: formatDay(day.on),
        name: day.name,
        planned: day.asked,
        done: doneLine(day.sets, unit.value),
        estimate: day.estimateKg === null ? '' : Math.round(saidAmount(day.estimateKg, unit.value)),
        isAhead: !day.isClosed,
        notes: storyNotes(day, nameOf),
        setUp: day.setUp,
      })),
    ),
    bests: computed(() =>
      (view.value?.bests ?? []).map(best => ({
        key: `${best.kind} ${best.set.loadKg}`,
        name: bestName(best),
        words: doneSetWords(best.set, unit.value),
        day: formatDay(best.on),
        setUp: best.setUp,
        estimate:
          best.estimateKg === null ? '' : `${Math.round(saidAmount(best.estimateKg, unit.value))}`,
      })),
    ),
    attempts: computed(() =>
      (view.value?.attempts ?? []).map((one, at) => ({
        key: `${one.on} ${at}`,
        words: attemptWords(one, unit.value),
        day: formatDay(one.on),
      })),
    ),
    rules: computed((): readonly SideRule[] =>
      BODY_SIDES.flatMap(weak => SIDE_ORDERS.map(rule => ({ weak, rule }))),
    ),
    setRule,
    undoRule,
    canUndo: computed(() => before.value !== null),
  }
}
