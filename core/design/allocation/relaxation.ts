import { JOINTS } from '../../plan/catalogue'
import { jointCeiling } from '../../body/joints'
import { sessionMaxOf } from '../../plan/method'
import { MOST_EXERCISES } from './limits'
import { linearModel, type LinearModel, perSet, x, y } from './linearModel'
import type { Problem } from './problem'
import { leastTimes } from './relaxedTimes'
import { addReadiness, addShares, addWeek } from './relaxedWants'
import { PRICE } from './wants'

/*
 * A linear model whose best value no plan can beat: the wants under the hard limits. What is not linear (pairs that save time, the lead
 * session's readiness, the ratio between two steps) is taken at its kindest, so that the bound stays a bound.
 */

/** What a solver is asked: text in the CPLEX LP format; the sets of cell 3 are the variable `y3`. */
export interface LinearQuestion {
  readonly text: string
}

export interface LinearAnswer {
  readonly status: 'optimal' | 'stopped' | 'failed'
  /** No solution is better than this. */ readonly bound: number | null
  readonly values: ReadonlyMap<string, number> | null
}

/** A solver of mixed-integer linear programs; the only thing the core asks of one. */
export type LinearSolver = (question: LinearQuestion, seconds: number) => LinearAnswer

/** The relaxed model of a problem's wants. */
export function relaxedQuestion(problem: Problem): LinearQuestion {
  const model = linearModel()
  for (const cell of problem.cells) {
    model.whole(y(cell))
    model.binary(x(cell))
    model.atLeast(
      [
        [y(cell), 1],
        [x(cell), -(cell.values.find(sets => sets > 0) ?? 1)],
      ],
      0,
    )
    model.atMost(
      [
        [y(cell), 1],
        [x(cell), -(cell.values.at(-1) ?? 0)],
      ],
      0,
    )
  }
  problem.groups.forEach((group, g) => {
    addWeek(problem, group, g, model)
    addReadiness(problem, group, g, model)
  })
  addShares(problem, model)
  addMinutes(problem, model)
  addSessions(problem, model)
  return { text: model.text() }
}

/** Minutes of each day, as little as they can be. */
function addMinutes(problem: Problem, model: LinearModel): void {
  const { places, cells, plan } = problem
  const { fixedOnDay, ofCell, toBegin } = leastTimes(problem)
  plan.rotation.days.forEach((day, at) => {
    const own = cells.filter(({ place }) => places[place]?.day === at)
    if (day.minuteLimit === undefined || own.length === 0) return
    const begun = places.flatMap((place, p) =>
      place.day === at && toBegin[p]! > 0
        ? [[model.whenAny(`b${p}`, place.cells.map(x)), toBegin[p]!] as const]
        : [],
    )
    model.atMost(
      [
        ...own.flatMap(
          cell =>
            [
              [y(cell), ofCell(cell).each],
              [x(cell), ofCell(cell).once],
            ] as const,
        ),
        ...begun,
      ],
      Math.max(day.minuteLimit * 60 - fixedOnDay(at), 0),
    )
  })
}

/** Exercises, direct and indirect sets, and joint points of each session. */
function addSessions({ places, cells, context, groups }: Problem, model: LinearModel): void {
  places.forEach((place, at) => {
    const own = cells.filter(cell => cell.place === at)
    if (own.length === 0) return
    const standing =
      place.content.groupings.reduce((total, { slots }) => total + slots.length, 0) -
      own.filter(({ isNew }) => !isNew).length
    model.atMost(
      own.map(cell => [x(cell), 1]),
      Math.max(0, MOST_EXERCISES - standing),
    )
    groups.forEach((group, g) => {
      const limit = sessionMaxOf(context, group)
      if (limit === undefined) return
      const over = `r${g}_${at}`
      model.atMost(
        [
          ...own.map(
            cell => [y(cell), perSet(cell, worth => worth.fractional[g]!, 'least')] as const,
          ),
          [over, -1],
        ],
        Math.max(0, limit - place.base.fractional[g]!),
      )
      model.cost(over, PRICE.crowded)
    })
    JOINTS.forEach((joint, j) =>
      model.atMost(
        own.map(cell => [y(cell), perSet(cell, worth => worth.joints[j]!, 'least')]),
        Math.max(0, jointCeiling(joint, context).session - place.base.joints[j]!),
      ),
    )
  })
}
