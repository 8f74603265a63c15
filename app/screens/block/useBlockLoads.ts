import { type BlockPlan, withPart } from '#core/plan/block'
import { requireExercise } from '#core/plan/catalogue'
import { formatSets, loadReasonWords, loadRowWords, shapeLossWords, slotName } from '#core/words'
import type { LoadProgression, PlanContext } from '#core/plan/method'
import { useWays } from './useWays'
import { loadKey, loadsInPass, type SlotLoads } from '#core/design/loads'
import { type BlockPass, loadRuleOf } from '#core/design/progress'
import { type Slot, sessionSlots } from '#core/plan/session'

interface Cell {
  readonly at: number
  /** Loads of the rotation's first session with it, set after set. */
  readonly words: string
  readonly targets: string
  readonly jump: number | null
  readonly loss: string
}

/** Slots of the block by exercise, in the order they first come up. */
function slotsByExercise(passes: readonly BlockPass[]): ReadonlyMap<string, Slot> {
  const found = new Map<string, Slot>()
  for (const { sessions } of passes)
    for (const { content, isSkipped } of sessions)
      if (!isSkipped)
        for (const slot of sessionSlots(content))
          if (!found.has(slot.exercise)) found.set(slot.exercise, slot)
  return found
}

type Ahead = ReadonlyMap<string, ReadonlyMap<string, SlotLoads>>

function cellOf(pass: BlockPass, own: readonly SlotLoads[]): Cell {
  const [first, ...others] = own
  if (!first) return { at: pass.at, words: '', targets: '', jump: null, loss: '' }
  const rows = [...new Set([first, ...others].map(loadRowWords))]
  const targets = first.sets.flatMap(({ target }) => (target === null ? [] : [target]))
  const jump = own.find(loads => loads.jump !== null)?.jump ?? null
  return {
    at: pass.at,
    words: rows.join('; '),
    targets: targets.length > 0 ? `× ${[...new Set(targets)].map(formatSets).join(', ')}` : '',
    jump: jump === null ? null : Math.round(jump * 100),
    loss: own.map(shapeLossWords).find(Boolean) ?? '',
  }
}

/** The next session's reason, in words. */
function reasonOf(passes: readonly BlockPass[], exercise: string, ahead: Ahead): string {
  for (const pass of passes) {
    const [next] = loadsInPass(pass, exercise, ahead)
    if (next) return loadReasonWords(next)
  }
  return ''
}

function rowsOf(
  passes: readonly BlockPass[],
  ahead: Ahead,
  { rules = {}, ways = {} }: BlockPlan,
  context: PlanContext,
) {
  return [...slotsByExercise(passes)].map(([exercise, slot]) => ({
    exercise,
    name: slotName({ ...slot, intent: null }, context.catalogue),
    rule: loadRuleOf(requireExercise(context.catalogue, exercise), rules, context),
    isOwn: rules[exercise] !== undefined,
    way: ways[exercise],
    isKnown: passes.some(pass => loadsInPass(pass, exercise, ahead).length > 0),
    reason: reasonOf(passes, exercise, ahead),
    cells: passes.map(pass => cellOf(pass, loadsInPass(pass, exercise, ahead))),
  }))
}

/** A block in which an exercise's load goes up by a rule of its own, or by the method's. */
export function withRule(
  block: BlockPlan,
  exercise: string,
  rule: LoadProgression | '',
): BlockPlan {
  const { [exercise]: _, ...others } = block.rules ?? {}
  return withPart(block, 'rules', rule === '' ? others : { ...others, [exercise]: { rule } })
}

/** Loads of every exercise from rotation to rotation, and the rules they go by. */
export function useBlockLoads() {
  const store = usePlanStore()
  const issued = useIssuedStore()
  const loads = useLoadsStore()
  const isKnown = ref(false)
  onMounted(async () => {
    await loads.load()
    isKnown.value = true
  })
  const block = computed(() => store.plan?.block ?? {})
  /** Rotations with a session that is still to be done: what is behind stands in the log. */
  const passes = computed(() =>
    (issued.expanded?.passes ?? []).filter(({ sessions }) =>
      sessions.some(session => loads.ahead.has(loadKey(session))),
    ),
  )
  function setRule(exercise: string, rule: LoadProgression | ''): void {
    store.edit({ kind: 'set_block', block: withRule(block.value, exercise, rule) })
  }
  return {
    rows: computed(() =>
      store.context ? rowsOf(passes.value, loads.ahead, block.value, store.context) : [],
    ),
    passes: computed(() =>
      passes.value.map(({ at, isDeload }) => ({ at, number: at + 1, isDeload })),
    ),
    isKnown,
    setRule,
    ...useWays(passes),
  }
}
