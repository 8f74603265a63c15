import { sessionMaxOf } from '../../plan/method'
import type { HardLimits } from './limits'
import { linearModel, type LinearModel, perSet, x, y } from './linearModel'
import type { Cell, Problem } from './cells'
import { leastTimes } from './relaxedTimes'
import { addLost, addReadiness, addShares, addWeek } from './relaxedWants'
import { scorer } from './score'
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
  /** `impossible`: proven that nothing fits. */
  readonly status: 'optimal' | 'impossible' | 'stopped' | 'failed'
  /** No solution is better than this. */ readonly bound: number | null
  readonly values: ReadonlyMap<string, number> | null
}

/** A solver of mixed-integer linear programs; the only thing the core asks of one. */
export type LinearSolver = (question: LinearQuestion, seconds: number) => LinearAnswer

/** The relaxed model of a problem's wants: no plan within the limits misses fewer points. */
export const relaxedQuestion = (problem: Problem): LinearQuestion => ({
  text: wantsModel(problem).text(),
})

/** How few exercises may change if no more than some points are missed: no plan within the limits changes fewer. */
export function fewestQuestion(problem: Problem, within: number): LinearQuestion {
  const model = wantsModel(problem)
  model.limitCosts(within)
  for (const cell of problem.cells) {
    const most = cell.values.at(-1)!
    if (cell.now === 0) {
      model.cost(x(cell), 1)
      continue
    }
    const changes = `c${cell.at}`
    model.binary(changes)
    model.cost(changes, 1)
    // More sets than now, or fewer, is a change.
    model.atMost(
      [
        [y(cell), 1],
        [changes, cell.now - most],
      ],
      cell.now,
    )
    model.atLeast(
      [
        [y(cell), 1],
        [changes, cell.now],
      ],
      cell.now,
    )
  }
  return { text: model.text() }
}

/** Wants as costs, limits as rows that name themselves. */
export function wantsModel(problem: Problem): LinearModel {
  const model = linearModel()
  for (const cell of problem.cells) addCell(cell, model)
  problem.groups.forEach((group, g) => {
    addWeek(problem, group, g, model)
    addReadiness(problem, group, g, model)
  })
  addShares(problem, model)
  addLost(problem, model)
  const { limits } = scorer(problem)
  addMinutes(problem, limits, model)
  addSessions(problem, limits, model)
  return model
}

/** Sets of a cell: none, or between its least and its most. */
function addCell(cell: Cell, model: LinearModel): void {
  const least = cell.values.find(sets => sets > 0) ?? 1
  model.whole(y(cell))
  model.binary(x(cell))
  if (!cell.values.includes(0)) model.atLeast([[x(cell), 1]], 1)
  model.atLeast(
    [
      [y(cell), 1],
      [x(cell), -least],
    ],
    0,
  )
  model.atMost(
    [
      [y(cell), 1],
      [x(cell), -cell.values.at(-1)!],
    ],
    0,
  )
}

/** Minutes of each day, as little as they can be. */
function addMinutes(problem: Problem, { minutes }: HardLimits, model: LinearModel): void {
  const { places, cells } = problem
  const { fixedOnDay, ofCell, toBegin } = leastTimes(problem)
  minutes.forEach(({ lifted }, at) => {
    const own = cells.filter(({ place }) => places[place]?.day === at)
    if (lifted === Infinity || own.length === 0) return
    const begun = places.flatMap((place, p) =>
      place.day === at && toBegin[p]! > 0
        ? [[model.whenAny(`b${p}`, place.cells.map(x)), toBegin[p]!] as const]
        : [],
    )
    const times = own.flatMap(cell => {
      const { each, once } = ofCell(cell)
      return [[y(cell), each] as const, [x(cell), once] as const]
    })
    model.atMost([...times, ...begun], Math.max(lifted - fixedOnDay(at), 0), `minutes ${at}`)
  })
}

/** Exercises, direct and indirect sets, and joint points of each session; joint points of each week. */
function addSessions(problem: Problem, limits: HardLimits, model: LinearModel): void {
  const { places, cells, context, groups } = problem
  places.forEach((place, at) => {
    const own = cells.filter(cell => cell.place === at)
    if (own.length === 0) return
    const standing =
      place.content.groupings.reduce((total, { slots }) => total + slots.length, 0) -
      own.filter(({ isNew }) => !isNew).length
    model.atMost(
      own.map(cell => [x(cell), 1]),
      Math.max(0, limits.exercises[at]! - standing),
      `exercises ${place.day}`,
    )
    groups.forEach((group, g) => {
      const most = sessionMaxOf(context, group)
      if (most === undefined) return
      const over = `r${g}_${at}`
      const sets = own.map(
        cell => [y(cell), perSet(cell, worth => worth.fractional[g]!, 'least')] as const,
      )
      model.atMost([...sets, [over, -1]], Math.max(0, most - place.base.fractional[g]!))
      model.cost(over, PRICE.crowded, `crowded ${group} ${place.day}`)
    })
    limits.joints.forEach(({ joint, session }, j) =>
      model.atMost(
        own.map(cell => [y(cell), perSet(cell, worth => worth.joints[j]!, 'least')]),
        Math.max(0, session[at]! - place.base.joints[j]!),
        `joint ${joint} ${place.day}`,
      ),
    )
  })
  addWeeks(problem, limits, model)
}

/** What a joint bears within any seven days, where anything open loads it. */
function addWeeks(
  { places, cells }: Problem,
  { joints, weeks }: HardLimits,
  model: LinearModel,
): void {
  joints.forEach(({ joint, week }, j) => {
    for (const held of weeks) {
      const times = (place: number) => held.filter(one => one === place).length
      const fixed = held.reduce((sum, place) => sum + places[place]!.base.joints[j]!, 0)
      model.atMost(
        cells.map(cell => [
          y(cell),
          times(cell.place) * perSet(cell, worth => worth.joints[j]!, 'least'),
        ]),
        Math.max(0, week - fixed),
        `joint_week ${joint}`,
      )
    }
  })
}
