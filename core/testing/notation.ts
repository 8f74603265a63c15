import { exerciseId, groupingId, plainDate, sessionId, slotId } from '../base'
import type { PlanDocument } from '../plan/block'
import type { RotationDay } from '../plan/rotation'
import type { Load, Rest, SetRun, Stage, WorkStage } from '../plan/scheme'
import type { Grouping, Slot } from '../plan/session'

/* A few words to write plans down in tests as a coach would say them. */

const lighter: Load = { kind: 'drop_percent', percent: 20, from: 'previous' }

/** A work stage of `reps` reps; `rir` left out stays unknown. */
export function work(reps: number, rir?: number, more: Partial<WorkStage> = {}): WorkStage {
  return {
    kind: 'work',
    reps: { kind: 'exactly', count: reps },
    ...(rir === undefined ? {} : { effort: { kind: 'rir', rir } }),
    ...more,
  }
}

/** A stage after a cut of the load. */
export function drop(reps: number, rir?: number): WorkStage {
  return work(reps, rir, { load: lighter })
}

/** A rest inside a set. */
export function pause(seconds: number): Stage {
  const rest: Rest = { kind: 'seconds', seconds }
  return { kind: 'rest', rest }
}

/** `count` equal sets of the given stages. */
export function sets(
  count: number,
  stages: readonly [Stage, ...Stage[]],
  more: Partial<SetRun> = {},
): SetRun {
  return { count, role: 'working', stages, ...more }
}

let nextId = 0

/** A slot holding runs of sets; `exercise` may name an intent after a colon. */
export function slot(exercise: string, ...runs: readonly SetRun[]): Slot {
  const [id = '', intent = null] = exercise.split(':')
  return { id: slotId(`slot-${nextId++}`), exercise: exerciseId(id), intent, scheme: { runs } }
}

/** Straight sets, `4 x 8 at RIR 2`. */
export function straight(exercise: string, count: number, reps: number, rir?: number): Slot {
  return slot(exercise, sets(count, [work(reps, rir)]))
}

/** A training day with one session of straight groupings. */
export function day(...slots: readonly Slot[]): RotationDay {
  const groupings = slots.map((held): Grouping => ({
    id: groupingId(`grouping-${nextId++}`),
    kind: 'straight',
    placement: 'main',
    slots: [held],
  }))
  return { role: 'upper', sessions: [{ id: sessionId(`session-${nextId++}`), groupings }] }
}

export const REST_DAY: RotationDay = { role: 'rest', sessions: [] }

/** A floating rotation of the given days as a plan. */
export function planOf(...days: readonly RotationDay[]): PlanDocument {
  return {
    schema: 1,
    title: 'Test block',
    startsOn: plainDate('2026-04-03'),
    passes: 4,
    rotation: { kind: 'places', anchor: { kind: 'floating' }, days },
  }
}

/** Ids in a row for edits under test. */
export function idsInARow(): () => string {
  let at = 0
  return () => `new-${++at}`
}
