import { SECOND_SESSION_HOURS } from '../../plan/rotation'
import {
  addDays,
  daysBetween,
  type ExerciseId,
  type PlainDate,
  DAYS_PER_WEEK,
  HOURS_PER_DAY,
} from '../../base'
import {
  directGroups,
  type Group,
  GROUPS,
  indirectGroups,
  type Joint,
  JOINTS,
  requireExercise,
} from '../../plan/catalogue'
import { jointCeiling, jointLoads } from '../../body/joints'
import { countedWorkOfDay, type CountedWork } from '../../count/ledger'
import {
  type Band,
  bandOf,
  intentFor,
  type Mode,
  modeOf,
  type PlanContext,
  trainingAge,
} from '../../plan/method'
import {
  type BlockPass,
  type BlockSession,
  type CarriedIn,
  carriedInto,
  type ExpandedBlock,
  passContext,
} from '../../design/progress'
import { impulsesOf, RECOVERY, tauHours } from '../../body/recovery'
import { leadRir, nominalReps, plannedSets, workStages } from '../../plan/scheme'
import { sessionSlots, type Slot } from '../../plan/session'
import { type ReplanOption, replans } from '../replan'
import { OWN } from '../review'

/** An exercise of a session as the simulation needs it: what one set of it does. */
export interface RehearsedSlot {
  readonly slot: Slot
  /** Its place among the exercises of its pass. */
  readonly at: number
  readonly exercise: number
  readonly sets: number
  readonly rir: number
  readonly low: number
  readonly high: number
  /** Place of the grouping; the last one is what a session cut short loses. */
  readonly grouping: number
  /** By the order of GROUPS: direct or not, fatigue, counted sets; then points by the order of JOINTS. All of one set. */
  readonly direct: readonly number[]
  /** Groups that work along, by their places. */
  readonly along: readonly number[]
  readonly main: number
  readonly impulse: Float64Array
  readonly counted: Float64Array
  readonly joints: Float64Array
  /** Groups that a set leaves anything in, and joints it loads, by their places. */
  readonly touched: readonly number[]
  readonly strained: readonly number[]
}

/** What is done of a session, and the groups that trains directly. */
export interface Portion {
  readonly slots: readonly RehearsedSlot[]
  readonly groups: readonly number[]
}

/** A session whole, and cut short by its last grouping. */
export interface RehearsedSession {
  readonly session: BlockSession
  readonly hour: number
  readonly whole: Portion
  readonly cut: Portion
}

export interface RehearsedPass {
  readonly isDeload: boolean
  readonly isBase: boolean
  readonly weeks: number
  readonly sessions: readonly RehearsedSession[]
  /** All its exercises, session by session, and the sets planned of each by its place. */
  readonly slots: readonly RehearsedSlot[]
  readonly planned: Int16Array
  readonly direct: Float64Array
  readonly counted: Float64Array
  /** Exercises that train each group directly. */ readonly members: readonly (readonly number[])[]
  /** Groups that work along in what each group leads. */
  readonly along: readonly (readonly number[])[]
  /** What is wanted of each group in it, and its band then. */
  readonly modes: readonly Mode[]
  readonly bands: readonly Band[]
}

/** A block made ready to be gone through many times. */
export interface RehearsalData {
  readonly passes: readonly RehearsedPass[]
  readonly exercises: readonly ExerciseId[]
  /** Of the whole block, by which what a dose does is reckoned. */ readonly bands: readonly Band[]
  /** What was done before the block begins; hours below 0. */
  readonly carried: readonly CarriedIn[]
  readonly tau: readonly number[]
  readonly capacity: readonly number[]
  /** Groups by their place that the block trains directly. */
  readonly trained: readonly number[]
  /** Joints by their place that exercises of a group load. */
  readonly jointsOf: readonly (readonly number[])[]
  /** What the review puts first where a session of the rotation is missed, by its day and place. */
  readonly replans: ReadonlyMap<string, ReplanOption>
  /** Ceilings of joints over 7 days, and exercises that load each with 2 or more. */
  readonly ceilings: readonly number[]
  readonly loading: readonly (readonly number[])[]
  readonly weeklyGain: number
}

/** What a week adds to strength, by training age, as a share; a rule of thumb. Source: docs/methods.md#rehearsal. */
const GAIN = { new: 0.008, mid: 0.004, adv: 0.002 } as const

