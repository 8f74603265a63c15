import { describe, expect, test } from '@jest/globals'
import { BUILT_IN_CATALOGUE, requireExercise } from '../catalogue'
import { loadGrid } from '../estimate'
import { defaultContext } from '../method'
import { sets, work } from '../../testing/notation'
import { setSeconds } from './setSeconds'
import { proposedWarmUp, warmUpCount } from './warmUp'

const bench = requireExercise(BUILT_IN_CATALOGUE, 'bench_press_barbell')
const grid = loadGrid(bench, 'kg')
const plain = { isPrepared: false, hasPain: false, grid }
const seconds = (reps: readonly number[], rests: readonly number[]) =>
  reps.reduce(
    (sum, count, at) =>
      sum +
      setSeconds(
        sets(1, [work(count)], { role: 'warmup' }),
        bench,
        defaultContext({ trainingAgeMonths: 24 }),
      ).seconds +
      (rests[at] ?? 0),
    0,
  )

describe('warm-up sets (domain-2 T13 to T15)', () => {
  test.each([
    {
      name: 'T13 sixty of eighty',
      question: { ...plain, workingLoad: 60, shareOfOneRep: 0.75 },
      loads: [30, 45],
      reps: [10, 4],
      total: 163,
    },
    {
      name: 'T14 heavy',
      question: { ...plain, workingLoad: 82.5, shareOfOneRep: 0.825 },
      loads: [35, 52.5, 70],
      reps: [10, 6, 2],
      total: 228,
    },
  ])('$name', ({ question, loads, reps, total }) => {
    const proposed = proposedWarmUp(question)
    expect(proposed.map(({ load }) => load)).toEqual(loads)
    expect(proposed.map(({ reps: count }) => count)).toEqual(reps)
    expect(
      seconds(
        reps,
        proposed.map(({ restSeconds }) => restSeconds),
      ),
    ).toBe(total)
  })
  test('T15 prepared by rows, but sore', () =>
    expect(warmUpCount({ shareOfOneRep: 0.7, isPrepared: true, hasPain: true })).toBe(2))
  test('the empty bar is done once', () =>
    expect(
      proposedWarmUp({ ...plain, workingLoad: 25, shareOfOneRep: 0.82 }).map(({ load }) => load),
    ).toEqual([20]))
})
