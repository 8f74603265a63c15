import { type Group, JOINTS } from '../catalogue'
import { jointCeiling } from '../joints'
import { bandOf, modeOf, sessionMaxOf } from '../method'
import { setSeconds } from '../minutes'
import { requireExercise } from '../catalogue'
import type { Cell, CellWorth, Problem } from './problem'
import { MOST_EXERCISES } from './limits'
import { scorer, type Scorer } from './score'
import { exposuresWanted, isWanted, PRICE, PRIORITY, wishOf } from './wants'

/*
 * A linear model whose best value no plan can beat: wants about sets, bands and frequency under the hard limits. What is not linear
 * (readiness by role, pairs that save time, shares) is left out or taken at its kindest, so that the bound stays a bound.
 */

/** Coefficients by variable name. */
type Row = Map<string, number>
interface Constraint { readonly row: Row, readonly sense: '<=' | '>=', readonly bound: number }

/** What a solver is asked: text in the CPLEX LP format; the sets of cell 3 are the variable `y3`. */
export interface LinearQuestion { readonly text: string }

export interface LinearAnswer { readonly status: 'optimal' | 'stopped' | 'failed', /** No solution is better than this. */ readonly bound: number | null, readonly values: ReadonlyMap<string, number> | null }

/** A solver of mixed-integer linear programs; the only thing the core asks of one. */
export type LinearSolver = (question: LinearQuestion, seconds: number) => LinearAnswer

/** Most and least that one set gives, over the numbers of sets a cell may have. */
function perSet({ worth, values }: Cell, of: (worth: CellWorth) => number, which: 'most' | 'least'): number {
  const shares = values.filter(sets => sets > 0).map(sets => of(worth[sets] as CellWorth) / sets)
  return which === 'most' ? Math.max(...shares) : Math.min(...shares)
}

/** Least time of a cell by itself: so much once it is there, so much for each set. */
function leastTime(cell: Cell, problem: Problem, state: Scorer): { readonly once: number, readonly each: number } {
  const place = problem.places[cell.place]
  const grouping = place?.content.groupings.find(({ slots }) => slots.some(({ id }) => id === cell.slot.id))
  if (grouping && grouping.slots.length > 1) {
    const exercise = requireExercise(problem.context.catalogue, cell.slot.exercise)
    return { once: 0, each: Math.min(...cell.slot.scheme.runs.filter(({ role }) => role !== 'warmup').map(run => setSeconds(run, exercise, problem.context, true).seconds)) }
  }
  const empty = state.seconds()
  const times = cell.values.filter(sets => sets > 0).map((sets) => {
    state.set(cell.at, sets)
    return { sets, seconds: state.seconds() - empty }
  })
  state.set(cell.at, 0)
  const steps = times.slice(1).map(({ sets, seconds }, at) => (seconds - (times[at]?.seconds ?? 0)) / (sets - (times[at]?.sets ?? 0)))
  const each = Math.max(0, Math.min(...steps, ...times.map(({ sets, seconds }) => seconds / sets)))
  return { each, once: Math.max(0, Math.min(...times.map(({ sets, seconds }) => seconds - each * sets))) }
}

const sum = (entries: readonly (readonly [string, number])[]): Row => {
  const row: Row = new Map()
  for (const [name, value] of entries) if (Math.abs(value) > 1e-9) row.set(name, (row.get(name) ?? 0) + value)
  return row
}
const y = ({ at }: Cell) => `y${at}`
const x = ({ at }: Cell) => `x${at}`

/** The relaxed model of a problem's wants. */
export function relaxedQuestion(problem: Problem): LinearQuestion {
  const constraints: Constraint[] = []
  const costs: Row = new Map()
  const binaries = problem.cells.map(x)
  const more = (row: Row, sense: Constraint['sense'], bound: number) => constraints.push({ row, sense, bound })
  for (const cell of problem.cells) {
    const least = cell.values.find(sets => sets > 0) ?? 1
    more(sum([[y(cell), 1], [x(cell), -least]]), '>=', 0)
    more(sum([[y(cell), 1], [x(cell), -(cell.values.at(-1) ?? 0)]]), '<=', 0)
  }
  problem.groups.forEach((group, g) => addWants(problem, group, g, { more, costs, binaries }))
  addLimits(problem, { more, costs })
  return { text: lpText(costs, constraints, problem.cells.map(y), binaries) }
}

interface Sink { readonly more: (row: Row, sense: '<=' | '>=', bound: number) => void, readonly costs: Row, readonly binaries: string[] }

