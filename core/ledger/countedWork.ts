import { assuming, exactly, type Figure, type GroupingId, type SessionId, times } from '../base'
import { type Credits, type Group, type HeadShares, type Intent, requireExercise } from '../catalogue'
import { intentFor, type PlanContext } from '../method'
import type { RotationDay } from '../rotation'
import { type Grip, leadRir, plainValue, type SetRun, workStages, type WorkStage } from '../scheme'
import type { Slot } from '../session'

/** Equal sets of one slot that count alike: the atom of every total. */
export interface CountedWork {
  readonly sessionId: SessionId
  readonly groupingId: GroupingId
  readonly slot: Slot
  /** Sets before credits: plain value times sides, 0 where the set is too far from failure. */
  readonly sets: Figure
  readonly credits: Credits
  readonly headShares: HeadShares
}

/** A curl takes the credits of the curl whose grip it is done with. Source: docs/methods.md#long-sets. */
const CURL_BY_GRIP: Readonly<Partial<Record<Grip, string>>> = {
  supinated: 'dumbbell_curl', neutral: 'hammer_curl', pronated: 'reverse_curl',
}
/** Work on one side only is half a set. */
const ONE_SIDE = 0.5

/**
 * The counted work of one day, in the order it is done.
 *
 * Shape:   one entry per run of sets; warm-up, primer and hold-only sets are left out.
 * Edge:    a rest day gives an empty list; an unknown RIR or number of reps is filled by the default and marked.
 * Errors:  InvariantError if a slot names an exercise or intent the catalogue lacks.
 * Source:  docs/methods.md#counting.
 */
export function countedWorkOfDay(day: RotationDay, context: PlanContext): readonly CountedWork[] {
  return day.sessions.flatMap(session => session.groupings.flatMap(grouping => grouping.slots.flatMap(slot =>
    slot.scheme.runs.flatMap((run) => {
      const sets = setsOfRun(run, context)
      return sets ? [{ sessionId: session.id, groupingId: grouping.id, slot, sets, ...creditsOfRun(slot, run, context) }] : []
    }))))
}

function setsOfRun(run: SetRun, context: PlanContext): Figure | undefined {
  const plain = plainValue(run)
  if (plain.sets === 0) return undefined
  const rir = leadRir(run)
  const isHard = (rir ?? context.method.defaultRir) <= context.method.school.hardMaxRir
  const factor = isHard ? plain.sets * (run.side ? ONE_SIDE : 1) : 0
  let sets = times(countOf(run), factor)
  if (rir === undefined) sets = assuming(sets, 'rir')
  return plain.assumed ? assuming(sets, 'reps') : sets
}

function countOf(run: SetRun): Figure {
  const { count, countRange } = run
  const low = run.onlyIf === undefined ? (countRange?.low ?? count) : 0
  if (!countRange && low === count) return exactly(count)
  return { value: count, low, high: countRange ? (countRange.high ?? Infinity) : count, assumed: [] }
}

interface RunCredits { readonly credits: Credits, readonly headShares: HeadShares }

function creditsOfRun(slot: Slot, run: SetRun, context: PlanContext): RunCredits {
  const own = intentFor(context, requireExercise(context.catalogue, slot.exercise), slot.intent)
  const base = slot.credits ? { ...own, credits: slot.credits } : own
  const stages = workStages(run)
  if (stages.every(stage => !stage.exercise && !stage.grip)) return base
  return stages.map(stage => intentOfStage(stage, base, slot, context)).reduce<RunCredits>(highestOfBoth, { credits: {}, headShares: {} })
}

function intentOfStage(stage: WorkStage, base: Intent, slot: Slot, context: PlanContext): Intent {
  const id = stage.exercise?.id ?? slot.exercise
  const exercise = requireExercise(context.catalogue, id)
  const likeCurl = stage.grip && exercise.pattern === 'curl' ? CURL_BY_GRIP[stage.grip] : undefined
  if (likeCurl && likeCurl !== id) return intentFor(context, requireExercise(context.catalogue, likeCurl), null)
  return stage.exercise ? intentFor(context, exercise, stage.exercise.intent) : base
}

/** For each group the higher credit with the heads that go with it; the earlier stage wins a tie. */
function highestOfBoth(first: RunCredits, second: RunCredits): RunCredits {
  const credits: Partial<Record<Group, number>> = { ...first.credits }
  const headShares: Partial<Record<Group, HeadShares[Group]>> = { ...first.headShares }
  for (const group of Object.keys(second.credits) as Group[]) {
    const credit = second.credits[group] ?? 0
    if (credit <= (credits[group] ?? 0)) continue
    credits[group] = credit
    const shares = second.headShares[group]
    if (shares) headShares[group] = shares
  }
  return { credits, headShares: headShares as HeadShares }
}
