import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { addDays, plainDate } from '../../base'
import { datedTrend, type DatedTrend } from '../../body/trend'
import { byPressure, clientNeeds, type RosterFacts, rosterSection, type RosterSession } from '.'

const today = plainDate('2026-04-08')
const block = { startsOn: plainDate('2026-03-23'), passes: 6, lengthDays: 7, isEmpty: false }
const session = (more: Partial<RosterSession>): RosterSession => ({
  id: 's',
  on: today,
  pass: 2,
  name: 'Arms',
  armSets: 14,
  sentOn: plainDate('2026-04-05'),
  isOpened: true,
  state: (more.on ?? today) < today ? 'missed' : 'opened',
  ...more,
})
const quiet: RosterFacts = {
  today,
  block,
  sessions: [session({ on: plainDate('2026-03-24'), pass: 0, state: 'done' })],
  pains: [],
  muscles: new Map(),
  attention: [],
}
const falling: DatedTrend = {
  ...datedTrend([]),
  verdict: 'decline',
  slope: -0.012,
  error: 0.004,
  probability: 0.01,
  count: 8,
  spanWeeks: 6,
}

test.each<{ name: string; facts: Partial<RosterFacts>; kinds: readonly string[]; section: string }>(
  [
    { name: 'a quiet client', facts: {}, kinds: [], section: 'steady' },
    {
      name: 'pain at hold',
      facts: { pains: [{ level: 'hold', joint: 'wrist', side: 'left', score: 4, on: today }] },
      kinds: ['pain'],
      section: 'now',
    },
    {
      name: 'pain worth a note only',
      facts: { pains: [{ level: 'note', joint: 'wrist', side: 'left', score: 2, on: today }] },
      kinds: [],
      section: 'steady',
    },
    {
      name: 'a session missed yesterday',
      facts: { sessions: [session({ on: addDays(today, -1) })] },
      kinds: ['missed_session'],
      section: 'now',
    },
    {
      name: 'a missed session that was decided',
      facts: { sessions: [session({ on: addDays(today, -1), state: 'decided' })] },
      kinds: [],
      section: 'steady',
    },
    {
      name: 'a session of today',
      facts: { sessions: [session({})] },
      kinds: [],
      section: 'steady',
    },
    {
      name: 'a miss of three weeks ago',
      facts: { sessions: [session({ on: addDays(today, -21) })] },
      kinds: [],
      section: 'steady',
    },
    {
      name: 'a session that was never sent is not missed',
      facts: { sessions: [session({ on: addDays(today, -1), sentOn: null })] },
      kinds: ['no_plan'],
      section: 'now',
    },
    {
      name: 'the next week in two days, not sent',
      facts: { today: plainDate('2026-04-11'), sessions: [session({ state: 'done' })] },
      kinds: ['not_sent'],
      section: 'now',
    },
    {
      name: 'the next week in three days',
      facts: { today: plainDate('2026-04-10'), sessions: [session({ state: 'done' })] },
      kinds: [],
      section: 'steady',
    },
    {
      name: 'the next week sent',
      facts: {
        today: plainDate('2026-04-11'),
        sessions: [session({ state: 'done' }), session({ on: plainDate('2026-04-13'), pass: 3 })],
      },
      kinds: [],
      section: 'steady',
    },
    { name: 'nobody has planned yet', facts: { block: null }, kinds: ['no_plan'], section: 'now' },
    {
      name: 'a plan without a set, whenever it begins',
      facts: { block: { ...block, startsOn: addDays(today, 30), isEmpty: true }, sessions: [] },
      kinds: ['no_plan'],
      section: 'now',
    },
    {
      name: 'a plan that begins in three days and was never sent',
      facts: { block: { ...block, startsOn: addDays(today, 3) }, sessions: [] },
      kinds: [],
      section: 'steady',
    },
    {
      name: 'the same in two days',
      facts: { block: { ...block, startsOn: addDays(today, 2) }, sessions: [] },
      kinds: ['no_plan'],
      section: 'now',
    },
    {
      name: 'falling reps',
      facts: {
        muscles: new Map([
          ['triceps', falling],
          ['biceps', { ...falling, slope: -0.02 }],
          ['lats', { ...falling, verdict: 'unclear' as const, slope: -0.05 }],
        ]),
      },
      kinds: ['falling'],
      section: 'week',
    },
    {
      name: 'falling in a trial is not told before its time',
      facts: {
        block: {
          ...block,
          trials: [{ what: 'Arm day', from: today, weeks: 4, groups: ['triceps'] }],
        },
        muscles: new Map([['triceps', falling]]),
      },
      kinds: [],
      section: 'steady',
    },
    {
      name: 'another muscle in a trial hides nothing',
      facts: {
        block: {
          ...block,
          trials: [{ what: 'Arm day', from: today, weeks: 4, groups: ['biceps'] }],
        },
        muscles: new Map([['triceps', falling]]),
      },
      kinds: ['falling'],
      section: 'week',
    },
    {
      name: 'a trial that is over waits to be looked at',
      facts: {
        block: {
          ...block,
          trials: [{ what: 'Arm day', from: addDays(today, -28), weeks: 4, groups: ['biceps'] }],
        },
      },
      kinds: ['trial_over'],
      section: 'week',
    },
    {
      name: 'a block that ends in five days',
      facts: { today: plainDate('2026-04-28') },
      kinds: ['block_ends'],
      section: 'week',
    },
    {
      name: 'a block that ends in six days',
      facts: {
        today: plainDate('2026-04-27'),
        sessions: [session({ on: plainDate('2026-04-27'), pass: 5, state: 'done' })],
      },
      kinds: [],
      section: 'steady',
    },
    {
      name: 'a block that ends in five days with the next one behind it',
      facts: {
        today: plainDate('2026-04-28'),
        block: { ...block, next: { startsOn: plainDate('2026-05-04'), isSent: false } },
      },
      kinds: [],
      section: 'steady',
    },
    {
      name: 'the next block begins in two days and was not sent',
      facts: {
        today: plainDate('2026-05-02'),
        block: { ...block, next: { startsOn: plainDate('2026-05-04'), isSent: false } },
        sessions: [session({ on: plainDate('2026-05-01'), pass: 5, state: 'done' })],
      },
      kinds: ['not_sent'],
      section: 'now',
    },
    {
      name: 'the next block begins in two days and was sent',
      facts: {
        today: plainDate('2026-05-02'),
        block: { ...block, next: { startsOn: plainDate('2026-05-04'), isSent: true } },
        sessions: [session({ on: plainDate('2026-05-01'), pass: 5, state: 'done' })],
      },
      kinds: [],
      section: 'steady',
    },
    {
      name: 'what was sent of the block before says nothing of this one',
      facts: {
        today: plainDate('2026-04-01'),
        sessions: [
          session({ on: plainDate('2026-03-30'), pass: 0, state: 'done', isOfOther: true }),
        ],
      },
      kinds: ['no_plan'],
      section: 'now',
    },
    {
      name: 'a block that has ended',
      facts: { today: plainDate('2026-06-01') },
      kinds: ['block_ends'],
      section: 'week',
    },
    {
      name: 'a plan out of band',
      facts: { attention: [{ kind: 'over_ceiling', group: 'biceps', sets: 0.5 }] },
      kinds: ['out_of_band'],
      section: 'week',
    },
    {
      name: 'a sheet nobody has opened',
      facts: { sessions: [session({ isOpened: false })] },
      kinds: ['not_opened'],
      section: 'week',
    },
    {
      name: 'a sheet sent today',
      facts: { sessions: [session({ isOpened: false, sentOn: today })] },
      kinds: [],
      section: 'steady',
    },
  ],
)('$name', ({ facts, kinds, section }) => {
  const needs = clientNeeds({ ...quiet, ...facts })
  expect(needs.map(({ kind }) => kind)).toEqual(kinds)
  expect(rosterSection(needs)).toBe(section)
})