function addWants(problem: Problem, group: Group, g: number, { more, costs, binaries }: Sink): void {
  const { places, cells, context, plan, beside } = problem
  const scale = 7 / plan.rotation.days.length
  const mode = modeOf(context, group)
  const band = bandOf(context, group)
  const price = PRIORITY[mode]
  const counted = (which: 'most' | 'least', key: 'counted' | 'direct') => cells.map(cell => [y(cell), scale * perSet(cell, worth => worth[key][g] ?? 0, which)] as const)
  const fixed = (key: 'counted' | 'direct') => scale * places.reduce((total, { base }) => total + (base[key][g] ?? 0), 0) + (key === 'counted' ? beside[g] ?? 0 : 0)
  if (isWanted(problem, group)) {
    more(sum([...counted('most', 'counted'), [`f${g}`, 1]]), '>=', band.floor - fixed('counted'))
    more(sum([...counted('most', 'counted'), [`f${g}`, 1], [`t${g}`, 1]]), '>=', wishOf(band) - fixed('counted'))
    costs.set(`f${g}`, PRICE.floor * price)
    costs.set(`t${g}`, PRICE.target * price)
    addFrequency(problem, group, g, { more, costs, binaries })
  }
  const judged = mode === 'build' ? 'counted' as const : 'direct' as const
  more(sum([...counted('least', judged), [`o${g}`, -1]]), '<=', band.ceiling - fixed(judged))
  costs.set(`o${g}`, PRICE.ceiling)
}

function addFrequency(problem: Problem, group: Group, g: number, { more, costs, binaries }: Sink): void {
  const { places, cells, context, plan } = problem
  const least = context.method.dose.minSetsPerExposure
  const days = [...new Set(places.map(({ day }) => day))]
  for (const day of days) {
    const on = places.flatMap((place, at) => (place.day === day ? [at] : []))
    const fixed = on.reduce((total, at) => total + (places[at]?.base.fractional[g] ?? 0), 0)
    binaries.push(`g${g}_${day}`)
    more(sum([...cells.filter(({ place }) => on.includes(place)).map(cell => [y(cell), perSet(cell, worth => worth.fractional[g] ?? 0, 'most')] as const), [`g${g}_${day}`, -least]]), '>=', -fixed)
  }
  more(sum([...days.map(day => [`g${g}_${day}`, 1] as const), [`v${g}`, 1]]), '>=', Math.min(exposuresWanted(problem, group), plan.rotation.days.length))
  costs.set(`v${g}`, PRICE.frequency * PRIORITY[modeOf(context, group)])
}

function addLimits(problem: Problem, { more, costs }: Pick<Sink, 'more' | 'costs'>): void {
  const { places, cells, context, plan, groups } = problem
  const state = scorer(problem)
  const times = new Map(cells.map(cell => [cell, leastTime(cell, problem, state)]))
  plan.rotation.days.forEach((day, at) => {
    const own = cells.filter(({ place }) => places[place]?.day === at)
    if (day.minuteLimit === undefined || own.length === 0) return
    const fixed = state.secondsOnDay(at)
    more(sum(own.flatMap(cell => [[y(cell), times.get(cell)?.each ?? 0], [x(cell), times.get(cell)?.once ?? 0]] as const)), '<=', Math.max(day.minuteLimit * 60 - fixed, 0))
  })
  places.forEach((place, at) => {
    const own = cells.filter(cell => cell.place === at)
    if (own.length === 0) return
    const standing = place.content.groupings.reduce((total, { slots }) => total + slots.length, 0) - own.filter(({ isNew }) => !isNew).length
    more(sum(own.map(cell => [x(cell), 1])), '<=', Math.max(0, MOST_EXERCISES - standing))
    groups.forEach((group, g) => {
      const limit = sessionMaxOf(context, group)
      if (limit === undefined) return
      more(sum([...own.map(cell => [y(cell), perSet(cell, worth => worth.fractional[g] ?? 0, 'least')] as const), [`r${g}_${at}`, -1]]), '<=', Math.max(0, limit - (place.base.fractional[g] ?? 0)))
      costs.set(`r${g}_${at}`, PRICE.crowded)
    })
    JOINTS.forEach((joint, j) => more(sum(own.map(cell => [y(cell), perSet(cell, worth => worth.joints[j] ?? 0, 'least')])), '<=', Math.max(0, jointCeiling(joint, context).session - (place.base.joints[j] ?? 0))))
  })
}

function term([name, value]: readonly [string, number]): string {
  return `${value < 0 ? '-' : '+'} ${Number(Math.abs(value).toPrecision(12))} ${name}`
}

/** A model in the CPLEX LP format; rows without a variable that cannot bind are left out. */
function lpText(costs: Row, constraints: readonly Constraint[], integers: readonly string[], binaries: readonly string[]): string {
  const rows = constraints.filter(({ row }) => row.size > 0).map(({ row, sense, bound }, at) => ` c${at}: ${[...row].map(term).join(' ')} ${sense} ${Number(bound.toPrecision(12))}`)
  return ['Minimize', ` v: ${[...costs].map(term).join(' ')}`, 'Subject To', ...rows, 'Bounds', ...integers.map(name => ` 0 <= ${name} <= 40`), 'Generals', ` ${integers.join(' ')}`, 'Binaries', ` ${binaries.join(' ')}`, 'End'].join('\n')
}
