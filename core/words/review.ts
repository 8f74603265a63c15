import { roundHalfUp } from '../base'
import type { ReplanOption } from '../follow/replan'
import { type ExclusionReason, LAPSE_WORDS } from '../body/log'
import type { OwnPace } from '../body/recovery'
import type { Group } from '../plan/catalogue'
import type {
  Adjustment,
  Came,
  DecisionRow,
  DeloadSign,
  Expectation,
  Expected,
  MeantOtherwise,
  OwnFacts,
} from '../follow/review'
import { formatDay } from './dates'
import { formatOneDecimal, formatSetCount, formatSets, NBSP } from './figures'
import { JOINT_NAMES } from './joints'
import { GROUP_NAMES } from './names'
import { PAIN_LEVEL_WORDS } from './trends'

const percent = (share: number) => `${roundHalfUp(share * 100)}${NBSP}%`
const aWeek = (slope: number) => `${formatOneDecimal(Math.abs(slope) * 100)}${NBSP}% a week`

const SIGN_WORDS: Readonly<Record<DeloadSign, string>> = {
  falling: 'two or more muscles fall',
  not_recovered: 'most answers say not recovered',
  sore_joints: 'two joints are sore',
  missed_reps: 'reps were missed in two sessions',
}

/** What is proposed, in a few words: `Triceps: 3 sets fewer, one more rep in reserve`. */
export function adjustmentWords(
  { group, change, before, after, facts, evidence }: Adjustment,
  nameOf: (exercise: string) => string,
): string {
  const name = group === null ? 'The whole rotation' : GROUP_NAMES[group]
  // Which exercises it touches, and no other muscle's.
  const led = evidence?.led?.length ? ` (${evidence.led.map(nameOf).join(', ')})` : ''
  switch (change.kind) {
    case 'sets': {
      if (change.by === 0)
        return change.rir > 0 ? `${name}: one more rep in reserve${led}` : `${name}: as it is`
      return `${name}: ${formatSetCount(Math.abs(change.by))} ${change.by > 0 ? 'more' : 'fewer'}, ${formatSets(before)} to ${formatSets(after)} direct${change.rir > 0 ? `, one more rep in reserve${led}` : ''}`
    }
    case 'rir':
      return `${name}: same sets, one more rep in reserve${led}`
    case 'hold_ramp':
      return `${name}: no step up, ${formatSets(after)} direct as before`
    case 'deload':
      return `${name}: easier on purpose`
    case 'by_hand':
      return `${name}: change one thing by hand`
    case 'go_on':
      return `${name}: as planned`
    case 'replan':
      return `Missed ${change.session} of ${formatDay(change.on)}: ${REPLAN_WORDS[change.option].toLowerCase()}`
    case 'pace':
      return change.isAnew
        ? `${name}: recovery learned again`
        : `${name}: ${change.pace === null ? 'the usual hours' : `${change.pace} times the usual hours`} to recover`
    case 'confirm':
      return `${nameOf(change.exercise)} of ${formatDay(change.on)}: ${formatOneDecimal(change.value)}${NBSP}kg is right`
    case 'load':
      return `${nameOf(change.exercise)}: ${change.step === 'up' ? 'one extra step heavier' : 'a twentieth lighter'}`
    case 'swap':
      return `${nameOf(change.from)}: ${nameOf(change.to)} instead, from the next rotation on`
    case 'shorten':
      return `${facts?.session ?? 'A session'}: made to fit ${facts?.limit ?? change.minutes} minutes, from the next rotation on`
  }
}

const musclesWords = (groups: readonly Group[]): string =>
  groups.map(group => GROUP_NAMES[group].toLowerCase()).join(' and ')

/** `Recovered in 2 of the last 3 answers`. */
const answersWords = (lately: readonly boolean[]): string =>
  `Recovered in ${lately.filter(Boolean).length} of the last ${lately.length} ${lately.length === 1 ? 'answer' : 'answers'}`

