import { soreJoints } from '../../body/joints'
import { type ExerciseChoice, exerciseChoices } from '../../plan/block'
import {
  type Group,
  type Intent,
  isOverhead,
  type Joint,
  JOINTS,
  requireIntent,
} from '../../plan/catalogue'
import type { CheckInput } from '../../judge/checks'
import { coverage, type CoverageGap } from '../../count/ledger'

/** What speaks for or against a choice here. */
export type ChoiceReason =
  | { readonly kind: 'fills'; readonly gap: CoverageGap }
  | { readonly kind: 'known' | 'same_day' | 'hardly_fits' | 'over_time' }
  | { readonly kind: 'joint'; readonly joint: Joint; readonly stress: number }

export interface RankedChoice extends ExerciseChoice {
  readonly score: number
  readonly reasons: readonly ChoiceReason[]
}

/** Weights that give the order a coach would give; rules of thumb. Source: docs/methods.md#suggestions. */
const WEIGHT = {
  head: 6,
  gap: 3,
  known: 0.5,
  same_day: -3,
  joint: -2.5,
  over_time: -2,
  hardly_fits: -1,
} as const
const SECONDS_OF_A_SET = 40
const USUAL_SETS = 2

function fills(
  { exercise, intent }: { exercise: ExerciseChoice['exercise']; intent: Intent },
  gap: CoverageGap,
  group: Group,
): number {
  switch (gap.kind) {
    case 'head_short':
      return WEIGHT.head * Math.max(0, (intent.headShares[group]?.[gap.muscle] ?? 0) - gap.wish)
    case 'head_much':
      return 0
    case 'forearm_side':
      return WEIGHT.gap * (intent.headShares[group]?.[gap.muscle] ?? 0)
    case 'lengthened_short':
      return intent.lengthBias === 'lengthened' ? WEIGHT.gap : 0
    case 'shortened_much':
      return intent.lengthBias === 'shortened' ? 0 : WEIGHT.gap / 3
    case 'overhead_short':
      return isOverhead(exercise.id) ? WEIGHT.gap : 0
    case 'neutral_short':
      return intent.credits.elbow_flexors_other === 1 ? WEIGHT.gap : 0
  }
}

/** Joints that a few sets more would take over their session's ceiling, or that pain reports ask to spare. */
function troubled(intent: Intent, day: number, input: CheckInput): readonly Joint[] {
  const sessions = input.sessions.filter(session => session.day === day)
  const sore = new Set(soreJoints(intent.jointStress, input.context))
  return JOINTS.filter(joint => {
    const stress = intent.jointStress[joint]
    if (stress === 0) return false
    if (sore.has(joint)) return true
    const load = Math.max(0, ...sessions.map(({ joints }) => joints[joint]))
    return load + stress * USUAL_SETS > input.joints[joint].ceiling.session
  })
}

function timeReason(
  { exercise }: ExerciseChoice,
  day: number,
  input: CheckInput,
): ChoiceReason | undefined {
  const limit = input.plan.rotation.days[day]?.minuteLimit
  if (limit === undefined) return undefined
  const used = input.sessions
    .filter(session => session.day === day)
    .reduce((sum, { time }) => sum + time.seconds, 0)
  const added = exercise.setupSeconds + USUAL_SETS * (SECONDS_OF_A_SET + exercise.restSeconds)
  if (used + added <= limit * 60) return undefined
  return { kind: used >= limit * 60 ? 'over_time' : 'hardly_fits' }
}

/**
 * Exercises for a group on a day, best first: what fills a gap in heads, length or grip comes up, what the day's minutes or
 * the joints do not allow goes down.
 *
 * Edge: nothing is left out for it: the coach may know better. Equipment and the list of exercises to avoid are firm.
 */
export function rankedChoices(
  input: CheckInput,
  group: Group,
  day: number,
): readonly RankedChoice[] {
  const { gaps } = coverage(input.ledger, group, input.context)
  const onDay = new Set<string>(
    input.sessions
      .filter(session => session.day === day)
      .flatMap(({ slots }) => slots.map(({ exercise }) => exercise.id)),
  )
  return exerciseChoices(input.plan, group, input.context)
    .map(choice =>
      ranked(choice, { gaps, group, day, isOnDay: onDay.has(choice.exercise.id), input }),
    )
    .sort((a, b) => b.score - a.score)
}

interface Question {
  readonly gaps: readonly CoverageGap[]
  readonly group: Group
  readonly day: number
  readonly isOnDay: boolean
  readonly input: CheckInput
}

function ranked(
  choice: ExerciseChoice,
  { gaps, group, day, isOnDay, input }: Question,
): RankedChoice {
  const intent = requireIntent(choice.exercise, choice.intent)
  const filled = gaps
    .map(gap => ({ gap, worth: fills({ exercise: choice.exercise, intent }, gap, group) }))
    .filter(({ worth }) => worth > 0)
  const joints = troubled(intent, day, input)
  const time = timeReason(choice, day, input)
  const reasons: ChoiceReason[] = [
    ...filled.map(({ gap }): ChoiceReason => ({ kind: 'fills', gap })),
    ...(isOnDay
      ? [{ kind: 'same_day' as const }]
      : choice.isInPlan
        ? [{ kind: 'known' as const }]
        : []),
    ...joints.map((joint): ChoiceReason => ({
      kind: 'joint',
      joint,
      stress: intent.jointStress[joint],
    })),
    ...(time ? [time] : []),
  ]
  const own = reasons.reduce(
    (sum, reason) =>
      sum +
      (reason.kind === 'fills'
        ? 0
        : WEIGHT[reason.kind] * (reason.kind === 'joint' ? reason.stress : 1)),
    0,
  )
  return {
    ...choice,
    score:
      filled.reduce((sum, { worth }) => sum + worth, 0) +
      own -
      0.1 * Number(choice.intent !== null),
    reasons,
  }
}
