import {
  formatDay,
  formatOneDecimal,
  formatSetCount,
  formatSets,
  GROUP_NAMES,
  JOINT_NAMES,
  REPLAN_WORDS,
  wholeReadiness,
} from '#core/words'
import { DecideAnswer, ReplansAnswer, type ReplanView } from '#shared/contracts/review'
import type { Review } from './useReview'

/** One way to deal with a missed session as it is read, column by column. */
export interface ReplanLine {
  readonly option: ReplanView['option']
  readonly name: string
  readonly isBest: boolean
  readonly what: string
  readonly kept: string
  readonly sets: string
  readonly lowest: string
  readonly longest: string
  readonly isOverLimit: boolean
  readonly ramp: string
  readonly days: string
  readonly ends: string
  readonly cautions: string
}

function whatOf({ option, moves, refilled, lost }: ReplanView): string {
  if (option === 'drop') return 'Nothing moves; its sets are lost'
  if (option === 'restart')
    return 'The rest is left out, and the rotation is gone through once more'
  if (option === 'shift')
    return [
      moves.map(({ on }) => formatDay(on)).join(', '),
      ...lost.map(
        ({ name, on, sets }) =>
          `${name} of ${formatDay(on)} makes room: its ${formatSetCount(sets)} are lost`,
      ),
    ].join('; ')
  const sets = refilled.reduce(
    (sum, one) => sum + one.sets.reduce((own, { sets: more }) => own + more, 0),
    0,
  )
  return `${formatSets(sets)} sets into ${refilled.length === 1 ? 'one session' : `${refilled.length} sessions`}`
}

function cautionWords({ newStops, newCautions }: ReplanView): string {
  if (newStops > 0) return `${newStops} to stop, ${newCautions} to watch`
  return newCautions > 0 ? `${newCautions} to watch` : 'none'
}

/** What can be done about the first missed session, or one that will be missed, side by side, chosen with one key. */
export function useReplans(clientId: string, { view, change, say }: Review) {
  const { ask } = useApi()
  /** A session ahead that will not be possible, with its ways. */
  const absent = shallowRef<{
    readonly id: string
    readonly replans: readonly ReplanView[]
  } | null>(null)
  watch(view, () => (absent.value = null))
  const missed = computed(
    () =>
      view.value?.ahead.find(({ id }) => id === absent.value?.id) ?? view.value?.missed[0] ?? null,
  )
  const lines = computed(() =>
    (absent.value?.replans ?? view.value?.replans ?? []).map((one, at): ReplanLine => ({
      option: one.option,
      name: REPLAN_WORDS[one.option],
      isBest: at === 0,
      what: whatOf(one),
      kept: `${Math.round(one.kept * 100)}\u00A0%`,
      sets: one.sets
        .map(
          ({ group, kept, of }) => `${GROUP_NAMES[group]} ${formatSets(kept)} of ${formatSets(of)}`,
        )
        .join(', '),
      lowest: one.lowest
        ? `${GROUP_NAMES[one.lowest.group]} ${wholeReadiness(one.lowest.readiness)}\u00A0%, ${formatDay(one.lowest.on)}`
        : '',
      longest: one.longest
        ? `${Math.round(one.longest.minutes)}${one.longest.limit === null ? '' : ` of ${one.longest.limit}`} min`
        : '',
      isOverLimit:
        one.longest?.limit !== null &&
        one.longest !== null &&
        one.longest.minutes > one.longest.limit + 0.5,
      ramp: one.ramp ? `${JOINT_NAMES[one.ramp.joint]} × ${formatOneDecimal(one.ramp.ramp)}` : '',
      days: String(one.daysChanged),
      ends: formatDay(one.endsOn),
      cautions: cautionWords(one),
    })),
  )
  /** Lays out what could be done if a session ahead cannot be. */
  async function cannotCome(session: string): Promise<void> {
    const result = await ask(
      `/api/clients/${clientId}/review/${view.value?.review.pass ?? 0}/replans/${session}`,
      { answer: ReplansAnswer },
    )
    if (result.ok) absent.value = { id: session, replans: result.value.replans }
    else say('The server did not lay that out. Nothing was changed; try again.')
  }
  return {
    missed: computed(
      () =>
        missed.value && {
          words: `${missed.value.name}, ${formatDay(missed.value.on)}`,
          isAhead: absent.value !== null,
          more: absent.value === null ? (view.value?.missed.length ?? 0) - 1 : 0,
        },
    ),
    ahead: computed(() =>
      (view.value?.ahead ?? [])
        .filter(({ id }) => id !== absent.value?.id)
        .map(({ id, name, on }) => ({ id, words: `${name}, ${formatDay(on)}` })),
    ),
    cannotCome,
    canCome: () => (absent.value = null),
    lines,
    /** Takes the option at a place from 0. */
    choose: (at: number) => {
      const line = lines.value[at]
      if (!line || !missed.value) return
      void change(
        'replan',
        { session: missed.value.id, option: line.option, version: view.value?.block.version },
        `${line.name}: chosen.${line.option === 'drop' ? '' : ' It stands in the plan.'}`,
        { answer: DecideAnswer },
      )
    },
  }
}
