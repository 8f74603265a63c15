import { clientId, type ExerciseId, type PlainDate } from '#core/base'
import { type Group, GROUPS } from '#core/plan/catalogue'
import type { ExcludedEstimate } from '#core/body/log'
import type { SaidTrend } from '#core/words'
import type { OwnPace } from '#core/body/recovery'
import { type Replan, REPLAN_OPTIONS } from '#core/follow/replan'
import type { Habit, PassReview, Plateau, TriedTrial, WayCourse } from '#core/follow/review'
import { z } from 'zod'
import { PlainDateContract } from './plan'
import { LIMITS } from './limits'

/** Which rotation: by its number from 0, or the one that was trained last. */
export const ReviewParams = z.object({
  clientId: z.uuid().transform(clientId),
  pass: z.union([z.literal('latest'), z.coerce.number().int().min(0).max(59)]),
})

export interface DecisionView {
  readonly id: string
  readonly pass: number
  readonly key: string
  readonly words: string
  readonly why: string
  readonly decision: 'taken' | 'refused'
  readonly reason: string
  readonly version: number | null
  readonly by: string
  readonly at: string
}

/** A way to deal with a missed session, without the sessions' contents. */
export type ReplanView = Omit<Replan, 'refilled'> & {
  readonly refilled: readonly Omit<Replan['refilled'][number], 'content'>[]
}

/** How fast a muscle recovers: what the log says, and what is reckoned with. */
export interface PaceView {
  readonly group: Group
  readonly learned: OwnPace | null
  readonly inForce: number
  readonly by: 'log' | 'coach' | null
  readonly since: PlainDate | null
}

/** A rotation reviewed, with what was decided about it and what else there is to look at. */
export interface ReviewView {
  readonly name: string
  readonly block: {
    readonly id: string
    readonly title: string
    readonly version: number
    readonly passes: number
  }
  readonly review: PassReview
  /** Proposals that were not refused in this block, by their keys; and those already decided. */
  readonly open: readonly string[]
  readonly decisions: readonly DecisionView[]
  /** Changes taken earlier whose time has come: what was expected, and what came. */
  readonly came: readonly {
    readonly key: string
    readonly words: string
    readonly expected: string
    readonly came: string
    readonly isMet: boolean | null
  }[]
  readonly pains: readonly { readonly words: string; readonly on: string }[]
  readonly notes: readonly { readonly text: string; readonly session: string }[]
  /** Rotations whose plan the client does not have yet, or has in an older form. */
  readonly toSend: readonly { readonly pass: number; readonly again: boolean }[]
  /** Sessions that were missed and not decided about yet. */
  readonly missed: readonly { readonly id: string; readonly name: string; readonly on: PlainDate }[]
  /** Sessions of the rotation that lie ahead. */
  readonly ahead: readonly { readonly id: string; readonly name: string; readonly on: PlainDate }[]
  /** What can be done about the first missed one, the best first. */
  readonly replans: readonly ReplanView[]
  /** Where the exercises of the client are going, by what the log is reckoned with. */
  readonly trends: readonly (SaidTrend & { readonly exercise: string })[]
  /** The same of its muscles, each by all exercises that train it directly: what rules go by. */
  readonly muscleTrends: readonly (SaidTrend & { readonly group: Group })[]
  /** Estimates that are kept and not reckoned with. */
  readonly leftOut: readonly ExcludedEstimate[]
  readonly paces: readonly PaceView[]
  /** What is being tried out, or was; what the client tends to skip; exercises that go a way of their own. */
  readonly trials: readonly TriedTrial[]
  readonly skipped: readonly Habit[]
  readonly ways: readonly WayCourse[]
  /** Exercises felt elsewhere twice running, with the day of the plan that has them, from 1. */
  readonly elsewhere: readonly { readonly words: string; readonly day: number | null }[]
}
export const ReviewAnswer = z.custom<ReviewView>(
  value => typeof value === 'object' && value !== null,
)

export const PlateauParams = z.object({
  clientId: z.uuid().transform(clientId),
  group: z.enum(GROUPS),
})
/** A muscle that does not move: its course, what was looked at, and the next thing to try. */
export interface PlateauView {
  readonly name: string
  readonly group: Group
  readonly trend: SaidTrend
  readonly plateau: Plateau
}
export const PlateauAnswer = z.custom<PlateauView>(
  value => typeof value === 'object' && value !== null,
)

/** What the coach makes of a proposal; taking it changes the plan of the version she saw. */
export const DecideBody = z.strictObject({
  key: z.string().min(1).max(200),
  decision: z.enum(['taken', 'refused']),
  /** For the next rotation only, where it would hold from then on. */
  isOnce: z.boolean().default(false),
  reason: z.string().trim().max(LIMITS.shortText),
  version: z.int().min(1),
})
export const DecideAnswer = z.object({ version: z.int() })

export const ReplansParams = ReviewParams.extend({ sessionId: z.uuid() })
export const ReplansAnswer = z.custom<{ readonly replans: readonly ReplanView[] }>(
  value => typeof value === 'object' && value !== null,
)

/** What is done about a missed session. */
export const ReplanBody = z.strictObject({
  session: z.uuid(),
  option: z.enum(REPLAN_OPTIONS),
  version: z.int().min(1),
})

/** An estimate that was questioned and is right. */
export const ConfirmBody = z.strictObject({
  exercise: z
    .string()
    .min(1)
    .max(100)
    .transform(id => id as ExerciseId),
  on: PlainDateContract,
  value: z.number(),
})

/** How fast a muscle is to be reckoned with. */
export const PaceBody = z.strictObject({
  group: z.enum(GROUPS),
  decision: z.discriminatedUnion('kind', [
    z.strictObject({
      kind: z.literal('set'),
      pace: z.number().refine(pace => pace >= 0.5 && pace <= 2, {
        message: 'must lie between 0.5 and 2 times the usual hours',
      }),
    }),
    z.strictObject({ kind: z.literal('usual') }),
    z.strictObject({ kind: z.literal('anew') }),
  ]),
})
