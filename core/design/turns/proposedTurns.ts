import { assert, exerciseId, sessionId } from '../../base'
import { countedWorkOfDay } from '../../count/ledger'
import { isTooHard } from '../../body/joints'
import {
  type Alternation,
  choicesForSlot,
  exercisesUsed,
  type PlanDocument,
  slotTaken,
  turnsIn,
  withTurn,
} from '../../plan/block'
import {
  ARM_GROUPS,
  type Equipment,
  type Exercise,
  isPossibleWith,
  monthsFor,
  requireExercise,
} from '../../plan/catalogue'
import { intentFor, type PlanContext } from '../../plan/method'
import { mainGroup } from '../../plan/minutes'
import { daySlots } from '../../plan/rotation'
import { suitsRole, type Slot } from '../../plan/session'
import { type DoneAs, orderedText, workStages } from '../../plan/scheme'
import {
  type CoverageLine,
  linesOfSums,
  missedCoverage,
  type Sums,
  sumsOf,
  withSums,
} from './blockCoverage'

/** Turns that are proposed, and what they come to. */
export interface ProposedTurns {
  readonly added: readonly Alternation[]
  readonly alternations: readonly Alternation[]
  readonly before: readonly CoverageLine[]
  readonly after: readonly CoverageLine[]
}

/** Each exercise that takes turns is done this often at least. */
const LEAST_EXPOSURES = 3
const MOST_ADDED = 6
/** What is gained for less than this is not worth another movement. Units: shares, summed over the lines. */
const LEAST_GAIN = 0.03

/** The sets of one place with an exercise in it. */
function sumsAt(
  plan: PlanDocument,
  slot: Slot,
  other: Alternation | undefined,
  context: PlanContext,
): Sums {
  const held = plan.rotation.days
    .flatMap(({ sessions }) => sessions.flatMap(({ groupings }) => groupings))
    .find(({ slots }) => slots.some(({ id }) => id === slot.id))
  assert(held, 'a place of the plan stands in a group of it')
  const named = other ? slotTaken(slot, other) : slot
  const work = countedWorkOfDay(
    {
      role: 'open',
      sessions: [{ id: sessionId(slot.id), groupings: [{ ...held, slots: [named] }] }],
    },
    context,
  )
  return sumsOf({ work: [work] }, context)
}

/** Sums of places with their exercises, each reckoned once. */
function placeSums(plan: PlanDocument, context: PlanContext) {
  const slots = plan.rotation.days.flatMap(daySlots)
  const known = new Map<string, Sums>()
  const sumsFor = (slot: Slot, other?: Alternation): Sums => {
    const key = `${slot.id} ${other?.exercise ?? ''} ${other?.intent ?? ''} ${orderedText(other?.as ?? {})}`
    const before = known.get(key)
    if (before) return before
    const made = sumsAt(plan, slot, other, context)
    known.set(key, made)
    return made
  }
  /** What the rotation comes to on average once all turns have come round: each exercise of a place as often as the others. */
  function average(alternations: readonly Alternation[]): Sums {
    const turns = turnsIn({ alternations })
    return slots.reduce<Sums | null>((sum, slot) => {
      const choices = [undefined, ...(turns.find(one => one.slot === slot.id)?.others ?? [])]
      return choices.reduce<Sums | null>(
        (inner, other) => withSums(inner, sumsFor(slot, other), 1 / choices.length),
        sum,
      )
    }, null)!
  }
  /** The average with one exercise more at its place. */
  function withOne(sum: Sums, alternations: readonly Alternation[], turn: Alternation): Sums {
    const slot = slots.find(({ id }) => id === turn.slot)!
    const others = alternations.filter(other => other.slot === turn.slot)
    const before = [undefined, ...others]
    const without = before.reduce(
      (inner, other) => withSums(inner, sumsFor(slot, other), -1 / before.length),
      sum,
    )
    const after = [...before, turn]
    return after.reduce(
      (inner, other) => withSums(inner, sumsFor(slot, other), 1 / after.length),
      without,
    )
  }
  return { average, withOne }
}

/** Hands turned on what lets them turn: a dumbbell by itself, a cable on a rope. Turning the palms down loads the wrist and is left to the coach. */
const PALMS_FACING: readonly (readonly [Equipment, DoneAs])[] = [
  ['dumbbell', { grip: 'neutral' }],
  ['cable', { grip: 'neutral', attachment: 'rope' }],
]

