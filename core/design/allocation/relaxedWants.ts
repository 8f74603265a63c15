import type { Group } from '../../plan/catalogue'
import { bandOf, modeOf, ratioWishOf } from '../../plan/method'
import { decayMatrix, RECOVERY, tauHours } from '../../body/recovery'
import { type LinearModel, perSet, type Terms, x, y } from './linearModel'
import type { Cell, CellWorth, Problem } from './cells'
import { keptKinds } from './kept'
import {
  exposuresWanted,
  isWanted,
  OVERHEAD_SHARE,
  PRICE,
  PRIORITY,
  RATIO_SLACK,
  wishOf,
} from './wants'

type Amount = (worth: CellWorth) => number

const SLACK = 1e-6

function terms(cells: readonly Cell[], of: Amount, which: 'most' | 'least', scale = 1): Terms {
  return cells.map(cell => [y(cell), scale * perSet(cell, of, which)] as const)
}

/** Largest value of some terms over all sets the cells may have, each by itself. */
function largest(cells: readonly Cell[], of: Amount): number {
  return cells.reduce(
    (sum, { worth, values }) => sum + Math.max(...values.map(sets => of(worth[sets] as CellWorth))),
    0,
  )
}

const gives = ({ worth, values }: Cell, of: Amount) =>
  values.some(sets => of(worth[sets] as CellWorth) > SLACK)

/** Floor, target, ceiling and frequency of a group. */
export function addWeek(problem: Problem, group: Group, g: number, model: LinearModel): void {
  const { places, cells, context, plan, beside } = problem
  const scale = 7 / plan.rotation.days.length
  const band = bandOf(context, group)
  const price = PRIORITY[modeOf(context, group)]
  const counted: Amount = worth => worth.counted[g]!
  const fixed = scale * places.reduce((total, { base }) => total + counted(base), 0) + beside[g]!
  if (isWanted(problem, group)) {
    const most = terms(cells, counted, 'most', scale)
    model.atLeast([...most, [`f${g}`, 1]], band.floor - fixed)
    model.atLeast([...most, [`f${g}`, 1], [`t${g}`, 1]], wishOf(band) - fixed)
    model.cost(`f${g}`, PRICE.floor * price, `floor ${group}`)
    model.cost(`t${g}`, PRICE.target * price, `target ${group}`)
    addFrequency(problem, group, g, fixed > SLACK, model)
  }
  addCeiling(problem, group, g, model)
  model.cost(`o${g}`, PRICE.ceiling, `ceiling ${group}`)
}

/** Sets over the ceiling; outside build direct ones only (`overCeiling`). */
function addCeiling(
  { places, cells, context, plan, beside }: Problem,
  group: Group,
  g: number,
  model: LinearModel,
): void {
  const scale = 7 / plan.rotation.days.length
  const isBuilt = modeOf(context, group) === 'build'
  const judged: Amount = worth => (isBuilt ? worth.counted : worth.direct)[g]!
  const fixed =
    scale * places.reduce((total, { base }) => total + judged(base), 0) + (isBuilt ? beside[g]! : 0)
  model.atMost(
    [...terms(cells, judged, 'least', scale), [`o${g}`, -1]],
    bandOf(context, group).ceiling - fixed,
  )
}

function addFrequency(
  problem: Problem,
  group: Group,
  g: number,
  isTrained: boolean,
  model: LinearModel,
): void {
  const { places, cells, context } = problem
  const days = [...new Set(places.map(({ day }) => day))]
  const fractional: Amount = worth => worth.fractional[g]!
  for (const day of days) {
    const on = places.flatMap((place, at) => (place.day === day ? [at] : []))
    const fixed = on.reduce((total, at) => total + (places[at]?.base.fractional[g] ?? 0), 0)
    model.binary(`g${g}_${day}`)
    model.atLeast(
      [
        ...terms(
          cells.filter(({ place }) => on.includes(place)),
          fractional,
          'most',
        ),
        [`g${g}_${day}`, -context.method.dose.minSetsPerExposure],
      ],
      -fixed,
    )
  }
  const wanted = exposuresWanted(problem, group)
  const met: Terms = [...days.map(day => [`g${g}_${day}`, 1] as const), [`v${g}`, 1]]
  // A muscle that is not trained at all is missed by its floor, not by its days.
  if (isTrained) model.atLeast(met, wanted)
  else
    model.atLeast(
      [
        ...met,
        [
          model.whenAny(
            `n${g}`,
            cells.filter(cell => gives(cell, worth => worth.counted[g]!)).map(x),
          ),
          -wanted,
        ],
      ],
      0,
    )
  const price = PRICE.frequency * PRIORITY[modeOf(context, group)]
  model.cost(`v${g}`, price, `frequency ${group}`)
}

