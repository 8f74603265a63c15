import { describe, expect, test } from '@jest/globals'
import { exerciseId, plainDate } from '../base'
import type { Group } from '../plan/catalogue'
import { type Adjustment, type Change, DECISION_ROWS } from '../follow/review'
import { groupEvidence } from '../testing/groupEvidence'
import {
  adjustmentReason,
  adjustmentWords,
  cameWords,
  LEFT_OUT_WORDS,
  paceDifferenceWords,
  paceWords,
  REPLAN_WORDS,
  ROW_NAMES,
} from './index'

const of = (
  row: Adjustment['row'],
  change: Change,
  more: Partial<Adjustment> = {},
): Adjustment => ({
  row,
  group: null,
  change,
  before: 0,
  after: 0,
  evidence: null,
  signs: [],
  confidence: 'fair',
  isWaiting: false,
  ...more,
})
const curl = exerciseId('cable_curl')
const nameOf = (id: string) => ({ cable_curl: 'Cable curl', hammer_curl: 'Hammer curl' })[id] ?? id

describe('what was proposed or decided', () => {
  test.each<[Adjustment, RegExp]>([
    [
      of('A4', { kind: 'sets', by: -3, rir: 1 }, { group: 'triceps', before: 10, after: 7 }),
      /^Triceps: 3 sets fewer, 10 to 7 direct, one more rep in reserve$/,
    ],
    [
      of('A5', { kind: 'rir', by: 1 }, { group: 'triceps' }),
      /^Triceps: same sets, one more rep in reserve$/,
    ],
    [
      of('A6', { kind: 'hold_ramp', by: -1 }, { group: 'biceps', before: 9, after: 8 }),
      /^Biceps: no step up, 8 direct as before$/,
    ],
    [of('A3', { kind: 'deload' }), /^The whole rotation: easier on purpose$/],
    [of('A8', { kind: 'by_hand' }, { group: 'biceps' }), /^Biceps: change one thing by hand$/],
    [of('A12', { kind: 'go_on' }, { group: 'biceps' }), /^Biceps: as planned$/],
    [
      of('E1', { kind: 'load', exercise: curl, step: 'up' }),
      /^Cable curl: one extra step heavier$/,
    ],
    [of('E2', { kind: 'load', exercise: curl, step: 'down' }), /^Cable curl: a twentieth lighter$/],
    [
      of('E3', { kind: 'swap', from: curl, to: exerciseId('hammer_curl'), intent: null }),
      /^Cable curl: Hammer curl instead, from the next rotation on$/,
    ],
    [
      of(
        'S1',
        { kind: 'shorten', day: 0, place: 0, minutes: 22 },
        { facts: { session: 'Arms', limit: 30 } },
      ),
      /^Arms: made to fit 30 minutes/,
    ],
    [
      of('M1', { kind: 'replan', option: 'shift', session: 'Pull', on: plainDate('2026-11-25') }),
      /^Missed Pull of .*25 Nov.*: shift everything on$/,
    ],
    [
      of('P1', { kind: 'pace', pace: 1.2, isAnew: false }, { group: 'triceps' }),
      /^Triceps: 1\.2 times the usual hours to recover$/,
    ],
    [
      of('P1', { kind: 'pace', pace: null, isAnew: false }, { group: 'triceps' }),
      /^Triceps: the usual hours to recover$/,
    ],
    [
      of('P1', { kind: 'pace', pace: null, isAnew: true }, { group: 'triceps' }),
      /^Triceps: recovery learned again$/,
    ],
    [
      of('O1', { kind: 'confirm', exercise: curl, on: plainDate('2026-11-25'), value: 41.25 }),
      /^Cable curl of .*: 41\.3\skg is right$/,
    ],
  ])('%#', (adjustment, words) => expect(adjustmentWords(adjustment, nameOf)).toMatch(words))
  test.each<[Adjustment, RegExp]>([
    [
      of('E1', { kind: 'load', exercise: curl, step: 'up' }, { facts: { error: 1.5, sets: 4 } }),
      /^1\.5 reps more left than planned, the middle of 4 sets\.$/,
    ],
    [
      of(
        'E2',
        { kind: 'load', exercise: curl, step: 'down' },
        { facts: { error: -2, sets: 4, missed: 0 } },
      ),
      /^2 reps fewer left than planned/,
    ],
    [
      of('E2', { kind: 'load', exercise: curl, step: 'down' }, { facts: { sets: 4, missed: 3 } }),
      /^Two reps or more short in 3 of 4 sets\.$/,
    ],
    [
      of(
        'E3',
        { kind: 'swap', from: curl, to: curl, intent: null },
        { facts: { sore: { joint: 'wrist', level: 'swap' } } },
      ),
      /spares it/,
    ],
    [
      of('E3', { kind: 'swap', from: curl, to: curl, intent: null }, { facts: { slope: -0.012 } }),
      /^The one that falls most, 1\.2\s% a week, though recovered\.$/,
    ],
    [
      of(
        'S1',
        { kind: 'shorten', day: 0, place: 0, minutes: 22 },
        { facts: { minutes: 46, limit: 30, times: 2, of: 3 } },
      ),
      /^46 minutes where 30 are given, 2 times in the last 3\.$/,
    ],
    [
      of('M1', { kind: 'replan', option: 'drop', session: 'Pull', on: plainDate('2026-11-25') }),
      /^$/,
    ],
  ])('its reason, %#', (adjustment, words) => expect(adjustmentReason(adjustment)).toMatch(words))
})

