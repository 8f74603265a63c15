import { type Exercise, JOINTS, requireExercise } from '../catalogue'
import { loadGrid, shareOfOneRep } from '../estimate'
import { intentFor, type PlanContext } from '../method'
import { leadRir, nominalReps, plannedSets, type SetRun, workStages } from '../scheme'
import { type Session, sessionSlots, type Slot } from '../session'
import { mainGroup } from './restUsed'
import { proposedWarmUp } from './warmUp'

const STRESSED_FROM = 2
const PREPARED_FROM_SETS = 2
const PREPARING_CREDIT = 0.5
/** Where no working load is planned, warm-up loads are shares of the usual one. */
const SHARES = { workingLoad: 100, grid: { kind: 'steps', base: 0, step: 5 } } as const

function stressedJoints(slot: Slot, context: PlanContext, from: number) {
  const { jointStress } = intentFor(
    context,
    requireExercise(context.catalogue, slot.exercise),
    slot.intent,
  )
  return JOINTS.filter(joint => jointStress[joint] >= from)
}

/** Whether earlier working sets have already loaded the joints an exercise stresses, and its main muscle. */
function isPrepared(
  slot: Slot,
  earlier: readonly Slot[],
  exercise: Exercise,
  context: PlanContext,
): boolean {
  const main = mainGroup(slot, exercise, context)
  const joints = stressedJoints(slot, context, STRESSED_FROM)
  const setsThat = (does: (held: Slot) => boolean) =>
    earlier.filter(does).reduce((sum, { scheme }) => sum + plannedSets(scheme), 0)
  const creditOf = (held: Slot) =>
    main
      ? ((held.credits ??
          intentFor(context, requireExercise(context.catalogue, held.exercise), held.intent)
            .credits)[main] ?? 0)
      : 0
  return (
    setsThat(
      held =>
        creditOf(held) >= PREPARING_CREDIT &&
        joints.every(joint => stressedJoints(held, context, 1).includes(joint)),
    ) >= PREPARED_FROM_SETS
  )
}

/**
 * Warm-up sets proposed for an exercise where it stands in a session, as runs to put before its working sets.
 *
 * Units:  loads in the unit of the planned load, rounded down to what can be loaded; per cent of the usual load where none is planned.
 * Edge:   body-weight work gets one set of an easier variant.
 * Source: docs/methods.md#minutes.
 */
export function warmUpRuns(session: Session, slot: Slot, context: PlanContext): readonly SetRun[] {
  const exercise = requireExercise(context.catalogue, slot.exercise)
  const working = slot.scheme.runs.find(({ role }) => role !== 'warmup')
  if (!working) return []
  if (exercise.equipment.includes('bodyweight') && exercise.loadBasis !== 'stack') {
    return [
      {
        count: 1,
        role: 'warmup',
        stages: [
          {
            kind: 'work',
            reps: { kind: 'exactly', count: 6 },
            load: { kind: 'in_words', text: 'an easier variant' },
          },
        ],
        restAfter: { kind: 'seconds', seconds: 45 },
      },
    ]
  }
  const slots = sessionSlots(session)
  const lead = workStages(working)[0]
  const weight = lead?.load?.kind === 'weight' ? lead.load : undefined
  const reps = nominalReps(lead?.reps) ?? (exercise.repRange[0] + exercise.repRange[1]) / 2
  const sets = proposedWarmUp({
    ...(weight
      ? { workingLoad: weight.amount, grid: loadGrid(exercise, weight.unit, context.client.gear) }
      : SHARES),
    shareOfOneRep: shareOfOneRep(reps, leadRir(working) ?? context.method.effort.defaultRir),
    isPrepared: isPrepared(
      slot,
      slots.slice(
        0,
        slots.findIndex(({ id }) => id === slot.id),
      ),
      exercise,
      context,
    ),
    hasPain: stressedJoints(slot, context, 1).some(
      joint => (context.client.pain?.[joint] ?? 'none') !== 'none',
    ),
  })
  return sets.map(({ load, reps: count, restSeconds }): SetRun => ({
    count: 1,
    role: 'warmup',
    restAfter: { kind: 'seconds', seconds: restSeconds },
    stages: [
      {
        kind: 'work',
        reps: { kind: 'exactly', count },
        load: weight ? { ...weight, amount: load } : { kind: 'percent_of_usual', percent: load },
      },
    ],
  }))
}
