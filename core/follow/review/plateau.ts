import { DAYS_PER_WEEK, daysBetween, type ExerciseId, groupedBy, type PlainDate } from '../../base'
import { type LoggedSet, median } from '../../body/log'
import { isSore } from '../../body/joints'
import { directGroups, type Group } from '../../plan/catalogue'
import { type Hindrance, hindrancesOf, type PlanContext, setsUnderCeiling } from '../../plan/method'
import { plannedSets } from '../../plan/scheme'
import { sessionSlots } from '../../plan/session'
import type { GroupEvidence } from './adjustment'
import { DECIDE, sayNotRecovered } from './decide'
import { isWorkingSet } from './outcome'
import type { ExerciseRow } from './reviewed'
import type { PastSession } from './skipped'

/** What may hold a muscle back, in the order it is worth looking at: what costs nothing first, what changes the plan last. */
export const LEVERS = [
  'attendance',
  'joint',
  'recovery',
  'food_and_sleep',
  'effort',
  'volume',
  'frequency',
  'load',
  'room',
  'exercise',
] as const
export type Lever = (typeof LEVERS)[number]

/** One thing that was looked at: its figures, and whether it would be the next to move. */
export interface LeverFact {
  readonly lever: Lever
  readonly isOff: boolean
  /** Figures in the order its sentence takes them. */
  readonly figures: readonly number[]
  readonly exercise?: ExerciseId
  readonly hindrances?: readonly Hindrance[]
}

/** A muscle that does not move, and what to try next: one thing at a time. */
export interface Plateau {
  readonly evidence: GroupEvidence
  readonly facts: readonly LeverFact[]
  /** The first that is off; null where nothing is: an easier rotation, then on. */
  readonly next: Lever | null
}

/** What the log says of a muscle's exercises over the block. */
export interface PlateauLog {
  /** Working sets planned for sessions that are behind, and done, of the whole block. */
  readonly due: number
  readonly done: number
  /** Sets of its exercises, the oldest first. */
  readonly sets: readonly (LoggedSet & { readonly on: PlainDate })[]
  /** Reps in reserve said less those planned, set by set of the last rotation. */
  readonly reserveErrors: readonly number[]
  readonly hindrances: readonly Hindrance[]
  readonly today: PlainDate
}

/** Numbers of the levers; rules of thumb. Source: docs/methods.md#plateau. */
export const PLATEAU = {
  attendance: 0.8,
  reserve: 1,
  leastSets: 4,
  oncePerWeek: 1.5,
  splitFrom: 6,
  sameWeeks: 6,
  exerciseWeeks: 8,
} as const

const weeksSince = (on: PlainDate, today: PlainDate) => daysBetween(on, today) / DAYS_PER_WEEK

/** The exercise done longest with one top load, and for how many weeks; undefined where loads move. */
function stuckLoad({ sets, today }: PlateauLog) {
  const byExercise = groupedBy(sets.filter(isWorkingSet), ({ exercise }) => exercise)
  return [...byExercise]
    .flatMap(([exercise, own]) => {
      const days = [...groupedBy(own, ({ on }) => on)].map(([on, daySets]) => ({
        on,
        kg: Math.max(...daySets.map(({ loadKg }) => loadKg ?? 0)),
      }))
      const last = days.at(-1)
      if (!last || last.kg <= 0) return []
      const from = days.findLastIndex(({ kg }) => kg !== last.kg) + 1
      return [{ exercise, kg: last.kg, weeks: weeksSince(days[from]!.on, today) }]
    })
    .sort((a, b) => b.weeks - a.weeks)[0]
}

/** Weeks since the newest of its exercises came in. */
function sameFor({ sets, today }: PlateauLog): number {
  const first = new Map<string, PlainDate>()
  for (const { exercise, on } of sets) if (!first.has(exercise)) first.set(exercise, on)
  const newest = [...first.values()].sort().at(-1)
  return newest ? weeksSince(newest, today) : 0
}

function answersOff({ lately = [], readiness }: GroupEvidence): boolean {
  return sayNotRecovered(lately) || readiness < DECIDE.readiness
}

interface Looked {
  readonly of: GroupEvidence
  readonly log: PlateauLog
  readonly lengthDays: number
}

