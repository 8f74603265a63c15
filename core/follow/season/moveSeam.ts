import {
  addDays,
  DAYS_PER_WEEK,
  daysBetween,
  failure,
  isoWeekday,
  type PlainDate,
  type Result,
  success,
} from '../../base'
import { blockState, MOST_PASSES, type PlanDocument, planEnd } from '../../plan/block'
import type { SeasonLine } from './season'

/** Why a seam stays where it is, and which block it is about. */
export interface SeamStop {
  readonly why: 'first' | 'begun' | 'sent' | 'shortest' | 'longest' | 'past'
  readonly title: string
}

/** A plan begun so many days later, or earlier below 0; days said within it go along, events stay where they are. */
export function shiftedBy(plan: PlanDocument, days: number): PlanDocument {
  const startsOn = addDays(plan.startsOn, days)
  const { block, oneOffs, rotation } = plan
  const { anchor } = rotation
  const later = <Dated extends { readonly on: PlainDate }>(one: Dated): Dated => ({
    ...one,
    on: addDays(one.on, days),
  })
  return {
    ...plan,
    startsOn,
    rotation:
      anchor.kind === 'weekday'
        ? { ...rotation, anchor: { kind: 'weekday', startsOn: isoWeekday(startsOn) } }
        : rotation,
    ...(oneOffs && { oneOffs: oneOffs.map(later) }),
    ...(block && {
      block: {
        ...block,
        ...(block.exceptions && {
          exceptions: block.exceptions.map(one => (one.kind === 'moved' ? later(one) : one)),
        }),
        ...(block.trials && {
          trials: block.trials.map(one => ({ ...one, from: addDays(one.from, days) })),
        }),
      },
    }),
  }
}

/** An easier rotation at the end stays at the end, unless the client has it already. */
function withLastDeload(
  changed: PlanDocument,
  { passes }: PlanDocument,
  sent: number,
): PlanDocument {
  const { deloads } = changed.block ?? {}
  if (!deloads?.includes(passes - 1) || sent >= Math.min(passes, changed.passes)) return changed
  const moved = [
    ...new Set([
      ...deloads.filter(at => at < passes - 1 && at < changed.passes - 1),
      changed.passes - 1,
    ]),
  ]
  return { ...changed, block: { ...changed.block, deloads: moved } }
}

/** The block before, one rotation longer or shorter, where it may be. */
function resized(
  { id, plan }: SeasonLine,
  by: 1 | -1,
  today: PlainDate,
  sent: ReadonlyMap<string, number>,
): Result<PlanDocument, SeamStop> {
  const stop = (why: SeamStop['why']) => failure<SeamStop>({ why, title: plan.title })
  const changed = withLastDeload({ ...plan, passes: plan.passes + by }, plan, sent.get(id) ?? 0)
  if (changed.passes < 1) return stop('shortest')
  if (changed.passes > MOST_PASSES) return stop('longest')
  if (changed.passes < (sent.get(id) ?? 0)) return stop('sent')
  return planEnd(changed) < today ? stop('past') : success(changed)
}

/**
 * A seam moved by one rotation of the block before it, which gets longer or shorter by it; the block behind the seam and all
 * after it go along. Where nothing before it runs any more the seam moves by a week.
 *
 * Shape:  what changes, in the order of the days; `sent` has by block how many rotations the client has.
 * Errors: why it stays: the first block, one begun or sent, nothing left to shorten, the past.
 * Source: docs/methods.md#season.
 */
export function seamMoved(
  line: readonly SeasonLine[],
  after: string,
  by: 1 | -1,
  { today, sent }: { readonly today: PlainDate; readonly sent: ReadonlyMap<string, number> },
): Result<readonly SeasonLine[], SeamStop> {
  const inOrder = [...line].sort((a, b) => (a.plan.startsOn < b.plan.startsOn ? -1 : 1))
  const at = inOrder.findIndex(({ id }) => id === after)
  const behind = inOrder.slice(Math.max(0, at))
  const [own] = behind
  const before = inOrder[at - 1]
  if (!own || !before) return failure({ why: 'first', title: own?.plan.title ?? '' })
  if (blockState(own.plan, today) !== 'ahead')
    return failure({ why: 'begun', title: own.plan.title })
  const isSent = behind.find(({ id }) => (sent.get(id) ?? 0) > 0)
  if (isSent) return failure({ why: 'sent', title: isSent.plan.title })
  const isOver = blockState(before.plan, today) === 'behind'
  const changed = isOver ? success(before.plan) : resized(before, by, today, sent)
  if (!changed.ok) return changed
  const days = isOver
    ? by * DAYS_PER_WEEK
    : daysBetween(planEnd(before.plan), planEnd(changed.value))
  const first = addDays(own.plan.startsOn, days)
  if (first <= today || first <= planEnd(changed.value))
    return failure({ why: 'past', title: own.plan.title })
  return success([
    ...(isOver ? [] : [{ ...before, plan: changed.value }]),
    ...behind.map(one => ({ ...one, plan: shiftedBy(one.plan, days) })),
  ])
}
