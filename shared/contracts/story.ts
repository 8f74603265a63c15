import type { ExerciseId } from '#core/base'
import type { Group } from '#core/plan/catalogue'
import type { SideRule } from '#core/plan/method'
import type { WeightUnit } from '#core/plan/scheme'
import type { Attempt, BestSet, SideDay, SideGap, StoryDay } from '#core/follow/story'
import { z } from 'zod'
import { ClientParams } from './client'
import type { ExerciseCourse } from './trends'

export const StoryParams = ClientParams.extend({ exerciseId: z.string().min(1).max(60) })

/** All that is known of one exercise of a client. */
export interface StoryView {
  readonly exercise: ExerciseId
  readonly name: string
  readonly group: Group | null
  readonly unit: WeightUnit
  /** The oldest first, with what was asked for in words. */
  readonly days: readonly (StoryDay & { readonly asked: string })[]
  readonly bests: readonly BestSet[]
  readonly attempts: readonly Attempt[]
  /** null where nothing with a load was done. */
  readonly course: ExerciseCourse | null
  readonly sides: { readonly days: readonly SideDay[]; readonly gap: SideGap | null }
  readonly sideRule: SideRule | null
  /** Exercises of the plan and the log, to go to. */
  readonly others: readonly { readonly exercise: string; readonly name: string }[]
  /** Names of whatever stood in or was stood in for. */
  readonly names: Readonly<Record<string, string>>
}
export const StoryAnswer = z.custom<StoryView>(
  value => typeof value === 'object' && value !== null && 'days' in value,
)
