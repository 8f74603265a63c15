import { describe, expect, test } from '@jest/globals'
import { addDays, plainDate } from '../../base'
import type { PlanDocument } from '../../plan/block'
import { GROUPS, JOINTS } from '../../plan/catalogue'
import { bandOf, defaultContext } from '../../plan/method'
import { expandedBlock } from '../../design/progress'
import { sessionSlots } from '../../plan/session'
import { decisionWeek } from '../../testing/decisionWeek'
import { writtenSession as session } from '../../testing/shorthandPlans'
import { REPLAN_OPTIONS, type ReplanOption } from '../replan'
import { MAX_SETS_PER_EXERCISE } from '../../plan/scheme'
import { allotted, refill } from './allotted'
import {
  chance,
  gainShare,
  growthBy,
  hiddenClient,
  type Policy,
  REHEARSED_WORLDS,
  type RehearsedWorld,
  type RunTerms,
  rehearsalData,
  bothWays,
  partsOf,
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
    rehearsedRun(data, 3, { keep: outcome => outcomes.push(outcome) })
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
  test('gone through in parts they are what they are in one', () => {
    const parts = partsOf({ from: 0, to: 21 }, 4)
    expect(parts.map(({ from, to }) => to - from)).toEqual([5, 6, 5, 5])
    const heard: number[] = []
    const some = parts.map(part => bothWays(data, part, done => heard.push(done)))
    expect(heard).toEqual([1, 2, 3, 4, 5, 1, 2, 3, 4, 5, 6, 1, 2, 3, 4, 5, 1, 2, 3, 4, 5])
    expect(some.flatMap(({ ruled }) => ruled)).toEqual(runs.slice(0, 21))
    expect(some.flatMap(({ without }) => without)).toEqual(
      bothWays(data, { from: 0, to: 21 }).without,
    )
    expect(some[0]!.without).not.toEqual(some[0]!.ruled)
  })
  test.each([
    [3, 4, 3],
    [0, 4, 0],
    [7, 1, 1],
  ])('%i seeds for %i hands are %i parts, without a gap', (seeds, hands, count) => {
    const parts = partsOf({ from: 40, to: 40 + seeds }, hands)
    expect(parts).toHaveLength(count)
    expect(
      parts.flatMap(({ from, to }) => Array.from({ length: to - from }, (_, at) => from + at)),
    ).toEqual(Array.from({ length: seeds }, (_, at) => 40 + at))
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

describe('the simulated client does not share what the rules assume', () => {
  test('more sets help ever less, or are best at her need', () => {
    const doses = [0.25, 0.5, 0.75, 1, 1.25, 1.5, 2]
    const steps = (world: RehearsedWorld) =>
      doses.slice(1).map((dose, at) => growthBy(dose, world) - growthBy(doses[at]!, world))
    expect(growthBy(1, 'more')).toBeCloseTo(1, 9)
    expect(growthBy(1, 'best')).toBeCloseTo(1, 9)
    expect(steps('more').every(step => step > 0)).toBe(true)
    expect(steps('best').map(Math.sign)).toEqual([1, 1, 1, -1, -1, -1])
    for (const world of REHEARSED_WORLDS) expect(growthBy(0, world)).toBeCloseTo(0, 9)
  })
  test.each([
    ['as she should', {}, 1],
    ['half as ready', { ready: 0.5 }, 0.5],
    ['in pain', { isSore: true }, 0.8],
    ['with two reps more in reserve', { reserve: 2 }, 0.88],
    ['with nothing done', { dose: 0 }, 0],
  ])('at her need %s', (_, more, share) =>
    expect(
      gainShare({ dose: 1, ready: 1, isSore: false, reserve: 0, ...more }, 'more'),
    ).toBeCloseTo(share, 9),
  )
  test('her need is her own: a third of the target to either side', () => {
    const needs = Array.from({ length: 300 }, (_, seed) => hiddenClient(chance(seed)).need[0]!)
    const mean = needs.reduce((sum, need) => sum + need, 0) / needs.length
    expect(mean).toBeCloseTo(1, 1)
    expect(Math.min(...needs)).toBeLessThan(0.58)
    expect(Math.max(...needs)).toBeGreaterThan(1.4)
  })
  const gains = (more: Partial<typeof data>, terms: RunTerms = {}) =>
    Array.from({ length: 60 }, (_, seed) => {
      const { strength } = rehearsedRun({ ...data, ...more }, seed, {
        policy: { kind: 'nothing' },
        ...terms,
      })
      return data.trained.reduce((sum, group) => sum + strength[group]!, 0)
    }).reduce((sum, gain) => sum + gain, 0)
  test('whoever comes tired, or in pain, grows less', () => {
    expect(gains({ tau: data.tau.map(hours => hours * 2) })).toBeLessThan(gains({}))
    expect(gains({ ceilings: data.ceilings.map(() => 0.1) })).toBeLessThan(gains({}))
  })
})

describe('ways to decide', () => {
  const under = (policy: Policy, seed = 4) => rehearsedRun(data, seed, { policy })
  test('meet the same client on the same days', () => {
    const [rules, nothing] = [under({ kind: 'rules' }), under({ kind: 'nothing' })]
    expect(rules.passes.map(({ missed }) => missed)).toEqual(
      nothing.passes.map(({ missed }) => missed),
    )
    expect(rules.passes[0]!.counted).toEqual(
      nothing.passes[0]!.missed > 0 ? expect.anything() : nothing.passes[0]!.counted,
    )
    expect(nothing.passes.every(({ rows }) => rows.length === 0)).toBe(true)
  })
  test('to the target ends at the target, a level at its level', () => {
    const triceps = GROUPS.indexOf('triceps')
    const doses = (policy: Policy) => {
      const late = Array.from({ length: 40 }, (_, seed) =>
        under(policy, seed).passes.slice(4),
      ).flat()
      return late.filter(({ missed }) => missed === 0).map(({ counted }) => counted[triceps]!)
    }
    const middle = (values: readonly number[]) =>
      [...values].sort((a, b) => a - b)[values.length >> 1]!
    const target = data.bands[triceps]!.target
    expect(Math.abs(middle(doses({ kind: 'target' })) - target)).toBeLessThan(1.5)
    const of = new Float64Array(GROUPS.length).fill(0.5)
    expect(Math.abs(middle(doses({ kind: 'level', of })) - target / 2)).toBeLessThan(1.5)
  })
  test('what is decided for good is given out as the plan gives it, and every set is counted', () => {
    const pass = data.passes[0]!
    const triceps = GROUPS.indexOf('triceps')
    const change = (by: number) => Float64Array.from(GROUPS, (_, at) => (at === triceps ? by : 0))
    const total = (by: number) => {
      const now = allotted(pass, change(by))
      return pass.slots
        .filter(({ main }) => main === triceps)
        .reduce((sum, { at }) => sum + now[at]!, 0)
    }
    expect([0, 1, 3, -2].map(total)).toEqual([8, 9, 11, 6])
    expect(total(100)).toBeLessThanOrEqual(2 * MAX_SETS_PER_EXERCISE)
    expect(total(-100)).toBe(2)
  })
  test('half of a missed session goes to what trains its muscles later', () => {
    const [push, , arms] = data.passes[0]!.sessions
    const now = allotted(data.passes[0]!, new Float64Array(GROUPS.length))
    const before = now.slice()
    refill(push!, 'spread', [arms!], now)
    const gained = () => arms!.whole.slots.map(slot => now[slot.at]! - before[slot.at]!)
    expect(gained()).toEqual([0, 2])
    refill(push!, 'drop', [arms!], now)
    refill(push!, 'shift', [arms!], now)
    expect(gained()).toEqual([0, 2])
  })
  test('merged, all of it goes into the next session and no other', () => {
    const [push, pull, arms] = data.passes[0]!.sessions
    const now = allotted(data.passes[0]!, new Float64Array(GROUPS.length))
    const before = now.slice()
    const gainedBy = (session: typeof push) =>
      session!.whole.slots.reduce((sum, slot) => sum + now[slot.at]! - before[slot.at]!, 0)
    refill(push!, 'merge', [arms!, pull!], now)
    expect(gainedBy(pull)).toBe(0)
    const lead = (session: typeof push) =>
      new Set(session!.whole.slots.map(({ main }) => main).filter(main => main >= 0))
    const shared = push!.whole.slots.filter(({ main }) => lead(arms).has(main))
    expect(gainedBy(arms)).toBe(shared.reduce((sum, slot) => sum + before[slot.at]!, 0))
    expect(gainedBy(arms)).toBeGreaterThan(0)
  })
  test('what the review puts first for each session is what a missed one gets; shifted, it is done a day later', () => {
    expect([...data.replans.values()].every(option => REPLAN_OPTIONS.includes(option))).toBe(true)
    expect(data.replans.size).toBe(data.passes[0]!.sessions.length)
    const outcomesUnder = (option: ReplanOption) => {
      const outcomes: RehearsedOutcome[] = []
      const told = { ...data, replans: new Map([...data.replans.keys()].map(at => [at, option])) }
      const run = rehearsedRun(told, 7, { keep: outcome => outcomes.push(outcome) })
      return { outcomes, missed: run.passes.reduce((sum, { missed }) => sum + missed, 0) }
    }
    const [shifted, dropped] = [outcomesUnder('shift'), outcomesUnder('drop')]
    expect(dropped.missed).toBeGreaterThan(0)
    expect(dropped.outcomes.filter(({ isMissed }) => isMissed)).toHaveLength(dropped.missed)
    expect(dropped.outcomes.some(({ isPutOff }) => isPutOff)).toBe(false)
    expect(shifted.outcomes.filter(({ isPutOff }) => isPutOff)).toHaveLength(shifted.missed)
    expect(shifted.outcomes.some(({ isMissed }) => isMissed)).toBe(false)
    for (const { isPutOff, sets } of shifted.outcomes)
      if (isPutOff) expect(sets.length).toBeGreaterThan(0)
  })
  test('against doing nothing is nothing where nothing was decided', () => {
    const idle = Array.from({ length: 20 }, (_, seed) => under({ kind: 'nothing' }, seed))
    const own = rehearsalSpread(idle, data, idle)
    for (const { against } of own.groups) expect(against).toEqual({ low: 0, middle: 0, high: 0 })
    const { groups, againstNothing } = rehearsalSpread(runs.slice(0, 20), data, idle)
    expect(groups.some(({ against }) => against.low !== 0 || against.high !== 0)).toBe(true)
    expect(againstNothing.unreadyWithout).toBeCloseTo(own.againstNothing.unready, 9)
  })
  test('from far over the target fewer exposures find a muscle tired, and nobody gains less by it', () => {
    const start = new Float64Array(GROUPS.length).fill(1.9)
    const known = defaultContext({
      trainingAgeMonths: 60,
      modes: Object.fromEntries(GROUPS.map(group => [group, 'build' as const])),
    })
    const week = rehearsalData(expandedBlock(decisionWeek(4, 24), known), known)
    const under = (kind: 'rules' | 'nothing') =>
      Array.from({ length: 40 }, (_, seed) => rehearsedRun(week, seed, { start, policy: { kind } }))
    const [rules, nothing] = [under('rules'), under('nothing')]
    const unready = (of: typeof rules) =>
      of.reduce((sum, run) => sum + run.passes.reduce((all, pass) => all + pass.unready, 0), 0)
    const gained = (of: typeof rules) =>
      of.reduce(
        (sum, { strength }) => sum + week.trained.reduce((all, group) => all + strength[group]!, 0),
        0,
      )
    expect(unready(nothing)).toBeGreaterThan(0)
    expect(unready(rules) / unready(nothing)).toBeLessThan(0.63)
    expect(gained(rules)).toBeGreaterThan(gained(nothing))
    // Before three answers nobody is known not to recover.
    const above = new Float64Array(GROUPS.length).fill(1.25)
    const [first] = rehearsedRun(week, 1, { start: above }).passes
    expect(first!.rows).not.toContain('A19')
  })
  test('what is decided about a muscle reaches it, the first of them too', () => {
    const of = (name: (typeof GROUPS)[number]) => GROUPS.indexOf(name)
    for (const group of [of('biceps'), of('triceps')]) {
      const start = Float64Array.from(GROUPS, (_, at) => (at === group ? 2 : 1))
      const fewer = Array.from({ length: 20 }, (_, seed) => {
        const { passes } = rehearsedRun(data, seed, { start })
        return passes[0]!.counted[group]! - passes.at(-1)!.counted[group]!
      })
      expect(fewer.reduce((sum, by) => sum + by, 0) / fewer.length).toBeGreaterThan(1)
    }
  })
  test('what works along in a muscle’s exercises is known by the credits of their sets', () => {
    const { along } = data.passes[0]!
    const of = (group: (typeof GROUPS)[number]) =>
      along[GROUPS.indexOf(group)]!.map(other => GROUPS[other])
    expect(of('chest')).toContain('triceps')
    expect(of('lats')).toContain('biceps')
    expect(of('triceps')).not.toContain('triceps')
  })
  test('rows about exercises are among them', () =>
    expect(spreadOf.rows.map(({ row }) => row)).toEqual(expect.arrayContaining(['E2', 'E3'])))
})

describe('what the block is told, the rehearsal knows', () => {
  const triceps = GROUPS.indexOf('triceps')
  const lowest = (of: ReturnType<typeof rehearsalData>, pass: number) => {
    const values = Array.from(
      { length: 40 },
      (_, seed) =>
        rehearsedRun(of, seed, { policy: { kind: 'nothing' } }).passes[pass]!.readiness[triceps]!,
    )
    return values.reduce((sum, one) => sum + one, 0) / values.length
  }
  test('what the block before leaves is there at the first session, and gone by the third rotation', () => {
    const on = addDays(plan.startsOn, -1)
    const carried = [{ on, place: 0, impulses: { triceps: 12 }, joints: {} }]
    const tired = rehearsalData(expandedBlock(plan, context), {
      ...context,
      client: { ...context.client, carried },
    })
    expect(lowest(tired, 0)).toBeLessThan(lowest(data, 0) - 5)
    expect(lowest(tired, 2)).toBeCloseTo(lowest(data, 2), 1)
  })
  test('no run has direct arm work while it waits for a base, and every run has it after', () => {
    const of = rehearsalData(
      expandedBlock({ ...plan, block: { ...plan.block, base: { weeks: 3 } } }, context),
      context,
    )
    expect(of.passes.map(({ isBase }) => isBase)).toEqual(of.passes.map((_, at) => at < 3))
    const pressed = of.passes[0]!.counted[triceps]!
    const setsFrom = (from: number, to?: number) =>
      Array.from({ length: 60 }, (_, seed) => rehearsedRun(of, seed).passes.slice(from, to))
        .flat()
        .map(({ counted }) => counted[triceps]!)
        .sort((a, b) => a - b)
    expect(setsFrom(0, 3).at(-1)).toBeLessThanOrEqual(pressed + 1e-9)
    // A sore elbow or a missed day may take sets out again; most have them.
    const after = setsFrom(3, 4)
    expect(after[after.length >> 1]).toBeGreaterThan(pressed + 2)
    // Nor have sets been decided meanwhile that all come in at once: the last decision before it may add two.
    expect(after.at(-1)).toBeLessThanOrEqual(of.passes[3]!.counted[triceps]! + 2)
  })
  test('what is wanted of a muscle from a rotation on is what its decisions go by', () => {
    const change = {
      from: 3,
      group: 'triceps',
      mode: 'maintain',
      on: plan.startsOn,
      why: '',
    } as const
    const held = { ...plan, block: { ...plan.block, changes: [change] } }
    const of = rehearsalData(expandedBlock(held, context), context)
    expect(of.passes.map(({ modes }) => modes[triceps])).toEqual(
      of.passes.map((_, at) => (at < 3 ? data.passes[0]!.modes[triceps] : 'maintain')),
    )
    const maintained = bandOf(
      {
        ...context,
        client: { ...context.client, modes: { ...context.client.modes, triceps: 'maintain' } },
      },
      'triceps',
    )
    expect(of.passes.at(-1)!.bands[triceps]).toEqual(maintained)
    // To the target is to the target of that rotation.
    const sets = (data: typeof of) =>
      Array.from({ length: 30 }, (_, seed) =>
        rehearsedRun(data, seed, { policy: { kind: 'target' } }).passes.at(-1)!,
      )
        .filter(({ missed }) => missed === 0)
        .map(({ counted }) => counted[triceps]!)
    const middle = (values: readonly number[]) =>
      [...values].sort((a, b) => a - b)[values.length >> 1]!
    expect(middle(sets(of))).toBeLessThan(middle(sets(data)) - 1)
  })
})
