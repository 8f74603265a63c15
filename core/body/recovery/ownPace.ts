import type { Group } from '../../plan/catalogue'
import { normalShare } from '../log'
import { RECOVERY, readinessPercent } from './decay'

/** An exposure of the log that can teach how fast a client recovers. */
export interface PaceExposure {
  /** What was done for the muscle before, each with the hours since. */
  readonly doses: readonly { readonly impulse: number; readonly hours: number }[]
  /** ln of the day's value over the level of its exercise. */
  readonly deviation: number
  /** Weeks from any fixed day; left out, strength is taken to stand still. */
  readonly week?: number
  /** The client's own answer, where there is one: yes or no, or 0 to 10. */
  readonly recovered?: boolean | number
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
      /** What strength alone says, without the client's answers. */
      readonly byStrength: number
    }

/** Performance lost per unit of fatigue over capacity; the simulated client loses as much. */
export const PERFORMANCE_LOSS = 0.18

/** Priors and sizes. Source: docs/methods.md#learned-recovery. */
const MODEL = {
  prior: 0.32,
  slope: 0.008,
  freedom: 5,
  fits: 4,
  floor: 0.02,
  centre: 80,
  centreSpread: 12,
  /** Scatter of an answer from 0 to 10 about what readiness says, as a share. */
  ratingSpread: 0.2,
  leastExposures: 8,
  leastSpread: 0.08,
} as const
/** What fatigue may cost, and how days may scatter, each with its weight. */
const LOSSES = [
  [0.07, 0.09],
  [0.11, 0.24],
  [0.18, 0.34],
  [0.27, 0.24],
  [0.4, 0.09],
] as const
const SCATTERS = [
  [0.025, 0.25],
  [0.035, 0.4],
  [0.05, 0.25],
  [0.07, 0.1],
] as const
const PACES = Array.from({ length: 61 }, (_, k) => 0.4 * (2.5 / 0.4) ** (k / 60))
/** Over how many points of readiness a client's answers go from one end to the other, each with its weight. */
const SCALES = [
  [4.5, 0.25],
  [7, 0.5],
  [11, 0.25],
] as const
/** How a client answers: the readiness in percent at which she calls herself recovered, over how many points; with ln of its weight. */
const LINES = SCALES.flatMap(([scale, weight]) =>
  Array.from({ length: 25 }, (_, k) => {
    const centre = 44 + 3 * k
    const off = (centre - MODEL.centre) / MODEL.centreSpread
    return { scale, odds: oddsAt(centre, scale), weight: Math.log(weight) - off ** 2 / 2 }
  }),
)

/** e to a readiness, or a centre, over the scale: their ratio are the odds of feeling recovered. */
function oddsAt(readiness: number, scale: number): number {
  return Math.exp(readiness / scale)
}

function strain({ doses }: PaceExposure, group: Group, tau: number): number {
  let sum = 0
  for (const { impulse, hours } of doses) sum += impulse * Math.exp(-hours / tau)
  return sum / RECOVERY[group].capacity
}

/** ln of a sum of exponentials, however small they are. */
function sumOfExponentials(logs: ArrayLike<number>): number {
  let most = -Infinity
  for (let at = 0; at < logs.length; at++) most = Math.max(most, logs[at]!)
  if (most === -Infinity) return most
  let sum = 0
  for (let at = 0; at < logs.length; at++) sum += Math.exp(logs[at]! - most)
  return most + Math.log(sum)
}

