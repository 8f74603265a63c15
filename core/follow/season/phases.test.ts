import { describe, expect, test } from '@jest/globals'
import { plainDate } from '../../base'
import type { Phase } from '../../plan/method'
import { phaseFollows, phaseName, phaseToGo } from '../../words'
import { FIRST_IN, modesOf, phaseRuns, yearAhead } from '.'

const build: Phase = { kind: 'build' }
const lean: Phase = { kind: 'lean', armsEvery: 5, volume: 0.8 }
const regatta: Phase = { kind: 'event', what: 'the regatta', on: plainDate('2026-06-20') }
const block = (from: string, to: string, phase: Phase | null) => ({
  phase,
  from: plainDate(from),
  to: plainDate(to),
})
const LINE = [
  block('2026-01-05', '2026-02-01', build),
  block('2026-02-02', '2026-03-01', { ...build, armsEvery: 4 }),
  block('2026-03-02', '2026-03-29', null),
  block('2026-03-30', '2026-04-26', build),
  block('2026-04-27', '2026-05-24', lean),
  block('2026-05-25', '2026-06-28', regatta),
]

describe('phases of a season', () => {
  test('are blocks in a row with one aim; a block without one parts them', () => {
    expect(
      phaseRuns(LINE, plainDate('2026-02-10')).map(({ phase, from, to, weeksToGo }) => [
        phase.kind,
        from,
        to,
        weeksToGo,
      ]),
    ).toEqual([
      ['build', '2026-01-05', '2026-03-01', 3],
      ['build', '2026-03-30', '2026-04-26', null],
      ['lean', '2026-04-27', '2026-05-24', null],
      ['event', '2026-05-25', '2026-06-28', null],
    ])
  })

  test.each([
    ['2026-02-22', 0, '1 week to go, until Sun 1 Mar'],
    ['2026-03-01', 0, 'ends today'],
    ['2026-03-02', 0, 'over'],
    ['2026-02-22', 1, 'begins in 6 weeks'],
    ['2026-03-25', 1, 'begins within a week'],
    ['2026-05-25', 3, '4 weeks to go, until Sat 20 Jun'],
    // An event is over with its day, whatever is left of its block.
    ['2026-06-21', 3, 'over'],
  ])('on %s, number %d: %s', (today, at, words) => {
    const day = plainDate(today)
    const said = phaseToGo(phaseRuns(LINE, day)[at]!, day)
    expect(said.replaceAll('\u00a0', ' ')).toBe(words)
  })

  test('are named with what they lead to, and say what follows', () => {
    expect([build, lean, regatta, { ...build, what: 'thicker arms' }].map(phaseName)).toEqual([
      'Build',
      'Lean out',
      'Before the regatta',
      'Build: thicker arms',
    ])
    expect(phaseFollows(lean)).toEqual([
      'arms at least every 5 days',
      '80 % of the usual arm sets',
      'recovery slower, strength that holds is a success',
    ])
    expect(phaseFollows({ ...build, volume: 1 })).toEqual([])
  })

  test('say what comes first, until it is said otherwise', () => {
    expect(modesOf(FIRST_IN.lean).triceps).toBe('keep')
    expect(modesOf(FIRST_IN.event).biceps).toBe('build')
    expect(yearAhead().map(({ phase }) => phase)).toContain('hold')
  })
})
