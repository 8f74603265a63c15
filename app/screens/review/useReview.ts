import { useHandOver } from '../log/useHandOver'
import { catalogueWith } from '#core/plan/catalogue'
import type { ExcludedEstimate } from '#core/body/log'
import { LibraryView } from '#shared/contracts/library'
import { SentAnswer } from '#shared/contracts/block'
import { DecideAnswer, ReviewAnswer, type ReviewView } from '#shared/contracts/review'
import type { z } from 'zod'
import type { ApiFailure } from '~/shell/useApi'
import {
  excludedLines,
  exerciseLines,
  habitLines,
  headLines,
  muscleLines,
  nothingWords,
  type ProposalLine,
  proposalLines,
  trialLines,
} from './reviewRows'

const NO_LINES = { proposals: [], waiting: [], asPlanned: [] }

/** Why a change was not made, in words. */
function refusedWords(error: ApiFailure): string {
  if (error.kind === 'unreachable')
    return 'The server does not answer. Nothing was changed; try again.'
  return error.problem.type.endsWith('stale-version')
    ? 'The plan was changed elsewhere meanwhile. Here is what follows from it now.'
    : error.problem.detail
}

/** A decision as it is sent. */
const SAID = {
  taken: { decision: 'taken', isOnce: false },
  once: { decision: 'taken', isOnce: true },
  refused: { decision: 'refused', isOnce: false },
} as const

/** What was decided, for the coach. */
function decisionWords(decision: keyof typeof SAID, proposal: ProposalLine | undefined): string {
  if (decision === 'refused') return 'Refused. It is not proposed again unchanged.'
  return proposal?.mayHold && decision === 'taken'
    ? 'Taken. It stands in the plan from the next rotation on; the Block page ends it.'
    : 'Taken. It stands in the plan for the next rotation.'
}

/** Which rotation the address asks for, from 0; the latest where it names none. */
function useAskedRotation(clientId: string) {
  const route = useRoute()
  const router = useRouter()
  const { query } = useChosenBlock(clientId)
  const asked = computed(() =>
    /^\d+$/.test(String(route.query.rotation ?? ''))
      ? Number(route.query.rotation) - 1
      : ('latest' as const),
  )
  return {
    asked,
    /** Where it is asked for: of today's block, or of the one that is open. */
    path: computed(() => `/api/clients/${clientId}/review/${asked.value}${query.value}`),
    goTo: (pass: number) => void router.replace({ query: { rotation: pass + 1 } }),
  }
}

/** What a review is drawn from, fetched ahead or now. */
export function useReviewFetch() {
  const { ask } = useApi()
  return async (path: string) => {
    const [review, library] = await Promise.all([
      ask(path, { answer: ReviewAnswer }),
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
  }
}
export type FetchedReview = Awaited<ReturnType<ReturnType<typeof useReviewFetch>>>

/** Which rotation, where not the address says it; and what was fetched of it ahead. */
interface Given {
  readonly pass: number | null
  readonly early: Promise<FetchedReview> | null
}

/** A rotation looked back at, and what the coach makes of the proposals for the next one. */
export async function useReview(clientId: string, given?: Given) {
  const { isHandingOver, handOver } = useHandOver(clientId)
  const { ask } = useApi()
  const fetched = useReviewFetch()
  const { asked, path: askedPath, goTo } = useAskedRotation(clientId)
  const path = given
    ? computed(() => `/api/clients/${clientId}/review/${given.pass ?? 'latest'}`)
    : askedPath
  // What was fetched ahead is drawn once; what comes after a change is fetched anew.
  let early = given?.early ?? null
  const { data, refresh } = await useAsyncData(
    `review-${clientId}`,
    async () => {
      const held = early
      early = null
      return (held && (await held.catch(() => null))) ?? fetched(path.value)
    },
    { deep: false, watch: given ? [] : [asked] },
  )
  const view = computed((): ReviewView | null => data.value?.view ?? null)
  const catalogue = computed(() =>
    catalogueWith(data.value?.library ?? { exercises: [], credits: {} }),
  )
  const nameOf = (exercise: string) => catalogue.value.get(exercise)?.name ?? exercise
  const notice = ref('')
  const isBusy = ref(false)
  const at = ref(0)

  const lines = computed(() => (view.value ? proposalLines(view.value, nameOf) : NO_LINES))
  const proposals = computed(() => lines.value.proposals)
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
  const decide = (key: string, decision: keyof typeof SAID, reason = ''): Promise<boolean> =>
    change(
      'decide',
      { key, reason, version: view.value?.block.version, ...SAID[decision] },
      decisionWords(
        decision,
        proposals.value.find(proposal => proposal.key === key),
      ),
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
    if (rotations.length > 0) await handOver()
  }
  const turn = (by: 1 | -1) => {
    const next = (view.value?.review.pass ?? 0) + by
    if (view.value && next >= 0 && next < view.value.block.passes) goTo(next)
  }
  const step = (by: 1 | -1) =>
    (at.value = Math.max(0, Math.min(proposals.value.length - 1, at.value + by)))

  return {
    view,
    notice: readonly(notice),
    isBusy: readonly(isBusy),
    at,
    proposals,
    waiting: computed(() => lines.value.waiting),
    asPlanned: computed(() => lines.value.asPlanned),
    decide,
    confirm,
    sendAll,
    isHandingOver,
    change,
    say: (words: string) => (notice.value = words),
    turn,
    step,
    refresh,
    nameOf,
    head: computed(() => view.value && headLines(view.value)),
    nothingWords: computed(() => (view.value ? nothingWords(view.value) : '')),
    leftOut: computed(() => (view.value ? excludedLines(view.value, nameOf) : [])),
    trials: computed(() => (view.value ? trialLines(view.value) : [])),
    skipped: computed(() => (view.value ? habitLines(view.value) : [])),
    muscles: computed(() => (view.value ? muscleLines(view.value) : [])),
    exercises: computed(() => (view.value ? exerciseLines(view.value, nameOf) : [])),
  }
}

export type Review = Awaited<ReturnType<typeof useReview>>

/** What the keys and buttons about the proposal in hand do, on the Review and in the queue. */
export function useDeciding(clientId: string, review: Review) {
  const { view, proposals, at, decide } = review
  const isRefusing = ref(false)
  return {
    isRefusing,
    refused: async (key: string, reason: string): Promise<void> => {
      isRefusing.value = false
      await decide(key, 'refused', reason)
    },
    change: () => void navigateTo(`/clients/${clientId}/block?view=rotations`),
    takeAt: (how: 'taken' | 'once'): void => {
      const proposal = proposals.value[at.value]
      if (proposal && (how === 'taken' || proposal.mayHold)) void decide(proposal.key, how)
    },
    refuse: () => void (isRefusing.value = proposals.value.length > 0),
    /** `rotation 3 again and rotation 4`; empty where the client has all of it. */
    toSend: computed(() =>
      (view.value?.toSend ?? [])
        .map(({ pass, again }) => `rotation ${pass + 1}${again ? ' again' : ''}`)
        .join(' and '),
    ),
  }
}
