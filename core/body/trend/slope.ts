/** One exercise on one day: what it says of strength, how surely, and how tired its muscle came. */
export interface Observed {
  /** Index of the exercise, from 0; a change of set-up counts as another one. */
  readonly exercise: number
  /** Days from any fixed day; what was done on one day shares the day. */
  readonly day: number
  readonly y: number
  readonly variance: number
  /** Fatigue over capacity before the session. */
  readonly tired: number
}

/** A slope with its standard error. Units: share a week. */
export interface Slope {
  readonly slope: number
  readonly error: number
}

/** Standard deviations and priors of the model. Units: ln, share a week. Source: docs/methods.md#trend. */
const MODEL = {
  level: 0.5,
  loss: 0.18,
  lossSpread: 0.09,
  day: 0.0262,
  own: 0.016,
  ownSlope: 0.0008,
  /** So wide that it says nothing. */
  slope: 0.5,
} as const
const PRIOR_DF = 24
const LEAST_SCALE = 0.75
const PASSES = 3
const DAYS_PER_WEEK = 7

/** Observations as they are reckoned with: one column each, so that a look at some of them needs no list of its own. */
export interface Series {
  readonly count: number
  readonly days: Float64Array
  readonly exercises: Int32Array
  readonly y: Float64Array
  readonly tired: Float64Array
  /** Variance of a value that neither the slope nor the day explains. */
  readonly own: Float64Array
  readonly work: Work
}

/** Where it is reckoned; every fit begins by writing over it. */
interface Work {
  readonly a: Float64Array
  readonly b: Float64Array
  readonly sums: Float64Array
  readonly column: Float64Array
  readonly means: Float64Array
  readonly counts: Float64Array
  readonly weights: Float64Array
}

function workFor(exercises: number, count: number): Work {
  const size = 2 * exercises + 2
  const [a, b, sums, column, means, counts, weights] = columns(
    size * size,
    size,
    size,
    size,
    exercises,
    exercises,
    count,
  )
  return {
    a: a!,
    b: b!,
    sums: sums!,
    column: column!,
    means: means!,
    counts: counts!,
    weights: weights!,
  }
}

/** Columns of such lengths in one piece of memory: many small pieces cost more than what is reckoned in them. */
function columns(...lengths: readonly number[]): readonly Float64Array[] {
  const all = new Float64Array(lengths.reduce((sum, length) => sum + length, 0))
  let at = 0
  return lengths.map(length => all.subarray(at, (at += length)))
}

type Columns = [Float64Array, Float64Array, Float64Array, Float64Array]

/** Observations in the order of their days. */
export function seriesOf(all: readonly Observed[]): Series {
  const count = all.length
  const [days, y, tired, own] = columns(count, count, count, count) as Columns
  const exercises = new Int32Array(count)
  let most = 0
  for (let i = 0; i < count; i++) {
    const one = all[i]!
    exercises[i] = one.exercise
    days[i] = one.day
    y[i] = one.y
    tired[i] = one.tired
    own[i] = one.variance + MODEL.own ** 2
    most = Math.max(most, one.exercise + 1)
  }
  return { count, days, exercises, y, tired, own, work: workFor(most, count) }
}

/** Observations from one index up to another, and where each parameter stands: levels, the slope, the loss, slopes of exercises' own. */
interface Part {
  readonly from: number
  readonly to: number
  readonly first: number
  readonly slopeAt: number
  readonly lossAt: number
  readonly ownAt: number
  readonly hasOwn: boolean
  readonly size: number
}

function partOf({ exercises, days, count }: Series, from: number, to: number): Part {
  let most = 0
  for (let i = from; i < to; i++) most = Math.max(most, exercises[i]! + 1)
  return {
    from,
    to,
    first: from < count ? days[from]! : 0,
    slopeAt: most,
    lossAt: most + 1,
    ownAt: most + 2,
    hasOwn: most > 1,
    size: most * (most > 1 ? 2 : 1) + 2,
  }
}

