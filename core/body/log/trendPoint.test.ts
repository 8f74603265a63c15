import { describe, expect, test } from '@jest/globals'
import { exerciseId } from '../../base'
import { logged } from '../../testing/loads'
import { exposureValue, type LoggedSet, setEstimate, trendValue } from '.'

const [USUAL] = logged('cable_curl', '2026-04-16', [[60, 8, 2]])
const set = (changes: Partial<LoggedSet> = {}): LoggedSet => ({ ...USUAL!, ...changes })
/** Ten reps to failure: 36 / 27 of the load. */
const TEN = 36 / 27

describe('what a day of an exercise says of strength', () => {
  test.each<[string, Partial<LoggedSet>[], number]>([
    ['eight reps with two left are ten to failure', [{}], 60],
    ['nobody said what was left: two', [{ rir: null }], 60],
    ['four left still tell', [{ reps: 6, rir: 4 }], 60],
    ['the heaviest load speaks, whenever it was lifted', [{}, { loadKg: 66 }, {}], 66],
    ['of two alike the first', [{}, { reps: 5 }], 60],
    ['no lapse is as none', [{ lapses: [] }], 60],
    ['a warm-up is no work', [{ role: 'warmup', loadKg: 90 }, {}], 60],
    ['nor is a later stage', [{ stage: 2, loadKg: 90 }, {}], 60],
    ['one that was helped stands apart', [{ lapses: ['helped'], loadKg: 90 }, {}], 60],
    ['so does one far from failure', [{ isRirOpen: true, loadKg: 90 }, {}], 60],
    ['or farther than four', [{ rir: 4.5, loadKg: 90 }, {}], 60],
    ['or without reps', [{ reps: null, loadKg: 90 }, { reps: 0, loadKg: 80 }, {}], 60],
  ])('%s', (_, sets, load) => {
    const told = trendValue(sets.map(set))
    expect(told?.value).toBeCloseTo(load * TEN, 9)
    expect(told?.repsToFailure).toBe(10)
  })
  test.each<[string, Partial<LoggedSet>]>([
    ['no load', { loadKg: null }],
    ['a load of nothing', { loadKg: 0 }],
    ['no reps', { reps: null }],
    ['more than twenty reps to failure', { reps: 19, rir: 2 }],
  ])('%s says nothing', (_, changes) => expect(trendValue([set(changes)])).toBeUndefined())
  test('twenty to failure say something yet', () =>
    expect(trendValue([set({ reps: 18, rir: 2 })])?.repsToFailure).toBe(20))
  test('a pull-up lifts the body; of somebody never weighed it says nothing', () => {
    const added = set({ exercise: exerciseId('pull_up'), loadKg: 10 })
    expect(trendValue([added])).toBeUndefined()
    expect(trendValue([added], 80)?.value).toBeCloseTo(90 * TEN, 9)
  })
})

describe('what one set says', () => {
  test('the same as its day, reserve unsaid as two', () => {
    expect(setEstimate(set())).toBeCloseTo(60 * TEN, 9)
    expect(setEstimate(set({ rir: null }))).toBeCloseTo(60 * TEN, 9)
  })
  test.each<[string, Partial<LoggedSet>]>([
    ['no load', { loadKg: null }],
    ['a load of nothing', { loadKg: 0 }],
    ['no reps', { reps: 0 }],
    ['a body nobody weighed', { exercise: exerciseId('pull_up') }],
  ])('%s: nothing', (_, changes) => expect(setEstimate(set(changes))).toBeNull())
})

test('a day of light sets counts for trends, and is told by what its first set says', () => {
  const light = exposureValue([set({ reps: 24, rir: 3 })])
  expect(light?.repsToFailure).toBe(27)
  expect(light?.sets).toHaveLength(1)
  expect(light?.value).toBeCloseTo(Math.exp(light!.sets[0]!.y), 9)
  expect(exposureValue([set({ reps: 24, rir: null })])?.repsToFailure).toBe(26)
  expect(exposureValue([set({ loadKg: null })])).toBeUndefined()
})
