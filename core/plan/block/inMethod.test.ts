import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { BUILT_IN_CATALOGUE, directGroups, requireExercise } from '../catalogue'
import { contextWith, METHODS, STEADY_MIDDLE } from '../method'
import { sessionSlots } from '../session'
import { formatScheme } from '../shorthand'
import { idsInARow } from '../../testing/notation'
import { written } from '../../testing/shorthandPlans'
import {
  templateDays,
  inMethod,
  repsIn,
  restIn,
  ROTATION_TEMPLATES,
  templatesFor,
  usualScheme,
} from '.'
import { daysInOrder } from './armOrder'

const curl = requireExercise(BUILT_IN_CATALOGUE, 'cable_curl')
const squat = requireExercise(BUILT_IN_CATALOGUE, 'machine_squat')
const short = { ...STEADY_MIDDLE, reps: { ...STEADY_MIDDLE.reps, isolation: [8, 12] as const } }
const long = { ...STEADY_MIDDLE, rest: { ...STEADY_MIDDLE.rest, isolation: 180 } }

describe('a scheme in a method’s way', () => {
  test('the steady middle leaves it as it is', () => {
    for (const exercise of BUILT_IN_CATALOGUE.values()) {
      expect(repsIn(exercise.repRange, exercise, STEADY_MIDDLE)).toEqual(exercise.repRange)
      expect(restIn(exercise.restSeconds, exercise, STEADY_MIDDLE)).toBe(exercise.restSeconds)
    }
  })
  test('another has as many reps fewer as it differs, and rests as many times as long', () => {
    expect(repsIn([12, 15], curl, short)).toEqual([10, 12])
    expect(repsIn([12, 15], squat, short)).toEqual([12, 15])
    expect(restIn(90, curl, long)).toBe(180)
    expect(restIn(90, squat, long)).toBe(90)
    expect(formatScheme(usualScheme(curl, 3, { ...short, rest: long.rest }))).toMatch(
      /^3 x \d+-\d+, rir 2, rest \d+s$/,
    )
  })
  test('short of lock-out is said where the elbow is extended, and nowhere else', () => {
    const soft = { ...STEADY_MIDDLE, range: { lockout: 'shortOf' as const } }
    const pushdown = requireExercise(BUILT_IN_CATALOGUE, 'pushdown_rope')
    expect(formatScheme(usualScheme(pushdown, 3, soft))).toContain('soft lock-out')
    expect(formatScheme(usualScheme(curl, 3, soft))).not.toContain('lock-out')
  })
  test('reps stay in their order and within what anybody does', () => {
    const ends = fc.tuple(fc.integer({ min: 3, max: 20 }), fc.integer({ min: 0, max: 10 }))
    fc.assert(
      fc.property(ends, ends, ([low, more], [own, ownMore]) => {
        const method = {
          ...STEADY_MIDDLE,
          reps: { ...STEADY_MIDDLE.reps, isolation: [own, own + ownMore] as const },
        }
        const [from, to] = repsIn([low, low + more], curl, method)
        expect(from).toBeGreaterThanOrEqual(3)
        expect(to).toBeGreaterThanOrEqual(from)
        expect(to).toBeLessThanOrEqual(30)
      }),
    )
  })
  test('warm-ups and exact counts stay', () => {
    const [{ slots }] = written('arms', 'cable_curl warm-up 1 x 12, then 3 x 10, rir 1')
      .sessions[0]!.groupings as unknown as [
      { slots: readonly [{ scheme: Parameters<typeof inMethod>[0] }] },
    ]
    expect(inMethod(slots[0].scheme, curl, short)).toEqual(slots[0].scheme)
  })
})

describe('the order of arm work', () => {
  const days = [
    written(
      'push',
      'bench_press_dumbbell 3 x 8',
      'overhead_extension_rope 3 x 12',
      'pushdown_rope 3 x 12',
    ),
    written('pull', 'pulldown_neutral 3 x 8', 'cable_curl 3 x 12'),
    written('arms', 'wrist_curl 3 x 15', 'hammer_curl 3 x 12'),
  ]
  const ordered = (order: Partial<(typeof STEADY_MIDDLE)['order']>) =>
    daysInOrder(
      days,
      contextWith(
        { ...STEADY_MIDDLE, order: { ...STEADY_MIDDLE.order, ...order } },
        { trainingAgeMonths: 40 },
      ),
    ).map(({ sessions }) =>
      sessions.flatMap(sessionSlots).map(({ exercise }) => exercise as string),
    )
  test.each([
    ['early', ['bench_press_dumbbell', 'overhead_extension_rope', 'pushdown_rope']],
    ['late', ['bench_press_dumbbell', 'pushdown_rope', 'overhead_extension_rope']],
    ['any', ['bench_press_dumbbell', 'overhead_extension_rope', 'pushdown_rope']],
  ] as const)('overhead extensions %s', (overhead, push) => {
    const [first] = ordered({ overhead, forearms: 'ownSlot' })
    expect(first).toEqual(push)
  })
  test.each([
    ['pullDay', 1, 'last'],
    ['armDay', 2, 'last'],
    ['ownSlot', 2, 'first'],
    ['none', -1, ''],
  ] as const)('forearms: %s', (forearms, day, place) => {
    const all = ordered({ forearms })
    const at = all.findIndex(exercises => exercises.includes('wrist_curl'))
    expect(at).toBe(day)
    if (at >= 0) expect(all[at]!.at(place === 'last' ? -1 : 0)).toBe('wrist_curl')
    expect(all.flat().filter(id => id !== 'wrist_curl')).toHaveLength(6)
  })
  test('templates with arm work where the method has it come first', () => {
    const hasArmDay = (method: (typeof METHODS)[number]) =>
      templatesFor(method)[0]!.days.some(({ role }) => role === 'arms')
    const by = (armPlacement: 'ownDay' | 'finisher') => ({
      ...STEADY_MIDDLE,
      order: { ...STEADY_MIDDLE.order, armPlacement },
    })
    expect([hasArmDay(by('ownDay')), hasArmDay(by('finisher'))]).toEqual([true, false])
    expect(templatesFor(STEADY_MIDDLE)).toEqual(ROTATION_TEMPLATES)
  })
  test('whatever the method, a filled template loses nothing but what it leaves out', () => {
    for (const method of METHODS)
      for (const template of ROTATION_TEMPLATES) {
        const context = contextWith(method, { trainingAgeMonths: 40 })
        const slots = templateDays(template, context, idsInARow()).flatMap(({ sessions }) =>
          sessions.flatMap(sessionSlots),
        )
        const wanted = template.days.flatMap(({ parts }) => parts.flatMap(({ wants }) => wants))
        const forearms = wanted.filter(({ exercise }) => {
          const known = requireExercise(context.catalogue, exercise.split(':')[0]!)
          return directGroups(known.intents[0].credits)[0] === 'forearms'
        })
        const left = method.order.forearms === 'none' ? forearms.length : 0
        expect(slots.length).toBeGreaterThanOrEqual(wanted.length - left - forearms.length)
        expect(slots.length).toBeLessThanOrEqual(wanted.length)
      }
  })
})