test('the worst stands for the rest', () => {
  const needs = clientNeeds({
    ...quiet,
    muscles: new Map([
      ['triceps', falling],
      ['biceps', { ...falling, slope: -0.02 }],
      ['lats', { ...falling, verdict: 'unclear' as const, slope: -0.05 }],
    ]),
    pains: [
      { level: 'hold', joint: 'wrist', side: 'left', score: 4, on: today },
      { level: 'stop', joint: 'shoulder', side: 'right', score: 8, on: today },
    ],
  })
  expect(needs).toMatchObject([
    { kind: 'pain', joint: 'shoulder' },
    { kind: 'falling', group: 'biceps', others: 1 },
  ])
})

const client = fc.record({
  section: fc.constantFrom('now' as const, 'week' as const, 'steady' as const),
  isFlagged: fc.boolean(),
  needs: fc.constantFrom([], [{ kind: 'pain' as const }], [{ kind: 'falling' as const }]),
  nextOn: fc.constantFrom(null, '2026-04-08', '2026-04-09'),
  name: fc.string(),
})
test('the order is one order: whoever is shuffled comes out the same', () => {
  fc.assert(
    fc.property(fc.array(client, { maxLength: 12 }), fc.nat(), (clients, seed) => {
      const shuffled = [...clients].sort(
        (a, b) => ((a.name.length * seed) % 7) - ((b.name.length * seed) % 7),
      )
      const keys = (of: typeof clients) =>
        [...of]
          .sort(byPressure)
          .map(({ section, isFlagged, needs, nextOn, name }) => [
            section,
            isFlagged,
            needs,
            nextOn,
            name,
          ])
      expect(keys(shuffled)).toEqual(keys(clients))
    }),
  )
})
