import { DAYS_PER_WEEK } from '../../base'
import { type BlockPlan, type PlanDocument, type GroupRamp, withPart } from '../../plan/block'
import { type Group, GROUPS } from '../../plan/catalogue'
import { rotationLedger } from '../../count/ledger'
import { bandOf, modeOf, type PlanContext } from '../../plan/method'
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
  if (context.method.deload.mode === 'none') return []
  if (passes < 3) return []
  const every = passesFor(weeksBeforeDeload(context), rotation.days.length) + 1
  const rounds = Math.max(1, Math.round(passes / every))
  return Array.from(
    { length: rounds },
    (_, round) => Math.round(((round + 1) * passes) / rounds) - 1,
  )
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
  return withPart(
    withPart(withPart(kept, 'ramps', ramps), 'effort', {
      compound: effort.rirCompound,
      isolation: effort.rirIsolation,
    }),
    'deloads',
    proposedDeloads(plan, context),
  )
}
