import { describe, expect, test } from '@jest/globals'
import { plainDate } from '../base'
import { datedTrend } from '../body/trend'
import type { Need } from '../follow/roster'
import { dayWord, needWords, nextWords, unreadWords } from '.'

const today = plainDate('2026-04-01')
const on = (text: string) => plainDate(text)
const trend = { ...datedTrend([]), verdict: 'decline' as const, slope: -0.0123, count: 8 }

test.each([
  ['2026-04-01', 'today'],
  ['2026-03-31', 'yesterday'],
  ['2026-04-02', 'tomorrow'],
  ['2026-04-04', 'Sat'],
  ['2026-04-08', 'Wed 8 Apr'],
  ['2026-03-20', 'Fri 20 Mar'],
])('%s is %s', (date, words) => {
  expect(dayWord(on(date), today)).toBe(words)
})

describe('needs in words', () => {
  test.each<{ need: Need; headline: string; detail: RegExp }>([
    {
      need: { kind: 'pain', level: 'stop', joint: 'wrist', side: 'left', score: 8, on: today },
      headline: 'Pain 8 of 10: wrist, left',
      detail: /Reported today.*licensed professional/,
    },
    {
      need: { kind: 'pain', level: 'hold', joint: 'shoulder', side: 'both', score: 4, on: today },
      headline: 'Pain 4 of 10: shoulder, both sides',
      detail: /Nothing loads it more than now/,
    },
    {
      need: {
        kind: 'missed_session',
        session: 'x',
        on: on('2026-03-31'),
        name: 'Arms',
        armSets: 14,
      },
      headline: 'Missed Arms yesterday',
      detail: /^14 direct arm sets/,
    },
    {
      need: {
        kind: 'missed_session',
        session: 'x',
        on: on('2026-03-31'),
        name: 'Legs',
        armSets: 0,
      },
      headline: 'Missed Legs yesterday',
      detail: /No arm sets lost/,
    },
    {
      need: { kind: 'not_sent', on: on('2026-04-03'), pass: 4 },
      headline: 'Rotation 5 starts Fri, not sent',
      detail: /nothing to train by/,
    },
    {
      need: { kind: 'falling', group: 'triceps', trend, others: 2 },
      headline: 'Triceps falling',
      detail: /^1\.2\s% a week over 8 sessions, and 2 more$/,
    },
    {
      need: { kind: 'block_ends', on: on('2026-04-04') },
      headline: 'Block ends Sat',
      detail: /No next block/,
    },
    {
      need: { kind: 'block_ends', on: on('2026-03-20') },
      headline: 'Block ended Fri 20 Mar',
      detail: /No next block/,
    },
    {
      need: {
        kind: 'out_of_band',
        worst: { kind: 'under_floor', group: 'biceps', sets: 1.4 },
        others: 0,
      },
      headline: 'Biceps 1.4 under floor',
      detail: /every other group/,
    },
    {
      need: {
        kind: 'out_of_band',
        worst: { kind: 'over_ceiling', group: 'triceps', sets: 0.5 },
        others: 1,
      },
      headline: 'Triceps 0.5 over ceiling',
      detail: /and 1 more group out/,
    },
    {
      need: { kind: 'not_opened', sentOn: on('2026-03-31') },
      headline: 'Sheet not opened',
      detail: /Sent yesterday/,
    },
  ])('$headline', ({ need, headline, detail }) => {
    const words = needWords(need, today)
    expect(words.headline).toBe(headline)
    expect(words.detail).toMatch(detail)
  })
})

test('what comes next, with and without a time', () => {
  expect(nextWords({ on: today, start: '17:30', name: 'Arms' }, today)).toBe('Arms today at 17:30')
  expect(nextWords({ on: today, start: null, name: 'Arms' }, today)).toBe('Arms today')
})

test.each([
  [1, 'One client’s log is still being read; the order may change.'],
  [212, 'The logs of 212 clients are still being read; the order may change.'],
])('says that %i logs are not read yet', (count, words) => {
  expect(unreadWords(count)).toBe(words)
})
