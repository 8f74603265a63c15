import { exerciseId, type PlainDate, type SlotId } from '../../base'
import {
  ARM_GROUPS,
  CAUTIONS,
  cueLines,
  type Exercise,
  type Group,
  GROUPS,
  type Intent,
  JOINTS,
  rankedSubstitutes,
  requireExercise,
  type Substitute,
} from '../../plan/catalogue'
import { isTooHard } from '../../body/joints'
import type { Exposure } from '../../body/log'
import type { SlotLoads } from '../../design/loads'
import { barOf, loadGrid, saidAmount } from '../../plan/estimate'
import {
  formatSetCount,
  GROUPING_NAMES,
  loadReasonWords,
  loadWords,
  NBSP,
  PLACEMENT_NAMES,
  restWords,
  shapeLossWords,
  shortSheetWords,
  slotName,
  swapChangeWords,
} from '../../words'
import { insteadOf, intentFor, notPlanned, type PlanContext } from '../../plan/method'
import { mainGroup, pairRests, sessionTime, type TimeSpan } from '../../plan/minutes'
import {
  leadRir,
  nominalReps,
  plannedSets,
  setUpFieldsOf,
  sharedControls,
  type WeightUnit,
  workStages,
} from '../../plan/scheme'
import {
  type Grouping,
  type Session,
  sessionInTurn,
  sessionSlots,
  type Slot,
} from '../../plan/session'
import type {
  SheetExercise,
  SheetGroup,
  SheetMovement,
  SheetSession,
  SheetSet,
  SheetSwap,
  SheetTurn,
  SheetWay,
} from '../../follow/sheet'
import { type GroupWeek, shortSession } from '../../design/short'
import { standInLoad } from './standInLoad'
import { sheetSets } from './sheetSets'

/** A session that was sent, with all a sheet is made from. */
export interface SheetQuestion {
  readonly id: string
  readonly on: PlainDate
  readonly name: string
  readonly minuteLimit: number | null
  readonly content: Session
  /** How often the rotation was gone through before, for what is done every other time. */
  readonly pass: number
  readonly context: PlanContext
  readonly unit: WeightUnit
  /** Loads of its slots, from the one forecast. */
  readonly loads: ReadonlyMap<SlotId, SlotLoads>
  /** What was done before, exercise by exercise, the oldest first. */
  readonly log: ReadonlyMap<string, readonly Exposure[]>
  /** How stations were set up when a client last said so, by exercise. */
  /** Finishers of the plan: any of them may stand in for one that may be exchanged. */
  readonly finishers?: readonly Pick<Slot, 'exercise' | 'intent'>[]
  readonly setUps?: ReadonlyMap<string, NonNullable<SheetMovement['setUp']['last']>>
  /** For making it shorter; left out, there is one way only. */
  readonly shortening?: {
    readonly weeks: Readonly<Record<Group, GroupWeek>>
    readonly lengthDays: number
  }
}

const LETTERS = 'abcdefghijklmnopqrstuvwxyz'
const MOST_SWAPS = 5
/** Minutes a client may say she has. */
const SHORT_MINUTES = [15, 20, 25, 30, 35, 40, 45, 50, 60, 75] as const
const SHORTER_BY_SECONDS = 150
const MOST_SHORT_WAYS = 5

function familyOf(slot: Slot, exercise: Exercise, context: PlanContext): SheetExercise['family'] {
  const group = mainGroup(slot, exercise, context)
  if (group === 'biceps' || group === 'elbow_flexors_other') return 'flex'
  if (group === 'triceps') return 'ext'
  return group === 'forearms'
    ? 'fore'
    : (ARM_GROUPS as readonly Group[]).includes(group ?? 'chest')
      ? 'flex'
      : 'body'
}

/** How the number of a load is meant: each hand's, each side's, on the stack. */
function scaleWords({ loadBasis }: Exercise, slot?: Slot): string {
  const named = slot?.scheme.runs
    .flatMap(run => workStages(run))
    .map(({ load }) => load)
    .find(load => load?.kind === 'weight' || load?.kind === 'stack_position')
  if (named?.kind === 'weight')
    return loadWords(named)
      .replace(/^\S+\s\S+?(?= |$)/, '')
      .trim()
  if (named?.kind === 'stack_position') return 'plate of the stack'
  return {
    total: '',
    per_hand: 'in each hand',
    stack: 'on the stack',
    added: 'added',
    counterweight: 'taken off',
    band: '',
    angle: '',
  }[loadBasis]
}

