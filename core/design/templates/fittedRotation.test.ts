import { describe, expect, test } from '@jest/globals'
import { plainDate } from '../../base'
import { ROTATION_TEMPLATES, TEMPLATE_SETS, templateDays, usualSets } from '../../plan/block'
import {
  BUILT_IN_CATALOGUE,
  EQUIPMENT_PRESETS,
  isPossibleWith,
  requireExercise,
} from '../../plan/catalogue'
import { type ClientFacts, contextWith, METHODS, STEADY_MIDDLE } from '../../plan/method'
import { sessionSeconds } from '../../plan/minutes'
import { daySetCount, daySlots } from '../../plan/rotation'
import { filledFor } from '../../testing/filled'
import { idsInARow } from '../../testing/notation'
import { fittedRotation, type FittedRotation, rankedTemplates, withRotation } from '.'
import { planIn, written } from '../../testing/shorthandPlans'

const MONDAY = plainDate('2026-03-02')
const UPPER_LOWER = ROTATION_TEMPLATES.find(({ id }) => id === 'four-day')!
function fitted(client: Partial<ClientFacts>, template = UPPER_LOWER): FittedRotation {
  const newId = idsInARow()
  const context = contextWith(STEADY_MIDDLE, { trainingAgeMonths: 40, ...client })
  return fittedRotation(templateDays(template, context, newId), {
    context,
    newId,
    startsOn: MONDAY,
  })
}
const on = (minutes: number, ...weekdays: readonly number[]) =>
  weekdays.map(weekday => ({ weekday, minutes, start: '17:30' }))
const kinds = ({ changes }: FittedRotation) => new Set(changes.map(({ kind }) => kind))

describe('a template fitted to a client', () => {
  test('lands on Tue, Thu, Sat and Sun and is made to fit 45 minutes, which is told day by day', () => {
    const client = { days: on(45, 2, 4, 6, 7) }
    const result = fitted(client)
    const context = contextWith(STEADY_MIDDLE, { trainingAgeMonths: 40, ...client })
    expect(result.days.map(({ sessions }) => sessions.length)).toEqual([0, 1, 0, 1, 0, 1, 1])
    for (const { sessions, minuteLimit } of result.days)
      for (const session of sessions) {
        expect(minuteLimit).toBe(45)
        expect(sessionSeconds(session, context)).toBeLessThanOrEqual(45 * 60 + 1)
      }
    expect(kinds(result)).toContain('shortened')
    expect(fitted({ days: on(25, 2, 4, 6, 7) }).kept).toBeLessThan(result.kept)
    const plan = withRotation({ ...planIn(8), startsOn: MONDAY }, result)
    expect(plan.rotation.anchor).toEqual({ kind: 'weekday', startsOn: 1 })
  })
  test('with time for all of it nothing is changed, and nothing said', () => {
    const result = fitted({ days: on(180, 1, 2, 4, 5) })
    expect([result.changes, result.kept]).toEqual([[], 1])
  })
  test('what finds no day is told, not squeezed in', () => {
    const result = fitted({ days: on(180, 1, 4) })
    expect(result.changes.filter(({ kind }) => kind === 'unplaced')).toHaveLength(2)
    expect(result.kept).toBeLessThan(0.7)
  })
  test('every exercise that is not the wanted one is told, with what stands in', () => {
    const result = fitted({ equipment: ['dumbbell', 'bench'] })
    const swapped = result.changes.filter(({ kind }) => kind === 'swapped')
    expect(swapped.length).toBeGreaterThan(0)
    const stands = result.days.flatMap(daySlots).map(({ exercise }) => exercise as string)
    for (const change of swapped)
      if (change.kind === 'swapped') {
        expect(stands).toContain(change.given)
        expect(
          isPossibleWith(requireExercise(BUILT_IN_CATALOGUE, change.wanted), ['dumbbell', 'bench']),
        ).toBe(false)
      }
  })
  test('sets follow the client’s method, from those it was written for', () => {
    const few = METHODS.find(({ id }) => id === 'few-hard-sets')!
    const context = contextWith(few, { trainingAgeMonths: 40 })
    const days = [written('push', 'bench_press_dumbbell 4 x 8, rir 2')]
    const sets = (writtenFor: number | undefined) =>
      fittedRotation(days, {
        context,
        newId: idsInARow(),
        startsOn: MONDAY,
        writtenFor,
      }).days.reduce((sum, day) => sum + daySetCount(day), 0)
    expect(sets(undefined)).toBe(4)
    expect(sets(usualSets(few))).toBe(4)
    expect(sets(TEMPLATE_SETS)).toBe(Math.round((4 * usualSets(few)) / TEMPLATE_SETS))
  })
  for (const method of METHODS)
    test(`every template can be filled for ${method.name}, with any equipment, and nothing impossible in it`, () => {
      for (const template of ROTATION_TEMPLATES)
        for (const { equipment } of EQUIPMENT_PRESETS) {
          const context = contextWith(method, {
            trainingAgeMonths: 24,
            equipment,
            avoid: ['cable_curl'],
          })
          const days = filledFor(template, context)
          expect(days).toHaveLength(template.days.length)
          expect(days.flatMap(daySlots).length).toBeGreaterThan(5)
          for (const { exercise } of days.flatMap(daySlots)) {
            expect(exercise).not.toBe('cable_curl')
            expect(isPossibleWith(requireExercise(BUILT_IN_CATALOGUE, exercise), equipment)).toBe(
              true,
            )
          }
        }
    })
})

describe('the list of templates', () => {
  test('those with a day for every session stand first, then those that keep most', () => {
    const context = contextWith(STEADY_MIDDLE, { trainingAgeMonths: 40, days: on(45, 1, 3, 5, 6) })
    const list = rankedTemplates({ ...planIn(8), startsOn: MONDAY }, context, idsInARow())
    const unplaced = list.map(
      ({ fitted: { changes } }) => changes.filter(({ kind }) => kind === 'unplaced').length,
    )
    expect(unplaced).toEqual([...unplaced].sort((a, b) => a - b))
    expect(unplaced.at(-1)).toBeGreaterThan(0)
    const placed = list.filter((_, at) => unplaced[at] === 0).map(({ fitted }) => fitted.kept)
    for (const [at, kept] of placed.entries())
      if (at > 0) expect(kept).toBeLessThanOrEqual(placed[at - 1]! + 0.05)
  })
})
