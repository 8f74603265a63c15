import { exerciseId, groupingId, type PlainDate, sessionId, slotId } from '#core/base'
import { type BlockPlan, type PlanDocument, usualScheme } from '#core/plan/block'
import { BUILT_IN_CATALOGUE, requireExercise } from '#core/plan/catalogue'
import { STEADY_MIDDLE } from '#core/plan/method'
import type { DayRole, Rotation, RotationDay } from '#core/plan/rotation'
import type { SetRun, WorkStage } from '#core/plan/scheme'
import type { Grouping, GroupingKind, Placement, Slot } from '#core/plan/session'

/** One exercise as the demo data write it down: `name:intent`, sets, and what differs from the usual. */
interface Line {
  readonly exercise: string
  readonly sets: number
  readonly lastDropped: boolean
}

/** Straight sets of an exercise. */
export function line(exercise: string, sets: number): Line {
  return { exercise, sets, lastDropped: false }
}

/** The same with a drop on the last set. */
export function lastDropped(exercise: string, sets: number): Line {
  return { exercise, sets, lastDropped: true }
}

interface Part {
  readonly kind: GroupingKind
  readonly placement: Placement
  readonly lines: readonly [Line, ...Line[]]
}

/** Two or more exercises done together. */
export function together(
  kind: Exclude<GroupingKind, 'straight'>,
  ...lines: readonly [Line, ...Line[]]
): Part {
  return { kind, placement: 'main', lines }
}

/** Exercises placed last on the day, after what the day is for. */
export function finisher(...lines: readonly [Line, ...Line[]]): Part {
  return { kind: lines.length > 1 ? 'superset' : 'straight', placement: 'finisher', lines }
}

interface DayNotes {
  readonly role: DayRole
  readonly minutes: number
  readonly parts: readonly (Line | Part)[]
}

/** A plan whose passes differ; of two exercises that take turns the first is named as it stands in the rotation. */
export function withBlock(
  plan: PlanDocument,
  {
    turns = [],
    ...block
  }: BlockPlan & { readonly turns?: readonly (readonly [exercise: string, other: string])[] },
): PlanDocument {
  const slots = plan.rotation.days.flatMap(({ sessions }) =>
    sessions.flatMap(({ groupings }) => groupings.flatMap(grouping => grouping.slots)),
  )
  const alternations = turns.flatMap(([exercise, other]) =>
    slots
      .filter(slot => slot.exercise === exercise)
      .map(({ id }) => ({
        slot: id,
        exercise: exerciseId(other),
        intent: null,
        by: 'exposure' as const,
      })),
  )
  return { ...plan, block: { ...block, ...(alternations.length > 0 && { alternations }) } }
}

/** A training day with its limit in minutes. */
export function trainingDay(
  role: DayRole,
  minutes: number,
  ...parts: readonly (Line | Part)[]
): DayNotes {
  return { role, minutes, parts }
}

/** A day without training. */
export const restDay: DayNotes = { role: 'rest', minutes: 0, parts: [] }

/** Writes a plan document from the notes of its days. */
export function planFrom(
  notes: {
    readonly title: string
    readonly startsOn: PlainDate
    readonly passes: number
    readonly anchor: Rotation['anchor']
    readonly days: readonly DayNotes[]
  },
  newId: () => string,
): PlanDocument {
  const { days, anchor, ...plan } = notes
  return {
    schema: 1,
    ...plan,
    rotation: { kind: 'places', anchor, days: days.map(day => writtenDay(day, newId)) },
  }
}

function writtenDay({ role, minutes, parts }: DayNotes, newId: () => string): RotationDay {
  if (parts.length === 0) return { role, sessions: [] }
  const groupings = parts.map(part =>
    writtenGrouping(
      'lines' in part ? part : { kind: 'straight', placement: 'main', lines: [part] },
      newId,
    ),
  )
  return { role, minuteLimit: minutes, sessions: [{ id: sessionId(newId()), groupings }] }
}

function writtenGrouping(
  { kind, placement, lines: [first, ...others] }: Part,
  newId: () => string,
): Grouping {
  return {
    id: groupingId(newId()),
    kind,
    placement,
    slots: [writtenSlot(first, newId), ...others.map(other => writtenSlot(other, newId))],
  }
}

function writtenSlot(
  { exercise: name, sets, lastDropped: drops }: Line,
  newId: () => string,
): Slot {
  const [id = '', intent = null] = name.split(':')
  const exercise = requireExercise(BUILT_IN_CATALOGUE, id)
  const scheme = usualScheme(exercise, sets, STEADY_MIDDLE)
  return {
    id: slotId(newId()),
    exercise: exerciseId(id),
    intent,
    scheme: drops ? { runs: withLastDropped(scheme.runs) } : scheme,
  }
}

function withLastDropped([run]: readonly SetRun[]): readonly SetRun[] {
  if (!run) return []
  const dropStage: WorkStage = {
    kind: 'work',
    reps: { kind: 'to_failure' },
    load: { kind: 'drop_percent', percent: 30, from: 'first' },
  }
  const last: SetRun = { ...run, count: 1, stages: [...run.stages, dropStage] }
  return run.count === 1 ? [last] : [{ ...run, count: run.count - 1 }, last]
}
