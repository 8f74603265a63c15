import type { ExerciseId, PlainDate } from '../base'
import { directGroups, type Group, GROUPS, type Joint, JOINTS, requireExercise } from '../catalogue'
import { type RotationLedger, rotationLedger } from '../ledger'
import { type LoggedSet, median, pooledTrend, type Trend } from '../log'
import { type Band, bandOf, intentFor, modeOf, PAIN_LEVELS, type PlanContext } from '../method'
import type { BlockPass, BlockSession, ExpandedBlock } from '../progress'
import { rotationRecovery } from '../recovery'
import type { Rotation } from '../rotation'
import { leadRir, nominalReps, plannedSets, workStages } from '../scheme'
import { sessionSlots, type Slot } from '../session'
import { type Adjustment, adjustments, DECIDE, type DeloadSign, type GroupEvidence } from './decide'
import { doneSession } from './doneSession'

/** A session of the rotation with what came of it. */
export interface SessionOutcome {
  readonly day: number
  readonly place: number
  readonly state: 'done' | 'begun' | 'missed' | 'decided' | 'ahead'
  readonly sets: readonly LoggedSet[]
  readonly minutes: number | null
  readonly isRecovered: boolean | null
}

export interface ReviewQuestion {
  readonly expanded: ExpandedBlock
  readonly pass: number
  readonly context: PlanContext
  /** Outcomes by pass: of the reviewed one, and of the one before where there was one. */
  readonly outcomes: ReadonlyMap<number, readonly SessionOutcome[]>
  readonly trends: readonly { readonly exercise: string, readonly trend: Trend }[]
}

/** A muscle over the rotation. Units: counted sets per 7 days; `due` is what was planned for the sessions that are behind. */
export interface MuscleRow { readonly group: Group, readonly planned: number, readonly due: number, readonly done: number, readonly band: Band }

/** An exercise over the rotation. Reps are of first parts of working sets; loads in kilograms. */
export interface ExerciseRow {
  readonly exercise: ExerciseId
  readonly setsDue: number
  readonly setsDone: number
  readonly topKg: number | null
  readonly repsPlanned: number | null
  readonly repsDone: number | null
  readonly rirPlanned: number | null
  readonly rirDone: number | null
}

export interface PassReview {
  readonly pass: number
  readonly from: PlainDate
  readonly to: PlainDate
  readonly isDeload: boolean
  readonly muscles: readonly MuscleRow[]
  readonly exercises: readonly ExerciseRow[]
  readonly setsDue: number
  readonly setsDone: number
  readonly recovered: number
  readonly notRecovered: number
  readonly missed: readonly BlockSession[]
  readonly adjustments: readonly Adjustment[]
}

const isBehind = ({ state }: SessionOutcome) => state !== 'ahead'

function outcomeOf({ day, place }: BlockSession, outcomes: readonly SessionOutcome[]): SessionOutcome | undefined {
  return outcomes.find(outcome => outcome.day === day && outcome.place === place)
}

/** The rotation with other sessions in its days. */
function withSessions({ rotation, sessions }: BlockPass, of: (session: BlockSession) => BlockSession['content'] | undefined): Rotation {
  return { ...rotation, days: rotation.days.map((day, d) => ({ ...day, sessions: sessions.filter(session => session.day === d && !session.isSkipped).flatMap(session => of(session) ?? []) })) }
}

/** The ledger of what was done in a pass. */
export function doneLedger(pass: BlockPass, outcomes: readonly SessionOutcome[], context: PlanContext): RotationLedger {
  return rotationLedger(withSessions(pass, (session) => {
    const outcome = outcomeOf(session, outcomes)
    return outcome && outcome.sets.length > 0 ? doneSession(session.content, outcome.sets) : undefined
  }), context)
}

const directOf = (slot: Slot, context: PlanContext) => directGroups(slot.credits ?? intentFor(context, requireExercise(context.catalogue, slot.exercise), slot.intent).credits)

function directSets({ sessions }: BlockPass, group: Group, context: PlanContext): number {
  return sessions.filter(({ isSkipped }) => !isSkipped).flatMap(({ content }) => sessionSlots(content)).reduce((sum, slot) => sum + (directOf(slot, context).includes(group) ? plannedSets(slot.scheme) : 0), 0)
}

