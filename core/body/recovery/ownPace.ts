import type { Group } from '../../plan/catalogue'
import { median } from '../log'
import { RECOVERY, readinessPercent } from './decay'

/** An exposure of the log that can teach how fast a client recovers. */
export interface PaceExposure {
  /** What was done for the muscle before, each with the hours since. */
  readonly doses: readonly { readonly impulse: number; readonly hours: number }[]
  /** ln of the day's trend value over its trend line. */
  readonly deviation: number
  /** The client's own answer, where there is one. */
  readonly recovered?: boolean
}

export type OwnPace =
  /** Too few exposures, or gaps all alike. */
  | { readonly kind: 'not_enough_data'; readonly exposures: number; readonly why: 'few' | 'alike' }
  | {
      readonly kind: 'pace'
      readonly pace: number
      readonly low: number
      readonly high: number
      readonly exposures: number
    }

/** Performance lost per unit of fatigue over capacity; the simulated client loses as much. */
export const PERFORMANCE_LOSS = 0.18
/** Loss of performance per unit of fatigue over capacity, spread of one day's value, and the prior's spread. */
const MODEL = {
  loss: PERFORMANCE_LOSS,
  noise: 0.03,
  prior: 0.25,
  huber: 1.345,
  reportWeight: 0.5,
  reportCentre: 80,
  reportScale: 6,
  leastExposures: 8,
  leastSpread: 0.08,
} as const
const GRID = Array.from({ length: 41 }, (_, k) => 0.5 * 4 ** (k / 40))

function huber(z: number): number {
  return z <= MODEL.huber ? (z * z) / 2 : MODEL.huber * z - MODEL.huber ** 2 / 2
}

function strain({ doses }: PaceExposure, group: Group, tau: number): number {
  return (
    doses.reduce((sum, { impulse, hours }) => sum + impulse * Math.exp(-hours / tau), 0) /
    RECOVERY[group].capacity
  )
}

function lossOf(
  exposures: readonly PaceExposure[],
  group: Group,
  pace: number,
  usual: number,
): number {
  const corrected = exposures.map(
    exposure => exposure.deviation + MODEL.loss * strain(exposure, group, usual * pace),
  )
  const centre = median(corrected)
  const fit = corrected.reduce(
    (sum, value) => sum + huber(Math.abs(value - centre) / MODEL.noise),
    0,
  )
  const reports = exposures.reduce((sum, exposure) => {
    if (exposure.recovered === undefined) return sum
    const readiness = readinessPercent(
      group,
      strain(exposure, group, usual * pace) * RECOVERY[group].capacity,
    )
    const probability = 1 / (1 + Math.exp(-(readiness - MODEL.reportCentre) / MODEL.reportScale))
    return sum - Math.log(exposure.recovered ? probability : 1 - probability)
  }, 0)
  return Math.log(pace) ** 2 / (2 * MODEL.prior ** 2) + fit + MODEL.reportWeight * reports
}

/**
 * How much slower or faster than usual a client's group recovers, from the log.
 *
 * Units:  multiplier on the usual hours, 0.5 to 2, with an 80 % interval.
 * Edge:   fewer than 8 exposures, or gaps all alike, teach nothing: the answer says so.
 * Source: docs/methods.md#recovery; examples R20 and R21.
 */
export function ownPace(
  exposures: readonly PaceExposure[],
  group: Group,
  usualHours = RECOVERY[group].tauHours,
): OwnPace {
  const strains = exposures.map(exposure => strain(exposure, group, usualHours))
  if (exposures.length < MODEL.leastExposures)
    return { kind: 'not_enough_data', exposures: exposures.length, why: 'few' }
  if (Math.max(...strains) - Math.min(...strains) < MODEL.leastSpread)
    return { kind: 'not_enough_data', exposures: exposures.length, why: 'alike' }
  const losses = GRID.map(pace => lossOf(exposures, group, pace, usualHours))
  const least = Math.min(...losses)
  const weights = losses.map(loss => Math.exp(-(loss - least)))
  const all = weights.reduce((sum, weight) => sum + weight, 0)
  const meanLog = weights.reduce(
    (sum, weight, at) => sum + (weight / all) * Math.log(GRID[at] ?? 1),
    0,
  )
  const quantile = (share: number) => {
    let sum = 0
    return GRID.find((_, at) => (sum += weights[at]! / all) >= share) ?? 2
  }
  return {
    kind: 'pace',
    pace: Math.exp(meanLog),
    low: quantile(0.1),
    high: quantile(0.9),
    exposures: exposures.length,
  }
}
