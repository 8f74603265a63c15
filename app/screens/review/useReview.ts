import {
  adherenceWords,
  adjustmentReason,
  adjustmentWords,
  CONFIDENCE_WORDS,
  formatDay,
  formatOneDecimal,
  formatSets,
  GROUP_NAMES,
  LEFT_OUT_WORDS,
  trendSentence,
} from '#core/words'
import { type Adjustment, adjustmentKey } from '#core/follow/review'
import { catalogueWith } from '#core/plan/catalogue'
import type { ExcludedEstimate } from '#core/body/log'
import { LibraryView } from '#shared/contracts/library'
import { SentAnswer } from '#shared/contracts/block'
import { DecideAnswer, ReviewAnswer, type ReviewView } from '#shared/contracts/review'
import type { z } from 'zod'
import type { ApiFailure } from '~/shell/useApi'

/** A proposal as it is read. */
export interface ProposalLine {
  readonly key: string
  readonly row: string
  readonly words: string
  readonly reason: string
  readonly confidence: string
  readonly isByHand: boolean
  readonly isWaiting: boolean
}

const SLACK = 0.25
const figure = (value: number | null) => (value === null ? '' : formatSets(value))

function stands(
  done: number,
  { floor, ceiling }: { readonly floor: number; readonly ceiling: number },
): string {
  if (done < floor - SLACK) return 'under the floor'
  return done > ceiling + SLACK ? 'over the ceiling' : ''
}

function minutesWords({ done, planned, sessions }: ReviewView['review']['minutes']): string {
  return sessions === 0
    ? 'Minutes are not known'
    : `${Math.round(done)} minutes in ${sessions} ${sessions === 1 ? 'session' : 'sessions'}, estimated at ${Math.round(planned)}`
}

const readyWords = (percent: number | null) =>
  percent === null ? '' : `${Math.round(percent)}\u00A0%`

/** Why a change was not made, in words. */
function refusedWords(error: ApiFailure): string {
  if (error.kind === 'unreachable')
    return 'The server does not answer. Nothing was changed; try again.'
  return error.problem.type.endsWith('stale-version')
    ? 'The plan was changed elsewhere meanwhile. Here is what follows from it now.'
    : error.problem.detail
}

