import type { Group } from '../catalogue'

/** Regular load besides the planned sessions: a sport, a manual job, a lift done elsewhere. */
export interface SideLoad {
  readonly what: string
  readonly groups: readonly Group[]
  /** How often in 7 days. */
  readonly times: { readonly low: number; readonly high: number }
  /** What one of them is worth in indirect sets; null is known to load the groups, amount unknown. */
  readonly setsEach: number | null
  /** The amount is a guess, and is shown as one. */
  readonly isEstimate?: true
  /** Days of the week it falls on, 1 Monday; left out where it moves. */
  readonly weekdays?: readonly number[]
}