type GroupRow = Exclude<DecisionRow, 'A3' | 'E1' | 'E2' | 'E3' | 'S1' | 'M1' | 'P1' | 'O1'>
const ROW_REASONS: Readonly<Record<GroupRow, (of: NonNullable<Adjustment['evidence']>) => string>> =
  {
    A1: ({ sore }) =>
      `${sore ? JOINT_NAMES[sore.joint] : 'A joint'} is sore: nothing goes up until it is calm.`,
    A2: ({ done, planned }) =>
      `${done} of ${planned} sets done: repeat before adding; ask about time.`,
    A4: ({ slope, recovered, notRecovered, readiness, lowExposures, exposures }) =>
      `Falling ${aWeek(slope)} and not recovered${notRecovered > 0 ? `, ${notRecovered} of ${recovered + notRecovered} answers say so` : `, ${roundHalfUp(readiness)}${NBSP}% ready on average`}${lowExposures === 1 && exposures > 1 ? '; one day comes too early: move it' : ''}.`,
    A5: ({ slope }) =>
      `Falling ${aWeek(slope)} though recovered: check sleep, food and technique; consider the other exercise.`,
    A6: ({ lately, recovered, notRecovered }) =>
      lately
        ? `Not recovered in ${lately.filter(answer => !answer).length} of the last ${lately.length} answers.`
        : `Not recovered in ${notRecovered} of ${recovered + notRecovered} answers.`,
    A7: ({ counted, band }) =>
      `Flat, recovered, room in the band: ${formatOneDecimal(counted)} of ${formatOneDecimal(band.ceiling)}.`,
    A8: ({ band }) =>
      `Flat at the ceiling of ${formatOneDecimal(band.ceiling)}: another rep range, muscle length, or a longer rest.`,
    A9: ({ counted, band }) =>
      `Under the floor twice: ${formatOneDecimal(counted)} of ${formatOneDecimal(band.floor)}.`,
    A10: ({ counted, band }) =>
      `Over the ceiling: ${formatOneDecimal(counted)} of ${formatOneDecimal(band.ceiling)}.`,
    G1: ({ daysAway }) =>
      `${daysAway ?? 0} days without it beyond the plan: ${(daysAway ?? 0) > 56 ? 'a new start at the floor, loads found again at four reps left' : 'fewer sets and more in reserve at first; the sheet lowers the loads'}.`,
    A11: ({ slope }) => `Rising ${aWeek(slope)}: it works, leave it.`,
    A13: ({ changed }) =>
      changed
        ? `Changed ${changed.rotations === 1 ? 'a rotation' : `${changed.rotations} rotations`} ago: it has its time before the same is looked at again.`
        : 'Changed lately: it has its time first.',
    A16: ({ onTrialUntil }) =>
      onTrialUntil
        ? `On trial until ${formatDay(onTrialUntil)}: what it does for strength is judged then.`
        : 'On trial: judged when it is over.',
    A17: () => 'Strength holds while eating less: that is what can be had. Nothing is added.',
    A18: ({ strain }) =>
      strain
        ? `${JOINT_NAMES[strain.joint]} bears ${percent(strain.share)} of what it may in a week: no set more for what loads it.`
        : 'A joint bears most of what it may: no set more.',
    A19: ({ counted, band, wearsOn = [] }) =>
      `Over the target, ${formatOneDecimal(counted)} of ${formatOneDecimal(band.target)}, and its exercises tire ${musclesWords(wearsOn)} too, not recovered by the last answers.`,
    A14: ({ lately = [] }) => `${answersWords(lately)}: what was taken out comes back.`,
    A15: ({ counted, band, lately = [] }) =>
      `${answersWords(lately)} and under the target: ${formatOneDecimal(counted)} of ${formatOneDecimal(band.target)}.`,
    A12: ({ recovered, notRecovered }) =>
      `No verdict yet${recovered + notRecovered > 0 ? `; recovered in ${recovered} of ${recovered + notRecovered} answers` : ''}.`,
  }

const isGroupRow = (row: DecisionRow): row is GroupRow => row in ROW_REASONS