/** A rotation looked back at, and what the coach makes of the proposals for the next one. */
export async function useReview(clientId: string) {
  const { ask } = useApi()
  const route = useRoute()
  const router = useRouter()
  const asked = computed(() =>
    /^\d+$/.test(String(route.query.rotation ?? '')) ? Number(route.query.rotation) - 1 : 'latest',
  )
  const { data, refresh } = await useAsyncData(
    `review-${clientId}`,
    async () => {
      const [review, library] = await Promise.all([
        ask(`/api/clients/${clientId}/review/${asked.value}`, { answer: ReviewAnswer }),
        ask('/api/exercises', { answer: LibraryView }),
      ])
      if (!review.ok)
        throw createError({
          statusCode: review.error.kind === 'refused' ? review.error.problem.status : 503,
          fatal: true,
        })
      return {
        view: review.value,
        library: library.ok ? library.value.library : { exercises: [], credits: {} },
      }
    },
    { deep: false, watch: [asked] },
  )
  const view = computed((): ReviewView | null => data.value?.view ?? null)
  const catalogue = computed(() =>
    catalogueWith(data.value?.library ?? { exercises: [], credits: {} }),
  )
  const nameOf = (exercise: string) => catalogue.value.get(exercise)?.name ?? exercise
  const notice = ref('')
  const isBusy = ref(false)
  const at = ref(0)

  const trendOf = (exercise: string) => {
    const trend = view.value?.trends.find(known => known.exercise === exercise)
    return trend
      ? { words: trendSentence(trend), isFalling: trend.verdict === 'decline' }
      : { words: 'Not enough data yet: 0 of 5 sessions.', isFalling: false }
  }
  const lineOf = (adjustment: Adjustment): ProposalLine => ({
    key: adjustmentKey(adjustment),
    row: adjustment.row,
    words: adjustmentWords(adjustment, nameOf),
    reason: adjustmentReason(adjustment),
    confidence: CONFIDENCE_WORDS[adjustment.confidence],
    isByHand: adjustment.change.kind === 'by_hand',
    isWaiting: adjustment.isWaiting,
  })
  const open = computed(() => new Set(view.value?.open ?? []))
  const all = computed(() => view.value?.review.adjustments ?? [])
  const proposals = computed(() =>
    all.value
      .filter(
        adjustment =>
          adjustment.change.kind !== 'go_on' &&
          !adjustment.isWaiting &&
          open.value.has(adjustmentKey(adjustment)),
      )
      .map(lineOf),
  )
  const waiting = computed(() => all.value.filter(({ isWaiting }) => isWaiting).map(lineOf))
  const asPlanned = computed(() =>
    all.value.filter(({ change }) => change.kind === 'go_on').map(lineOf),
  )
  watch(proposals, list => (at.value = Math.min(at.value, Math.max(0, list.length - 1))))

  /** Asks for a change about the reviewed rotation, tells what came of it, and looks at the review again. */
  async function change<Answer extends z.ZodType>(
    path: string,
    body: object,
    done: string,
    { answer, at: to }: { readonly answer: Answer; readonly at?: string },
  ): Promise<boolean> {
    if (!view.value || isBusy.value) return false
    isBusy.value = true
    const result = await ask(
      to ?? `/api/clients/${clientId}/review/${view.value.review.pass}/${path}`,
      { method: 'POST', body, answer },
    )
    // What follows goes by the new version of the plan, so nothing is taken on before it is here.
    await refresh()
    isBusy.value = false
    notice.value = result.ok ? done : refusedWords(result.error)
    return result.ok
  }
  const decide = (key: string, decision: 'taken' | 'refused', reason = '') =>
    change(
      'decide',
      { key, decision, reason, version: view.value?.block.version },
      decision === 'taken'
        ? 'Taken. It stands in the plan.'
        : 'Refused. It is not proposed again unchanged.',
      { answer: DecideAnswer },
    )
  const confirm = (value: ExcludedEstimate) =>
    change(
      'confirm',
      { exercise: value.exercise, on: value.on, value: value.value },
      'It is right: trends count it from now on.',
      { answer: DecideAnswer },
    )
  /** Gives the client what the plan has by now: the changed rest of this rotation, and the next one. */
  async function sendAll(): Promise<void> {
    const rotations = view.value?.toSend ?? []
    const version = view.value?.block.version
    for (const { pass, again } of rotations) {
      const isSent = await change(
        'send',
        { pass, version, again },
        `Sent: rotation ${rotations.map(one => one.pass + 1).join(' and ')}.`,
        { answer: SentAnswer, at: `/api/blocks/${view.value?.block.id}/send` },
      )
      if (!isSent) return
    }
  }
  const turn = (by: 1 | -1) => {
    const next = (view.value?.review.pass ?? 0) + by
    if (view.value && next >= 0 && next < view.value.block.passes)
      void router.replace({ query: { rotation: next + 1 } })
  }
  const step = (by: 1 | -1) =>
    (at.value = Math.max(0, Math.min(proposals.value.length - 1, at.value + by)))

  return {
    view,
    notice: readonly(notice),
    isBusy: readonly(isBusy),
    at,
    proposals,
    waiting,
    asPlanned,
    decide,
    confirm,
    sendAll,
    change,
    say: (words: string) => (notice.value = words),
    turn,
    step,
    refresh,
    nameOf,
    head: computed(() => {
      const review = view.value?.review
      return review
        ? {
            title: `Rotation ${review.pass + 1} of ${view.value!.block.passes}`,
            dates: `${formatDay(review.from)} to ${formatDay(review.to)}${review.isDeload ? ', easier on purpose' : ''}`,
            adherence: adherenceWords(review.setsDone, review.setsDue),
            minutes: minutesWords(review.minutes),
            recovered:
              review.recovered + review.notRecovered === 0
                ? 'Nobody said whether it was recovered'
                : `Recovered in ${review.recovered} of ${review.recovered + review.notRecovered} answers`,
          }
        : null
    }),
    leftOut: computed(() =>
      (view.value?.leftOut ?? []).map(value => ({
        value,
        key: `${value.exercise} ${value.on} ${value.reason}`,
        words: `${nameOf(value.exercise)}, ${formatDay(value.on)}, ${formatOneDecimal(value.value)} kg: ${LEFT_OUT_WORDS[value.reason]}`,
        isQuestioned: value.reason === 'outlier' || value.reason === 'unit',
      })),
    ),
    muscles: computed(() =>
      (view.value?.review.muscles ?? [])
        .map(({ group, planned, due, done, band, times, readiness }) => ({
          group,
          name: GROUP_NAMES[group],
          pegs: { done: Math.round(done), due: Math.round(due) },
          planned: formatOneDecimal(planned),
          due: formatOneDecimal(due),
          done: formatOneDecimal(done),
          short: due - done >= 0.5 ? formatOneDecimal(due - done) : '',
          band: `${formatOneDecimal(band.floor)} – ${formatOneDecimal(band.target)} – ${formatOneDecimal(band.ceiling)}`,
          words: due < planned - SLACK ? '' : stands(done, band),
          times: times.due === 0 ? '' : `${times.done} of ${times.due}`,
          isRarer: times.done < times.due,
          ready: readyWords(readiness.done ?? readiness.due),
        }))
        .sort(
          (a, b) =>
            Number(b.short !== '' || b.words !== '') - Number(a.short !== '' || a.words !== ''),
        ),
    ),
    exercises: computed(() =>
      (view.value?.review.exercises ?? []).map(
        ({
          exercise,
          setsDue,
          setsDone,
          topKg,
          plannedKg,
          repsPlanned,
          repsDone,
          rirPlanned,
          rirDone,
        }) => ({
          exercise,
          trend: trendOf(exercise),
          name: nameOf(exercise),
          sets: `${setsDone} of ${setsDue}`,
          isShort: setsDone < setsDue,
          load: `${figure(topKg === null ? null : Math.round(topKg * 100) / 100)}${plannedKg === null ? '' : ` of ${figure(Math.round(plannedKg * 100) / 100)}`}`,
          reps:
            repsDone === null
              ? ''
              : `${figure(repsDone)}${repsPlanned === null ? '' : ` of ${figure(repsPlanned)}`}`,
          rir:
            rirDone === null
              ? ''
              : `${figure(rirDone)}${rirPlanned === null ? '' : ` for ${figure(rirPlanned)}`}`,
        }),
      ),
    ),
  }
}

export type Review = Awaited<ReturnType<typeof useReview>>
