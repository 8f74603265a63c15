import fc from 'fast-check'
import { exerciseId, groupingId, plainDate, sessionId, slotId } from '../base'
import type { PlanDocument } from '../plan/block'
import { EXERCISES } from '../plan/catalogue'
import type { RotationDay } from '../plan/rotation'
import type { Effort, Load, Reps, SetRun, Stage } from '../plan/scheme'
import type { Grouping, Session, Slot } from '../plan/session'

const id = fc.uuid()
const reps: fc.Arbitrary<Reps> = fc.oneof(
  fc.record({ kind: fc.constant('exactly' as const), count: fc.integer({ min: 1, max: 40 }) }),
  fc
    .tuple(fc.integer({ min: 1, max: 12 }), fc.integer({ min: 0, max: 12 }))
    .map(([low, more]) => ({ kind: 'between' as const, low, high: low + more })),
  fc.constant({ kind: 'to_failure' as const }),
  fc.record({ kind: fc.constant('until_total' as const), total: fc.integer({ min: 10, max: 60 }) }),
)
const effort: fc.Arbitrary<Effort> = fc.oneof(
  fc.record({ kind: fc.constant('rir' as const), rir: fc.integer({ min: 0, max: 8 }) }),
  fc.constant({ kind: 'failure' as const }),
)
const load: fc.Arbitrary<Load> = fc.record({
  kind: fc.constant('drop_percent' as const),
  percent: fc.integer({ min: 5, max: 60 }),
  from: fc.constantFrom('first' as const, 'previous' as const),
})
const stage: fc.Arbitrary<Stage> = fc.oneof(
  {
    weight: 5,
    arbitrary: fc.record(
      { kind: fc.constant('work' as const), reps, effort, load },
      { requiredKeys: ['kind'] },
    ),
  },
  {
    weight: 1,
    arbitrary: fc.record(
      {
        kind: fc.constant('hold' as const),
        at: fc.constantFrom('lengthened' as const, 'mid' as const),
        seconds: fc.integer({ min: 5, max: 60 }),
      },
      { requiredKeys: ['kind', 'at'] },
    ),
  },
  {
    weight: 1,
    arbitrary: fc
      .integer({ min: 0, max: 60 })
      .map(seconds => ({ kind: 'rest' as const, rest: { kind: 'seconds' as const, seconds } })),
  },
)
const run: fc.Arbitrary<SetRun> = fc.record(
  {
    count: fc.integer({ min: 1, max: 5 }),
    role: fc.constantFrom(
      'working' as const,
      'working' as const,
      'warmup' as const,
      'primer' as const,
    ),
    side: fc.constantFrom('left' as const, 'right' as const),
    stages: fc
      .tuple(stage, fc.array(stage, { maxLength: 3 }))
      .map(([first, others]): [Stage, ...Stage[]] => [first, ...others]),
  },
  { requiredKeys: ['count', 'role', 'stages'] },
)

/** A slot of any built-in exercise with up to 15 sets. */
export const slotArbitrary: fc.Arbitrary<Slot> = fc.constantFrom(...EXERCISES).chain(exercise =>
  fc.record({
    id: id.map(slotId),
    exercise: fc.constant(exerciseId(exercise.id)),
    intent: fc.constantFrom(null, ...exercise.intents.map(intent => intent.id)),
    scheme: fc.record({ runs: fc.array(run, { minLength: 1, maxLength: 3 }) }),
  }),
)

const session: fc.Arbitrary<Session> = fc.record({
  id: id.map(sessionId),
  groupings: fc.array(
    fc.tuple(id, slotArbitrary).map(([own, held]): Grouping => ({
      id: groupingId(own),
      kind: 'straight',
      placement: 'main',
      slots: [held],
    })),
    { maxLength: 5 },
  ),
})

/** A training day or a rest day. */
export const dayArbitrary: fc.Arbitrary<RotationDay> = fc.oneof(
  {
    weight: 3,
    arbitrary: fc.record({
      role: fc.constantFrom('push' as const, 'pull' as const, 'arms' as const),
      sessions: fc.array(session, { minLength: 1, maxLength: 2 }),
    }),
  },
  { weight: 1, arbitrary: fc.constant({ role: 'rest' as const, sessions: [] }) },
)

/** A plan with a rotation of any allowed length. */
export const planArbitrary: fc.Arbitrary<PlanDocument> = fc
  .array(dayArbitrary, { minLength: 2, maxLength: 14 })
  .map(days => ({
    schema: 1,
    title: 'Any block',
    startsOn: plainDate('2026-04-03'),
    passes: 4,
    rotation: { kind: 'places', anchor: { kind: 'floating' }, days },
  }))
