import { expect, test } from '@jest/globals'
import { contextWith, STEADY_MIDDLE } from '../method'
import { planIn, written } from '../../testing/shorthandPlans'
import { choicesForSlot } from '.'

const plan = planIn(7, written('pull', 'cable_curl 3 x 12, rir 2', 'pulldown_neutral 3 x 10'))
const slot = plan.rotation.days[0]!.sessions[0]!.groupings[0]!.slots[0].id
const choices = (equipment: readonly 'dumbbell'[] = []) =>
  choicesForSlot(plan, contextWith(STEADY_MIDDLE, { trainingAgeMonths: 30, equipment }), slot).map(
    ({ exercise }) => exercise,
  )

test('what takes turns serves the same muscle, is another exercise, and can be done', () => {
  expect(choices()).toEqual(expect.arrayContaining(['preacher_curl_bar', 'concentration_curl']))
  expect(choices()).not.toContain('cable_curl')
  expect(choices()).not.toContain('pushdown_rope')
  expect(choices(['dumbbell'])).not.toContain('preacher_curl_bar')
  expect(
    choicesForSlot(plan, contextWith(STEADY_MIDDLE, { trainingAgeMonths: 30 }), 'gone'),
  ).toEqual([])
})
