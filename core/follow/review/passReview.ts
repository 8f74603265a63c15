import { isSore, rotationJoints } from '../../body/joints'
import type { ExerciseId } from '../../base'
import { type Group, GROUPS, type Joint, JOINTS } from '../../plan/catalogue'
import { kilogramsOf } from '../../plan/estimate'
import { type RotationLedger, rotationLedger } from '../../count/ledger'
import { isAhead, isLeftOut, type LoggedSet, median } from '../../body/log'
import { asEstimated, bandOf, type PlanContext } from '../../plan/method'
import { meantOtherwise } from './meant'
import { type BlockPass, type BlockSession, passContext } from '../../design/progress'
import { rotationRecovery, type RotationRecovery } from '../../body/recovery'
import type { Rotation } from '../../plan/rotation'
import { sessionSeconds } from '../../plan/minutes'
import { leadRir, nominalReps, plannedSets, type SetRun, workStages } from '../../plan/scheme'
import { sessionSlots, type Slot } from '../../plan/session'
import type { Adjustment, DeloadSign, GroupEvidence } from './adjustment'
import { adjustments, asInBase, DECIDE } from './decide'
import { doneSession } from './doneSession'
import { directOf, directSets, evidenceFor, type Known } from './evidence'
import { isWorkingSet, lowEnd, outcomeOf } from './outcome'
import { ownChanges } from './ownChanges'
import type { ExerciseRow, MuscleRow, PassReview, ReviewQuestion, SessionOutcome } from './reviewed'

const isBehind = ({ state }: SessionOutcome) => !isAhead(state)

/** The rotation with other sessions in its days. */
function withSessions(
  { rotation, sessions }: BlockPass,
  of: (session: BlockSession) => BlockSession['content'] | undefined,
): Rotation {
  return {
    ...rotation,
    days: rotation.days.map((day, d) => ({
      ...day,
      sessions: sessions
        .filter(session => session.day === d && !session.isSkipped)
        .flatMap(session => of(session) ?? []),
    })),
  }
}

/** The ledger of what was done in a pass. */
export function doneLedger(
  pass: BlockPass,
  outcomes: readonly SessionOutcome[],
  context: PlanContext,
): RotationLedger {
  return rotationLedger(doneRotation(pass, outcomes), passContext(context, pass))
}

function doneRotation(pass: BlockPass, outcomes: readonly SessionOutcome[]): Rotation {
  return withSessions(pass, session => {
    const outcome = outcomeOf(session, outcomes)
    return outcome && outcome.sets.length > 0
      ? doneSession(session.content, outcome.sets)
      : undefined
  })
}

type MeantSet = Parameters<typeof meantOtherwise>[0][number]

function exerciseRows(
  pass: BlockPass,
  outcomes: readonly SessionOutcome[],
): readonly ExerciseRow[] {
  const rows = new Map<string, { due: number; slots: Slot[]; sets: LoggedSet[]; all: MeantSet[] }>()
  const rowFor = (exercise: string) =>
    rows.get(exercise) ??
    rows.set(exercise, { due: 0, slots: [], sets: [], all: [] }).get(exercise)!
  for (const session of pass.sessions) {
    const outcome = outcomeOf(session, outcomes)
    if (session.isSkipped || !outcome || !isBehind(outcome)) continue
    for (const slot of sessionSlots(session.content)) {
      const row = rowFor(slot.exercise)
      row.due += plannedSets(slot.scheme)
      row.slots.push(slot)
      row.all.push({ slot, sets: outcome.sets, gaps: outcome.gaps ?? [] })
    }
    for (const set of outcome.sets.filter(isWorkingSet)) rowFor(set.exercise).sets.push(set)
  }
  const middle = (values: readonly number[]) => (values.length > 0 ? median(values) : null)
  return [...rows].map(([exercise, { due, slots, sets, all }]): ExerciseRow => {
    const runs = slots.flatMap(({ scheme }) => scheme.runs.filter(({ role }) => role === 'working'))
    const known = <Value>(values: readonly (Value | null | undefined)[]) =>
      values.flatMap(value => (value === null || value === undefined ? [] : [value]))
    const loads = known(sets.map(({ loadKg }) => loadKg))
    return {
      exercise: exercise as ExerciseId,
      setsDue: due,
      setsDone: sets.length,
      topKg: loads.length > 0 ? Math.max(...loads) : null,
      plannedKg: plannedKg(runs),
      repsPlanned: middle(known(runs.map(run => nominalReps(workStages(run)[0]?.reps)))),
      repsDone: middle(known(sets.map(({ reps }) => reps))),
      rirPlanned: middle(known(runs.map(leadRir))),
      rirDone: middle(known(sets.map(({ rir }) => rir))),
      otherwise: meantOtherwise(all),
    }
  })
}

