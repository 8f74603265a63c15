/** Why a text is no shorthand; `at` and `end` mark the place, counted in characters from 0. */
export type ShorthandProblem =
  | {
      readonly kind: 'unexpected'
      readonly at: number
      readonly end: number
      readonly found: string
      readonly expected: readonly string[]
    }
  /** A row of values that does not fit the number of sets. */
  | {
      readonly kind: 'row_length'
      readonly at: number
      readonly end: number
      readonly sets: number
      readonly values: number
    }
  /** A row or a technique on the last sets needs a number of sets that is fixed. */
  | { readonly kind: 'open_count'; readonly at: number; readonly end: number }
  /** The same thing said twice. */
  | { readonly kind: 'repeated'; readonly at: number; readonly end: number; readonly found: string }
  /** More sets at the end than there are. */
  | {
      readonly kind: 'too_few_sets'
      readonly at: number
      readonly end: number
      readonly sets: number
    }

/** Carries a problem up to the one place that turns it into a value; never leaves this folder. */
export interface Stop {
  readonly problem: ShorthandProblem
}

/** Ends parsing with a problem. */
export function stop(problem: ShorthandProblem): never {
  // A thrown plain object, not an error: this is a jump inside the parser, caught by `attempt`.
  throw { problem } satisfies Stop
}

/** Whether something thrown is a parser's jump. */
export function isStop(thrown: unknown): thrown is Stop {
  return typeof thrown === 'object' && thrown !== null && 'problem' in thrown
}
