import { describe, expect, test } from '@jest/globals'
import { plainDate } from '../../base'
import type { PlanDocument } from '../../plan/block'
import { GROUPS, JOINTS } from '../../plan/catalogue'
import { defaultContext } from '../../plan/method'
import { expandedBlock } from '../../design/progress'
import { sessionSlots } from '../../plan/session'
import { writtenSession as session } from '../../testing/shorthandPlans'
import {
  chance,
  rehearsalData,
  rehearsalSpread,
  rehearsedRun,
  type RehearsedOutcome,
  saidRir,
  saysRecovered,
  SIMULATED,
} from '.'

const context = defaultContext({
  trainingAgeMonths: 40,
  modes: { biceps: 'build', triceps: 'build' },
})
const rest = { role: 'rest' as const, sessions: [] }
const plan: PlanDocument = {
  schema: 1,
  title: 'Block',
  startsOn: plainDate('2026-04-06'),
  passes: 8,
  rotation: {
    kind: 'places',
    anchor: { kind: 'floating' },
    days: [
      {
        role: 'push',
        sessions: [session('bench_press_dumbbell 4 x 8-12, rir 2\npushdown_rope 4 x 10-12, rir 1')],
      },
      {
        role: 'pull',
        sessions: [session('pulldown_wide 4 x 8-12, rir 2\ncable_curl 4 x 10-12, rir 1')],
      },
      rest,
      {
        role: 'arms',
        sessions: [
          session('barbell_curl 4 x 8-12, rir 1\nlying_extension_cambered 4 x 8-12, rir 1'),
        ],
      },
      rest,
      rest,
      rest,
    ],
  },
}
const data = rehearsalData(expandedBlock(plan, context), context)
const runs = Array.from({ length: 200 }, (_, seed) => rehearsedRun(data, seed))
const spreadOf = rehearsalSpread(runs, data)

describe('chance', () => {
  test('the same seed, the same run; another, another', () => {
    expect(rehearsedRun(data, 7)).toEqual(runs[7])
    expect(rehearsedRun(data, 8)).not.toEqual(runs[7])
  })
  test('normal numbers have the mean and the spread they should', () => {
    const { normal } = chance(3)
    const values = Array.from({ length: 4000 }, () => normal(2, 0.5))
    const mean = values.reduce((sum, value) => sum + value, 0) / values.length
    expect(mean).toBeCloseTo(2, 1)
    expect(
      Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length),
    ).toBeCloseTo(0.5, 1)
  })
  test('people think they have fewer reps left than they do; tired ones say so', () => {
    const by = chance(5)
    const said = Array.from({ length: 2000 }, () => saidRir(3, by))
    expect(said.reduce((sum, value) => sum + value, 0) / said.length).toBeLessThan(2.6)
    const answers = (readiness: number) =>
      Array.from({ length: 1000 }, () => saysRecovered(readiness, by)).filter(Boolean).length / 1000
    expect(answers(95)).toBeGreaterThan(0.85)
    expect(answers(80)).toBeCloseTo(0.5, 1)
    expect(answers(60)).toBeLessThan(0.1)
  })
})

describe('a run', () => {
  test('a pass each, nothing below nothing, sessions missed about as often as said', () => {
    for (const { passes } of runs) {
      expect(passes).toHaveLength(8)
      for (const pass of passes)
        for (const value of [...pass.counted, ...pass.readiness, ...pass.joints])
          expect(value).toBeGreaterThanOrEqual(0)
    }
    expect(spreadOf.missedShare).toBeGreaterThan(SIMULATED.missed - 0.02)
    expect(spreadOf.missedShare).toBeLessThan(SIMULATED.missed + 0.02)
  })
  test('what is kept of it is what was counted: a session each, no sets of a missed one, reps that can be done', () => {
    const outcomes: RehearsedOutcome[] = []
    rehearsedRun(data, 3, outcome => outcomes.push(outcome))
    expect(outcomes).toHaveLength(8 * 3)
    for (const { isMissed, sets, session: of } of outcomes) {
      if (isMissed) expect(sets).toEqual([])
      for (const { reps, rir, load, slot } of sets) {
        expect(reps).toBeGreaterThanOrEqual(1)
        expect(rir).toBeGreaterThanOrEqual(0)
        expect(load).toBeGreaterThan(0)
        expect(sessionSlots(of.session.content)).toContain(slot.slot)
      }
    }
  })
})

describe('many runs together', () => {
  test('low, middle and high in their order, for the muscles the block trains and every joint', () => {
    expect(spreadOf.groups.map(({ group }) => group)).toEqual(data.trained.map(at => GROUPS[at]))
    expect(spreadOf.joints).toHaveLength(JOINTS.length)
    for (const { counted, readiness, strength } of spreadOf.groups)
      for (const { low, middle, high } of [...counted, ...readiness, strength])
        expect(low <= middle && middle <= high).toBe(true)
  })
  test('the middle client does nearly what is planned and gains', () => {
    const triceps = spreadOf.groups.find(({ group }) => group === 'triceps')!
    expect(triceps.counted[0]!.high).toBeCloseTo(triceps.planned[0]!, 6)
    expect(triceps.counted[0]!.low).toBeLessThan(triceps.planned[0]!)
    expect(triceps.strength.middle).toBeGreaterThan(0)
  })
  test('where something was missed the rules hold back more often', () => {
    const a2 = spreadOf.rows.find(({ row }) => row === 'A2')
    expect(a2 && a2.missed > a2.whole).toBe(true)
    expect(spreadOf.rows.reduce((sum, { whole }) => sum + whole, 0)).toBeCloseTo(1, 6)
  })
  test('no runs, no courses', () =>
    expect(rehearsalSpread([], data)).toMatchObject({
      runs: 0,
      missedShare: 0,
      groups: data.trained.map(() => ({ counted: [] })),
    }))
})

test('a client who recovers slowly comes less ready', () => {
  const readinessAt = (scale: number) =>
    rehearsalSpread(
      Array.from({ length: 60 }, (_, seed) =>
        rehearsedRun({ ...data, tau: data.tau.map(hours => hours * scale) }, seed),
      ),
      data,
    ).groups.find(({ group }) => group === 'triceps')!.readiness[4]!.middle
  expect(readinessAt(1.8)).toBeLessThan(readinessAt(0.6))
})
