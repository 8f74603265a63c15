import {
  type LongSetKind,
  type Method,
  METHOD_SETTINGS,
  type MethodSetting,
  settingOf,
  ORDER_RULES,
  type OrderRule,
} from '../plan/method'
import { shortEffort } from './effort'
import { formatSpanWords, formatSets } from './figures'
import { SCHOOL_NAMES } from './names'

/** One choice of a method as a coach reads it, with the reason and how well it is supported. */
export interface MethodChoice {
  readonly choice: string
  readonly says: (method: Method) => string
  readonly reason: string
  readonly evidence: 'well supported' | 'contested' | 'rule of thumb'
}

const ORDER: Readonly<Record<OrderRule, string>> = {
  compounds: 'compounds first',
  lead: 'what is built up first',
  grip: 'grip work late',
  exhausting: 'exhausting sets late',
  stretch: 'long length in every session',
}
const LONG_SETS: Readonly<Record<LongSetKind, string>> = {
  drop: 'drop sets',
  rest_pause: 'rest-pause',
  total_of_n: 'running totals',
  sevens: '7+7+7',
  stretch_hold: 'stretch holds',
}
const ends = ([low, high]: readonly [number, number]) =>
  low === high ? formatSets(low) : `${formatSets(low)}–${formatSets(high)}`
const fromTo = ({ from, to }: { readonly from: number; readonly to: number }) =>
  shortEffort(from, to, '→')
const LAST_SET = (value: Method['effort']['lastSetToFailure']) =>
  typeof value === 'string' ? value : `from week ${value.fromWeek}`

