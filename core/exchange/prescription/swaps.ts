import { remembered } from '../../base'
import { isTooHard } from '../../body/joints'
import type { SheetSwap } from '../../follow/sheet'
import {
  type Exercise,
  GROUPS,
  type Intent,
  JOINTS,
  rankedSubstitutes,
  requireExercise,
  type Substitute,
} from '../../plan/catalogue'
import { insteadOf, intentFor, notPlanned, type PlanContext } from '../../plan/method'
import { leadRir, nominalReps, workStages } from '../../plan/scheme'
import { type Session, sessionSlots, type Slot } from '../../plan/session'
import { newStimulusWords, swapChangeWords } from '../../words'
import { movement } from './movement'
import type { SheetQuestion } from './question'
import { standInLoad } from './standInLoad'

const MOST_SWAPS = 5

/** The plan's other finishers, for a slot whose finisher may be exchanged on the day: chosen on impulse, counted as done. */
function otherFinishers(
  slot: Slot,
  without: readonly string[],
  { content, context, finishers = [] }: SheetQuestion,
): readonly Pick<Substitute, 'exercise' | 'intent'>[] {
  const grouping = content.groupings.find(({ slots }) => slots.some(({ id }) => id === slot.id))
  if (!grouping?.replaceable) return []
  const ids = [...new Set(finishers.map(({ exercise }) => exercise))]
  return ids
    .filter(id => !without.includes(id))
    .slice(0, MOST_SWAPS)
    .map(id => {
      const exercise = requireExercise(context.catalogue, id)
      const intent = finishers.find(one => one.exercise === id)?.intent ?? null
      return { exercise, intent: intentFor(context, exercise, intent) }
    })
    .filter(({ intent }) => !isTooHard(intent.jointStress, context))
}

const rankedIn = remembered(
  (_content: Session, _context: PlanContext) => new Map<Intent, readonly Substitute[]>(),
)

/** Everything that could stand in for an exercise of a session, the likest first. */
function substitutesFor(
  exercise: Exercise,
  intent: Intent,
  { content, context }: SheetQuestion,
): readonly Substitute[] {
  const known = rankedIn(content, context)
  const ranked =
    known.get(intent) ??
    rankedSubstitutes(exercise, intent, context.catalogue, {
      equipment: context.client.equipment,
      without: [...sessionSlots(content).map(held => held.exercise), ...notPlanned(context.client)],
      first: insteadOf(context.client, exercise.id),
    })
  known.set(intent, ranked)
  return ranked
}

/** What may stand in: as like as possible, and where a joint is stressed, something kinder to it. */
function chosenFor(slot: Slot, exercise: Exercise, intent: Intent, question: SheetQuestion) {
  const { context, content } = question
  const without = [
    ...sessionSlots(content).map(held => held.exercise),
    ...notPlanned(context.client),
  ]
  const ranked = substitutesFor(exercise, intent, question)
  const stressed = JOINTS.filter(joint => intent.jointStress[joint] >= 2)
  const kinder = stressed.flatMap(joint =>
    ranked
      .filter(
        ({ intent: other }) =>
          other.jointStress[joint] < intent.jointStress[joint] && other.jointStress[joint] <= 1,
      )
      .slice(0, 1),
  )
  return [
    ...otherFinishers(slot, without, question),
    ...new Set([...ranked.slice(0, MOST_SWAPS - 1), ...kinder]),
  ].slice(0, MOST_SWAPS + 1)
}

/** What can stand in, with the load it begins with and what changes. */
export function swapsFor(
  slot: Slot,
  exercise: Exercise,
  intent: Intent,
  question: SheetQuestion,
): readonly SheetSwap[] {
  const run = slot.scheme.runs.find(({ role }) => role === 'working')
  const aim = {
    reps:
      nominalReps(run && workStages(run)[0]?.reps) ??
      (exercise.repRange[0] + exercise.repRange[1]) / 2,
    rir: (run && leadRir(run)) ?? question.context.method.effort.defaultRir,
  }
  return chosenFor(slot, exercise, intent, question).map((choice): SheetSwap => ({
    ...movement(choice.exercise, choice.intent, question),
    start: standInLoad(choice.exercise, question, aim),
    changes: [
      ...swapChangeWords({
        credits: GROUPS.map(group => ({
          group,
          before: intent.credits[group] ?? 0,
          after: choice.intent.credits[group] ?? 0,
        })).filter(row => row.before !== row.after),
        stress: JOINTS.map(joint => ({
          joint,
          before: intent.jointStress[joint],
          after: choice.intent.jointStress[joint],
        })).filter(row => row.before !== row.after),
      }),
      ...newStimulusWords(exercise, choice.exercise),
    ],
  }))
}
