import { describe, expect, test } from '@jest/globals'
import {
  BUILT_IN_CATALOGUE,
  directGroups,
  EXERCISES,
  headShare,
  isPossibleWith,
  requireExercise,
  requireIntent,
} from './catalogue'
import { CUE_KEYS, cueLines } from './cues'
import { otherForms } from './exercises/variants'
import { CAUTIONS, type Exercise } from './exercise'
import { type Group, GROUP_MUSCLES, GROUPS, MUSCLES } from './muscles'

const all: readonly Exercise[] = EXERCISES

describe('the built-in exercises are sound', () => {
  test('ids and names are unique, and there are 141', () => {
    expect(EXERCISES).toHaveLength(141)
    expect(BUILT_IN_CATALOGUE.size).toBe(EXERCISES.length)
    expect(new Set(all.map(exercise => exercise.name)).size).toBe(EXERCISES.length)
  })
  test.each(all.map(exercise => [exercise.id, exercise] as const))('%s', (_, exercise) => {
    for (const intent of exercise.intents) {
      expect(directGroups(intent.credits).length).toBeGreaterThan(0)
      for (const [group, credit] of Object.entries(intent.credits) as [Group, number][]) {
        expect([0.25, 0.5, 0.75, 1]).toContain(credit)
        const shares = GROUP_MUSCLES[group].map(muscle =>
          headShare(intent.headShares, group, muscle),
        )
        expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9)
      }
    }
    const own = new Set(exercise.intents.flatMap(intent => directGroups(intent.credits)))
    for (const id of exercise.substitutes) {
      const other = requireExercise(BUILT_IN_CATALOGUE, id)
      expect(
        other.intents.flatMap(intent => directGroups(intent.credits)).some(group => own.has(group)),
      ).toBe(true)
    }
    expect(exercise.cautions.every(caution => caution in CAUTIONS)).toBe(true)
    expect(exercise.repRange[0]).toBeLessThanOrEqual(exercise.repRange[1])
  })
})

describe('how each is done', () => {
  const purposes = all.flatMap(({ id, intents }) => intents.map(intent => [id, intent.id] as const))
  test.each(purposes)('%s for %s: three short cues and an end point', (id, intent) => {
    const lines = cueLines(id, intent)
    expect(lines).toHaveLength(4)
    for (const cue of lines.slice(0, 3)) expect(cue).toMatch(/^[A-Z].{3,56}[^.]$/)
    expect(lines[3]).toMatch(/^[A-Z].{10,110}\.$/)
  })
  test('every cue belongs to an exercise and a purpose that there are, and is written once', () => {
    const known = new Set(purposes.flatMap(([id, intent]) => [id, `${id}:${intent}`]))
    expect(CUE_KEYS.filter(key => !known.has(key))).toEqual([])
    expect(new Set(CUE_KEYS).size).toBe(CUE_KEYS.length)
  })
  test('another purpose is done in another way; one of the own exercises has none', () => {
    expect(cueLines('hammer_curl', 'biceps')).not.toEqual([])
    expect(cueLines('dip', 'triceps')[0]).toBe('Stay upright')
    expect(cueLines('dip')[0]).toBe('Lean forward, chin in')
    expect(cueLines('own-1')).toEqual([])
  })
})

test('every muscle belongs to exactly one group', () => {
  expect(GROUPS.flatMap(group => [...GROUP_MUSCLES[group]]).sort()).toEqual([...MUSCLES].sort())
})

test('a client with dumbbells and a bench can do what needs no more', () => {
  const possible = (id: string) =>
    isPossibleWith(requireExercise(BUILT_IN_CATALOGUE, id), ['dumbbell', 'bench'])
  expect(['hammer_curl', 'push_up', 'dumbbell_row', 'cable_curl', 'pull_up'].map(possible)).toEqual(
    [true, true, true, false, false],
  )
  expect(isPossibleWith(requireExercise(BUILT_IN_CATALOGUE, 'cable_curl'), [])).toBe(true)
})

test('unknown exercises and purposes are bugs', () => {
  expect(() => requireExercise(BUILT_IN_CATALOGUE, 'moon_curl')).toThrow(
    'unknown exercise moon_curl',
  )
  expect(() => requireIntent(requireExercise(BUILT_IN_CATALOGUE, 'dip'), 'calves')).toThrow(
    'dip has no intent calves',
  )
})

test('what stands in for a variant begins with the exercise it is made from, and it is found by its name', () => {
  const of = (id: string) => requireExercise(BUILT_IN_CATALOGUE, id)
  expect(of('cable_curl_lying').substitutes[0]).toBe('cable_curl')
  expect(of('cable_curl_single')).toMatchObject({ laterality: 'unilateral', equipment: ['cable'] })
  expect(of('kickback_dumbbells').intents[0].jointStress.low_back).toBe(2)
  expect(of('floor_press_dumbbell').intents[0]).toMatchObject({
    lengthBias: 'mid',
    credits: of('bench_press_dumbbell').intents[0].credits,
  })
  expect(of('incline_press_rail_narrow').intents[0].credits.triceps).toBe(1)
  for (const { id, substitutes } of all) expect(substitutes).not.toContain(id)
})

test.each([
  ['cable_curl', ['cable_curl_lying', 'cable_curl_single']],
  ['cable_curl_single', ['cable_curl', 'cable_curl_lying']],
  ['dip', []],
])('%s has other forms: %j', (id, forms) => expect(otherForms(id)).toEqual(forms))
