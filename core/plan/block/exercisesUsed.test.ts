import { expect, test } from '@jest/globals'
import { exerciseId } from '../../base'
import { BUILT_IN_CATALOGUE } from '../catalogue'
import { planIn, written } from '../../testing/shorthandPlans'
import { exercisesUsed, type PlanDocument, unknownExercises } from '.'

const plan = planIn(
  7,
  written(
    'arms',
    'cable_curl 3 x 12, rir 2',
    'cable_curl 2 x 10, rir 1',
    'pushdown_rope 3 x 12, rir 2',
  ),
)
const withOwn: PlanDocument = JSON.parse(
  JSON.stringify(plan).replaceAll('"pushdown_rope"', '"own-wall-press"'),
)

test('each exercise is told once', () =>
  expect([...exercisesUsed(plan)].sort()).toEqual(['cable_curl', 'pushdown_rope']))

test('what a catalogue lacks is told with its day, and nothing else', () => {
  expect(unknownExercises(plan, BUILT_IN_CATALOGUE)).toEqual([])
  expect(unknownExercises(withOwn, BUILT_IN_CATALOGUE)).toEqual([
    { day: 0, exercise: 'own-wall-press' },
  ])
  const own = { ...BUILT_IN_CATALOGUE.get('pushdown_rope')!, id: 'own-wall-press' }
  expect(unknownExercises(withOwn, new Map([...BUILT_IN_CATALOGUE, [own.id, own]]))).toEqual([])
})

test('a purpose the exercise does not have is unknown too', () => {
  const [day] = plan.rotation.days
  const [first] = day!.sessions[0]!.groupings
  const odd = {
    ...plan,
    rotation: {
      ...plan.rotation,
      days: [
        {
          ...day!,
          sessions: [
            {
              ...day!.sessions[0]!,
              groupings: [
                {
                  ...first!,
                  slots: [
                    {
                      ...first!.slots[0],
                      exercise: exerciseId('cable_curl'),
                      intent: 'levitation',
                    },
                  ] as const,
                },
              ],
            },
          ],
        },
      ],
    },
  }
  expect(unknownExercises(odd, BUILT_IN_CATALOGUE)).toEqual([{ day: 0, exercise: 'cable_curl' }])
})
