import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { type LoadGrid, nextWeight, roundLoad } from '../../plan/estimate'
import { type LoadPlan, type LoadQuestion, nextLoadPlan } from '.'

/** Failure is to fall between so many reps. */
const LOW = 8
const HIGH = 12
const barbell: LoadGrid = { kind: 'steps', base: 20, step: 2.5 }
const failed = (reps: readonly number[]) => reps.map(count => ({ reps: count, rir: 0 }))
const after = (load: number, reps: readonly number[], more: Partial<LoadQuestion> = {}): LoadPlan =>
  nextLoadPlan({
    rule: 'double_progression',
    range: [LOW, HIGH],
    rir: 0,
    grid: barbell,
    isWindow: true,
    plan: { load, targets: [], high: HIGH, short: 1 },
    done: failed(reps),
    ...more,
  })

describe('failure within a window', () => {
  test.each<[string, number[], number]>([
    ['all of it inside', [11, 10, 9], 60],
    ['at both ends', [12, 8], 60],
    ['a first set one rep too long', [13, 11, 10], 62.5],
    ['a first set far too long: a tenth at most', [25, 20], 65],
    ['a first set one rep too short: a twentieth, and what can be loaded below it', [7, 9, 9], 55],
    ['a first set far too short: fifteen in a hundred at most', [2, 2], 50],
    ['one of three under it is no reason', [10, 9, 7], 60],
    ['one of two is', [10, 7], 55],
    ['two of four are', [10, 9, 7, 6], 55],
    ['one of four is not', [10, 9, 8, 7], 60],
  ])('%s', (_, reps, load) => {
    const { load: next, targets, short } = after(60, reps)
    expect(next).toBe(load)
    expect(short).toBe(0)
    expect(targets).toEqual(load === 60 ? reps : reps.map(() => 10))
  })
  test('a weight the body carries part of goes by all of it', () => {
    // A tenth of 80 kg of body and 10 kg more is 9 kg, not 1.
    expect(after(10, [25], { body: 80, grid: { kind: 'steps', base: 0, step: 2.5 } }).load).toBe(
      17.5,
    )
    expect(after(10, [2], { body: 80, grid: { kind: 'steps', base: 0, step: 2.5 } }).load).toBe(0)
  })
  test('in a window of many reps one too many is a little too light, not a tenth', () => {
    const over = after(100, [31], {
      range: [20, 30],
      plan: { load: 100, targets: [], high: 30, short: 0 },
    })
    // The middle is 25: (1 + 31 / 30) / (1 + 25 / 30) = 1.109; one of 26 would be 102.5.
    expect(over.load).toBe(110)
    const one = after(100, [23], {
      range: [20, 22],
      plan: { load: 100, targets: [], high: 22, short: 0 },
    })
    expect(one.load).toBe(102.5)
  })
  test('what is held stays held', () => expect(after(60, [25], { rule: 'held' }).load).toBe(60))
})

const loads = fc.integer({ min: 10, max: 60 }).map(steps => 20 + 2.5 * steps)
const done = fc.array(fc.integer({ min: 1, max: 30 }), { minLength: 1, maxLength: 6 })
const isShort = (reps: readonly number[]) =>
  reps[0]! < LOW || reps.filter(count => count < LOW).length >= reps.length / 2

describe('whatever was done', () => {
  test('the load goes the way failure says, by a step at least and never by more than it may', () => {
    fc.assert(
      fc.property(loads, done, (load, reps) => {
        const next = after(load, reps).load
        if (reps[0]! > HIGH) {
          const step = nextWeight(load, barbell)!
          expect(next).toBeGreaterThanOrEqual(step)
          expect(next).toBeLessThanOrEqual(Math.max(step, load * 1.1))
        } else if (isShort(reps)) {
          expect(next).toBeLessThan(load)
          expect(next).toBeGreaterThanOrEqual(
            Math.min(
              roundLoad(load * 0.85, barbell, 'near'),
              roundLoad(load * 0.95, barbell, 'down'),
            ),
          )
        } else expect(next).toBe(load)
        expect(roundLoad(next, barbell, 'near')).toBe(next)
      }),
    )
  })
  test('who did more of the first set is never given less', () => {
    fc.assert(
      fc.property(loads, done, (load, [first = 1, ...rest]) => {
        const next = (count: number) => after(load, [count, ...rest]).load
        expect(next(first + 1)).toBeGreaterThanOrEqual(next(first))
      }),
    )
  })
})
