import { expect, test } from '@jest/globals'
import { formatScheme, parseScheme } from '../shorthand'
import { forAnotherExercise, withoutWeights } from './forAnother'

const scheme = (text: string) => {
  const parsed = parseScheme(text)
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.error))
  return parsed.value
}

test.each([
  ['4 x 10 40kg, rir 2', '4 x 10, rir 2'],
  ['4 x 10 70% e1rm, rir 2', '4 x 10 70% e1rm, rir 2'],
  ['3 x 10 40kg | drop 20% 8, rir 0', '3 x 10 | drop 20% 8, rir 0'],
  ['3 x 12 palms up slow, rir 1', '3 x 12 palms up slow, rir 1'],
  ['3 x 12 with "rope" bench 30 seat 4, rir 1', '3 x 12, rir 1'],
])('%s for another exercise is %s', (text, other) => {
  expect(formatScheme(forAnotherExercise(scheme(text)))).toBe(formatScheme(scheme(other)))
})

test('eased, the exercise keeps its set-up and loses its weight only', () => {
  expect(formatScheme(withoutWeights(scheme('3 x 12 20kg bench 30, rir 1')))).toBe(
    formatScheme(scheme('3 x 12 bench 30, rir 1')),
  )
})
