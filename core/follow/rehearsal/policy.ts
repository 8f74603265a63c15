import { GROUPS } from '../../plan/catalogue'
import { median } from '../../body/log'
import { type Adjustment, type DecisionRow, mayHold, OWN } from '../review'
import { decided, type Facts, plannedWith, valueAt } from './evidence'
import type { RehearsalData } from './rehearsalData'
import type { State, Tally } from './state'

/** What is decided after each rotation: the review's rules followed as proposed, nothing, or a plain rule to compare them with. */
export type Policy =
  | { readonly kind: 'rules' }
  | { readonly kind: 'nothing' }
  /** A set more where most answers say recovered, a set fewer where not. */
  | { readonly kind: 'plain' }
  /** Up and down to the target, two sets at a time. */
  | { readonly kind: 'target' }
  /** From the first day at so many times the target, muscle by muscle. */
  | { readonly kind: 'level'; readonly of: Float64Array }

interface Standing {
  readonly state: State
  readonly tally: Tally
  readonly data: RehearsalData
  /** The pass that is over; −1 before the first. */
  readonly at: number
}

const MOST_STEP = 2

/** Direct sets that bring a muscle's counted sets a week by so much nearer. */
function setsFor(group: number, wanted: number, { state, data, at }: Standing): number {
  const next = data.passes[at + 1]
  if (!next) return 0
  const now = plannedWith(next, state)
  const direct = valueAt(now.direct, group)
  const each = direct > 0 ? valueAt(now.ownCounted, group) / direct : 1
  return Math.round(((wanted - valueAt(now.counted, group) / next.weeks) * next.weeks) / each)
}

function add(group: number, by: number, { state }: Standing): void {
  state.change.held[group] = state.change.held[group]! + by
}

/** Without the program: each by what it says on its tin. */
function plainly(policy: Policy, standing: Standing): void {
  const { tally, data, at } = standing
  for (const group of data.trained) {
    const target = (data.passes[at + 1] ?? data).bands[group]?.target ?? 0
    if (policy.kind === 'level') {
      add(group, setsFor(group, target * (policy.of[group] ?? 1), standing), standing)
    } else if (policy.kind === 'target') {
      const by = setsFor(group, target, standing)
      add(group, Math.max(-MOST_STEP, Math.min(MOST_STEP, by)), standing)
    } else if (policy.kind === 'plain') {
      const [yes, no] = [valueAt(tally.recovered, group), valueAt(tally.notRecovered, group)]
      if (yes + no > 0) add(group, yes >= no ? 1 : -1, standing)
    }
  }
}

/** What a proposal about a muscle does: sets that hold or are for once, reserve for once. */
function take(adjustment: Adjustment, { state, at }: Standing): void {
  const { change, group, row } = adjustment
  if (change.kind === 'deload') state.change.isDeload = true
  const place = group === null ? -1 : GROUPS.indexOf(group)
  if (place < 0) return
  const { held, once, rir } = state.change
  if (change.kind === 'rir') rir[place] = Math.max(rir[place]!, change.by)
  if (change.kind === 'sets') rir[place] = Math.max(rir[place]!, change.rir)
  if (change.kind !== 'sets' && change.kind !== 'hold_ramp') return
  if (!mayHold(adjustment)) return void (once[place] = change.by)
  held[place] = held[place]! + change.by
  state.changed[place] = { row, change: change.by, from: at + 1 }
  if (row === 'A6' || row === 'A14') state.owed[place] = Math.max(0, state.owed[place]! - change.by)
}

/** Rows about exercises, as the review has them: a load that was too light or too heavy, a stand-in for what hurts. */
function exerciseRows({ state, tally, data }: Standing): readonly DecisionRow[] {
  const rows: DecisionRow[] = []
  for (const [exercise, errors] of tally.errors) {
    if (errors.length < OWN.leastSets) continue
    const error = median(errors)
    const moved = state.loads.get(exercise) ?? 1
    if (error >= OWN.rirError) {
      state.loads.set(exercise, moved * HEAVIER)
      rows.push('E1')
    } else if (error <= -OWN.rirError) {
      state.loads.set(exercise, moved * LIGHTER)
      rows.push('E2')
    }
  }
  for (const [joint, level] of state.sore.entries()) {
    if (level !== 'swap') continue
    for (const exercise of data.loading[joint] ?? []) {
      if (!state.swapped.has(exercise)) rows.push('E3')
      state.swapped.add(exercise)
    }
  }
  return rows
}
const HEAVIER = 1.025
const LIGHTER = 0.95

function byRules(standing: Standing, facts: Facts): readonly DecisionRow[] {
  const all = decided(facts).filter(({ isWaiting }) => !isWaiting)
  for (const adjustment of all) take(adjustment, standing)
  return [...all.map(({ row }) => row), ...exerciseRows(standing)]
}

/** Decides about the next pass, in the state itself, and gives the rows it went by. */
export function decideNext(policy: Policy, standing: Standing): readonly DecisionRow[] {
  const { state, tally, data, at } = standing
  state.change.once.fill(0)
  state.change.rir.fill(0)
  state.change.isDeload = false
  if (policy.kind === 'nothing') return []
  const [pass, next] = [data.passes[at], data.passes[at + 1]]
  if (policy.kind === 'rules')
    return pass && next ? byRules(standing, { state, tally, data, pass, next, at }) : []
  if (policy.kind !== 'level' || at < 0) plainly(policy, standing)
  return []
}
