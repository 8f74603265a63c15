import {
  DAYS_PER_WEEK,
  type ExerciseId,
  groupingId,
  isoWeekday,
  type NonEmpty,
  type PlainDate,
  sessionId,
  slotId,
} from '../../base'
import { isTraining, overClientWeek, usualScheme } from '../../plan/block'
import { requireExercise } from '../../plan/catalogue'
import type { PlanContext } from '../../plan/method'
import { type DayRole, ROLE_NAMES, ROTATION_LENGTH, type RotationDay } from '../../plan/rotation'
import type { Grouping, Slot } from '../../plan/session'
import { plain } from '../imports'
import type { NotedDay, NotedLine, NotedPlan } from './reading'

/** What a plan out of notes is made for. */
export interface NotesFor {
  readonly context: PlanContext
  /** The day the block begins on: day 1 of the rotation. */
  readonly startsOn: PlainDate
  /** Which exercise a name means that could not be read, by its plain spelling; null leaves it out. */
  readonly names: ReadonlyMap<string, ExerciseId | null>
  readonly newId: () => string
}

/** Days out of notes, and what stays outside. */
export interface NotedRotation {
  readonly days: readonly RotationDay[]
  /** The days belong to weekdays. */
  readonly onWeekdays: boolean
  /** Days of the notes for which there was no room in the rotation. */
  readonly unplaced: readonly string[]
}

const REST: RotationDay = { role: 'rest', sessions: [] }

/** The exercise of a line as answered, else as read; null is left out, undefined must be said. */
export const meant = (
  { name, exercise }: Pick<NotedLine, 'name' | 'exercise'>,
  names: NotesFor['names'],
): ExerciseId | null | undefined => {
  const said = names.get(plain(name))
  return said === undefined ? exercise : said
}

function slotOf(line: NotedLine, { context, names, newId }: NotesFor): Slot | undefined {
  const id = meant(line, names)
  if (!id) return undefined
  const exercise = requireExercise(context.catalogue, id)
  const [low, high] = context.method.dose.setsPerExercise
  const note = [line.note, line.unread].filter(Boolean).join('; ')
  return {
    id: slotId(newId()),
    exercise: id,
    intent: null,
    ...(note !== '' && { note }),
    scheme:
      line.scheme ??
      usualScheme(exercise, line.setCount ?? Math.round((low + high) / 2), context.method),
  }
}

/** A day's own word, in characters. */
const MOST_LABEL = 60

/** Movements by the day they make; what the heading says goes before. */
const SIDES: readonly (readonly [DayRole, RegExp])[] = [
  ['push', /press|elbow_extension|dip|fly|^raise/],
  ['pull', /pull|curl|rear_raise|shrug|grip|wrist/],
  ['legs', /squat|lunge|hinge|knee|hip|calf/],
]
function roleFrom(slots: readonly Slot[], { context }: NotesFor): DayRole {
  const patterns = slots.map(({ exercise }) => requireExercise(context.catalogue, exercise).pattern)
  const has = SIDES.filter(([, movements]) =>
    patterns.some(pattern => movements.test(pattern)),
  ).map(([role]) => role)
  const isArms = patterns.every(pattern => pattern === 'curl' || pattern === 'elbow_extension')
  if (patterns.length === 0) return 'rest'
  if (isArms && has.length === 2) return 'arms'
  if (has.length === 1) return has[0]!
  return has.includes('legs') ? 'full' : has.length === 0 ? 'other' : 'upper'
}

function dayOf(day: NotedDay, made: NotesFor): RotationDay {
  const groupings = day.groups.flatMap(({ kind, placement, exercises }): Grouping[] => {
    const slots = exercises.flatMap(line => slotOf(line, made) ?? [])
    const [first, ...others] = slots
    if (!first) return []
    const own: NonEmpty<Slot> = [first, ...others]
    return [
      {
        id: groupingId(made.newId()),
        kind: others.length === 0 ? 'straight' : kind,
        placement,
        slots: own,
      },
    ]
  })
  if (groupings.length === 0) return REST
  const slots = groupings.flatMap(grouping => grouping.slots)
  return {
    role: day.role && day.role !== 'rest' ? day.role : roleFrom(slots, made),
    ...(day.title !== '' && { label: day.title.slice(0, MOST_LABEL) }),
    ...(day.minutes !== undefined && { minuteLimit: day.minutes }),
    sessions: [{ id: sessionId(made.newId()), groupings }],
  }
}
/** Days by the weekdays that are named; those without one follow the day before them. */
function onWeekdays(noted: readonly NotedDay[], made: NotesFor): NotedRotation {
  const first = isoWeekday(made.startsOn)
  const week: RotationDay[] = Array.from({ length: DAYS_PER_WEEK }, () => REST)
  const unplaced: string[] = []
  let last = -1
  for (const day of noted) {
    const named = day.weekdays.map(weekday => (weekday - first + DAYS_PER_WEEK) % DAYS_PER_WEEK)
    const next = [...week.keys()].find(at => at > last && week[at] === REST)
    const places = named.length > 0 ? named : next === undefined ? [] : [next]
    if (places.length === 0 || places.some(at => week[at] !== REST)) unplaced.push(day.title)
    else
      for (const at of places) {
        week[at] = dayOf(day, made)
        last = Math.max(last, at)
      }
  }
  return { days: week, onWeekdays: true, unplaced }
}

/** Days in the order of the notes, with the rest days that stand between them. */
function inOrder(noted: readonly NotedDay[], made: NotesFor): NotedRotation {
  const most = ROTATION_LENGTH.max
  const days = noted.slice(0, most).map(day => dayOf(day, made))
  while (days.length < ROTATION_LENGTH.min) days.push(REST)
  return { days, onWeekdays: false, unplaced: noted.slice(most).map(({ title }) => title) }
}

/**
 * The days of a rotation out of notes.
 *
 * Shape:  weekdays where the notes name some; else the order of the notes where rest days stand in it; else the sessions
 *         one after the other on the client's days, as far apart as can be.
 * Edge:   a line whose exercise is not known and not answered is left out, so ask first (`meant`); sets that are not said
 *         are the method's usual; what a line says besides is the note of its place.
 */
export function rotationFromNotes({ days: noted }: NotedPlan, made: NotesFor): NotedRotation {
  if (noted.some(({ weekdays }) => weekdays.length > 0)) return onWeekdays(noted, made)
  const hasRest = noted.some(({ groups }) => groups.length === 0)
  if (hasRest || noted.length > DAYS_PER_WEEK) return inOrder(noted, made)
  const own = made.context.client.days ?? []
  const days = noted.map(day => dayOf(day, made)).filter(isTraining)
  const { days: week, unplaced } = overClientWeek(days, own, isoWeekday(made.startsOn))
  return {
    days: week.map(day => {
      // Minutes that the notes give go before the client's.
      const given = days.find(({ sessions }) => sessions[0] === day.sessions[0])?.minuteLimit
      return given === undefined ? day : { ...day, minuteLimit: given }
    }),
    onWeekdays: own.length > 0 && own.length < DAYS_PER_WEEK,
    unplaced: unplaced.map(({ label, role }) => label ?? ROLE_NAMES[role]),
  }
}
