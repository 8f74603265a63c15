import { addDays, type BlockId, blockId, daysBetween, type PlainDate } from '#core/base'
import type { PlanDocument } from '#core/plan/block'
import {
  BUILT_IN_CATALOGUE,
  directGroups,
  type Exercise,
  type Group,
  type Joint,
  requireExercise,
  requireIntent,
} from '#core/plan/catalogue'
import { bodyLoad, expectedReps, loadForReps } from '#core/plan/estimate'
import { type LoggedSet, exposureValue, setsByExercise } from '#core/body/log'
import { turnsHeld } from '#core/plan/shorthand'
import { estimatedParts, type LoggedAt, type SessionTimes, takenGaps } from '#core/body/times'
import type { PlanContext } from '#core/plan/method'
import { sessionTime } from '#core/plan/minutes'
import { type DatedSession, datedSession, expandedBlock } from '#core/design/progress'
import { leadRir, nominalReps, type SetRun, workStages } from '#core/plan/scheme'
import { sessionSlots, type Slot } from '#core/plan/session'
import type { MeasurementKind } from '#core/body/measurements'

/** How a demo client's last weeks went. */
export interface Story {
  /** One-rep maximum of a usual single-joint exercise; compounds follow from it. Units: kg. */
  readonly strengthKg: number
  /** Rise per week as a share, and groups whose exercises fall instead. */
  readonly gain: number
  readonly falling?: readonly Group[]
  /** Sessions that were missed, in days before today. */
  readonly missedDaysAgo?: readonly number[]
  /** Sessions of so many last days that fell short: two reps fewer. */
  readonly shortWithinDays?: number
  /** The next rotation is not sent yet. */
  readonly isUnsent?: boolean
  readonly isUnopened?: boolean
  readonly pains?: readonly {
    readonly daysAgo: number
    readonly joint: Joint
    readonly side: 'left' | 'right' | 'both'
    readonly score: number
    readonly nextMorning?: number
  }[]
  /** Upper arm in centimetres and body weight in kilograms at the beginning. */
  readonly girthCm?: number
  readonly bodyKg?: number
  /** How many times as long as asked the client rests; the phone was along in every session. */
  readonly restsTimes?: number
}

export interface DemoSession extends Omit<DatedSession, 'session'> {
  readonly id: string
  readonly blockId: BlockId
  readonly prescribed: DatedSession['session']
  readonly sentAt: Date | null
  readonly openedAt: Date | null
  readonly finishedAt: Date | null
  readonly minutes: number | null
  readonly isRecovered: boolean | null
  readonly note: string
  readonly times: SessionTimes | null
  readonly sets: readonly LoggedSet[]
}

export interface DemoHistory {
  readonly formerBlock: {
    readonly id: BlockId
    readonly plan: PlanDocument
    readonly closedOn: PlainDate
  } | null
  readonly sessions: readonly DemoSession[]
  readonly pains: readonly {
    readonly id: string
    readonly joint: Joint
    readonly side: 'left' | 'right' | 'both'
    readonly score: number
    readonly nextMorning: number | null
    readonly reportedAt: Date
  }[]
  readonly measurements: readonly {
    readonly id: string
    readonly on: PlainDate
    readonly kind: MeasurementKind
    readonly value: number
  }[]
}

const SENT_DAYS_BEFORE = 3

const at = (on: PlainDate, time: string) => new Date(`${on}T${time}:00Z`)

interface Teller {
  readonly context: PlanContext
  readonly story: Story
  readonly today: PlainDate
  /** Weeks of log there are at least. */ readonly weeks: number
  readonly random: () => number
  readonly newId: () => string
}

/** The client's last weeks, the same for the same seed: a former block where the present one is young, sessions, sets, pain, measurements. */
export function historyOf(plan: PlanDocument, id: BlockId, teller: Teller): DemoHistory {
  const { newId } = teller
  const formerPlan = formerOf(plan, teller)
  const former = formerPlan && { id: blockId(newId()), plan: formerPlan, closedOn: plan.startsOn }
  const sessions = [
    ...(former ? passesOf(former.plan, former.id, former.plan.passes, teller) : []),
    ...passesOf(plan, id, passesSent(plan, teller), teller),
  ]
  return {
    formerBlock: former,
    sessions,
    pains: painsOf(teller),
    measurements: measurementsOf(teller),
  }
}

/** The same rotation before the present block began, where that began too few weeks ago. */
function formerOf(plan: PlanDocument, { today, weeks }: Teller): PlanDocument | null {
  const missing = weeks * 7 - daysBetween(plan.startsOn, today)
  if (missing <= 0) return null
  const passes = Math.ceil(missing / plan.rotation.days.length)
  return {
    ...plan,
    title: 'The block before',
    passes,
    startsOn: addDays(plan.startsOn, -passes * plan.rotation.days.length),
  }
}

