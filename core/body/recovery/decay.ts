import type { Group } from '../../plan/catalogue'
import { hindrancesOf, type PlanContext } from '../../plan/method'

interface GroupRecovery {
  readonly tauHours: number
  readonly capacity: number
}
const of = (tauHours: number, capacity: number): GroupRecovery => ({ tauHours, capacity })

/** Hours to decay to 37 %, and the fatigue that would leave nothing. Rules of thumb. Source: docs/methods.md#recovery. */
export const RECOVERY: Readonly<Record<Group, GroupRecovery>> = {
  biceps: of(30, 12),
  elbow_flexors_other: of(28, 12),
  triceps: of(28, 12),
  forearms: of(22, 14),
  chest: of(34, 12),
  delts_front: of(28, 12),
  delts_side: of(22, 14),
  delts_rear: of(22, 14),
  lats: of(32, 12),
  upper_back: of(28, 12),
  traps: of(26, 12),
  lower_back: of(42, 8),
  abs: of(22, 14),
  glutes: of(36, 12),
  quads: of(38, 12),
  hamstrings: of(38, 12),
  calves: of(22, 14),
}

const SLOWER = 1.1
const MOST_SLOWER = 1.25
/** Readiness in percent from which a group counts as ready. */
export const READY_PERCENT = 90

/** Hours to decay to 37 % for this client: the usual ones, at the client's own pace, slowed by what the coach has ticked. */
export function tauHours(group: Group, { client }: PlanContext): number {
  // Two entries about age are one reason.
  const reasons = new Set(
    hindrancesOf(client).map(reason => (reason === 'age_60' ? 'age_50' : reason)),
  )
  const slowed = Math.min(MOST_SLOWER, SLOWER ** reasons.size)
  return RECOVERY[group].tauHours * (client.recoveryPace?.[group] ?? 1) * slowed
}

/** What of a muscle's tiredness fades over days and not by its own hours, as trends take it. Source: docs/methods.md#trend. */
export const LASTING = { share: 0.05, tauHours: 96 } as const

/** Tiredness as a trend takes it. Units: shares of capacity; what fades by the muscle's hours and what lasts are each reckoned of all work. */
export const tiredShare = (fading: number, lasting: number, capacity: number): number =>
  ((1 - LASTING.share) * fading + LASTING.share * lasting) / capacity

/** What is left of a group's capacity. Units: percent, 0 to 100. */
export function readinessPercent(group: Group, fatigue: number): number {
  return 100 * Math.max(0, 1 - fatigue / RECOVERY[group].capacity)
}

/** Hours until a group is ready from some fatigue on; 0 if it is. */
export function hoursToReady(
  group: Group,
  fatigue: number,
  context: PlanContext,
  thresholdPercent = READY_PERCENT,
): number {
  const allowed = RECOVERY[group].capacity * (1 - thresholdPercent / 100)
  return fatigue <= allowed ? 0 : tauHours(group, context) * Math.log(fatigue / allowed)
}

/** A dose of fatigue at an hour. */
export interface Dose {
  readonly hour: number
  readonly impulse: number
}

/**
 * Fatigue before each dose of a rotation repeated for long, in one walk: what is left at the first dose, then forward.
 *
 * Shape: one number per dose, which must stand in the order of their hours.
 */
export function cyclicBefore(
  doses: readonly Dose[],
  periodHours: number,
  tau: number,
): readonly number[] {
  const [first] = doses
  if (!first) return []
  let fatigue = cyclicLeftovers(doses, first.hour, periodHours, tau).reduce(
    (sum, { left }) => sum + left,
    0,
  )
  let hour = first.hour
  return doses.map((dose, at) => {
    if (at > 0) fatigue *= Math.exp(-(dose.hour - hour) / tau)
    const before = fatigue
    fatigue += dose.impulse
    hour = dose.hour
    return before
  })
}

/**
 * Fatigue at an hour of a rotation that has been repeated for long; each dose left its trace in every earlier pass.
 *
 * Units: hours; a dose at the very hour acted one whole rotation ago.
 */
export function cyclicLeftovers(
  doses: readonly Dose[],
  atHour: number,
  periodHours: number,
  tau: number,
): readonly { readonly dose: Dose; readonly left: number }[] {
  const repeated = 1 - Math.exp(-periodHours / tau)
  return doses.map(dose => {
    const since = (((atHour - dose.hour) % periodHours) + periodHours) % periodHours || periodHours
    return { dose, left: (dose.impulse * Math.exp(-since / tau)) / repeated }
  })
}

/** What a session's dose leaves at another one, in a rotation repeated for long; row: where, column: from which. */
export function decayMatrix(hours: readonly number[], period: number, tau: number): Float64Array {
  const repeated = 1 - Math.exp(-period / tau)
  const matrix = new Float64Array(hours.length ** 2)
  hours.forEach((at, s) =>
    hours.forEach((from, t) => {
      const since = (((at - from) % period) + period) % period || period
      matrix[s * hours.length + t] = Math.exp(-since / tau) / repeated
    }),
  )
  return matrix
}