const direct =
  (g: number): Amount =>
  worth =>
    worth.direct[g]!

/**
 * Sessions that may be the one with most direct sets of a group that is built up, each with the variable that says so; one
 * of them is, as soon as there is a direct set. Which of equal ones is taken is left open.
 */
function addLeads(
  { places, cells, context }: Problem,
  group: Group,
  g: number,
  model: LinearModel,
): ReadonlyMap<number, string> {
  if (modeOf(context, group) !== 'build') return new Map()
  const of = direct(g)
  const fixed = (at: number) => of(places[at]!.base)
  const held = places.flatMap((place, at) =>
    fixed(at) > SLACK || place.cells.some(cell => gives(cell, of)) ? [at] : [],
  )
  const leads = new Map(held.map(at => [at, `ld${g}_${at}`]))
  for (const [at, name] of leads) {
    model.binary(name)
    for (const other of held.filter(one => one !== at)) {
      const most = fixed(other) + largest(places[other]!.cells, of)
      model.atMost(
        [
          ...terms(places[other]!.cells, of, 'least'),
          ...terms(places[at]!.cells, of, 'most', -1),
          [name, most],
        ],
        most - fixed(other) + fixed(at) + SLACK,
      )
    }
  }
  const one: Terms = [...leads.values()].map(name => [name, 1] as const)
  if (held.some(at => fixed(at) > SLACK)) model.atLeast(one, 1)
  else {
    const by = cells.filter(cell => gives(cell, of)).map(x)
    if (by.length > 0) model.atLeast([...one, [model.whenAny(`da${g}`, by), -1]], 0)
  }
  return leads
}

/** Readiness at every session that works a group; the session that leads is asked for more. */
export function addReadiness(problem: Problem, group: Group, g: number, model: LinearModel): void {
  const { places, cells, context, plan } = problem
  const { required } = context.method.recovery
  const impulse: Amount = worth => worth.impulse[g]!
  const decay = decayMatrix(
    places.map(({ hour }) => hour),
    plan.rotation.days.length * 24,
    tauHours(group, context),
  )
  const share = 100 / RECOVERY[group].capacity
  const leads = addLeads(problem, group, g, model)
  places.forEach((place, s) => {
    const left = (t: number) => share * decay[s * places.length + t]!
    const fixed = places.reduce((sum, { base }, t) => sum + left(t) * impulse(base), 0)
    const tired: Terms = cells.map(
      cell => [y(cell), left(cell.place) * perSet(cell, impulse, 'least')] as const,
    )
    const most =
      fixed + places.reduce((sum, { cells: own }, t) => sum + left(t) * largest(own, impulse), 0)
    const own = place.cells.filter(cell => gives(cell, impulse))
    const lead = leads.get(s)
    const asked = [
      { need: required.indirect, isAsked: impulse(place.base) > SLACK, by: own.map(x) },
      {
        need: required.other,
        isAsked: place.base.direct[g]! > SLACK,
        by: own.filter(cell => gives(cell, direct(g))).map(x),
      },
      { need: required.lead, isAsked: false, by: lead ? [lead] : [] },
    ]
    asked.forEach(({ need, isAsked, by }, at) => {
      const short = need - 100
      if (most + short <= SLACK || (!isAsked && by.length === 0)) return
      const name = `w${g}_${s}_${at}`
      const whole = most + short
      // Readiness does not fall under nothing: from there on the miss is the whole need.
      const isBounded = whole > need
      if (isBounded) model.binary(`${name}k`)
      const floor: Terms = isBounded ? [[`${name}k`, -whole]] : []
      const row: Terms = [...tired, ...floor, [`${name}r`, -1]]
      if (isAsked) model.atMost(row, -short - fixed)
      else model.atMost([...row, [model.whenAny(name, by), whole]], whole - short - fixed)
      // What one session is asked for is one miss, the greatest.
      const miss = `q${g}_${s}`
      const parts: Terms = isBounded ? [[`${name}k`, -need]] : []
      model.atLeast([[miss, 1], [`${name}r`, -1], ...parts], 0)
      model.cost(miss, PRICE.readiness, `readiness ${group} ${place.day}`)
    })
  })
}