function lastTime(exercise: string, { log, on, unit }: SheetQuestion): SheetMovement['last'] {
  const last = (log.get(exercise) ?? []).filter(exposure => exposure.on < on).at(-1)
  if (!last) return null
  const amount = (kg: number | null) => (kg === null ? null : saidAmount(kg, unit))
  return {
    on: last.on,
    sets: last.sets
      .filter(({ role, stage }) => role === 'working' && stage === 1)
      .map(({ loadKg, reps, seconds, rir }) => ({
        amount: amount(loadKg),
        count: reps ?? seconds,
        rir,
      })),
  }
}

function movement(
  exercise: Exercise,
  intent: Intent,
  question: SheetQuestion,
  slot?: Slot,
): SheetMovement {
  const named = slot?.scheme.runs
    .flatMap(run => workStages(run))
    .map(({ load }) => load)
    .find(load => load?.kind === 'weight')
  const unit = named?.kind === 'weight' ? named.unit : question.unit
  const { gear } = question.context.client
  const done = {
    exercise: exerciseId(exercise.id),
    intent: exercise.intents[0].id === intent.id ? null : intent.id,
  }
  return {
    ...done,
    name: slotName(done, question.context.catalogue),
    how: intent.how,
    cues: cueLines(exercise.id, intent.id),
    cautions: exercise.cautions.map(caution => CAUTIONS[caution]),
    countUnit: exercise.repUnit,
    scale: {
      unit,
      grid: loadGrid(exercise, unit, gear),
      words: scaleWords(exercise, slot),
      bar: barOf(exercise, unit, gear),
    },
    stress: Object.fromEntries(
      JOINTS.filter(joint => intent.jointStress[joint] > 0).map(joint => [
        joint,
        intent.jointStress[joint],
      ]),
    ),
    last: lastTime(exercise.id, { ...question, unit }),
    setUp: {
      fields: setUpFieldsOf(exercise),
      planned: (slot && sharedControls(slot.scheme).shared.setUp) ?? null,
      last: question.setUps?.get(exercise.id) ?? null,
    },
  }
}

/** The plan's other finishers, for a slot whose finisher may be exchanged on the day: chosen on impulse, counted as done. */
function otherFinishers(
  slot: Slot,
  without: readonly string[],
  { content, context, finishers = [] }: SheetQuestion,
): readonly Pick<Substitute, 'exercise' | 'intent'>[] {
  const grouping = content.groupings.find(({ slots }) => slots.some(({ id }) => id === slot.id))
  if (!grouping?.replaceable) return []
  const ids = [...new Set(finishers.map(({ exercise }) => exercise))]
  return ids
    .filter(id => !without.includes(id))
    .slice(0, MOST_SWAPS)
    .map(id => {
      const exercise = requireExercise(context.catalogue, id)
      const intent = finishers.find(one => one.exercise === id)?.intent ?? null
      return { exercise, intent: intentFor(context, exercise, intent) }
    })
    .filter(({ intent }) => !isTooHard(intent.jointStress, context))
}

