import { describe, expect, test } from '@jest/globals'
import { rotationJoints } from '../body/joints'
import { rotationRecovery } from '../body/recovery'
import { derivation, groupTarget, rotationLedger } from '../count/ledger'
import { checkPlan } from '../judge/checks'
import { BUILT_IN_CATALOGUE, type Group, requireExercise } from '../plan/catalogue'
import { contextWith, METHODS, type PlanContext, STEADY_MIDDLE } from '../plan/method'
import { sessionTime, setSeconds } from '../plan/minutes'
import { type SetRun, isExtended, leadReps, lowestRir } from '../plan/scheme'
import { parseScheme } from '../plan/shorthand'
import { planIn, written } from './shorthandPlans'

/* One set, one meaning: what counts, tires, loads joints, takes time and is found fault with goes by the same reading. */

const usual = contextWith(STEADY_MIDDLE, { trainingAgeMonths: 48 })
const weighing = METHODS.find(({ school }) => school.id === 'stimulus')!
const under = (method: (typeof METHODS)[number]) => contextWith(method, { trainingAgeMonths: 48 })
const plan = (...lines: string[]) => planIn(7, written('arms', ...lines))
const sets = (line: string, group: Group, context: PlanContext = usual) =>
  rotationLedger(plan(line).rotation, context).groups[group].week.counted.value
const run = (text: string): SetRun => {
  const read = parseScheme(text)
  const [first] = read.ok ? read.value.runs : []
  if (!first) throw new Error(text)
  return first
}
const fatigue = (line: string, group: Group, context: PlanContext = usual) =>
  rotationRecovery(plan(line).rotation, context).sessions[0]?.impulses.get(group) ?? 0
const elbow = (line: string, context: PlanContext = usual) =>
  rotationJoints(plan(line).rotation, context).elbow_flexor_side.weekLoad

describe('one reserve for worth, fatigue, joints and findings', () => {
  test.each([
    ['1 x 12 rir 0 | rest 15s | 4 | rest 15s | 3 | rest 15s | 2', 1.6],
    ['1 x 12 rir 0 | rest 15s | 4 rir 0 | rest 15s | 3 rir 0 | rest 15s | 2 rir 0', 1.6],
    ['1 x 12 rir 3 | rest 15s | 4', 0.85],
  ])('%s is worth %d', (scheme, worth) =>
    expect(sets(`cable_curl ${scheme}`, 'biceps', under(weighing))).toBeCloseTo(worth, 9),
  )
  test.each([
    ['3 x 10 rir 2', 2, false],
    ['1 x 10 rir 2 | drop 30% to failure', 0, true],
    ['1 x 10 rir 2 | drop 30% 8', 0, true],
    ['1 x 10 rir 2 | drop 30% 8 rir 3', 2, true],
    ['1 x 10 rir 0 | rest 15s | 4', 0, true],
    ['1 x 10 rir 3 | rest 15s | 4', 3, false],
  ])('%s ends at %d, goes on: %s', (text, rir, goesOn) =>
    expect([lowestRir(run(text)), isExtended(run(text))]).toEqual([rir, goesOn]),
  )
  test('a drop after two in reserve tires as what it is and is told to somebody new', () => {
    const [plain, dropped] = ['cable_curl 1 x 10 rir 2', 'cable_curl 1 x 10 rir 2 | drop 30% 8']
    expect(fatigue(dropped, 'biceps')).toBeGreaterThan(1.25 * fatigue(plain, 'biceps'))
    expect(elbow(dropped)).toBeGreaterThan(1.1 * elbow(plain))
    const few = contextWith(METHODS[0]!, { trainingAgeMonths: 48, isMinor: true })
    const found = (line: string) => checkPlan(plan(line), few).map(({ check }) => check)
    expect(found(plain)).not.toContain('minor-limits')
    expect(found(dropped)).toContain('minor-limits')
  })
})

describe('muscles and joints do not know how sets are counted', () => {
  const holds = 'incline_dumbbell_curl 4 x hold 45s long'
  const primers = 'cable_curl primer 2 x 20, rir 6'
  const figures = (line: string, method: (typeof METHODS)[number]) => [
    fatigue(line, 'biceps', under({ ...STEADY_MIDDLE, school: method.school })),
    elbow(line, under({ ...STEADY_MIDDLE, school: method.school })),
  ]
  test.each([holds, primers, 'cable_curl ramp 3 x 8'])('%s', line => {
    const [first, ...others] = METHODS.map(method => figures(line, method))
    expect(Math.min(...first!)).toBeGreaterThan(0)
    for (const other of others) expect(other).toEqual(first)
  })
  test('a primer costs half a set, a short hold its share of thirty seconds', () => {
    expect(fatigue('cable_curl primer 2 x 20, rir 2', 'biceps')).toBeCloseTo(
      fatigue('cable_curl 1 x 20, rir 2', 'biceps'),
      9,
    )
    expect(fatigue('cable_curl 1 x hold 15s long', 'biceps')).toBeCloseTo(
      fatigue('cable_curl 1 x hold 45s long', 'biceps') / 2,
      9,
    )
  })
  test('what counts nothing still says why on the board', () => {
    const day = plan(holds, primers, 'cable_curl ramp 3 x 8, then 1 x 8').rotation.days[0]!
    const { counted, lines } = derivation(day, groupTarget('biceps'), usual)
    expect(counted).toBe(1)
    expect(lines.map(({ rules }) => rules[0])).toEqual([
      'hold_alone',
      'primer',
      'build_up',
      'direct',
    ])
  })
})