/** Reasons of the rows about one exercise or one session. */
function ownReason(
  row: DecisionRow,
  {
    error = 0,
    sets = 0,
    missed = 0,
    sore,
    slope,
    minutes = 0,
    limit = 0,
    times = 0,
    of = 0,
  }: OwnFacts,
): string {
  switch (row) {
    case 'E1':
      return `${formatSets(Math.abs(error))} reps more left than planned, the middle of ${formatSetCount(sets)}.`
    case 'E2':
      return missed / Math.max(1, sets) >= 0.5
        ? `Two reps or more short in ${missed} of ${formatSetCount(sets)}.`
        : `${formatSets(Math.abs(error))} reps fewer left than planned, the middle of ${formatSetCount(sets)}.`
    case 'E3':
      return sore
        ? `${JOINT_NAMES[sore.joint]}: ${PAIN_LEVEL_WORDS[sore.level]}. This one spares it.`
        : `The one that falls most, ${aWeek(slope ?? 0)}, though recovered.`
    default:
      return `${roundHalfUp(minutes)} minutes where ${limit} are given, ${times} times in the last ${of}.`
  }
}

/** Why, with the figures it rests on. */
export function adjustmentReason({ row, evidence, signs, facts }: Adjustment): string {
  if (row === 'A3')
    return `${signs
      .map(sign => SIGN_WORDS[sign])
      .join(', and ')
      .replace(/^./, letter => letter.toUpperCase())}.`
  if (facts) return ownReason(row, facts)
  return evidence && isGroupRow(row) ? ROW_REASONS[row](evidence) : ''
}

export const CONFIDENCE_WORDS: Readonly<Record<Adjustment['confidence'], string>> = {
  strong: 'well supported',
  fair: 'fairly sure',
  weak: 'weak evidence',
}

/** `92 % of the sets done`. */
export function adherenceWords(done: number, due: number): string {
  return due === 0 ? 'Nothing was due yet' : `${done} of ${due} sets done, ${percent(done / due)}`
}

export const REPLAN_WORDS: Readonly<Record<ReplanOption, string>> = {
  spread: 'Spread over the week',
  shift: 'Shift everything on',
  merge: 'Merge into the next',
  drop: 'Let it go',
  restart: 'Start the week again',
}

/** Why an estimate is kept in the log and not reckoned with. */
export const LEFT_OUT_WORDS: Readonly<Record<ExclusionReason, string>> = {
  deload: 'easier on purpose',
  pain: 'a joint hurt',
  second_on_day: 'second session of the day, the first one counts',
  before_gap: 'before six weeks without it',
  outlier: 'far off its neighbours',
  unit: 'far off its neighbours: pounds taken for kilograms, or the other way round?',
}

/** `about 1.2 times the usual hours (0.9 to 1.6), learned from 14 sessions`. */
export function paceWords(own: OwnPace): string {
  if (own.kind === 'not_enough_data')
    return own.why === 'few'
      ? `Not enough data yet: ${own.exposures} of 8 sessions`
      : `${own.exposures} sessions, but always about as long after the one before: nothing to learn from`
  return `about ${formatOneDecimal(own.pace)} times the usual hours (${formatOneDecimal(own.low)} to ${formatOneDecimal(own.high)}), learned from ${own.exposures} sessions`
}

/** Ratio of two recovery rates from which a difference is worth a word. */
const TELLING_RATIO = 1.15

/**
 * What a log tells best of recovery: which muscle takes longest against which takes least, for what a client calls recovered is the
 * same for both. Empty where they are alike, or fewer than two are known.
 */
export function paceDifferenceWords(
  all: readonly { readonly group: Group; readonly learned: OwnPace | null }[],
): string {
  const known = all
    .flatMap(({ group, learned }) =>
      learned?.kind === 'pace' ? [{ group, pace: learned.pace }] : [],
    )
    .sort((a, b) => b.pace - a.pace)
  const [slowest, fastest] = [known[0], known.at(-1)]
  if (!slowest || !fastest || slowest.pace / fastest.pace < TELLING_RATIO) return ''
  const ratio = formatOneDecimal(slowest.pace / fastest.pace)
  return `${GROUP_NAMES[slowest.group]} takes longest against its usual hours, ${GROUP_NAMES[fastest.group].toLowerCase()} least: ${ratio} to 1. The difference between muscles is known better than how fast they all are.`
}

