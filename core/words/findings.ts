import { SLOT_ROLE_TABLE, type SlotRole } from '../plan/session'
import { type Permit, PERMIT_TABLE } from '../plan/safety'
import { type Group, GROUPS, type Joint, JOINTS, type Muscle, MUSCLES } from '../plan/catalogue'
import type { CheckId, Finding, FindingLine, FoldingCheck } from '../judge/checks'
import type { CoverageGap, DerivedRule } from '../count/ledger'
import type { ChoiceReason } from '../design/suggest'
import { EFFORT } from './effort'
import { formatOneDecimal, formatSets, NBSP, wholeReadiness } from './figures'
import { JOINT_NAMES } from './joints'
import { GROUP_NAMES, MUSCLE_NAMES } from './names'

const REFER =
  'It needs an examination by a physician or other licensed professional before it is loaded again.'

function sets(value: number): string {
  return `${formatSets(value)} ${value === 1 ? 'set' : 'sets'}`
}

const percent = (share: number) => `${Math.round(share * 100)}${NBSP}%`
const hours = (value: number) => `${Math.round(value)}${NBSP}h`

/** Figures of a finding as words: names where the rules gave ids. */
function reader(figures: Finding['figures']) {
  const text = (key: string) => {
    const value = String(figures[key] ?? '')
    if ((GROUPS as readonly string[]).includes(value)) return GROUP_NAMES[value as Group]
    if ((JOINTS as readonly string[]).includes(value)) return JOINT_NAMES[value as Joint]
    return (MUSCLES as readonly string[]).includes(value)
      ? MUSCLE_NAMES[value as Muscle].toLowerCase()
      : value
  }
  return { text, number: (key: string) => Number(figures[key] ?? 0) }
}

const GAP_WORDS: Readonly<Record<string, (figure: ReturnType<typeof reader>) => string>> = {
  head_short: ({ text, number }) =>
    `${text('muscle')} gets ${percent(number('share'))}, wish from ${percent(number('wish'))}`,
  head_much: ({ text, number }) =>
    `${text('muscle')} gets ${percent(number('share'))}, wish up to ${percent(number('wish'))}`,
  lengthened_short: ({ number }) =>
    `${percent(number('share'))} of direct sets at long length, wish from ${percent(number('wish'))}`,
  shortened_much: ({ number }) =>
    `${percent(number('share'))} of direct sets at short length, wish up to ${percent(number('wish'))}`,
  overhead_short: ({ number }) =>
    `${percent(number('share'))} of direct sets with the arm overhead, wish from ${percent(number('wish'))}`,
  neutral_short: ({ number }) =>
    `${percent(number('share'))} of flexor sets with palms facing or down, wish from ${percent(number('wish'))}`,
  forearm_side: ({ text }) => `${text('muscle')} gets nothing`,
}

const SLIPS: Readonly<Record<string, string>> = {
  none: 'a set has no reps',
  many: 'a set has more than 60 reps',
  heavy: 'the load is more than a client is likely to lift',
  rest: 'a rest is longer than ten minutes',
}

/** What a missed wish about heads, lengths or grips says. */
export function gapWords(gap: CoverageGap): string {
  return GAP_WORDS[gap.kind]?.(reader({ ...gap })) ?? ''
}

/** What a line says that stands for several muscles: how many, and what each lacks. */
const FOLDED: Readonly<
  Record<FoldingCheck, readonly [says: string, each: (figure: ReturnType<typeof reader>) => string]>
> = {
  'below-floor': ['muscles under their floor', ({ number }) => formatOneDecimal(number('missing'))],
  'above-ceiling': [
    'muscles over their ceiling',
    ({ number }) => formatOneDecimal(number('surplus')),
  ],
  'indirect-only': ['muscles without enough direct sets', () => ''],
  'frequency-low': ['muscles on too few days', () => ''],
  'gap-long': ['muscles with a long gap', ({ number }) => `${number('days')} days`],
  'rolling-peak': ['muscles with a crowded seven days', () => ''],
  'head-uncovered': ['heads, lengths or grips short', () => ''],
  'not-recovered': [
    'arrivals not ready',
    ({ number }) => `${wholeReadiness(number('readiness'))}${NBSP}%`,
  ],
}

/** A line of findings in one sentence; one that opens names every muscle with what it lacks. */
export function findingLineSentence({ findings }: FindingLine): string {
  const [first, ...others] = findings
  const folded = others.length > 0 && FOLDED[first.check as FoldingCheck]
  if (!folded) return findingSentence(first)
  const [says, each] = folded
  const names = findings.map(({ figures }) => {
    const figure = reader(figures)
    return [figure.text('group'), each(figure)].filter(Boolean).join(' ')
  })
  return `${findings.length} ${says}: ${[...new Set(names)].join(', ')}.`
}