/** Where the ratio's miss is looked at: steps of its logarithm beyond what is let pass. */
const STEPS = [
  0, 0.025, 0.05, 0.075, 0.1, 0.125, 0.15, 0.175, 0.2, 0.25, 0.3, 0.35, 0.4, 0.5, 0.6, 0.7, 0.8, 1,
]

/** Kinds of work that the plan has and the sets have not. */
export function addLost(problem: Problem, model: LinearModel): void {
  keptKinds(problem).forEach(({ group, of }) => {
    if (problem.places.some(({ base }) => of(base) > SLACK)) return
    const lost = `l${problem.groups.indexOf(group)}`
    const keeping = problem.cells.filter(cell => gives(cell, of))
    model.atLeast([...keeping.map(cell => [x(cell), 1] as const), [lost, 1]], 1)
    model.cost(lost, PRICE.lost, `lost ${group}`)
  })
}

/** Overhead work for the triceps, and flexors against extensors in steps where the coach asks for a ratio. */
export function addShares(problem: Problem, model: LinearModel): void {
  const { groups, places, cells, context } = problem
  const fixed = (of: Amount) => places.reduce((sum, { base }) => sum + of(base), 0)
  const g = groups.indexOf('triceps')
  if (g >= 0 && modeOf(context, 'triceps') === 'build') {
    const lacking: Amount = worth => OVERHEAD_SHARE * worth.direct[g]! - worth.overhead
    const most = Math.max(0, fixed(lacking) + largest(cells, lacking))
    model.binary('ov')
    model.atMost([...terms(cells, lacking, 'least'), ['ov', -most]], -fixed(lacking))
    model.cost('ov', PRICE.overhead, 'overhead triceps')
  }
  if (context.client.ratioWish === undefined) return
  const [flexors, extensors]: readonly Amount[] = [worth => worth.flexors, worth => worth.extensors]
  // With nothing on one side there is no ratio: where nothing fixed is, it counts from the first set.
  const begun = (
    [
      ['zf', flexors!],
      ['ze', extensors!],
    ] as const
  ).flatMap(([name, of]) =>
    fixed(of) > SLACK ? [] : [model.whenAny(name, cells.filter(cell => gives(cell, of)).map(x))],
  )
  const wish = ratioWishOf(context)
  addOneSide(
    'u',
    worth => extensors!(worth),
    worth => wish * flexors!(worth),
  )
  addOneSide(
    'd',
    worth => wish * flexors!(worth),
    worth => extensors!(worth),
  )

  function addOneSide(name: string, more: Amount, less: Amount): void {
    STEPS.forEach((step, at) => {
      const ratio = Math.exp(RATIO_SLACK + step)
      const beyond: Amount = worth => more(worth) - ratio * less(worth)
      const most = fixed(beyond) + largest(cells, beyond)
      if (at === 0 || most <= SLACK) return
      const [here, before] = [`${name}${at}`, `${name}${at - 1}`]
      model.binary(here)
      if (at > 1)
        model.atLeast(
          [
            [before, 1],
            [here, -1],
          ],
          0,
        )
      model.atMost(
        [
          ...terms(cells, beyond, 'least'),
          [here, -most],
          ...begun.map(name => [name, most] as const),
        ],
        most * begun.length - fixed(beyond),
      )
      model.cost(here, PRICE.ratio * (step - STEPS[at - 1]!), 'ratio')
    })
  }
}
