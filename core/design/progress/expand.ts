import { daysBetween, type PlainDate, remembered, DAYS_PER_WEEK } from '../../base'
import {
  type BlockEvent,
  type BlockException,
  type BlockPlan,
  datedPlace,
  findSlot,
  CHOICE_LETTERS,
  type ChoiceLetter,
  heldIn,
  type HeldChange,
  isHeldReps,
  isHeldSets,
  passDates,
  type PlanDocument,
  sessionOn,
  turnAt,
  type Turns,
  turnsIn,
} from '../../plan/block'
import { rotationLedger } from '../../count/ledger'
import { type Group, requireExercise } from '../../plan/catalogue'
import type { PlanContext } from '../../plan/method'
import { dayName, type DayRole, type Rotation, type RotationDay } from '../../plan/rotation'
import { isAlike, plannedSets } from '../../plan/scheme'
import { mainGroup } from '../../plan/minutes'
import { type Session, sessionSlots, type Slot } from '../../plan/session'
import { groupWeeks, shortSession } from '../short'
import { basePassesOf, isEmptied, waitsForBase } from './base'
import { type PassTerms, sessionInPass } from './passContent'
import { effortRamp, LEAST_RIR } from './ramp'
import { type PassSets, setsOverBlock, withChangedSets } from './setsOverBlock'
import { waySteps } from './ways'

/** A session of a block with its date, as it will be done. */
export interface BlockSession {
  readonly pass: number
  readonly day: number
  readonly place: number
  readonly on: PlainDate
  readonly role: DayRole
  readonly name: string
  readonly minuteLimit?: number
  readonly content: Session
  /** Nothing is done: an event takes the day, another session has its place, or its work waits for the base to be over. */
  readonly isSkipped: boolean
  /** It is skipped because all its work comes in after the base. */
  readonly waits?: true
  readonly isMoved: boolean
  /** Written otherwise for this date alone. */
  readonly isOwn: boolean
  readonly event?: BlockEvent
  /** Set once the client has it: what was prescribed stays whatever the plan becomes. */
  readonly sent?: SentMark
}

export interface SentMark {
  readonly isDone: boolean
  readonly isOpened: boolean
  readonly setsDone: number
  /** The plan would have it otherwise by now. */ readonly isEdited: boolean
}

/** A session the client has been sent, as it was prescribed. */
export interface SentSession extends Omit<SentMark, 'isEdited'> {
  readonly pass: number
  readonly day: number
  readonly place: number
  readonly on: PlainDate
  readonly name: string
  readonly content: Session
}

/** One going through the rotation. */
export interface BlockPass {
  readonly at: number
  readonly from: PlainDate
  readonly to: PlainDate
  readonly isDeload: boolean
  /** Before arm work comes in. */
  readonly isBase: boolean
  /** Place among the working passes, from 1; null for a deload. */
  readonly working: number | null
  /** Reps in reserve of the first working set; null where the rotation's own are left alone. */
  readonly rir: { readonly compound: number; readonly isolation: number } | null
  /** Which of the exercises that take turns; null where none do. */
  readonly choice: ChoiceLetter | 'both' | null
  readonly rotation: Rotation
  readonly sessions: readonly BlockSession[]
  readonly notPlaced: PassSets['notPlaced']
  readonly exceptions: readonly BlockException[]
  /** Changes that hold in it, from it on or from an earlier one. */
  readonly held: readonly HeldChange[]
}

export interface ExpandedBlock {
  readonly passes: readonly BlockPass[]
  readonly from: PlainDate
  readonly to: PlainDate
}

interface Course {
  readonly plan: PlanDocument
  readonly block: BlockPlan
  readonly context: PlanContext
  readonly dates: readonly (readonly PlainDate[])[]
  readonly deloads: ReadonlySet<number>
  /** Passes from the first on that are the base. */
  readonly basePasses: number
  readonly sets: readonly PassSets[]
  readonly rir: {
    readonly compound: readonly number[]
    readonly isolation: readonly number[]
  } | null
  readonly workingPasses: number
  readonly rampSteps: readonly number[]
  readonly weeks: () => ReturnType<typeof groupWeeks>
  /** Sessions the client had and did not do, as `missedKey` spells them. */
  readonly missed: ReadonlySet<string>
}

const MOST_DAYS = 200
const NOTHING = {}
const daysLike = remembered((_day: RotationDay, _: object) => new Set<RotationDay>())

/** A day with its sessions, the same object for the same sessions, so that what was counted of one holds for its like. */
function dayWith(day: RotationDay, sessions: readonly Session[]): RotationDay {
  const like = daysLike(day, NOTHING)
  const isLike = (other: RotationDay) =>
    other.sessions.length === sessions.length &&
    other.sessions.every((session, at) => session === sessions[at])
  if (isLike(day)) return day
  for (const other of like) if (isLike(other)) return other
  if (like.size > MOST_DAYS) like.clear()
  const made = { ...day, sessions }
  like.add(made)
  return made
}

