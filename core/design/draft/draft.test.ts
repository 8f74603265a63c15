import { describe, expect, test } from '@jest/globals'
import { plainDate } from '../../base'
import { checkInput } from '../../judge/checks'
import { type PlanDocument, starterPlan } from '../../plan/block'
import {
  directGroups,
  type Equipment,
  isPossibleWith,
  JOINTS,
  type Joint,
  requireExercise,
} from '../../plan/catalogue'
import {
  type ClientFacts,
  contextWith,
  intentFor,
  METHODS,
  type PlanContext,
  STEADY_MIDDLE,
} from '../../plan/method'
import { sessionSlots } from '../../plan/session'
import { idsInARow } from '../../testing/notation'
import { draftsFrom, rolesOf, STRUCTURES, structuresFor } from '.'

const week = (days: readonly number[], minutes: number): PlanDocument =>
  starterPlan(
    days.map(weekday => ({ weekday, minutes, start: '17:30' })),
    plainDate('2026-04-06'),
  )
const client = (more: Partial<ClientFacts> = {}, method = STEADY_MIDDLE) =>
  contextWith(method, { trainingAgeMonths: 36, ...more })
const drafted = (plan: PlanDocument, context: PlanContext) =>
  draftsFrom(plan, context, { newId: idsInARow(), moves: 1500 })
const planOf = (
  plan: PlanDocument,
  { days }: { readonly days: PlanDocument['rotation']['days'] },
) => ({
  ...plan,
  rotation: { ...plan.rotation, days },
})
const slotsOf = ({ days }: { readonly days: PlanDocument['rotation']['days'] }) =>
  days.flatMap(({ sessions }) => sessions.flatMap(sessionSlots))
const DAYS: Readonly<Record<number, readonly number[]>> = {
  2: [2, 6],
  3: [1, 3, 5],
  4: [1, 2, 4, 5],
  6: [1, 2, 3, 4, 5, 6],
}

