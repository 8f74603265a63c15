import { daysBetween, DAYS_PER_WEEK } from '../../base'
import { type Group, GROUPS } from '../../plan/catalogue'
import { rotationLedger } from '../../count/ledger'
import type { PlanContext } from '../../plan/method'
import type { BlockException } from '../../plan/block'
import { plannedSets } from '../../plan/scheme'
import { sessionSlots } from '../../plan/session'
import type { BlockPass, BlockSession, ExpandedBlock } from './expand'

/** What a first rotation after an absence should hold at most, of the last one before it. Source: docs/methods.md#joints. */
export const RETURN_SHARE = 0.8
/** Reps in reserve more than planned in a rotation of return. */
const RETURN_RIR = 1

/** The first rotation after days without training that the plan did not have. */
export interface Return {
  readonly pass: number
  /** Whole days between the last session before and the first after. */
  readonly days: number
  /** Its working sets, of those of the last rotation that was trained whole. */
  readonly share: number
}

const isHeld = ({ isSkipped }: BlockSession) => !isSkipped
const heldShare = ({ sessions }: BlockPass) =>
  sessions.length === 0 ? 0 : sessions.filter(isHeld).length / sessions.length

/**
 * The longest stretch of weeks in training without an easier one. A rotation counts by the share of its sessions that
 * are held; one that is an easier one, or in which nothing is trained, ends the stretch.
 *
 * Units: weeks of seven days.
 */
export function weeksWithoutEasier({ passes }: ExpandedBlock): number {
  let [run, longest] = [0, 0]
  for (const pass of passes) {
    const share = heldShare(pass)
    const days = pass.rotation.days.length
    run = pass.isDeload || share === 0 ? 0 : run + (share * days) / DAYS_PER_WEEK
    longest = Math.max(longest, run)
  }
  return longest
}

const setsOf = (pass: BlockPass) =>
  pass.sessions
    .filter(isHeld)
    .flatMap(({ content }) => sessionSlots(content))
    .reduce((sum, { scheme }) => sum + plannedSets(scheme), 0)

/** Longest gap between sessions that the rotation has by itself, at least a week. Units: days. */
function usualGap({ passes }: ExpandedBlock): number {
  const dates = (passes[0]?.sessions ?? []).map(({ day }) => day)
  const length = passes[0]?.rotation.days.length ?? DAYS_PER_WEEK
  const gaps = dates.map((day, at) => (dates[at + 1] ?? dates[0]! + length) - day)
  return Math.max(DAYS_PER_WEEK, ...gaps)
}

/**
 * Rotations that follow an absence: sessions were left out for an event, and more days went by without training than a
 * week, or than the rotation has between two sessions by itself.
 *
 * Shape: in order of their dates. Empty where nothing was trained before.
 */
export function returnsIn(expanded: ExpandedBlock): readonly Return[] {
  const usual = usualGap(expanded)
  const all = expanded.passes
    .flatMap(({ sessions }) => sessions)
    .sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : a.place - b.place))
  const found: Return[] = []
  let last: BlockSession | undefined
  let isInterrupted = false
  for (const session of all) {
    if (session.isSkipped) {
      isInterrupted = true
      continue
    }
    const days = last ? daysBetween(last.on, session.on) : 0
    const pass = expanded.passes[session.pass]
    const before = expanded.passes
      .slice(0, session.pass)
      .findLast(other => !other.isDeload && heldShare(other) === 1)
    if (last && isInterrupted && days > usual && pass && !pass.isDeload && before)
      found.push({ pass: session.pass, days, share: setsOf(pass) / setsOf(before) })
    last = session
    isInterrupted = false
  }
  return found
}

/**
 * What makes a rotation one of return: a fifth of each muscle's direct sets less, rounded up, and a rep in reserve more.
 *
 * Source: docs/methods.md#joints.
 */
export function returnExceptions(
  { passes }: ExpandedBlock,
  at: number,
  context: PlanContext,
): readonly BlockException[] {
  const pass = passes[at]
  if (!pass) return []
  const { groups } = rotationLedger(pass.rotation, context)
  const scale = pass.rotation.days.length / DAYS_PER_WEEK
  /** What the coach has changed in this rotation already stays, and this comes on top. */
  const changed = (kind: 'sets' | 'rir', group?: Group) =>
    pass.exceptions.reduce(
      (sum, one) =>
        one.kind === 'rir' && kind === 'rir' && one.group === undefined
          ? sum + one.change
          : one.kind === 'sets' && one.group === group
            ? sum + one.change
            : sum,
      0,
    )
  const less = GROUPS.flatMap((group): BlockException[] => {
    const direct = groups[group].week.direct.value * scale
    const change = -Math.ceil((1 - RETURN_SHARE) * direct - 1e-9)
    return change < 0
      ? [{ kind: 'sets', pass: at, group, change: changed('sets', group) + change }]
      : []
  })
  return less.length > 0
    ? [...less, { kind: 'rir', pass: at, change: changed('rir') + RETURN_RIR }]
    : []
}