/** What can stand in: as like as possible, and where a joint is stressed, something kinder to it. */
function swapsFor(
  slot: Slot,
  exercise: Exercise,
  intent: Intent,
  question: SheetQuestion,
): readonly SheetSwap[] {
  const { context, content } = question
  const own = context.client.equipment
  const without = [
    ...sessionSlots(content).map(held => held.exercise),
    ...notPlanned(context.client),
  ]
  const ranked = rankedSubstitutes(exercise, intent, context.catalogue, {
    equipment: own,
    without,
    first: insteadOf(context.client, exercise.id),
  })
  const stressed = JOINTS.filter(joint => intent.jointStress[joint] >= 2)
  const kinder = stressed.flatMap(joint =>
    ranked
      .filter(
        ({ intent: other }) =>
          other.jointStress[joint] < intent.jointStress[joint] && other.jointStress[joint] <= 1,
      )
      .slice(0, 1),
  )
  const chosen = [
    ...otherFinishers(slot, without, question),
    ...new Set([...ranked.slice(0, MOST_SWAPS - 1), ...kinder]),
  ].slice(0, MOST_SWAPS + 1)
  const run = slot.scheme.runs.find(({ role }) => role === 'working')
  const aim = {
    reps:
      nominalReps(run && workStages(run)[0]?.reps) ??
      (exercise.repRange[0] + exercise.repRange[1]) / 2,
    rir: (run && leadRir(run)) ?? context.method.effort.defaultRir,
  }
  return chosen.map((choice): SheetSwap => ({
    ...movement(choice.exercise, choice.intent, question),
    start: standInLoad(choice.exercise, question, aim),
    changes: swapChangeWords({
      credits: GROUPS.map(group => ({
        group,
        before: intent.credits[group] ?? 0,
        after: choice.intent.credits[group] ?? 0,
      })).filter(row => row.before !== row.after),
      stress: JOINTS.map(joint => ({
        joint,
        before: intent.jointStress[joint],
        after: choice.intent.jointStress[joint],
      })).filter(row => row.before !== row.after),
    }),
  }))
}

const isTogether = ({ kind, slots }: Grouping) => kind !== 'straight' && slots.length > 1

function groupWords(grouping: Grouping, context: PlanContext): string {
  const words = [
    grouping.placement === 'main' ? '' : PLACEMENT_NAMES[grouping.placement],
    isTogether(grouping) ? GROUPING_NAMES[grouping.kind] : '',
  ]
  if (isTogether(grouping)) {
    const { inside, after } = pairRests(grouping, context)
    const said = (rest: Grouping['restAfterRound'], seconds: number) =>
      restWords(rest ?? { kind: 'seconds', seconds })
    words.push(
      `${said(grouping.restBetweenPartners, inside.seconds)} between, ${said(grouping.restAfterRound, after.seconds)} after each round`,
    )
  }
  if (grouping.onlyIf) words.push(`only if ${grouping.onlyIf}`)
  return words.filter(Boolean).join(', ')
}

/** The sets of a session in the order its minutes are reckoned in, with the rest that follows each. */
function turnsOfSpans(
  spans: readonly TimeSpan[],
  sets: ReadonlyMap<SlotId, readonly SheetSet[]>,
): readonly SheetTurn[] {
  const turns: SheetTurn[] = []
  const warmups = new Map<SlotId, number>()
  for (const { kind, slot, set, start, seconds } of spans) {
    const own = slot && sets.get(slot)
    const last = turns.at(-1)
    if (!slot || !own || (kind !== 'set' && kind !== 'warmup')) {
      // Warming up for a partner, changing place and resting all are time until the next set.
      if (last) turns[turns.length - 1] = { ...last, rest: last.rest + seconds }
      continue
    }
    const at =
      kind === 'warmup' ? nth(own, 'warmup', warmups.get(slot) ?? 0) : nth(own, 'other', set ?? 0)
    if (kind === 'warmup') warmups.set(slot, (warmups.get(slot) ?? 0) + 1)
    if (at < 0) continue
    if (last && last.slot === slot && last.set === at)
      turns[turns.length - 1] = { ...last, seconds: last.seconds + last.rest + seconds, rest: 0 }
    else
      turns.push({
        slot,
        set: at,
        start,
        seconds: kind === 'warmup' ? Math.max(10, seconds - WARM_UP_REST) : seconds,
        rest: kind === 'warmup' ? WARM_UP_REST : 0,
      })
  }
  return turns.map((turn, at) => (at === turns.length - 1 ? { ...turn, rest: 0 } : turn))
}
const WARM_UP_REST = 45

/** Place of the n-th warm-up or other set among all sets of an exercise. */
function nth(sets: readonly SheetSet[], kind: 'warmup' | 'other', wanted: number): number {
  let left = wanted
  return sets.findIndex(({ role }) => (role === 'warmup') === (kind === 'warmup') && left-- === 0)
}