/**
 * Slope of a muscle's strength over days, by generalised least squares: a level for each exercise, one slope, a loss by tiredness, a
 * shift shared by all exercises of a day, and a slope of each exercise's own; far values count less.
 *
 * Shape:  observations in the order of their days.
 * Units:  share a week.
 * Edge:   one observation, or all on one day, gives an error as wide as the prior.
 * Source: docs/methods.md#trend; compared with the plain solution by full matrices in trend.test.ts.
 */
export function slopeOf(all: readonly Observed[]): Slope {
  return slopeWithin(seriesOf(all), 0, all.length)
}

/** The same over some of a series: from one index up to another. */
export function slopeWithin(series: Series, from: number, to: number): Slope {
  const part = partOf(series, from, to)
  const { work } = series
  levelsWithin(series, part)
  work.weights.fill(1, from, to)
  let result: Slope = { slope: 0, error: MODEL.slope }
  for (let pass = 0; pass < PASSES; pass++) {
    normalEquations(series, part)
    const variance = solved(work, part.size, part.slopeAt)
    const rss = reweighed(series, part)
    const freedom = Math.max(0, to - from - part.slopeAt - 1)
    const scale = Math.max(LEAST_SCALE, (PRIOR_DF + rss) / (PRIOR_DF + freedom))
    result = { slope: work.b[part.slopeAt]!, error: Math.sqrt(variance * scale) }
  }
  return result
}

/** Solves A x = b in place by Cholesky, and gives the variance of one parameter: the diagonal of A⁻¹. */
function solved({ a, b, column }: Work, size: number, at: number): number {
  for (let i = 0; i < size; i++) {
    for (let j = 0; j <= i; j++) {
      let sum = a[i * size + j]!
      for (let k = 0; k < j; k++) sum -= a[i * size + k]! * a[j * size + k]!
      a[i * size + j] = i === j ? Math.sqrt(Math.max(sum, 1e-12)) : sum / a[j * size + j]!
    }
  }
  for (let i = 0; i < size; i++) {
    let sum = b[i]!
    for (let k = 0; k < i; k++) sum -= a[i * size + k]! * b[k]!
    b[i] = sum / a[i * size + i]!
  }
  for (let i = size - 1; i >= 0; i--) {
    let sum = b[i]!
    for (let k = i + 1; k < size; k++) sum -= a[k * size + i]! * b[k]!
    b[i] = sum / a[i * size + i]!
  }
  // The column of L⁻¹ that belongs to the parameter: its squares sum to the variance.
  let variance = 0
  for (let i = at; i < size; i++) {
    let sum = i === at ? 1 : 0
    for (let k = at; k < i; k++) sum -= a[i * size + k]! * column[k]!
    column[i] = sum / a[i * size + i]!
    variance += column[i]! ** 2
  }
  return variance
}

/** The priors of all parameters, as precisions. */
function priors({ a, b }: Work, { slopeAt, lossAt, ownAt, hasOwn, size }: Part): void {
  a.fill(0, 0, size * size)
  b.fill(0, 0, size)
  for (let e = 0; e < slopeAt; e++) a[e * size + e] = 1 / MODEL.level ** 2
  a[slopeAt * size + slopeAt] = 1 / MODEL.slope ** 2
  a[lossAt * size + lossAt] = 1 / MODEL.lossSpread ** 2
  b[lossAt] = MODEL.loss / MODEL.lossSpread ** 2
  if (hasOwn) for (let e = ownAt; e < size; e++) a[e * size + e] = 1 / MODEL.ownSlope ** 2
}

/** First index after all of the day that begins at an index. */
function dayEnd({ days }: Series, at: number, to: number): number {
  const day = days[at]
  let end = at + 1
  while (end < to && days[end] === day) end++
  return end
}

/**
 * The equations of the fit: priors, then day by day what was seen, the shift a day shares taken out (Woodbury). Only the lower half
 * of the matrix is kept; nothing reads the other.
 */
