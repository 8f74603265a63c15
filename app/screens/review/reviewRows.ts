import {
  adherenceWords,
  adjustmentReason,
  adjustmentWords,
  CONFIDENCE_WORDS,
  expectationWords,
  formatDay,
  formatOneDecimal,
  formatSets,
  GROUP_NAMES,
  LEFT_OUT_WORDS,
  NBSP,
  trendSentence,
  habitWords,
  trialStateWords,
  trialWords,
  triedWords,
  wayCourseWords,
  wholeReadiness,
  otherwiseWords,
} from '#core/words'
import {
  type Adjustment,
  adjustmentKey,
  expectationOf,
  type ExerciseRow,
  mayHold,
  type MuscleRow,
} from '#core/follow/review'
import type { ReviewView } from '#shared/contracts/review'

export type NameOf = (exercise: string) => string

/** A proposal as it is read. */
export interface ProposalLine {
  readonly key: string
  readonly row: string
  readonly words: string
  readonly reason: string
  readonly confidence: string
  readonly isByHand: boolean
  readonly isWaiting: boolean
  /** What is expected and by when; empty where nothing is changed. */
  readonly expected: string
  /** It would hold from the next rotation on, and can be taken for that one only. */
  readonly mayHold: boolean
}

/** Sets per 7 days within which done and planned, or a band's edge, are the same to a reader. */
const SLACK = 0.25
/** Sets that have to be missing to be worth a word. */
const SHORT_FROM = 0.5

const figure = (value: number | null) => (value === null ? '' : formatSets(value))
const hundredths = (value: number | null) => (value === null ? null : Math.round(value * 100) / 100)
const percent = (value: number | null) => (value === null ? '' : `${wholeReadiness(value)}${NBSP}%`)
/** “8 of 10”, “8” where the plan says nothing. */
const beside = (done: number | null, planned: number | null, word = 'of') =>
  [figure(done), planned === null ? '' : `${word} ${figure(planned)}`].filter(Boolean).join(' ')
/** The same, and nothing where nothing was done. */
const besideDone = (done: number | null, planned: number | null, word = 'of') =>
  done === null ? '' : beside(done, planned, word)

export function proposalLine(adjustment: Adjustment, nameOf: NameOf): ProposalLine {
  const expectation = expectationOf(adjustment)
  return {
    key: adjustmentKey(adjustment),
    row: adjustment.row,
    words: adjustmentWords(adjustment, nameOf),
    reason: adjustmentReason(adjustment),
    confidence: CONFIDENCE_WORDS[adjustment.confidence],
    isByHand: adjustment.change.kind === 'by_hand',
    isWaiting: adjustment.isWaiting,
    expected: expectation ? expectationWords(expectation) : '',
    mayHold: mayHold(adjustment),
  }
}

/** The proposals of a review: to decide about, for later, and muscles that go on as planned. */
export function proposalLines({ review, open }: ReviewView, nameOf: NameOf) {
  const isOpen = new Set(open)
  const lines = (is: (adjustment: Adjustment) => boolean) =>
    review.adjustments.filter(is).map(adjustment => proposalLine(adjustment, nameOf))
  return {
    proposals: lines(
      one => one.change.kind !== 'go_on' && !one.isWaiting && isOpen.has(adjustmentKey(one)),
    ),
    waiting: lines(({ isWaiting }) => isWaiting),
    asPlanned: lines(({ change }) => change.kind === 'go_on'),
  }
}

function minutesWords({ done, planned, sessions }: ReviewView['review']['minutes']): string {
  return sessions === 0
    ? 'Minutes are not known'
    : `${Math.round(done)} minutes in ${sessions} ${sessions === 1 ? 'session' : 'sessions'}, estimated at ${Math.round(planned)}`
}

/** What stands above the review. */
export function headLines({ review, block }: ReviewView) {
  const answers = review.recovered + review.notRecovered
  return {
    title: `Rotation ${review.pass + 1} of ${block.passes}`,
    dates: `${formatDay(review.from)} to ${formatDay(review.to)}${review.isDeload ? ', easier on purpose' : ''}`,
    adherence: adherenceWords(review.setsDone, review.setsDue),
    minutes: minutesWords(review.minutes),
    recovered:
      answers === 0
        ? 'Nobody said whether it was recovered'
        : `Recovered in ${review.recovered} of ${answers} answers`,
  }
}

/** Where there is nothing to decide: pain is never nothing. */
export const nothingWords = ({ pains }: ReviewView) =>
  pains.length === 0
    ? 'Nothing asks for a change.'
    : 'Pain was reported: spare the joint first. The numbers ask for no change besides.'

