import { expect, test } from '@jest/globals'
import { MEASUREMENT_KINDS, MEASUREMENT_TABLE, measurementProblem } from './measurements'

test('weight is in kilograms and every girth in centimetres', () => {
  const weighed = MEASUREMENT_KINDS.filter(kind => MEASUREMENT_TABLE[kind].unit === 'kg')
  expect(weighed).toEqual(['body_weight'])
})

test.each(MEASUREMENT_KINDS)('%s: its bounds are taken, what lies outside is told', kind => {
  const { unit, least, most } = MEASUREMENT_TABLE[kind]
  expect([least, most].map(value => measurementProblem(kind, value))).toEqual([
    undefined,
    undefined,
  ])
  const told = `must be between ${least} and ${most} ${unit}`
  expect([least - 0.1, most + 0.1].map(value => measurementProblem(kind, value))).toEqual([
    told,
    told,
  ])
})

test('what is no number is no measurement', () =>
  expect(measurementProblem('waist', Number.NaN)).toMatch(/^must be between/))
