import type { Group } from '../../plan/catalogue'
import {
  type Band,
  bandOf,
  effectiveSets,
  leastFrequency,
  type Mode,
  modeOf,
  overCeiling,
  ratioWishOf,
  sessionMaxOf,
  trainingAge,
} from '../../plan/method'
import { decayMatrix, RECOVERY, tauHours } from '../../body/recovery'
import type { Problem } from './cells'
import { type KeptKind, keptKinds } from './kept'
import type { Loosened } from './limits'
import type { AllocationState, Sums } from './state'

/** Points for each counted set short or over, and for each miss; a coach's own prices, rules of thumb. Source: docs/methods.md#proposals. */
export const PRICE = {
  floor: 16,
  target: 4,
  ceiling: 16,
  readiness: 0.5,
  frequency: 8,
  overhead: 12,
  ratio: 20,
  crowded: 6,
  /** More than any ceiling costs: what the plan has of a kind is not thrown out to slip under one. */
  lost: 400,
} as const
export const PRIORITY: Readonly<Record<Mode, number>> = { build: 3, keep: 2, maintain: 1 }
const DEAD_BAND = 0.5
export const RATIO_SLACK = 0.05
export const OVERHEAD_SHARE = 0.25
const FREQUENCY_SLACK = 0.25
const SLACK = 1e-6

/** A want of a plan and by how much it is missed. */
export interface Miss {
  readonly kind:
    | 'floor'
    | 'target'
    | 'ceiling'
    | 'frequency'
    | 'readiness'
    | 'overhead'
    | 'ratio'
    | 'crowded'
    | 'lost'
  readonly group: Group | null
  /** Sets per 7 days, exposures, percent points, a share, or sets in one session, by kind. */
  readonly amount: number
  readonly points: number
  /** Day from 0 that it is about. */
  readonly day?: number
}
type Note = (
  kind: Miss['kind'],
  group: Group | null,
  amount: number,
  price: number,
  day?: number,
) => void

/** Groups that open sets train directly are wanted; the others only share in what comes of it. */
export function isWanted({ cells }: Problem, group: Group): boolean {
  return cells.some(({ main }) => main === group)
}

/** Days of the rotation on which a group should be trained at least. */
export function exposuresWanted({ context, plan }: Problem, group: Group): number {
  return Math.ceil(
    ((leastFrequency(context, group) - FREQUENCY_SLACK) * plan.rotation.days.length) / 7 - SLACK,
  )
}

/** Half a set under the target is as good as on it. */
export function wishOf({ floor, target }: Band): number {
  return Math.max(floor, target - DEAD_BAND)
}

interface Want {
  readonly g: number
  readonly group: Group
  readonly mode: Mode
  readonly band: Band
  readonly priority: number
  readonly exposures: number
  readonly isWanted: boolean
  readonly decay: Float64Array
  readonly capacity: number
  /** Points of readiness that are let go. */
  readonly unready: number
  /** Sets of a session from which on more is crowded, by session. */
  readonly roomy: readonly number[]
}

function wantList(problem: Problem, loosened: Loosened): readonly Want[] {
  const { groups, places, context, plan } = problem
  return groups.map((group, g): Want => {
    const mode = modeOf(context, group)
    const { under = 0, over = 0, crowded = 0, unready = 0 } = loosened.wants?.[group] ?? {}
    const { floor, target, ceiling } = bandOf(context, group)
    return {
      g,
      group,
      mode,
      unready,
      band: { floor: floor - under, target: target - under, ceiling: ceiling + over },
      priority: PRIORITY[mode],
      exposures: exposuresWanted(problem, group),
      isWanted: isWanted(problem, group),
      decay: decayMatrix(
        places.map(({ hour }) => hour),
        plan.rotation.days.length * 24,
        tauHours(group, context),
      ),
      capacity: RECOVERY[group].capacity,
      roomy: places.map(({ base }) =>
        Math.max((sessionMaxOf(context, group) ?? Infinity) + crowded, base.fractional[g]!),
      ),
    }
  })
}

function total(sums: readonly Sums[], key: 'counted' | 'direct', g: number): number {
  let sum = 0
  for (const held of sums) sum += held[key][g]!
  return sum
}

/** Floor, target and ceiling; gives the group's sets per 7 days. */
function noteBand(
  { g, group, mode, band, priority, isWanted: own }: Want,
  sums: readonly Sums[],
  { plan, beside }: Problem,
  note: Note,
): number {
  const scale = 7 / plan.rotation.days.length
  const week = total(sums, 'counted', g) * scale + beside[g]!
  const wish = wishOf(band)
  if (own && week < band.floor - SLACK)
    note('floor', group, band.floor - week, PRICE.floor * priority)
  if (own && week < wish - SLACK)
    note('target', group, wish - Math.max(week, band.floor), PRICE.target * priority)
  const over = overCeiling({ direct: total(sums, 'direct', g) * scale, counted: week }, band, mode)
  if (over > SLACK) note('ceiling', group, over, PRICE.ceiling)
  return week
}

function noteFrequency(
  { g, group, priority, exposures }: Want,
  sums: readonly Sums[],
  { places, context }: Problem,
  note: Note,
): void {
  const least = context.method.dose.minSetsPerExposure - SLACK
  let days = 0
  let daily = 0
  for (let at = 0; at < places.length; at++) {
    daily += sums[at]!.fractional[g]!
    const isLast = places[at + 1]?.day !== places[at]!.day
    if (isLast && daily >= least) days++
    if (isLast) daily = 0
  }
  if (days < exposures) note('frequency', group, exposures - days, PRICE.frequency * priority)
}

