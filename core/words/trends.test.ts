import { expect, test } from '@jest/globals'
import { trendSentence } from '.'

const base = { slope: 0.0124, error: 0.005, count: 8, spanWeeks: 6.2 }
test.each([
  [{ ...base, verdict: 'progress' as const }, /^Rising 1\.2\s% a week\.$/],
  [{ ...base, verdict: 'decline' as const, slope: -0.02 }, /^Falling 2\.0\s% a week\.$/],
  [{ ...base, verdict: 'plateau' as const }, /^Flat for 6 weeks\.$/],
  [
    { ...base, verdict: 'unclear' as const, slope: 0 },
    /^Too noisy to call: between [−-]0\.6\s% and 0\.6\s% a week\.$/,
  ],
  [
    { ...base, verdict: 'insufficient' as const, count: 3, error: null },
    /^Not enough data yet: 3 of 5 sessions\.$/,
  ],
])('%#', (trend, sentence) => expect(trendSentence(trend)).toMatch(sentence))
