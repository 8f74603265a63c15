import type { Group } from '../catalogue'
import { RECOVERY, readinessPercent } from './decay'

/** An exposure of the log that can teach how fast a client recovers. */
export interface PaceExposure {
  readonly impulse: number
  /** Hours since the dose before. */
  readonly hours: number
  /** ln of the day's trend value over its trend line. */
  readonly deviation: number
  /** The client's own answer, where there is one. */
  readonly recovered?: boolean
}

export type OwnPace =
  | { readonly kind: 'not_enough_data', readonly exposures: number }
  | { readonly kind: 'pace', readonly pace: number, readonly low: number, readonly high: number, readonly exposures: number }

/** Loss of performance per unit of fatigue over capacity, spread of one day's value, and the prior's spread. */
const MODEL = { loss: 0.18, noise: 0.03, prior: 0.25, huber: 1.345, reportWeight: 0.5, reportCentre: 80, reportScale: 6, leastExposures: 8, leastSpread: 0.08 } as const
const GRID = Array.from({ length: 41 }, (_, k) => 0.5 * 4 ** (k / 40))

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  const half = Math.floor(sorted.length / 2)
  return sorted.length % 2 === 1 ? sorted[half] ?? 0 : ((sorted[half - 1] ?? 0) + (sorted[half] ?? 0)) / 2
}

function huber(z: number): number {
  return z <= MODEL.huber ? z * z / 2 : MODEL.huber * z - MODEL.huber ** 2 / 2
}

function strain(exposure: PaceExposure, group: Group, pace: number): number {
  const { tauHours, capacity } = RECOVERY[group]
  return exposure.impulse * Math.exp(-exposure.hours / (tauHours * pace)) / capacity
}

function lossOf(exposures: readonly PaceExposure[], group: Group, pace: number): number {
  const corrected = exposures.map(exposure => exposure.deviation + MODEL.loss * strain(exposure, group, pace))
  const centre = median(corrected)
  const fit = corrected.reduce((sum, value) => sum + huber(Math.abs(value - centre) / MODEL.noise), 0)
  const reports = exposures.reduce((sum, exposure) => {
    if (exposure.recovered === undefined) return sum
    const readiness = readinessPercent(group, strain(exposure, group, pace) * RECOVERY[group].capacity)
    const probability = 1 / (1 + Math.exp(-(readiness - MODEL.reportCentre) / MODEL.reportScale))
    return sum - Math.log(exposure.recovered ? probability : 1 - probability)
  }, 0)
  return Math.log(pace) ** 2 / (2 * MODEL.prior ** 2) + fit + MODEL.reportWeight * reports
}

/**
 * How much slower or faster than usual a client's group recovers, from the log.
 *
 * Units:  multiplier on the hours, 0.5 to 2, with an 80 % interval.
 * Edge:   fewer than 8 exposures, or gaps all alike, teach nothing: the answer says so.
 * Source: docs/methods.md#recovery; examples R20 and R21.
 */
export function ownPace(exposures: readonly PaceExposure[], group: Group): OwnPace {
  const strains = exposures.map(exposure => strain(exposure, group, 1))
  if (exposures.length < MODEL.leastExposures || Math.max(...strains) - Math.min(...strains) < MODEL.leastSpread) {
    return { kind: 'not_enough_data', exposures: exposures.length }
  }
  const losses = GRID.map(pace => lossOf(exposures, group, pace))
  const least = Math.min(...losses)
  const weights = losses.map(loss => Math.exp(-(loss - least)))
  const all = weights.reduce((sum, weight) => sum + weight, 0)
  const meanLog = weights.reduce((sum, weight, at) => sum + weight / all * Math.log(GRID[at] ?? 1), 0)
  const quantile = (share: number) => {
    let sum = 0
    return GRID.find((_, at) => (sum += (weights[at] ?? 0) / all) >= share) ?? 2
  }
  return { kind: 'pace', pace: Math.exp(meanLog), low: quantile(0.1), high: quantile(0.9), exposures: exposures.length }
}
