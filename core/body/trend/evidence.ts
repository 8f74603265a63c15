import { normalShare } from '../log'

/** Evidence about a slope that may be looked at as often as one likes, and the chance that nothing much happens. */
export interface Evidence {
  /** For a rise and for a fall, against a slope of nought: 1 says nothing; never 20 or more by chance in 95 of 100. */
  readonly up: number
  readonly down: number
  /** Probability, 0 to 1, that the slope lies within the flat band. */
  readonly flat: number
}

/** Scale of slopes that are expected, and the band that counts as flat. Units: per cent a week. Source: docs/methods.md#trend. */
const SCALE = 0.8
export const FLAT = 0.4

/** exp(x²) · erfc(x) for x from 0 up, within 1.2e-7 of itself however far out (Numerical Recipes, 6.2). */
function scaledErfc(x: number): number {
  const t = 1 / (1 + x / 2)
  const SERIES = [
    -1.26551223, 1.00002368, 0.37409196, 0.09678418, -0.18628806, 0.27886807, -1.13520398,
    1.48851587, -0.82215223, 0.17087277,
  ]
  return t * Math.exp(SERIES.reduceRight((sum, term) => sum * t + term, 0))
}

/** Clear enough for anything; more would not be a number. */
const MOST_EXPONENT = 700

/** exp(u²/2) · Φ(u): right on the far side too, where Φ alone is lost among larger numbers. */
function tiltedShare(u: number): number {
  const tail = scaledErfc(Math.abs(u) / Math.SQRT2) / 2
  return u < 0 ? tail : Math.exp(Math.min(MOST_EXPONENT, (u * u) / 2)) - tail
}

/**
 * Evidence for a rise and for a fall from a slope and its standard error: a half-normal slope of scale 0.8 % a week against none.
 *
 * Units:  shares of a week, as slopes are everywhere; `error` above 0.
 * Source: docs/methods.md#trend (mixture martingale; Ville's inequality).
 */
export function evidenceOf(slope: number, error: number): Evidence {
  const [b, v, t] = [slope * 100, (error * 100) ** 2, SCALE ** 2]
  const middle = (b * t) / (t + v)
  const spread = Math.sqrt((t * v) / (t + v))
  const common = 2 * Math.sqrt(v / (v + t))
  return {
    up: common * tiltedShare(middle / spread),
    down: common * tiltedShare(-middle / spread),
    flat: normalShare((FLAT - middle) / spread) - normalShare((-FLAT - middle) / spread),
  }
}
