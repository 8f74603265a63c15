import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { exerciseId, groupingId, plainDate, sessionId, slotId } from '../base'
import { rotationJoints } from '../body/joints'
import { RECOVERY, rotationRecovery, tauHours } from '../body/recovery'
import { rotationLedger } from '../count/ledger'
import type { PlanDocument } from '../plan/block'
import {
  ARM_GROUPS,
  EXERCISES,
  GROUP_MUSCLES,
  GROUPS,
  JOINTS,
  type Muscle,
} from '../plan/catalogue'
import { contextWith, METHODS, type PlanContext } from '../plan/method'
import { sessionTime } from '../plan/minutes'
import type { RotationDay } from '../plan/rotation'
import { type Grouping, GROUPING_KINDS, type Session, type Slot } from '../plan/session'
import { dayArbitrary } from './arbitraries'
import { plainFatigue, plainJoint, plainReadiness, plainSeconds, plainSets } from './plainly'
import { restArbitrary, schemeArbitrary } from './schemes'

/* Two programs that know nothing of each other agree over any plan: every field of every set, pairs, turns, two sessions a day. */

const id = fc.uuid()
const ARM_EXERCISES = EXERCISES.filter(({ intents: [{ credits }] }) =>
  ARM_GROUPS.some(group => credits[group] !== undefined),
)
const slot: fc.Arbitrary<Slot> = fc
  .oneof({ weight: 3, arbitrary: fc.constantFrom(...ARM_EXERCISES) }, fc.constantFrom(...EXERCISES))
  .chain(exercise =>
    fc.record(
      {
        id: id.map(slotId),
        exercise: fc.constant(exerciseId(exercise.id)),
        intent: fc.constantFrom(null, ...exercise.intents.map(intent => intent.id)),
        credits: fc.constant({ biceps: 1, forearms: 0.5 }),
        scheme: schemeArbitrary,
      },
      { requiredKeys: ['id', 'exercise', 'intent', 'scheme'] },
    ),
  )
const grouping: fc.Arbitrary<Grouping> = fc.record(
  {
    id: id.map(groupingId),
    kind: fc.constantFrom(...GROUPING_KINDS),
    placement: fc.constantFrom('main', 'main', 'finisher', 'warmup'),
    slots: fc
      .tuple(slot, fc.array(slot, { maxLength: 2 }))
      .map(([first, others]): [Slot, ...Slot[]] => [first, ...others]),
    changeOverSeconds: fc.integer({ min: 0, max: 90 }),
    turn: fc.constantFrom({ at: 1, of: 2 }, { at: 2, of: 2 }),
    restBetweenPartners: restArbitrary,
    restAfterRound: restArbitrary,
    restAfterGrouping: restArbitrary,
  },
  { requiredKeys: ['id', 'kind', 'placement', 'slots'] },
)
const session: fc.Arbitrary<Session> = fc.record(
  {
    id: id.map(sessionId),
    groupings: fc.array(grouping, { maxLength: 4 }),
    restBetweenMuscles: restArbitrary,
    preparation: fc.array(
      fc.record({ minutes: fc.integer({ min: 1, max: 20 }), what: fc.constant('a walk') }),
      { minLength: 1, maxLength: 2 },
    ),
  },
  { requiredKeys: ['id', 'groupings'] },
)
const anyDay: fc.Arbitrary<RotationDay> = fc.oneof(
  dayArbitrary,
  fc.record({
    role: fc.constantFrom('push' as const, 'pull' as const, 'arms' as const),
    sessions: fc.array(session, { minLength: 1, maxLength: 2 }),
  }),
)
const plans: fc.Arbitrary<PlanDocument> = fc
  .array(anyDay, { minLength: 2, maxLength: 10 })
  .map(days => ({
    schema: 1,
    title: 'Any block',
    startsOn: plainDate('2026-04-03'),
    passes: 4,
    rotation: { kind: 'places', anchor: { kind: 'floating' }, days },
  }))
const contexts: fc.Arbitrary<PlanContext> = fc
  .tuple(
    fc.constantFrom(...METHODS),
    fc.constantFrom(3, 11, 12, 24, 36, 37, 60),
    fc.constantFrom('nothing' as const, 'whole' as const),
    fc.constantFrom('by_stage' as const, 'as_one' as const),
    fc.constantFrom(3, 5),
  )
  .map(([method, trainingAgeMonths, buildUp, restricted, easiest]) =>
    contextWith(
      { ...method, counts: { ...method.counts, buildUp, restricted, easiest } },
      { trainingAgeMonths },
    ),
  )