/** The choices on which experienced coaches differ, in the order they are read. */
export const METHOD_CHOICES: readonly MethodChoice[] = [
  {
    choice: 'Counting',
    says: ({ school }) => SCHOOL_NAMES[school.id as keyof typeof SCHOOL_NAMES] ?? school.id,
    reason: 'Indirect sets in part fit pooled data best; the long head needs direct work.',
    evidence: 'contested',
  },
  {
    choice: 'Build-up sets',
    says: ({ counts }) => (counts.buildUp === 'whole' ? 'count like the others' : 'count nothing'),
    reason: 'They prepare a top set; some coaches book them as work.',
    evidence: 'rule of thumb',
  },
  {
    choice: 'A restricted-flow set',
    says: ({ counts }) => (counts.restricted === 'as_one' ? 'as one set' : 'by its stages'),
    reason: 'Four light stages are about three sets, or one long one.',
    evidence: 'rule of thumb',
  },
  {
    choice: 'A long set',
    says: ({ counts }) => (counts.long === 'by_parts' ? 'by their parts' : 'as one'),
    reason: 'A drop or a pause adds work, though less than a set; some coaches book each part.',
    evidence: 'rule of thumb',
  },
  {
    choice: 'The easiest set that counts',
    says: ({ counts }) => `${counts.easiest} in reserve`,
    reason: 'Sets far from failure do less for growth; where that begins is not known exactly.',
    evidence: 'contested',
  },
  {
    choice: 'Usual bands',
    says: ({ dose }) => `× ${formatSets(dose.bandScale)}`,
    reason: 'More weekly sets grow more, with falling returns.',
    evidence: 'well supported',
  },
  {
    choice: 'Sets per exercise',
    says: ({ dose }) => ends(dose.setsPerExercise),
    reason: 'Few very hard sets or more moderate ones.',
    evidence: 'rule of thumb',
  },
  {
    choice: 'Days in 7, at least',
    says: ({ dose }) => formatSets(dose.frequencyMin),
    reason: 'At equal weekly sets frequency itself adds little; it eases the single day.',
    evidence: 'well supported',
  },
  {
    choice: 'Effort, compounds',
    says: ({ effort }) => fromTo(effort.rirCompound),
    reason: 'Closer to failure grows a little more and costs recovery.',
    evidence: 'contested',
  },
  {
    choice: 'Effort, single-joint',
    says: ({ effort }) => fromTo(effort.rirIsolation),
    reason: 'Single-joint work bears failure better.',
    evidence: 'contested',
  },
  {
    choice: 'Last set to failure',
    says: ({ effort }) => LAST_SET(effort.lastSetToFailure),
    reason: 'Certainty about effort, at a price in recovery.',
    evidence: 'contested',
  },
  {
    choice: 'Long sets',
    says: ({ effort }) =>
      effort.extendedMax === 0
        ? 'none'
        : `up to ${effort.extendedMax}: ${effort.extendedKinds.map(kind => LONG_SETS[kind]).join(', ')}`,
    reason: 'As good as straight sets in less time.',
    evidence: 'contested',
  },
  {
    choice: 'Rest, compounds',
    says: ({ rest }) => `${rest.compoundHeavy} s heavy, ${rest.compound} s`,
    reason: 'Longer rest keeps more reps.',
    evidence: 'well supported',
  },
  {
    choice: 'Rest, single-joint',
    says: ({ rest }) => `${rest.isolation} s`,
    reason: 'Past 90 s little is gained for growth.',
    evidence: 'contested',
  },
  {
    choice: 'Pairing',
    says: ({ pairing }) => `${pairing.mode}${pairing.circuits ? ', circuits too' : ''}`,
    reason: 'Opposite muscles in pairs keep the work and save a third of the time.',
    evidence: 'well supported',
  },
  {
    choice: 'First in the session',
    says: ({ order }) => (order.first === 'heavy' ? 'the heavy lift' : 'a light primer'),
    reason: 'The first exercise gains most strength; growth is alike.',
    evidence: 'contested',
  },
  {
    choice: 'Arm work',
    says: ({ order }) =>
      ({ ownDay: 'on a day of its own', finisher: 'as a finisher', both: 'both ways' })[
        order.armPlacement
      ],
    reason: 'No direct comparison; what comes late loses reps.',
    evidence: 'contested',
  },
  {
    choice: 'Overhead extensions',
    says: ({ order }) => order.overhead,
    reason: 'They grew the triceps more than the arm at the side; elbows like to be warm.',
    evidence: 'contested',
  },
  {
    choice: 'Order that is told',
    says: ({ order }) => {
      const left = ORDER_RULES.filter(rule => order.watch[rule] === 'left')
      return left.length === 0 ? 'all of it' : `all but ${left.map(rule => ORDER[rule]).join(', ')}`
    },
    reason: 'Some coaches tire a muscle first, or mix big and light work, on purpose.',
    evidence: 'rule of thumb',
  },
  {
    choice: 'Forearms',
    says: ({ order }) =>
      ({
        armDay: 'arm day, last',
        pullDay: 'pull day',
        ownSlot: 'their own slot',
        none: 'left to the grip',
      })[order.forearms],
    reason: 'Unstudied.',
    evidence: 'rule of thumb',
  },
  {
    choice: 'Lock-out',
    says: ({ range }) => (range.lockout === 'full' ? 'full' : 'just short of it'),
    reason: 'Full and honest reps, or constant tension and kinder elbows.',
    evidence: 'contested',
  },
  {
    choice: 'Momentum',
    says: ({ form }) =>
      ({ strict: 'never', lastReps: 'last reps only', allowed: 'allowed' })[form.momentum],
    reason: 'Hardly studied.',
    evidence: 'rule of thumb',
  },
  {
    choice: 'Pace',
    says: ({ tempo }) => tempo.map(formatSpanWords).join('-'),
    reason: 'Lower, wait long, lift, wait short, in seconds.',
    evidence: 'rule of thumb',
  },
  {
    choice: 'Reps',
    says: ({ reps }) => `${ends(reps.compound)}, single-joint ${ends(reps.isolation)}`,
    reason: 'Five to thirty reps near failure grow alike.',
    evidence: 'well supported',
  },
  {
    choice: 'Sets over the weeks',
    says: ({ progress }) =>
      ({ none: 'level', linear: 'rising', step: 'a set now and then' })[progress.setRamp],
    reason: 'That a rising dose beats a level one is not shown.',
    evidence: 'contested',
  },
  {
    choice: 'Block',
    says: ({ progress }) =>
      `${progress.workingWeeks} weeks${progress.deloadWeeks > 0 ? ` + ${progress.deloadWeeks} easier` : ''}`,
    reason: 'A break in mid-block brought no extra growth; it may prevent trouble.',
    evidence: 'contested',
  },
  {
    choice: 'Exercises',
    says: ({ progress }) =>
      ({ none: 'kept', exposure: 'A and B by turns', week: 'A and B by week' })[
        progress.alternation
      ],
    reason: 'Some variety does no harm.',
    evidence: 'contested',
  },
  {
    choice: 'Readiness asked for',
    says: ({ recovery: { required } }) =>
      `${required.lead} / ${required.other} / ${required.indirect} %`,
    reason: 'Lead work, other direct work, indirect work.',
    evidence: 'rule of thumb',
  },
]

