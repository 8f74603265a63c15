import type { LoggedSet } from '../body/log'
import { LAPSE_WORDS } from '../body/log'
import type { Attempt, BestSet, SideGap, StoryDay } from '../follow/story'
import { saidAmount } from '../plan/estimate'
import type { SideRule } from '../plan/method'
import type { WeightUnit } from '../plan/scheme'
import { leftWords } from './effort'
import { formatSets, NBSP } from './figures'
import { JOINT_NAMES } from './joints'

const X = ' × '
const loadOf = ({ loadKg }: LoggedSet, unit: WeightUnit) =>
  loadKg === null ? '' : `${formatSets(saidAmount(loadKg, unit))}${NBSP}${unit}`
const countOf = ({ reps, seconds }: LoggedSet) =>
  reps !== null ? formatSets(reps) : seconds !== null ? `${formatSets(seconds)}${NBSP}s` : ''

/** One set as it was done: `30 kg × 10, 2 left`. */
export function doneSetWords(set: LoggedSet, unit: WeightUnit): string {
  const side = set.side ? `${set.side} ` : ''
  const load = loadOf(set, unit)
  return [
    `${side}${load}${load ? X : ''}${countOf(set)}`,
    set.rir === null ? '' : leftWords(set.rir, set.isRirOpen),
    ...(set.lapses ?? []).map(lapse => LAPSE_WORDS[lapse]),
  ]
    .filter(Boolean)
    .join(', ')
}

/** Sets of a day in one line; those of one load and side stand together: `30 kg × 10, 10, 9; right 20 kg × 12`. */
export function doneLine(sets: readonly LoggedSet[], unit: WeightUnit): string {
  const groups: { head: string; counts: string[] }[] = []
  for (const set of sets.filter(({ role }) => role !== 'warmup')) {
    const head = `${set.side ? `${set.side} ` : ''}${loadOf(set, unit)}`
    const lapses = (set.lapses ?? []).map(lapse => LAPSE_WORDS[lapse]).join(' and ')
    const count = `${countOf(set)}${lapses ? ` (${lapses})` : ''}`
    const last = groups.at(-1)
    if (last?.head === head) last.counts.push(count)
    else groups.push({ head, counts: [count] })
  }
  return groups
    .map(({ head, counts }) => `${head}${head.trim() ? X : ''}${counts.join(', ')}`)
    .join('; ')
}

const BEST_WORDS: Readonly<Record<BestSet['kind'], string>> = {
  estimate: 'Highest estimate',
  load: 'Heaviest',
  reps: 'Most reps at this load',
}

/** What a best set is the best of. */
export const bestName = ({ kind }: BestSet): string => BEST_WORDS[kind]

const percent = (share: number) => `${Math.round(Math.abs(share) * 100)}${NBSP}%`

/** How left and right stand to each other, and how surely. */
export function sideGapWords(gap: SideGap | null, days: number): string {
  if (!gap)
    return days === 0
      ? 'Left and right are logged apart only where each is a set of its own.'
      : `Left against right: ${days} of about 4 days it takes to tell.`
  const ends = [gap.low, gap.high].map(Math.abs).sort((a, b) => a - b)
  if (gap.weak === null)
    return `Left and right: no gap that can be told, from ${gap.days} days (80${NBSP}%: ${signed(gap.low)} to ${signed(gap.high)} for the right).`
  return `The ${gap.weak} does ${percent(gap.gap)} less, from ${gap.days} days (80${NBSP}%: ${percent(ends[0] ?? 0)} to ${percent(ends[1] ?? 0)}).`
}
const signed = (share: number) =>
  `${share < 0 ? '−' : '+'}${Math.round(Math.abs(share) * 100)}${NBSP}%`

/** A rule about left and right, as a choice. */
export function sideRuleWords({ weak, rule }: SideRule): string {
  const strong = weak === 'left' ? 'right' : 'left'
  return rule === 'first'
    ? `The ${weak} begins`
    : `The ${weak} begins, the ${strong} stops at its reps`
}

/** What became of a day besides its sets: swaps, pain, reps lost over the sets. */
export function storyNotes(
  { instead, standsFor, pains, fall, sets, isClosed }: StoryDay,
  nameOf: (exercise: string) => string,
): readonly string[] {
  return [
    ...(isClosed && sets.length === 0 && instead.length === 0 ? ['not done'] : []),
    ...instead.map(other => `${nameOf(other)} in its place`),
    ...standsFor.map(other => `in place of ${nameOf(other)}`),
    ...pains.map(
      ({ joint, side, score }) =>
        `${side === 'both' ? '' : `${side} `}${JOINT_NAMES[joint]} hurt, ${score} of 10`,
    ),
    ...(fall !== null && fall > 0
      ? [`${formatSets(fall)} ${fall === 1 ? 'rep' : 'reps'} fewer in the last set`]
      : []),
  ]
}

const OUTCOMES: Readonly<Record<Attempt['outcome'], string>> = {
  hit: 'hit',
  part: 'not finished',
  missed: 'missed',
}

/** An attempt with its outcome: `60 kg: 1.5 of 2, not finished`. */
export function attemptWords(
  { loadKg, intended, done, outcome }: Attempt,
  unit: WeightUnit,
): string {
  const load = loadKg === null ? '' : `${formatSets(saidAmount(loadKg, unit))}${NBSP}${unit}: `
  return `${load}${formatSets(done)} of ${formatSets(intended)}, ${OUTCOMES[outcome]}`
}