type Sentence = (figure: ReturnType<typeof reader>) => string

/** One sentence for each check; one that is missing does not compile. */
export const FINDING_SENTENCES: Readonly<Record<CheckId, Sentence>> = {
  'pain-stop': ({ text }) =>
    `${text('exercise')} loads the ${text('joint')}, whose reports ask to stop. ${REFER}`,
  'pain-swap': ({ text }) =>
    `${text('exercise')} loads the ${text('joint')}: choose a kinder exercise, or three ${EFFORT.inText}. Suggest seeing a licensed professional.`,
  'pain-hold-increase': ({ text }) =>
    `${text('exercise')} asks more of the ${text('joint')} than it should get while it settles.`,
  'screening-open': ({ text }) =>
    text('state') === 'refer'
      ? 'The screening asks for a physician or other licensed professional first; no clearance is recorded yet.'
      : 'The screening has not been answered yet.',
  'restricted-flow-excluded': ({ text }) =>
    `${text('exercise')}: restricted-flow sets are off for this client or do not fit this exercise.`,
  'failure-under-bar': ({ text }) =>
    `${text('exercise')} goes to failure under a bar, and no safety arms or spotter are recorded.`,
  'thumbless-press': ({ text }) =>
    `${text('exercise')} is planned without the thumb round the bar.`,
  'overhead-failure': ({ text }) => `${text('exercise')} goes to failure above the head.`,
  'not-permitted': ({ text }) =>
    `${text('exercise')} uses ${PERMIT_TABLE[text('permit') as Permit].name}, which is not allowed for this client yet.`,
  'first-months': ({ text }) =>
    text('what') === 'restricted_flow'
      ? `${text('exercise')} is done with restricted flow in the client's first months.`
      : `${text('exercise')} goes on after failure in the client's first months.`,
  'momentum-unwanted': ({ text }) =>
    `${text('exercise')} is done with momentum; the method has ${text('allows') === 'lastReps' ? 'that in the last reps only' : 'strict form'}.`,
  'momentum-low-back': ({ text }) =>
    `${text('exercise')} is done with momentum, and the low back is sensitive.`,
  'minor-limits': ({ text }) => `${text('exercise')} asks more than a client under 18 should do.`,
  'equipment-missing': ({ text }) =>
    `${text('exercise')} needs ${text('missing')}, which the client does not have.`,
  'exercise-avoided': ({ text }) => `${text('exercise')} is on the list of exercises to avoid.`,
  'over-heaviest': ({ text, number }) =>
    `${text('exercise')} is planned with ${formatSets(number('load'))} kg; this client is to lift ${formatSets(number('most'))} kg at most.`,
  'above-level': ({ text, number }) =>
    `${text('exercise')} asks for about ${number('months')} months of training.`,
  'heavy-lock': ({ text, number }) =>
    text('what') === 'lock'
      ? `${text('exercise')}: a load for ${number('reps')} reps is too much for a hard lock-out.`
      : `${text('exercise')}: a load for ${number('reps')} reps is too much for a wait at full stretch.`,
  'exhausting-early': ({ text }) =>
    `${text('exercise')} exhausts the muscle before ${text('later')}.`,
  'lead-late': ({ text }) =>
    `${text('exercise')}, which is only maintained, comes before ${text('later')}.`,
  'session-no-stretch': ({ text, number }) =>
    `${text('group')}: ${sets(number('sets'))} in this session, none at long length.`,
  'role-unfit': ({ text }) =>
    `${text('exercise')} is not ${SLOT_ROLE_TABLE[text('role') as SlotRole].name}, which this place is for.`,
  'many-new': ({ text, number }) =>
    `${number('count')} exercises are new to the client: ${text('names')}.`,
  'kept-exercise-missing': ({ text }) => `${text('exercise')} is to be kept, and is not planned.`,
  'compound-after-arms': ({ text, number }) =>
    `${sets(number('sets'))} of ${text('before')} come before ${text('exercise')}.`,
  'grip-work-early': ({ text }) =>
    `${text('exercise')} spends the grip that ${text('later')} needs.`,
  'overhead-extension-cold': ({ text }) =>
    `${text('exercise')} is the first elbow work, with the elbow cold.`,
  'low-reps-late': ({ text, number }) =>
    `${text('exercise')}: ${number('reps')} reps late in the session.`,
  'extended-not-last': ({ text }) => `${text('exercise')} has a long set before plain ones.`,
  'low-back-crowd': ({ text }) =>
    `${text('exercise')} follows ${text('before')}: the low back holds both.`,
  'isolation-before-compound': ({ text }) =>
    `${text('exercise')} comes before ${text('compound')}.`,
  'odd-figures': ({ text }) =>
    `${text('exercise')}: ${SLIPS[text('slip')] ?? 'a figure is far from the usual'}. Is that a slip?`,
  'group-crowded': ({ text, number }) =>
    `${text('group')}: ${sets(number('sets'))} in one session, limit ${formatSets(number('limit'))}.`,
  'session-many-sets': ({ number }) =>
    `${sets(number('sets'))} in one session, limit ${number('limit')}.`,
  'many-exercises': ({ text, number }) =>
    `${text('group')}: ${number('exercises')} exercises in one session, limit ${number('limit')}.`,
  'exposure-too-small': ({ text }) =>
    `${text('exercise')}: one direct set for ${text('group')} on this day.`,
  'effort-too-low': ({ text, number }) =>
    `${text('exercise')} stops ${number('rir')} reps from failure.`,
  'failure-share': ({ text, number }) =>
    text('kind') === 'compound'
      ? `${text('exercise')} goes to failure as a free compound.`
      : `${percent(number('share'))} of the single-joint sets go to failure.`,
  'extended-too-many': ({ text, number }) =>
    `${text('group')}: ${number('sets')} long sets in one session, limit ${number('limit')}.`,
  'low-rep-isolation': ({ text, number }) =>
    `${text('exercise')}: ${number('reps')} reps load the elbow for no gain.`,
  'pair-shares-grip': ({ text }) =>
    `${text('exercise')} and ${text('partner')} share the ${text('shared')}.`,
  'pair-lead-compound': ({ text }) =>
    `${text('exercise')} is paired with ${text('partner')} and little rest.`,
  'pair-same-group': ({ text }) =>
    `${text('exercise')} and ${text('partner')} train the same muscle.`,
  'rest-too-short': ({ text, number }) =>
    `${text('exercise')} rests ${number('seconds')}${NBSP}s, least ${number('least')}${NBSP}s.`,
  'pieces-at-once': ({ number }) => `${number('stations')} stations are held at once.`,
  'elbow-stress-twice': ({ text }) =>
    `${text('exercise')} is the second exercise with high stress on the ${text('joint')}, after ${text('first')}.`,
  'bar-and-chin-up-crowd': ({ number }) =>
    `${sets(number('sets'))} of palms-up bar work and chin-ups, limit ${number('limit')}.`,
  'shoulder-crowd': ({ number }) => `${number('exercises')} exercises crowd the shoulder.`,
  'stretch-intro': ({ text, number }) =>
    `${text('exercise')} is new and starts with ${sets(number('sets'))} at long length.`,
  'warm-up-missing': ({ text }) => `${text('exercise')} starts heavy without a warm-up set.`,
  'time-over': ({ number }) => `${Math.round(number('minutes'))} of ${number('limit')}${NBSP}min.`,
  'session-joint-ceiling': ({ text, number }) =>
    `The ${text('joint')} bears ${formatOneDecimal(number('load'))} of ${formatOneDecimal(number('ceiling'))} in this session.`,
  'below-floor': ({ text, number }) =>
    `${text('group')} ${formatOneDecimal(number('missing'))} under floor.`,
  'above-ceiling': ({ text, number }) =>
    `${text('group')} ${formatOneDecimal(number('surplus'))} over ceiling.`,
  'indirect-only': ({ text, number }) =>
    `${text('group')}: ${formatOneDecimal(number('direct'))} direct sets per 7 days, wanted ${formatOneDecimal(number('wanted'))}.`,
  'frequency-low': ({ text, number }) =>
    `${text('group')} on ${formatOneDecimal(number('frequency'))} days in 7, wanted ${formatOneDecimal(number('least'))}.`,
  'gap-long': ({ text, number }) =>
    `${text('group')}: ${number('days')} days without work, at most ${number('most')}.`,
  'rolling-peak': ({ text, number }) =>
    `${text('group')}: some 7 days hold ${formatOneDecimal(number('sets'))} sets, ceiling ${formatOneDecimal(number('ceiling'))}.`,
  'head-uncovered': figure =>
    `${figure.text('group')}: ${GAP_WORDS[figure.text('gap')]?.(figure) ?? figure.text('gap')}.`,
  'head-below-floor': ({ text, number }) =>
    `${text('group')}, ${text('muscle')}: ${formatOneDecimal(number('sets'))} sets per 7 days, at least ${formatOneDecimal(number('floor'))} wanted.`,
  'arm-balance': ({ number }) =>
    `Flexors ${formatOneDecimal(number('flexors'))}, triceps ${formatOneDecimal(number('extensors'))} in the rotation.`,
  'too-many-builds': ({ number }) => `${number('count')} parts of the body are built up at once.`,
  'not-recovered': ({ text, number }) =>
    `${text('group')} ${wholeReadiness(number('readiness'))}${NBSP}% ready, wanted ${number('required')}${NBSP}%; ${hours(number('hours'))} after the last work, mostly from day ${number('from')}.`,
  'press-then-arms': ({ text, number }) =>
    `${text('group')} come to the arm day ${hours(number('hours'))} after day ${number('from')}.`,
  'pull-then-arms': ({ text, number }) =>
    `${text('group')} come to the arm day ${hours(number('hours'))} after day ${number('from')}.`,
  'arms-then-press': ({ text, number }) =>
    `Triceps ${wholeReadiness(number('readiness'))}${NBSP}% ready for ${text('exercise')}, ${hours(number('hours'))} after the arm day.`,
  'elbow-no-quiet-day': ({ text, number }) =>
    text('kind') === 'close'
      ? `Hard sessions for the ${text('joint')} ${hours(number('hours'))} apart.`
      : `The ${text('joint')} has had no quiet day: ${formatOneDecimal(number('store'))} of ${formatOneDecimal(number('limit'))} still in it.`,
  'joint-ceiling': ({ text, number }) =>
    `The ${text('joint')} bears ${formatOneDecimal(number('load'))} of ${formatOneDecimal(number('ceiling'))} in 7 days.`,
  'joint-ramp': ({ text, number }) =>
    `Load on the ${text('joint')} up ${percent(number('ramp') - 1)} on the last weeks.`,
  'no-rest-day': ({ number }) =>
    `${number('days')} training days in a row, at most ${number('most')}.`,
  'gap-rule-broken': ({ number }) =>
    `${number('days')} days between two sessions; the plan says at most ${number('most')}. Change the rule or the places; both are kept as typed.`,
  'open-day': ({ number }) => `Nobody has said yet what day ${number('day')} is.`,
  'places-assumed': () =>
    'The days have no fixed places: gaps and readiness follow the order as it stands.',
  'deload-missing': ({ number }) =>
    `${formatOneDecimal(number('weeks'))} working weeks without an easier one, at most ${number('most')}.`,
}

