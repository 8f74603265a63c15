import {
  type BlockException,
  type BlockPlan,
  exceptionOf,
  withException,
  withoutException,
  withoutExceptions,
  withPart,
} from '#core/plan/block'
import { EFFORT, GROUP_NAMES } from '#core/words'
import { ownDatesIn, returnExceptions } from '#core/design/progress'
import type { BlockPlace } from './blockPlace'
import { useHeldChanges } from './useHeldChanges'

/** What a rotation does otherwise than the block: sets, effort, exercises, an easier rotation. */
export function useBlockSteps({ at, group, current, passes, message }: BlockPlace) {
  const store = usePlanStore()
  const issued = useIssuedStore()

  function change(next: (block: BlockPlan) => BlockPlan, words: string): void {
    if (!store.plan) return
    const result = store.edit({ kind: 'set_block', block: next(store.plan.block ?? {}) })
    message.value = result.ok ? words : 'This cannot be changed.'
  }
  const block = computed(() => store.plan?.block ?? {})

  function changeOf(asked: BlockException & { readonly kind: 'sets' | 'rir' }): number {
    const known = exceptionOf(block.value, asked)
    return known && (known.kind === 'sets' || known.kind === 'rir') ? known.change : 0
  }
  function stepSets(by: 1 | -1): void {
    const asked = { kind: 'sets', pass: at.value, group: group.value, change: 0 } as const
    const next = changeOf(asked) + by
    change(
      held => withException(held, { ...asked, change: next }),
      `${GROUP_NAMES[group.value]} in rotation ${at.value + 1}: ${next === 0 ? 'as the block has it' : `${next > 0 ? '+' : '−'}${Math.abs(next)} sets, an exception`}`,
    )
  }
  function stepRir(by: 1 | -1): void {
    const asked = { kind: 'rir', pass: at.value, change: 0 } as const
    const next = changeOf(asked) + by
    change(
      held => withException(held, { ...asked, change: next }),
      `${EFFORT.name} in rotation ${at.value + 1}: ${next === 0 ? 'as the block has them' : `${next > 0 ? '+' : '−'}${Math.abs(next)}, an exception`}`,
    )
  }
  function toggleDeload(): void {
    const deloads = block.value.deloads ?? []
    const isOn = deloads.includes(at.value)
    change(
      held =>
        withPart(
          held,
          'deloads',
          isOn
            ? deloads.filter(pass => pass !== at.value)
            : [...deloads, at.value].sort((a, b) => a - b),
        ),
      isOn
        ? `Rotation ${at.value + 1} is a working one again.`
        : `Rotation ${at.value + 1} is a deload.`,
    )
  }
  function swapChoice(): void {
    if (!current.value?.pass.choice)
      return void (message.value = 'No exercises take turns yet. Say which do under Terms.')
    const exception: BlockException = { kind: 'choice', pass: at.value }
    change(
      held =>
        exceptionOf(held, exception)
          ? withoutException(held, exception)
          : withException(held, exception),
      `Rotation ${at.value + 1} takes the other exercises.`,
    )
  }
  /** The first rotation after days away: four fifths of the sets and a rep in reserve more, as one step of undo. */
  function makeReturn(pass: number): void {
    const [{ expanded }, { context }] = [issued, store]
    if (!expanded || !context) return
    at.value = pass
    const own = returnExceptions(expanded, pass, context)
    change(
      held => own.reduce((next, one) => withException(next, one), held),
      `Rotation ${pass + 1} is one of return: four fifths of the sets, ${EFFORT.inText} one higher.`,
    )
  }
  /** What this rotation does otherwise, the next one does too. */
  function copyToNext(): void {
    const own = (block.value.exceptions ?? []).filter(
      ({ pass, kind }) => pass === at.value && kind !== 'moved' && kind !== 'dropped',
    )
    if (own.length === 0 || at.value + 1 >= passes.value.length)
      return void (message.value = 'There is nothing to copy here.')
    change(
      held =>
        own.reduce(
          (next, exception) => withException(next, { ...exception, pass: at.value + 1 }),
          held,
        ),
      `Copied to rotation ${at.value + 2}.`,
    )
    at.value += 1
  }
  /** Exceptions of the rotation and what was written for its dates, as one step of undo. */
  function clearExceptions(): void {
    const own = store.plan ? ownDatesIn(store.plan, at.value) : []
    if ((current.value?.pass.exceptions.length ?? 0) + own.length === 0)
      return void (message.value = 'There is no exception here.')
    const result = store.editAll([
      ...own.map(({ session, on }) => ({ kind: 'drop_one_off' as const, session, on })),
      { kind: 'set_block', block: withoutExceptions(block.value, at.value) },
    ])
    message.value = result.ok
      ? `Rotation ${at.value + 1} is as the block has it again.`
      : 'This cannot be changed.'
  }

  return {
    change,
    block,
    ...useHeldChanges({ at, group, message }, change, changeOf),
    stepSets,
    stepRir,
    toggleDeload,
    swapChoice,
    makeReturn,
    copyToNext,
    clearExceptions,
  }
}
