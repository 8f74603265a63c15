import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { ARM_GROUPS, isPossibleWith, requireIntent } from '../../plan/catalogue'
import { checkInput, checkPlan, findingKey } from '../../judge/checks'
import { choiceReasonWords } from '../../words'
import { type ClientFacts, contextWith, STEADY_MIDDLE } from '../../plan/method'
import { planArbitrary } from '../../testing/arbitraries'
import { planIn, written } from '../../testing/shorthandPlans'
import { rankedChoices } from '.'

const context = (more: Partial<ClientFacts> = {}) =>
  contextWith(STEADY_MIDDLE, { trainingAgeMonths: 30, ...more })
const midCurls = planIn(
  7,
  written('pull', 'cable_curl 4 x 12, rir 2'),
  written('arms', 'dumbbell_curl 4 x 12, rir 2'),
)
const first = (plan = midCurls, more: Partial<ClientFacts> = {}, day = 1) =>
  rankedChoices(checkInput(plan, context(more)), 'biceps', day)

test('what the rail lacks comes first, and says so', () => {
  const [best] = first()
  expect(best?.exercise.intents[0].lengthBias).toBe('lengthened')
  expect(best?.reasons.map(choiceReasonWords)).toContain('long length, which is short')
})

test('an exercise already on the day goes down, one known from another day comes up', () => {
  const places = (id: string, day: number) =>
    first(midCurls, {}, day).findIndex(({ exercise }) => exercise.id === id)
  expect(places('dumbbell_curl', 1)).toBeGreaterThan(places('cable_curl', 1))
  expect(places('cable_curl', 0)).toBeGreaterThan(places('dumbbell_curl', 0))
})

test('pain puts what loads the joint behind, and a full day says so', () => {
  const sore = first(midCurls, { pain: { elbow_flexor_side: 'hold' } })
  expect(sore[0]?.exercise.intents[0].jointStress.elbow_flexor_side).toBeLessThanOrEqual(1)
  expect(
    sore.every(
      ({ exercise, intent, reasons }) =>
        requireIntent(exercise, intent).jointStress.elbow_flexor_side === 0 ||
        reasons.some(({ kind }) => kind === 'joint'),
    ),
  ).toBe(true)
  const full = {
    ...midCurls,
    rotation: {
      ...midCurls.rotation,
      days: midCurls.rotation.days.map(day =>
        day.role === 'rest' ? day : { ...day, minuteLimit: 5 },
      ),
    },
  }
  expect(first(full).every(({ reasons }) => reasons.some(({ kind }) => kind === 'over_time'))).toBe(
    true,
  )
})

test('only equipment and the list to avoid take a choice out; the best score stands first', () => {
  fc.assert(
    fc.property(planArbitrary, fc.constantFrom(...ARM_GROUPS), (plan, group) => {
      const choices = rankedChoices(
        checkInput(plan, context({ equipment: ['dumbbell', 'bench'], avoid: ['hammer_curl'] })),
        group,
        0,
      )
      expect(
        choices.every(
          ({ exercise }) =>
            isPossibleWith(exercise, ['dumbbell', 'bench']) && exercise.id !== 'hammer_curl',
        ),
      ).toBe(true)
      expect(choices.every(({ score }, at) => at === 0 || score <= choices[at - 1]!.score)).toBe(
        true,
      )
    }),
    { numRuns: 25 },
  )
})

test('a finding is recognised by what it is about, not by its figures', () => {
  const of = (sets: number) =>
    checkPlan(planIn(7, written('arms', `cable_curl ${sets} x 12, rir 2`)), context()).find(
      ({ check }) => check === 'below-floor',
    )!
  expect(findingKey(of(2))).toBe(findingKey(of(4)))
  expect(findingKey(of(2))).not.toBe(findingKey({ ...of(2), place: { group: 'quads' } }))
})
