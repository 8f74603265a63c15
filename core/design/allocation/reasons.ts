import { seededRandom } from '../../base'
import type { Group, Joint } from '../../plan/catalogue'
import type { Problem } from './cells'
import { GENTLE_HEAT } from './goals'
import type { Loosened } from './limits'
import type { LinearModel, Terms } from './linearModel'
import { type LinearSolver, wantsModel } from './relaxation'
import { scorer } from './score'
import { type Found, search } from './search'
import type { Miss } from './wants'

/** A limit of the plan that stands in the way of a want. Days from 0. */
export type LimitHurdle =
  | { readonly kind: 'minutes' | 'exercises'; readonly day: number }
  | { readonly kind: 'joint'; readonly joint: Joint; readonly day: number }
  | { readonly kind: 'joint_week'; readonly joint: Joint }

/** Another want that would have to give. */
export type WantHurdle =
  | { readonly kind: 'crowded' | 'readiness'; readonly group: Group; readonly day: number }
  | {
      readonly kind: 'target' | 'ceiling' | 'frequency' | 'overhead' | 'lost'
      readonly group: Group
    }
  | { readonly kind: 'ratio' }
export type Hurdle = LimitHurdle | WantHurdle
/** Hurdles of which a step can be had; the others are not a matter of a little more. */
type ForSale = Exclude<Hurdle['kind'], 'frequency' | 'overhead' | 'lost' | 'ratio'>

/** A want that is not met, and the smallest sets of hurdles each of which alone keeps any plan from meeting it. */
export interface WhyNot {
  readonly miss: Pick<Miss, 'kind' | 'group' | 'amount' | 'day'>
  /** Empty where nothing proves one: then no plan was found, which is less than that there is none. */
  readonly sets: readonly (readonly Hurdle[])[]
}

/** A hurdle lowered by one step, and what the wants gain, worst missed first. */
export interface Purchase {
  readonly hurdle: Hurdle & { readonly kind: ForSale }
  /** Minutes, exercises, points of a joint, sets, or points of readiness. */
  readonly step: number
  readonly gains: readonly {
    readonly miss: Pick<Miss, 'kind' | 'group'>
    readonly amount: number
  }[]
  readonly points: number
}

export interface Reasons {
  readonly whyNot: readonly WhyNot[]
  readonly purchases: readonly Purchase[]
}

const MOST_SETS = 3
const MOST_PURCHASES = 8
const SOLVER_SECONDS = 2
const EXPLAIN_MOVES = 1500
const SLACK = 1e-6

/** What is let go for a step of each hurdle that is for sale. */
const STEPS: Readonly<Record<ForSale, number>> = {
  minutes: 10,
  exercises: 1,
  joint: 2,
  joint_week: 2,
  crowded: 1,
  readiness: 5,
  target: 1,
  ceiling: 1,
}

/** A hurdle as the model names it, and back. */
const keyOf = (hurdle: Hurdle): string =>
  [
    hurdle.kind,
    'group' in hurdle ? hurdle.group : 'joint' in hurdle ? hurdle.joint : '',
    'day' in hurdle ? hurdle.day : '',
  ]
    .filter(part => part !== '')
    .join(' ')

function hurdleOf(key: string): Hurdle {
  const [kind, ...rest] = key.split(' ') as [Hurdle['kind'], ...string[]]
  const day = Number(rest.at(-1))
  switch (kind) {
    case 'minutes':
    case 'exercises':
      return { kind, day }
    case 'joint':
      return { kind, joint: rest[0] as Joint, day }
    case 'joint_week':
      return { kind, joint: rest[0] as Joint }
    case 'crowded':
    case 'readiness':
      return { kind, group: rest[0] as Group, day }
    case 'ratio':
      return { kind }
    default:
      return { kind, group: rest[0] as Group }
  }
}

/** What a want's miss is called in the model. */
const wantKey = ({ kind, group, day }: Pick<Miss, 'kind' | 'group' | 'day'>) =>
  [kind, group, day].filter(part => part !== undefined && part !== null).join(' ')

/** Floor and target are one want: both are met by more sets. */
const wantKind = (kind: Miss['kind']) => (kind === 'floor' ? 'target' : kind)
const sameWant = (miss: Miss) => wantKey({ ...miss, kind: wantKind(miss.kind) })