function perSet(total: ReadonlyMap<Group, number>, sets: number): Float64Array {
  return Float64Array.from(GROUPS, group => (total.get(group) ?? 0) / sets)
}

function countedOf(work: readonly CountedWork[]): ReadonlyMap<Group, number> {
  const sums = new Map<Group, number>()
  for (const { credits, valued } of work)
    for (const group of GROUPS)
      if (credits[group])
        sums.set(group, (sums.get(group) ?? 0) + valued.value * (credits[group] ?? 0))
  return sums
}

function slotOf(
  slot: Slot,
  grouping: number,
  exercise: number,
  work: readonly CountedWork[],
  context: PlanContext,
): Omit<RehearsedSlot, 'at'> | undefined {
  const known = requireExercise(context.catalogue, slot.exercise)
  const sets = plannedSets(slot.scheme)
  const run = slot.scheme.runs.find(({ role }) => role !== 'warmup')
  if (!run || sets === 0) return undefined
  const own = work.filter(counted => counted.slot.id === slot.id)
  const wanted = workStages(run)[0]?.reps
  const count = nominalReps(wanted)
  const credits = slot.credits ?? intentFor(context, known, slot.intent).credits
  const direct = directGroups(credits).map(group => GROUPS.indexOf(group))
  const loads = jointLoads(own, context)
  const [impulse, counted] = [perSet(impulsesOf(own, context), sets), perSet(countedOf(own), sets)]
  return {
    slot,
    exercise,
    sets,
    grouping,
    direct,
    along: indirectGroups(credits).map(group => GROUPS.indexOf(group)),
    main: direct[0] ?? -1,
    rir: leadRir(run) ?? context.method.effort.defaultRir,
    low: wanted?.kind === 'between' ? wanted.low : (count ?? known.repRange[0]),
    high: wanted?.kind === 'between' ? wanted.high : (count ?? known.repRange[1]),
    impulse,
    counted,
    touched: GROUPS.flatMap((_, at) => (impulse[at]! > 0 || counted[at]! > 0 ? [at] : [])),
    joints: Float64Array.from(JOINTS, joint => loads[joint] / sets),
    strained: JOINTS.flatMap((joint, at) => (loads[joint] > 0 ? [at] : [])),
  }
}

function summed(
  sessions: readonly RehearsedSession[],
  of: (slot: RehearsedSlot, group: number) => number,
): Float64Array {
  return Float64Array.from(GROUPS, (_, group) =>
    sessions.reduce(
      (sum, { whole }) =>
        sum + whole.slots.reduce((own, slot) => own + of(slot, group) * slot.sets, 0),
      0,
    ),
  )
}

const portion = (slots: readonly RehearsedSlot[]): Portion => ({
  slots,
  groups: [...new Set(slots.flatMap(({ direct }) => direct))],
})

export const placeKey = ({ day, place }: Pick<BlockSession, 'day' | 'place'>) => `${day} ${place}`

/** The first choice for each session of a rotation, asked once in the middle of the block. */
function replansOf(expanded: ExpandedBlock, context: PlanContext): RehearsalData['replans'] {
  const working = expanded.passes.filter(({ isDeload }) => !isDeload)
  const pass = working[Math.floor((working.length - 1) / 2)]
  return new Map(
    (pass?.sessions ?? [])
      .filter(({ isSkipped }) => !isSkipped)
      .flatMap(session => {
        const [first] = replans({
          expanded,
          missed: session,
          today: addDays(session.on, 1),
          context,
          missedLately: 1,
          isAnchored: pass?.rotation.anchor.kind === 'weekday',
          isClosed: () => false,
        })
        return first ? [[placeKey(session), first.option] as const] : []
      }),
  )
}

/** The sessions of a pass that are done, with what every set of them does. */
function sessionsIn(
  pass: BlockPass,
  from: PlainDate,
  placeOf: (exercise: ExerciseId) => number,
  context: PlanContext,
): readonly RehearsedSession[] {
  let count = 0
  return pass.sessions
    .filter(({ isSkipped }) => !isSkipped)
    .map((session): RehearsedSession => {
      const work = countedWorkOfDay({ role: 'open', sessions: [session.content] }, context)
      const slots = session.content.groupings.flatMap((grouping, at) =>
        grouping.slots.flatMap(slot => {
          const known = slotOf(slot, at, placeOf(slot.exercise), work, context)
          return known ? [{ ...known, at: count++ }] : []
        }),
      )
      const last = session.content.groupings.length - 1
      return {
        session,
        hour: daysBetween(from, session.on) * HOURS_PER_DAY + session.place * SECOND_SESSION_HOURS,
        whole: portion(slots),
        cut: portion(slots.filter(({ grouping }) => grouping < last)),
      }
    })
    .sort((a, b) => a.hour - b.hour)
}