function bandWords({ planned, due, done, over, band }: MuscleRow): string {
  // Half a rotation cannot be judged against seven days.
  if (due < planned - SLACK) return ''
  if (done < band.floor - SLACK) return 'under the floor'
  return over > SLACK ? 'over the ceiling' : ''
}

function muscleLine(row: MuscleRow) {
  const { group, planned, due, done, band, times, readiness } = row
  const [floor, target, ceiling] = [band.floor, band.target, band.ceiling].map(formatOneDecimal)
  return {
    group,
    name: GROUP_NAMES[group],
    pegs: { done: Math.round(done), due: Math.round(due) },
    planned: formatOneDecimal(planned),
    due: formatOneDecimal(due),
    done: formatOneDecimal(done),
    short: due - done >= SHORT_FROM ? formatOneDecimal(due - done) : '',
    band: `${floor} – ${target} – ${ceiling}`,
    words: bandWords(row),
    times: times.due === 0 ? '' : `${times.done} of ${times.due}`,
    isRarer: times.done < times.due,
    ready: percent(readiness.done ?? readiness.due),
  }
}

/** Muscles as planned beside as done, each with where its strength goes; those that need a look come first. */
export function muscleLines({ review, muscleTrends }: ReviewView) {
  const needsLook = ({
    short,
    words,
    trend,
  }: {
    short: string
    words: string
    trend: MuscleTrend
  }) => Number(short !== '' || words !== '' || trend.isFalling)
  return review.muscles
    .map(row => ({
      ...muscleLine(row),
      trend: muscleTrend(muscleTrends.find(({ group }) => group === row.group)),
    }))
    .sort((a, b) => needsLook(b) - needsLook(a))
}

export type MuscleLine = ReturnType<typeof muscleLines>[number]
type MuscleTrend = ReturnType<typeof muscleTrend>
function muscleTrend(trend: ReviewView['muscleTrends'][number] | undefined) {
  return {
    words: trend ? trendSentence(trend) : '',
    isFalling: trend?.verdict === 'decline',
    isFlat: trend?.verdict === 'plateau',
  }
}

const NO_TREND = {
  verdict: 'insufficient',
  slope: 0,
  error: null,
  count: 0,
  spanWeeks: 0,
  since: null,
  leaning: null,
} as const

/** Where an exercise goes: by its own way where it has one, else by strength. One of many, so nothing is marked by it. */
function trendOf({ trends, ways }: ReviewView, exercise: string): string {
  const way = ways.find(known => known.exercise === exercise)
  if (way) return `${wayCourseWords(way)}.`
  return trendSentence(trends.find(known => known.exercise === exercise) ?? NO_TREND)
}

function exerciseLine(row: ExerciseRow, view: ReviewView, nameOf: NameOf) {
  return {
    exercise: row.exercise,
    trend: trendOf(view, row.exercise),
    name: nameOf(row.exercise),
    sets: `${row.setsDone} of ${row.setsDue}`,
    isShort: row.setsDone < row.setsDue,
    load: beside(hundredths(row.topKg), hundredths(row.plannedKg)),
    reps: besideDone(row.repsDone, row.repsPlanned),
    rir: besideDone(row.rirDone, row.rirPlanned, 'for'),
    otherwise: row.otherwise.map(otherwiseWords).join('; '),
  }
}

export const exerciseLines = (view: ReviewView, nameOf: NameOf) =>
  view.review.exercises.map(row => exerciseLine(row, view, nameOf))

/** Estimates that trends do without, each with its reason. */
export function excludedLines({ leftOut }: ReviewView, nameOf: NameOf) {
  return leftOut.map(value => ({
    value,
    key: `${value.exercise} ${value.on} ${value.reason}`,
    words: `${nameOf(value.exercise)}, ${formatDay(value.on)}, ${formatOneDecimal(value.value)} kg: ${LEFT_OUT_WORDS[value.reason]}`,
    isQuestioned: value.reason === 'outlier' || value.reason === 'unit',
  }))
}

/** Trials on their way and over, with what came of each muscle. */
export const trialLines = ({ trials }: ReviewView) =>
  trials.map((tried, n) => ({
    key: `${n} ${tried.trial.what}`,
    words: trialWords(tried.trial, tried.until),
    state: trialStateWords(tried),
    isOver: tried.isOver,
    muscles: tried.muscles.map(triedWords),
  }))

/** What the client tends to skip, each with its remedy. */
export const habitLines = ({ skipped }: ReviewView) => skipped.map(habitWords)
