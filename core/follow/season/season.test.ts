import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { addDays, daysBetween, plainDate } from '../../base'
import {
  blockOn,
  blockState,
  cutBefore,
  earliestAfter,
  overlapOf,
  type PlanDocument,
  planEnd,
  weeksUntil,
} from '../../plan/block'
import { contextWith, STEADY_MIDDLE } from '../../plan/method'
import { eventWords, girthWords } from '../../words'
import { planIn, written } from '../../testing/shorthandPlans'
import type { CourseRow } from '../review'
import {
  girthCourses,
  isSurelyChanged,
  modesOf,
  type Seam,
  season,
  seamConcerns,
  usualWeek,
  yearAhead,
} from '.'

const context = contextWith(STEADY_MIDDLE, { trainingAgeMonths: 48 })
/** Eight days with an arm day of so many sets of each, begun on a day. */
const block = (
  startsOn: string,
  {
    passes = 3,
    sets = 3,
    curl = 'cable_curl',
    ...more
  }: Partial<PlanDocument> & { sets?: number; curl?: string } = {},
): PlanDocument => ({
  ...planIn(
    8,
    written('push', 'bench_press_dumbbell 3 x 8, rir 2'),
    { ...written('rest'), sessions: [] },
    written('arms', `${curl} ${sets} x 12, rir 2`, `pushdown_rope ${sets} x 12, rir 2`),
  ),
  startsOn: plainDate(startsOn),
  passes,
  ...more,
})
const line = (...plans: readonly PlanDocument[]) => plans.map((plan, at) => ({ id: `${at}`, plan }))
const TODAY = plainDate('2026-04-10')

describe('a line of blocks', () => {
  // Three rotations of three days each: the planned days are as many as are written.
  const first = block('2026-04-01')
  const days = first.rotation.days.length * first.passes
  test('behind, running, ahead, to the day', () => {
    const end = addDays(first.startsOn, days - 1)
    expect(planEnd(first)).toBe(end)
    expect(
      [addDays(first.startsOn, -1), first.startsOn, end, addDays(end, 1)].map(day =>
        blockState(first, day),
      ),
    ).toEqual(['ahead', 'running', 'running', 'behind'])
  })
  test('the block of a day is the one begun last, else the first ahead', () => {
    const two = line(block('2026-05-01'), first)
    expect(blockOn(two, plainDate('2026-04-03'))?.id).toBe('1')
    expect(blockOn(two, plainDate('2026-04-30'))?.id).toBe('1')
    expect(blockOn(two, plainDate('2026-05-01'))?.id).toBe('0')
    expect(blockOn(two, plainDate('2026-03-01'))?.id).toBe('1')
    expect(blockOn([], TODAY)).toBeUndefined()
  })
  test('what lies over one another is found on both sides, and nothing else', () => {
    const end = planEnd(first)
    const held = line(first)
    expect(overlapOf(held, null, block(end))?.id).toBe('0')
    expect(overlapOf(held, null, block(addDays(end, 1)))).toBeUndefined()
    expect(overlapOf(held, '0', block(end))).toBeUndefined()
    expect(overlapOf(held, null, block(addDays(first.startsOn, -days)))).toBeUndefined()
    expect(overlapOf(held, null, block(addDays(first.startsOn, 1 - days)))?.id).toBe('0')
  })
  test('makes room in whole rotations, down to one', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: days + 5 }), away => {
        const day = addDays(first.startsOn, away)
        const cut = cutBefore(first, day)
        if (day < earliestAfter(first)) return expect(cut).toBeUndefined()
        expect(planEnd(cut!) < day).toBe(true)
        // One rotation more would reach the day, unless it has them all.
        const more = { ...cut!, passes: cut!.passes + 1 }
        expect(cut!.passes === first.passes || planEnd(more) >= day).toBe(true)
      }),
    )
  })
  test('a pause that shifts everything on counts towards the end', () => {
    const event = {
      id: 'e',
      what: 'Regatta',
      from: plainDate('2026-04-02'),
      to: plainDate('2026-04-04'),
      effect: 'shift' as const,
    }
    expect(daysBetween(planEnd(first), planEnd({ ...first, block: { events: [event] } }))).toBe(3)
  })
  test('weeks to go are whole ones, over the turn of the year and a leap day', () => {
    expect(weeksUntil(block('2028-03-01'), plainDate('2028-02-23'))).toBe(1)
    expect(weeksUntil(block('2027-01-05'), plainDate('2026-12-28'))).toBe(2)
    expect(weeksUntil(first, first.startsOn)).toBe(0)
  })
})