const isWorking = ({ role, stage, side }: LoggedSet) => role === 'working' && stage === 1 && side !== 'right'

function exerciseRows(pass: BlockPass, outcomes: readonly SessionOutcome[]): readonly ExerciseRow[] {
  const rows = new Map<string, { due: number, slots: Slot[], sets: LoggedSet[] }>()
  const rowFor = (exercise: string) => rows.get(exercise) ?? rows.set(exercise, { due: 0, slots: [], sets: [] }).get(exercise)!
  for (const session of pass.sessions) {
    const outcome = outcomeOf(session, outcomes)
    if (session.isSkipped || !outcome || !isBehind(outcome)) continue
    for (const slot of sessionSlots(session.content)) {
      const row = rowFor(slot.exercise)
      row.due += plannedSets(slot.scheme)
      row.slots.push(slot)
    }
    for (const set of outcome.sets.filter(isWorking)) rowFor(set.exercise).sets.push(set)
  }
  const middle = (values: readonly number[]) => (values.length > 0 ? median(values) : null)
  return [...rows].map(([exercise, { due, slots, sets }]): ExerciseRow => {
    const runs = slots.flatMap(({ scheme }) => scheme.runs.filter(({ role }) => role === 'working'))
    const known = <Value>(values: readonly (Value | null | undefined)[]) => values.flatMap(value => (value === null || value === undefined ? [] : [value]))
    const loads = known(sets.map(({ loadKg }) => loadKg))
    return {
      exercise: exercise as ExerciseId, setsDue: due, setsDone: sets.length, topKg: loads.length > 0 ? Math.max(...loads) : null, repsPlanned: middle(known(runs.map(run => nominalReps(workStages(run)[0]?.reps)))), repsDone: middle(known(sets.map(({ reps }) => reps))),
      rirPlanned: middle(known(runs.map(leadRir))), rirDone: middle(known(sets.map(({ rir }) => rir))),
    }
  })
}

function soreJoint(slots: readonly Slot[], context: PlanContext): GroupEvidence['sore'] {
  const touched = JOINTS.filter(joint => slots.some(slot => intentFor(context, requireExercise(context.catalogue, slot.exercise), slot.intent).jointStress[joint] > 0))
  const [worst] = touched.map(joint => ({ joint, level: context.client.pain?.[joint] ?? 'none' as const })).sort((a, b) => PAIN_LEVELS.indexOf(b.level) - PAIN_LEVELS.indexOf(a.level))
  return worst && worst.level !== 'none' ? worst : null
}

interface Known { readonly question: ReviewQuestion, readonly reviewed: BlockPass, readonly next: BlockPass, readonly outcomes: readonly SessionOutcome[], readonly done: RotationLedger, readonly before: RotationLedger | null, readonly due: number, readonly setsDone: number }

function evidenceFor(group: Group, { question, reviewed, next, outcomes, done, before, due, setsDone }: Known): GroupEvidence {
  const { context, trends } = question
  const trained = reviewed.sessions.filter(({ content }) => sessionSlots(content).some(slot => directOf(slot, context).includes(group)))
  const answers = trained.flatMap(session => outcomeOf(session, outcomes)?.isRecovered ?? [])
  const arrivals = rotationRecovery(next.rotation, context).arrivals[group].filter(({ role }) => role !== 'indirect')
  const pooled = pooledTrend(trends.filter(({ exercise }) => {
    const known = context.catalogue.get(exercise)
    return known !== undefined && directGroups(known.intents[0].credits).includes(group)
  }).map(({ trend }) => trend))
  const nextLedger = rotationLedger(next.rotation, context)
  const band = bandOf(context, group)
  const isBelow = (ledger: RotationLedger) => ledger.groups[group].week.counted.value < band.floor - DECIDE.floorSlack
  const direct = directSets(next, group, context)
  return {
    group, mode: modeOf(context, group), direct, counted: nextLedger.groups[group].week.counted.value, band, verdict: pooled.verdict, probability: pooled.probability, slope: pooled.slope,
    sore: soreJoint(next.sessions.flatMap(({ content }) => sessionSlots(content)).filter(slot => directOf(slot, context).includes(group)), context),
    adherence: due === 0 ? 1 : setsDone / due, done: setsDone, planned: due, recovered: answers.filter(Boolean).length, notRecovered: answers.filter(answer => !answer).length,
    readiness: arrivals.length > 0 ? arrivals.reduce((sum, { readiness }) => sum + readiness, 0) / arrivals.length : 100, exposures: arrivals.length, lowExposures: arrivals.filter(({ readiness }) => readiness < DECIDE.readiness).length,
    belowFloorFor: isBelow(done) ? (before && isBelow(before) ? 2 : 1) : 0, ramp: next.isDeload || reviewed.isDeload ? 0 : Math.max(0, direct - directSets(reviewed, group, context)),
  }
}

