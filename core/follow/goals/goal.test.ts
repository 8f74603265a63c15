import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { addDays, plainDate } from '../../base'
import { daysToGo, goalCourse, type GoalPoint } from '.'

const since = plainDate('2026-01-05')
const aim = { target: 40, by: plainDate('2026-04-27'), since }
/** A value every week from the start on. */
const weekly = (...values: readonly number[]): readonly GoalPoint[] =>
  values.map((value, at) => ({ on: addDays(since, 7 * at), value }))
const today = plainDate('2026-02-16')

test.each([
  ['nothing measured', weekly(), 'open', null],
  ['one value', weekly(38), 'open', 0],
  ['three values: too early', weekly(38, 38.2, 38.4), 'open', 0.2],
  ['a clear rise that gets there', weekly(38, 38.2, 38.4, 38.6, 38.8, 39), 'on_course', 0.5],
  ['a rise that is too slow', weekly(38, 38.02, 38.04, 38.06, 38.08, 38.1), 'behind', 0.05],
  ['as much noise as way', weekly(38, 39.2, 37.9, 39.4, 38.1, 39), 'open', 0.5],
  ['there already', weekly(38, 39, 40.5), 'reached', 1.25],
] as const)('%s', (_, values, state, share) => {
  const course = goalCourse(values, aim, today)
  expect(course.state).toBe(state)
  if (share === null) expect(course.share).toBeNull()
  else expect(course.share).toBeCloseTo(share, 6)
})

test('a goal that lies lower is reached from above', () => {
  const lighter = { ...aim, target: 80 }
  expect(goalCourse(weekly(86, 85, 84, 83, 82), lighter, today).state).toBe('on_course')
  expect(goalCourse(weekly(86, 79.5), lighter, today).state).toBe('reached')
})

test('what was measured before it was set is where it starts, and its day can pass', () => {
  const before = [{ on: addDays(since, -10), value: 37 }, ...weekly(38).slice(1)]
  expect(goalCourse(before, aim, today).start?.value).toBe(37)
  expect(goalCourse(weekly(38, 38.5), aim, addDays(aim.by, 1)).state).toBe('over')
  expect(daysToGo(aim, addDays(aim.by, 1))).toBe(-1)
})

describe('whatever is measured', () => {
  const values = fc.array(fc.double({ min: 30, max: 50, noNaN: true }), { maxLength: 14 })
  test('days ahead bear on nothing, and what is said holds for the whole interval', () => {
    fc.assert(
      fc.property(values, fc.double({ min: 30, max: 50, noNaN: true }), (of, target) => {
        const points = weekly(...of)
        const course = goalCourse(points, { ...aim, target }, today)
        expect(
          goalCourse([...points, { on: addDays(today, 1), value: 99 }], { ...aim, target }, today),
        ).toEqual(course)
        const { expected, start, state } = course
        if (!expected || !start || state === 'reached') return
        const isUp = target >= start.value
        const far = isUp ? expected.low >= target : expected.high <= target
        const short = isUp ? expected.high < target : expected.low > target
        expect(state).toBe(far ? 'on_course' : short ? 'behind' : 'open')
      }),
    )
  })
})
