import { beforeAll, describe, expect, test } from '@jest/globals'
import {
  allocationProblem,
  greedyStart,
  type LinearSolver,
  propose,
  relaxedQuestion,
  search,
} from '#core/design/allocation'
import { seededRandom } from '#core/base'
import { linearSolver } from '#shared/solver/highs'
import { instances } from '../bench/allocation'

/** Small rotations, so that the real solver has time to finish each. */
const SMALL = instances(36)
  .map(({ plan, context, name }, at) => ({ plan, context, name: `${at}: ${name}` }))
  .filter(({ plan, context }) => {
    const { length } = allocationProblem({ plan, context }).cells
    return length > 0 && length < 36
  })

describe('the proof by the real solver', () => {
  let solver: LinearSolver
  beforeAll(async () => {
    solver = await linearSolver()
  })
  test.each(SMALL)('no plan found is better than the bound: $name', ({ plan, context }) => {
    const problem = allocationProblem({ plan, context })
    const { bound, status, values } = solver(relaxedQuestion(problem), 20)
    expect(status).not.toBe('failed')
    const from = problem.cells.map(
      ({ at, values: allowed }) =>
        allowed.find(sets => sets === Math.round(values?.get(`y${at}`) ?? 0)) ?? 0,
    )
    const found = [
      greedyStart(problem),
      search(problem, { kind: 'best', moves: 2500, random: seededRandom(3) }),
      search(problem, { kind: 'best', moves: 800, random: seededRandom(4), from }),
    ]
    expect(Math.min(...found.map(({ points }) => points))).toBeGreaterThanOrEqual(
      (bound ?? 0) - 1e-4,
    )
  })
  test('what is called proven is within a point of the bound', () => {
    const { plan, context } = SMALL[0]!
    const { solver: told, bound, proposals } = propose({ plan, context }, { solver, moves: 2500 })
    const gap = Math.min(...proposals.map(({ points }) => points)) - (bound ?? 0)
    expect(told === 'proven').toBe(gap < 1)
  })
})
