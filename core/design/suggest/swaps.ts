import { exerciseId, type SlotId, mapNonEmpty } from '../../base'
import { applyEdits, type PlanDocument, type PlanEdit } from '../../plan/block'
import {
  type Equipment,
  EQUIPMENT,
  type Exercise,
  type Group,
  GROUPS,
  type Intent,
  type Joint,
  JOINTS,
  rankedSubstitutes,
  requireExercise,
} from '../../plan/catalogue'
import type { CheckInput, SessionView } from '../../judge/checks'
import { intentFor, type PlanContext } from '../../plan/method'
import { sessionSeconds } from '../../plan/minutes'
import { type SetRun, type SetScheme, type Stage, workStages } from '../../plan/scheme'
import { sessionSlots, type Slot } from '../../plan/session'

export const SWAP_REASONS = ['taken', 'hurts', 'travelling', 'too_hard', 'other'] as const
/** Why an exercise cannot be done: a station is taken, a joint hurts, there is less to train with, it is still too hard. */
export type SwapReason = (typeof SWAP_REASONS)[number]

export interface SwapQuestion {
  readonly slot: SlotId
  readonly reason: SwapReason
  /** The joint that hurts. */
  readonly joint?: Joint
  /** The station that is taken. */
  readonly taken?: Equipment
  /** All there is to train with on the way. */
  readonly equipment?: readonly Equipment[]
}

/** What would change with a stand-in. Credits and stress before and after where they differ; seconds of the session. */
export interface SwapChoice {
  readonly exercise: Exercise
  readonly intent: Intent
  /** 0 to 1; 1 would be the exercise itself. */
  readonly likeness: number
  readonly scheme: SetScheme
  /** The same exercise in an easier form. */
  readonly isRegression: boolean
  readonly credits: readonly {
    readonly group: Group
    readonly before: number
    readonly after: number
  }[]
  readonly stress: readonly {
    readonly joint: Joint
    readonly before: number
    readonly after: number
  }[]
  readonly seconds: number
}

/** What is left on the way where nothing is said: bands and the body. */
export const TRAVEL_EQUIPMENT: readonly Equipment[] = ['band', 'bodyweight']
const MOST_CHOICES = 8
const LOWERING_SECONDS = 5

function changedStages(run: SetRun, change: (stage: Stage) => Stage): SetRun {
  return { ...run, stages: mapNonEmpty(run.stages, change) }
}

/** Weights belong to the exercise they were planned for; reps, effort and pace stay. */
function withoutWeights(scheme: SetScheme): SetScheme {
  const { loadStep: _, ...rest } = scheme
  return {
    ...rest,
    runs: scheme.runs.map(run =>
      changedStages(run, stage => {
        if (
          stage.kind !== 'work' ||
          (stage.load?.kind !== 'weight' && stage.load?.kind !== 'stack_position')
        )
          return stage
        const { load: _load, ...open } = stage
        return open
      }),
    ),
  }
}

/** Rule B1: helped up, lowered slowly. */
function loweringOnly(scheme: SetScheme): SetScheme {
  return {
    ...scheme,
    runs: scheme.runs.map(run =>
      run.role === 'warmup'
        ? run
        : changedStages(run, stage =>
            stage.kind === 'work'
              ? {
                  ...stage,
                  form: 'lowering_only',
                  tempo: { ...stage.tempo, lower: LOWERING_SECONDS },
                }
              : stage,
          ),
    ),
  }
}

function limitsFor(
  { reason, joint, taken, equipment }: SwapQuestion,
  purpose: Intent,
  view: SessionView,
  { context }: CheckInput,
) {
  const own = context.client.equipment.length > 0 ? context.client.equipment : EQUIPMENT
  const there =
    reason === 'travelling'
      ? (equipment ?? TRAVEL_EQUIPMENT)
      : reason === 'taken' && taken
        ? own.filter(piece => piece !== taken)
        : own
  const stress = joint ? purpose.jointStress[joint] : 0
  return {
    equipment: there,
    without: [...view.slots.map(({ exercise }) => exercise.id), ...(context.client.avoid ?? [])],
    ...(reason === 'hurts' &&
      joint && { mostStress: { [joint]: Math.max(0, Math.min(1, stress - 1)) } }),
  }
}

/**
 * What can stand in for an exercise of a session, best first, each with what changes.
 *
 * Edge:   nothing fitting gives an empty list; what is in the session already and what the client avoids is left out.
 * Source: docs/methods.md#swaps.
 */