/**
 * Why a plan meets no more: for every want that is missed the smallest sets of limits and other wants that together forbid
 * it, each proven by a model that is kinder than any plan; and what one step more of each would buy, tried on whole plans.
 *
 * Edge: the same question has the same answer. Limits that are tight are tried too where nothing is proven.
 */
export function reasonsFor(problem: Problem, found: Found, solver: LinearSolver): Reasons {
  const missed = found.misses.filter(
    (miss, at, all) => all.findIndex(other => sameWant(other) === sameWant(miss)) === at,
  )
  const whyNot = missed.map((miss): WhyNot => {
    const { kind, group, amount, day } = miss
    return {
      miss: { kind, group, amount, ...(day !== undefined && { day }) },
      sets: forbidding(problem, found, miss, solver),
    }
  })
  const hurdles = [...whyNot.flatMap(({ sets }) => sets.flat()), ...tightHurdles(problem, found)]
  const once = new Map(hurdles.map(hurdle => [keyOf(hurdle), hurdle]))
  return {
    whyNot,
    purchases: missed.length > 0 ? purchases(problem, found, [...once.values()]) : [],
  }
}

/** Limits that leave a plan less than a set's room. */
function tightHurdles(problem: Problem, { sets }: Found): readonly Hurdle[] {
  const state = scorer(problem)
  sets.forEach((count, at) => state.set(at, count))
  return state.tightLimits().map(({ kind, day, of }): Hurdle => {
    if (kind === 'minutes') return { kind, day: day ?? 0 }
    return kind === 'joint'
      ? { kind, joint: of as Joint, day: day ?? 0 }
      : { kind, joint: of as Joint }
  })
}

/** The smallest sets of hurdles, each of which alone keeps a want from being met in full. */
function forbidding(
  problem: Problem,
  found: Found,
  miss: Miss,
  solver: LinearSolver,
): readonly (readonly Hurdle[])[] {
  const model = wantsModel(problem)
  const wanted = new Set(
    miss.kind === 'floor' || miss.kind === 'target'
      ? [`floor ${miss.group}`, `target ${miss.group}`]
      : [wantKey(miss)],
  )
  hold(model, found, wanted)
  const all = [...model.hurdles()].filter(key => !wanted.has(key))
  const isPossible = (kept: ReadonlySet<string>) => {
    const without = new Set(all.filter(key => !kept.has(key)))
    return (
      solver({ text: model.text({ without, inParts: true }) }, SOLVER_SECONDS).status !==
      'impossible'
    )
  }
  const sets: (readonly string[])[] = []
  const looked = new Set<string>()
  /** Each further set does without one hurdle of a set already found. */
  const queue: ReadonlySet<string>[] = [new Set(all)]
  for (let from = queue.shift(); from && sets.length < MOST_SETS; from = queue.shift()) {
    const key = [...from].join(',')
    if (looked.has(key) || isPossible(from)) continue
    looked.add(key)
    const smallest = [...shrunk(from, isPossible)]
    if (!sets.some(other => other.join() === smallest.join())) sets.push(smallest)
    for (const one of smallest) queue.push(new Set([...from].filter(other => other !== one)))
  }
  return sets.sort((a, b) => a.length - b.length).map(keys => keys.map(hurdleOf))
}

/** A set of hurdles none of which can be left out; whole parts are left out first, so that few questions are asked. */
export function shrunk(
  from: ReadonlySet<string>,
  isPossible: (kept: ReadonlySet<string>) => boolean,
): ReadonlySet<string> {
  let kept = new Set(from)
  for (
    let size = Math.ceil(kept.size / 2);
    size >= 1;
    size = size === 1 ? 0 : Math.ceil(size / 2)
  ) {
    const parts = Array.from({ length: Math.ceil(kept.size / size) }, (_, at) =>
      [...kept].slice(at * size, (at + 1) * size),
    )
    for (const part of parts) {
      const fewer = new Set([...kept].filter(key => !part.includes(key)))
      if (!isPossible(fewer)) kept = fewer
    }
  }
  return kept
}

