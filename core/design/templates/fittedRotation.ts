import { assert, isoWeekday, type PlainDate } from '../../base'
import {
  applyEdit,
  isTraining,
  onClientDays,
  type PlanDocument,
  type PlanEdit,
} from '../../plan/block'
import type { Joint } from '../../plan/catalogue'
import { rotationLedger } from '../../count/ledger'
import type { AvailableDay } from '../../plan/method'
import { daySetCount, type Rotation, type RotationDay } from '../../plan/rotation'
import { bearingAt } from './easedForPain'
import { type Fit, fittedSession, type FittedSession } from './fittedSession'

/** What a rotation is fitted to. */
export interface RotationFit extends Pick<Fit, 'context' | 'oneReps' | 'newId'> {
  /** The day the block begins on: day 1 of the rotation. */
  readonly startsOn: PlainDate
  /** What the client does now: a sore joint bears no more than it leaves. */
  readonly now?: Rotation
  /** The method's usual sets it was written for, where the client follows another one. */
  readonly writtenFor?: number | undefined
}

/** One difference between what was wanted and what the client gets. Days count from 0. */
export type FitChange =
  | { readonly kind: 'unplaced'; readonly day: RotationDay }
  | { readonly kind: 'shortened'; readonly at: number; readonly from: number; readonly to: number }
  | {
      readonly kind: 'swapped'
      readonly at: number
      readonly wanted: string
      readonly given: string
    }
  | { readonly kind: 'left_out'; readonly at: number; readonly exercise: string }
  | { readonly kind: 'eased'; readonly at: number; readonly joint: Joint }

export interface FittedRotation {
  readonly days: readonly RotationDay[]
  readonly changes: readonly FitChange[]
  /** Whether sessions lie on other days than they did, to be on the client's. */
  readonly isMoved: boolean
  /** Sets that are left of those wanted, 0 to 1. */
  readonly kept: number
}

const setsOf = (days: readonly RotationDay[]) =>
  days.reduce((sum, day) => sum + daySetCount(day), 0)

/** The client's own days; none where nothing is known of them. */
const daysOf = ({ context }: RotationFit): readonly AvailableDay[] => context.client.days ?? []

/** What one session of a day is fitted to: its share of the day's minutes. */
const pieceOf = ({ context, newId, oneReps }: RotationFit, day: RotationDay) => ({
  context,
  newId,
  ...(oneReps && { oneReps }),
  ...(day.minuteLimit !== undefined && {
    minutes: Math.floor(day.minuteLimit / day.sessions.length),
  }),
})

function changesOf(fitted: FittedSession, at: number): readonly FitChange[] {
  const { swapped, leftOut, eased, seconds, unfitted } = fitted
  return [
    ...swapped.map(swap => ({ kind: 'swapped' as const, at, ...swap })),
    ...leftOut.map(exercise => ({ kind: 'left_out' as const, at, exercise })),
    ...eased.map(joint => ({ kind: 'eased' as const, at, joint })),
    ...(seconds < unfitted
      ? [{ kind: 'shortened' as const, at, from: unfitted, to: seconds }]
      : []),
  ]
}

/**
 * A rotation fitted to a client: on the client's days and in the minutes there are, with exercises the equipment and the
 * joints allow, in the method's order, and every difference told.
 *
 * Units: seconds in the differences; `kept` is the share of the sets that were wanted.
 * Edge:  what finds no day is told and left out; a day whose exercises all fall away becomes a rest day.
 */
export function fittedRotation(wanted: readonly RotationDay[], fit: RotationFit): FittedRotation {
  const { context, now } = fit
  const placed = onClientDays(wanted, daysOf(fit), isoWeekday(fit.startsOn))
  const ledger = rotationLedger(
    { kind: 'places', anchor: { kind: 'floating' }, days: placed.days },
    context,
  )
  const changes: FitChange[] = placed.unplaced.map(day => ({ kind: 'unplaced', day }))
  const days = placed.days.map((day, at): RotationDay => {
    const sessions = day.sessions.flatMap((session, place) => {
      const here = now?.days[at]?.sessions[place] ?? null
      const fitted = fittedSession(
        session,
        { ...pieceOf(fit, day), ledger, ...(now && { bearing: bearingAt(now, here, context) }) },
        { writtenFor: fit.writtenFor },
      )
      changes.push(...changesOf(fitted, at))
      return fitted.session.groupings.length > 0 ? [fitted.session] : []
    })
    return sessions.length === 0 && isTraining(day)
      ? { role: 'rest', sessions: [] }
      : { ...day, sessions }
  })
  const before = setsOf(wanted)
  return {
    days,
    changes,
    isMoved: placed.isMoved,
    kept: before === 0 ? 1 : Math.min(1, setsOf(days) / before),
  }
}

/** The edit that puts a fitted rotation into a plan: on weekdays where it lies on the client's. */
export const rotationEdit = ({ days, isMoved }: FittedRotation): PlanEdit => ({
  kind: 'use_days',
  days,
  ...(isMoved && { onWeekdays: true }),
})

/** The plan with a fitted rotation in it. */
export function withRotation(plan: PlanDocument, fitted: FittedRotation): PlanDocument {
  const result = applyEdit(plan, rotationEdit(fitted), () => '')
  assert(result.ok, 'other days can always be put into a plan')
  return result.value
}
