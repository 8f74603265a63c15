import { assert } from '../../base'

/** Few numbers, put into order one by one: trends and rehearsals take many medians of a dozen, where asking a sorting function costs more. */
function inOrder(values: ArrayLike<number>): Float64Array {
  const sorted = new Float64Array(values)
  if (sorted.length > FEW) return sorted.sort()
  for (let at = 1; at < sorted.length; at++) {
    const value = sorted[at]!
    let place = at
    for (; place > 0 && sorted[place - 1]! > value; place--) sorted[place] = sorted[place - 1]!
    sorted[place] = value
  }
  return sorted
}
const FEW = 80

/** The middle value; of an even number the mean of the two in the middle. Errors: InvariantError without values. */
export function median(values: ArrayLike<number>): number {
  assert(values.length > 0, 'a median needs a value')
  const sorted = inOrder(values)
  const middle = sorted.length >> 1
  const [low, high] = [sorted[middle - 1] ?? 0, sorted[middle] ?? 0]
  return sorted.length % 2 === 1 ? high : (low + high) / 2
}

/** Share of a standard normal distribution below z, 0 to 1; within 1e-7 (Abramowitz and Stegun 1964, 7.1.26). */
export function normalShare(z: number): number {
  const x = Math.abs(z) / Math.SQRT2
  const t = 1 / (1 + 0.3275911 * x)
  const upper =
    (t *
      (0.254829592 +
        t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429)))) *
      Math.exp(-x * x)) /
    2
  return z >= 0 ? 1 - upper : upper
}