export function swapChoices(
  input: CheckInput,
  view: SessionView,
  question: SwapQuestion,
): readonly SwapChoice[] {
  const { context } = input
  const slot = sessionSlots(view.content).find(({ id }) => id === question.slot)
  if (!slot) return []
  const exercise = requireExercise(context.catalogue, slot.exercise)
  const purpose = intentFor(context, exercise, slot.intent)
  const found = rankedSubstitutes(
    exercise,
    purpose,
    context.catalogue,
    limitsFor(question, purpose, view, input),
  ).slice(0, MOST_CHOICES)
  const easier =
    question.reason === 'too_hard' && exercise.equipment.includes('bodyweight')
      ? [
          described(
            {
              exercise,
              intent: purpose,
              likeness: 1,
              scheme: loweringOnly(slot.scheme),
              isRegression: true,
            },
            slot,
            purpose,
            view,
            context,
          ),
        ]
      : []
  return [
    ...easier,
    ...found.map(stand =>
      described(
        { ...stand, scheme: withoutWeights(slot.scheme), isRegression: false },
        slot,
        purpose,
        view,
        context,
      ),
    ),
  ]
}

function described(
  choice: Omit<SwapChoice, 'credits' | 'stress' | 'seconds'>,
  slot: Slot,
  purpose: Intent,
  { content, time }: SessionView,
  context: PlanContext,
): SwapChoice {
  const before = slot.credits ?? purpose.credits
  const swapped = {
    ...content,
    groupings: content.groupings.map(grouping => {
      const [first, ...others] = grouping.slots.map(held =>
        held.id === slot.id ? standIn(held, choice) : held,
      )
      return first ? { ...grouping, slots: [first, ...others] as const } : grouping
    }),
  }
  return {
    ...choice,
    credits: GROUPS.map(group => ({
      group,
      before: before[group] ?? 0,
      after: choice.intent.credits[group] ?? 0,
    })).filter(row => row.before !== row.after),
    stress: JOINTS.map(joint => ({
      joint,
      before: purpose.jointStress[joint],
      after: choice.intent.jointStress[joint],
    })).filter(row => row.before !== row.after),
    seconds: sessionSeconds(swapped, context) - time.seconds,
  }
}

function intentOf({ exercise, intent }: Pick<SwapChoice, 'exercise' | 'intent'>): string | null {
  return exercise.intents[0].id === intent.id ? null : intent.id
}

/** The slot with another exercise in it. */
export function standIn(
  { credits: _, ...slot }: Slot,
  choice: Pick<SwapChoice, 'exercise' | 'intent' | 'scheme'>,
): Slot {
  return {
    ...slot,
    exercise: exerciseId(choice.exercise.id),
    intent: intentOf(choice),
    scheme: choice.scheme,
  }
}

/** Edits that put a choice in the place of one slot. */
export function swapEdits(
  slot: SlotId,
  choice: Pick<SwapChoice, 'exercise' | 'intent' | 'scheme'>,
): readonly PlanEdit[] {
  return [
    {
      kind: 'swap_exercise',
      slot,
      exercise: exerciseId(choice.exercise.id),
      intent: intentOf(choice),
    },
    { kind: 'set_scheme', slot, scheme: choice.scheme },
  ]
}

/** Edits that put a choice wherever the plan has the exercise of a slot, under the same purpose; each keeps its own sets. */
export function swapEverywhere(
  plan: PlanDocument,
  like: Slot,
  choice: Pick<SwapChoice, 'exercise' | 'intent'>,
): readonly PlanEdit[] {
  return plan.rotation.days.flatMap(day =>
    day.sessions.flatMap(session =>
      sessionSlots(session)
        .filter(slot => slot.exercise === like.exercise && slot.intent === like.intent)
        .flatMap(slot => swapEdits(slot.id, { ...choice, scheme: withoutWeights(slot.scheme) })),
    ),
  )
}

/** A session with some edits made to it, for a single date. */
export function editedSession(
  plan: PlanDocument,
  day: number,
  at: number,
  edits: readonly PlanEdit[],
  newId: () => string,
) {
  const edited = applyEdits(plan, edits, newId)
  return edited.ok ? edited.value.rotation.days[day]?.sessions[at] : undefined
}

/** Stations an exercise occupies that could be taken, for the question which one it is. */
export function stationsOf(exercise: Exercise): readonly Equipment[] {
  return exercise.equipment.filter(piece => piece !== 'bodyweight' && piece !== 'band')
}

/** Whether a scheme names weights that a swap takes out. */
export function hasWeights(scheme: SetScheme): boolean {
  return scheme.runs.some(run =>
    workStages(run).some(({ load }) => load?.kind === 'weight' || load?.kind === 'stack_position'),
  )
}