describe('sets that are not plain work', () => {
  test.each([
    ['plank 3 x 45', 'abs', 3],
    ['plank 3 x hold 45s midway', 'abs', 3],
    ['cable_curl 3 x hold 45s midway', 'biceps', 0],
    ['cable_curl ramp 3 x 8, then 2 x 8', 'biceps', 2],
    ['cable_curl restricted 1 x 30 | rest 40s | 15 | rest 40s | 15 | rest 40s | 15', 'biceps', 3],
    ['cable_curl restricted 4 x 15', 'biceps', 3],
  ] as const)('%s counts for %s %d', (line, group, expected) =>
    expect(sets(line, group)).toBe(expected),
  )
  test('restricted flow as one set of four stages, where the method has it so', () => {
    const asOne = under({
      ...STEADY_MIDDLE,
      counts: { ...STEADY_MIDDLE.counts, restricted: 'as_one' },
    })
    const stages = 'cable_curl restricted 1 x 30 | rest 40s | 15 | rest 40s | 15 | rest 40s | 15'
    for (const line of [stages, 'cable_curl restricted 4 x 15'])
      expect(sets(line, 'biceps', asOne)).toBe(1)
  })
  test('a credit of a place holds whatever the grip, another exercise brings its own', () => {
    expect(sets('cable_curl (biceps 0.5) 2 x 8 palms up | 8 palms facing', 'biceps')).toBeCloseTo(
      1,
      9,
    )
    expect(sets('cable_curl (biceps 0.5) 2 x 8 | 8 as dumbbell_curl', 'biceps')).toBe(2)
  })
})

describe('seconds are not reps', () => {
  test('a carry of 25 s is about six reps for the joint', () => {
    const grip = (line: string) => rotationJoints(plan(line).rotation, usual).wrist.weekLoad
    expect(grip('farmers_carry 1 x 25')).toBeCloseTo(
      (1.15 / 0.85) * grip('farmers_carry 1 x 80'),
      9,
    )
  })
  test('5 + 5 + 5 in three positions is one set of 15', () => {
    expect(leadReps(run('3 x 5 at "front" | 5 at "middle" | 5 at "back"'))).toBe(15)
    expect(leadReps(run('3 x 9 rir 0 | drop 30% 6'))).toBe(9)
    expect(leadReps(run('3 x 9 rir 0 | rest 15s | 6'))).toBe(9)
  })
  test('heavy or not is judged by all of them', () => {
    const found = (scheme: string) =>
      checkPlan(plan(`barbell_curl ${scheme}`), usual).map(({ check }) => check)
    expect(found('3 x 5, rir 1')).toContain('warm-up-missing')
    expect(found('3 x 5 at "front" | 5 at "middle" | 5 at "back" rir 1')).not.toContain(
      'warm-up-missing',
    )
  })
})

describe('minutes', () => {
  const seconds = (line: string) => sessionTime(written('arms', line).sessions[0]!, usual).seconds
  const [one, both] = ['concentration_curl', 'cable_curl'].map(id =>
    requireExercise(BUILT_IN_CATALOGUE, id),
  )
  test('the warm-up of one-arm work is timed for both arms', () => {
    const warm = 'warm-up 1 x 10, rest 0s, then '
    const more = seconds(`concentration_curl ${warm}3 x 10`) - seconds('concentration_curl 3 x 10')
    expect(more).toBe(setSeconds(run('1 x 10, left then right'), one!, usual).seconds)
    const less = seconds(`cable_curl ${warm}3 x 10`) - seconds('cable_curl 3 x 10')
    expect(less).toBe(setSeconds(run('1 x 10'), both!, usual).seconds)
  })
  test('45 s between arms where nothing is said; both arms at once can be said', () => {
    expect(seconds('concentration_curl 3 x 10')).toBe(
      seconds('concentration_curl 3 x 10, rest 45s'),
    )
    const together = seconds('concentration_curl 3 x 10, both arms at once, rest 45s')
    expect(seconds('concentration_curl 3 x 10, rest 45s') - together).toBe(3 * (8 + 30 + 45))
  })
  test('slow keeps its pauses', () => {
    const of = (scheme: string) => setSeconds(run(scheme), both!, usual).seconds
    expect(of('1 x 10, slow, pause 2s midway') - of('1 x 10, slow')).toBe(20)
    expect(of('1 x 10, tempo x-2-x-1 slow') - of('1 x 10, slow')).toBe(30)
  })
})
