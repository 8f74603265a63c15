import { capitalised } from './text'
import type { Catalogue } from '../plan/catalogue'
import { type PlainDate, roundHalfUp } from '../base'
import type { Assumed, PairingEffect } from '../plan/minutes'
import type { GroupingKind, Placement, Session, Slot } from '../plan/session'
import { plannedSets } from '../plan/scheme'
import { formatScheme } from '../plan/shorthand'
import type { CatchUpOffer, ShortChange, ShortSession, ShortWay } from '../design/short'
import type { SwapChoice, SwapReason } from '../design/suggest'
import { formatDay } from './dates'
import { formatSetCount, formatSets, NBSP } from './figures'
import { JOINT_NAMES } from './joints'
import { creditWords, GROUP_NAMES } from './names'

/** `42:15`: minutes and seconds, as along a session. */
export function formatClock(seconds: number): string {
  const whole = Math.max(0, Math.round(seconds))
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`
}

/** `about 5 s longer`, `1:30 shorter`, `as long`. */
export function longerWords(seconds: number): string {
  if (Math.abs(seconds) < 5) return 'as long'
  return `${formatClock(Math.abs(seconds))} ${seconds > 0 ? 'longer' : 'shorter'}`
}

/** `82 % ready` before a session; `55 % left` once earlier sets of it have worked the muscle. */
export function readinessWords(percentReady: number, isWorked = false): string {
  return `${roundHalfUp(percentReady)}${NBSP}% ${isWorked ? 'left' : 'ready'}`
}

export const GROUPING_NAMES: Readonly<Record<GroupingKind, string>> = {
  straight: 'straight',
  superset: 'superset',
  alternating: 'alternating',
  circuit: 'circuit',
}
export const PLACEMENT_NAMES: Readonly<Record<Placement, string>> = {
  main: 'main part',
  warmup: 'warm-up block',
  finisher: 'finisher',
}

/** Name of the exercise of a slot, with its purpose where it is not the usual one. */
export function slotName(
  { exercise: id, intent }: Pick<Slot, 'exercise' | 'intent'>,
  catalogue: Catalogue,
): string {
  const exercise = catalogue.get(id)
  const purpose =
    intent === null ? undefined : exercise?.intents.find(candidate => candidate.id === intent)?.name
  return `${exercise?.name ?? id}${purpose ? ` (${purpose})` : ''}`
}

/** A session line by line, exercises by their names: `Superset: Cable curl 3 x 12 & Rope pushdown 3 x 12`. */
export function sessionLines(
  { preparation = [], groupings }: Session,
  catalogue: Catalogue,
): readonly string[] {
  return [
    ...preparation.map(({ minutes, what }) => `${what}, ${formatSets(minutes)}${NBSP}min`),
    ...groupings.map(({ kind, placement, slots }) => {
      const heading = [
        placement === 'main' ? '' : PLACEMENT_NAMES[placement],
        slots.length > 1 ? GROUPING_NAMES[kind] : '',
      ]
        .filter(Boolean)
        .join(', ')
      const body = slots
        .map(slot => `${slotName(slot, catalogue)} ${formatScheme(slot.scheme)}`)
        .join(' & ')
      return heading ? `${capitalised(heading)}: ${body}` : body
    }),
  ]
}

const percent = (share: number) => `${roundHalfUp(share * 100)}${NBSP}%`

/** What doing exercises together saves, and what it costs in performance. */
export function pairingSentence(
  { saved, costs }: PairingEffect,
  nameOf: (slot: Slot['id']) => string,
): string {
  const saving =
    saved >= 0
      ? `Saves ${formatClock(saved)} against straight sets.`
      : `Takes ${formatClock(-saved)} longer than straight sets.`
  const lost = costs.map(({ slot, reps, relation, sharesGrip }) => {
    const why =
      relation === 'same_group'
        ? ', both train the same muscle'
        : sharesGrip
          ? ', both need the grip'
          : ''
    return reps >= 1
      ? `${nameOf(slot)} keeps its reps`
      : `${nameOf(slot)}: about ${percent(1 - reps)} fewer reps, or a lighter load${why}`
  })
  return `${saving} ${lost.join('. ')}. Counted sets stay the same.`
}

/** Ways to shorten a session, by what gives first. */
export const SHORT_WAY_NAMES: Readonly<Record<ShortWay, string>> = {
  usual: 'least harm first',
  later_exercises: 'later exercises shorter',
  fewer_exercises: 'fewer exercises',
}

/** One step of a short session in words. */
export function shortChangeWords(
  { step, slots }: Pick<ShortChange, 'step' | 'slots'>,
  catalogue: Catalogue,
): string {
  const names = slots.map(slot => slotName(slot, catalogue)).join(' with ')
  switch (step) {
    case 'warm_up':
      return 'General warm-up of two minutes'
    case 'warm_up_sets':
      return `${names}: only the last warm-up set`
    case 'pair':
      return `${names} as a superset`
    case 'rests':
      return `${names}: shortest rests of the method`
    case 'drop':
      return `${names}: the last two sets become one with a drop`
    case 'sets':
      return `${names}: one set less`
    case 'lead_only':
      return `${names} dropped: only lead exercises stay`
    case 'later_exercises':
      return `${names}: fewer sets, the last one longer where that is allowed`
    case 'fewer_exercises':
      return `${names}: left out, or cut to three hard sets`
  }
}

/** `34 of 35 min. All 19 sets kept (2 supersets).` or what of each muscle stays. */
export function shortSentence(
  { seconds, fits, kept, groups, slots, changes, session }: ShortSession,
  minutes: number,
  catalogue: Catalogue,
): string {
  const sets = session.groupings
    .flatMap(grouping => grouping.slots)
    .reduce((sum, { scheme }) => sum + plannedSets(scheme), 0)
  const pairs = changes.filter(({ step }) => step === 'pair').length
  const time = fits
    ? `${Math.ceil(seconds / 60 - 1e-9)} of ${minutes}${NBSP}min.`
    : `Still ${Math.ceil(seconds / 60 - 1e-9)} of ${minutes}${NBSP}min: nothing more can go without your word.`
  if (slots.length === 0)
    return `${time} All ${formatSetCount(sets)} kept${pairs > 0 ? ` (${pairs} ${pairs === 1 ? 'superset' : 'supersets'})` : ''}.`
  const lost = slots.map(
    ({ slot, before, after }) =>
      `${slotName(slot, catalogue)} ${after === 0 ? 'dropped' : `${after} of ${before}`}`,
  )
  const built = groups
    .filter(({ before, after }) => before > 0 && after < before)
    .slice(0, 3)
    .map(
      ({ group, before, after }) =>
        `${GROUP_NAMES[group].toLowerCase()} ${formatSets(after)} of ${formatSets(before)}`,
    )
  return `${time} ${percent(kept)} of the stimulus kept: counted sets ${built.join(', ')}. ${lost.join(', ')}.`
}

/** What a shorter session leaves out, for whoever does it: `Left out: Preacher curl. Fewer sets: Cable curl 2 of 4.` */
export function shortSheetWords({ slots, fits }: ShortSession, catalogue: Catalogue): string {
  const [out, fewer] = [
    slots.filter(({ after }) => after === 0),
    slots.filter(({ after }) => after > 0),
  ]
  const parts = [
    out.length > 0
      ? `Left out: ${out.map(({ slot }) => slotName(slot, catalogue)).join(', ')}.`
      : '',
    fewer.length > 0
      ? `Fewer sets: ${fewer.map(({ slot, before, after }) => `${slotName(slot, catalogue)} ${after} of ${before}`).join(', ')}.`
      : '',
    fits ? '' : 'It may still run over.',
  ].filter(Boolean)
  return parts.length > 0 ? parts.join(' ') : 'All sets, with shorter rests or in pairs.'
}

/** Where sets left out could be caught up. */
export function offerWords(
  { slot, sets, day, readiness }: CatchUpOffer,
  catalogue: Catalogue,
): string {
  return `${formatSetCount(sets)} of ${slotName(slot, catalogue)} on day ${day + 1}, ready ${roundHalfUp(readiness)}${NBSP}%`
}

export const SWAP_REASON_NAMES: Readonly<Record<SwapReason, string>> = {
  taken: 'the station is taken',
  hurts: 'it hurts',
  travelling: 'travelling',
  too_hard: 'still too hard',
  other: 'something else',
}

const STRESS_WORDS = ['no', 'low', 'medium', 'high'] as const

/** What a stand-in changes for muscles and joints, in a few words each. */
export function swapChangeWords({
  credits,
  stress,
}: Pick<SwapChoice, 'credits' | 'stress'>): readonly string[] {
  const said = (value: number) => (value === 0 ? 'nothing' : creditWords(value))
  return [
    ...credits.map(
      ({ group, before, after }) =>
        `${GROUP_NAMES[group].toLowerCase()} ${said(after)}, was ${said(before)}`,
    ),
    ...stress.map(
      ({ joint, before, after }) =>
        `${JOINT_NAMES[joint]} ${STRESS_WORDS[after] ?? ''} stress, was ${STRESS_WORDS[before] ?? ''}`,
    ),
  ]
}

const FORM_WORDS: Readonly<Record<SwapChoice['form'], readonly string[]>> = {
  other: [],
  lowering_only: ['the same movement, helped up and lowered slowly'],
  eased: ['the same sets, lighter, with four or more in reserve and no drops'],
}

/** What a stand-in changes, the session's length among it. */
export function swapWords(choice: SwapChoice): readonly string[] {
  return [
    ...FORM_WORDS[choice.form],
    ...swapChangeWords(choice),
    `the session is ${longerWords(choice.seconds)}`,
  ]
}

/** Said where somebody would close a session whose day has not come. */
export function tooEarlyWords(on: PlainDate): string {
  return `This session is planned for ${formatDay(on)}. It can be closed on that day; if it was done earlier, move it on the Block page first.`
}

/** What is counted with where the plan leaves room: `Counted and timed with 10 reps, 90 s between sets.`; empty where it leaves none. */
export function assumedWords(assumed: readonly Assumed[]): string {
  const words = assumed.map(one => {
    switch (one.kind) {
      case 'sets':
        return `${formatSets(one.value)} ${one.value === 1 ? 'set' : 'sets'}`
      case 'reps':
        return `${formatSets(one.value)} reps`
      case 'rest':
        return `${one.seconds}${NBSP}s between sets`
      case 'arms':
        return `${one.seconds}${NBSP}s between arms`
    }
  })
  return words.length === 0 ? '' : `Counted and timed with ${words.join(', ')}.`
}