/** The session with most direct sets of a group that is built up; -1 where there is none. */
function leadOf({ g, mode }: Want, sums: readonly Sums[]): number {
  let lead = -1
  if (mode === 'build')
    sums.forEach(
      ({ direct }, s) =>
        (lead = direct[g]! > (lead < 0 ? 0 : (sums[lead]?.direct[g] ?? 0)) + SLACK ? s : lead),
    )
  return lead
}

/** Readiness at every session that works the group, and sessions that hold too much of it. */
function noteSessions(
  want: Want,
  sums: readonly Sums[],
  { places, context }: Problem,
  note: Note,
): void {
  const { g, group, decay, capacity, roomy } = want
  const { required } = context.method.recovery
  const lead = leadOf(want, sums)
  for (let s = 0; s < sums.length; s++) {
    const sum = sums[s] as Sums
    if (sum.impulse[g]! <= 0) continue
    let fatigue = 0
    for (let t = 0; t < sums.length; t++)
      fatigue += (sums[t]?.impulse[g] ?? 0) * decay[s * sums.length + t]!
    const readiness = 100 * Math.max(0, 1 - fatigue / capacity)
    const asked =
      s === lead ? required.lead : sum.direct[g]! > 0 ? required.other : required.indirect
    const need = asked - want.unready
    if (readiness < need - SLACK)
      note('readiness', group, need - readiness, PRICE.readiness, places[s]?.day)
    const over = sum.fractional[g]! - (roomy[s] ?? Infinity)
    if (over > SLACK) note('crowded', group, over, PRICE.crowded, places[s]?.day)
  }
}

/** Overhead work for the triceps. */
function noteOverhead(wants: readonly Want[], sums: readonly Sums[], note: Note): void {
  const triceps = wants.find(({ group }) => group === 'triceps')
  const direct = triceps ? total(sums, 'direct', triceps.g) : 0
  let overhead = 0
  for (const sum of sums) overhead += sum.overhead
  if (triceps?.mode === 'build' && direct > 0 && overhead / direct < OVERHEAD_SHARE - SLACK)
    note('overhead', 'triceps', 1, PRICE.overhead)
}

/**
 * Flexors against extensors, where the coach asks for a ratio. One that only follows from the bands is for the board to
 * tell: it is no reason to go past a target, nor to stay under one.
 */
function noteRatio({ context }: Problem, sums: readonly Sums[], note: Note): void {
  if (context.client.ratioWish === undefined) return
  let [flexors, extensors] = [0, 0]
  for (const sum of sums) {
    flexors += sum.flexors
    extensors += sum.extensors
  }
  const isThere = flexors > 0 && extensors > 0
  const off = isThere ? Math.abs(Math.log(extensors / flexors / ratioWishOf(context))) : 0
  if (off > RATIO_SLACK) note('ratio', null, off - RATIO_SLACK, PRICE.ratio)
}

/** Kinds of work that the plan has and the sets have not. */
function noteLost(kinds: readonly KeptKind[], sums: readonly Sums[], note: Note): void {
  for (const { group, of } of kinds)
    if (sums.every(sum => of(sum) <= SLACK)) note('lost', group, 1, PRICE.lost)
}

/** What was noted of a group and its stimulus, right for as long as nothing it gets changes. */
interface Held {
  stamp: number
  misses: Parameters<Note>[]
  effective: number
}

/** The wants of a problem's groups as functions of what its sessions give. */
export function wantsOf(
  problem: Problem,
  { sums, stamps }: Pick<AllocationState, 'sums' | 'stamps'>,
  loosened: Loosened = {},
) {
  const { context, plan } = problem
  const age =
    trainingAge(context.client.trainingAgeMonths) === 'new'
      ? ('new' as const)
      : ('trained' as const)
  const wants = wantList(problem, loosened)
  const kinds = keptKinds(problem)
  const held = wants.map((): Held => ({ stamp: -1, misses: [], effective: 0 }))

  function now(want: Want, own: Held): Held {
    if (own.stamp === stamps[want.g]) return own
    own.stamp = stamps[want.g]!
    const misses: Parameters<Note>[] = []
    const note: Note = (...miss) => void misses.push(miss)
    const week = noteBand(want, sums, problem, note)
    if (want.isWanted && week > SLACK) noteFrequency(want, sums, problem, note)
    noteSessions(want, sums, problem, note)
    own.misses = misses
    own.effective = 0
    for (const { counted } of sums) own.effective += effectiveSets(counted[want.g]!, age)
    return own
  }

  function each(note: Note): void {
    for (let at = 0; at < wants.length; at++)
      for (const miss of now(wants[at]!, held[at]!).misses) note(...miss)
    noteOverhead(wants, sums, note)
    noteRatio(problem, sums, note)
    noteLost(kinds, sums, note)
  }
  return {
    points(): number {
      let sum = 0
      each((_kind, _group, amount, price) => (sum += amount * price))
      return sum
    },
    misses(): readonly Miss[] {
      const found: Miss[] = []
      each((kind, group, amount, price, day) =>
        found.push({
          kind,
          group,
          amount,
          points: amount * price,
          ...(day !== undefined && { day }),
        }),
      )
      return found.sort((a, b) => b.points - a.points)
    },
    /** Effective sets by the session curve, weighed by priority: more is better once the wants are met. */
    stimulus: (): number =>
      (7 / plan.rotation.days.length) *
      wants.reduce((sum, want, at) => sum + want.priority * now(want, held[at]!).effective, 0),
  }
}
