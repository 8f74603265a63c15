import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { contextWith, METHODS, STEADY_MIDDLE } from '../method'
import { daySlots, ROTATION_LENGTH } from '../rotation'
import { planArbitrary } from '../../testing/arbitraries'
import { idsInARow } from '../../testing/notation'
import { planIn, written } from '../../testing/shorthandPlans'
import {
  applyEdit,
  templateDays,
  mergedPlans,
  type PlanDocument,
  type PlanEdit,
  ROTATION_TEMPLATES,
} from '.'

const plan = planIn(
  4,
  written('push', 'pushdown_rope 3 x 12, rir 2'),
  written('pull', 'cable_curl 3 x 12, rir 2'),
)
function edited(edit: PlanEdit, from: PlanDocument = plan): PlanDocument {
  const result = applyEdit(from, edit, idsInARow())
  if (!result.ok) throw new Error(JSON.stringify(result.error))
  return result.value
}
const problem = (edit: PlanEdit, from: PlanDocument = plan) => {
  const result = applyEdit(from, edit, idsInARow())
  return result.ok ? undefined : result.error
}
const shape = ({ rotation }: PlanDocument) =>
  rotation.days.map(day => `${day.role} ${day.sessions.length}`)

describe('edits of days', () => {
  test.each<{ name: string; edit: PlanEdit; days: readonly string[] }>([
    {
      name: 'a rest day becomes a training day',
      edit: { kind: 'set_day', day: 2, role: 'arms', label: null, minuteLimit: 45 },
      days: ['push 1', 'pull 1', 'arms 0', 'rest 0'],
    },
    {
      name: 'a session moved onto a rest day takes its role along',
      edit: { kind: 'move_session', day: 0, to: 3 },
      days: ['rest 0', 'pull 1', 'rest 0', 'push 1'],
    },
    {
      name: 'a session moved onto a training day is its second',
      edit: { kind: 'move_session', day: 0, to: 1 },
      days: ['rest 0', 'pull 2', 'rest 0', 'rest 0'],
    },
    {
      name: 'a copied day',
      edit: { kind: 'copy_day', day: 1, to: 2 },
      days: ['push 1', 'pull 1', 'pull 1', 'rest 0'],
    },
    {
      name: 'two days swapped',
      edit: { kind: 'swap_days', day: 0, with: 2 },
      days: ['rest 0', 'pull 1', 'push 1', 'rest 0'],
    },
    {
      name: 'longer by rest days',
      edit: { kind: 'set_length', days: 6 },
      days: ['push 1', 'pull 1', 'rest 0', 'rest 0', 'rest 0', 'rest 0'],
    },
    {
      name: 'shorter by rest days first',
      edit: { kind: 'set_length', days: 2 },
      days: ['push 1', 'pull 1'],
    },
  ])('$name', ({ edit, days }) => expect(shape(edited(edit))).toEqual(days))

  test.each<{ name: string; edit: PlanEdit; from?: PlanDocument; kind: string }>([
    {
      name: 'a day with sets is no rest day',
      edit: { kind: 'set_day', day: 0, role: 'rest', label: null, minuteLimit: null },
      kind: 'day_not_empty',
    },
    {
      name: 'three sessions on a day',
      edit: { kind: 'copy_day', day: 0, to: 1 },
      from: edited({ kind: 'copy_day', day: 0, to: 1 }),
      kind: 'day_full',
    },
    {
      name: 'a day that is not there',
      edit: { kind: 'move_session', day: 0, to: 9 },
      kind: 'no_such_day',
    },
    { name: 'fifteen days', edit: { kind: 'set_length', days: 15 }, kind: 'no_such_day' },
    {
      name: 'four days on weekdays',
      edit: { kind: 'set_anchor', anchor: 'weekday' },
      kind: 'cannot_hold_weekdays',
    },
  ])('refused: $name', ({ edit, from, kind }) => expect(problem(edit, from)?.kind).toBe(kind))

  test('a copy has ids of its own, so that changing one leaves the other', () => {
    const copied = edited({ kind: 'copy_day', day: 1, to: 2 })
    const [first, second] = [copied.rotation.days[1]!, copied.rotation.days[2]!].map(
      day => daySlots(day)[0]!,
    )
    expect(second!.id).not.toBe(first!.id)
    expect(second!.scheme).toEqual(first!.scheme)
  })

  test('weekdays hold with seven days, follow the first day, and go when the length no longer fits', () => {
    const week = edited(
      { kind: 'set_anchor', anchor: 'weekday' },
      edited({ kind: 'set_length', days: 7 }),
    )
    expect(week.rotation.anchor.kind).toBe('weekday')
    expect(edited({ kind: 'set_length', days: 8 }, week).rotation.anchor.kind).toBe('floating')
  })

  test('held sets stay where they are in everything but the mark; a dismissed finding can come back', () => {
    const [slot] = daySlots(plan.rotation.days[0]!)
    const held = edited({ kind: 'hold', slots: [slot!.id], isHeld: true })
    expect(daySlots(held.rotation.days[0]!)[0]).toEqual({ ...slot, isHeld: true })
    expect(edited({ kind: 'hold', slots: [slot!.id], isHeld: false }, held)).toEqual(plan)
    const dismissed = edited({ kind: 'dismiss', finding: 'x', note: 'on purpose' })
    expect(dismissed.dismissed).toEqual([{ finding: 'x', note: 'on purpose' }])
    expect(edited({ kind: 'undismiss', finding: 'x' }, dismissed).dismissed).toEqual([])
  })

  test('no change of length loses a session', () => {
    fc.assert(
      fc.property(planArbitrary, fc.integer(ROTATION_LENGTH), (any, days) => {
        const result = applyEdit(any, { kind: 'set_length', days }, idsInARow())
        const sessions = (of: PlanDocument) =>
          of.rotation.days.flatMap(day => day.sessions.map(session => session.id)).sort()
        if (result.ok) {
          expect(result.value.rotation.days).toHaveLength(days)
          expect(sessions(result.value)).toEqual(sessions(any))
        } else expect(result.error.kind).toBe('too_short')
      }),
    )
  })
})

