import { isPlainDate } from '#core/base'
import {
  type BlockPlan,
  MOST_TRIALS,
  type Trial,
  TRIAL_WEEKS,
  trialEnd,
  withoutTrial,
  withTrial,
} from '#core/plan/block'
import { type Group, GROUPS } from '#core/plan/catalogue'
import { formatDay, trialWords } from '#core/words'
import type { BlockPlace } from './blockPlace'

/** What is wrong with a trial as it was typed; undefined where nothing is. */
function wrongWith({ what, from, weeks, groups }: EnteredTrial): string | undefined {
  if (what.trim() === '') return 'What is tried out? Give it a few words, such as an arm day.'
  if (!isPlainDate(from)) return 'From is no date. Write it as 2026-03-30.'
  if (!Number.isInteger(weeks) || weeks < TRIAL_WEEKS.least || weeks > TRIAL_WEEKS.most)
    return `Weeks must be a whole number between ${TRIAL_WEEKS.least} and ${TRIAL_WEEKS.most}.`
  return groups.length === 0 ? 'Tick at least one muscle that it is about.' : undefined
}

/** A trial as it is typed. */
export interface EnteredTrial {
  readonly what: string
  readonly from: string
  readonly weeks: number
  readonly groups: readonly Group[]
}

/** Something tried out for a while: begun with a length, put away when it is over. */
export function useTrials(
  { group, current }: Pick<BlockPlace, 'group' | 'current'>,
  change: (next: (block: BlockPlan) => BlockPlan, words: string) => void,
) {
  const store = usePlanStore()
  const today = useToday()
  const isTrying = ref(false)
  const trials = computed(() => store.plan?.block?.trials ?? [])

  /** Begins it, or gives what is wrong. */
  function begin(entered: EnteredTrial): string | undefined {
    const wrong =
      trials.value.length >= MOST_TRIALS
        ? `No more than ${MOST_TRIALS} trials in a block: put one away first.`
        : wrongWith(entered)
    if (wrong || !isPlainDate(entered.from)) return wrong
    const { from, weeks } = entered
    const groups = GROUPS.filter(one => entered.groups.includes(one))
    const trial: Trial = { what: entered.what.trim(), from, weeks, groups }
    change(block => withTrial(block, trial), `On trial: ${trialWords(trial, trialEnd(trial))}.`)
    isTrying.value = false
    return undefined
  }
  const putAway = (trial: Trial) =>
    change(block => withoutTrial(block, trial), `${trial.what}: the trial is put away.`)

  return {
    isTrying,
    trialLimits: { weeks: TRIAL_WEEKS, groups: GROUPS },
    begin,
    putAway,
    /** What a new trial begins with: the muscle and the rotation in hand. */
    proposedTrial: computed((): EnteredTrial => ({
      what: '',
      from: current.value?.pass.from ?? today.value,
      weeks: TRIAL_WEEKS.usual,
      groups: [group.value],
    })),
    trialRows: computed(() =>
      trials.value.map((trial, n) => {
        const until = trialEnd(trial)
        return {
          key: `${n} ${trial.what}`,
          trial,
          words: trialWords(trial, until),
          isOver: until < today.value,
          state: until < today.value ? 'over' : `from ${formatDay(trial.from)}`,
        }
      }),
    ),
  }
}