/** Rotations of the block that have been sent by today. */
function passesSent(
  { startsOn, passes, rotation }: PlanDocument,
  { today, story }: Teller,
): number {
  const since = daysBetween(startsOn, today)
  const begun = since < 0 ? 0 : Math.floor(since / rotation.days.length) + 1
  const untilNext = begun * rotation.days.length - since
  return Math.min(passes, begun + Number(!story.isUnsent && untilNext <= SENT_DAYS_BEFORE))
}

function passesOf(
  plan: PlanDocument,
  id: BlockId,
  passes: number,
  teller: Teller,
): readonly DemoSession[] {
  return Array.from({ length: passes }, (_, pass) => {
    const start = addDays(plan.startsOn, pass * plan.rotation.days.length)
    const sessions = expandedBlock(plan, teller.context).passes[pass]?.sessions ?? []
    return sessions.map(session => told(datedSession(session, teller.context), id, start, teller))
  }).flat()
}

function told(
  { session, ...dated }: DatedSession,
  id: BlockId,
  start: PlainDate,
  teller: Teller,
): DemoSession {
  const { story, today, random, newId } = teller
  const daysAgo = daysBetween(dated.on, today)
  const isDone = daysAgo > 0 && !(story.missedDaysAgo ?? []).includes(daysAgo)
  const isLast = daysAgo <= 0 && story.isUnopened === true
  const sentAt = at(addDays(start, -SENT_DAYS_BEFORE), '08:10')
  const sets = isDone ? setsDone(session, dated.on, teller) : []
  const timed = isDone && story.restsTimes ? trainedAt(session, story.restsTimes, teller) : null
  return {
    ...dated,
    id: newId(),
    blockId: id,
    prescribed: session,
    times: timed?.times ?? null,
    sets,
    sentAt: daysBetween(today, start) > SENT_DAYS_BEFORE ? null : sentAt,
    openedAt:
      isLast || (story.isUnopened && daysAgo < 7)
        ? null
        : at(addDays(start, -SENT_DAYS_BEFORE), '18:25'),
    finishedAt: isDone ? at(dated.on, '18:40') : null,
    minutes:
      timed?.minutes ?? (isDone ? Math.round(2.4 * dated.setsPlanned + 8 * random()) + 6 : null),
    isRecovered: isDone ? random() > (story.falling ? 0.45 : 0.12) : null,
    note: '',
  }
}

const SET_UP_SLOWER = 1.2

/** A session as it went by the clock, with rests so many times as long as asked, give or take a tenth. */
function trainedAt(
  session: DatedSession['session'],
  restsTimes: number,
  { context, random }: Teller,
): { readonly times: SessionTimes; readonly minutes: number } {
  const { spans } = sessionTime(session, context)
  const logged: LoggedAt[] = []
  let at = 0
  for (const { kind, slot, set, seconds } of spans) {
    const isRest = kind === 'rest' || kind === 'inside'
    const isWay = kind === 'setup' || kind === 'transition'
    at += seconds * (isRest ? restsTimes : isWay ? SET_UP_SLOWER : 1) * (0.9 + 0.2 * random())
    if (kind === 'set' && slot && set !== undefined)
      logged.push({ slot, role: 'working', set: set + 1, at })
  }
  return {
    times: { estimated: estimatedParts(spans), gaps: takenGaps(spans, logged) },
    minutes: Math.round(at / 60),
  }
}

function setsDone(
  session: DatedSession['session'],
  on: PlainDate,
  teller: Teller,
): readonly LoggedSet[] {
  return sessionSlots(session).flatMap(slot => {
    const exercise = requireExercise(BUILT_IN_CATALOGUE, slot.exercise)
    const strength = strengthOn(exercise, slot, on, teller)
    let set = 0
    return slot.scheme.runs
      .filter(({ role }) => role === 'working')
      .flatMap(run =>
        Array.from({ length: run.count }, () => {
          set += 1
          return stagesDone(run, {
            exercise,
            slot,
            set,
            strength,
            body: bodyLifted(exercise, teller.story),
            random: teller.random,
            isShort: daysBetween(on, teller.today) <= (teller.story.shortWithinDays ?? 0),
          })
        }).flat(),
      )
  })
}

/** A number from a name, the same on every machine: 0 to 1. */
function shareOf(name: string): number {
  return [...name].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) % 997, 7) / 997
}

const USUAL_BODY_KG = 75
/** One rep of body-weight work, in what is lifted of the body. */
const BODY_STRENGTH = 1.35

/** What an exercise lifts of the client's own body, kg. */
const bodyLifted = ({ id }: Exercise, { bodyKg = USUAL_BODY_KG }: Story): number =>
  bodyLoad(id, bodyKg, 0) ?? 0

