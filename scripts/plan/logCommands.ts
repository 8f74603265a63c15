import { addDays, exerciseId, groupedBy, plainDate, type PlainDate, sessionId } from '#core/base'
import { type DatedValue, exposureValue, splitByUse } from '#core/body/log'
import {
  isClear,
  learnedPaces,
  LEARNING_DAYS,
  tiredBefore,
  tiredFor,
} from '#core/body/recovery-rate'
import type { OwnPace } from '#core/body/recovery'
import type { Group } from '#core/plan/catalogue'
import { type DatedTrend, exerciseTrends, muscleTrends, TREND } from '#core/body/trend'
import { doneSession } from '#core/follow/review'
import { contextWith, methodById } from '#core/plan/method'
import type { LogFile } from '#shared/contracts/logFile'

/** 80 % of a normal distribution lies within this many standard errors. */
const INTERVAL = 1.2816
const USUAL_MONTHS = 24
const NOTHING_KNOWN = {
  isDeload: () => false,
  isPainful: () => false,
  isConfirmed: () => false,
}

const rounded = (value: number) => (Number.isFinite(value) ? Math.round(value * 1e6) / 1e6 : null)

/** A trend as the command prints it; slopes in per cent a week. */
function printed({
  verdict,
  since,
  slope,
  error,
  up,
  down,
  count,
  spanWeeks,
  isHighReps,
}: DatedTrend) {
  const percent = (share: number) => rounded(share * 100)
  return {
    sessions: count,
    weeks: rounded(spanWeeks),
    slope: percent(slope),
    error: percent(error),
    low: percent(slope - INTERVAL * error),
    high: percent(slope + INTERVAL * error),
    up: rounded(up),
    down: rounded(down),
    verdict,
    since,
    ...(isHighReps && { note: 'sets of more than 20 reps are not judged' }),
  }
}

/** The latest weigh-in up to a day. */
function weightOn({ weighIns = [], measurements = [] }: LogFile, on: PlainDate): number | null {
  const all = [
    ...weighIns,
    ...measurements
      .filter(({ kind }) => kind === 'body_weight')
      .map(({ on: day, value }) => ({ on: day, kg: value })),
  ]
  return (
    all
      .filter(one => one.on <= on)
      .sort((a, b) => (a.on < b.on ? -1 : 1))
      .at(-1)?.kg ?? null
  )
}

/** Sessions of a log as they were done, in the order of their days. */
function sessionsIn(file: LogFile) {
  return [...(file.sessions ?? file.log ?? [])]
    .filter(({ sets }) => sets.length > 0)
    .sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0))
    .map((session, at) => ({
      ...session,
      id: String(at),
      place: 0,
      content: doneSession(
        session.prescribed ?? { id: sessionId(String(at)), groupings: [] },
        session.sets,
      ),
    }))
}

/** Values of every exercise and day in a log, with how tired its muscle came. */
function valuesIn(file: LogFile) {
  const context = contextWith(
    methodById(undefined),
    file.facts ?? file.client ?? { trainingAgeMonths: USUAL_MONTHS },
  )
  const sessions = sessionsIn(file)
  const tired = tiredBefore(sessions, context)
  const values = sessions.flatMap(({ id, on, sets }) =>
    [...groupedBy(sets, ({ exercise }) => exercise)].flatMap(([exercise, own]): DatedValue[] => {
      const value = exposureValue(own, weightOn(file, on))
      return value
        ? [{ exercise, on, ...value, tired: tiredFor(exercise, tired.get(id), context) }]
        : []
    }),
  )
  return { values, context, sessions }
}

/** Where each exercise and muscle of a client is going by her log, with its evidence; `on` is the day it is looked at. */
function verdictsOf(file: LogFile, on: PlainDate | undefined) {
  const { values, context } = valuesIn(file)
  const today = on ?? values.at(-1)?.on
  const { used, leftOut } = splitByUse(
    values.filter(value => !today || value.on <= today),
    NOTHING_KNOWN,
  )
  const ofWindow = today
    ? used.filter(value => value.on >= addDays(today, -TREND.windowDays))
    : used
  return {
    name: file.name ?? file.profile?.name ?? '',
    exercises: exerciseTrends(ofWindow).map(({ exercise, trend }) => ({
      exercise: exerciseId(exercise),
      ...printed(trend),
    })),
    muscles: [...muscleTrends(ofWindow, context.catalogue)].map(([muscle, trend]) => ({
      muscle,
      ...printed(trend),
    })),
    leftOut: leftOut.map(({ exercise, on: day, reason }) => ({ exercise, on: day, reason })),
  }
}

/** Verdicts of one client, or of each of many. */
export const verdictsCommand = (files: readonly LogFile[], on: PlainDate | undefined): unknown =>
  files.length === 1 ? verdictsOf(files[0]!, on) : files.map(file => verdictsOf(file, on))

/** Pain from here on says that a session tells nothing of recovery. */
const HURTS = 3

/** A rate as the command prints it: a multiple of the usual hours, and whether it is clear enough to be used by itself. */
function printedRate([muscle, own]: readonly [Group, OwnPace]) {
  const known = { muscle, sessions: own.exposures, isInForce: isClear(own) }
  return own.kind === 'pace'
    ? {
        ...known,
        rate: rounded(own.pace),
        low: rounded(own.low),
        high: rounded(own.high),
        byStrength: rounded(own.byStrength),
      }
    : { ...known, why: own.why }
}

/** How fast each muscle of a client recovers by her log. */
function ratesOf(file: LogFile, on: PlainDate | undefined) {
  const { values, context, sessions } = valuesIn(file)
  const today = on ?? sessions.at(-1)?.on
  const isIn = (day: PlainDate) => !today || (day <= today && day >= addDays(today, -LEARNING_DAYS))
  const painful = new Set(
    (file.pain ?? [])
      .filter(({ score }) => score >= HURTS)
      .map(({ reportedAt }) => plainDate(reportedAt.slice(0, 10))),
  )
  const trained = sessions
    .filter(session => isIn(session.on))
    .map(({ isRecovered = null, recovery = null, ...session }) => ({
      ...session,
      isRecovered: recovery ?? isRecovered,
      isPainful: painful.has(session.on),
    }))
  const { used } = splitByUse(
    values.filter(value => isIn(value.on)),
    NOTHING_KNOWN,
  )
  return {
    name: file.name ?? file.profile?.name ?? '',
    muscles: [...learnedPaces(trained, used, context)].map(printedRate),
  }
}

/** Recovery rates of one client, or of each of many. */
export const ratesCommand = (files: readonly LogFile[], on: PlainDate | undefined): unknown =>
  files.length === 1 ? ratesOf(files[0]!, on) : files.map(file => ratesOf(file, on))
