import { describe, expect, test } from '@jest/globals'
import { BUILT_IN_CATALOGUE, EXERCISES, requireExercise } from '../catalogue'
import {
  isSetOtherwise,
  isSetUpValue,
  parsedSetUp,
  SET_UP_FIELDS,
  setUpChoices,
  setUpStress,
  setUpFieldsOf,
  setUpText,
} from './setUp'

test.each([
  ['bench', '30', 30],
  ['bench', ' 45° ', 45],
  ['bench', 'Decline', 'decline'],
  ['bench', '95', undefined],
  ['cable', 'low', 'low'],
  ['cable', '12', 12],
  ['cable', 'on the floor', undefined],
  ['seat', '0', undefined],
  ['stance', '3', undefined],
  ['elbows', '', undefined],
  ['hands', '40 cm', 40],
  ['hands', '40', 40],
  ['hands', 'Shoulder wide', 'shoulder-wide'],
  ['hands', '40 in', undefined],
  ['hands', '9', undefined],
  ['stop', '10cm', 10],
  ['stop', 'right angle', 'right-angle'],
  ['ropes', '2', 2],
  ['ropes', '3', undefined],
  ['help', 'other hand', 'other-hand'],
  ['line', 'behind', 'behind'],
  ['feet', 'flat', 'flat'],
  ['stance', 'braced', 'braced'],
] as const)('%s typed as "%s" is %s', (field, text, value) => {
  expect(parsedSetUp(field, text)).toBe(value)
  if (value !== undefined) expect(isSetUpValue(field, value)).toBe(true)
})

test('what it may be is told by name', () => {
  expect(setUpChoices('bench')).toBe('Bench: give 0 to 90, or flat, decline.')
  expect(setUpChoices('seat')).toBe('Seat: give 1 to 40.')
  expect(setUpChoices('torso')).toBe('Torso: give upright, leant, hinged, supported.')
})

test('in words, in the order of the table', () => {
  expect(setUpText({ seat: 4, bench: 30, cable: 'low' })).toBe('bench 30°, cable low, seat 4')
  expect(setUpText({ stop: 10, hands: 40, feet: 'raised', ropes: 2 })).toBe(
    'ropes 2, between the hands 40 cm, feet raised, stop 10 cm',
  )
  expect(setUpText({})).toBe('')
  expect(setUpText(undefined)).toBe('')
})

test('a field is set anew where it is named and was otherwise', () => {
  expect(isSetOtherwise('bench', { bench: 45 }, { bench: 30 })).toBe(true)
  expect(isSetOtherwise('bench', { bench: 30 }, { bench: 30 })).toBe(false)
  expect(isSetOtherwise('bench', { bench: 30 }, undefined)).toBe(true)
  expect(isSetOtherwise('bench', { seat: 3 }, { bench: 30 })).toBe(false)
})

describe('what there is to set up', () => {
  test.each([
    ['incline_dumbbell_curl', ['bench', 'stance']],
    ['cable_curl', ['cable', 'line', 'steps', 'seat', 'stance']],
    ['pushdown_rope', ['cable', 'line', 'ropes', 'steps', 'seat', 'stance', 'elbows', 'stop']],
    ['machine_chest_press', ['seat', 'pad', 'torso', 'elbows', 'stop']],
    ['bench_press_barbell', ['bench', 'hands', 'feet', 'torso', 'elbows', 'stop']],
    ['dip', ['hands', 'feet', 'torso', 'elbows', 'stop', 'help']],
    ['chin_up', ['hands', 'feet', 'torso', 'elbows', 'help']],
    ['lateral_raise_dumbbell', ['stance', 'torso']],
  ])('%s: %j', (id, fields) => {
    expect(setUpFieldsOf(requireExercise(BUILT_IN_CATALOGUE, id))).toEqual(fields)
  })
  test('every exercise has something, and only what the table knows', () => {
    for (const exercise of EXERCISES) {
      const own = setUpFieldsOf(exercise)
      expect(own.length).toBeGreaterThan(0)
      expect(own.every(field => SET_UP_FIELDS.includes(field))).toBe(true)
    }
  })
})

test.each([
  [{ torso: 'hinged' }, 'low_back', 1.15],
  [{ torso: 'supported' }, 'low_back', 0.7],
  [{ elbows: 'flared' }, 'shoulder', 1.1],
  [{ elbows: 'flared', torso: 'upright' }, 'elbow_extensor_side', 1.05],
  [{ elbows: 30 }, 'shoulder', 1],
  [{ stance: 'braced' }, 'low_back', 0.7],
  [{ stance: 'seated' }, 'low_back', 0.85],
  [{ stop: 'right-angle' }, 'shoulder', 0.85],
  [{ stop: 'floor', elbows: 'flared' }, 'shoulder', 0.99],
  [undefined, 'wrist', 1],
] as const)('%j at the %s counts %d times', (setUp, joint, factor) => {
  expect(setUpStress(setUp, joint)).toBeCloseTo(factor, 9)
})
