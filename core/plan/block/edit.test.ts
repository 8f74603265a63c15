import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { exerciseId, groupingId, plainDate, slotId } from '../../base'
import { BUILT_IN_CATALOGUE, requireExercise } from '../catalogue'
import { defaultContext, STEADY_MIDDLE } from '../method'
import { daySlots } from '../rotation'
import { plannedSets } from '../scheme'
import type { Slot } from '../session'
import { planArbitrary } from '../../testing/arbitraries'
import {
  day,
  drop,
  idsInARow,
  planOf,
  REST_DAY,
  sets,
  slot,
  straight,
  work,
} from '../../testing/notation'
import { applyEdit, applyEdits } from './edit'
import type { PlanEdit } from './planEdit'
import { exerciseChoices, matchesChoice } from './exerciseChoice'
import { usualScheme } from './newScheme'
import { planDifference } from './planDifference'
import { findSlot, type PlanDocument } from './planDocument'
import { starterPlan } from './starter'

const curl = straight('cable_curl', 3, 12, 1)
const pushdown = straight('pushdown_rope', 3, 12, 1)
const plan = planOf(
  day(straight('bench_press_barbell', 4, 8, 2), pushdown),
  day(curl),
  REST_DAY,
  day(straight('cable_curl', 2, 12, 1)),
)

function setsOf(document: PlanDocument): readonly string[][] {
  return document.rotation.days.map(content =>
    daySlots(content).map((held: Slot) => `${plannedSets(held.scheme)} ${held.exercise}`),
  )
}
function edited(edit: PlanEdit, from = plan): PlanDocument {
  const result = applyEdit(from, edit, idsInARow())
  if (!result.ok) throw new Error(JSON.stringify(result.error))
  return result.value
}
const problem = (edit: PlanEdit) => {
  const result = applyEdit(plan, edit, idsInARow())
  return result.ok ? undefined : result.error
}
const usual = (id: string, count: number) =>
  usualScheme(requireExercise(BUILT_IN_CATALOGUE, id), count, STEADY_MIDDLE)

describe('edits', () => {
  test('a set more, a set fewer', () => {
    expect(setsOf(edited({ kind: 'add_sets', slot: pushdown.id, count: 1 }))[0]).toEqual([
      '4 bench_press_barbell',
      '4 pushdown_rope',
    ])
    expect(setsOf(edited({ kind: 'cut_sets', slot: pushdown.id, count: 1 }))[0]).toEqual([
      '4 bench_press_barbell',
      '2 pushdown_rope',
    ])
  })
  test('the last set takes the exercise with it, the last exercise the session', () => {
    const without = edited({ kind: 'cut_sets', slot: curl.id, count: 3 })
    expect(without.rotation.days[1]?.sessions).toEqual([])
  })
  test('a new exercise stands last', () => {
    const added = edited({
      kind: 'add_exercise',
      day: 0,
      exercise: exerciseId('kickback_cable'),
      intent: null,
      scheme: usual('kickback_cable', 2),
    })
    expect(setsOf(added)[0]).toEqual([
      '4 bench_press_barbell',
      '3 pushdown_rope',
      '2 kickback_cable',
    ])
  })
  test('sets move to the same exercise on the other day', () => {
    expect(
      setsOf(edited({ kind: 'move_sets', toDay: 3, moves: [{ slot: curl.id, count: 2 }] })),
    ).toEqual([
      ['4 bench_press_barbell', '3 pushdown_rope'],
      ['1 cable_curl'],
      [],
      ['4 cable_curl'],
    ])
  })
  test('sets move into a slot of their own where the day lacks the exercise, technique and all', () => {
    const special = slot('cable_curl', sets(2, [work(10, 1)]), sets(1, [work(10, 0), drop(8, 0)]))
    const moved = edited(
      { kind: 'move_sets', toDay: 0, moves: [{ slot: special.id, count: 3 }] },
      planOf(day(pushdown), day(special)),
    )
    const landed = daySlots(moved.rotation.days[0] ?? REST_DAY)[1]
    expect(landed).toMatchObject({ exercise: 'cable_curl', scheme: special.scheme })
    expect(landed?.id).not.toBe(special.id)
  })
  test('days an edit does not touch stay the same objects', () => {
    const after = edited({ kind: 'add_sets', slot: pushdown.id, count: 1 })
    expect(after.rotation.days.map((content, at) => content === plan.rotation.days[at])).toEqual([
      false,
      true,
      true,
      true,
    ])
  })
  test('moving to the day it is on changes nothing', () => {
    expect(edited({ kind: 'move_sets', toDay: 1, moves: [{ slot: curl.id, count: 2 }] })).toBe(plan)
  })
  test.each([
    {
      name: 'rest day',
      edit: { kind: 'move_sets', toDay: 2, moves: [{ slot: curl.id, count: 1 }] },
      expected: { kind: 'rest_day', day: 2 },
    },
    {
      name: 'no such day',
      edit: { kind: 'move_sets', toDay: 9, moves: [] },
      expected: { kind: 'no_such_day', day: 9 },
    },
    {
      name: 'no such slot',
      edit: { kind: 'add_sets', slot: slotId('gone'), count: 1 },
      expected: { kind: 'no_such_slot', slot: 'gone' },
    },
    {
      name: 'too many sets',
      edit: { kind: 'add_sets', slot: curl.id, count: 18 },
      expected: { kind: 'too_many_sets', exercise: 'cable_curl', limit: 20 },
    },
  ] as const)('refused: $name', ({ edit, expected }) =>
    expect(problem(edit as PlanEdit)).toEqual(expected),
  )
})

