import type { SlotId } from '../../base'
import {
  ARM_GROUPS,
  type Group,
  GROUPS,
  type Joint,
  JOINTS,
  requireExercise,
} from '../../plan/catalogue'
import type { CheckInput, SessionView } from '../checks'
import { setJointLoad } from '../../body/joints'
import type { CountedWork } from '../../count/ledger'
import { intentFor, type PlanContext } from '../../plan/method'
import type { TimeSpan } from '../../plan/minutes'
import { readinessPercent, setImpulse } from '../../body/recovery'

/** One set as a muscle feels it. Units: seconds from the session's start, credit 0 to 1, readiness in percent after it. */
export interface FeltSet {
  readonly start: number
  readonly end: number
  readonly slot: SlotId
  readonly credit: number
  readonly readiness: number
}

/** A muscle along a session: how ready it comes, what each set leaves, and the rests between its sets. */
export interface GroupWithin {
  readonly group: Group
  readonly startReadiness: number
  readonly endReadiness: number
  readonly sets: readonly FeltSet[]
  /** Seconds between two of its sets, the least of them; undefined with a single set. */
  readonly shortestRest: number | undefined
}

/** A joint's load adding up along a session. Units: points. */
export interface JointWithin {
  readonly joint: Joint
  readonly ceiling: number
  readonly total: number
  readonly points: readonly { readonly at: number; readonly load: number; readonly slot: SlotId }[]
  /** When the ceiling is passed, and by which exercise. */
  readonly passed: { readonly at: number; readonly slot: SlotId } | undefined
}

export interface WithinSession {
  readonly groups: readonly GroupWithin[]
  readonly joints: readonly JointWithin[]
}

interface WorkedSpan {
  readonly span: TimeSpan
  readonly piece: CountedWork
  /** Share of the run's work that falls on this span. */ readonly share: number
}

/** Counted work laid over the spans it is done in. */
function workedSpans({ work, time }: SessionView): readonly WorkedSpan[] {
  const sets = time.spans.filter(({ kind }) => kind === 'set')
  return work
    .flatMap(piece => {
      const own = sets.filter(
        ({ slot, run }) =>
          slot === piece.slot.id && run !== undefined && piece.slot.scheme.runs[run] === piece.run,
      )
      return own.map(span => ({ span, piece, share: piece.times.value / own.length }))
    })
    .sort((a, b) => a.span.start - b.span.start)
}

function purposeOf({ slot }: CountedWork, context: PlanContext) {
  const exercise = requireExercise(context.catalogue, slot.exercise)
  return { exercise, intent: intentFor(context, exercise, slot.intent) }
}

function groupWithin(
  group: Group,
  worked: readonly WorkedSpan[],
  fatigueBefore: number,
  context: PlanContext,
): GroupWithin | undefined {
  const own = worked.filter(({ piece }) => (piece.credits[group] ?? 0) > 0)
  if (own.length === 0) return undefined
  let fatigue = fatigueBefore
  const sets = own.map(({ span, piece, share }): FeltSet => {
    const { exercise, intent } = purposeOf(piece, context)
    const credit = piece.credits[group] ?? 0
    fatigue += share * credit * setImpulse(piece.run, exercise, intent, context)
    return {
      start: span.start,
      end: span.start + span.seconds,
      slot: piece.slot.id,
      credit,
      readiness: readinessPercent(group, fatigue),
    }
  })
  const rests = sets.slice(1).map((set, at) => set.start - (sets[at]?.end ?? 0))
  return {
    group,
    startReadiness: readinessPercent(group, fatigueBefore),
    endReadiness: readinessPercent(group, fatigue),
    sets,
    shortestRest: rests.length > 0 ? Math.min(...rests) : undefined,
  }
}

function jointWithin(
  joint: Joint,
  worked: readonly WorkedSpan[],
  ceiling: number,
  context: PlanContext,
): JointWithin | undefined {
  let load = 0
  let passed: JointWithin['passed']
  const points = worked.flatMap(({ span, piece, share }) => {
    const { exercise, intent } = purposeOf(piece, context)
    const added = share * setJointLoad(piece.run, exercise, intent, joint, context)
    if (added === 0) return []
    const at = span.start + span.seconds
    load += added
    if (load > ceiling + 0.05 && !passed) passed = { at, slot: piece.slot.id }
    return [{ at, load, slot: piece.slot.id }]
  })
  return load > 0 ? { joint, ceiling, total: load, points, passed } : undefined
}

/** Arms first, then the rest of the body. */
const ORDER: readonly Group[] = [
  ...ARM_GROUPS,
  ...GROUPS.filter(group => !(ARM_GROUPS as readonly Group[]).includes(group)),
]

/**
 * Muscles and joints along one session, set by set.
 *
 * Shape:  groups that any set trains, arms first; joints that any set loads.
 * Edge:   what the sets leave adds up to what the rotation's recovery and joint loads have for the session.
 * Source: docs/methods.md#recovery and #joints.
 */
export function withinSession(
  view: SessionView,
  { recovery, joints, context }: CheckInput,
): WithinSession {
  const worked = workedSpans(view)
  const fatigueOf = (group: Group) =>
    recovery.arrivals[group].find(
      ({ day, session }) => day === view.day && session === view.session,
    )?.fatigue ?? 0
  return {
    groups: ORDER.flatMap(group => groupWithin(group, worked, fatigueOf(group), context) ?? []),
    joints: JOINTS.flatMap(
      joint => jointWithin(joint, worked, joints[joint].ceiling.session, context) ?? [],
    ),
  }
}
