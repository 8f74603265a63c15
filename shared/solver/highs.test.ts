import { expect, test } from '@jest/globals'
import {
  allocationProblem,
  propose,
  relaxedQuestion,
  search,
  whyNotMore,
  winnerOf,
} from '../../core/design/allocation'
import { seededRandom } from '../../core/base'
import { contextWith, STEADY_MIDDLE } from '../../core/plan/method'
import { planIn, written } from '../../core/testing/shorthandPlans'
import { linearSolver } from './highs'

const plan = planIn(
  7,
  written('push', 'bench_press_dumbbell 3 x 8, rir 2', 'pushdown_rope 2 x 12, rir 2'),
  written('pull', 'machine_row 3 x 10, rir 2', 'cable_curl 2 x 12, rir 2'),
  written('arms', 'hammer_curl 2 x 12, rir 2'),
)
const context = contextWith(STEADY_MIDDLE, { trainingAgeMonths: 48 })

test('the solver proves a bound that no plan found goes under', async () => {
  const solver = await linearSolver()
  const tight = {
    ...plan,
    rotation: {
      ...plan.rotation,
      days: plan.rotation.days.map(day =>
        day.role === 'rest' ? day : { ...day, minuteLimit: 28 },
      ),
    },
  }
  for (const [asked, proven] of [
    [plan, ['optimal']],
    // Where minutes are short the nodes may run out; what is proven by then is a bound all the same.
    [tight, ['optimal', 'stopped']],
  ] as const) {
    const problem = allocationProblem({ plan: asked, context })
    const { status, bound } = solver(relaxedQuestion(problem), 60)
    expect(proven).toContain(status)
    expect(bound).toBeGreaterThan(0)
    const { points } = search(problem, {
      kind: 'fewest_changes',
      random: seededRandom(3),
      moves: 4000,
    })
    expect(bound ?? Infinity).toBeLessThanOrEqual(points + 1e-6)
  }
})

test('with the solver the same question has the same answer, and no proposal goes under its bound', async () => {
  const solver = await linearSolver()
  const first = propose({ plan, context }, { solver })
  expect(first.solver).not.toBe('failed')
  const fewest = first.proposals.find(({ kind }) => kind === 'fewest_changes')!
  expect(first.fewestBound).toBeGreaterThan(0)
  expect(first.fewestBound).toBeLessThanOrEqual(fewest.changes.length)
  for (const { points } of first.proposals)
    expect(points).toBeGreaterThanOrEqual((first.bound ?? 0) - 1e-6)
  expect(propose({ plan, context }, { solver })).toEqual(first)
})

test('a text that is no model is answered, not thrown', async () => {
  const solver = await linearSolver()
  expect(solver({ text: 'not a model' }, 1).values?.size ?? 0).toBe(0)
})

test('why a want is not met: each set alone forbids it, none can do without one of its hurdles, and a step more buys what it says', async () => {
  const solver = await linearSolver()
  const days = plan.rotation.days.map(day =>
    day.role === 'rest' ? day : { ...day, minuteLimit: 26 },
  )
  const question = { plan: { ...plan, rotation: { ...plan.rotation, days } }, context }
  const { proposals } = propose(question, { solver, moves: 3000 })
  const winner = winnerOf({ proposals })!
  const { whyNot, purchases } = whyNotMore(question, winner, solver)
  expect(whyNot.length).toBeGreaterThan(0)
  const hurdles = whyNot.flatMap(({ sets }) => sets.flat())
  expect(hurdles.some(({ kind }) => kind === 'minutes')).toBe(true)
  for (const { sets } of whyNot) {
    // Smallest first, and none within another.
    const keys = sets.map(set => new Set(set.map(hurdle => JSON.stringify(hurdle))))
    keys.forEach((own, at) =>
      keys.forEach((other, beside) => {
        if (at !== beside) expect([...own].every(key => other.has(key))).toBe(false)
      }),
    )
    expect(sets.map(({ length }) => length)).toEqual(sets.map(({ length }) => length).sort())
  }
  // With all the time there is, no set of minutes stands in the way any more.
  const free = { plan, context }
  const wide = propose(free, { solver, moves: 3000 })
  expect(
    whyNotMore(free, winnerOf(wide)!, solver)
      .whyNot.flatMap(({ sets }) => sets.flat())
      .some(({ kind }) => kind === 'minutes'),
  ).toBe(false)
  // What ten minutes buy is there when they are given.
  const minutes = purchases.find(({ hurdle }) => hurdle.kind === 'minutes')!
  const given = question.plan.rotation.days.map((day, at) =>
    minutes.hurdle.kind === 'minutes' && minutes.hurdle.day === at
      ? { ...day, minuteLimit: 26 + minutes.step }
      : day,
  )
  const longer = { ...question.plan, rotation: { ...question.plan.rotation, days: given } }
  const after = winnerOf(propose({ plan: longer, context }, { solver, moves: 9000 }))!
  expect(after.points).toBeLessThan(winner.points - 0.5 * minutes.points)
  expect(whyNotMore(question, winner, solver)).toEqual({ whyNot, purchases })
})

test('every want that is missed has its reasons, and a step of a muscle’s own hurdle tells what it gains, not what is let go', async () => {
  const solver = await linearSolver()
  const sparing = contextWith(STEADY_MIDDLE, {
    trainingAgeMonths: 48,
    sessionMax: { biceps: 3, elbow_flexors_other: 3 },
  })
  const question = { plan, context: sparing }
  const winner = winnerOf(propose(question, { solver, moves: 3000 }))!
  const { whyNot, purchases } = whyNotMore(question, winner, solver)
  // Every want that is missed is looked into, days apart.
  const keyOf = ({ kind, group, day }: (typeof winner.misses)[number]) =>
    `${kind === 'floor' ? 'target' : kind} ${group} ${day}`
  expect(whyNot).toHaveLength(new Set(winner.misses.map(keyOf)).size)
  const isOwn = ({ hurdle, gains }: (typeof purchases)[number]) =>
    'group' in hurdle && gains.some(({ miss }) => miss.group === hurdle.group)
  expect(purchases.some(isOwn)).toBe(true)
  for (const { hurdle, gains } of purchases)
    for (const { miss } of gains)
      if ('group' in hurdle && hurdle.group === miss.group) expect(miss.kind).not.toBe(hurdle.kind)
})
