import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { addDays, plainDate } from '../../base'
import {
  hasWork,
  isAhead,
  isLeftOut,
  type SessionFacts,
  SESSION_STATES,
  sessionState,
} from './sessionState'

const today = plainDate('2026-04-02')
const yesterday = addDays(today, -1)

const unsent: SessionFacts = {
  on: today,
  isSent: false,
  isOpened: false,
  hasSets: false,
  isFinished: false,
  isDecided: false,
}
const past = { on: yesterday, isSent: true, isOpened: true }

test.each([
  { name: 'laid out and not sent', facts: {}, state: 'planned' },
  { name: 'sent', facts: { isSent: true }, state: 'sent' },
  { name: 'looked at', facts: { isSent: true, isOpened: true }, state: 'opened' },
  { name: 'sets in the log on its day', facts: { hasSets: true }, state: 'begun' },
  {
    name: 'sets in the log ahead of its day',
    facts: { on: addDays(today, 3), hasSets: true },
    state: 'begun',
  },
  {
    name: 'sets in the log, never finished',
    facts: { ...past, hasSets: true },
    state: 'part_done',
  },
  { name: 'finished', facts: { ...past, hasSets: true, isFinished: true }, state: 'done' },
  { name: 'finished without a set', facts: { ...past, isFinished: true }, state: 'done' },
  { name: 'let go after its day', facts: { ...past, isDecided: true }, state: 'decided' },
  { name: 'let go before its day', facts: { isSent: true, isDecided: true }, state: 'decided' },
  {
    name: 'let go, and then done in part',
    facts: { ...past, isDecided: true, hasSets: true },
    state: 'part_done',
  },
  {
    name: 'let go, and then done',
    facts: { ...past, isDecided: true, isFinished: true },
    state: 'done',
  },
  { name: 'looked at and left', facts: past, state: 'missed' },
  { name: 'never sent and past', facts: { on: yesterday }, state: 'missed' },
  { name: 'today, late in the evening', facts: { isSent: true }, state: 'sent' },
] as const)('$name: $state', ({ facts, state }) => {
  expect(sessionState({ ...unsent, ...facts }, today)).toBe(state)
})

describe('whatever is known of a session', () => {
  const facts = fc.record({
    on: fc.integer({ min: -9, max: 9 }).map(days => addDays(today, days)),
    isSent: fc.boolean(),
    isOpened: fc.boolean(),
    hasSets: fc.boolean(),
    isFinished: fc.boolean(),
    isDecided: fc.boolean(),
  })

  test('it is ahead, worked on or left out, and never two of these', () =>
    fc.assert(
      fc.property(facts, one => {
        const state = sessionState(one, today)
        expect(SESSION_STATES).toContain(state)
        expect([isAhead, hasWork, isLeftOut].filter(is => is(state))).toHaveLength(1)
      }),
    ))

  test('work in the log is never called missed, and nothing ahead of its day is', () =>
    fc.assert(
      fc.property(facts, one => {
        const state = sessionState(one, today)
        if (one.hasSets || one.isFinished) expect(hasWork(state)).toBe(true)
        if (one.on >= today) expect(state).not.toBe('missed')
      }),
    ))

  test('a day later nothing that was done is undone', () =>
    fc.assert(
      fc.property(facts, one => {
        const [now, later] = [sessionState(one, today), sessionState(one, addDays(today, 1))]
        if (hasWork(now)) expect(hasWork(later)).toBe(true)
        if (isLeftOut(now)) expect(later).toBe(now)
      }),
    ))
})
