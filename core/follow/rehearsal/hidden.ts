import { GROUPS } from '../../plan/catalogue'
import type { Chance } from './chance'

/** Numbers of the simulated client; rules of thumb. Source: docs/methods.md#rehearsal. */
export const SIMULATED = {
  paceSpread: 0.25,
  leastPace: 0.5,
  mostPace: 2,
  dayScatter: 0.03,
  rirBias: -0.7,
  rirSpread: 0.9,
  rirSpreadNearFailure: 0.4,
  missed: 0.1,
  cutShort: 0.08,
  pain: 0.01,
  painByRamp: 0.1,
  rampFrom: 1.2,
  leastPain: 3,
  mostPain: 6,
  mostGainFactor: 1.2,
  answerCentre: 80,
  answerScale: 6,
} as const

/** What nobody knows of the simulated client. */
export interface Hidden {
  /** Multiplier on the usual hours, by the order of GROUPS. */
  readonly pace: Float64Array
}

export function hiddenClient({ normal }: Chance): Hidden {
  return {
    pace: Float64Array.from(GROUPS, () =>
      Math.min(
        SIMULATED.mostPace,
        Math.max(SIMULATED.leastPace, Math.exp(normal(0, SIMULATED.paceSpread))),
      ),
    ),
  }
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
