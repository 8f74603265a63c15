/** An outcome that the caller must look at: a value, or the reason there is none. */
export type Result<T, E> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly error: E }

/** The outcome with a value. */
export function success<T>(value: T): { readonly ok: true; readonly value: T } {
  return { ok: true, value }
}

/** The outcome with a reason. */
export function failure<E>(error: E): { readonly ok: false; readonly error: E } {
  return { ok: false, error }
}
