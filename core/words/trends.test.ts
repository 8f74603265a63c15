import { expect, test } from '@jest/globals'
import { plainDate } from '../base'
import { trendSentence } from '.'

const base = {
  slope: 0.0124,
  error: 0.005,
  count: 18,
  spanWeeks: 9.2,
  since: plainDate('2026-03-02'),
  leaning: null,
}
test.each([
  [
    { ...base, verdict: 'progress' as const },
    /^Rising, since Mon 2 Mar: 1\.2\s% a week\. \+0\.6\s% to \+1\.9\s% a week, four times in five\.$/,
  ],
  [
    { ...base, verdict: 'decline' as const, slope: -0.02 },
    /^Falling, since Mon 2 Mar: 2\.0\s% a week\. [−-]2\.6\s% to [−-]1\.4\s% a week, four times in five\.$/,
  ],
  [
    { ...base, verdict: 'plateau' as const, slope: 0 },
    /^Flat over 9 weeks, since Mon 2 Mar\. [−-]0\.6/,
  ],
  [
    { ...base, verdict: 'unclear' as const, count: 8, since: null },
    /^Not clear yet, 8 of about 16 sessions\. \+0\.6/,
  ],
  [
    { ...base, verdict: 'unclear' as const, leaning: 'up' as const, since: null },
    /^Not clear yet, 18 sessions\. Leaning up\. \+0\.6/,
  ],
  [
    { ...base, verdict: 'insufficient' as const, count: 3, error: null, since: null },
    /^Too early: 3 of about 16 sessions that a rise of 1\s% a week takes to show\.$/,
  ],
  [
    { ...base, verdict: 'insufficient' as const, error: null, isHighReps: true },
    /^Sets of more than 20 reps say too little of strength: not judged\.$/,
  ],
])('%#', (trend, sentence) => expect(trendSentence(trend)).toMatch(sentence))