/** One-rep maximum of an exercise on a day, kg. */
function strengthOn(
  exercise: Exercise,
  { intent }: Slot,
  on: PlainDate,
  { story, today, random, weeks: all }: Teller,
): number {
  const weeks = all - daysBetween(on, today) / 7
  const isFalling =
    exercise.kind === 'isolation' &&
    directGroups(requireIntent(exercise, intent).credits).some(group =>
      story.falling?.includes(group),
    )
  const slope = isFalling ? -0.02 : story.gain
  const scale =
    (exercise.kind === 'compound' ? 2.4 : 1) *
    (exercise.loadBasis === 'per_hand' ? 0.5 : 1) *
    (0.8 + 0.5 * shareOf(exercise.id))
  const own = bodyLifted(exercise, story)
  return (
    (own === 0 ? story.strengthKg * scale : own * BODY_STRENGTH) *
    (1 + slope * weeks) *
    (1 + 0.012 * (random() + random() + random() - 1.5))
  )
}

interface Doing {
  readonly exercise: Exercise
  readonly slot: Slot
  readonly set: number
  readonly strength: number
  /** Of it the client's own body, kg. */
  readonly body: number
  readonly random: () => number
  readonly isShort: boolean
}

const USUAL_REPS = 12

function middleReps(run: SetRun): number {
  return nominalReps(workStages(run)[0]?.reps) ?? USUAL_REPS
}

const SHORT_BY = 2

function lowReps(run: SetRun): number {
  const wanted = workStages(run)[0]?.reps
  return wanted?.kind === 'between' ? wanted.low : middleReps(run)
}

function stagesDone(
  run: SetRun,
  { exercise, slot, set, strength, body, random, isShort }: Doing,
): readonly LoggedSet[] {
  const common = {
    slot: slot.id,
    exercise: slot.exercise,
    intent: slot.intent,
    set,
    side: null,
    role: 'working' as const,
    seconds: null,
    isRirOpen: false,
  }
  const rir = leadRir(run) ?? 2
  const isWeighed =
    exercise.loadStepKg > 0 && exercise.repUnit === 'reps' && exercise.loadBasis !== 'counterweight'
  if (!isWeighed) return [{ ...common, stage: 1, loadKg: null, reps: middleReps(run), rir }]
  const step = exercise.loadStepKg
  const loaded = Math.max(
    body > 0 ? 0 : step,
    Math.round((loadForReps(strength, middleReps(run), rir) - body) / step) * step,
  )
  const loadKg = loaded || null
  const tired = strength * (1 - 0.012 * (set - 1))
  const reps = Math.max(3, Math.min(19, Math.round(expectedReps(tired, loaded + body) - rir)))
  const first: LoggedSet = isShort
    ? { ...common, stage: 1, loadKg, reps: Math.max(1, lowReps(run) - SHORT_BY), rir }
    : {
        ...common,
        stage: 1,
        loadKg,
        reps,
        rir: Math.max(0, Math.min(4, rir + Number(random() > 0.9) - Number(random() > 0.9))),
      }
  const hasDrop = workStages(run).length > 1
  return hasDrop
    ? [
        { ...first, rir: 0 },
        {
          ...common,
          stage: 2,
          loadKg: Math.max(step, Math.round((loaded * 0.7) / step) * step),
          reps: 7,
          rir: 0,
        },
      ]
    : [first]
}

function painsOf({ story, today, newId }: Teller): DemoHistory['pains'] {
  return (story.pains ?? []).map(({ daysAgo, nextMorning, ...pain }) => ({
    ...pain,
    id: newId(),
    nextMorning: nextMorning ?? null,
    reportedAt: at(addDays(today, -daysAgo), '07:12'),
  }))
}

const MEASURED_EVERY_DAYS = 21

function measurementsOf({ story, today, random, newId }: Teller): DemoHistory['measurements'] {
  const { girthCm, bodyKg } = story
  if (girthCm === undefined || bodyKg === undefined) return []
  return Array.from({ length: 4 }, (_, step) => {
    const on = addDays(today, -(3 - step) * MEASURED_EVERY_DAYS - 2)
    const grown = girthCm + 0.15 * step + 0.1 * random()
    const one = (kind: MeasurementKind, value: number) => ({
      id: newId(),
      on,
      kind,
      value: Math.round(value * 10) / 10,
    })
    return [
      one('upper_arm_left', grown - 0.2),
      one('upper_arm_right', grown),
      one('body_weight', bodyKg + 0.2 * step + 0.4 * random()),
    ]
  }).flat()
}

/** The trend value of each exercise of a session that was done. */
export const exposuresIn = ({ sets, prescribed }: DemoSession, bodyKg: number | null) =>
  setsByExercise(sets, turnsHeld(prescribed)).flatMap(({ exercise, heldAs, sets: own }) => {
    const value = exposureValue(own, bodyKg)
    return value ? [{ exercise, heldAs, ...value }] : []
  })
