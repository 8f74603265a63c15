import { adherenceWords, adjustmentReason, adjustmentWords, CONFIDENCE_WORDS, formatDay, formatOneDecimal, formatSets, GROUP_NAMES, trendSentence } from '#core/format'
import { type Adjustment, adjustmentKey } from '#core/review'
import { catalogueWith } from '#core/catalogue'
import { LibraryView } from '#shared/contracts/library'
import { Done } from '#shared/contracts/history'
import { DecideAnswer, ReviewAnswer, type ReviewView } from '#shared/contracts/review'

/** A proposal as it is read. */
export interface ProposalLine { readonly key: string, readonly row: string, readonly words: string, readonly reason: string, readonly confidence: string, readonly isByHand: boolean, readonly isWaiting: boolean }

const SLACK = 0.25
const figure = (value: number | null) => (value === null ? '' : formatSets(value))

function stands(done: number, { floor, ceiling }: { readonly floor: number, readonly ceiling: number }): string {
  if (done < floor - SLACK) return 'under the floor'
  return done > ceiling + SLACK ? 'over the ceiling' : ''
}

/** A rotation looked back at, and what the coach makes of the proposals for the next one. */
export async function useReview(clientId: string) {
  const { ask } = useApi()
  const route = useRoute()
  const router = useRouter()
  const asked = computed(() => (/^\d+$/.test(String(route.query.rotation ?? '')) ? Number(route.query.rotation) - 1 : 'latest'))
  const { data, refresh } = await useAsyncData(`review-${clientId}`, async () => {
    const [review, library] = await Promise.all([ask(`/api/clients/${clientId}/review/${asked.value}`, { answer: ReviewAnswer }), ask('/api/exercises', { answer: LibraryView })])
    if (!review.ok) throw createError({ statusCode: review.error.kind === 'refused' ? review.error.problem.status : 503, fatal: true })
    return { view: review.value, library: library.ok ? library.value.library : { exercises: [], credits: {} } }
  }, { deep: false, watch: [asked] })
  const view = computed((): ReviewView | null => data.value?.view ?? null)
  const catalogue = computed(() => catalogueWith(data.value?.library ?? { exercises: [], credits: {} }))
  const notice = ref('')
  const isBusy = ref(false)
  const at = ref(0)

  const trendOf = (exercise: string) => {
    const trend = view.value?.trends.find(known => known.exercise === exercise)
    return trend ? { words: trendSentence(trend), isFalling: trend.verdict === 'decline' } : { words: '', isFalling: false }
  }
  const lineOf = (adjustment: Adjustment): ProposalLine => ({
    key: adjustmentKey(adjustment), row: adjustment.row, words: adjustmentWords(adjustment), reason: adjustmentReason(adjustment), confidence: CONFIDENCE_WORDS[adjustment.confidence], isByHand: adjustment.change.kind === 'by_hand', isWaiting: adjustment.isWaiting,
  })
  const open = computed(() => new Set(view.value?.open ?? []))
  const all = computed(() => view.value?.review.adjustments ?? [])
  const proposals = computed(() => all.value.filter(adjustment => adjustment.change.kind !== 'go_on' && !adjustment.isWaiting && open.value.has(adjustmentKey(adjustment))).map(lineOf))
  const waiting = computed(() => all.value.filter(({ isWaiting }) => isWaiting).map(lineOf))
  const asPlanned = computed(() => all.value.filter(({ change }) => change.kind === 'go_on').map(lineOf))
  watch(proposals, list => (at.value = Math.min(at.value, Math.max(0, list.length - 1))))

  async function decide(key: string, decision: 'taken' | 'refused', reason = ''): Promise<void> {
    if (!view.value || isBusy.value) return
    isBusy.value = true
    const result = await ask(`/api/clients/${clientId}/review/${view.value.review.pass}/decide`, { method: 'POST', body: { key, decision, reason, version: view.value.block.version }, answer: DecideAnswer })
    isBusy.value = false
    if (result.ok) notice.value = decision === 'taken' ? `Taken. ${view.value.isNextSent ? `Rotation ${view.value.review.pass + 2} was sent already: send it again on the Block page.` : 'It stands in the plan of the next rotation.'}` : 'Refused. It is not proposed again unchanged.'
    else if (result.error.kind === 'unreachable') notice.value = 'The server does not answer. Nothing was changed; try again.'
    else notice.value = result.error.problem.type.endsWith('stale-version') ? 'The plan was changed elsewhere meanwhile. Here is what follows from it now.' : result.error.problem.detail
    await refresh()
  }
  /** A missed session nobody makes up for: its sets are lost, and nothing asks about it again. */
  async function letGo(session: string): Promise<void> {
    const result = await ask(`/api/clients/${clientId}/sessions/${session}/decision`, { method: 'PUT', body: { decision: 'drop' }, answer: Done })
    notice.value = result.ok ? 'Let go. What it held is lost for this rotation; the next one is as planned.' : 'The server did not take that. Nothing was changed; try again.'
    await refresh()
  }
  const turn = (by: 1 | -1) => {
    const next = (view.value?.review.pass ?? 0) + by
    if (view.value && next >= 0 && next < view.value.block.passes) void router.replace({ query: { rotation: next + 1 } })
  }
  const step = (by: 1 | -1) => (at.value = Math.max(0, Math.min(proposals.value.length - 1, at.value + by)))

  return {
    view, notice: readonly(notice), isBusy: readonly(isBusy), at, proposals, waiting, asPlanned, decide, turn, step,
    head: computed(() => {
      const review = view.value?.review
      return review ? { title: `Rotation ${review.pass + 1} of ${view.value!.block.passes}`, dates: `${formatDay(review.from)} to ${formatDay(review.to)}${review.isDeload ? ', easier on purpose' : ''}`, adherence: adherenceWords(review.setsDone, review.setsDue), recovered: review.recovered + review.notRecovered === 0 ? 'Nobody said whether it was recovered' : `Recovered in ${review.recovered} of ${review.recovered + review.notRecovered} answers` } : null
    }),
    missed: computed(() => (view.value?.missed ?? []).map(({ id, on, name }) => ({ id, words: `${name}, ${formatDay(on)}` }))),
    letGo,
    muscles: computed(() => (view.value?.review.muscles ?? []).map(({ group, planned, due, done, band }) => ({
      group, name: GROUP_NAMES[group], planned: formatOneDecimal(planned), due: formatOneDecimal(due), done: formatOneDecimal(done), short: due - done >= 0.5 ? formatOneDecimal(due - done) : '', band: `${formatOneDecimal(band.floor)} – ${formatOneDecimal(band.target)} – ${formatOneDecimal(band.ceiling)}`, words: due < planned - SLACK ? '' : stands(done, band),
    }))),
    exercises: computed(() => (view.value?.review.exercises ?? []).map(({ exercise, setsDue, setsDone, topKg, repsPlanned, repsDone, rirPlanned, rirDone }) => ({
      exercise, trend: trendOf(exercise), name: catalogue.value.get(exercise)?.name ?? exercise, sets: `${setsDone} of ${setsDue}`, isShort: setsDone < setsDue, load: figure(topKg === null ? null : Math.round(topKg * 100) / 100), reps: repsDone === null ? '' : `${figure(repsDone)}${repsPlanned === null ? '' : ` of ${figure(repsPlanned)}`}`, rir: rirDone === null ? '' : `${figure(rirDone)}${rirPlanned === null ? '' : ` for ${figure(rirPlanned)}`}`,
    }))),
  }
}
