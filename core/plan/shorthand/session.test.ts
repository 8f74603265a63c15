import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { exerciseId, groupingId, sessionId, slotId } from '../../base'
import { EXERCISES } from '../catalogue'
import { normalScheme } from '../scheme'
import { type Grouping, GROUPING_KINDS, PLACEMENTS, type Session, type Slot } from '../session'
import { restArbitrary, schemeArbitrary } from '../../testing/schemes'
import { formatSession, parseSession } from './session'

const text = fc.constantFrom('extensors', 'only if the muscle is cold', 'line: one & two')
const slot: fc.Arbitrary<Slot> = fc.record(
  {
    id: fc.constant(slotId('x')),
    exercise: fc.constantFrom(...EXERCISES).map(({ id }) => exerciseId(id)),
    intent: fc.constantFrom(null, 'biceps', 'lats'),
    credits: fc.constantFrom({ triceps: 1, chest: 0.5 }, { biceps: 0.25 }),
    note: text,
    scheme: schemeArbitrary.map(normalScheme),
  },
  { requiredKeys: ['id', 'exercise', 'intent', 'scheme'] },
)
/** What only says something where exercises are done by turns is not printed for straight sets. */
function withoutRounds(value: Grouping): Grouping {
  if (value.kind !== 'straight') return value
  const { restBetweenPartners: _b, restAfterRound: _a, changeOverSeconds: _c, ...others } = value
  return others
}
const anyGrouping: fc.Arbitrary<Grouping> = fc.record(
  {
    id: fc.constant(groupingId('x')),
    kind: fc.constantFrom(...GROUPING_KINDS),
    placement: fc.constantFrom(...PLACEMENTS),
    slots: fc
      .tuple(slot, fc.array(slot, { maxLength: 2 }))
      .map(([first, others]): [Slot, ...Slot[]] => [first, ...others]),
    part: text,
    changeOverSeconds: fc.integer({ min: 0, max: 60 }),
    sameMuscleIntended: fc.constant(true as const),
    replaceable: fc.constant(true as const),
    turn: fc.constant({ at: 1, of: 2 }),
    restBetweenPartners: restArbitrary,
    restAfterRound: restArbitrary,
    restAfterGrouping: restArbitrary,
    onlyIf: text,
  },
  { requiredKeys: ['id', 'kind', 'placement', 'slots'] },
)
const grouping = anyGrouping.map(withoutRounds)
function anyGroupingOf(more: Partial<Grouping>): Session {
  const read = parseSession('cable_curl 3 x 12', () => 'x')
  if (!read.ok) throw new Error('cable_curl')
  return { ...read.value, groupings: read.value.groupings.map(one => ({ ...one, ...more })) }
}

const session: fc.Arbitrary<Session> = fc.record(
  {
    id: fc.constant(sessionId('x')),
    name: text,
    groupings: fc.array(grouping, { maxLength: 3 }),
    restBetweenMuscles: restArbitrary,
    preparation: fc.array(
      fc.record(
        { minutes: fc.integer({ min: 1, max: 20 }), what: text, onlyIf: text },
        { requiredKeys: ['minutes', 'what'] },
      ),
      { minLength: 1, maxLength: 2 },
    ),
  },
  { requiredKeys: ['id', 'groupings'] },
)

test('every session is printed so that reading gives it back', () => {
  fc.assert(
    fc.property(session, value => {
      const printed = formatSession(value)
      const headed = value.groupings.map(({ kind, placement }) => [kind, placement])
      expect({ printed, headed, result: parseSession(printed, () => 'x') }).toEqual({
        printed,
        headed,
        result: { ok: true, value },
      })
    }),
    { numRuns: 300 },
  )
})

test('straight sets have no rounds to rest after, and the text says what they have', () => {
  const read = (line: string) => parseSession(line, () => 'x')
  const refused = read('straight, after 300s: cable_curl 3 x 12')
  expect(refused).toMatchObject({ ok: false, error: { kind: 'unexpected', found: 'after' } })
  expect(refused.ok || refused.error).toMatchObject({
    expected: expect.arrayContaining(['afterwards', 'part']),
  })
  expect(read('straight, afterwards 300s: cable_curl 3 x 12').ok).toBe(true)
  const stored = anyGroupingOf({
    kind: 'straight',
    restAfterRound: { kind: 'seconds', seconds: 300 },
  })
  expect(formatSession(stored)).toBe('cable_curl 3 x 12')
})

test('a problem is placed in the whole text', () => {
  expect(
    parseSession('cable_curl 3 x 12\nsuperset, after 90s cable_curl 3 x 12', () => 'x'),
  ).toMatchObject({ ok: false, error: { at: 38, found: 'cable_curl' } })
})