/** ln of how well a level and a slope explain values at a scatter, with level and slope taken out (Laplace). */
function explained(values: Float64Array, weeks: Float64Array, scatter: number): number {
  const count = values.length
  const [prior, freedom] = [1 / MODEL.slope ** 2, MODEL.freedom]
  let [level, slope] = [0, 0]
  let determinant = 1
  for (let fit = 0; fit < MODEL.fits; fit++) {
    let [w0, w1, w2, y0, y1] = [0, 0, prior, 0, 0]
    for (let at = 0; at < count; at++) {
      const [value, week] = [values[at]!, weeks[at]!]
      const z = (value - level - slope * week) / scatter
      const w = (freedom + 1) / ((freedom + z * z) * scatter * scatter)
      w0 += w
      w1 += w * week
      w2 += w * week * week
      y0 += w * value
      y1 += w * value * week
    }
    determinant = w0 * w2 - w1 * w1
    level = (y0 * w2 - y1 * w1) / determinant
    slope = (y1 * w0 - y0 * w1) / determinant
  }
  let sum = -0.5 * Math.log(determinant) - (slope * slope * prior) / 2 - count * Math.log(scatter)
  for (let at = 0; at < count; at++) {
    const z = (values[at]! - level - slope * weeks[at]!) / scatter
    sum -= ((freedom + 1) / 2) * Math.log1p((z * z) / freedom)
  }
  return sum
}

/** What is known of one muscle, for every pace: by strength, and by answers in every way a client may have of answering. */
export interface PaceEvidence {
  readonly exposures: number
  /** ln of prior and strength, by pace. */
  readonly strength: Float64Array
  /** ln of the answers, by pace and then by way of answering. */
  readonly answers: Float64Array
}
type NotEnough = Extract<OwnPace, { kind: 'not_enough_data' }>

function strengthFor(
  exposures: readonly PaceExposure[],
  strains: Float64Array,
  weeks: Float64Array,
): number {
  const values = new Float64Array(exposures.length)
  const logs: number[] = []
  for (const [loss, lossWeight] of LOSSES) {
    exposures.forEach(({ deviation }, at) => (values[at] = deviation + loss * strains[at]!))
    for (const [scatter, weight] of SCATTERS)
      logs.push(Math.log(lossWeight * weight) + explained(values, weeks, scatter))
  }
  return sumOfExponentials(logs)
}

const MOST_RATING = 10
/** How finely shares are told apart where the chance of an answer is looked up. */
const SHARE_STEPS = 200

/** Chance of an answer from 0 to 10 about a share: scattered, rounded, and at the ends whatever lies beyond them. */
function ratingChance(rating: number, share: number): number {
  const below = (answer: number) => normalShare((answer / MOST_RATING - share) / MODEL.ratingSpread)
  const upTo = rating >= MOST_RATING ? 1 : below(rating + 0.5)
  const from = rating <= 0 ? 0 : below(rating - 0.5)
  return MODEL.floor / (MOST_RATING + 1) + (1 - MODEL.floor) * Math.max(0, upTo - from)
}
/** ln of every answer's chance, by share and then by answer. */
const RATING_LOGS = Float64Array.from({ length: (SHARE_STEPS + 1) * (MOST_RATING + 1) }, (_, at) =>
  Math.log(ratingChance(at % (MOST_RATING + 1), Math.floor(at / (MOST_RATING + 1)) / SHARE_STEPS)),
)

/** ln of one answer, where so much speaks for feeling recovered. */
function answerLog(recovered: boolean | number, probability: number): number {
  if (typeof recovered === 'number')
    return RATING_LOGS[Math.round(probability * SHARE_STEPS) * (MOST_RATING + 1) + recovered]!
  const yes = MODEL.floor + (1 - 2 * MODEL.floor) * probability
  return Math.log(recovered ? yes : 1 - yes)
}

/**
 * What a muscle's exposures say about its pace, before muscles are put together.
 *
 * Edge: fewer than 8 exposures, or gaps all alike, teach nothing: the answer says so.
 */
