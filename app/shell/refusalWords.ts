import type { ApiFailure } from './useApi'

/** Why a request brought nothing, for the coach: what the server said is wrong, or that it was not reached. */
export const refusalWords = (error: ApiFailure, unreachable: string): string =>
  error.kind === 'unreachable'
    ? unreachable
    : (error.problem.errors?.[0]?.detail ?? error.problem.detail)
