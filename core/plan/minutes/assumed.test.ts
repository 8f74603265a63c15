import { expect, test } from '@jest/globals'
import { contextWith, STEADY_MIDDLE } from '../method'
import { sessionSlots } from '../session'
import { written } from '../../testing/shorthandPlans'
import { assumedWords } from '../../words'
import { assumedIn } from './assumed'

const context = contextWith(STEADY_MIDDLE, { trainingAgeMonths: 30 })

test.each([
  ['cable_curl 3 x 12, rir 1, rest 90s', ''],
  ['cable_curl 3 x 8-12, rir 1, rest 90s', 'Counted and timed with 10 reps.'],
  ['cable_curl 2-4 x 12, rir 1, rest 90s', 'Counted and timed with 3 sets.'],
  ['cable_curl 3 x 12, rir 1', 'Counted and timed with 90 s between sets.'],
  ['cable_curl 3 x to failure, rest 60s', 'Counted and timed with 12.5 reps.'],
  [
    'concentration_curl 3 x 12, rir 1',
    'Counted and timed with 45 s between sets, 45 s between arms.',
  ],
  ['plank 3 x 45, rest 60s', ''],
])('%s: %s', (line, words) => {
  const [slot] = written('arms', line).sessions.flatMap(sessionSlots)
  expect(assumedWords(assumedIn(slot!, context)).replaceAll('\u00a0', ' ')).toBe(words)
})