/** The step of the ramp each pass stands on, from 0: it begins after the base, and anew after a deload. */
function rampStepsOf(
  passes: number,
  deloads: ReadonlySet<number>,
  basePasses: number,
): readonly number[] {
  let rampStep = 0
  return Array.from({ length: passes }, (_, at) => {
    const isWaiting = deloads.has(at) || at < basePasses
    if (isWaiting) rampStep = 0
    return isWaiting ? 0 : rampStep++
  })
}

function courseOf(plan: PlanDocument, context: PlanContext, missed: ReadonlySet<string>): Course {
  const { block = {} } = plan
  const deloads = new Set((block.deloads ?? []).filter(pass => pass < plan.passes))
  const workingPasses = plan.passes - deloads.size
  const { effort } = block
  const dates = passDates(plan)
  const basePasses = basePassesOf(plan, dates)
  const rampSteps = rampStepsOf(plan.passes, deloads, basePasses)
  const steps = Math.max(...rampSteps) + 1
  const ledger = rotationLedger(plan.rotation, context)
  return {
    plan,
    block,
    context,
    missed,
    deloads,
    workingPasses,
    rampSteps,
    basePasses,
    dates,
    weeks: () => groupWeeks(ledger),
    sets: setsOverBlock(plan, context, steps, block.ramps ?? {}, ledger),
    rir: effort
      ? {
          compound: effortRamp(effort.compound, steps, LEAST_RIR.compound),
          isolation: effortRamp(effort.isolation, steps, LEAST_RIR.isolation),
        }
      : null,
  }
}

/** Sets of a pass with what was decided for good, and what the coach wants otherwise in it alone. */
function setsIn(
  { plan, context, sets }: Course,
  { rampStep, held, exceptions }: Turn,
): PassSets['of'] {
  // What is taken out and given back later cancels first: neither leaves a trace in the exercises.
  const sums = new Map<Group, number>()
  for (const { group, change } of held.filter(isHeldSets))
    sums.set(group, (sums.get(group) ?? 0) + change)
  const changes = [
    ...[...sums].map(([group, change]) => ({ group, change, isHeld: true })),
    ...exceptions.flatMap(one =>
      one.kind === 'sets' ? [{ group: one.group, change: one.change, isHeld: false }] : [],
    ),
  ]
  return changes.reduce(
    (now, change) => withChangedSets(plan, context, now, change),
    sets[rampStep]?.of ?? new Map(),
  )
}

interface Turn {
  readonly at: number
  readonly working: number
  readonly rampStep: number
  readonly exceptions: readonly BlockException[]
  readonly held: readonly HeldChange[]
}

const missedKey = ({ pass, day, place }: Pick<SentSession, 'pass' | 'day' | 'place'>) =>
  [pass, day, place].join(' ')

/** Working passes before this one in which the client missed the session a slot is in. */
function missedBefore({ plan, deloads, missed }: Course, { slot }: Turns, pass: number) {
  if (missed.size === 0) return 0
  const places = plan.rotation.days.flatMap((day, d) =>
    day.sessions.flatMap((session, place) =>
      sessionSlots(session).some(({ id }) => id === slot) ? [{ day: d, place }] : [],
    ),
  )
  return Array.from({ length: pass }, (_, at) => at).filter(
    at => !deloads.has(at) && places.some(place => missed.has(missedKey({ pass: at, ...place }))),
  ).length
}

/** Which of the exercises it is, from 0: turns by exposure count those done. An exception takes the next one. */
function turnChoice(course: Course, { at, working, exceptions }: Turn) {
  const { plan, workingPasses } = course
  const isNext = exceptions.some(({ kind }) => kind === 'choice')
  return (turns: Turns, on: PlainDate): number => {
    const count = turns.others.length + 1
    const own = turnAt(turns.by, count, {
      working:
        Math.min(working, workingPasses - 1) -
        (turns.by === 'exposure' ? missedBefore(course, turns, at) : 0),
      workingPasses,
      week: Math.floor(daysBetween(plan.startsOn, on) / DAYS_PER_WEEK),
    })
    return isNext ? (own + 1) % count : own
  }
}

const nameFor = (session: Session, day: RotationDay | undefined) =>
  session.name ?? (day ? dayName(day) : '')
const minutesIn = (event: BlockEvent | undefined): number | undefined =>
  event?.effect === 'short' ? event.minutes : undefined

