import { expect, test } from '@jest/globals'
import { plainDate } from '../base'
import { bandMoves, daysWords, weekMove, whatIfDone } from '.'
import { shownPlan, shownReport } from './shown'

test('days, and what was done for whom', () => {
  const [a, b] = [plainDate('2026-05-03'), plainDate('2026-05-10')]
  expect(daysWords(a, b)).toBe('from Sun 3 May to Sun 10 May')
  expect(daysWords(a, a)).toBe('on Sun 3 May')
  expect(whatIfDone('Studio closed', ['Ada', 'Teo'])).toBe(
    'Studio closed. Changed for Ada and Teo.',
  )
  expect(whatIfDone('Studio closed', [])).toBe('Studio closed.')
})

test('bands that are left and come back into', () => {
  const over = { kind: 'over_ceiling', group: 'biceps', sets: 1 } as const
  const under = { kind: 'under_floor', group: 'triceps', sets: 2 } as const
  expect(bandMoves([under], [over])).toEqual([
    'Biceps 1.0 over ceiling, now',
    'Triceps back in its band',
  ])
  expect(bandMoves([over], [{ ...over, sets: 3 }])).toEqual([])
  expect(weekMove('biceps', 9, 7.5)).toBe('Biceps 9.0 → 7.5 sets per 7 days')
})

test('a plan as it is shown: a table a rotation', () => {
  const row = {
    rotation: 1,
    on: plainDate('2026-05-04'),
    name: 'Arms',
    exercise: 'Cable curl',
    sets: 3,
    scheme: '3 × 10',
  }
  expect(shownPlan([row, { ...row, rotation: 2 }]).map(({ title, rows }) => [title, rows])).toEqual(
    [
      ['Rotation 1', [['Mon 4 May', 'Arms', 'Cable curl', '3', '3 × 10']]],
      ['Rotation 2', [['Mon 4 May', 'Arms', 'Cable curl', '3', '3 × 10']]],
    ],
  )
})

test('a report as it is shown: why something was changed is health, too', () => {
  const report = {
    sessionsDone: 3,
    sessionsDue: 4,
    setsDone: 30,
    setsDue: 40,
    muscles: [{ group: 'biceps' as const, slope: 0.01, count: 9 }],
    exercises: [{ name: 'Cable curl', points: [{ value: 30 }, { value: 33 }] }],
    changes: [{ on: '2026-05-04', words: 'Biceps: 1 set fewer', why: 'The wrist hurts.' }],
    pain: { reports: 2, worst: 4 },
    measured: [{ kind: 'body_weight' as const, first: 80, last: 81 }],
  }
  const calm = JSON.stringify(shownReport(report, false))
  expect(calm).not.toMatch(/wrist|Pain|Body weight/)
  const whole = shownReport(report, true)
  expect(whole.map(({ title }) => title)).toEqual([
    'Done',
    'Strength of the arms, a week',
    'Best set, as one repetition',
    'Changed on the way',
    'Pain told',
    'Measured',
  ])
  for (const { heads, rows } of whole)
    for (const row of rows) expect(row).toHaveLength(heads.length)
})