/** A finding in one sentence: where and how much. The reason stands with the check. */
export function findingSentence({ check, figures }: Finding): string {
  return FINDING_SENTENCES[check](reader(figures))
}

/** What speaks for or against adding an exercise here. */
export function choiceReasonWords(reason: ChoiceReason): string {
  switch (reason.kind) {
    case 'fills':
      return FILLS[reason.gap.kind](reason.gap)
    case 'known':
      return 'in this plan'
    case 'same_day':
      return 'already on this day'
    case 'hardly_fits':
      return 'takes the day over its minutes'
    case 'over_time':
      return 'the day is over its minutes'
    case 'joint':
      return `loads the ${JOINT_NAMES[reason.joint]}`
  }
}

const FILLS: Readonly<Record<CoverageGap['kind'], (gap: CoverageGap) => string>> = {
  head_short: gap =>
    `for the ${'muscle' in gap ? MUSCLE_NAMES[gap.muscle].toLowerCase() : ''}, which is short`,
  head_much: () => '',
  lengthened_short: () => 'long length, which is short',
  shortened_much: () => 'not at short length',
  overhead_short: () => 'arm overhead, which is short',
  neutral_short: () => 'palms facing or down, which is short',
  forearm_side: gap => `for the ${'muscle' in gap ? MUSCLE_NAMES[gap.muscle].toLowerCase() : ''}`,
}

/** Why a set counts as it does, in words. */
export const DERIVED_RULE_WORDS: Readonly<Record<DerivedRule, string>> = {
  direct: 'direct',
  indirect: 'indirect',
  indirect_ignored: 'indirect, which this method does not count',
  too_far_from_failure: 'too far from failure to count',
  rir_assumed: `${EFFORT.short} assumed`,
  reps_assumed: 'reps assumed',
  warm_up: 'warm-up, never counted',
  primer: 'primer, not counted',
  build_up: 'build-up set, not counted',
  hold_alone: 'held only, not counted',
  restricted_flow: 'restricted flow: by its stages',
  running_total: 'running total: by whole sets',
  one_side: 'one side',
  conditional: 'only under a condition',
  open_count: 'number of sets left open',
  slot_credits: 'credits of this place',
  client_credits: 'credits of this client',
  highest_of_stages: 'the highest of its stages',
  long_set: 'long set, weighed',
  session_cap: 'capped in one session',
}