/** The session of one day and place in one pass, with its date and what an event makes of it. */
function datedSession(
  course: Course,
  turn: Turn,
  {
    d,
    place,
    session,
    terms,
  }: {
    readonly d: number
    readonly place: number
    readonly session: Session
    readonly terms: (on: PlainDate, isLight: boolean) => PassTerms
  },
): BlockSession {
  const { plan, context } = course
  const day = plan.rotation.days[d]
  const dated = datedPlace(plan, { pass: turn.at, day: d, place })
  const { on, planned, isMoved, isLeftOut, event } = dated
  const minutes = minutesIn(event)
  const limit = minutes ?? day?.minuteLimit
  const usual = sessionInPass(session, terms(on, event?.effect === 'light'), context)
  const content =
    minutes === undefined
      ? usual
      : shortSession({
          session: usual,
          minutes,
          context,
          weeks: course.weeks(),
          lengthDays: plan.rotation.days.length,
        }).session
  const waits = turn.at < course.basePasses && isEmptied(session, content)
  // What was said for a date comes before what the block makes of it.
  const oneOff = sessionOn(plan, session, planned)
  return {
    pass: turn.at,
    day: d,
    place,
    on,
    role: day?.role ?? 'open',
    name: nameFor(session, day),
    isSkipped: isLeftOut || waits,
    ...(waits && { waits }),
    isMoved,
    isOwn: oneOff !== session,
    content: oneOff === session ? content : oneOff,
    ...(limit !== undefined && { minuteLimit: limit }),
    ...(event && { event }),
  }
}

/** What its main muscle alone was given, of reserve or of reps: another muscle's exercises are left as they are. */
function ownShift(slot: Slot, shiftFor: (group: Group) => number, context: PlanContext): number {
  const main = mainGroup(slot, requireExercise(context.catalogue, slot.exercise), context)
  return main === undefined ? 0 : shiftFor(main)
}

function passOf(course: Course, at: number, working: number): BlockPass {
  const { plan, block, deloads, dates, sets, rir } = course
  const rampStep = course.rampSteps[at]!
  const isDeload = deloads.has(at)
  const turn: Turn = {
    at,
    working,
    rampStep,
    exceptions: (block.exceptions ?? []).filter(({ pass }) => pass === at),
    held: heldIn(block, at),
  }
  const choiceFor = turnChoice(course, turn)
  const turns = turnsIn(block)
  const shiftFor = (group: Group | undefined) =>
    turn.exceptions.reduce(
      (sum, exception) =>
        exception.kind === 'rir' && exception.group === group ? sum + exception.change : sum,
      0,
    )
  const rirShift = shiftFor(undefined)
  const setsHere = setsIn(course, turn)
  const isBase = at < course.basePasses
  const effort =
    rir && !isDeload
      ? { compound: rir.compound[rampStep]!, isolation: rir.isolation[rampStep]! }
      : null
  const wave = block.repWave ?? []
  const waved = wave[rampStep % Math.max(1, wave.length)] ?? 0
  const repsFor = (group: Group) =>
    turn.held
      .filter(isHeldReps)
      .reduce((sum, held) => (held.group === group ? sum + held.reps : sum), 0)
  const terms = (on: PlainDate, isLight: boolean): PassTerms => ({
    setsOf: slot =>
      isBase && waitsForBase(slot, course.context)
        ? 0
        : (setsHere.get(slot.id) ?? plannedSets(slot.scheme)),
    rir: effort,
    rirShiftOf: slot => rirShift + ownShift(slot, shiftFor, course.context),
    isDeload: isDeload || isLight,
    repShiftOf: slot => (isDeload ? 0 : waved + ownShift(slot, repsFor, course.context)),
    otherOf: slot => {
      const own = turns.find(one => one.slot === slot.id)
      return own?.others[choiceFor(own, on) - 1]
    },
    ...(block.failure && {
      isToFailure: daysBetween(plan.startsOn, on) >= (block.failure.fromWeek - 1) * DAYS_PER_WEEK,
    }),
    ...(block.ways && {
      wayOf: (exercise: string) => {
        const way = block.ways?.[exercise]
        return way && { way, steps: waySteps(way, plan.startsOn, on) }
      },
    }),
  })
  const sessions = plan.rotation.days.flatMap((day, d) =>
    day.sessions.map((session, place) => datedSession(course, turn, { d, place, session, terms })),
  )
  const first = dates[at]?.[0] ?? plan.startsOn
  const [choice, ...others] = new Set(
    turns.map(
      own =>
        CHOICE_LETTERS[choiceFor(own, dates[at]?.[findSlot(plan, own.slot)?.day ?? 0] ?? first)]!,
    ),
  )
  return {
    at,
    from: first,
    to: dates[at]?.at(-1) ?? first,
    isDeload,
    isBase,
    working: isDeload ? null : working + 1,
    exceptions: turn.exceptions,
    held: turn.held,
    sessions,
    rir: effort && {
      compound: Math.max(LEAST_RIR.compound, effort.compound + rirShift),
      isolation: Math.max(LEAST_RIR.isolation, effort.isolation + rirShift),
    },
    choice: others.length > 0 ? 'both' : (choice ?? null),
    notPlaced: isDeload ? [] : (sets[rampStep]?.notPlaced ?? []),
    rotation: {
      ...plan.rotation,
      days: plan.rotation.days.map((day, d) =>
        dayWith(
          day,
          sessions
            .filter(session => session.day === d && !session.isSkipped)
            .map(({ content }) => content),
        ),
      ),
    },
  }
}

