import type { TimeSpan } from '../../plan/minutes'
import type { ClientTimes } from '../../plan/method'
import { median } from '../log'
import type { TakenGap } from './taken'

/** What a finished session says of the client's minutes. Units: seconds, `estimated` by what the time goes into. */
export interface SessionTimes {
  readonly estimated: {
    readonly rest: number
    readonly setUp: number
    readonly set: number
    /** Getting warm takes as long as the plan says. */
    readonly warm: number
  }
  readonly gaps: readonly TakenGap[]
}
export type TimedSession = SessionTimes & {
  /** As the client said at the end; null where nobody did. */ readonly minutes: number | null
}

/** Sessions it takes before anything is said. */
export const LEAST_TIMED = 4
/** Gaps it takes in a session before its rests speak. */
const LEAST_RESTS = 3
/** The estimate counts as so many sessions. */
const PRIOR_SESSIONS = 1
/** A ratio this many scatters from the middle, or beyond these bounds, is left out. */
const OUTLYING = 3
const PLAUSIBLE = { least: 0.4, most: 3 }
/** A client's sessions scatter by this much at least, as a share. */
const LEAST_SCATTER = 0.04
/** Middle 80 % of a normal distribution. */
const MIDDLE_80 = 1.2816
/** Median of absolute deviations to standard deviation. */
const MAD_TO_SD = 1.4826

const PARTS = ['rest', 'setUp', 'set'] as const
type Part = (typeof PARTS)[number]
type Factors = Readonly<Record<Part, number>>

/** Estimated seconds of a session by what a client's own times may change. */
export function estimatedParts(spans: readonly TimeSpan[]): SessionTimes['estimated'] {
  const sum = (...kinds: readonly TimeSpan['kind'][]) =>
    spans.reduce((total, { kind, seconds }) => total + (kinds.includes(kind) ? seconds : 0), 0)
  return {
    rest: sum('rest', 'inside'),
    setUp: sum('setup', 'transition'),
    set: sum('set', 'warmup'),
    warm: sum('preparation'),
  }
}

const total = ({ rest, setUp, set }: Factors) => rest + setUp + set
const bounded = (ratio: number) => Math.min(PLAUSIBLE.most, Math.max(PLAUSIBLE.least, ratio))

function gapRatio(gaps: readonly TakenGap[], kind: TakenGap['kind'], least: number) {
  const own = gaps.filter(gap => gap.kind === kind && gap.asked > 0)
  const asked = own.reduce((sum, gap) => sum + gap.asked, 0)
  const taken = own.reduce((sum, gap) => sum + gap.taken, 0)
  return own.length >= least && asked > 0 ? taken / asked : undefined
}

/** Taken over estimated of one session, by part; undefined for a part it says nothing of. */
function ratiosOf({
  estimated,
  gaps,
  minutes,
}: TimedSession): Readonly<Record<Part, number | undefined>> {
  const training = minutes === null ? undefined : Math.max(1, minutes * 60 - estimated.warm)
  const whole = training && training / Math.max(1, total(estimated))
  const rest = gapRatio(gaps, 'rest', LEAST_RESTS)
  const setUp = gapRatio(gaps, 'setUp', 1) ?? (rest === undefined ? whole : undefined)
  if (rest === undefined) return { rest: whole, setUp, set: whole }
  // What minutes leave over once rests and ways are known went into the sets.
  const left = training && training - rest * estimated.rest - (setUp ?? 1) * estimated.setUp
  return {
    rest,
    setUp,
    set: left === undefined || estimated.set <= 0 ? undefined : left / estimated.set,
  }
}

/** Logarithms without those far from the middle. */
function withoutOutliers(logs: readonly number[]): readonly number[] {
  if (logs.length === 0) return []
  const middle = median(logs)
  const scatter = Math.max(
    LEAST_SCATTER,
    MAD_TO_SD * median(logs.map(value => Math.abs(value - middle))),
  )
  return logs.filter(value => Math.abs(value - middle) <= OUTLYING * scatter)
}

const isPlausible = (ratio: number | undefined): ratio is number =>
  ratio !== undefined && ratio >= PLAUSIBLE.least && ratio <= PLAUSIBLE.most

/** A part's factor, drawn to the estimate while there are few sessions. */
function factorOf(ratios: readonly (number | undefined)[]): number {
  const logs = withoutOutliers(ratios.filter(isPlausible).map(Math.log))
  if (logs.length === 0) return 1
  return bounded(Math.exp((median(logs) * logs.length) / (logs.length + PRIOR_SESSIONS)))
}

/** How far sessions lie from what the factors give, as logarithms. */
function residuals(sessions: readonly TimedSession[], factors: Factors): readonly number[] {
  return withoutOutliers(
    sessions.flatMap(({ estimated, minutes }) => {
      const own = PARTS.reduce((sum, part) => sum + estimated[part] * factors[part], 0)
      const expected = own + estimated.warm
      const ratio = minutes === null || expected <= 0 ? undefined : (minutes * 60) / expected
      return isPlausible(ratio) ? [Math.log(ratio)] : []
    }),
  )
}

/**
 * A client's own times from finished sessions.
 *
 * Shape:  any order; null while fewer than four sessions say anything.
 * Units:  factors on the estimate. Rests and ways come from the moments sets were logged, the sets from what the minutes leave over;
 *         where sets were logged afterwards, all three go by the minutes.
 * Source: docs/methods.md#minutes-as-a-client-takes-them.
 */
export function learnedTimes(sessions: readonly TimedSession[]): ClientTimes | null {
  const ratios = sessions.map(ratiosOf)
  const told = ratios.filter(ratio => PARTS.some(part => isPlausible(ratio[part]))).length
  if (told < LEAST_TIMED) return null
  const factors = {
    rest: factorOf(ratios.map(({ rest }) => rest)),
    setUp: factorOf(ratios.map(({ setUp }) => setUp)),
    set: factorOf(ratios.map(({ set }) => set)),
  }
  const off = residuals(sessions, factors)
  const middle = off.length > 0 ? median(off) : 0
  const variance =
    off.reduce((sum, value) => sum + (value - middle) ** 2, 0) / Math.max(1, off.length - 1)
  const scatter = MIDDLE_80 * Math.max(LEAST_SCATTER, Math.sqrt(variance))
  return { ...factors, low: Math.exp(-scatter), high: Math.exp(scatter), sessions: told }
}
