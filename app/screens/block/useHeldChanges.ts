import {
  type BlockException,
  type BlockPlan,
  type HeldChange,
  withChangeEnded,
  withException,
  withHeldChange,
} from '#core/plan/block'
import { GROUP_NAMES, heldWords } from '#core/words'
import type { BlockPlace } from './blockPlace'

/** Changes of sets that hold from a rotation on: begun from an exception, ended from a later one. */
export function useHeldChanges(
  { at, group, message }: Pick<BlockPlace, 'at' | 'group' | 'message'>,
  change: (next: (block: BlockPlan) => BlockPlan, words: string) => void,
  changeOf: (asked: BlockException & { readonly kind: 'sets' }) => number,
) {
  const today = useToday()

  /** What this rotation does otherwise with the muscle in hand holds from here on, until it is ended. */
  function holdOn(): void {
    const asked = { kind: 'sets', pass: at.value, group: group.value, change: 0 } as const
    const own = changeOf(asked)
    if (own === 0)
      return void (message.value = `${GROUP_NAMES[group.value]} has no exception here: give it a set more or fewer first.`)
    const held: HeldChange = {
      from: at.value,
      group: group.value,
      change: own,
      on: today.value,
      row: 'own',
      why: 'Set by hand.',
    }
    change(before => withHeldChange(withException(before, asked), held), `${heldWords(held)}.`)
  }
  /** A change that holds is over from the rotation in hand on. */
  function endHeld(held: HeldChange): void {
    change(
      before => withChangeEnded(before, held, at.value),
      `${GROUP_NAMES[held.group]} from rotation ${at.value + 1} on: without that change.`,
    )
  }

  return { holdOn, endHeld }
}