const membersOf = (sessions: readonly RehearsedSession[], group: number): readonly number[] => [
  ...new Set(
    sessions.flatMap(({ whole }) =>
      whole.slots.filter(({ direct }) => direct.includes(group)).map(({ exercise }) => exercise),
    ),
  ),
]

const alongWith = (sessions: readonly RehearsedSession[], group: number): readonly number[] => [
  ...new Set(
    sessions
      .flatMap(({ whole }) => whole.slots)
      .filter(({ main }) => main === group)
      .flatMap(({ along }) => along),
  ),
]

function rehearsedPass(
  pass: BlockPass,
  from: PlainDate,
  placeOf: (exercise: ExerciseId) => number,
  context: PlanContext,
): RehearsedPass {
  const sessions = sessionsIn(pass, from, placeOf, context)
  const own = passContext(context, pass)
  const slots = sessions.flatMap(({ whole }) => whole.slots)
  const planned = new Int16Array(slots.length)
  for (const slot of slots) planned[slot.at] = slot.sets
  return {
    isDeload: pass.isDeload,
    isBase: pass.isBase,
    modes: GROUPS.map(group => modeOf(own, group)),
    bands: GROUPS.map(group => bandOf(own, group)),
    weeks: pass.rotation.days.length / DAYS_PER_WEEK,
    sessions,
    slots,
    planned,
    direct: summed(sessions, (slot, group) => (slot.direct.includes(group) ? 1 : 0)),
    counted: summed(sessions, (slot, group) => slot.counted[group]!),
    members: GROUPS.map((_, group) => membersOf(sessions, group)),
    along: GROUPS.map((_, group) => alongWith(sessions, group)),
  }
}

/** A block made ready for a rehearsal: what every set of every session does, counted once. */
export function rehearsalData(expanded: ExpandedBlock, context: PlanContext): RehearsalData {
  const { passes, from } = expanded
  const exercises: ExerciseId[] = []
  const placeOf = (exercise: ExerciseId) => {
    const at = exercises.indexOf(exercise)
    return at >= 0 ? at : exercises.push(exercise) - 1
  }
  const all = passes.map(pass => rehearsedPass(pass, from, placeOf, context))
  const slots = passes
    .flatMap(({ sessions }) => sessions)
    .flatMap(({ content }) => sessionSlots(content))
  const stressOf = (slot: Slot, joint: Joint) =>
    intentFor(context, requireExercise(context.catalogue, slot.exercise), slot.intent).jointStress[
      joint
    ]
  const touches = (slot: Slot, joint: Joint) => stressOf(slot, joint) > 0
  const trains = (slot: Slot, group: Group) =>
    directGroups(
      slot.credits ??
        intentFor(context, requireExercise(context.catalogue, slot.exercise), slot.intent).credits,
    ).includes(group)
  return {
    passes: all,
    replans: replansOf(expanded, context),
    exercises,
    weeklyGain: GAIN[trainingAge(context.client.trainingAgeMonths)],
    bands: GROUPS.map(group => bandOf(context, group)),
    carried: carriedInto(from, context),
    tau: GROUPS.map(group => tauHours(group, context)),
    capacity: GROUPS.map(group => RECOVERY[group].capacity),
    ceilings: JOINTS.map(joint => jointCeiling(joint, context).week),
    loading: JOINTS.map(joint =>
      exercises.flatMap((id, at) =>
        slots.some(slot => slot.exercise === id && stressOf(slot, joint) >= OWN.painStress)
          ? [at]
          : [],
      ),
    ),
    trained: GROUPS.flatMap((_, at) => (all.some(({ direct }) => direct[at]! > 0) ? [at] : [])),
    jointsOf: GROUPS.map(group =>
      JOINTS.flatMap((joint, at) =>
        slots.some(slot => trains(slot, group) && touches(slot, joint)) ? [at] : [],
      ),
    ),
  }
}