export function paceEvidence(
  exposures: readonly PaceExposure[],
  group: Group,
  usualHours = RECOVERY[group].tauHours,
): PaceEvidence | NotEnough {
  const usual = exposures.map(exposure => strain(exposure, group, usualHours))
  if (exposures.length < MODEL.leastExposures)
    return { kind: 'not_enough_data', exposures: exposures.length, why: 'few' }
  if (Math.max(...usual) - Math.min(...usual) < MODEL.leastSpread)
    return { kind: 'not_enough_data', exposures: exposures.length, why: 'alike' }
  const weeks = Float64Array.from(exposures, ({ week }) => week ?? 0)
  const strength = new Float64Array(PACES.length)
  const answers = new Float64Array(PACES.length * LINES.length)
  PACES.forEach((pace, p) => {
    const strains = Float64Array.from(exposures, one => strain(one, group, usualHours * pace))
    strength[p] =
      strengthFor(exposures, strains, weeks) - Math.log(pace) ** 2 / (2 * MODEL.prior ** 2)
    exposures.forEach(({ recovered }, at) => {
      if (recovered === undefined) return
      const readiness = readinessPercent(group, strains[at]! * RECOVERY[group].capacity)
      let [odds, own] = [0, 0]
      for (let c = 0; c < LINES.length; c++) {
        const { scale, odds: centre } = LINES[c]!
        if (scale !== own) [odds, own] = [oddsAt(readiness, scale), scale]
        answers[p * LINES.length + c]! += answerLog(recovered, odds / (odds + centre))
      }
    })
  })
  return { exposures: exposures.length, strength, answers }
}

/** Shares from logarithms. */
function shares(logs: ArrayLike<number>): Float64Array {
  const all = sumOfExponentials(logs)
  return Float64Array.from(logs, log => Math.exp(log - all))
}

const meanPace = (weights: Float64Array) =>
  Math.exp(PACES.reduce((sum, pace, at) => sum + weights[at]! * Math.log(pace), 0))

/** Where so much of the weight lies below, between the paces of the grid. */
function quantile(weights: Float64Array, wanted: number): number {
  let sum = 0
  for (let at = 0; at < PACES.length; at++) {
    const next = sum + weights[at]!
    if (next >= wanted) {
      const part = weights[at]! > 0 ? (wanted - sum) / weights[at]! - 0.5 : 0
      const step = Math.log(PACES[1]! / PACES[0]!)
      return Math.min(2.5, Math.max(0.4, PACES[at]! * Math.exp(part * step)))
    }
    sum = next
  }
  return PACES.at(-1)!
}

/** ln of a muscle's evidence at one way of answering, over all paces. */
const atLine = ({ strength, answers }: PaceEvidence, line: number) =>
  Float64Array.from(strength, (log, p) => log + answers[p * LINES.length + line]!)

/**
 * Paces of a client's muscles from the evidence of each: what she calls recovered is hers, and the same for all her muscles.
 *
 * Units:  multipliers on the usual hours, 0.4 to 2.5, each with an 80 % interval.
 * Source: docs/methods.md#learned-recovery.
 */
export function pacesTogether<Key>(
  all: ReadonlyMap<Key, PaceEvidence | NotEnough>,
): ReadonlyMap<Key, OwnPace> {
  const known = [...all].flatMap(([key, one]) => ('kind' in one ? [] : [[key, one] as const]))
  // How well each muscle fits each way of answering, its own pace taken out.
  const fits = known.map(([, one]) => LINES.map((_, c) => sumOfExponentials(atLine(one, c))))
  const paces = new Map<Key, OwnPace>()
  for (const [key, one] of all) if ('kind' in one) paces.set(key, one)
  known.forEach(([key, one], own) => {
    const others = LINES.map(({ weight }, c) =>
      fits.reduce((sum, fit, at) => sum + (at === own ? 0 : fit[c]!), weight),
    )
    const byPace = PACES.map((_, p) =>
      sumOfExponentials(
        LINES.map((__, c) => one.strength[p]! + one.answers[p * LINES.length + c]! + others[c]!),
      ),
    )
    const weights = shares(byPace)
    paces.set(key, {
      kind: 'pace',
      pace: meanPace(weights),
      low: quantile(weights, 0.1),
      high: quantile(weights, 0.9),
      exposures: one.exposures,
      byStrength: meanPace(shares(one.strength)),
    })
  })
  return new Map([...all.keys()].map(key => [key, paces.get(key)!]))
}

/** How much slower or faster than usual one group recovers, by itself. Source: docs/methods.md#learned-recovery. */
export function ownPace(
  exposures: readonly PaceExposure[],
  group: Group,
  usualHours = RECOVERY[group].tauHours,
): OwnPace {
  return pacesTogether(new Map([[group, paceEvidence(exposures, group, usualHours)]])).get(group)!
}
