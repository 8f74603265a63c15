import {
  assuming,
  exactly,
  type Figure,
  type GroupingId,
  remembered,
  type SessionId,
  times,
  ZERO,
} from '../../base'
import {
  type Credits,
  type Exercise,
  type Group,
  type HeadShares,
  type Intent,
  requireExercise,
} from '../../plan/catalogue'
import { intentFor, type PlanContext } from '../../plan/method'
import type { RotationDay } from '../../plan/rotation'
import {
  classedStages,
  type Grip,
  leadRir,
  plainValue,
  type SetRun,
  workStages,
  type WorkStage,
} from '../../plan/scheme'
import type { Grouping, Session, Slot } from '../../plan/session'
import { stageWorths } from './weightedValue'

/** What some of a set's stages are worth, up to one set and beyond it, in the school that weighs sets. Before sides and number of sets. */
export interface WeightedPart {
  readonly base: number
  readonly bonus: number
  readonly primer: number
  readonly credits: Credits
  readonly headShares: HeadShares
}

/** Equal sets of one slot that count alike: the atom of every total. */
export interface CountedWork {
  readonly sessionId: SessionId
  readonly groupingId: GroupingId
  readonly slot: Slot
  readonly run: SetRun
  /** Sets before credits: plain value times sides, 0 where the set is too far from failure. */
  readonly sets: Figure
  /** The same sets in the school's own value; equal to `sets` in most. */
  readonly valued: Figure
  /** Number of sets times sides, whatever they are worth; multiplies the weighted parts. */
  readonly times: Figure
  readonly weighted: readonly WeightedPart[]
  readonly credits: Credits
  readonly headShares: HeadShares
}

/** A curl takes the credits of the curl whose grip it is done with. Source: docs/methods.md#long-sets. */
const CURL_BY_GRIP: Readonly<Partial<Record<Grip, string>>> = {
  supinated: 'dumbbell_curl',
  neutral: 'hammer_curl',
  pronated: 'reverse_curl',
}
/** Work on one side only is half a set. */
const ONE_SIDE = 0.5

/**
 * The counted work of one day, in the order it is done.
 *
 * Shape:   one entry per run of sets; warm-up sets are left out. What counts nothing stands here too, since it tires and loads joints whatever the school.
 * Edge:    a rest day gives an empty list; an unknown RIR or number of reps is filled by the default and marked.
 * Errors:  InvariantError if a slot names an exercise or intent the catalogue lacks.
 * Source:  docs/methods.md#counting.
 */
export const countedWorkOfDay: (day: RotationDay, context: PlanContext) => readonly CountedWork[] =
  remembered((day: RotationDay, context: PlanContext) =>
    day.sessions.flatMap(session =>
      session.groupings.flatMap(grouping =>
        grouping.placement === 'warmup'
          ? []
          : grouping.slots.flatMap(slot =>
              slot.scheme.runs.flatMap(run => workOfRun(session.id, grouping, slot, run, context)),
            ),
      ),
    ),
  )

/** The part of a day's counted work that belongs to one session. */
export const workOfSession: (
  session: Session,
  dayWork: readonly CountedWork[],
) => readonly CountedWork[] = remembered((session: Session, dayWork: readonly CountedWork[]) =>
  dayWork.filter(piece => piece.sessionId === session.id),
)

function workOfRun(
  sessionId: SessionId,
  grouping: Grouping,
  slot: Slot,
  run: SetRun,
  context: PlanContext,
): readonly CountedWork[] {
  if (run.role === 'warmup') return []
  const isWeighing = context.method.school.value === 'weighted'
  const exercise = requireExercise(context.catalogue, slot.exercise)
  const plain = plainValue(run, exercise, context.method.counts)
  const own = creditsOfRun(slot, run, exercise, context)
  const count = times(countOf(run, grouping), run.side ? ONE_SIDE : 1)
  const sets = plain.sets === 0 ? ZERO : hardSets(run, plain, count, context)
  const weighted = isWeighing ? weightedParts(slot, run, exercise, grouping, context) : []
  return [
    {
      sessionId,
      groupingId: grouping.id,
      slot,
      run,
      sets,
      valued: valuedSets(run, plain.sets, sets, context),
      times: count,
      weighted,
      ...own,
    },
  ]
}

