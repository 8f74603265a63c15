import { DAYS_PER_WEEK, daysBetween, type ExerciseId, remembered } from '../../base'
import type { rotationJoints } from '../../body/joints'
import { rotationRecovery } from '../../body/recovery'
import { UNKNOWN_TREND } from '../../body/trend'
import { type RotationLedger, rotationLedger } from '../../count/ledger'
import { plannedGap } from '../../design/loads'
import { isHeldSets, onTrialUntil } from '../../plan/block'
import { type BlockPass, type BlockSession, passContext } from '../../design/progress'
import {
  directGroups,
  type Group,
  GROUPS,
  indirectGroups,
  type Joint,
  JOINTS,
  requireExercise,
} from '../../plan/catalogue'
import {
  bandOf,
  eatsLess,
  intentFor,
  modeOf,
  PAIN_LEVELS,
  type PlanContext,
} from '../../plan/method'
import { mainGroup } from '../../plan/minutes'
import { plannedSets } from '../../plan/scheme'
import { sessionSlots, type Slot } from '../../plan/session'
import type { ChangedBefore, GroupEvidence } from './adjustment'
import { DECIDE, isMeant, sayNotRecovered } from './decide'
import { outcomeOf } from './outcome'
import type { ReviewQuestion, SessionOutcome } from './reviewed'

/* What is known of each muscle after a rotation: what the table of decisions goes by. */

const creditsOf = (slot: Slot, context: PlanContext) =>
  slot.credits ??
  intentFor(context, requireExercise(context.catalogue, slot.exercise), slot.intent).credits

export const directOf = (slot: Slot, context: PlanContext) => directGroups(creditsOf(slot, context))

export function directSets({ sessions }: BlockPass, group: Group, context: PlanContext): number {
  return sessions
    .filter(({ isSkipped }) => !isSkipped)
    .flatMap(({ content }) => sessionSlots(content))
    .reduce(
      (sum, slot) => sum + (directOf(slot, context).includes(group) ? plannedSets(slot.scheme) : 0),
      0,
    )
}

/** Joints that some of the slots load. */
const jointsOf = (slots: readonly Slot[], context: PlanContext): readonly Joint[] =>
  JOINTS.filter(joint =>
    slots.some(
      slot =>
        intentFor(context, requireExercise(context.catalogue, slot.exercise), slot.intent)
          .jointStress[joint] > 0,
    ),
  )

function soreJoint(
  touched: readonly Joint[],
  { client }: PlanContext,
): NonNullable<GroupEvidence['sore']> | null {
  const [worst] = touched
    .map(joint => ({ joint, level: client.pain?.[joint] ?? ('none' as const) }))
    .sort((a, b) => PAIN_LEVELS.indexOf(b.level) - PAIN_LEVELS.indexOf(a.level))
  return worst && worst.level !== 'none' ? worst : null
}

/** The joint that bears most of what it may in the week it bears most. */
function strainedJoint(
  touched: readonly Joint[],
  joints: Known['joints'],
): NonNullable<GroupEvidence['strain']> | null {
  const [worst] = touched
    .map(joint => ({ joint, share: joints[joint].weekLoad / joints[joint].ceiling.week }))
    .sort((a, b) => b.share - a.share)
  return worst ?? null
}

/** What a rotation's evidence is gathered from. */
export interface Known {
  readonly question: ReviewQuestion
  readonly reviewed: BlockPass
  readonly next: BlockPass
  readonly outcomes: readonly SessionOutcome[]
  readonly done: RotationLedger
  readonly before: RotationLedger | null
  readonly due: number
  readonly setsDone: number
  /** What joints bear in the next rotation. */
  readonly joints: ReturnType<typeof rotationJoints>
}

/** What was answered about it: of the rotation, and lately. */
function answered(group: Group, known: Known) {
  const answers = answersIn(known.reviewed, group, known)
  return {
    recovered: answers.filter(Boolean).length,
    notRecovered: answers.filter(answer => !answer).length,
    lately: latelyFor(group, known),
  }
}

/** How ready it comes to what the next rotation has of it. */
function readiness(group: Group, { question, next }: Known) {
  const context = passContext(question.context, next)
  const arrivals = rotationRecovery(next.rotation, context).arrivals[group].filter(
    ({ role }) => role !== 'indirect',
  )
  const sum = arrivals.reduce((all, arrival) => all + arrival.readiness, 0)
  return {
    readiness: arrivals.length > 0 ? sum / arrivals.length : 100,
    exposures: arrivals.length,
    lowExposures: arrivals.filter(arrival => arrival.readiness < DECIDE.readiness).length,
  }
}

/** How its joints stand. */
function jointsFor(group: Group, { question: { context }, next, joints }: Known) {
  const touched = jointsOf(
    next.sessions
      .flatMap(({ content }) => sessionSlots(content))
      .filter(slot => directOf(slot, context).includes(group)),
    context,
  )
  return { sore: soreJoint(touched, context), strain: strainedJoint(touched, joints) }
}

/** Its sets as planned next, and how it did against its band. */
function doseFor(group: Group, { question, reviewed, next, done, before }: Known) {
  const context = passContext(question.context, next)
  const band = bandOf(context, group)
  const isBelow = (ledger: RotationLedger) =>
    ledger.groups[group].week.counted.value < band.floor - DECIDE.floorSlack
  const direct = directSets(next, group, context)
  return {
    mode: modeOf(context, group),
    direct,
    counted: rotationLedger(next.rotation, context).groups[group].week.counted.value,
    band,
    belowFloorFor: isBelow(done) ? (before && isBelow(before) ? 2 : 1) : 0,
    ramp:
      next.isDeload || reviewed.isDeload
        ? 0
        : Math.max(0, direct - directSets(reviewed, group, context)),
  }
}

