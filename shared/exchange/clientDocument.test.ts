import { expect, test } from '@jest/globals'
import { plainDate } from '#core/base'
import type { PlanDocument } from '#core/plan/block'
import fc from 'fast-check'
import { planArbitrary } from '../../core/testing/arbitraries'
import { entriesArbitrary, placeAt, saidSet, SLOTS } from '../../core/testing/sheets'
import { ClientDocument } from '../contracts/clientDocument'
import { renewedDocument } from './renewed'

const instant = fc
  .integer({ min: 1_700_000_000, max: 1_790_000_000 })
  .map(seconds => new Date(seconds * 1000).toISOString())
const maybe = fc.option(instant)

const bare = {
  group: null,
  before: 0,
  after: 0,
  evidence: null,
  signs: [],
  confidence: 'fair' as const,
  isWaiting: false,
}
const DECIDED = [
  {
    ...bare,
    row: 'A3' as const,
    change: { kind: 'deload' as const },
    signs: ['falling' as const, 'sore_joints' as const],
  },
  {
    ...bare,
    row: 'E3' as const,
    change: { kind: 'swap' as const, from: 'cable_curl', to: 'hammer_curl', intent: null },
    facts: { exercise: 'cable_curl', sore: { joint: 'wrist' as const, level: 'swap' as const } },
  },
  {
    ...bare,
    row: 'M1' as const,
    change: {
      kind: 'replan' as const,
      option: 'spread' as const,
      session: 'Pull',
      on: plainDate('2026-04-07'),
    },
  },
  {
    ...bare,
    row: 'A7' as const,
    group: 'biceps' as const,
    before: 10,
    after: 12,
    change: { kind: 'sets' as const, by: 2, rir: 0 },
    evidence: {
      group: 'biceps' as const,
      mode: 'build' as const,
      direct: 10,
      counted: 12.5,
      band: { floor: 6, target: 12, ceiling: 16 },
      verdict: 'unclear' as const,
      probability: 0.5,
      slope: 0,
      sore: null,
      adherence: 1,
      done: 20,
      planned: 20,
      recovered: 2,
      notRecovered: 0,
      readiness: 91.2,
      exposures: 2,
      lowExposures: 0,
      belowFloorFor: 0,
      ramp: 0,
      daysAway: null,
    },
  },
]

const document = fc
  .tuple(
    planArbitrary,
    fc.uuid(),
    fc.uuid(),
    fc.uuid(),
    entriesArbitrary,
    instant,
    maybe,
    fc.array(fc.uuid(), { minLength: 25, maxLength: 25 }),
  )
  .map(([plan, block, former, session, entries, at, opened, keys]) => ({
    format: 'tholepin-client' as const,
    version: 2 as const,
    profile: { name: 'Marit Solheim-Okafor', units: 'kg', days: [] },
    facts: { trainingAgeMonths: 30, modes: {}, bands: {}, equipment: [], credits: {} },
    method: 'steady-middle',
    blocks: [
      { id: former, version: 3, savedAt: at, closedAt: at, plan },
      { id: block, version: 1, savedAt: at, closedAt: null, plan },
    ],
    sessions: [
      {
        id: session,
        blockId: block,
        pass: 0,
        day: 1,
        place: 0,
        on: plainDate('2026-04-06'),
        name: 'Arms',
        armSets: 4,
        setsPlanned: 6,
        prescribed: { id: 'held', groupings: [] as never[] },
        sentAt: at,
        openedAt: opened,
        startedAt: opened,
        finishedAt: null,
        minutes: null,
        isRecovered: true,
        note: '',
        missedDecision: null,
        sets: [
          {
            at: 0,
            ...placeAt(SLOTS[0], 1),
            exercise: 'cable_curl',
            intent: null,
            loadKg: 27.5,
            reps: 12,
            seconds: null,
            rir: 1,
            isRirOpen: false,
            unit: 'lb' as const,
            entryId: keys[0] ?? null,
          },
        ],
        // Every second set replaces what the entry before it said.
        entries: entries.map(({ word }, n) => ({
          id: keys[n]!,
          author: 'client' as const,
          at,
          receivedAt: at,
          clockOffSeconds: n,
          outcome: 'taken' as const,
          word:
            word.kind === 'clear'
              ? { ...word, replaces: keys[0]! }
              : word.kind === 'set' && n > 0
                ? { ...saidSet(word.place), replaces: keys[n - 1]! }
                : word,
        })),
      },
    ],
    measurements: [{ on: plainDate('2026-04-01'), kind: 'body_weight' as const, value: 71.2 }],
    pain: [
      {
        joint: 'wrist' as const,
        side: 'left' as const,
        score: 3,
        nextMorning: null,
        hasAlarmSign: false,
        reportedAt: at,
      },
    ],
    clearances: [
      {
        joint: 'wrist' as const,
        on: plainDate('2026-04-02'),
        profession: 'physician',
        limits: '',
        recordedAt: at,
      },
    ],
    messages: [{ kind: 'own' as const, text: 'Well done', writtenAt: at }],
    decisions: DECIDED.map(proposal => ({
      blockId: block,
      pass: 1,
      proposal,
      decision: 'taken' as const,
      reason: '',
      version: 2,
      decidedBy: 'Ragna Tveitan',
      decidedAt: at,
    })),
  }))