const RUNS = 500
/** One draw of plans for every rule below: what the program remembers of a plan is remembered for all of them. */
const DRAWN = fc.sample(fc.tuple(plans, contexts), RUNS)

/** Holds a rule to every plan drawn; where it breaks, to the smallest plan on which it does. */
function onEveryPlan(holds: (plan: PlanDocument, context: PlanContext) => void) {
  try {
    for (const [plan, context] of DRAWN) holds(plan, context)
  } catch (error) {
    fc.assert(fc.property(plans, contexts, holds), { numRuns: RUNS })
    throw error
  }
}

/** What of some figures the two programs do not agree on, by name; nothing where they do. */
function differences(
  name: string,
  program: readonly number[],
  plainly: readonly number[],
): readonly string[] {
  if (program.length !== plainly.length) return [`${name}: ${program.length}, ${plainly.length}`]
  return program.flatMap((value, at) =>
    Math.abs(value - plainly[at]!) < 1e-6 * Math.max(1, Math.abs(value))
      ? []
      : [`${name} ${at}: ${value}, plainly ${plainly[at]}`],
  )
}

describe('counted a second time, plainly', () => {
  test('direct and counted sets of every group and head under every method', () => {
    const none = { direct: 0, counted: 0 }
    onEveryPlan((plan, context) => {
      const { groups, muscles } = rotationLedger(plan.rotation, context)
      const sums = plainSets(plan, context)
      const found = GROUPS.flatMap(group => {
        const { direct, counted } = sums[group] ?? none
        const { week } = groups[group]
        const heads = GROUP_MUSCLES[group] as readonly Muscle[]
        return [
          ...differences(group, [week.direct.value, week.counted.value], [direct, counted]),
          ...(heads.length === 1
            ? []
            : differences(
                `${group} heads`,
                heads.map(head => muscles[head].counted.value),
                heads.map(head => (sums[head] ?? none).counted),
              )),
        ]
      })
      expect(found).toEqual([])
    })
  })

  test('readiness of every group at every session that works it', () => {
    onEveryPlan((plan, context) => {
      const { arrivals } = rotationRecovery(plan.rotation, context)
      const fatigue = plainFatigue(plan, context)
      const found = GROUPS.flatMap(group => {
        const hours = { tau: tauHours(group, context), capacity: RECOVERY[group].capacity }
        return differences(
          group,
          arrivals[group].map(({ readiness }) => readiness),
          plainReadiness(fatigue, plan.rotation.days.length, group, hours),
        )
      })
      expect(found).toEqual([])
    })
  })

  test('what every joint bears in a session and a week, and what is still in it', () => {
    onEveryPlan((plan, context) => {
      const joints = rotationJoints(plan.rotation, context)
      const found = JOINTS.flatMap(joint => {
        const { week, loads, stores } = plainJoint(plan, context, joint)
        const { weekLoad, sessions } = joints[joint]
        return [
          ...differences(`${joint} week`, [weekLoad], [week]),
          ...differences(
            `${joint} session`,
            sessions.map(({ load }) => load),
            loads,
          ),
          ...differences(
            `${joint} left`,
            sessions.map(({ store }) => store),
            stores,
          ),
        ]
      })
      expect(found).toEqual([])
    })
  })

  test('seconds of every session', () => {
    fc.assert(
      fc.property(session, contexts, (held, context) => {
        const { seconds } = sessionTime(held, context)
        expect(differences('seconds', [seconds], [plainSeconds(held, context)])).toEqual([])
      }),
      { numRuns: 2 * RUNS },
    )
  })
})

test('neither recovery nor joints know how sets are counted', () => {
  for (const [plan] of DRAWN.slice(0, 100)) {
    const [first, ...others] = METHODS.map(({ school }) => {
      const [usual] = METHODS
      const context = contextWith({ ...usual!, school }, { trainingAgeMonths: 24 })
      return {
        joints: rotationJoints(plan.rotation, context),
        ready: Object.values(rotationRecovery(plan.rotation, context).arrivals).map(own =>
          own.map(({ readiness }) => readiness),
        ),
      }
    })
    for (const other of others) expect(other).toEqual(first)
  }
})
