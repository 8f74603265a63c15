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
  day: 0.025,
  own: 0.02,
  ownSlope: 0.0015,
  /** So wide that it says nothing. */
  slope: 0.5,
} as const
const PRIOR_DF = 8
const LEAST_SCALE = 0.85
const PASSES = 3
const DAYS_PER_WEEK = 7

/** Solves A x = b in place by Cholesky, and gives the variance of one parameter: the diagonal of A⁻¹. */
function solved(a: Float64Array, b: Float64Array, size: number, at: number): number {
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
  const column = new Float64Array(size)
  let variance = 0
  for (let i = at; i < size; i++) {
    let sum = i === at ? 1 : 0
    for (let k = at; k < i; k++) sum -= a[i * size + k]! * column[k]!
    column[i] = sum / a[i * size + i]!
    variance += column[i]! ** 2
  }
  return variance
}

/**
 * Slope of a muscle's strength over days, by generalised least squares: a level for each exercise, one slope, a loss by tiredness, a
 * shift shared by all exercises of a day, and a slope of each exercise's own; far values count less.
 *
 * Shape:  observations in the order of their days. Written without lists of its own: rehearsals ask it for every muscle and rotation.
 * Units:  share a week.
 * Edge:   one observation, or all on one day, gives an error as wide as the prior.
 * Source: docs/methods.md#trend; compared with the plain solution by full matrices in trend.test.ts.
 */
export function slopeOf(all: readonly Observed[]): Slope {
  const count = all.length
  const exercises = all.reduce((most, { exercise }) => Math.max(most, exercise + 1), 0)
  const layout: Layout = {
    means: levelsOf(all, exercises),
    first: all[0]?.day ?? 0,
    slopeAt: exercises,
    lossAt: exercises + 1,
    ownAt: exercises + 2,
    hasOwn: exercises > 1,
    size: exercises * (exercises > 1 ? 2 : 1) + 2,
  }
  const weights = new Float64Array(count).fill(1)
  let result: Slope = { slope: 0, error: MODEL.slope }
  for (let pass = 0; pass < PASSES; pass++) {
    const { a, b } = normalEquations(all, weights, layout)
    const variance = solved(a, b, layout.size, layout.slopeAt)
    const { rss } = reweighed(all, b, weights, layout)
    const freedom = Math.max(0, count - exercises - 1)
    const scale = Math.max(LEAST_SCALE, (PRIOR_DF + rss) / (PRIOR_DF + freedom))
    result = { slope: b[layout.slopeAt]!, error: Math.sqrt(variance * scale) }
  }
  return result
}

/** Where each parameter stands among them: levels of the exercises, the slope, the loss, slopes of their own. */
interface Layout {
  readonly means: Float64Array
  readonly first: number
  readonly slopeAt: number
  readonly lossAt: number
  readonly ownAt: number
  readonly hasOwn: boolean
  readonly size: number
}

/** The priors of all parameters, as precisions. */
function priors({ slopeAt, lossAt, ownAt, hasOwn, size }: Layout) {
  const [a, b] = [new Float64Array(size * size), new Float64Array(size)]
  for (let e = 0; e < slopeAt; e++) a[e * size + e] = 1 / MODEL.level ** 2
  a[slopeAt * size + slopeAt] = 1 / MODEL.slope ** 2
  a[lossAt * size + lossAt] = 1 / MODEL.lossSpread ** 2
  b[lossAt] = MODEL.loss / MODEL.lossSpread ** 2
  if (hasOwn) for (let e = ownAt; e < size; e++) a[e * size + e] = 1 / MODEL.ownSlope ** 2
  return { a, b }
}

/**
 * The equations of the fit: priors, then day by day what was seen, the shift a day shares taken out (Woodbury). Only the lower half
 * of the matrix is kept; nothing reads the other.
 */