function normalEquations(series: Series, part: Part): void {
  const { own, y, exercises, work } = series
  priors(work, part)
  for (let from = part.from; from < part.to;) {
    const to = dayEnd(series, from, part.to)
    let [total, sumY] = [0, 0]
    work.sums.fill(0, 0, part.size)
    for (let i = from; i < to; i++) {
      const w = work.weights[i]! / own[i]!
      const off = y[i]! - work.means[exercises[i]!]!
      addSeen(series, part, i, w, off)
      total += w
      sumY += w * off
    }
    takeShared(work, part.size, 1 / (1 / MODEL.day ** 2 + total), sumY)
    from = to
  }
}

/** Takes out the shift that a day shares, by what was seen of each parameter on it. */
function takeShared({ a, b, sums }: Work, size: number, shared: number, sumY: number): void {
  for (let p = 0; p < size; p++) {
    const seen = sums[p]!
    if (seen === 0) continue
    const share = shared * seen
    const row = p * size
    for (let q = 0; q <= p; q++) a[row + q] = a[row + q]! - share * sums[q]!
    b[p] = b[p]! - share * sumY
  }
}

/** What one observation adds to the equations: its level, the slope, the loss, and the slope of its exercise's own. */
function addSeen(
  { exercises, days, tired, work: { a, b, sums } }: Series,
  { first, slopeAt: s, lossAt: l, ownAt, hasOwn, size }: Part,
  i: number,
  w: number,
  off: number,
): void {
  const e = exercises[i]!
  const week = (days[i]! - first) / DAYS_PER_WEEK
  const byWeek = w * week
  const byLoss = w * -tired[i]!
  a[e * size + e]! += w
  a[s * size + e]! += byWeek
  a[s * size + s]! += byWeek * week
  a[l * size + e]! += byLoss
  a[l * size + s]! += byLoss * week
  a[l * size + l]! += byLoss * -tired[i]!
  b[e]! += w * off
  b[s]! += byWeek * off
  b[l]! += byLoss * off
  sums[e]! += w
  sums[s]! += byWeek
  sums[l]! += byLoss
  if (!hasOwn) return
  const o = ownAt + e
  a[o * size + e]! += byWeek
  a[o * size + s]! += byWeek * week
  a[o * size + l]! += byWeek * -tired[i]!
  a[o * size + o]! += byWeek * week
  b[o]! += byWeek * off
  sums[o]! += byWeek
}

function levelsWithin({ exercises, y, work: { means, counts } }: Series, part: Part): void {
  means.fill(0)
  counts.fill(0)
  for (let i = part.from; i < part.to; i++) {
    means[exercises[i]!]! += y[i]!
    counts[exercises[i]!]! += 1
  }
  for (let e = 0; e < means.length; e++) means[e]! /= Math.max(1, counts[e]!)
}

/** What the fit leaves, as a sum of squares in units of what is expected; and how much each value counts from now on. */
function reweighed(series: Series, part: Part): number {
  const { days, exercises, y, tired, own, work } = series
  const { means, weights, b: fit } = work
  const { first, slopeAt, lossAt, ownAt, hasOwn, size } = part
  let rss = ((fit[lossAt]! - MODEL.loss) / MODEL.lossSpread) ** 2
  for (let e = 0; e < slopeAt; e++) rss += (fit[e]! / MODEL.level) ** 2
  if (hasOwn) for (let o = ownAt; o < size; o++) rss += (fit[o]! / MODEL.ownSlope) ** 2
  for (let from = part.from; from < part.to;) {
    const to = dayEnd(series, from, part.to)
    let [total, sum, squares] = [0, 0, 0]
    for (let i = from; i < to; i++) {
      const e = exercises[i]!
      const week = (days[i]! - first) / DAYS_PER_WEEK
      const slope = fit[slopeAt]! + (hasOwn ? fit[ownAt + e]! : 0)
      const left = y[i]! - means[e]! - fit[e]! - slope * week + fit[lossAt]! * tired[i]!
      const w = weights[i]! / own[i]!
      total += w
      sum += w * left
      squares += w * left * left
      weights[i] = Math.min(1, 6 / (5 + (left * left) / (own[i]! + MODEL.day ** 2)))
    }
    rss += squares - (sum * sum) / (1 / MODEL.day ** 2 + total)
    from = to
  }
  return rss
}
