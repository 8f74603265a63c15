import { expect, test } from '@jest/globals'
import { rotationLedger } from '../count/ledger'
import {
  contextWith,
  FEW_HARD_SETS,
  type Method,
  METHOD_SETTINGS,
  METHODS,
  OWN_ARM_DAY,
  STEADY_MIDDLE,
  withSetting,
} from '../plan/method'
import { planIn, written } from '../testing/shorthandPlans'
import { METHOD_CHOICES, methodDifferences, settingWords } from './methods'

const says = (choice: string, method: (typeof METHODS)[number]) =>
  METHOD_CHOICES.find(each => each.choice === choice)?.says(method)

test('every choice of every method is said in words, with a reason and its evidence', () => {
  for (const { choice, says: words, reason, evidence } of METHOD_CHOICES) {
    expect(`${choice} ${reason}`).not.toMatch(/undefined|_/)
    expect(['well supported', 'contested', 'rule of thumb']).toContain(evidence)
    for (const method of METHODS) expect(words(method)).toMatch(/^[^_]+$/)
  }
})

test('methods read as a coach would put them', () => {
  expect([
    says('Counting', FEW_HARD_SETS),
    says('Sets per exercise', FEW_HARD_SETS),
    says('Effort, single-joint', FEW_HARD_SETS),
  ]).toEqual(['direct sets only', '1–2', 'RIR 0'])
  expect([
    says('Long sets', OWN_ARM_DAY),
    says('Arm work', OWN_ARM_DAY),
    says('Pace', OWN_ARM_DAY),
  ]).toEqual([
    'up to 2: drop sets, 7+7+7, stretch holds, rest-pause',
    'on a day of its own',
    '2-1-1-0',
  ])
})

test('a copy differs in what was changed, and in nothing else', () => {
  const setting = METHOD_SETTINGS.find(({ label }) => label === 'Rest, single-joint')!
  const changed = withSetting(STEADY_MIDDLE, setting, '75')
  expect(methodDifferences(STEADY_MIDDLE, STEADY_MIDDLE)).toEqual([])
  expect(methodDifferences(changed, STEADY_MIDDLE)).toEqual([
    { choice: 'Rest, single-joint', was: '90 s', is: '75 s' },
  ])
  expect(settingWords(METHOD_SETTINGS[0]!, changed)).toBe('indirect sets in part')
})

test('long and easy sets count as the method says, wherever they are not weighed', () => {
  const plan = planIn(
    7,
    written('pull', 'cable_curl 3 x 12 | drop 9 | drop 7, rir 0', 'machine_curl 2 x 12, rir 4'),
  )
  const biceps = (method: Method) =>
    rotationLedger(plan.rotation, contextWith(method, { trainingAgeMonths: 36 })).groups.biceps.week
      .direct.value
  const set = (path: string, value: string, of: Method = STEADY_MIDDLE) =>
    withSetting(
      of,
      METHOD_SETTINGS.find(setting => setting.path.join('.') === path)!,
      value,
    )
  expect(biceps(STEADY_MIDDLE)).toBe(5)
  expect(biceps(set('counts.long', 'by_parts'))).toBe(3 * 3 + 2)
  expect(biceps(set('counts.easiest', '3'))).toBe(3)
  // A school that weighs sets goes by its own.
  const weighing = METHODS.find(({ school }) => school.value === 'weighted')!
  expect(biceps(set('counts.long', 'by_parts', weighing))).toBe(biceps(weighing))
  expect(methodDifferences(set('counts.long', 'by_parts'), STEADY_MIDDLE)).toMatchObject([
    { choice: 'A long set', is: 'count by their parts', was: 'count as one' },
  ])
})

test('what a method counts for build-up and restricted-flow sets is told where it differs', () => {
  const [buildUp, restricted] = ['counts.buildUp', 'counts.restricted'].map(path =>
    METHOD_SETTINGS.find(setting => setting.path.join('.') === path),
  )
  const changed = withSetting(withSetting(STEADY_MIDDLE, buildUp!, 'whole'), restricted!, 'as_one')
  expect(methodDifferences(changed, STEADY_MIDDLE)).toMatchObject([
    { choice: 'Build-up sets', is: 'count like the others', was: 'count nothing' },
    { choice: 'A restricted-flow set', is: 'as one set', was: 'by its stages' },
  ])
})
