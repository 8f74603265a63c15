import { DAYS_PER_WEEK, type PlainDate } from '../../base'
import type { Group } from '../catalogue'

export const PHASE_KINDS = ['build', 'hold', 'lean', 'event'] as const
/** What a stretch of training is for. */
export type PhaseKind = (typeof PHASE_KINDS)[number]

/** A phase a block is in, and what of the arm work follows it. */
export interface Phase {
  readonly kind: PhaseKind
  /** What it leads to, in the coach's words. */
  readonly what?: string
  /** The day it leads to; the end of its blocks where left out. */
  readonly on?: PlainDate
  /** Biceps and triceps are trained at least every so many days. */
  readonly armsEvery?: number
  /** Part of the usual target and ceiling of the arm muscles, 0.5 to 1. */
  readonly volume?: number
}

/** Bounds of what a phase asks for. */
export const PHASE_BOUNDS = {
  armsEvery: { min: 2, max: 14 },
  volume: { min: 0.5, max: 1 },
} as const

/** Less is eaten than is used up: recovery is slower, and strength that holds is what can be had. Source: docs/methods.md#phases. */
export const isLean = (phase: Phase | undefined): boolean => phase?.kind === 'lean'

/** Muscles whose days a phase counts. */
const COUNTED: readonly Group[] = ['biceps', 'triceps']

/** Most days from one day of a muscle to its next that a phase allows; null where it says nothing of it. */
export const mostGapIn = (phase: Phase | undefined, group: Group): number | null =>
  phase?.armsEvery !== undefined && COUNTED.includes(group) ? phase.armsEvery : null

/** Exposures per 7 days that a phase asks for; null where it says nothing of the muscle. */
export const frequencyIn = (phase: Phase | undefined, group: Group): number | null => {
  const gap = mostGapIn(phase, group)
  return gap === null ? null : DAYS_PER_WEEK / gap
}
