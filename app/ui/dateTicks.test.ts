import { expect, test } from '@jest/globals'
import { dateTicks } from './dateTicks'

test.each([
  ['nothing', [], []],
  ['one day', ['2026-04-03'], ['Fri 3 Apr']],
  [
    'a week, in any order',
    ['2026-04-09', '2026-04-03'],
    ['Fri 3 Apr', 'Sun 5 Apr', 'Tue 7 Apr', 'Thu 9 Apr'],
  ],
  [
    'six weeks',
    ['2026-03-01', '2026-04-12'],
    ['Sun 1 Mar', 'Sun 15 Mar', 'Sun 29 Mar', 'Sun 12 Apr'],
  ],
  [
    'more than a year, with it',
    ['2025-01-01', '2026-04-01'],
    ['1 Jan 2025', '2 Apr 2025', '2 Jul 2025', '1 Oct 2025', '31 Dec 2025', '1 Apr 2026'],
  ],
  ['moments, by their day', ['2026-04-03T10:00:00Z', '2026-04-04'], ['Fri 3 Apr', 'Sat 4 Apr']],
])('an axis over %s', (_, dates, told) => {
  const { tickvals, ticktext } = dateTicks(dates)
  expect(ticktext).toEqual(told)
  expect(tickvals).toHaveLength(ticktext.length)
})