/** One choice on which a method differs from another. */
export interface MethodDifference {
  readonly choice: string
  readonly was: string
  readonly is: string
}

/** What is said of every setting that can be changed, value by value, where two methods differ. */
export function methodDifferences(method: Method, base: Method): readonly MethodDifference[] {
  return METHOD_SETTINGS.flatMap(setting => {
    const [was, is] = [settingWords(setting, base), settingWords(setting, method)]
    return was === is ? [] : [{ choice: setting.label, was, is }]
  })
}

/** A setting's value as it is read: the words of a choice, a number with its unit. */
export function settingWords(setting: MethodSetting, method: Method): string {
  const value = settingOf(method, setting)
  if (setting.kind === 'choice')
    return setting.options.find(option => option.value === value)?.words ?? value
  return setting.unit === '' ? value : `${value} ${setting.unit}`
}

/** Where each setting of a method acts, by its path; the test of every setting asks for an entry. */
export const SETTING_ACTS: Readonly<Record<string, string>> = {
  school: 'every counted set, its bands, proposals',
  'counts.buildUp': 'counted sets',
  'counts.restricted': 'counted sets',
  'counts.long': 'counted sets, but where they are weighed',
  'counts.easiest': 'counted sets, but where they are weighed',
  'dose.bandScale': 'floor, target and ceiling everywhere',
  'dose.setsPerExercise.0': 'templates',
  'dose.setsPerExercise.1': 'templates',
  'dose.minSetsPerExposure': 'frequency on the board, checks',
  'dose.maxSetsPerExposure': 'checks, proposals',
  'dose.frequencyMin': 'checks, proposals',
  ratioWish: 'board, proposals',
  'effort.rirCompound.from': 'a new block',
  'effort.rirCompound.to': 'a new block',
  'effort.rirIsolation.from': 'a new block',
  'effort.rirIsolation.to': 'a new block',
  'effort.lastSetToFailure': 'a new block, checks',
  'effort.extendedMax': 'checks',
  'reps.compound.0': 'new exercises, templates',
  'reps.compound.1': 'new exercises, templates',
  'reps.isolation.0': 'new exercises, templates',
  'reps.isolation.1': 'new exercises, templates',
  'rest.compoundHeavy': 'new exercises, templates, minutes',
  'rest.compound': 'new exercises, templates, minutes',
  'rest.isolation': 'new exercises, templates, minutes',
  'pairing.mode': 'templates',
  'pairing.inside': 'minutes of pairs',
  'pairing.after': 'minutes of pairs',
  'order.first': 'checks of order',
  'order.armPlacement': 'which templates come first',
  'order.overhead': 'templates',
  'order.forearms': 'templates',
  'order.watch.compounds': 'checks of order',
  'order.watch.lead': 'checks of order',
  'order.watch.grip': 'checks of order',
  'order.watch.exhausting': 'checks of order',
  'order.watch.stretch': 'checks of coverage',
  'range.lockout': 'new exercises, templates',
  'form.momentum': 'checks',
  'progress.setRamp': 'a new block',
  'progress.workingWeeks': 'easier rotations of a new block',
  'progress.deloadWeeks': 'easier rotations of a new block',
  'deload.mode': 'a new block, the review',
  'progress.compoundRule': 'loads on block and phone',
  'progress.isolationRule': 'loads on block and phone',
  'progress.alternation': 'a new block',
  'recovery.required.lead': 'board, checks, proposals',
  'recovery.required.other': 'board, checks, proposals',
  'checks.strictness': 'checks',
}