test('two versions differ where their sets do', () => {
  const theirs = edited({ kind: 'move_sets', toDay: 3, moves: [{ slot: curl.id, count: 3 }] })
  expect(planDifference(plan, theirs)).toEqual({
    sets: [
      { day: 1, exercise: 'cable_curl', mine: 3, theirs: 0 },
      { day: 3, exercise: 'cable_curl', mine: 2, theirs: 5 },
    ],
    isMore: false,
  })
  expect(planDifference(plan, plan)).toEqual({ sets: [], isMore: false })
  expect(planDifference(plan, { ...plan, title: 'Other' })).toEqual({ sets: [], isMore: true })
})

describe('choosing an exercise', () => {
  const full = defaultContext({ trainingAgeMonths: 20 })
  test('what is in the plan comes first, other purposes last', () => {
    const choices = exerciseChoices(plan, 'triceps', full)
    expect(choices[0]?.exercise.id).toBe('pushdown_rope')
    expect(choices.find(choice => choice.exercise.id === 'dip')?.intent).toBe('triceps')
  })
  test('only what the equipment allows', () => {
    const home = defaultContext({ trainingAgeMonths: 20, equipment: ['dumbbell'] })
    expect(exerciseChoices(plan, 'biceps', home).map(choice => choice.exercise.id)).toEqual([
      'dumbbell_curl',
      'concentration_curl',
      'rotating_curl',
      'drag_curl_dumbbell',
      'hammer_curl',
    ])
  })
  test('a few letters of name, alias or purpose find it', () => {
    const found = exerciseChoices(plan, 'triceps', full)
      .filter(choice => matchesChoice(choice, 'skull'))
      .map(choice => choice.exercise.id)
    expect(found).toEqual(['lying_extension_cambered'])
    expect(
      exerciseChoices(plan, 'triceps', full).filter(choice => matchesChoice(choice, 'upright dip')),
    ).toHaveLength(1)
  })
})