/** The heaviest weight the plan names for working sets. */
function plannedKg(runs: readonly SetRun[]): number | null {
  const weights = runs
    .flatMap(run => workStages(run).slice(0, 1))
    .flatMap(({ load }) => (load?.kind === 'weight' ? [kilogramsOf(load)] : []))
  return weights.length > 0 ? Math.max(...weights) : null
}

/** How ready a muscle came where it was least. */
function leastReady(recovery: RotationRecovery, group: Group): number | null {
  const arrivals = recovery.arrivals[group].filter(({ role }) => role !== 'indirect')
  return arrivals.length > 0 ? Math.min(...arrivals.map(({ readiness }) => readiness)) : null
}

function timesIn({ days }: Rotation, group: Group, context: PlanContext): number {
  return days.filter(({ sessions }) =>
    sessions.some(session =>
      sessionSlots(session).some(slot => directOf(slot, context).includes(group)),
    ),
  ).length
}

function minutesOf(
  reviewed: BlockPass,
  outcomes: readonly SessionOutcome[],
  context: PlanContext,
): PassReview['minutes'] {
  const known = reviewed.sessions.flatMap(session => {
    const minutes = outcomeOf(session, outcomes)?.minutes
    return minutes
      ? [{ done: minutes, planned: sessionSeconds(session.content, asEstimated(context)) / 60 }]
      : []
  })
  return {
    done: known.reduce((sum, { done }) => sum + done, 0),
    planned: known.reduce((sum, { planned }) => sum + planned, 0),
    sessions: known.length,
  }
}

const LEAST_ANSWERS_FOR_DELOAD = 4
const LEAST_SORE = 2
const LEAST_FALLING = 2
const MISSED_REPS = 2

/** Sessions whose middle set fell two reps or more short of the low end. */
function shortSessions(
  reviewed: BlockPass,
  outcomes: readonly SessionOutcome[],
): readonly BlockSession[] {
  return reviewed.sessions.filter(session => {
    const sets = outcomeOf(session, outcomes)?.sets.filter(isWorkingSet) ?? []
    const missed = sets.flatMap(({ slot, reps }) => {
      const run = sessionSlots(session.content)
        .find(({ id }) => id === slot)
        ?.scheme.runs.find(({ role }) => role === 'working')
      const low = run && lowEnd(run)
      return low === undefined || reps === null ? [] : [Math.max(0, low - reps)]
    })
    return missed.length > 0 && median(missed) >= MISSED_REPS
  })
}

function deloadSigns(
  evidence: readonly GroupEvidence[],
  { question: { context }, outcomes, reviewed }: Known,
): readonly DeloadSign[] {
  const answers = outcomes.flatMap(({ isRecovered }) => isRecovered ?? [])
  const sore = JOINTS.filter((joint: Joint) => isSore(context.client.pain?.[joint]))
  return [
    ...(evidence.filter(({ verdict }) => verdict === 'decline').length >= LEAST_FALLING
      ? ['falling' as const]
      : []),
    ...(answers.length >= LEAST_ANSWERS_FOR_DELOAD &&
    answers.filter(answer => !answer).length / answers.length >= DECIDE.notRecoveredShare
      ? ['not_recovered' as const]
      : []),
    ...(sore.length >= LEAST_SORE ? ['sore_joints' as const] : []),
    ...(shortSessions(reviewed, outcomes).length >= 2 ? ['missed_reps' as const] : []),
  ]
}

/** What is known of a muscle after a rotation; where the block is at its end, as if the rotation came again. */
export function muscleEvidence(question: ReviewQuestion, group: Group): GroupEvidence | undefined {
  const reviewed = question.expanded.passes[question.pass]
  if (!reviewed) return undefined
  const outcomes = question.outcomes.get(question.pass) ?? []
  const rows = exerciseRows(reviewed, outcomes)
  const next = question.expanded.passes[question.pass + 1] ?? reviewed
  return evidenceFor(group, {
    question,
    reviewed,
    next,
    joints: rotationJoints(next.rotation, question.context),
    outcomes,
    done: doneLedger(reviewed, outcomes, question.context),
    before: null,
    due: rows.reduce((sum, row) => sum + row.setsDue, 0),
    setsDone: rows.reduce((sum, row) => sum + row.setsDone, 0),
  })
}