/** To five seconds: nobody rests more exactly. */
const seconds = (value: number) => `${Math.round(value / 5) * 5}${NBSP}s`

/** What came out otherwise inside the sets than it was meant: `drop of 30 % meant, 24 % done in 3 of 3 sets`. */
export function otherwiseWords(one: MeantOtherwise): string {
  switch (one.kind) {
    case 'drop':
      return `drop of ${percent(one.meant)} meant, ${percent(one.done)} done in ${one.times} of ${one.of} sets`
    case 'load_fell':
      return `the load was to hold and fell ${one.times} times: start lighter, or rest longer?`
    case 'lapse':
      return `${LAPSE_WORDS[one.lapse]} in ${one.times} of ${one.of} sets`
    case 'went_on':
      return `${one.times} of ${one.of} sets went on, unplanned`
    case 'rest':
      return `rest asked ${seconds(one.asked)}, taken ${seconds(one.taken)}`
  }
}

const inRotations = (count: number) =>
  count === 1 ? 'after one rotation' : `after ${count} rotations`

const EXPECTED_WORDS: Readonly<Record<Expected, string>> = {
  reserve_fits: 'as many reps left as planned',
  session_fits: 'the session fits its minutes',
  signs_gone: 'nothing asks for easier days any more',
  recovers: 'recovered in two of the last three answers',
  spares: 'what works along recovers in two of the last three answers',
  calms: 'the joint is calm',
  done: 'most of the sets get done',
  stops_falling: 'it falls no longer',
  shows: 'it rises',
  in_band: 'within its band',
}

/** What a change is expected to bring, and by when: `Expected: recovered in two of the last three answers, after 2 rotations`. */
export function expectationWords({ what, rotations, sessions }: Expectation): string {
  const when = sessions === null ? inRotations(rotations) : `visible in about ${sessions} sessions`
  return `Expected: ${EXPECTED_WORDS[what]}, ${when}`
}

const reserveWords = ({ rirDone, rirPlanned }: NonNullable<Came['exercise']>): string =>
  rirDone === null || rirPlanned === null
    ? 'nobody said how many were left'
    : `${formatSets(rirDone)} left for ${formatSets(rirPlanned)} planned`

function cameFigures({ expectation: { what }, now, exercise, isMet, proposal }: Came): string {
  if (what === 'session_fits') return 'as its minutes say'
  if (what === 'signs_gone')
    return isMet ? 'no two signs of it are left' : 'two signs of it are there again'
  if (proposal.facts?.sore)
    return `${JOINT_NAMES[proposal.facts.sore.joint]} is ${isMet ? 'calm' : 'sore still'}`
  if (what === 'reserve_fits') return exercise ? reserveWords(exercise) : 'it was not done'
  if (!now) return 'nothing is known of it'
  switch (what) {
    case 'recovers':
      return answersWords(now.lately ?? []).toLowerCase()
    case 'spares': {
      const still = now.wearsOn ?? []
      return still.length > 0 ? `${musclesWords(still)} not recovered yet` : 'all recovered'
    }
    case 'calms':
      return now.sore
        ? `${JOINT_NAMES[now.sore.joint]} is ${PAIN_LEVEL_WORDS[now.sore.level]}`
        : 'no joint of it is sore'
    case 'done':
      return `${now.done} of ${now.planned} sets done`
    case 'stops_falling':
    case 'shows':
      return now.verdict === 'insufficient' || now.verdict === 'unclear'
        ? 'the log cannot tell yet'
        : now.verdict === 'plateau'
          ? 'flat'
          : `${now.slope > 0 ? 'rising' : 'falling'} ${aWeek(now.slope)}`
    case 'in_band':
      return `${formatOneDecimal(now.counted)} planned next, band ${formatOneDecimal(now.band.floor)} to ${formatOneDecimal(now.band.ceiling)}`
  }
}

/** What came of a change that was taken, beside what was expected: `As expected: recovered in 3 of the last 3 answers`. */
export function cameWords(came: Came): string {
  const verdict =
    came.isMet === null ? 'Cannot be told' : came.isMet ? 'As expected' : 'Not as expected'
  return `${verdict}: ${cameFigures(came)}`
}
