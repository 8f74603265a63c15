/** What had to be taken for granted to give a number at all. */
export type Assumption = 'rir' | 'reps' | 'setCount' | 'side_load'

/**
 * A number that may be a range, open at the top, or resting on assumptions.
 *
 * Shape: low <= value <= high; `value` is the nominal case; high is Infinity for "at least low".
 * Edge:  an exact number has low = value = high and nothing assumed.
 */
export interface Figure {
  readonly value: number
  readonly low: number
  readonly high: number
  readonly assumed: readonly Assumption[]
}

const NOTHING_ASSUMED: readonly Assumption[] = []

/** The figure of a number that is known. */
export function exactly(value: number): Figure {
  return { value, low: value, high: value, assumed: NOTHING_ASSUMED }
}

/** Nothing at all; the neutral element of `plus`. */
export const ZERO: Figure = exactly(0)

function mergedAssumptions(
  a: readonly Assumption[],
  b: readonly Assumption[],
): readonly Assumption[] {
  if (b.length === 0 || a === b) return a
  if (a.length === 0) return b
  return [...new Set([...a, ...b])].sort()
}

/** Sum of two figures; ends add up, assumptions are kept. */
export function plus(a: Figure, b: Figure): Figure {
  if (a === ZERO) return b
  if (b === ZERO) return a
  return {
    value: a.value + b.value,
    low: a.low + b.low,
    high: a.high + b.high,
    assumed: mergedAssumptions(a.assumed, b.assumed),
  }
}

/** A figure scaled by a factor of 0 or more; nothing of an open figure is nothing. */
export function times(figure: Figure, factor: number): Figure {
  if (factor === 1) return figure
  if (factor === 0) return ZERO
  return {
    ...figure,
    value: figure.value * factor,
    low: figure.low * factor,
    high: figure.high * factor,
  }
}

/** The same figure with one more assumption. */
export function assuming(figure: Figure, assumption: Assumption): Figure {
  return { ...figure, assumed: mergedAssumptions(figure.assumed, [assumption]) }
}

/** Sum of any number of figures. */
export function sumOf(figures: readonly Figure[]): Figure {
  return figures.reduce(plus, ZERO)
}
