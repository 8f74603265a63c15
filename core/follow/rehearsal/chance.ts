import { seededRandom } from '../../base'

/** Everything by chance in one run, in an order the seed fixes. */
export interface Chance {
  /** 0 to 1. */
  readonly uniform: () => number
  /** From a normal distribution. */
  readonly normal: (mean: number, spread: number) => number
}

/** Chance by a seed (Box and Muller 1958 for the normal numbers). */
export function chance(seed: number): Chance {
  const uniform = seededRandom(seed)
  return {
    uniform,
    normal: (mean, spread) =>
      mean + spread * Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform()),
  }
}
