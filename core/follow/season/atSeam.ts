import type { Group, Joint } from '../../plan/catalogue'
import { MUCH_AT_ONCE } from '../../design/progress'

/** What two blocks one after the other ask of a body where they meet. */
export interface Seam {
  readonly before: string
  readonly after: string
  /** Days without a plan between them; below 0 they lie over one another. */
  readonly gapDays: number
  /** Sets of the last working rotation, and of the first. Units: counted sets per 7 days. */
  readonly jumps: readonly {
    readonly group: Group
    readonly before: number
    readonly after: number
  }[]
  /** The most of the last four weeks of working rotations, and the first rotation. Units: points a week. */
  readonly joints: readonly {
    readonly joint: Joint
    readonly before: number
    readonly after: number
  }[]
  /** The least ready muscle of the first rotation with what is carried into it; null where nothing is. Units: per cent. */
  readonly carried: {
    readonly group: Group
    readonly readiness: number
    readonly fresh: number
  } | null
  /** Exercises of the next block that the one before had, and those that are new. */
  readonly kept: readonly string[]
  readonly fresh: readonly string[]
  /** Exercises that go before they were there long enough to tell, with the weeks they were there. */
  readonly early: readonly { readonly exercise: string; readonly weeks: number }[]
}

/** Where a seam asks for a look. Rules of thumb. Source: docs/methods.md#season. */
export const SEAM_LIMITS = {
  /** Sets of a muscle over the last working rotation. */ jump: MUCH_AT_ONCE.growth,
  /** Load of a joint over the last weeks. */ joint: 1.2,
  /** Per cent ready at the first session. */ readiness: 80,
  /** Share of the exercises that were there before. */ kept: MUCH_AT_ONCE.kept,
  /** Weeks an exercise is to stay before it can be told what it does. */ weeks: 6,
} as const

type Change = { readonly before: number; readonly after: number }
/** Whether something grows past a limit at a seam; what is new does not. */
export const isOverLimit = ({ before, after }: Change, limit: number): boolean =>
  before > 0 && after > before * limit

export type SeamConcern = 'jump' | 'joint' | 'readiness' | 'kept' | 'gap'

/** What of a seam to look at, in the order of the page. */
export function seamConcerns({
  gapDays,
  jumps,
  joints,
  carried,
  kept,
  fresh,
  early,
}: Seam): readonly SeamConcern[] {
  const isMore = (limit: number) => (one: Change) => isOverLimit(one, limit)
  const all = kept.length + fresh.length
  return [
    ...(gapDays < 0 ? ['gap' as const] : []),
    ...(jumps.some(isMore(SEAM_LIMITS.jump)) ? ['jump' as const] : []),
    ...(joints.some(isMore(SEAM_LIMITS.joint)) ? ['joint' as const] : []),
    ...(carried && carried.readiness < SEAM_LIMITS.readiness ? ['readiness' as const] : []),
    ...(early.length > 0 || (all > 0 && kept.length < all * SEAM_LIMITS.kept)
      ? ['kept' as const]
      : []),
  ]
}
