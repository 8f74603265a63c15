import { remembered, type SlotId } from '../../base'
import { type Group, GROUPS } from '../../plan/catalogue'
import { modeOf, type PlanContext } from '../../plan/method'
import { sessionSeconds } from '../../plan/minutes'
import { plannedSets } from '../../plan/scheme'
import { type Grouping, type Session, sessionSlots, type Slot } from '../../plan/session'
import * as steps from './steps'
import type { ShortStep, Shortening } from './steps'
import { type GroupWeek, sessionWorth, setWorthInWeek, slotCredits } from './worth'

/** `usual` follows the method's own order of steps; the others begin with another idea and go on as usual. */
export const SHORT_WAYS = ['usual', 'later_exercises', 'fewer_exercises'] as const
export type ShortWay = (typeof SHORT_WAYS)[number]

export interface ShortQuestion {
  readonly session: Session
  readonly minutes: number
  readonly context: PlanContext
  readonly weeks: Readonly<Record<Group, GroupWeek>>
  readonly lengthDays: number
  readonly way?: ShortWay
  /** Keys of steps the coach does not want. */
  readonly refused?: ReadonlySet<string>
}

/** A step that was taken, and what it saves. Units: seconds. */
export interface ShortChange {
  readonly key: string
  readonly step: ShortStep
  readonly slots: readonly Slot[]
  readonly saved: number
}

export interface ShortSession {
  readonly session: Session
  readonly seconds: number
  readonly before: number
  readonly fits: boolean
  readonly changes: readonly ShortChange[]
  /** Share of the session's worth that is kept, 0 to 1; credits and priorities count. */
  readonly kept: number
  /** Counted sets (credits) of each group that the session has, before and after. */
  readonly groups: readonly {
    readonly group: Group
    readonly before: number
    readonly after: number
  }[]
  /** Sets of each exercise, before and after, where they differ. */
  readonly slots: readonly {
    readonly slot: Slot
    readonly before: number
    readonly after: number
  }[]
}

type Generator = (session: Session, context: PlanContext) => readonly Shortening[]
/** The method's order names steps by these numbers; 7 comes last always, 8 is an offer and no step. */
const BY_NUMBER: Readonly<Record<number, Generator>> = {
  1: steps.shorterWarmUp,
  2: steps.fewerWarmUpSets,
  3: steps.pairedNeighbours,
  4: steps.shorterRests,
  5: steps.droppedLast,
  6: steps.oneSetLess,
}
const MOST_DROPS = 2
const REST_OF_IT: readonly Generator[] = [steps.oneSetLess, steps.leadsOnly]

function order(way: ShortWay, { method }: PlanContext): readonly Generator[] {
  const usual = method.time.compression.flatMap(number => BY_NUMBER[number] ?? [])
  if (way === 'later_exercises')
    return [
      steps.shorterWarmUp,
      steps.fewerWarmUpSets,
      steps.laterExercises,
      ...usual,
      ...REST_OF_IT,
    ]
  if (way === 'fewer_exercises')
    return [
      steps.shorterWarmUp,
      steps.fewerWarmUpSets,
      steps.fewerExercises,
      ...usual,
      ...REST_OF_IT,
    ]
  return [...usual, ...REST_OF_IT]
}

interface State {
  readonly session: Session
  readonly seconds: number
  readonly changes: readonly ShortChange[]
  readonly removed: ReadonlyMap<Group, number>
}

/** Larger is better: the most time saved, or for sets the least worth lost for each second. */
function merit(
  candidate: Shortening,
  saved: number,
  { removed }: State,
  { context, weeks, lengthDays }: ShortQuestion,
): number {
  const [slot] = candidate.slots
  return candidate.step === 'sets' && slot
    ? -setWorthInWeek(slot, context, weeks, lengthDays, removed) / saved
    : saved
}

const SLACK = 1e-9

/** Seconds saved by one set less of a grouping as it stands; the same for as long as the grouping does. */
const savedInGrouping = remembered(
  (_touched: Grouping, _context: PlanContext) => new Map<string, number>(),
)

function savedBy({ key, apply, touched }: Shortening, state: State, context: PlanContext): number {
  const whole = () => state.seconds - sessionSeconds(apply(), context)
  if (!touched) return whole()
  const known = savedInGrouping(touched, context)
  const saved = known.get(key) ?? whole()
  known.set(key, saved)
  return saved
}