describe('a season', () => {
  const first = block('2026-04-01')
  const next = block(addDays(planEnd(first), 1))
  test('has the blocks in the order of their days, however they come', () => {
    const held = season(line(next, first), context, TODAY)
    expect(held.blocks.map(({ id }) => id)).toEqual(['1', '0'])
    expect(held.seams.map(({ before, after }) => [before, after])).toEqual([['1', '0']])
    expect(season([], context, TODAY)).toEqual({ blocks: [], seams: [] })
  })
  test('the same again is no jump and keeps everything', () => {
    const [seam] = season(line(first, next), context, TODAY).seams
    expect(seam).toMatchObject({ gapDays: 0, fresh: [] })
    expect(seam!.kept).toHaveLength(3)
    for (const { before, after } of seam!.jumps) expect(after).toBeCloseTo(before, 9)
    expect(seamConcerns(seam!)).toEqual([])
  })
  test('twice the sets are a jump of sets and of joints, by as much', () => {
    const [seam] = season(
      line(first, block(addDays(planEnd(first), 1), { sets: 6 })),
      context,
      TODAY,
    ).seams
    const triceps = seam!.jumps.find(({ group }) => group === 'triceps')!
    expect(triceps.after).toBeGreaterThan(triceps.before * 1.2)
    expect(seamConcerns(seam!)).toEqual(expect.arrayContaining(['jump', 'joint']))
  })
  test('readiness is carried in: never more than rested, less the shorter the gap', () => {
    const heavy = block('2026-04-01', { sets: 10 })
    const at = (gap: number) =>
      season(line(heavy, block(addDays(planEnd(heavy), 1 + gap), { sets: 10 })), context, TODAY)
        .seams[0]!.carried!
    expect(at(0).readiness).toBeLessThanOrEqual(at(0).fresh)
    expect(at(0).readiness).toBeLessThanOrEqual(at(7).readiness)
    expect(at(7).readiness).toBeGreaterThan(97)
  })
  test('each block is read with its own emphasis', () => {
    const quiet = { ...next, emphasis: { triceps: 'maintain' as const } }
    const { blocks } = season(line(first, quiet), context, TODAY)
    expect(blocks.map(({ modes }) => modes.triceps)).toEqual(['build', 'maintain'])
  })
})

describe('what of a seam to look at', () => {
  const calm: Seam = {
    before: 'a',
    after: 'b',
    gapDays: 0,
    jumps: [{ group: 'triceps', before: 10, after: 12 }],
    joints: [{ joint: 'wrist', before: 10, after: 12 }],
    carried: { group: 'triceps', readiness: 80, fresh: 100 },
    kept: ['a', 'b'],
    fresh: ['c', 'd'],
    early: [],
  }
  test.each<readonly [string, Partial<Seam>, readonly string[]]>([
    ['at every limit: nothing', {}, []],
    ['lying over one another', { gapDays: -1 }, ['gap']],
    [
      'sets past a fifth more',
      { jumps: [{ group: 'triceps', before: 10, after: 12.1 }] },
      ['jump'],
    ],
    ['a muscle that is new is no jump', { jumps: [{ group: 'triceps', before: 0, after: 9 }] }, []],
    [
      'a joint past a fifth more',
      { joints: [{ joint: 'wrist', before: 10, after: 12.1 }] },
      ['joint'],
    ],
    [
      'under four fifths ready',
      { carried: { group: 'triceps', readiness: 79.9, fresh: 100 } },
      ['readiness'],
    ],
    ['most exercises new', { fresh: ['c', 'd', 'e'] }, ['kept']],
    ['nothing to carry', { carried: null }, []],
    ['one that leaves early', { early: [{ exercise: 'e', weeks: 4 }] }, ['kept']],
  ])('%s', (_, more, found) => expect(seamConcerns({ ...calm, ...more })).toEqual(found))
})

