import { describe, expect, test } from '@jest/globals'
import { BUILT_IN_CATALOGUE, requireExercise, stimulusOf } from '../plan/catalogue'
import { newStimulusWords, stimulusWords } from './stimulus'

const of = (id: string) => requireExercise(BUILT_IN_CATALOGUE, id)

describe('what an exercise asks besides its muscles', () => {
  test.each([
    ['cable_curl', 'cable', 'standing', false],
    ['barbell_curl', 'free', 'standing', false],
    ['incline_dumbbell_curl', 'free', 'supported', false],
    ['preacher_curl_bar', 'free', 'supported', false],
    ['concentration_curl', 'free', 'supported', true],
    ['pushdown_single', 'cable', 'standing', true],
    ['pull_up', 'own_weight', null, false],
    ['bench_press_dumbbell', 'free', null, false],
  ] as const)('%s: %s, %s', (id, resistance, footing, isOneSided) =>
    expect(stimulusOf(of(id))).toEqual({ resistance, footing, isOneSided }),
  )

  test('only what is new is told of a stand-in', () => {
    expect(newStimulusWords(of('barbell_curl'), of('cable_curl'))).toEqual([
      'cable: an even pull through the whole range',
    ])
    expect(newStimulusWords(of('barbell_curl'), of('barbell_curl'))).toEqual([])
    expect(newStimulusWords(of('cable_curl'), of('preacher_curl_dumbbell'))).toEqual([
      'free weight: heaviest where it is farthest from the joint, and balance takes part',
      'supported: the trunk cannot help',
      'one side at a time: neither can help the other, and it takes twice as long',
    ])
  })

  test('whatever hangs on a cable or in a machine is told so', () => {
    for (const exercise of BUILT_IN_CATALOGUE.values()) {
      const [first] = stimulusWords(exercise)
      if (exercise.equipment.includes('cable'))
        expect([exercise.id, first]).toEqual([exercise.id, expect.stringContaining('cable')])
      else if (exercise.equipment.includes('machine'))
        expect([exercise.id, first]).toEqual([exercise.id, expect.stringContaining('guided')])
    }
  })
})
