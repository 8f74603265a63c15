import { median } from './statistics'

/** From so many sets on, something is known of what is usual. */
const LEAST_SETS = 2
/** How many times the middle of the known figures is far, and the least difference that is. */
const FAR = {
  load: { above: 2, below: 1 / 3, least: 5 },
  count: { above: 2.5, below: 0, least: 8 },
} as const

/**
 * Whether a load or a count lies far outside what a person has done of an exercise: a slip more often than a success.
 *
 * Shape: `known` are figures of the same exercise in the same unit; the answer is their middle, or null where the figure
 *        is near enough or too little is known. A low count is a hard set, not a slip.
 */
export function farFromOwn(
  kind: keyof typeof FAR,
  value: number,
  known: readonly number[],
): number | null {
  if (known.length < LEAST_SETS) return null
  const middle = median(known)
  const { above, below, least } = FAR[kind]
  const isFar = value > middle * above || value < middle * below
  return isFar && Math.abs(value - middle) >= least ? middle : null
}
