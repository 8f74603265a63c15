import type { SlotId } from '../../base'
import { applyEdit, type PlanDocument } from '../../plan/block'
import { type Group, requireExercise } from '../../plan/catalogue'
import { intentFor, type PlanContext } from '../../plan/method'
import { mainGroup } from '../../plan/minutes'
import { daySlots } from '../../plan/rotation'
import { mayGrow } from '../../body/joints'
import type { Slot } from '../../plan/session'
import type { Seam } from './atSeam'
import { seam, type SeasonLine } from './season'

/** An exercise that stays on in place of a new one. */
export interface Kept {
  readonly exercise: string
  readonly inPlaceOf: string
}

/** A block that keeps what would leave it too early. */
export interface KeepOn {
  readonly kept: readonly Kept[]
  readonly plan: PlanDocument
  readonly before: Seam
  readonly after: Seam
  /** Whether nothing leaves too early any more. */
  readonly isEnough: boolean
}

const slotsOf = ({ rotation }: PlanDocument): readonly Slot[] => rotation.days.flatMap(daySlots)
const mainOf = (slot: Slot, context: PlanContext): Group | undefined =>
  mainGroup(slot, requireExercise(context.catalogue, slot.exercise), context)

/** Whether it loads no joint that must not be loaded more than now. */
const mayStay = (slot: Slot, context: PlanContext): boolean =>
  mayGrow(
    intentFor(context, requireExercise(context.catalogue, slot.exercise), slot.intent).jointStress,
    context,
  )

/** A swap makes no new identities. */
const noId = () => ''
/** The plan with another exercise at one place; sets and effort stay as they are there. */
function withExerciseAt(plan: PlanDocument, slot: SlotId, { exercise, intent }: Slot) {
  const edited = applyEdit(plan, { kind: 'swap_exercise', slot, exercise, intent }, noId)
  return edited.ok ? edited.value : plan
}

/**
 * What would leave a block's line too early stays on, each in place of a new exercise for the same muscle.
 *
 * Shape:  null where nothing leaves too early, or no new exercise makes room; one that loads a joint that is spared does not stay.
 * Source: docs/methods.md#season.
 */
export function keptOn(
  before: SeasonLine,
  after: SeasonLine,
  context: PlanContext,
  earlier?: PlanDocument,
): KeepOn | null {
  const first = seam(before, after, context, earlier)
  const fresh = new Set(first.fresh)
  let { plan } = after
  const kept: Kept[] = []
  for (const { exercise } of first.early) {
    const was = slotsOf(before.plan).find(slot => slot.exercise === exercise)
    if (!was || !mayStay(was, context)) continue
    const group = mainOf(was, context)
    const place = slotsOf(plan).find(
      slot => fresh.has(slot.exercise) && group !== undefined && mainOf(slot, context) === group,
    )
    if (!place) continue
    plan = withExerciseAt(plan, place.id, was)
    kept.push({ exercise, inPlaceOf: place.exercise })
  }
  if (kept.length === 0) return null
  const then = seam(before, { ...after, plan }, context, earlier)
  return { kept, plan, before: first, after: then, isEnough: then.early.length === 0 }
}