function bestOf(
  candidates: readonly Shortening[],
  state: State,
  question: ShortQuestion,
): { readonly candidate: Shortening; readonly saved: number } | undefined {
  let best: { candidate: Shortening; saved: number; merit: number } | undefined
  for (const candidate of candidates) {
    if (question.refused?.has(candidate.key)) continue
    const saved = savedBy(candidate, state, question.context)
    if (saved <= SLACK) continue
    const own = merit(candidate, saved, state, question)
    const isTie = best && Math.abs(own - best.merit) <= SLACK
    // Candidates come in the order of the session; of equal sets the later one goes.
    const wins = !best || (isTie ? candidate.step === 'sets' : own > best.merit)
    if (wins) best = { candidate, saved, merit: own }
  }
  return best
}

function taken(
  state: State,
  { candidate, saved }: { readonly candidate: Shortening; readonly saved: number },
  { context, lengthDays }: ShortQuestion,
): State {
  const { key, step, slots, apply } = candidate
  const removed = new Map(state.removed)
  const [slot] = slots
  if (step === 'sets' && slot)
    for (const [group, credit] of slotCredits(slot, context))
      removed.set(group, (removed.get(group) ?? 0) + (credit * 7) / lengthDays)
  return {
    session: apply(),
    seconds: state.seconds - saved,
    removed,
    changes: [...state.changes, { key, step, slots, saved }],
  }
}

function isDone(generator: Generator, { changes }: State): boolean {
  return (
    generator === steps.droppedLast &&
    changes.filter(({ step }) => step === 'drop').length >= MOST_DROPS
  )
}

/**
 * A session made to fit so many minutes, by small steps in order: least harm first, as soon as it fits no step more.
 *
 * Edge:   exercises held fixed and refused steps are left alone; where nothing more can go `fits` is false and the
 *         shortest session found is given.
 * Source: docs/methods.md#short-sessions; examples T16 to T18 in short.test.ts.
 */
export function shortSession(question: ShortQuestion): ShortSession {
  const { session, minutes, context, way = 'usual' } = question
  const before = sessionSeconds(session, context)
  let state: State = { session, seconds: before, changes: [], removed: new Map() }
  const isOver = () => state.seconds > minutes * 60 + SLACK
  for (const generator of order(way, context)) {
    while (isOver() && !isDone(generator, state)) {
      const best = bestOf(generator(state.session, context), state, question)
      if (!best) break
      state = taken(state, best, question)
    }
  }
  return {
    session: state.session,
    seconds: state.seconds,
    before,
    fits: !isOver(),
    changes: state.changes,
    ...report(session, state.session, context),
  }
}

function creditSums(session: Session, context: PlanContext): ReadonlyMap<Group, number> {
  const sums = new Map<Group, number>()
  for (const { placement, slots } of session.groupings) {
    if (placement === 'warmup') continue
    for (const slot of slots)
      for (const [group, credit] of slotCredits(slot, context))
        sums.set(group, (sums.get(group) ?? 0) + credit * plannedSets(slot.scheme))
  }
  return sums
}

/** What two versions of a session give, beside each other. */
function report(
  before: Session,
  after: Session,
  context: PlanContext,
): Pick<ShortSession, 'kept' | 'groups' | 'slots'> {
  const [was, is] = [creditSums(before, context), creditSums(after, context)]
  const worth = sessionWorth(before, context)
  const left = new Map<SlotId, number>(
    sessionSlots(after).map(slot => [slot.id, plannedSets(slot.scheme)]),
  )
  return {
    kept: worth === 0 ? 1 : sessionWorth(after, context) / worth,
    groups: GROUPS.filter(group => was.has(group))
      .map(group => ({ group, before: was.get(group) ?? 0, after: is.get(group) ?? 0 }))
      .sort(
        (a, b) =>
          Number(modeOf(context, b.group) === 'build') -
          Number(modeOf(context, a.group) === 'build'),
      ),
    slots: sessionSlots(before)
      .map(slot => ({ slot, before: plannedSets(slot.scheme), after: left.get(slot.id) ?? 0 }))
      .filter(row => row.before !== row.after),
  }
}
