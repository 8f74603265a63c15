import { addDays, daysBetween, groupedBy, type PlainDate, plainDate } from '../../base'
import { type Catalogue, directGroups, type Group } from '../../plan/catalogue'
import { type DatedValue, dayValue, median, MOST_AIM, placedLines, placeOffsets } from '../log'
import type { Observed } from './slope'
import { type Trend, trendOf, UNKNOWN_TREND } from './verdict'

/** A trend with the day its verdict began to hold. */
export type DatedTrend = Omit<Trend, 'since'> & {
  readonly since: PlainDate | null
  /** Sets of more than 20 reps say too little of strength: no verdict is given on them. */
  readonly isHighReps?: boolean
}

const FIRST_DAY = plainDate('2000-01-01')
/** Reps to failure beyond the aim that is still judged, since one set is done to its end and others are not. */
const SLACK_REPS = 2
/** Variance of a day of which only one estimate is known: a set whose reserve nobody said. */
const UNSAID = 1.3 ** 2 + 1 / 12
const perRep = (toFailure: number) =>
  toFailure <= 10 ? 1 / (37 - toFailure) : 1 / (30 + toFailure)

/** What one exercise says, line by line of its set-up; `from` is the first index its lines take. */
function observedOf(values: readonly DatedValue[], from: number): readonly Observed[] {
  const offsets = placeOffsets(values.map(({ sets }) => sets ?? []))
  const known = values.flatMap(({ tired }) => tired ?? [])
  const usual = known.length > 0 ? known.reduce((sum, one) => sum + one, 0) / known.length : 0
  return placedLines(values).flatMap(
    ({ value: { on, value, repsToFailure, sets, tired }, line }) => {
      const day = dayValue(sets ?? [], offsets) ?? {
        y: Math.log(value),
        variance: UNSAID * perRep(repsToFailure) ** 2,
      }
      return value > 0
        ? [
            {
              exercise: from + line,
              day: daysBetween(FIRST_DAY, on),
              tired: tired ?? usual,
              ...day,
            },
          ]
        : []
    },
  )
}

const isHigh = (values: readonly DatedValue[]) =>
  values.length > 0 &&
  median(values.map(({ repsToFailure }) => repsToFailure)) > MOST_AIM + SLACK_REPS

/**
 * Where strength is going by dated values of one exercise, or of all that train a muscle.
 *
 * Shape:  in any order, of 98 days at most; the caller leaves out easier days, pain, and what is a slip by all appearance.
 * Edge:   an exercise of more than 20 reps is not judged, and takes no part in the judgement of its muscle.
 * Source: docs/methods.md#trend.
 */
export function datedTrend(values: readonly DatedValue[]): DatedTrend {
  const judged = [...groupedBy(values, ({ exercise }) => exercise).values()].filter(
    own => !isHigh(own),
  )
  if (judged.length === 0)
    return { ...UNKNOWN_TREND, since: null, ...(values.length > 0 && { isHighReps: true }) }
  let lines = 0
  const observed = judged.flatMap(own => {
    const found = observedOf(own, lines)
    lines = Math.max(lines, ...found.map(({ exercise }) => exercise + 1))
    return found
  })
  const trend = trendOf([...observed].sort((a, b) => a.day - b.day))
  return { ...trend, since: trend.since === null ? null : addDays(FIRST_DAY, trend.since) }
}

type Told<One extends DatedValue> = ReadonlyMap<One['exercise'], readonly One[]>
type TrendOf = (exercises: readonly string[]) => DatedTrend

/** The trend of all that some exercises say; the same exercises are asked once, however many muscles they train. */
function trendBySet<One extends DatedValue>(told: Told<One>): TrendOf {
  const known = new Map<string, DatedTrend>()
  return exercises => {
    const key = exercises.join(' ')
    const found = known.get(key) ?? datedTrend(exercises.flatMap(one => told.get(one) ?? []))
    known.set(key, found)
    return found
  }
}

const byExercise = <One extends DatedValue>(told: Told<One>, trendOf: TrendOf) =>
  [...told.keys()].map((exercise: One['exercise']) => ({ exercise, trend: trendOf([exercise]) }))

function byMuscle(told: Told<DatedValue>, catalogue: Catalogue, trendOf: TrendOf) {
  const own = new Map<Group, string[]>()
  for (const exercise of told.keys()) {
    const known = catalogue.get(exercise)
    for (const group of known ? directGroups(known.intents[0].credits) : [])
      own.set(group, [...(own.get(group) ?? []), exercise])
  }
  return new Map([...own].map(([group, exercises]) => [group, trendOf(exercises)]))
}

interface ExerciseTrend<One extends DatedValue> {
  readonly exercise: One['exercise']
  readonly trend: DatedTrend
}

/** Trends by exercise, from values in any order. */
export function exerciseTrends<One extends DatedValue>(
  values: readonly One[],
): readonly ExerciseTrend<One>[] {
  const told = groupedBy(values, ({ exercise }) => exercise)
  return byExercise(told, trendBySet(told))
}

/** Trends by muscle, each from all exercises that train it directly. */
export function muscleTrends(
  values: readonly DatedValue[],
  catalogue: Catalogue,
): ReadonlyMap<Group, DatedTrend> {
  const told = groupedBy(values, ({ exercise }) => exercise)
  return byMuscle(told, catalogue, trendBySet(told))
}

/** Trends by exercise and by muscle, where both are asked for: many a muscle has one exercise. */
export function allTrends<One extends DatedValue>(values: readonly One[], catalogue: Catalogue) {
  const told = groupedBy(values, ({ exercise }) => exercise)
  const trendOf = trendBySet(told)
  return {
    exercises: byExercise<One>(told, trendOf),
    muscles: byMuscle(told, catalogue, trendOf),
  }
}
