import { expect, test } from '@jest/globals'
import { addDays, exerciseId, plainDate } from '../../base'
import type { Way } from '../../plan/block'
import { defaultContext } from '../../plan/method'
import { writtenSession } from '../../testing/shorthandPlans'
import { wayCourseWords } from '../../words'
import { type PastSession, wayCourses } from '.'

const context = defaultContext({ trainingAgeMonths: 30 })
const from = plainDate('2026-03-02')

/** Sessions a week apart, each with its own line and its sets of ten at a load. */
const past = (
  lines: readonly string[],
  kg: number | null = 20,
  reps = 10,
): readonly PastSession[] =>
  lines.map((line, week) => {
    const content = writtenSession(line)
    const [slot] = content.groupings[0]!.slots
    const count = slot.scheme.runs[0]!.count
    return {
      on: addDays(from, week * 7),
      name: 'Arms',
      content,
      isExcused: false,
      sets: Array.from({ length: count }, (_, at) => ({
        slot: slot.id,
        exercise: exerciseId('cable_curl'),
        intent: null,
        set: at + 1,
        stage: 1,
        side: null,
        role: 'working' as const,
        loadKg: kg,
        reps,
        seconds: null,
        rir: 1,
        isRirOpen: false,
      })),
    }
  })
const course = (way: Way, sessions: readonly PastSession[]) =>
  wayCourses({ cable_curl: way }, sessions, context)[0]

test.each<readonly [string, Way, readonly string[], readonly [number, number], string]>([
  [
    'more sets by what is moved',
    { kind: 'sets', everyWeeks: 2, by: 1, to: 5 },
    ['3 x 10', '3 x 10', '3 x 10', '4 x 10', '4 x 10', '5 x 10'],
    [600, 800],
    'By a set more: 600 to 800 kg moved a session, over 6 sessions',
  ],
  [
    'less rest by what is moved in a minute',
    { kind: 'rest', everyWeeks: 1, by: 30, to: 30 },
    [
      '3 x 10, rest 90s',
      '3 x 10, rest 90s',
      '3 x 10, rest 90s',
      '3 x 10, rest 30s',
      '3 x 10, rest 30s',
      '3 x 10, rest 30s',
    ],
    // 600 kg in 3 × 40 s and two rests.
    [120, 200],
    'By less rest: 120 to 200 kg moved a minute, over 6 sessions',
  ],
  [
    'slower lowering by load and seconds',
    { kind: 'lowering', everyWeeks: 1, by: 1, to: 4 },
    ['3 x 10', '3 x 10', '3 x 10', '3 x 10, lower 4s', '3 x 10, lower 4s', '3 x 10, lower 4s'],
    [1200, 2400],
    'By slower lowering: 1,200 to 2,400 kg × seconds lowered a session, over 6 sessions',
  ],
])('%s', (_, way, lines, [first, last], words) => {
  const found = course(way, past(lines.map(line => `cable_curl ${line}`)))!
  expect([found.first, found.last]).toEqual([expect.closeTo(first, 6), expect.closeTo(last, 6)])
  expect(wayCourseWords(found)).toBe(words)
})

test('without a load the reps are counted; under four sessions nothing is said', () => {
  const way: Way = { kind: 'sets', everyWeeks: 2, by: 1, to: 5 }
  const lines = ['3 x 10', '3 x 10', '4 x 10', '5 x 10'].map(line => `cable_curl ${line}`)
  expect(wayCourseWords(course(way, past(lines, null))!)).toBe(
    'By a set more: 30.0 to 40.0 reps a session, over 4 sessions',
  )
  expect(course(way, past(lines.slice(1)))).toBeUndefined()
  const missed = past(lines).map((session, at) => (at === 2 ? { ...session, sets: [] } : session))
  expect(course(way, missed)).toBeUndefined()
})
