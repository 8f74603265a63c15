import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { planIn, written } from './shorthandPlans'
import { plainDate } from '../base'
import { phaseGoingOn } from '../design/progress'
import { allocationProblem } from '../design/allocation/problem'
import { exposuresWanted } from '../design/allocation/wants'
import { checkInput, findingsOf } from '../judge/checks'
import { tauHours } from '../body/recovery'
import { factsInBlock } from '../plan/block'
import { ARM_GROUPS, GROUPS } from '../plan/catalogue'
import {
  bandOf,
  contextWith,
  eatsLess,
  leastFrequency,
  type Phase,
  type PlanContext,
  STEADY_MIDDLE,
} from '../plan/method'

const context = contextWith(STEADY_MIDDLE, { trainingAgeMonths: 48 })
const inPhase = (phase: Phase, of: PlanContext = context): PlanContext => ({
  ...of,
  client: factsInBlock(of.client, { phase }),
})

describe('a phase', () => {
  test('says how often biceps and triceps are wanted, more often than usual or less', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...GROUPS),
        fc.integer({ min: 2, max: 14 }),
        (group, armsEvery) => {
          const now = leastFrequency(inPhase({ kind: 'build', armsEvery }), group)
          const isCounted = group === 'biceps' || group === 'triceps'
          expect(now).toBeCloseTo(isCounted ? 7 / armsEvery : leastFrequency(context, group))
        },
      ),
    )
  })

  test('takes a share of target and ceiling of the arms alone, and leaves floors', () => {
    const less = inPhase({ kind: 'hold', volume: 0.8 })
    for (const group of GROUPS) {
      const [usual, now] = [bandOf(context, group), bandOf(less, group)]
      if (!(ARM_GROUPS as readonly string[]).includes(group)) expect(now).toEqual(usual)
      else {
        expect(now.floor).toBe(usual.floor)
        expect(now.target).toBeCloseTo(Math.max(usual.floor, usual.target * 0.8))
        expect(now.ceiling).toBeCloseTo(Math.max(usual.floor, usual.ceiling * 0.8))
      }
    }
    const own = contextWith(STEADY_MIDDLE, {
      ...context.client,
      bands: { triceps: { floor: 4, target: 10, ceiling: 20 } },
    })
    expect(bandOf(inPhase({ kind: 'hold', volume: 0.5 }, own), 'triceps')).toEqual({
      floor: 4,
      target: 5,
      ceiling: 10,
    })
  })

  test('of leaning out slows recovery as eating less does, and not twice', () => {
    const lean = inPhase({ kind: 'lean' })
    const ticked = contextWith(STEADY_MIDDLE, { ...context.client, slowedBy: ['energy_deficit'] })
    expect([eatsLess(context.client), eatsLess(lean.client)]).toEqual([false, true])
    expect(tauHours('biceps', lean)).toBe(tauHours('biceps', ticked))
    expect(tauHours('biceps', inPhase({ kind: 'lean' }, ticked))).toBe(tauHours('biceps', ticked))
    expect(bandOf(lean, 'triceps')).toEqual(bandOf(ticked, 'triceps'))
    expect(eatsLess(inPhase({ kind: 'build' }).client)).toBe(false)
  })

  test('is that of the block that is looked at, and of no other', () => {
    const lean = inPhase({ kind: 'lean', armsEvery: 4 })
    expect(factsInBlock(lean.client, {})).toEqual(context.client)
    expect(factsInBlock(lean.client, { phase: { kind: 'build' } }).phase).toEqual({ kind: 'build' })
  })

  test('is held against the days of the plan', () => {
    const weekly = planIn(
      9,
      written('arms', 'cable_curl 6 x 12, rir 2', 'pushdown_rope 6 x 12, rir 2'),
    )
    const about = (of: PlanContext) =>
      findingsOf(checkInput(weekly, of))
        .filter(({ check }) => check === 'gap-long' || check === 'frequency-low')
        .map(({ check, figures }) => [check, figures.group, figures.most ?? figures.least])
    const kept = contextWith(STEADY_MIDDLE, {
      ...context.client,
      modes: { biceps: 'keep', triceps: 'keep' },
    })
    expect(about(kept)).toEqual([])
    expect(about(inPhase({ kind: 'event', armsEvery: 5 }, kept))).toEqual([
      ['frequency-low', 'biceps', 1.4],
      ['frequency-low', 'triceps', 1.4],
      ['gap-long', 'biceps', 5],
      ['gap-long', 'triceps', 5],
    ])
    expect(about(inPhase({ kind: 'event', armsEvery: 9 }, kept))).toEqual([])
  })

  test('is what proposals place the arm work by', () => {
    const weekly = planIn(
      8,
      written('arms', 'cable_curl 4 x 12, rir 2', 'pushdown_rope 4 x 12, rir 2'),
      { ...written('rest'), sessions: [] },
      { ...written('arms'), sessions: [] },
    )
    const wanted = (of: PlanContext) =>
      exposuresWanted(allocationProblem({ plan: weekly, context: of }), 'biceps')
    expect(wanted(inPhase({ kind: 'event', armsEvery: 2 }))).toBe(4)
    expect(wanted(inPhase({ kind: 'event', armsEvery: 8 }))).toBe(1)
  })

  test('goes on in the next block until its day has come', () => {
    const own = planIn(7, written('arms', 'cable_curl 4 x 12, rir 2'))
    const next = (phase: Phase | null, startsOn: string) =>
      phaseGoingOn({ ...own, ...(phase && { phase }) }, plainDate(startsOn))
    const regatta: Phase = { kind: 'event', on: plainDate('2026-06-20') }
    expect(next(null, '2026-06-01')).toBeNull()
    expect(next({ kind: 'lean' }, '2030-06-01')).toEqual({ kind: 'lean' })
    expect(next(regatta, '2026-06-20')).toEqual(regatta)
    expect(next(regatta, '2026-06-21')).toBeNull()
  })
})
