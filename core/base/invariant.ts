/** A broken assumption: a bug in the program, never a fault of the coach's input. Fixed, not caught. */
export class InvariantError extends Error {
  override readonly name = 'InvariantError'
}

/**
 * Stops the computation when an assumption does not hold.
 *
 * Errors: InvariantError with the message, which says what was expected.
 */
export function assert(condition: unknown, message: string): asserts condition {
  if (!condition) throw new InvariantError(message)
}

/** Marks a branch that the types rule out; reached only by a value that was never parsed. */
export function unreachable(value: never): never {
  throw new InvariantError(`unexpected value ${JSON.stringify(value)}`)
}