/**
 * A rotation looked back at: plan beside log by muscle and exercise, what was missed, and what the table makes of it for the next one.
 *
 * Shape:  muscles that were planned or done, arms first by the order of groups; exercises in the order of their first session.
 * Units:  counted sets per 7 days under the client's method; sessions that lie ahead are neither due nor missed.
 * Edge:   the last rotation of a block has no next one, and so no proposals.
 * Source: docs/methods.md#review.
 */
export function passReview(question: ReviewQuestion): PassReview | undefined {
  const { expanded, pass, context } = question
  const reviewed = expanded.passes[pass]
  if (!reviewed) return undefined
  const outcomes = question.outcomes.get(pass) ?? []
  const former = expanded.passes[pass - 1]
  const asDone = doneRotation(reviewed, outcomes)
  // What is wanted of a muscle may have changed inside the block.
  const own = passContext(context, reviewed)
  const done = rotationLedger(asDone, own)
  const formerOutcomes = question.outcomes.get(pass - 1) ?? []
  const before =
    former && formerOutcomes.some(({ sets }) => sets.length > 0)
      ? doneLedger(former, formerOutcomes, context)
      : null
  const asDue = withSessions(reviewed, session => {
    const outcome = outcomeOf(session, outcomes)
    return outcome && isBehind(outcome) ? session.content : undefined
  })
  const dueLedger = rotationLedger(asDue, own)
  const planned = rotationLedger(reviewed.rotation, own)
  const [readyDue, readyDone] = [rotationRecovery(asDue, own), rotationRecovery(asDone, own)]
  const exercises = exerciseRows(reviewed, outcomes)
  const [due, setsDone] = [
    exercises.reduce((sum, row) => sum + row.setsDue, 0),
    exercises.reduce((sum, row) => sum + row.setsDone, 0),
  ]
  const next = expanded.passes[pass + 1]
  const known = next && {
    question,
    reviewed,
    next,
    outcomes,
    done,
    before,
    due,
    setsDone,
    joints: rotationJoints(next.rotation, context),
  }
  const evidence = known
    ? GROUPS.filter(group => directSets(next, group, context) > 0).map(group =>
        evidenceFor(group, known),
      )
    : []
  const answers = outcomes.flatMap(({ isRecovered }) => isRecovered ?? [])
  return {
    pass,
    from: reviewed.from,
    to: reviewed.to,
    isDeload: reviewed.isDeload,
    exercises,
    setsDue: due,
    setsDone,
    recovered: answers.filter(Boolean).length,
    notRecovered: answers.filter(answer => !answer).length,
    muscles: GROUPS.map((group): MuscleRow => ({
      group,
      planned: planned.groups[group].week.counted.value,
      due: dueLedger.groups[group].week.counted.value,
      done: done.groups[group].week.counted.value,
      over: Math.max(0, done.groups[group].outside),
      band: bandOf(own, group),
      times: { due: timesIn(asDue, group, context), done: timesIn(asDone, group, context) },
      readiness: { due: leastReady(readyDue, group), done: leastReady(readyDone, group) },
    })).filter(row => row.planned > 0 || row.done > 0),
    missed: reviewed.sessions.filter(session => {
      const outcome = outcomeOf(session, outcomes)
      return outcome !== undefined && isLeftOut(outcome.state)
    }),
    minutes: minutesOf(reviewed, outcomes, context),
    contradictory: shortSessions(reviewed, outcomes)
      .filter(session => outcomeOf(session, outcomes)?.isRecovered === true)
      .map(({ name }) => name),
    adjustments: known && due > 0 ? proposed(evidence, known) : [],
  }
}

/** Whether a method has easier days when signs ask for them. */
const asksForSigns = ({ method: { deload } }: PlanContext) =>
  deload.mode === 'triggered' || deload.mode === 'both'

/** Easier days first, then what spares a joint, then muscles, exercises and sessions; in easier days no load goes up and nothing is made shorter. */
function proposed(evidence: readonly GroupEvidence[], known: Known): readonly Adjustment[] {
  const { question, reviewed, next } = known
  const found = adjustments(
    evidence,
    next.isDeload || !asksForSigns(question.context) ? [] : deloadSigns(evidence, known),
  )
  const groups = next.isBase ? asInBase(found) : found
  const own = ownChanges(question, reviewed, next, groups).filter(
    ({ row }) => !next.isDeload || row === 'E3',
  )
  const isUrgent = ({ row, confidence }: Adjustment) =>
    row === 'A3' || (row === 'E3' && confidence === 'strong')
  return [...groups, ...own].sort((a, b) => Number(isUrgent(b)) - Number(isUrgent(a)))
}
