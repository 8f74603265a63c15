import { isFreeOverhead, requireExercise } from '../../plan/catalogue'
import type { PlanContext } from '../../plan/method'
import { leadRir, type SetRun, type SetScheme } from '../../plan/scheme'
import type { Slot } from '../../plan/session'

/** Cautions under which nobody goes to failure on a plan's word alone. */
const NEVER = ['fail_needs_safety', 'weight_over_face', 'anchor_and_band_check'] as const

/** Whether the last set of an exercise may end in failure: single-joint work that nothing speaks against. */
export function mayFail(
  { exercise: id }: Pick<Slot, 'exercise'>,
  { catalogue, client }: PlanContext,
): boolean {
  const exercise = requireExercise(catalogue, id)
  return (
    exercise.kind === 'isolation' &&
    !client.isMinor &&
    !isFreeOverhead(exercise) &&
    !NEVER.some(caution => exercise.cautions.includes(caution))
  )
}

/**
 * A scheme whose last working set goes to failure.
 *
 * Edge: long sets, holds, and what goes to failure already stay as they are.
 */
export function withLastToFailure(scheme: SetScheme): SetScheme {
  const at = scheme.runs.findLastIndex(({ role }) => role === 'working')
  const last = scheme.runs[at]
  const [stage, ...more] = last?.stages ?? []
  if (!last || stage?.kind !== 'work' || more.length > 0 || last.protocol || last.countRange)
    return scheme
  if (stage.effort?.kind === 'failure' || leadRir(last) === 0) return scheme
  const final: SetRun = { ...last, count: 1, stages: [{ ...stage, effort: { kind: 'failure' } }] }
  const before = last.count > 1 ? [{ ...last, count: last.count - 1 }] : []
  return {
    ...scheme,
    runs: [...scheme.runs.slice(0, at), ...before, final, ...scheme.runs.slice(at + 1)],
  }
}
