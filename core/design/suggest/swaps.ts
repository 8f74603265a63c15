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
  easierFormOf,
  requireExercise,
} from '../../plan/catalogue'
import { stressLimits } from '../../body/joints'
import type { CheckInput, SessionView } from '../../judge/checks'
import { insteadOf, intentFor, notPlanned, type PlanContext } from '../../plan/method'
import { sessionSeconds } from '../../plan/minutes'
import { forAnotherExercise, type SetScheme, workStages } from '../../plan/scheme'
import { type Session, sessionSlots, type Slot, suitsRole } from '../../plan/session'
import { eased, loweringOnly } from './swapForms'

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
  /** Another exercise, or the same one in an easier form: helped up and lowered slowly, or with more in reserve. */
  readonly form: 'other' | 'lowering_only' | 'eased'
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

/** Nothing stands in that is harder on a sore joint than what is there, or than its reports allow. */
function spared(purpose: Intent, context: PlanContext) {
  return Object.fromEntries(
    Object.entries(stressLimits(context)).map(([joint, limit]) => [
      joint,
      Math.min(limit, purpose.jointStress[joint as Joint]),
    ]),
  )
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
    without: [...view.slots.map(({ exercise }) => exercise.id), ...notPlanned(context.client)],
    mostStress: {
      ...spared(purpose, context),
      ...(reason === 'hurts' && joint && { [joint]: Math.max(0, Math.min(1, stress - 1)) }),
    },
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
  const own = { exercise, intent: purpose, likeness: 1 }
  const forms: readonly Omit<SwapChoice, 'credits' | 'stress' | 'seconds'>[] = [
    ...(question.reason === 'too_hard' && exercise.equipment.includes('bodyweight')
      ? [{ ...own, scheme: loweringOnly(slot.scheme), form: 'lowering_only' as const }]
      : []),
    ...standIns(input, view, question, own).map(stand => ({
      ...stand,
      scheme: forAnotherExercise(slot.scheme),
      form: 'other' as const,
    })),
    ...(canBeEased(question, context)
      ? [{ ...own, scheme: eased(slot.scheme), form: 'eased' as const }]
      : []),
  ]
  return forms.map(choice => described(choice, slot, purpose, view, context))
}

/** Other exercises, best first; where a joint hurts the one that stresses it least comes first, and some kinder one is always named if there is one. */
function standIns(
  input: CheckInput,
  view: SessionView,
  question: SwapQuestion,
  { exercise, intent }: Pick<SwapChoice, 'exercise' | 'intent'>,
) {
  const { context } = input
  const { reason, joint } = question
  const role = sessionSlots(view.content).find(({ id }) => id === question.slot)?.role
  const ranked = (limits: ReturnType<typeof limitsFor>) =>
    rankedSubstitutes(exercise, intent, context.catalogue, limits)
  const limits = {
    ...limitsFor(question, intent, view, input),
    first:
      insteadOf(context.client, exercise.id) ??
      (question.reason === 'too_hard' ? easierFormOf(exercise.id) : null),
    suits: (other: Exercise, as: Intent) => suitsRole(role, other, as),
  }
  const found = ranked(limits)
  if (reason !== 'hurts' || !joint) return found.slice(0, MOST_CHOICES)
  const stress = (choice: { readonly intent: Intent }) => choice.intent.jointStress[joint]
  const kinder =
    found.length > 0 || context.client.pain?.[joint] === 'stop'
      ? found
      : ranked({ ...limits, mostStress: {} }).filter(
          choice => stress(choice) < intent.jointStress[joint],
        )
  return [...kinder].sort((a, b) => stress(a) - stress(b)).slice(0, MOST_CHOICES)
}

/** An exercise that hurts may stay with more in reserve, unless the joint's reports ask to leave it. */
function canBeEased({ reason, joint }: SwapQuestion, { client }: PlanContext): boolean {
  const level = joint && client.pain?.[joint]
  return reason === 'hurts' && level !== 'swap' && level !== 'stop'
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

const isLike = (like: Slot) => (slot: Slot) =>
  slot.exercise === like.exercise && slot.intent === like.intent

/** Edits that put a choice wherever the plan has the exercise of a slot, under the same purpose; each keeps its own sets. Single dates and versions of a session follow. */
export function swapEverywhere(
  plan: PlanDocument,
  like: Slot,
  choice: Pick<SwapChoice, 'exercise' | 'intent' | 'form'>,
): readonly PlanEdit[] {
  const schemeOf = ({ scheme }: Slot) =>
    choice.form === 'eased' ? eased(scheme) : forAnotherExercise(scheme)
  const inContent = (content: Session): Session => ({
    ...content,
    groupings: content.groupings.map(grouping => ({
      ...grouping,
      slots: mapNonEmpty(grouping.slots, slot =>
        isLike(like)(slot) ? standIn(slot, { ...choice, scheme: schemeOf(slot) }) : slot,
      ),
    })),
  })
  const has = (content: Session) => sessionSlots(content).some(isLike(like))
  return [
    ...plan.rotation.days
      .flatMap(day => day.sessions.flatMap(sessionSlots))
      .filter(isLike(like))
      .flatMap(slot => swapEdits(slot.id, { ...choice, scheme: schemeOf(slot) })),
    ...(plan.oneOffs ?? [])
      .filter(({ content }) => has(content))
      .map((oneOff): PlanEdit => ({
        kind: 'put_one_off',
        oneOff: { ...oneOff, content: inContent(oneOff.content) },
      })),
    ...(plan.variants ?? [])
      .filter(({ content }) => has(content))
      .map((variant): PlanEdit => ({
        kind: 'put_variant',
        variant: { ...variant, content: inContent(variant.content) },
      })),
  ]
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
