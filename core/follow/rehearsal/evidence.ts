import { type Group, GROUPS, type Joint, JOINTS } from '../../plan/catalogue'
import { normalShare } from '../../body/log'
import { lookedOn, NOTHING_CALLED, type Observed } from '../../body/trend'
import {
  type Adjustment,
  adjustments,
  asInBase,
  type ChangedBefore,
  type GroupEvidence,
  sayNotRecovered,
} from '../review'
import { allotted } from './allotted'
import type { RehearsalData, RehearsedPass } from './rehearsalData'
import type { State, Tally } from './state'

export interface Facts {
  readonly state: State
  readonly tally: Tally
  readonly data: RehearsalData
  readonly pass: RehearsedPass
  readonly next: RehearsedPass
  readonly at: number
}
const FLOOR_SLACK = 0.5
const NOT_KNOWN = 100
const NO_BAND = { floor: 0, target: 0, ceiling: 0 } as const
export const valueAt = (values: Float64Array | Int16Array | Int8Array, at: number): number =>
  values[at]!

/** A pass as it is planned with what was decided for good: direct and counted sets, and of these what each muscle's own exercises give. */
export function plannedWith(pass: RehearsedPass, { change }: Pick<State, 'change'>) {
  const allSets = allotted(pass, change.held)
  const [direct, counted, ownCounted] = [0, 1, 2].map(() => new Float64Array(GROUPS.length)) as [
    Float64Array,
    Float64Array,
    Float64Array,
  ]
  for (const slot of pass.slots) {
    const sets = allSets[slot.at]!
    for (const group of slot.direct) direct[group] = direct[group]! + sets
    for (const group of slot.touched) counted[group] = counted[group]! + slot.counted[group]! * sets
    if (slot.main >= 0)
      ownCounted[slot.main] = ownCounted[slot.main]! + slot.counted[slot.main]! * sets
  }
  return { direct, counted, ownCounted }
}

/** What the log says of a muscle by now: the verdict that holds, and the slope behind it. */
function trendNow(group: number, { state, pass }: Facts) {
  const members = pass.members[group] ?? []
  const before = state.called[group] ?? NOTHING_CALLED
  const own: Observed[] = []
  for (const one of state.observed) {
    const exercise = members.indexOf(one.exercise)
    if (exercise >= 0 && one.day > before.from) own.push({ ...one, exercise })
  }
  const { called, fit } = lookedOn(before, own)
  state.called[group] = called
  return {
    verdict: called.verdict,
    slope: fit?.slope ?? 0,
    probability: fit ? normalShare(fit.slope / fit.error) : 0.5,
  }
}

/** The worst joint that exercises of a muscle load; null where none is sore. */
function soreOf(
  group: number,
  { sore }: State,
  { jointsOf }: RehearsalData,
): GroupEvidence['sore'] {
  const at = (jointsOf[group] ?? []).find(joint => sore[joint] !== 'none')
  return at === undefined ? null : { joint: JOINTS[at] as Joint, level: sore[at] ?? 'none' }
}

type Strain = NonNullable<GroupEvidence['strain']>

/** The joint nearest to its ceiling of those that exercises of a muscle load, by the pass that is over. */
function strainOf(group: number, { state, data, pass }: Facts): Strain | null {
  let worst: Strain | null = null
  for (const joint of data.jointsOf[group] ?? []) {
    const load = state.jointWeeks[joint]?.at(-1) ?? 0
    const share = load / pass.weeks / (data.ceilings[joint] ?? Infinity)
    if (share > (worst?.share ?? 0)) worst = { joint: JOINTS[joint] as Joint, share }
  }
  return worst
}

/** Finished passes in a row in which a muscle was under its floor. */
function underFloor(group: number, { tally, state, pass }: Facts, floor: number): number {
  const isUnder = valueAt(tally.counted, group) / pass.weeks < floor - FLOOR_SLACK
  return (state.belowFloor[group] = isUnder ? valueAt(state.belowFloor, group) + 1 : 0)
}

function changedBefore(group: number, { state, data, at }: Facts): ChangedBefore | null {
  const latest = state.changed[group]
  if (!latest) return null
  const weeks = data.passes.slice(latest.from, at + 1).reduce((sum, pass) => sum + pass.weeks, 0)
  return {
    row: latest.row,
    change: latest.change,
    rotations: at + 1 - latest.from,
    weeks,
  }
}

type Planned = ReturnType<typeof plannedWith>

function evidenceFor(group: number, facts: Facts, planned: number, now: Planned): GroupEvidence {
  const { state, tally, data, pass, next } = facts
  const exposures = valueAt(tally.exposures, group)
  const { verdict, probability, slope } = trendNow(group, facts)
  const band = next.bands[group] ?? NO_BAND
  return {
    group: GROUPS[group] as Group,
    mode: next.modes[group] ?? 'keep',
    direct: valueAt(now.direct, group),
    counted: valueAt(now.counted, group) / next.weeks,
    band,
    verdict,
    probability,
    slope,
    sore: soreOf(group, state, data),
    strain: strainOf(group, facts),
    adherence: planned === 0 ? 1 : tally.done / planned,
    done: tally.done,
    planned,
    recovered: valueAt(tally.recovered, group),
    notRecovered: valueAt(tally.notRecovered, group),
    lately: state.lately[group] ?? [],
    changed: changedBefore(group, facts),
    owed: valueAt(state.owed, group),
    wearsOn: (next.along[group] ?? [])
      .filter(other => sayNotRecovered(state.lately[other] ?? []))
      .map(other => GROUPS[other] as Group),
    readiness: exposures > 0 ? valueAt(tally.readiness, group) / exposures : NOT_KNOWN,
    exposures,
    lowExposures: valueAt(tally.low, group),
    belowFloorFor: underFloor(group, facts, band.floor),
    ramp:
      next.isDeload || pass.isDeload
        ? 0
        : Math.max(0, valueAt(next.direct, group) - valueAt(pass.direct, group)),
  }
}

const sum = (values: Int16Array) => values.reduce((total, value) => total + value, 0)

/** What the rules make of the pass. */
export function decided(facts: Facts): readonly Adjustment[] {
  const { state, tally, data, pass, next } = facts
  const planned = sum(allotted(pass, state.change.held))
  const now = plannedWith(next, state)
  const evidence = data.trained.map(group => evidenceFor(group, facts, planned, now))
  const [yes, no] = [sum(tally.recovered), sum(tally.notRecovered)]
  const falling = evidence.filter(({ verdict }) => verdict === 'decline').length >= 2
  const isSore = state.sore.filter(level => level !== 'none').length >= 2
  const found = adjustments(
    evidence,
    next.isDeload
      ? []
      : [
          ...(falling ? ['falling' as const] : []),
          ...(yes + no >= 4 && no / (yes + no) >= 0.5 ? ['not_recovered' as const] : []),
          ...(isSore ? ['sore_joints' as const] : []),
        ],
  )
  return next.isBase ? asInBase(found) : found
}
