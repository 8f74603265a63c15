import { remembered } from '../../base'
import type { PlanDocument } from '../../plan/block'
import {
  type Catalogue,
  type Exercise,
  type Group,
  type Intent,
  type Joint,
  requireExercise,
} from '../../plan/catalogue'
import {
  jointLoads,
  type JointHistory,
  type JointLoads,
  type JointWeek,
  rotationJoints,
} from '../../body/joints'
import {
  type CountedWork,
  countedWorkOfDay,
  rotationLedger,
  type RotationLedger,
  workOfSession,
} from '../../count/ledger'
import { type ClientFacts, intentFor, type PlanContext } from '../../plan/method'
import { isGripLimited, mainGroup, sessionTime, type SessionTime } from '../../plan/minutes'
import { rotationRecovery, type RotationRecovery } from '../../body/recovery'
import type { RotationDay } from '../../plan/rotation'
import { isExtended, leadRir, lowestRir, leadReps, type SetRun } from '../../plan/scheme'
import type { Grouping, Session, Slot } from '../../plan/session'

/** One exercise of a session with what the rules ask about it. */
export interface PlacedSlot {
  readonly slot: Slot
  readonly grouping: Grouping
  readonly exercise: Exercise
  readonly intent: Intent
  readonly main: Group | undefined
  /** Runs that are not warm-up. */
  readonly runs: readonly SetRun[]
  readonly sets: number
  readonly warmups: number
  readonly isGripLimited: boolean
  /** Fewest reps of a working set, where they are known. */
  readonly fewestReps: number | undefined
  readonly lowestRir: number
  /** Share of the session's working sets that come before it, 0 to 1. */
  readonly startsAt: number
}

export interface SessionView {
  readonly day: number
  readonly session: number
  readonly rotationDay: RotationDay
  readonly content: Session
  readonly slots: readonly PlacedSlot[]
  readonly sets: number
  readonly time: SessionTime
  readonly joints: JointLoads
  readonly work: readonly CountedWork[]
}

/** Everything the rules look at, computed once. */
export interface CheckInput {
  readonly plan: PlanDocument
  readonly context: PlanContext
  readonly ledger: RotationLedger
  readonly recovery: RotationRecovery
  readonly joints: Readonly<Record<Joint, JointWeek>>
  readonly sessions: readonly SessionView[]
  /** Weeks of each joint before this block, where there is a log. */
  readonly jointHistory: Readonly<Partial<Record<Joint, readonly JointHistory[]>>>
  /** Exercises the client has not done in the last 56 days; empty without a log. */
  readonly newExercises: readonly string[]
}

/** Exercises of a session in order; those of warm-up blocks are left out. */
function placedSlots(session: Session, context: PlanContext): readonly PlacedSlot[] {
  const all = session.groupings
    .filter(({ placement }) => placement !== 'warmup')
    .flatMap(grouping => grouping.slots.map(slot => ({ grouping, slot })))
  const total = all.reduce((sum, { slot }) => sum + workingSets(slot), 0)
  let before = 0
  return all.map(({ grouping, slot }) => {
    const exercise = requireExercise(context.catalogue, slot.exercise)
    const own = intentFor(context, exercise, slot.intent)
    const runs = slot.scheme.runs.filter(({ role }) => role !== 'warmup')
    const reps = exercise.repUnit === 'seconds' ? [] : runs.flatMap(run => leadReps(run) ?? [])
    const placed: PlacedSlot = {
      slot,
      grouping,
      exercise,
      intent: slot.credits ? { ...own, credits: slot.credits } : own,
      main: mainGroup(slot, exercise, context),
      runs,
      sets: workingSets(slot),
      warmups: slot.scheme.runs.reduce(
        (sum, run) => sum + (run.role === 'warmup' ? run.count : 0),
        0,
      ),
      isGripLimited: isGripLimited(slot, exercise, context),
      fewestReps: reps.length > 0 ? Math.min(...reps) : undefined,
      lowestRir: Math.min(...runs.map(run => lowestRir(run) ?? context.method.effort.defaultRir)),
      startsAt: total === 0 ? 0 : before / total,
    }
    before += placed.sets
    return placed
  })
}

/** Views of a day's sessions; the same objects for as long as the day stays the same and in its place. */
function sessionViews(
  rotationDay: RotationDay,
  day: number,
  context: PlanContext,
): readonly SessionView[] {
  const known = viewsOfDay(rotationDay, context)
  const views =
    known.get(day) ??
    rotationDay.sessions.map((content, session): SessionView => {
      const slots = placedSlots(content, context)
      const work = workOfSession(content, countedWorkOfDay(rotationDay, context))
      return {
        day,
        session,
        rotationDay,
        content,
        slots,
        sets: slots.reduce((sum, { sets }) => sum + sets, 0),
        time: sessionTime(content, context),
        joints: jointLoads(work, context),
        work,
      }
    })
  known.set(day, views)
  return views
}

const viewsOfDay = remembered(
  (_day: RotationDay, _context: PlanContext) => new Map<number, readonly SessionView[]>(),
)

function workingSets(slot: Slot): number {
  return slot.scheme.runs.reduce(
    (sum, run) => sum + (run.role === 'working' || run.role === 'ramp' ? run.count : 0),
    0,
  )
}

export interface History {
  readonly jointHistory?: CheckInput['jointHistory']
  readonly newExercises?: readonly string[]
}

const NONE_NEW: readonly string[] = []

/** Exercises a client has not done for half a year, or ever; none where her log is too short to tell. */
const newTo = remembered((client: ClientFacts, catalogue: Catalogue): readonly string[] => {
  const done = new Set(client.doneExercises ?? [])
  return done.size === 0 ? NONE_NEW : [...catalogue.keys()].filter(id => !done.has(id))
})

/** Looks at a plan once for all rules; parts that are known already may be handed in. */
export function checkInput(
  plan: PlanDocument,
  context: PlanContext,
  { jointHistory = {}, newExercises = newTo(context.client, context.catalogue) }: History = {},
  ledger = rotationLedger(plan.rotation, context),
): CheckInput {
  const sessions = plan.rotation.days.flatMap((rotationDay, day) =>
    sessionViews(rotationDay, day, context),
  )
  return {
    plan,
    context,
    ledger,
    sessions,
    jointHistory,
    newExercises,
    recovery: rotationRecovery(plan.rotation, context, ledger.work),
    joints: rotationJoints(plan.rotation, context, ledger.work),
  }
}

/** A threshold as strict as the method wants it; counts are rounded down. */
export function strictly(
  context: PlanContext,
  threshold: number,
  kind: 'count' | 'amount' = 'amount',
): number {
  const factor = { low: 1.25, normal: 1, high: 0.8 }[context.method.checks.strictness]
  return kind === 'count' ? Math.floor(threshold * factor + 1e-9) : threshold * factor
}

/** Sets of a slot at or under an RIR. */
export function setsUpToRir({ runs }: PlacedSlot, rir: number, usual: number): number {
  return runs.reduce((sum, run) => sum + ((leadRir(run) ?? usual) <= rir ? run.count : 0), 0)
}

/** Sets of a slot that go on after they have come near failure. */
export function extendedSets({ runs }: PlacedSlot): number {
  return runs.reduce((sum, run) => sum + (isExtended(run) ? run.count : 0), 0)
}
