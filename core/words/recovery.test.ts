import { expect, test } from '@jest/globals'
import type { Arrival } from '../body/recovery'
import { arrivalWords, threadWords } from '.'

const arrival: Arrival = {
  group: 'biceps',
  day: 3,
  session: 0,
  fromDay: 1,
  hoursSince: 48,
  readiness: 90.6,
  required: 90,
  role: 'lead',
  state: 'ready',
  thread: 'whole',
  hoursToReady: 0,
  fatigue: 1,
}
test('an exposure as it is spoken', () =>
  expect(arrivalWords(arrival)).toBe('arrives 90 percent ready after 48 hours'))
test.each([
  [arrival, /^Biceps: ready, 90\s% 48 h after the last work\.$/],
  [
    { ...arrival, state: 'nearly' as const, readiness: 84.9 },
    /nearly ready, 84\s%, 90\s% wanted here\. Fine for/,
  ],
  [
    { ...arrival, state: 'part' as const, readiness: 70, hoursToReady: 26.2 },
    /part recovered, 70\s%.*ready in 26 h/,
  ],
  [
    { ...arrival, state: 'not' as const, readiness: 40, required: 30 },
    /^Biceps: not recovered, 40\s%\. Move, cut, or swap\.$/,
  ],
])('%#', (of, words) => expect(threadWords(of)).toMatch(words))