/**
 * A plan laid out over its dates: every session of every pass as it will be done.
 *
 * Shape:   passes in order, each with its sessions in the order of the rotation; dates are calendar days, so no clock change moves one.
 * Edge:    without anything said about the block every pass is the rotation as it stands.
 * Source:  docs/methods.md#block.
 */
export const expandedBlock = remembered((plan: PlanDocument, context: PlanContext) =>
  laidOut(plan, context, NONE_MISSED),
)
const NONE_MISSED: ReadonlySet<string> = new Set()

function laidOut(
  plan: PlanDocument,
  context: PlanContext,
  missed: ReadonlySet<string>,
): ExpandedBlock {
  const course = courseOf(plan, context, missed)
  let working = 0
  const passes = Array.from({ length: plan.passes }, (_, at) => {
    const pass = passOf(course, at, working)
    if (!pass.isDeload) working += 1
    return pass
  })
  return { passes, from: plan.startsOn, to: passes.at(-1)?.to ?? plan.startsOn }
}

const laidOutBefore = remembered(
  (_plan: PlanDocument, _context: PlanContext) => new Map<string, ExpandedBlock>(),
)
const MOST_KNOWN = 8

/** The plan laid out with turns by exposure counting what was done: a session that was missed takes no turn with it. */
export function expandedAfter(
  plan: PlanDocument,
  context: PlanContext,
  sent: readonly SentSession[],
  today: PlainDate,
): ExpandedBlock {
  const turns = plan.block?.alternations ?? []
  const missed = turns.some(({ by }) => by === 'exposure')
    ? sent.filter(({ isDone, setsDone, on }) => !isDone && setsDone === 0 && on < today)
    : []
  if (missed.length === 0) return expandedBlock(plan, context)
  const keys = missed.map(missedKey)
  const known = laidOutBefore(plan, context)
  const before = known.get(keys.join())
  if (before) return before
  if (known.size > MOST_KNOWN) known.clear()
  const made = laidOut(plan, context, new Set(keys))
  known.set(keys.join(), made)
  return made
}

/** The block as the client has it: what was sent as it was sent, and what is ahead by what was done. */
export const blockAsTold = (
  plan: PlanDocument,
  context: PlanContext,
  sent: readonly SentSession[],
  today: PlainDate,
): ExpandedBlock => issuedBlock(expandedAfter(plan, context, sent, today), sent)

/** The block with what has been sent in place of what the plan would have; days of a pass that were not sent with it stay planned. */
export const issuedBlock = remembered(
  (expanded: ExpandedBlock, sent: readonly SentSession[]): ExpandedBlock => {
    if (sent.length === 0) return expanded
    const passes = expanded.passes.map((pass): BlockPass => {
      const own = sent.filter(({ pass: of }) => of === pass.at)
      if (own.length === 0) return pass
      const sessions = pass.sessions.map((session): BlockSession => {
        const issued = own.find(({ day, place }) => day === session.day && place === session.place)
        if (!issued) return session
        // What the plan leaves out by now is still on the client's sheet.
        const isEdited =
          session.isSkipped || issued.on !== session.on || !isAlike(issued.content, session.content)
        return {
          ...session,
          on: issued.on,
          content: isEdited ? issued.content : session.content,
          isSkipped: false,
          sent: {
            isDone: issued.isDone,
            isOpened: issued.isOpened,
            setsDone: issued.setsDone,
            isEdited,
          },
        }
      })
      const isWholly = sessions.every(
        ({ sent: mark, isSkipped }) => mark !== undefined || isSkipped,
      )
      return {
        ...pass,
        ...(isWholly && {
          notPlaced: [],
          ...(sessions.some(({ sent: mark }) => mark?.isEdited) && { rir: null }),
        }),
        sessions,
        rotation: {
          ...pass.rotation,
          days: pass.rotation.days.map((day, d) =>
            dayWith(
              day,
              sessions
                .filter(session => session.day === d && !session.isSkipped)
                .map(({ content }) => content),
            ),
          ),
        },
      }
    })
    return { ...expanded, passes }
  },
)