const plain = (value: unknown): unknown => JSON.parse(JSON.stringify(value))

test('a document is read back as it was written', () => {
  fc.assert(
    fc.property(document, written => {
      const read = ClientDocument.parse(plain(written))
      expect(plain(read)).toEqual(plain(written))
      expect(plain(ClientDocument.parse(plain(read)))).toEqual(plain(read))
    }),
    { numRuns: 60 },
  )
})

test('with ids of its own it is the same client: what pointed at the old ids points at the new ones', () => {
  fc.assert(
    fc.property(document, written => {
      const before = ClientDocument.parse(plain(written))
      let count = 0
      const given = new Map<string, string>()
      const fresh = renewedDocument(
        before,
        () => `00000000-0000-4000-8000-${String(++count).padStart(12, '0')}`,
      )
      const ids = (of: ClientDocument) => [
        ...of.blocks.map(({ id }) => id),
        ...of.sessions.flatMap(({ id, entries }) => [id, ...entries.map(entry => entry.id)]),
      ]
      ids(fresh).forEach((id, at) => given.set(id, ids(before)[at]!))
      expect(ids(fresh).some(id => ids(before).includes(id as never))).toBe(false)
      // Old ids put back for the new ones give the old document.
      const back = [...given].reduce(
        (text, [id, old]) => text.replaceAll(id, old),
        JSON.stringify(fresh),
      )
      const known = new Set(ids(before))
      const dangling = (of: ClientDocument) =>
        JSON.parse(JSON.stringify(of), (key, value: unknown) =>
          (key === 'replaces' || key === 'entryId') && !known.has(value as never) ? null : value,
        ) as unknown
      expect(dangling(JSON.parse(back) as ClientDocument)).toEqual(dangling(before))
    }),
    { numRuns: 60 },
  )
})

test.each([
  { name: 'an older version', change: { version: 1 }, path: 'version' },
  { name: 'a session without its sets', change: { sessions: [{ id: 'x' }] }, path: 'sessions' },
  {
    name: 'a plan that is none',
    change: {
      blocks: [
        {
          id: '00000000-0000-4000-8000-000000000001',
          version: 1,
          savedAt: '2026-04-01T00:00:00Z',
          closedAt: null,
          plan: {} as PlanDocument,
        },
      ],
    },
    path: 'blocks',
  },
])('$name is told by its place', ({ change, path }) => {
  const [written] = fc.sample(document, { numRuns: 1, seed: 1 })
  const outcome = ClientDocument.safeParse(plain({ ...written, ...change }))
  expect(outcome.error?.issues[0]?.path[0]).toBe(path)
})

test('a file from before decisions were kept has none', () => {
  const [written] = fc.sample(document, { numRuns: 1, seed: 2 })
  const { decisions: _, ...older } = plain(written) as Record<string, unknown>
  expect(ClientDocument.parse(older).decisions).toEqual([])
})
