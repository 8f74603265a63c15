import { expect, test } from '@jest/globals'
import {
  isGirth,
  MEASUREMENT_KINDS,
  MEASUREMENT_TABLE,
  measurementProblem,
  readMeasurement,
} from './measurements'

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

test.each([
  ['36.5', 'upper_arm_left', 36.5],
  [' 36,5 cm ', 'upper_arm_left', 36.5],
  ['14.5 in', 'upper_arm_left', 36.8],
  ['14.5"', 'upper_arm_right', 36.8],
  ['365 mm', 'forearm_left', 36.5],
  ['181 lb', 'body_weight', 82.1],
  ['82,1kg', 'body_weight', 82.1],
  ['82', 'body_weight', 82],
] as const)('%s of %s is %d', (text, kind, value) =>
  expect(readMeasurement(text, kind)).toEqual({ ok: true, value }),
)
test.each([
  ['', 'waist'],
  ['a lot', 'waist'],
  ['80 kg', 'waist'],
  ['80 cm', 'body_weight'],
  ['-80', 'waist'],
  ['8 0', 'waist'],
] as const)('“%s” is no %s', (text, kind) => expect(readMeasurement(text, kind).ok).toBe(false))

test('girths can be taken pumped, a weight cannot', () =>
  expect(MEASUREMENT_KINDS.filter(kind => !isGirth(kind))).toEqual(['body_weight']))