function groupsOf(
  session: Session,
  spans: readonly TimeSpan[],
  context: PlanContext,
): readonly SheetGroup[] {
  return session.groupings.flatMap((grouping): SheetGroup[] => {
    const own = spans.filter(span => span.grouping === grouping.id)
    const [first] = own
    return first
      ? [
          {
            slots: grouping.slots.map(({ id }) => id),
            kind: grouping.kind,
            placement: grouping.placement,
            words: groupWords(grouping, context),
            start: first.start,
            seconds: own.reduce((sum, { seconds }) => sum + seconds, 0),
          },
        ]
      : []
  })
}

function way(
  session: Session,
  question: SheetQuestion,
  about: { readonly minutes: number | null; readonly words: string },
): SheetWay {
  const { context } = question
  const sets = new Map(
    session.groupings.flatMap(grouping =>
      grouping.slots.map(
        slot =>
          [
            slot.id,
            sheetSets(slot.scheme, requireExercise(context.catalogue, slot.exercise), context, {
              loads: question.loads.get(slot.id) ?? null,
              isPaired: isTogether(grouping),
            }),
          ] as const,
      ),
    ),
  )
  const { spans, seconds } = sessionTime(session, context)
  return {
    ...about,
    seconds,
    sets: Object.fromEntries(sets),
    turns: turnsOfSpans(spans, sets),
    groups: groupsOf(session, spans, context),
  }
}

function shortWays(question: SheetQuestion, seconds: number): readonly SheetWay[] {
  const { content, context, shortening } = question
  if (!shortening) return []
  return SHORT_MINUTES.filter(minutes => minutes * 60 <= seconds - SHORTER_BY_SECONDS)
    .slice(-MOST_SHORT_WAYS)
    .map(minutes => {
      const short = shortSession({ session: content, minutes, context, ...shortening })
      return way(short.session, question, {
        minutes,
        words: shortSheetWords(short, context.catalogue),
      })
    })
}

function whyWords(loads: SlotLoads | undefined): string {
  return loads ? [loadReasonWords(loads), shapeLossWords(loads)].filter(Boolean).join('. ') : ''
}

/**
 * A sent session as a client's phone holds it: each exercise with its numbers, ways to do it in less time, and what can stand in.
 *
 * Shape:  exercises in the order of the plan; the first way is the plan itself, the others are shorter, the shortest first.
 * Units:  seconds; loads in the unit the plan names, else the client's.
 * Source: docs/methods.md#sheet.
 */
export function sheetSession(asked: SheetQuestion): SheetSession {
  const question = { ...asked, content: sessionInTurn(asked.content, asked.pass) }
  const { id, on, name, minuteLimit, content, context, loads } = question
  const sets = sessionSlots(content).reduce((sum, { scheme }) => sum + plannedSets(scheme), 0)
  const plan = way(content, question, {
    minutes: null,
    words: `${formatSetCount(sets)}, about ${Math.ceil(sessionTime(content, context).seconds / 60)}${NBSP}min`,
  })
  const exercises = content.groupings.flatMap((grouping, at) =>
    grouping.slots.map((slot, n): SheetExercise => {
      const exercise = requireExercise(context.catalogue, slot.exercise)
      const intent = intentFor(context, exercise, slot.intent)
      return {
        ...movement(exercise, intent, question, slot),
        slot: slot.id,
        letter: `${at + 1}${isTogether(grouping) ? (LETTERS[n] ?? '') : ''}`,
        family: familyOf(slot, exercise, context),
        note: slot.note ?? '',
        why: whyWords(loads.get(slot.id)),
        swaps: swapsFor(slot, exercise, intent, question),
      }
    }),
  )
  return {
    id,
    on,
    name,
    minuteLimit,
    exercises,
    ways: [plan, ...shortWays(question, plan.seconds)],
    preparation: (content.preparation ?? []).map(
      ({ minutes, what, onlyIf }) =>
        `${what}, ${minutes}${NBSP}min${onlyIf ? `, only if ${onlyIf}` : ''}`,
    ),
  }
}
