import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import {
  BUILT_IN_CATALOGUE,
  catalogueWith,
  creditKey,
  creditsFor,
  evenShares,
  requireExercise,
} from '../../plan/catalogue'
import { effectWords } from '../../words'
import { contextWith, STEADY_MIDDLE } from '../../plan/method'
import { planArbitrary } from '../../testing/arbitraries'
import { planIn, written } from '../../testing/shorthandPlans'
import { creditEffects, rotationLedger } from '.'

const facts = { trainingAgeMonths: 30 }
const before = contextWith(STEADY_MIDDLE, facts)
const press = (sets: number) =>
  planIn(7, written('push', `machine_chest_press ${sets} x 10, rir 2`)).rotation
const after = contextWith(
  STEADY_MIDDLE,
  facts,
  catalogueWith({
    exercises: [],
    credits: { machine_chest_press: { chest: 1, triceps: 0.75, delts_front: 0.5 } },
  }),
)

test("a changed credit changes the week of everybody who does the exercise, and nobody else's", () => {
  const effects = creditEffects(
    [press(2), press(8), planIn(7, written('pull', 'cable_curl 3 x 12, rir 2')).rotation].map(
      rotation => ({ rotation, before, after }),
    ),
  )
  expect(effects.find(({ group }) => group === 'triceps')).toEqual({
    group: 'triceps',
    clients: 2,
    least: 0.5,
    most: 2,
    isMixed: false,
  })
  expect(effects.map(effect => effectWords(effect))).toContain(
    '2 clients’ weekly triceps up by 0.5 to 2.0 sets',
  )
})

test('words for one client, for less, and for both ways', () => {
  const effect = { group: 'biceps' as const, clients: 1, least: -1, most: -1, isMixed: false }
  expect(effectWords(effect)).toBe('1 client’s weekly biceps down by 1.0 set')
  expect(effectWords({ ...effect, clients: 3, least: 0.5, most: -2, isMixed: true })).toBe(
    '3 clients’ weekly biceps by up to 2.0 sets, some up, some down',
  )
})

test('changing nothing has no effect, on any plan', () => {
  fc.assert(
    fc.property(planArbitrary, plan =>
      expect(creditEffects([{ rotation: plan.rotation, before, after: { ...before } }])).toEqual(
        [],
      ),
    ),
    { numRuns: 30 },
  )
})

test("credits of one purpose win over those of all; a client's own win over the coach's", () => {
  const key = creditKey('barbell_curl', 'long_head')
  const changes = { barbell_curl: { biceps: 0.5 }, [key]: { biceps: 0.75 } }
  expect(creditsFor(changes, 'barbell_curl', 'long_head')).toEqual({ biceps: 0.75 })
  expect(creditsFor(changes, 'barbell_curl', 'even')).toEqual({ biceps: 0.5 })
  expect(creditsFor(changes, 'cable_curl', 'even')).toBeUndefined()
  const catalogue = catalogueWith({ exercises: [], credits: changes })
  expect(requireExercise(catalogue, 'barbell_curl').intents.map(({ credits }) => credits)).toEqual([
    { biceps: 0.5 },
    { biceps: 0.75 },
  ])
  const own = contextWith(
    STEADY_MIDDLE,
    { ...facts, credits: { barbell_curl: { biceps: 0.25 } } },
    catalogue,
  )
  const curls = planIn(7, written('pull', 'barbell_curl 4 x 10, rir 2')).rotation
  expect(rotationLedger(curls, own).groups.biceps.week.indirect.value).toBe(1)
})

test('a library without anything in it is the built-in catalogue itself', () => {
  expect(catalogueWith({ exercises: [], credits: {} })).toBe(BUILT_IN_CATALOGUE)
  const own = {
    ...requireExercise(BUILT_IN_CATALOGUE, 'cable_curl'),
    id: 'own-1',
    name: 'Wall curl',
  }
  expect(catalogueWith({ exercises: [own], credits: {} }).get('own-1')).toBe(own)
})

test('even shares add up to one in every group with heads', () => {
  const shares = evenShares({ biceps: 1, triceps: 0.5, lats: 0.5 })
  expect(shares.lats).toBeUndefined()
  for (const heads of Object.values(shares))
    expect(Object.values(heads).reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 12)
})