function hardSets(
  run: SetRun,
  plain: { sets: number; assumed: boolean },
  count: Figure,
  context: PlanContext,
): Figure {
  const rir = leadRir(run)
  const isHard = (rir ?? context.method.effort.defaultRir) <= context.method.counts.easiest
  let sets = times(count, isHard ? plain.sets : 0)
  if (rir === undefined) sets = assuming(sets, 'rir')
  return plain.assumed ? assuming(sets, 'reps') : sets
}

/** Schools that book each part of a long set count its work stages, joined ones once. */
function valuedSets(
  run: SetRun,
  plain: number,
  sets: Figure,
  { method: { school } }: PlanContext,
): Figure {
  if (school.value !== 'parts' || plain === 0) return sets
  const parts = classedStages(run).filter(
    ({ stage, class: own }) => stage.kind === 'work' && own !== 'join',
  ).length
  return times(sets, parts / plain)
}

function countOf(run: SetRun, { turn, onlyIf }: Grouping): Figure {
  const { count, countRange } = run
  const mayFallAway = run.onlyIf !== undefined || onlyIf !== undefined || turn !== undefined
  const low = mayFallAway ? 0 : (countRange?.low ?? count)
  const high = countRange ? (countRange.high ?? Infinity) : count
  const value = turn && turn.at !== 1 ? 0 : count
  return low === count && high === count && value === count
    ? exactly(count)
    : { value, low, high, assumed: [] }
}

interface RunCredits {
  readonly credits: Credits
  readonly headShares: HeadShares
}

function ownCredits(slot: Slot, exercise: Exercise, context: PlanContext): Intent {
  const own = intentFor(context, exercise, slot.intent)
  return slot.credits ? { ...own, credits: slot.credits } : own
}

/** In plain counting a set gives each group the highest credit among its stages. */
function creditsOfRun(
  slot: Slot,
  run: SetRun,
  exercise: Exercise,
  context: PlanContext,
): RunCredits {
  const base = ownCredits(slot, exercise, context)
  const stages = workStages(run)
  if (stages.every(stage => !stage.exercise && !stage.grip)) return base
  return stages
    .map(stage => intentOfStage(stage, base, slot, context))
    .reduce<RunCredits>(highestOfBoth, { credits: {}, headShares: {} })
}

/** Credits given to a place hold for all stages of its exercise, whatever their grip; another exercise brings its own. */
function intentOfStage(stage: WorkStage, base: Intent, slot: Slot, context: PlanContext): Intent {
  if (slot.credits && !stage.exercise) return base
  const id = stage.exercise?.id ?? slot.exercise
  const exercise = requireExercise(context.catalogue, id)
  const likeCurl = stage.grip && exercise.pattern === 'curl' ? CURL_BY_GRIP[stage.grip] : undefined
  if (likeCurl && likeCurl !== id)
    return intentFor(context, requireExercise(context.catalogue, likeCurl), null)
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

/** The weighted value of a set, stage by stage with each stage's own credits; what lies beyond one set is bonus. */
function weightedParts(
  slot: Slot,
  run: SetRun,
  exercise: Exercise,
  grouping: Grouping,
  context: PlanContext,
): readonly WeightedPart[] {
  const worths = stageWorths(run, exercise, context, grouping.kind === 'circuit')
  const sum = worths.reduce((total, { value }) => total + value, 0)
  if (sum === 0) return []
  const base = ownCredits(slot, exercise, context)
  if (run.role === 'primer')
    return [{ base: 0, bonus: 0, primer: sum, credits: base.credits, headShares: base.headShares }]
  const parts = new Map<Credits, WeightedPart>()
  let before: Intent = base
  for (const { at, value } of worths) {
    const stage = run.stages[at]
    if (stage?.kind === 'work' && (stage.grip || stage.exercise))
      before = intentOfStage(stage, base, slot, context)
    const { credits, headShares } = before
    const known = parts.get(credits) ?? { base: 0, bonus: 0, primer: 0, credits, headShares }
    parts.set(credits, {
      ...known,
      base: known.base + (value / sum) * Math.min(1, sum),
      bonus: known.bonus + (value / sum) * Math.max(0, sum - 1),
    })
  }
  return [...parts.values()]
}