function normalEquations(all: readonly Observed[], weights: Float64Array, layout: Layout) {
  const { a, b } = priors(layout)
  const sums = new Float64Array(layout.size)
  const touched = new Int32Array(layout.size)
  eachDay(all, (from, to) => {
    let [total, sumY] = [0, 0]
    sums.fill(0)
    for (let i = from; i < to; i++) {
      const one = all[i]!
      const w = weights[i]! / (one.variance + MODEL.own ** 2)
      const off = one.y - layout.means[one.exercise]!
      addSeen(a, b, sums, one, w, off, layout)
      total += w
      sumY += w * off
    }
    const shared = 1 / (1 / MODEL.day ** 2 + total)
    let count = 0
    for (let p = 0; p < layout.size; p++) if (sums[p] !== 0) touched[count++] = p
    for (let i = 0; i < count; i++) {
      const p = touched[i]!
      const row = p * layout.size
      const share = shared * sums[p]!
      for (let j = 0; j <= i; j++) a[row + touched[j]!]! -= share * sums[touched[j]!]!
      b[p]! -= share * sumY
    }
  })
  return { a, b }
}

/** What one observation adds to the equations: its level, the slope, the loss, and the slope of its exercise's own. */
function addSeen(
  a: Float64Array,
  b: Float64Array,
  sums: Float64Array,
  { exercise: e, tired, day }: Observed,
  w: number,
  off: number,
  { first, slopeAt: s, lossAt: l, ownAt, hasOwn, size }: Layout,
): void {
  const week = (day - first) / DAYS_PER_WEEK
  const [byWeek, byLoss] = [w * week, w * -tired]
  a[e * size + e]! += w
  a[s * size + e]! += byWeek
  a[s * size + s]! += byWeek * week
  a[l * size + e]! += byLoss
  a[l * size + s]! += byLoss * week
  a[l * size + l]! += byLoss * -tired
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
  a[o * size + l]! += byWeek * -tired
  a[o * size + o]! += byWeek * week
  b[o]! += byWeek * off
  sums[o]! += byWeek
}

function levelsOf(all: readonly Observed[], exercises: number): Float64Array {
  const [sums, counts] = [new Float64Array(exercises), new Float64Array(exercises)]
  for (const { exercise, y } of all) {
    sums[exercise]! += y
    counts[exercise]! += 1
  }
  return sums.map((sum, at) => sum / Math.max(1, counts[at]!))
}

function eachDay(all: readonly Observed[], take: (from: number, to: number) => void): void {
  for (let from = 0; from < all.length;) {
    let to = from + 1
    while (to < all.length && all[to]!.day === all[from]!.day) to++
    take(from, to)
    from = to
  }
}

/** What the fit leaves, as a sum of squares in units of what is expected; and how much each value counts from now on. */
function reweighed(
  all: readonly Observed[],
  fit: Float64Array,
  weights: Float64Array,
  { means, first, slopeAt, lossAt, ownAt, hasOwn }: Layout,
): { readonly rss: number } {
  let rss = ((fit[lossAt]! - MODEL.loss) / MODEL.lossSpread) ** 2
  for (let e = 0; e < slopeAt; e++) rss += (fit[e]! / MODEL.level) ** 2
  if (hasOwn)
    for (let e = 0; ownAt + e < fit.length; e++) rss += (fit[ownAt + e]! / MODEL.ownSlope) ** 2
  eachDay(all, (from, to) => {
    let [total, sum, squares] = [0, 0, 0]
    for (let i = from; i < to; i++) {
      const { exercise, variance, tired, y, day } = all[i]!
      const week = (day - first) / DAYS_PER_WEEK
      const left =
        y -
        means[exercise]! -
        fit[exercise]! -
        (fit[slopeAt]! + (hasOwn ? fit[ownAt + exercise]! : 0)) * week +
        fit[lossAt]! * tired
      const own = variance + MODEL.own ** 2
      const w = weights[i]! / own
      total += w
      sum += w * left
      squares += w * left * left
      const z2 = (left * left) / (own + MODEL.day ** 2)
      weights[i] = Math.min(1, 6 / (5 + z2))
    }
    rss += squares - (sum * sum) / (1 / MODEL.day ** 2 + total)
  })
  return { rss }
}