/** The same curl with the palms facing, where nothing is said of its grip and its station allows it. */
function heldOtherwise(
  slot: Slot,
  exercise: Exercise,
  { client }: PlanContext,
  by: Alternation['by'],
): readonly Alternation[] {
  const found = PALMS_FACING.find(([piece]) => exercise.equipment.includes(piece))
  const isSaid = slot.scheme.runs.flatMap(workStages).some(({ grip }) => grip !== undefined)
  const isOpen = exercise.pattern === 'curl' && !isSaid && !slot.credits
  if (!found || !isOpen || !isPossibleWith(exercise, client.equipment)) return []
  return [{ slot: slot.id, exercise: slot.exercise, intent: slot.intent, as: found[1], by }]
}

/** Exercises that may take turns with a place, and its own held otherwise: possible, kind enough to the joints, within the client's months. */
function candidates(
  plan: PlanDocument,
  context: PlanContext,
  by: Alternation['by'],
): readonly Alternation[] {
  return plan.rotation.days.flatMap(daySlots).flatMap((slot): Alternation[] => {
    const exercise = requireExercise(context.catalogue, slot.exercise)
    const group = mainGroup(slot, exercise, context)
    const isArm = ARM_GROUPS.some(arm => arm === group)
    if (exercise.kind !== 'isolation' || !isArm || slot.isHeld) return []
    const others = choicesForSlot(plan, context, slot.id)
    const taken = others.flatMap(({ exercise: id, intent }): Alternation[] => {
      const other = requireExercise(context.catalogue, id)
      const purpose = intentFor(context, other, intent)
      const fits =
        other.kind === 'isolation' &&
        !isTooHard(purpose.jointStress, context) &&
        monthsFor(id) <= context.client.trainingAgeMonths &&
        suitsRole(slot.role, other, purpose)
      return fits ? [{ slot: slot.id, exercise: exerciseId(id), intent, by }] : []
    })
    return [...heldOtherwise(slot, exercise, context, by), ...taken]
  })
}

/** Every choice comes often enough to be learned and judged. */
function isOftenEnough(plan: PlanDocument, alternations: readonly Alternation[]): boolean {
  const working = plan.passes - (plan.block?.deloads?.length ?? 0)
  return turnsIn({ alternations }).every(
    ({ others }) => Math.floor(working / (others.length + 1)) >= LEAST_EXPOSURES,
  )
}

/**
 * Turns that fill what the block misses of heads, lengths and grips, with as few new movements as it takes.
 *
 * Shape:  added to the turns that are there; one exercise after the other, each the one that fills most.
 * Edge:   none where nothing is missed, the block is too short for turns, or nothing possible helps; sore joints get
 *         nothing harder; each choice keeps at least three exposures, and a place has up to four.
 * Source: docs/methods.md#turns.
 */
export function proposedTurns(plan: PlanDocument, context: PlanContext): ProposedTurns {
  const { alternation } = context.method.progress
  const there = plan.block?.alternations ?? []
  const isEmpty = plan.rotation.days.every(day => daySlots(day).length === 0)
  if (isEmpty) return { added: [], alternations: there, before: [], after: [] }
  const places = placeSums(plan, context)
  const offered = candidates(plan, context, alternation === 'week' ? 'week' : 'exposure')
  const before = places.average(there)
  let [alternations, now]: [readonly Alternation[], Sums] = [there, before]
  const added: Alternation[] = []
  while (added.length < MOST_ADDED && missed(now) > LEAST_GAIN) {
    const used = new Set([
      ...exercisesUsed(plan),
      ...added.map(({ exercise }) => exercise as string),
    ])
    let best: { turn: Alternation; next: readonly Alternation[]; sums: Sums; gain: number } | null =
      null
    for (const turn of offered) {
      const next = withTurn(alternations, turn)
      if (!next || !isOftenEnough(plan, next)) continue
      const sums = places.withOne(now, alternations, turn)
      // Between two that fill as much, the one that is known already.
      const gain = missed(now) - missed(sums) + (used.has(turn.exercise) ? LEAST_GAIN / 2 : 0)
      if (gain >= LEAST_GAIN && gain > (best?.gain ?? 0) + 1e-9) best = { turn, next, sums, gain }
    }
    if (!best) break
    ;[alternations, now] = [best.next, best.sums]
    added.push(best.turn)
  }
  return { added, alternations, before: linesOfSums(before), after: linesOfSums(now) }
}

const missed = (of: Sums) => missedCoverage(linesOfSums(of))