/** How each lever is looked at. */
const LOOKS: Readonly<Record<Lever, (looked: Looked) => Omit<LeverFact, 'lever'>>> = {
  attendance: ({ log: { due, done } }) => ({
    isOff: due > 0 && done / due < PLATEAU.attendance,
    figures: [done, due],
  }),
  joint: ({ of }) => ({ isOff: isSore(of.sore?.level), figures: [] }),
  recovery: ({ of }) => ({
    isOff: answersOff(of),
    figures: [(of.lately ?? []).filter(Boolean).length, (of.lately ?? []).length, of.readiness],
  }),
  food_and_sleep: ({ log: { hindrances } }) => ({
    isOff: hindrances.length > 0,
    figures: [],
    hindrances,
  }),
  effort: ({ log: { reserveErrors } }) => {
    const more = reserveErrors.length > 0 ? median(reserveErrors) : 0
    return {
      isOff: reserveErrors.length >= PLATEAU.leastSets && more >= PLATEAU.reserve,
      figures: [more, reserveErrors.length],
    }
  },
  volume: ({ of: { mode, band, counted } }) => ({
    isOff: mode !== 'maintain' && band.target - counted >= DECIDE.underTarget,
    figures: [counted, band.target],
  }),
  frequency: ({ of: { exposures, counted }, lengthDays }) => {
    const perWeek = (exposures * DAYS_PER_WEEK) / lengthDays
    return {
      isOff: perWeek < PLATEAU.oncePerWeek && counted >= PLATEAU.splitFrom,
      figures: [perWeek, counted],
    }
  },
  load: ({ log }) => {
    const stuck = stuckLoad(log)
    return stuck
      ? {
          isOff: stuck.weeks >= PLATEAU.sameWeeks,
          figures: [stuck.kg, stuck.weeks],
          exercise: stuck.exercise,
        }
      : { isOff: false, figures: [] }
  },
  room: ({ of }) => {
    const under = setsUnderCeiling(of, of.mode)
    return {
      isOff: of.mode === 'build' && under + 1 <= of.band.ceiling,
      figures: [under, of.band.ceiling],
    }
  },
  exercise: ({ log }) => {
    const weeks = sameFor(log)
    return { isOff: weeks >= PLATEAU.exerciseWeeks, figures: [weeks] }
  },
}

const BY_EATING_AND_SLEEP: readonly Hindrance[] = ['energy_deficit', 'short_sleep']

/** What the sessions of a block and its last rotation say of a muscle. */
export function plateauLog(
  {
    past,
    exercises,
    today,
  }: {
    readonly past: readonly PastSession[]
    readonly exercises: readonly ExerciseRow[]
    readonly today: PlainDate
  },
  group: Group,
  { catalogue, client }: PlanContext,
): PlateauLog {
  const trains = (exercise: ExerciseId) =>
    directGroups(catalogue.get(exercise)?.intents[0].credits ?? {}).includes(group)
  const planned = past.flatMap(({ content }) => sessionSlots(content))
  return {
    due: planned.reduce((sum, { scheme }) => sum + plannedSets(scheme), 0),
    done: past.flatMap(({ sets }) => sets.filter(isWorkingSet)).length,
    sets: past.flatMap(({ on, sets }) =>
      sets.flatMap(set => (trains(set.exercise) ? [{ ...set, on }] : [])),
    ),
    reserveErrors: exercises.flatMap(({ exercise, rirDone, rirPlanned, setsDone }) =>
      trains(exercise) && rirDone !== null && rirPlanned !== null
        ? Array.from({ length: setsDone }, () => rirDone - rirPlanned)
        : [],
    ),
    hindrances: hindrancesOf(client).filter(reason => BY_EATING_AND_SLEEP.includes(reason)),
    today,
  }
}

/**
 * What was looked at of a muscle that does not move, and the next lever in order.
 *
 * Units:  sets per 7 days, weeks, reps, percent of readiness; `lengthDays` of the rotation.
 * Edge:   what slows recovery comes before everything the plan could do, since more work does not help there.
 * Source: docs/methods.md#plateau.
 */
export function plateauOf(evidence: GroupEvidence, log: PlateauLog, lengthDays: number): Plateau {
  const looked = { of: evidence, log, lengthDays }
  const facts = LEVERS.map(lever => ({ lever, ...LOOKS[lever](looked) }))
  return { evidence, facts, next: facts.find(({ isOff }) => isOff)?.lever ?? null }
}
