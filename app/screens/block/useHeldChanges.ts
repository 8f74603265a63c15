import {
  type BlockException,
  type BlockPlan,
  type HeldChange,
  modesIn,
  withChangeEnded,
  withException,
  withHeldChange,
} from '#core/plan/block'
import type { Group } from '#core/plan/catalogue'
import { type Mode, modeOf, MODES } from '#core/plan/method'
import { GROUP_NAMES, heldWords } from '#core/words'
import type { BlockPlace } from './blockPlace'

/** What is to hold of the muscle in hand, as it is typed. */
export interface EnteredHold {
  readonly sets: number
  readonly reps: number
  readonly mode: Mode
  readonly why: string
}
const MOST = { sets: 30, reps: 8 } as const

function wrongWith({ sets, reps }: EnteredHold): string | undefined {
  if (!Number.isInteger(sets) || Math.abs(sets) > MOST.sets)
    return `Sets: give a whole number from −${MOST.sets} to ${MOST.sets}; 0 leaves them.`
  return !Number.isInteger(reps) || Math.abs(reps) > MOST.reps
    ? `Reps: give a whole number from −${MOST.reps} to ${MOST.reps}; 0 leaves them.`
    : undefined
}

/** Changes that hold from a rotation on, of sets, reps and what is wanted of a muscle: begun with a note, ended from a later one. */
export function useHeldChanges(
  { at, group, message }: Pick<BlockPlace, 'at' | 'group' | 'message'>,
  change: (next: (block: BlockPlan) => BlockPlan, words: string) => void,
  changeOf: (asked: BlockException & { readonly kind: 'sets' }) => number,
) {
  const store = usePlanStore()
  const today = useToday()
  const isHolding = ref(false)
  const exception = () => ({ kind: 'sets', pass: at.value, group: group.value, change: 0 }) as const
  const modeNow = (of: Group, pass: number): Mode =>
    modesIn(store.plan?.block ?? {}, pass)[of] ??
    (store.context ? modeOf(store.context, of) : 'keep')

  /** Begins what was typed, or gives what is wrong; what the rotation does otherwise with the muscle goes into it. */
  function hold(entered: EnteredHold): string | undefined {
    const wrong = wrongWith(entered)
    if (wrong) return wrong
    const { sets, reps, mode } = entered
    const begun = {
      from: at.value,
      group: group.value,
      on: today.value,
      why: entered.why.trim() || 'Set by hand.',
    }
    const changes: readonly HeldChange[] = [
      ...(sets === 0 ? [] : [{ ...begun, change: sets, row: 'own' }]),
      ...(reps === 0 ? [] : [{ ...begun, reps }]),
      ...(mode === modeNow(group.value, at.value) ? [] : [{ ...begun, mode }]),
    ]
    if (changes.length === 0) return 'Nothing is to change yet: give sets, reps or what is wanted.'
    change(
      before => changes.reduce(withHeldChange, withException(before, exception())),
      `${changes.map(heldWords).join('. ')}.`,
    )
    isHolding.value = false
    return undefined
  }
  /** A change that holds is over from the rotation in hand on. */
  function endHeld(held: HeldChange): void {
    change(
      before => withChangeEnded(before, held, at.value),
      `${GROUP_NAMES[held.group]} from rotation ${at.value + 1} on: without that change.`,
    )
  }

  return {
    isHolding,
    holdOn: () => void ((isHolding.value = true), (message.value = '')),
    hold,
    endHeld,
    holdLimits: { ...MOST, modes: MODES },
    /** What the form begins with: what this rotation does otherwise, and what is wanted by now. */
    proposedHold: computed((): EnteredHold => ({
      sets: changeOf(exception()),
      reps: 0,
      mode: modeNow(group.value, at.value),
      why: '',
    })),
  }
}
