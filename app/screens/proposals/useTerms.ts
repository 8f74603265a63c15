import { readTerms, type Terms, type TermsCost, usualTerms } from '#core/design/allocation'
import {
  formatOneDecimal,
  missWords,
  termsCostWords,
  termsNoteWords,
  termsProblemWords,
  termsWords,
} from '#core/words'

export const MOST_TERMS = 4
const MOST_MISSES = 4

/** Other terms than the plan's, typed or chosen: up to four beside the plan as it is, what each costs, and keeping them as the reason. */
export function useTerms() {
  const store = usePlanStore()
  const worker = useAllocator()
  const typed = ref('')
  const complaint = ref('')
  const chosen = shallowRef<readonly Terms[]>([])
  const costs = shallowRef<ReadonlyMap<string, TermsCost>>(new Map())
  const isTrying = ref(false)
  const AS_IS = termsWords({})

  const suggested = computed(() =>
    (store.plan ? usualTerms(store.plan) : [])
      .map(terms => ({ terms, words: termsWords(terms) }))
      .filter(
        ({ words }) => words !== AS_IS && !chosen.value.some(one => termsWords(one) === words),
      ),
  )

  /** Puts terms beside the others and works out what is not known yet. */
  async function add(terms: Terms): Promise<boolean> {
    const words = termsWords(terms)
    complaint.value = chosen.value.some(one => termsWords(one) === words)
      ? `“${words}” stands there already.`
      : chosen.value.length >= MOST_TERMS
        ? `${MOST_TERMS} stand side by side; take one out first.`
        : ''
    if (complaint.value) return false
    chosen.value = [...chosen.value, terms]
    await work()
    return true
  }
  async function addTyped(): Promise<void> {
    const read = readTerms(typed.value)
    if (!read.ok) return void (complaint.value = termsProblemWords(read.error))
    if (await add(read.value)) typed.value = ''
  }
  function remove(words: string): void {
    chosen.value = chosen.value.filter(terms => termsWords(terms) !== words)
    complaint.value = ''
  }

  async function work(): Promise<void> {
    const [plan, context] = [store.plan, store.context]
    const asked = [{}, ...chosen.value].filter(terms => !costs.value.has(termsWords(terms)))
    if (!plan || !context || asked.length === 0) return
    isTrying.value = true
    try {
      const answer = await worker.ask({
        kind: 'terms',
        plan: toRaw(plan),
        context: toRaw(context),
        terms: asked,
      })
      if (answer.kind === 'terms' && store.plan === plan)
        costs.value = new Map([
          ...costs.value,
          ...answer.costs.map(cost => [termsWords(cost.terms), cost] as const),
        ])
    } catch {
      complaint.value = 'These terms could not be tried. Try again.'
    }
    isTrying.value = false
  }
  // What other terms come to is true of one plan only.
  watch(
    () => store.plan?.rotation,
    () => {
      costs.value = new Map()
      if (chosen.value.length > 0) void work()
    },
  )

  const rows = computed(() => {
    const asIs = costs.value.get(AS_IS)
    const all = chosen.value.length === 0 ? [] : [{}, ...chosen.value]
    return all.flatMap(terms => {
      const words = termsWords(terms)
      const cost = costs.value.get(words)
      if (!cost) return []
      const lost = asIs ? cost.stimulus - asIs.stimulus : 0
      return [
        {
          words,
          canGo: words !== AS_IS,
          days: cost.trainingDays,
          givenUp: cost.givenUp.map(day => `day ${day + 1}`).join(', '),
          minutes: Math.round(cost.minutes),
          stimulus: formatOneDecimal(cost.stimulus),
          change:
            Math.abs(lost) < 0.05 || words === AS_IS
              ? ''
              : `${lost > 0 ? '+' : ''}${formatOneDecimal(lost)}`,
          misses: cost.misses.slice(0, MOST_MISSES).map(missWords),
          notes: cost.notes.map(termsNoteWords),
          outcome: termsCostWords(cost),
        },
      ]
    })
  })
  return {
    typed,
    complaint,
    suggested,
    rows,
    isTrying,
    add,
    addTyped,
    remove,
    ...useWeighed(rows),
  }
}

/** Terms kept with the plan as the reason for how it is; each change is one step of undo. */
function useWeighed(
  rows: Readonly<Ref<readonly { readonly words: string; readonly outcome: string }[]>>,
) {
  const store = usePlanStore()
  const message = ref('')
  const kept = computed(() => store.plan?.weighed ?? [])
  const isKept = computed(
    () =>
      rows.value.length > 0 &&
      kept.value.length === rows.value.length &&
      kept.value.every(({ outcome }, at) => outcome === rows.value[at]?.outcome),
  )
  async function keep(): Promise<void> {
    const weighed = rows.value.map(({ words, outcome }) => ({ terms: words, outcome }))
    await setWeighed(weighed, 'Kept with the plan. Z on the board takes it back.')
  }
  const forget = () => setWeighed([], 'Taken out of the plan. Z on the board brings it back.')
  async function setWeighed(
    weighed: readonly { readonly terms: string; readonly outcome: string }[],
    said: string,
  ): Promise<void> {
    message.value = store.edit({ kind: 'set_weighed', weighed }).ok ? said : ''
    await store.save()
  }

  return { message, kept, isKept, keep, forget }
}