const LEAST_ANSWERS_FOR_DELOAD = 4
const LEAST_SORE = 2
const LEAST_FALLING = 2
const MISSED_REPS = 2

function deloadSigns(evidence: readonly GroupEvidence[], { question: { context }, outcomes, reviewed }: Known): readonly DeloadSign[] {
  const answers = outcomes.flatMap(({ isRecovered }) => isRecovered ?? [])
  const sore = JOINTS.filter((joint: Joint) => ['hold', 'swap', 'stop'].includes(context.client.pain?.[joint] ?? 'none'))
  const shortSessions = reviewed.sessions.filter((session) => {
    const sets = outcomeOf(session, outcomes)?.sets.filter(isWorking) ?? []
    const missed = sets.flatMap(({ slot, reps }) => {
      const planned = sessionSlots(session.content).find(({ id }) => id === slot)?.scheme.runs.find(({ role }) => role === 'working')
      const wanted = planned && workStages(planned)[0]?.reps
      const low = wanted?.kind === 'between' ? wanted.low : nominalReps(wanted)
      return low === undefined || reps === null ? [] : [Math.max(0, low - reps)]
    })
    return missed.length > 0 && median(missed) >= MISSED_REPS
  })
  return [
    ...(evidence.filter(({ verdict }) => verdict === 'decline').length >= LEAST_FALLING ? ['falling' as const] : []),
    ...(answers.length >= LEAST_ANSWERS_FOR_DELOAD && answers.filter(answer => !answer).length / answers.length >= DECIDE.notRecoveredShare ? ['not_recovered' as const] : []),
    ...(sore.length >= LEAST_SORE ? ['sore_joints' as const] : []), ...(shortSessions.length >= 2 ? ['missed_reps' as const] : []),
  ]
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
  const done = doneLedger(reviewed, outcomes, context)
  const formerOutcomes = question.outcomes.get(pass - 1) ?? []
  const before = former && formerOutcomes.some(({ sets }) => sets.length > 0) ? doneLedger(former, formerOutcomes, context) : null
  const dueLedger = rotationLedger(withSessions(reviewed, (session) => {
    const outcome = outcomeOf(session, outcomes)
    return outcome && isBehind(outcome) ? session.content : undefined
  }), context)
  const planned = rotationLedger(reviewed.rotation, context)
  const exercises = exerciseRows(reviewed, outcomes)
  const [due, setsDone] = [exercises.reduce((sum, row) => sum + row.setsDue, 0), exercises.reduce((sum, row) => sum + row.setsDone, 0)]
  const next = expanded.passes[pass + 1]
  const known = next && { question, reviewed, next, outcomes, done, before, due, setsDone }
  const evidence = known ? GROUPS.filter(group => directSets(next, group, context) > 0).map(group => evidenceFor(group, known)) : []
  const answers = outcomes.flatMap(({ isRecovered }) => isRecovered ?? [])
  return {
    pass, from: reviewed.from, to: reviewed.to, isDeload: reviewed.isDeload, exercises, setsDue: due, setsDone, recovered: answers.filter(Boolean).length, notRecovered: answers.filter(answer => !answer).length,
    muscles: GROUPS.map((group): MuscleRow => ({ group, planned: planned.groups[group].week.counted.value, due: dueLedger.groups[group].week.counted.value, done: done.groups[group].week.counted.value, band: bandOf(context, group) })).filter(row => row.planned > 0 || row.done > 0),
    missed: reviewed.sessions.filter(session => ['missed', 'decided'].includes(outcomeOf(session, outcomes)?.state ?? '')),
    adjustments: known && due > 0 ? adjustments(evidence, next.isDeload ? [] : deloadSigns(evidence, known)) : [],
  }
}