describe('templates', () => {
  test('about a dozen, each with its reasons, from five to nine days', () => {
    expect(ROTATION_TEMPLATES.length).toBeGreaterThanOrEqual(12)
    for (const { reasons, days } of ROTATION_TEMPLATES) {
      expect(reasons.length).toBeGreaterThan(1)
      expect(days.length).toBeGreaterThanOrEqual(5)
    }
  })

  test('a method of few sets gets few', () => {
    const sets = (method: (typeof METHODS)[number]) =>
      templateDays(
        ROTATION_TEMPLATES[0]!,
        contextWith(method, { trainingAgeMonths: 24 }),
        idsInARow(),
      )
        .flatMap(daySlots)
        .reduce((sum, { scheme }) => sum + scheme.runs[0]!.count, 0)
    expect(sets(METHODS.find(({ id }) => id === 'few-hard-sets')!)).toBeLessThan(
      sets(STEADY_MIDDLE) / 1.5,
    )
  })
})

describe('two changes of one plan', () => {
  const [slotOne, slotTwo] = [
    daySlots(plan.rotation.days[0]!)[0]!,
    daySlots(plan.rotation.days[1]!)[0]!,
  ]
  const one = edited({ kind: 'add_sets', slot: slotOne.id, count: 1 })
  const two = edited({ kind: 'add_sets', slot: slotTwo.id, count: 2 })

  test('of different days are laid together', () => {
    const merged = mergedPlans(plan, one, two)
    expect(merged).toEqual({
      kind: 'merged',
      plan: edited({ kind: 'add_sets', slot: slotTwo.id, count: 2 }, one),
    })
  })
  test('of one day are asked about, unless they are the same', () => {
    expect(
      mergedPlans(plan, one, edited({ kind: 'cut_sets', slot: slotOne.id, count: 1 })),
    ).toEqual({ kind: 'both_changed', days: [0] })
    expect(mergedPlans(plan, one, one)).toEqual({ kind: 'merged', plan: one })
  })
  test('a changed title or length is taken from whoever changed it', () => {
    expect(mergedPlans(plan, one, { ...plan, title: 'Theirs' })).toEqual({
      kind: 'merged',
      plan: { ...one, title: 'Theirs' },
    })
    const longer = edited({ kind: 'set_length', days: 6 })
    expect(mergedPlans(plan, { ...plan, title: 'Mine' }, longer)).toEqual({
      kind: 'merged',
      plan: { ...longer, title: 'Mine' },
    })
    expect(mergedPlans(plan, one, longer).kind).toBe('both_changed')
  })
  test('the order of keys is no difference', () => {
    const turned = (value: unknown): unknown =>
      Array.isArray(value)
        ? value.map(turned)
        : typeof value === 'object' && value !== null
          ? Object.fromEntries(
              Object.entries(value)
                .reverse()
                .map(([key, held]) => [key, turned(held)]),
            )
          : value
    expect(mergedPlans(plan, one, turned(two) as PlanDocument).kind).toBe('merged')
  })
  test('changing nothing gives the other, whatever it is', () => {
    fc.assert(
      fc.property(planArbitrary, planArbitrary, (base, other) => {
        expect(mergedPlans(base, base, other)).toEqual({ kind: 'merged', plan: other })
      }),
      { numRuns: 40 },
    )
  })
})
