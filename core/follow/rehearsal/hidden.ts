import { GROUPS } from '../../plan/catalogue'
import type { Chance } from './chance'

/**
 * Numbers of the simulated client; rules of thumb. She does not share what the rules assume: her need is her own, more sets help
 * ever less, and she grows less when she comes tired, in pain, or far from failure. Source: docs/methods.md#rehearsal.
 */
export const SIMULATED = {
  paceSpread: 0.25,
  leastPace: 0.5,
  mostPace: 2,
  /** Sets she grows best by, against the target of the program. */
  needSpread: 0.3,
  leastNeed: 0.4,
  mostNeed: 1.8,
  dayScatter: 0.03,
  rirBias: -0.7,
  rirSpread: 0.9,
  rirSpreadNearFailure: 0.4,
  missed: 0.1,
  cutShort: 0.08,
  pain: 0.01,
  painByRamp: 0.1,
  rampFrom: 1.2,
  /** A joint above so much of its ceiling hurts the sooner. */
  painByLoad: 0.15,
  loadFrom: 0.8,
  leastPain: 3,
  mostPain: 6,
  answerCentre: 80,
  answerScale: 6,
  /** Growth: what unready comes to, what pain and each rep in reserve leave. */
  readyFrom: 85,
  inPain: 0.8,
  perReserve: 0.06,
} as const

export const REHEARSED_WORLDS = ['more', 'best'] as const
/** Whether more sets always help a little, or are best at her need and help less beyond it. */
export type RehearsedWorld = (typeof REHEARSED_WORLDS)[number]

/** What nobody knows of the simulated client, by the order of GROUPS. */
export interface Hidden {
  /** Multiplier on the usual hours. */
  readonly pace: Float64Array
  /** Multiplier on the target. */
  readonly need: Float64Array
}

const within = (value: number, least: number, most: number) =>
  Math.min(most, Math.max(least, value))

export function hiddenClient({ normal }: Chance): Hidden {
  return {
    pace: Float64Array.from(GROUPS, () =>
      within(Math.exp(normal(0, SIMULATED.paceSpread)), SIMULATED.leastPace, SIMULATED.mostPace),
    ),
    need: Float64Array.from(GROUPS, () =>
      within(normal(1, SIMULATED.needSpread), SIMULATED.leastNeed, SIMULATED.mostNeed),
    ),
  }
}

/** What a dose against her need brings, 1 at the need itself: nine tenths of what can be had, or the most there is. */
export function growthBy(dose: number, world: RehearsedWorld): number {
  return world === 'more' ? (1 - 10 ** -dose) / 0.9 : dose * Math.exp(1 - dose)
}

/** How a muscle was trained in a pass: dose against her need, readiness over what it takes (1 at most), pain, reps more in reserve. */
export interface Trained {
  readonly dose: number
  readonly ready: number
  readonly isSore: boolean
  readonly reserve: number
}

/** What of a week's gain a pass brings. */
export function gainShare(
  { dose, ready, isSore, reserve }: Trained,
  world: RehearsedWorld,
): number {
  return (
    growthBy(dose, world) *
    ready *
    (isSore ? SIMULATED.inPain : 1) *
    Math.max(0, 1 - SIMULATED.perReserve * reserve)
  )
}

/** Reps in reserve as the client says them; people think they have fewer left than they do. */
export function saidRir(trueRir: number, { normal }: Chance): number {
  const spread = trueRir <= 1 ? SIMULATED.rirSpreadNearFailure : SIMULATED.rirSpread
  return Math.max(
    0,
    Math.min(4, Math.round(Math.round(trueRir) + normal(SIMULATED.rirBias, spread))),
  )
}

/** Whether the client says to be recovered, at a readiness in percent. */
export function saysRecovered(readiness: number, { uniform }: Chance): boolean {
  return (
    uniform() < 1 / (1 + Math.exp(-(readiness - SIMULATED.answerCentre) / SIMULATED.answerScale))
  )
}
