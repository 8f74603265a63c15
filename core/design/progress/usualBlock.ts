import { DAYS_PER_WEEK, exerciseId } from '../../base'
import { stressLimits } from '../../body/joints'
import {
  type Alternation,
  type BlockPlan,
  type PlanDocument,
  type GroupRamp,
  withPart,
} from '../../plan/block'
import {
  ARM_GROUPS,
  type Group,
  GROUPS,
  rankedSubstitutes,
  requireExercise,
} from '../../plan/catalogue'
import { rotationLedger } from '../../count/ledger'
import {
  bandOf,
  intentFor,
  type Method,
  modeOf,
  notPlanned,
  type PlanContext,
} from '../../plan/method'
import { mainGroup } from '../../plan/minutes'
import { daySlots } from '../../plan/rotation'
import { suitsRole } from '../../plan/session'
import { weeksBeforeDeload } from './concerns'

/** Passes that come nearest to so many weeks, at least one. */
export function passesFor(weeks: number, lengthDays: number): number {
  return Math.max(1, Math.round((weeks * DAYS_PER_WEEK) / lengthDays))
}

/** Passes, from 0, on which easier weeks are proposed: after about as many working weeks as are usual, the last of them at the end. */
export function proposedDeloads(
  { passes, rotation }: PlanDocument,
  context: PlanContext,
): readonly number[] {
  const { mode } = context.method.deload
  if (mode === 'none' || mode === 'triggered') return []
  const { deloadWeeks } = context.method.progress
  if (passes < 3 || deloadWeeks === 0) return []
  const easier = passesFor(deloadWeeks, rotation.days.length)
  const every = passesFor(weeksBeforeDeload(context), rotation.days.length) + easier
  const rounds = Math.max(1, Math.round(passes / every))
  return Array.from({ length: rounds }, (_, round) => {
    const last = Math.round(((round + 1) * passes) / rounds) - 1
    return Array.from({ length: easier }, (_, back) => last - easier + 1 + back)
  })
    .flat()
    .filter(pass => pass > 0)
}

/** Where a muscle's sets go by the end of the working passes: halfway from target to ceiling where it is built up, to the target where it is kept. */
export function usualEnd(context: PlanContext, group: Group): number {
  const { target, ceiling } = bandOf(context, group)
  return modeOf(context, group) === 'build'
    ? Math.round((target + ceiling) / 2)
    : Math.round(target)
}

/** The block a method would make of a rotation: ramps, effort, easier weeks. What the coach has said besides stays. */
export function usualBlock(plan: PlanDocument, context: PlanContext): BlockPlan {
  const { effort, progress } = context.method
  const ledger = rotationLedger(plan.rotation, context)
  const ramps: Partial<Record<Group, GroupRamp>> = {}
  for (const group of GROUPS) {
    const end = usualEnd(context, group)
    if (
      progress.setRamp !== 'none' &&
      modeOf(context, group) !== 'maintain' &&
      ledger.groups[group].week.direct.value > 0 &&
      end > ledger.groups[group].week.counted.value
    )
      ramps[group] = { kind: progress.setRamp, end }
  }
  const kept = plan.block ?? {}
  const parts = {
    ramps,
    effort: { compound: effort.rirCompound, isolation: effort.rirIsolation },
    deloads: proposedDeloads(plan, context),
    failure: failureOf(context.method),
    // Turns that the coach has arranged come before those a method would make.
    alternations: kept.alternations ?? turnsOf(plan, context),
  }
  return (Object.keys(parts) as (keyof typeof parts)[]).reduce<BlockPlan>(
    (block, key) => withPart(block, key, parts[key]),
    kept,
  )
}

/** From which week on a method takes the last set of single-joint work to failure. */
function failureOf({ effort: { lastSetToFailure } }: Method): BlockPlan['failure'] {
  if (lastSetToFailure === 'never') return undefined
  return { fromWeek: lastSetToFailure === 'always' ? 1 : lastSetToFailure.fromWeek }
}

/** Single-joint arm exercises with what comes nearest to each, by turns; nothing twice in a rotation. */
function turnsOf(plan: PlanDocument, context: PlanContext): readonly Alternation[] {
  const { catalogue, client, method } = context
  const by = method.progress.alternation
  if (by === 'none') return []
  const slots = plan.rotation.days.flatMap(daySlots)
  const taken = slots.map(({ exercise }) => exercise as string)
  return slots.flatMap((slot): Alternation[] => {
    const exercise = requireExercise(catalogue, slot.exercise)
    const group = mainGroup(slot, exercise, context)
    if (exercise.kind !== 'isolation' || !ARM_GROUPS.some(arm => arm === group) || slot.isHeld)
      return []
    const [best] = rankedSubstitutes(
      exercise,
      intentFor(context, exercise, slot.intent),
      catalogue,
      {
        equipment: client.equipment,
        without: [...taken, ...notPlanned(client)],
        mostStress: stressLimits(context),
        suits: (...doing) => suitsRole(slot.role, ...doing),
      },
    )
    if (!best) return []
    taken.push(best.exercise.id)
    const intent = best.exercise.intents[0].id === best.intent.id ? null : best.intent.id
    return [{ slot: slot.id, exercise: exerciseId(best.exercise.id), intent, by }]
  })
}
