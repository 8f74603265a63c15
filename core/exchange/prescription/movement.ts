import { exerciseId, remembered } from '../../base'
import { movementOf } from '../../design/loads'
import type { SheetMovement } from '../../follow/sheet'
import { CAUTIONS, cueLines, type Exercise, type Intent, JOINTS } from '../../plan/catalogue'
import { barOf, loadGrid, saidAmount, topOf } from '../../plan/estimate'
import type { PlanContext } from '../../plan/method'
import { setUpFieldsOf, sharedControls, type WeightUnit, workStages } from '../../plan/scheme'
import type { Slot } from '../../plan/session'
import { loadWords, slotName } from '../../words'
import type { SheetQuestion } from './question'

/** How the number of a load is meant: each hand's, each side's, on the stack. */
function scaleWords({ loadBasis }: Exercise, slot?: Slot): string {
  const named = slot?.scheme.runs
    .flatMap(run => workStages(run))
    .map(({ load }) => load)
    .find(load => load?.kind === 'weight' || load?.kind === 'stack_position')
  if (named?.kind === 'weight')
    return loadWords(named)
      .replace(/^\S+\s\S+?(?= |$)/, '')
      .trim()
  if (named?.kind === 'stack_position') return 'plate of the stack'
  return {
    total: '',
    per_hand: 'in each hand',
    stack: 'on the stack',
    added: 'added',
    counterweight: 'taken off',
    band: '',
    angle: '',
  }[loadBasis]
}

function lastTime(
  movement: string,
  { log, on }: SheetQuestion,
  unit: WeightUnit,
): SheetMovement['last'] {
  const last = log.get(movement)?.findLast(exposure => exposure.on < on)
  if (!last) return null
  const amount = (kg: number | null) => (kg === null ? null : saidAmount(kg, unit))
  return {
    on: last.on,
    sets: last.sets
      .filter(({ role, stage }) => role === 'working' && stage === 1)
      .map(({ loadKg, reps, seconds, rir }) => ({
        amount: amount(loadKg),
        count: reps ?? seconds,
        rir,
      })),
  }
}

/** The unit that the plan names weights of a slot in. */
function namedUnit({ scheme }: Slot): WeightUnit | undefined {
  const named = scheme.runs
    .flatMap(run => workStages(run))
    .map(({ load }) => load)
    .find(load => load?.kind === 'weight')
  return named?.kind === 'weight' ? named.unit : undefined
}

function scaleFor(
  exercise: Exercise,
  unit: WeightUnit,
  { context }: SheetQuestion,
  slot: Slot | undefined,
): SheetMovement['scale'] {
  const { gear } = context.client
  const top = topOf(exercise, unit, gear)
  return {
    unit,
    grid: loadGrid(exercise, unit, gear),
    words: scaleWords(exercise, slot),
    bar: barOf(exercise, unit, gear),
    ...(top && { top }),
  }
}

/** What is told of a movement whatever session it stands in. */
function told(exercise: Exercise, intent: Intent, { catalogue }: PlanContext) {
  const done = {
    exercise: exerciseId(exercise.id),
    intent: exercise.intents[0].id === intent.id ? null : intent.id,
  }
  return {
    ...done,
    name: slotName(done, catalogue),
    how: intent.how,
    pattern: exercise.pattern,
    cues: cueLines(exercise.id, intent.id),
    cautions: exercise.cautions.map(caution => CAUTIONS[caution]),
    countUnit: exercise.repUnit,
    stress: Object.fromEntries(
      JOINTS.filter(joint => intent.jointStress[joint] > 0).map(joint => [
        joint,
        intent.jointStress[joint],
      ]),
    ),
  }
}

const toldIn = remembered(
  (_intent: Intent, _context: PlanContext) => new Map<string, ReturnType<typeof told>>(),
)

function toldOf(exercise: Exercise, intent: Intent, context: PlanContext) {
  const known = toldIn(intent, context)
  const found = known.get(exercise.id) ?? told(exercise, intent, context)
  known.set(exercise.id, found)
  return found
}

/** A movement as the sheet tells it, in a slot or standing in for one. */
export function movement(
  exercise: Exercise,
  intent: Intent,
  question: SheetQuestion,
  slot?: Slot,
): SheetMovement {
  const unit = (slot && namedUnit(slot)) ?? question.unit
  return {
    ...toldOf(exercise, intent, question.context),
    scale: scaleFor(exercise, unit, question, slot),
    last: lastTime(slot?.exercise === exercise.id ? movementOf(slot) : exercise.id, question, unit),
    setUp: {
      fields: setUpFieldsOf(exercise),
      planned: (slot && sharedControls(slot.scheme).shared.setUp) ?? null,
      last: question.setUps?.get(exercise.id) ?? null,
    },
  }
}
