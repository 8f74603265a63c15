import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { addDays, plainDate } from '../../base'
import { type DatedValue, splitByUse, type ExclusionFacts } from '.'

const first = plainDate('2026-03-02')
const at = (day: number, value: number, exercise = 'curl'): DatedValue => ({
  exercise,
  on: addDays(first, day),
  value,
  repsToFailure: 10,
})
const plain: ExclusionFacts = {
  isDeload: () => false,
  isPainful: () => false,
  isConfirmed: () => false,
}
const steady = [0, 7, 14, 21, 28].map(day => at(day, 40 + day / 20))

describe('what a trend leaves out, and why', () => {
  test.each<{
    name: string
    values: readonly DatedValue[]
    facts?: Partial<ExclusionFacts>
    out: readonly (readonly [string, string])[]
  }>([
    { name: 'nothing of a steady course', values: steady, out: [] },
    { name: 'a single estimate is not questioned', values: [at(0, 400)], out: [] },
    {
      name: 'one a zero too many',
      values: [...steady, at(24, 410)],
      out: [['2026-03-26', 'outlier']],
    },
    {
      name: 'pounds written as kilograms',
      values: [...steady, at(25, 41 * 2.2046)],
      out: [['2026-03-27', 'unit']],
    },
    { name: 'a weak day is a weak day', values: [...steady, at(24, 34)], out: [] },
    {
      name: 'confirmed it counts',
      values: [...steady, at(24, 410)],
      facts: { isConfirmed: ({ value }) => value === 410 },
      out: [],
    },
    {
      name: 'of two sessions on a day the stronger speaks',
      values: [...steady, at(14, 38)],
      out: [['2026-03-16', 'second_on_day']],
    },
    {
      name: 'before six weeks without it',
      values: [at(-60, 44), ...steady],
      out: [['2026-01-01', 'before_gap']],
    },
    {
      name: 'easier days',
      values: steady,
      facts: { isDeload: on => on === '2026-03-16' },
      out: [['2026-03-16', 'deload']],
    },
    {
      name: 'a sore joint',
      values: steady,
      facts: { isPainful: (exercise, on) => exercise === 'curl' && on === '2026-03-09' },
      out: [['2026-03-09', 'pain']],
    },
  ])('$name', ({ values, facts, out }) =>
    expect(
      splitByUse(values, { ...plain, ...facts }).leftOut.map(({ on, reason }) => [on, reason]),
    ).toEqual(out),
  )
  test('one exercise does not speak about another', () =>
    expect(
      splitByUse([...steady, ...[0, 7, 14].map(day => at(day, 120, 'press'))], plain).leftOut,
    ).toEqual([]))
})

test('nothing is lost, and with everything confirmed only days and gaps decide', () => {
  const value = fc.record({
    exercise: fc.constantFrom('curl', 'press'),
    on: fc.nat({ max: 80 }).map(day => addDays(first, day)),
    value: fc.double({ min: 5, max: 200, noNaN: true }),
    repsToFailure: fc.constant(10),
  })
  fc.assert(
    fc.property(fc.array(value, { maxLength: 20 }), values => {
      const { used, leftOut } = splitByUse(values, plain)
      expect(used.length + leftOut.length).toBe(values.length)
      for (const one of leftOut)
        expect(values).toContainEqual({
          exercise: one.exercise,
          on: one.on,
          value: one.value,
          repsToFailure: one.repsToFailure,
        })
      expect(
        splitByUse(values, { ...plain, isConfirmed: () => true }).leftOut.every(
          ({ reason }) => reason === 'second_on_day' || reason === 'before_gap',
        ),
      ).toBe(true)
    }),
  )
})