export function evidenceFor(group: Group, known: Known): GroupEvidence {
  const { question, next, due, setsDone } = known
  const { context, muscles, trials = [] } = question
  const { verdict, probability, slope } = muscles.get(group) ?? UNKNOWN_TREND
  return {
    group,
    ...doseFor(group, known),
    verdict,
    probability,
    slope,
    ...jointsFor(group, known),
    adherence: due === 0 ? 1 : setsDone / due,
    done: setsDone,
    planned: due,
    ...answered(group, known),
    changed: changedBefore(group, known),
    owed: owedTo(group, next),
    led: ledBy(group, next, context),
    wearsOn: wornBy(group, known),
    ...readiness(group, known),
    daysAway: daysAwayFor(group, known),
    onTrialUntil: onTrialUntil({ trials }, group, next.from),
    eatsLess: eatsLess(context.client),
  }
}

/** Answers of a rotation's sessions by the muscles they are about, each list in their order. */
const answersBy = remembered((pass: BlockPass, { outcomes, context }: ReviewQuestion) => {
  const { at, rotation, sessions } = pass
  const { arrivals } = rotationRecovery(rotation, passContext(context, pass))
  const readyAt = (of: Group, { day, place }: BlockSession) =>
    arrivals[of].find(
      arrival => arrival.day === day && arrival.session === place && arrival.role !== 'indirect',
    )?.readiness ?? 0
  const told = new Map<Group, boolean[]>()
  for (const session of sessions) {
    const answer = outcomeOf(session, outcomes.get(at) ?? [])?.isRecovered ?? null
    if (session.isSkipped || answer === null) continue
    const trained = new Set(sessionSlots(session.content).flatMap(slot => directOf(slot, context)))
    const ready = [...trained].map(of => ({ of, readiness: readyAt(of, session) }))
    const least = Math.min(...ready.map(({ readiness }) => readiness))
    for (const { of, readiness } of ready)
      if (isMeant(answer, readiness, least)) told.set(of, [...(told.get(of) ?? []), answer])
  }
  return told
})

const answersIn = (pass: BlockPass, group: Group, { question }: Known): readonly boolean[] =>
  answersBy(pass, question).get(group) ?? []

/** The last answers about a muscle, over rotations. */
function latelyFor(group: Group, known: Known): readonly boolean[] {
  return known.question.expanded.passes
    .slice(0, known.reviewed.at + 1)
    .flatMap(pass => answersIn(pass, group, known))
    .slice(-DECIDE.lastAnswers)
}

/** The latest change of a muscle's sets that has been done in at least one rotation by the next. */
function changedBefore(group: Group, { question, next }: Known): ChangedBefore | null {
  const latest = next.held
    .filter(isHeldSets)
    .findLast(change => change.group === group && change.from < next.at)
  const from = latest && question.expanded.passes[latest.from]?.from
  return latest && from
    ? {
        row: latest.row,
        change: latest.change,
        rotations: next.at - latest.from,
        weeks: daysBetween(from, next.from) / DAYS_PER_WEEK,
      }
    : null
}

/** What a rotation has of exercises that a muscle leads. */
const slotsLedBy = (group: Group, { sessions }: BlockPass, context: PlanContext): readonly Slot[] =>
  sessions
    .filter(({ isSkipped }) => !isSkipped)
    .flatMap(({ content }) => sessionSlots(content))
    .filter(
      slot => mainGroup(slot, requireExercise(context.catalogue, slot.exercise), context) === group,
    )

const ledBy = (group: Group, next: BlockPass, context: PlanContext): readonly ExerciseId[] => [
  ...new Set(slotsLedBy(group, next, context).map(({ exercise }) => exercise)),
]

/** Muscles that work along in what a muscle leads, and whose last answers say that they have not recovered. */
function wornBy(group: Group, known: Known): readonly Group[] {
  const { context } = known.question
  const along = slotsLedBy(group, known.next, context).flatMap(slot =>
    indirectGroups(creditsOf(slot, context)),
  )
  return GROUPS.filter(other => along.includes(other) && sayNotRecovered(latelyFor(other, known)))
}

/** Sets that were taken out of a muscle because it had not recovered and that were not given back. */
function owedTo(group: Group, { held }: BlockPass): number {
  const own = held
    .filter(isHeldSets)
    .filter(change => change.group === group && (change.row === 'A6' || change.row === 'A14'))
  return Math.max(0, -own.reduce((sum, { change }) => sum + change, 0))
}

/** Days beyond the plan from the last time a muscle was trained directly to the next rotation, as loads reckon them; null where it never was. */
function daysAwayFor(
  group: Group,
  { question: { context, lastDone = [] }, next }: Known,
): number | null {
  const last = lastDone
    .filter(
      ({ exercise, on }) =>
        on < next.from &&
        directGroups(context.catalogue.get(exercise)?.intents[0].credits ?? {}).includes(group),
    )
    .map(({ on }) => on)
    .sort()
    .at(-1)
  return last === undefined
    ? null
    : Math.max(0, daysBetween(last, next.from) - plannedGap(group, next.rotation, context))
}