describe('a rotation from nothing', () => {
  test.each([2, 3, 4, 6].flatMap(days => [40, 60].map(minutes => ({ days, minutes }))))(
    '$days days of $minutes minutes: every day within its minutes, built on compounds, in order',
    ({ days, minutes }) => {
      const plan = week(DAYS[days]!, minutes)
      const context = client()
      const { drafts } = drafted(plan, context)
      expect(drafts.length).toBeGreaterThan(0)
      expect(new Set(drafts.map(({ id }) => id)).size).toBe(drafts.length)
      for (const draft of drafts) {
        const { sessions } = checkInput(planOf(plan, draft), context)
        expect(sessions).toHaveLength(days)
        for (const { time } of sessions)
          expect(time.seconds).toBeLessThanOrEqual(60 * minutes + 1e-6)
        for (const [at, day] of draft.days.entries()) {
          const kinds = day.sessions.flatMap(({ groupings }) =>
            groupings.map(
              ({ slots: [first] }) => requireExercise(context.catalogue, first.exercise).kind,
            ),
          )
          expect(plan.rotation.days[at]!.role === 'rest').toBe(day.role === 'rest')
          if (day.role === 'rest' || day.role === 'arms') continue
          expect(kinds[0]).toBe('compound')
          // What comes after the first single-joint exercise is no compound any more.
          expect(kinds.lastIndexOf('compound')).toBeLessThan(kinds.indexOf('isolation') >>> 0)
        }
      }
    },
  )

  test('pushes have a press, pulls a row or pulldown, legs a squat or hinge, on every draft', () => {
    const context = client()
    const builtOn = {
      push: ['chest', 'delts_front'],
      pull: ['lats', 'upper_back'],
      legs: ['quads', 'hamstrings', 'glutes'],
    }
    for (const draft of drafted(week(DAYS[6]!, 60), context).drafts)
      for (const { role, sessions } of draft.days) {
        const wanted = builtOn[role as keyof typeof builtOn] as readonly string[] | undefined
        const groups = sessions.flatMap(sessionSlots).flatMap(slot => {
          const exercise = requireExercise(context.catalogue, slot.exercise)
          return exercise.kind === 'compound'
            ? directGroups(intentFor(context, exercise, slot.intent).credits)
            : []
        })
        if (wanted) expect(groups.some(group => wanted.includes(group))).toBe(true)
      }
  })

  test.each<{ level: 'hold' | 'swap' | 'stop'; most: number }>([
    { level: 'hold', most: 0.5 },
    { level: 'swap', most: 0.25 },
    { level: 'stop', most: 0 },
  ])('a joint at $level bears at most $most of its ceilings', ({ level, most }) => {
    const joints: readonly Joint[] = ['elbow_flexor_side', 'elbow_extensor_side', 'wrist']
    const pain = Object.fromEntries(joints.map(joint => [joint, level]))
    const context = client({ pain })
    const plan = week(DAYS[4]!, 60)
    const { drafts, withheld } = drafted(plan, context)
    for (const draft of drafts) {
      const input = checkInput(planOf(plan, draft), context)
      for (const joint of joints) {
        const { weekLoad, ceiling } = input.joints[joint]
        expect(weekLoad).toBeLessThanOrEqual(most * ceiling.week + 1e-6)
        for (const session of input.sessions)
          expect(session.joints[joint]).toBeLessThanOrEqual(most * ceiling.session + 1e-6)
      }
    }
    expect(withheld.length).toBeGreaterThan(0)
    expect(withheld.every(({ why }) => (JOINTS as readonly string[]).includes(why))).toBe(true)
  })

  test('only what the equipment and the lists allow is put in; bands alone still make a week', () => {
    const equipment: readonly Equipment[] = ['band', 'bodyweight']
    const context = client({ equipment, avoid: ['push_up'] })
    const { drafts } = drafted(week(DAYS[3]!, 45), context)
    expect(drafts.length).toBeGreaterThan(0)
    for (const draft of drafts) {
      expect(slotsOf(draft).length).toBeGreaterThan(0)
      for (const { exercise } of slotsOf(draft)) {
        expect(exercise).not.toBe('push_up')
        expect(isPossibleWith(requireExercise(context.catalogue, exercise), equipment)).toBe(true)
      }
    }
  })

  test('five methods make five different weeks for one client, each by its own ways', () => {
    const kindsOf = (days: PlanDocument['rotation']['days']) =>
      days.flatMap(({ sessions }) =>
        sessions.flatMap(({ groupings }) => groupings.map(({ kind }) => kind)),
      )
    const weeks = METHODS.map(method => {
      const { drafts } = drafted(week(DAYS[4]!, 60), client({}, method))
      const kinds = new Set(drafts.flatMap(({ days }) => kindsOf(days)))
      expect(kinds).toEqual(
        new Set(
          method.pairing.mode === 'straight' ? ['straight'] : ['straight', method.pairing.mode],
        ),
      )
      return slotsOf(drafts[0]!).map(({ exercise, scheme }) => [exercise, scheme])
    })
    expect(new Set(weeks.map(one => JSON.stringify(one))).size).toBe(METHODS.length)
  })

  test('the same question has the same answer; without a training day it says so', () => {
    const plan = week(DAYS[3]!, 50)
    expect(drafted(plan, client())).toEqual(drafted(plan, client()))
    const none = planOf(plan, {
      days: plan.rotation.days.map(() => ({ role: 'rest' as const, sessions: [] })),
    })
    expect(drafted(none, client())).toEqual({
      drafts: [],
      concerns: [{ kind: 'no_training_day' }],
      withheld: [],
    })
  })

  test('roles that the coach has given come first and stay', () => {
    const plan = week(DAYS[3]!, 60)
    const roles = ['push', 'pull', 'arms'] as const
    let at = 0
    const named = planOf(plan, {
      days: plan.rotation.days.map(day =>
        day.role === 'rest' ? day : { ...day, role: roles[at++]! },
      ),
    })
    const own = drafted(named, client()).drafts.find(({ id }) => id === 'own')
    expect(own?.days.map(({ role }) => role).filter(role => role !== 'rest')).toEqual([...roles])
  })
})

test.each(Array.from({ length: 13 }, (_, at) => at + 1))(
  '%i training days have structures, and each role its day',
  days => {
    const structures = structuresFor(days)
    expect(structures.length).toBeGreaterThan(0)
    for (const structure of structures) expect(rolesOf(structure, days)).toHaveLength(days)
    expect(new Set(STRUCTURES.map(({ id }) => id)).size).toBe(STRUCTURES.length)
  },
)
