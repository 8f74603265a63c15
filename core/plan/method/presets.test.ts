import { describe, expect, test } from '@jest/globals'
import { bandOf, contextWith } from './context'
import { bandFor, groupPosition } from './band'
import {
  COMPOUNDS_THEN_ARMS,
  DENSE_AND_SHORT,
  FEW_HARD_SETS,
  jointSparing,
  METHODS,
  OWN_ARM_DAY,
  STEADY_MIDDLE,
} from './presets'
import { COUNTING_SCHOOLS } from './school'

describe('one client under five methods (domain-2 M1 to M4)', () => {
  test.each([
    [STEADY_MIDDLE, 12, 18, 26],
    [FEW_HARD_SETS, 4, 7, 10],
    [OWN_ARM_DAY, 14, 21, 30],
    [COMPOUNDS_THEN_ARMS, 14, 20, 29],
    [DENSE_AND_SHORT, 8.8, 11.84, 20.8],
  ] as const)('$name', (method, floor, target, ceiling) => {
    const band = bandOf(contextWith(method, { trainingAgeMonths: 50 }), 'biceps')
    expect([band.floor, band.target, band.ceiling].map(value => Number(value.toFixed(9)))).toEqual([
      floor,
      target,
      ceiling,
    ])
  })
})

test('bands of the session curve look at effective sets below and at all sets above (domain B7, B8)', () => {
  const band = bandFor('triceps', {
    age: 'adv',
    mode: 'build',
    school: COUNTING_SCHOOLS.stimulus,
    scale: 1,
  })
  expect([band.floor, band.target, band.ceiling]).toEqual([11.75, 15.6, 28])
  expect(groupPosition({ direct: 13, counted: 16.125, effective: 13.464 }, band, 'build')).toBe(
    'low',
  )
  expect(groupPosition({ direct: 20, counted: 29, effective: 13.464 }, band, 'build')).toBe('above')
})

test('what hinders a client lowers target and ceiling, never the floor (domain B9)', () => {
  const band = bandOf(
    contextWith(STEADY_MIDDLE, {
      trainingAgeMonths: 50,
      slowedBy: ['energy_deficit', 'short_sleep'],
    }),
    'biceps',
  )
  expect([band.floor, band.target, band.ceiling].map(value => Number(value.toFixed(9)))).toEqual([
    12, 14.58, 21.06,
  ])
})

test('methods are named apart, and sparing joints changes only what loads them', () => {
  expect(new Set(METHODS.map(method => method.id)).size).toBe(5)
  const spared = jointSparing(OWN_ARM_DAY)
  expect(spared).toMatchObject({
    dose: OWN_ARM_DAY.dose,
    effort: { extendedMax: 0 },
    reps: { isolation: [12, 20], compound: OWN_ARM_DAY.reps.compound },
    joints: { setting: 'sensitive' },
  })
})