describe('edits that fixes are made of', () => {
  const press = straight('bench_press_barbell', 4, 8, 2)
  const extension = straight('pushdown_rope', 3, 12, 1)
  const wrist = straight('wrist_curl', 2, 15, 1)
  const base = planOf(day(extension, press, wrist), REST_DAY, day(straight('cable_curl', 2, 12, 1)))
  const order = (document: PlanDocument, at = 0) =>
    document.rotation.days[at]?.sessions[0]?.groupings.map(({ slots }) =>
      slots.map(held => held.exercise).join('+'),
    )

  test.each([
    {
      name: 'first',
      to: 'first' as const,
      expected: ['wrist_curl', 'pushdown_rope', 'bench_press_barbell'],
    },
    {
      name: 'before another',
      to: { before: press.id },
      expected: ['pushdown_rope', 'wrist_curl', 'bench_press_barbell'],
    },
    {
      name: 'last stays last',
      to: 'last' as const,
      expected: ['pushdown_rope', 'bench_press_barbell', 'wrist_curl'],
    },
  ])('an exercise moves: $name', ({ to, expected }) =>
    expect(order(edited({ kind: 'move_grouping', slot: wrist.id, to }, base))).toEqual(expected),
  )

  test('a pair comes apart in the order it stands', () => {
    const session = base.rotation.days[0]?.sessions[0]
    const paired = {
      ...base,
      rotation: {
        ...base.rotation,
        days: base.rotation.days.map((held, at) =>
          at === 0 && session
            ? {
                ...held,
                sessions: [
                  {
                    ...session,
                    groupings: [
                      {
                        id: groupingId('pair'),
                        kind: 'superset' as const,
                        placement: 'main' as const,
                        slots: [extension, press] as const,
                      },
                    ],
                  },
                ],
              }
            : held,
        ),
      },
    }
    expect(order(edited({ kind: 'ungroup', slot: press.id }, paired))).toEqual([
      'pushdown_rope',
      'bench_press_barbell',
    ])
  })
  test("another exercise takes the place, scheme and all, without the slot's own credits", () => {
    const own = { ...extension, credits: { triceps: 0.5 } }
    const swapped = edited(
      { kind: 'swap_exercise', slot: own.id, exercise: exerciseId('kickback_cable'), intent: null },
      planOf(day(own), REST_DAY),
    )
    expect(findSlot(swapped, own.id)?.slot).toEqual({
      id: own.id,
      exercise: 'kickback_cable',
      intent: null,
      scheme: own.scheme,
    })
  })
  test('days change places', () => {
    const swapped = edited({ kind: 'swap_days', day: 1, with: 2 }, base)
    expect(swapped.rotation.days[1]).toBe(base.rotation.days[2])
    expect(swapped.rotation.days[2]).toBe(base.rotation.days[1])
  })
  test('several edits are one step, and one that cannot be made stops them all', () => {
    const both = applyEdits(
      base,
      [
        { kind: 'remove_exercise', slot: wrist.id },
        { kind: 'add_sets', slot: press.id, count: 1 },
      ],
      idsInARow(),
    )
    expect(both.ok && setsOf(both.value)[0]).toEqual(['3 pushdown_rope', '5 bench_press_barbell'])
    expect(
      applyEdits(
        base,
        [
          { kind: 'remove_exercise', slot: wrist.id },
          { kind: 'add_sets', slot: wrist.id, count: 1 },
        ],
        idsInARow(),
      ),
    ).toEqual({ ok: false, error: { kind: 'no_such_slot', slot: wrist.id } })
  })
  test.each([
    [
      { kind: 'swap_days', day: 0, with: 9 },
      { kind: 'no_such_day', day: 9 },
    ],
    [
      { kind: 'ungroup', slot: slotId('gone') },
      { kind: 'no_such_slot', slot: 'gone' },
    ],
    [
      {
        kind: 'swap_exercise',
        slot: slotId('gone'),
        exercise: exerciseId('cable_curl'),
        intent: null,
      },
      { kind: 'no_such_slot', slot: 'gone' },
    ],
  ] as const)('refused: %o', (edit, expected) =>
    expect(problem(edit as PlanEdit)).toEqual(expected),
  )
})

test('no edit changes the plan it was made from, and every day it leaves alone stays the same object', () => {
  fc.assert(
    fc.property(
      planArbitrary,
      fc.nat(),
      fc.integer({ min: 1, max: 4 }),
      (document, pick, count) => {
        const slots = document.rotation.days.flatMap((held, at) =>
          daySlots(held).map(own => ({ own, at })),
        )
        const chosen = slots[pick % Math.max(1, slots.length)]
        if (!chosen) return
        const before = JSON.stringify(document)
        const result = applyEdit(
          document,
          { kind: 'cut_sets', slot: chosen.own.id, count },
          idsInARow(),
        )
        expect(JSON.stringify(document)).toBe(before)
        if (!result.ok) return
        document.rotation.days.forEach((held, at) => {
          if (at !== chosen.at) expect(result.value.rotation.days[at]).toBe(held)
        })
      },
    ),
    { numRuns: 100 },
  )
})

test("a new client's block is a week with a day wherever there is time", () => {
  const starter = starterPlan(
    [
      { weekday: 1, minutes: 60, start: '17:30' },
      { weekday: 4, minutes: 45, start: '06:00' },
    ],
    plainDate('2026-03-30'),
  )
  expect(
    starter.rotation.days.map(({ role, minuteLimit }) => `${role} ${minuteLimit ?? ''}`.trim()),
  ).toEqual(['full 60', 'rest', 'rest', 'full 45', 'rest', 'rest', 'rest'])
})