/** The want in full, and every other want at least as well met as the plan found meets it; each is a hurdle of its own. */
function hold(model: LinearModel, { misses }: Found, wanted: ReadonlySet<string>): void {
  const variables = new Map<string, string[]>()
  for (const [name, key] of model.missed) variables.set(key, [...(variables.get(key) ?? []), name])
  for (const [key, names] of variables) {
    const terms: Terms = names.map(name => [name, 1] as const)
    const now = misses
      .filter(miss => wantKey(miss) === key)
      .reduce((sum, { amount }) => sum + amount, 0)
    if (wanted.has(key)) model.atMost(terms, SLACK)
    // The ratio's miss is a staircase: it can be held at nothing, or not at all.
    else if (key !== 'ratio' || now === 0)
      model.atMost(terms, now + SLACK, key.replace(/^floor /, 'target '))
  }
}

function loosenedBy(hurdle: Hurdle & { readonly kind: ForSale }): Loosened {
  const step = STEPS[hurdle.kind]
  switch (hurdle.kind) {
    case 'minutes':
      return { minutes: { [hurdle.day]: step } }
    case 'exercises':
      return { exercises: step }
    case 'joint':
    case 'joint_week':
      return { joints: step }
    case 'ceiling':
      return { wants: { [hurdle.group]: { over: step } } }
    case 'crowded':
      return { wants: { [hurdle.group]: { crowded: step } } }
    case 'readiness':
      return { wants: { [hurdle.group]: { unready: step } } }
    case 'target':
      return { wants: { [hurdle.group]: { under: step } } }
  }
}

/** Sore joints are never loosened: what hurts is not for sale. */
const isForSale =
  ({ context }: Problem) =>
  (hurdle: Hurdle): hurdle is Hurdle & { readonly kind: ForSale } =>
    hurdle.kind in STEPS &&
    (!('joint' in hurdle) || (context.client.pain?.[hurdle.joint] ?? 'none') === 'none')

/** What is let go is no gain: a want that is missed less only because less of it is asked. */
const isLetGo = (hurdle: Hurdle, { kind, group }: Pick<Miss, 'kind' | 'group'>) =>
  'group' in hurdle && hurdle.group === group && hurdle.kind === wantKind(kind)

/** Tries each hurdle one step lower, from the plan found: only gains that a whole plan shows are told. */
function purchases(
  problem: Problem,
  found: Found,
  hurdles: readonly Hurdle[],
): readonly Purchase[] {
  return hurdles
    .filter(isForSale(problem))
    .slice(0, MOST_PURCHASES)
    .flatMap((hurdle, at): Purchase[] => {
      const bought = search(problem, {
        kind: 'fewest_changes',
        moves: EXPLAIN_MOVES,
        heat: GENTLE_HEAT,
        random: seededRandom(40 + at),
        from: found.sets,
        loosened: loosenedBy(hurdle),
      })
      const gains = gainsBetween(found.misses, bought.misses).filter(
        ({ miss }) => !isLetGo(hurdle, miss),
      )
      const points = gains.reduce((sum, gain) => sum + gain.points, 0)
      return gains.length > 0 ? [{ hurdle, step: STEPS[hurdle.kind], gains, points }] : []
    })
    .sort((a, b) => b.points - a.points)
}

/** Wants that are missed less, each kind of a muscle added up. */
function gainsBetween(before: readonly Miss[], after: readonly Miss[]) {
  const sum = (misses: readonly Miss[], kind: Miss['kind'], group: Group | null) =>
    misses
      .filter(miss => miss.kind === kind && miss.group === group)
      .reduce(
        (all, { amount, points }) => ({ amount: all.amount + amount, points: all.points + points }),
        { amount: 0, points: 0 },
      )
  const keys = new Map(before.map(({ kind, group }) => [`${kind} ${group}`, { kind, group }]))
  return [...keys.values()]
    .map(({ kind, group }) => {
      const [was, is] = [sum(before, kind, group), sum(after, kind, group)]
      return {
        miss: { kind, group },
        amount: was.amount - is.amount,
        points: was.points - is.points,
      }
    })
    .filter(({ amount, points }) => amount > 0.05 && points > 0.5)
}