describe('two blocks side by side', () => {
  const row = (done: number, more: Partial<CourseRow> = {}): CourseRow => ({
    pass: 0,
    from: TODAY,
    group: 'triceps',
    planned: 12,
    done,
    band: { floor: 6, target: 12, ceiling: 20 },
    isDeload: false,
    ...more,
  })
  test('a usual week leaves easier rotations and other muscles out', () => {
    const volume = [row(10), row(14), row(4, { isDeload: true }), row(30, { group: 'biceps' })]
    expect(usualWeek(volume, 'triceps')).toEqual({ planned: 12, done: 12 })
    expect(usualWeek(volume, 'forearms')).toEqual({ planned: 0, done: 0 })
  })
  test.each([
    [38, 38.6, false],
    [38, 38.8, true],
    [38, 37.2, true],
  ])('a girth of %d that becomes %d is surely another: %s', (first, last, surely) =>
    expect(isSurelyChanged({ first, last })).toBe(surely),
  )
})

describe('a year ahead', () => {
  const year = yearAhead()
  test('fills it, no block too short, and what was brought up is kept next', () => {
    expect(year.reduce((sum, { weeks }) => sum + weeks, 0)).toBe(52)
    for (const { weeks } of year) expect(weeks).toBeGreaterThanOrEqual(4)
    expect(new Set(year.map(({ title }) => title)).size).toBe(year.length)
    for (const [at, { first }] of year.entries())
      if (at > 0 && first !== 'hold')
        for (const [group, mode] of Object.entries(modesOf(year[at - 1]!.first)))
          if (mode === 'build') expect(modesOf(first)[group as 'triceps']).toBe('keep')
  })
  test('a block that goes on as now says nothing of priorities', () =>
    expect(modesOf('as_now')).toEqual({}))
})

describe('girths over the season', () => {
  const at = (on: string, value: number) => ({
    on: plainDate(on),
    kind: 'upper_arm_right' as const,
    value,
  })
  const once = [at('2026-03-01', 38), at('2026-01-01', 37)]
  test('noise is stated until three days were measured twice, then it is what those say', () => {
    expect(girthCourses(once, ['upper_arm_left', 'upper_arm_right'])).toEqual([
      {
        kind: 'upper_arm_right',
        points: [
          { on: '2026-01-01', value: 37 },
          { on: '2026-03-01', value: 38 },
        ],
        noise: 0.5,
        isStated: true,
      },
    ])
    const twice = once.map(one => ({ ...one, value: one.value + 0.4 }))
    const [two] = girthCourses([...once, ...twice], ['upper_arm_right'])
    expect(two).toMatchObject({ noise: 0.5, isStated: true })
    const third = [at('2026-04-01', 38), at('2026-04-01', 38.4)]
    const [told] = girthCourses([...once, ...twice, ...third], ['upper_arm_right'])
    expect(told!.isStated).toBe(false)
    expect(told!.noise).toBeCloseTo(0.4 / Math.SQRT2, 9)
    expect(told!.points[0]!.value).toBeCloseTo(37.2, 9)
    expect(girthWords(told!)).toBe('38.2 cm, + 1.0 ± 0.4 since Thu 1 Jan')
    expect(girthWords(two!)).toBe('38.2 cm, + 1.0 ± 0.7 stated since Thu 1 Jan')
    expect(girthWords({ ...two!, points: two!.points.slice(1) })).toBe('38.2 cm on Sun 1 Mar')
  })
  test('a tape reads no finer than a millimetre', () => {
    const same = ['2026-01-01', '2026-02-01', '2026-03-01'].flatMap(on => [at(on, 37), at(on, 37)])
    expect(girthCourses(same, ['upper_arm_right'])[0]!.noise).toBe(0.1)
  })
  test.each([
    ['2026-04-11', '2026-04-11', 'Sat 11 Apr', 'within a week'],
    ['2026-04-17', '2026-04-17', 'Fri 17 Apr', 'within a week'],
    ['2026-04-18', '2026-04-20', 'Sat 18 Apr to Mon 20 Apr', 'in 2 weeks'],
    ['2026-04-09', '2026-04-12', 'Thu 9 Apr to Sun 12 Apr', 'now'],
    ['2026-04-01', '2026-04-09', 'Wed 1 Apr to Thu 9 Apr', 'over'],
  ])('an event from %s to %s is told with its weeks', (from, to, days, toGo) => {
    expect(eventWords({ from: plainDate(from), to: plainDate(to) }, TODAY)).toEqual({ days, toGo })
  })
})