test('sets taken out for another muscle say which, and what came of it', () => {
  const evidence = groupEvidence({
    group: 'lats',
    direct: 16,
    counted: 16.25,
    band: { floor: 8, target: 13, ceiling: 18 },
    wearsOn: ['biceps', 'forearms'],
  })
  const spared = of(
    'A19',
    { kind: 'sets', by: -2, rir: 0 },
    { group: 'lats', before: 16, after: 14, evidence },
  )
  expect(adjustmentWords(spared, nameOf)).toBe('Lats: 2 sets fewer, 16 to 14 direct')
  expect(adjustmentReason(spared)).toBe(
    'Over the target, 16.3 of 13.0, and its exercises tire biceps and forearms too, not recovered by the last answers.',
  )
  const came = (wearsOn: readonly Group[], isMet: boolean) =>
    cameWords({
      proposal: spared,
      expectation: { what: 'spares', rotations: 2, sessions: null },
      pass: 0,
      isMet,
      now: { ...evidence, wearsOn },
      exercise: null,
    })
  expect(came(['biceps'], false)).toBe('Not as expected: biceps not recovered yet')
  expect(came([], true)).toBe('As expected: all recovered')
})

test('every row, way and reason has words', () => {
  for (const row of DECISION_ROWS) expect(ROW_NAMES[row].length).toBeGreaterThan(5)
  for (const words of [...Object.values(REPLAN_WORDS), ...Object.values(LEFT_OUT_WORDS)])
    expect(words.length).toBeGreaterThan(5)
})

test.each([
  [
    { kind: 'not_enough_data' as const, exposures: 5, why: 'few' as const },
    'Not enough data yet: 5 of 8 sessions',
  ],
  [
    { kind: 'not_enough_data' as const, exposures: 19, why: 'alike' as const },
    '19 sessions, but always about as long after the one before: nothing to learn from',
  ],
  [
    { kind: 'pace' as const, pace: 1.21, low: 0.9, high: 1.62, exposures: 14, byStrength: 1.2 },
    'about 1.2 times the usual hours (0.9 to 1.6), learned from 14 sessions',
  ],
])('a pace in words, %#', (own, words) => expect(paceWords(own)).toBe(words))

test('the difference between muscles is told where it is one', () => {
  const at = (group: Group, pace: number) => ({
    group,
    learned: {
      kind: 'pace' as const,
      pace,
      low: pace,
      high: pace,
      exposures: 20,
      byStrength: pace,
    },
  })
  const silent = { group: 'lats' as const, learned: null }
  expect(paceDifferenceWords([at('biceps', 0.9), silent, at('triceps', 1.35)])).toMatch(
    /^Triceps takes longest against its usual hours, biceps least: 1\.5 to 1\./,
  )
  expect(paceDifferenceWords([at('biceps', 1.3), at('triceps', 1.35)])).toBe('')
  expect(paceDifferenceWords([at('biceps', 1.3), silent])).toBe('')
})
