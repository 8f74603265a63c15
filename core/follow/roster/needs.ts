import { isSore } from '../../body/joints'
import { addDays, daysBetween, type PlainDate } from '../../base'
import { onTrialUntil, type Trial, trialEnd } from '../../plan/block'
import type { Group, Joint } from '../../plan/catalogue'
import type { Attention } from '../../count/ledger'
import type { SessionState } from '../../body/log'
import type { DatedTrend } from '../../body/trend'
import { PAIN_LEVELS, type PainLevel } from '../../plan/method'

/** Something about a client that waits for the coach. */
export type Need =
  | {
      readonly kind: 'pain'
      readonly level: PainLevel
      readonly joint: Joint
      readonly side: 'left' | 'right' | 'both'
      readonly score: number
      readonly on: PlainDate
    }
  | {
      readonly kind: 'missed_session'
      readonly session: string
      readonly on: PlainDate
      readonly name: string
      readonly armSets: number
    }
  | {
      readonly kind: 'no_plan'
      /** No block at all, a block without sets, or one that was never sent. */
      readonly what: 'nothing' | 'empty' | 'never_sent'
    }
  /** `isNext`: of the block that waits behind the current one. */
  | {
      readonly kind: 'not_sent'
      readonly on: PlainDate
      readonly pass: number
      readonly isNext?: boolean
    }
  | {
      readonly kind: 'falling'
      readonly group: Group
      readonly trend: DatedTrend
      readonly others: number
    }
  | { readonly kind: 'block_ends'; readonly on: PlainDate }
  | { readonly kind: 'trial_over'; readonly what: string; readonly on: PlainDate }
  | { readonly kind: 'out_of_band'; readonly worst: Attention; readonly others: number }
  | { readonly kind: 'not_opened'; readonly sentOn: PlainDate }

export type RosterSection = 'now' | 'week' | 'steady'

/** In this order needs are told, and clients sorted. */
const ORDER: readonly Need['kind'][] = [
  'pain',
  'missed_session',
  'no_plan',
  'not_sent',
  'falling',
  'block_ends',
  'trial_over',
  'out_of_band',
  'not_opened',
]
const NOW: readonly Need['kind'][] = ['pain', 'missed_session', 'no_plan', 'not_sent']
/** Days. */
const WITHIN = { sendBefore: 2, blockEnd: 5, missedSince: 14 } as const

/** A dated session as the roster sees it. */
export interface RosterSession {
  readonly id: string
  readonly on: PlainDate
  /** Of the block it belongs to, from 0. */
  readonly pass: number
  readonly name: string
  readonly armSets: number
  readonly sentOn: PlainDate | null
  readonly isOpened: boolean
  readonly state: SessionState
  /** Of another block than the current one: it says nothing of what of this one was sent. */
  readonly isOfOther?: boolean
}

/** What is known of a client on a day. */
export interface RosterFacts {
  readonly today: PlainDate
  readonly block: {
    readonly startsOn: PlainDate
    readonly passes: number
    readonly lengthDays: number
    /** Whether it holds no set yet. */
    readonly isEmpty: boolean
    readonly trials?: readonly Trial[]
    /** The block that waits behind it; null where none does. */
    readonly next?: { readonly startsOn: PlainDate; readonly isSent: boolean } | null
  } | null
  /** Around today, in the order of their days. */
  readonly sessions: readonly RosterSession[]
  readonly pains: readonly {
    readonly level: PainLevel
    readonly joint: Joint
    readonly side: 'left' | 'right' | 'both'
    readonly score: number
    readonly on: PlainDate
  }[]
  /** Trends by muscle: twenty exercises looked at one by one would have twenty chances of a false word. */
  readonly muscles: ReadonlyMap<Group, DatedTrend>
  readonly attention: readonly Attention[]
}

/**
 * Everything that waits for the coach, most pressing first.
 *
 * Shape:  at most one need of each kind but missed sessions; of several the worst stands for the rest.
 * Edge:   a session of today is not missed yet; what was never sent is one need, not one a rotation.
 * Source: docs/methods.md#roster.
 */
export function clientNeeds(facts: RosterFacts): readonly Need[] {
  const needs = [
    ...painNeeds(facts),
    ...missedNeeds(facts),
    ...planNeeds(facts),
    ...sendingNeeds(facts),
    ...fallingNeeds(facts),
    ...blockNeeds(facts),
    ...trialNeeds(facts),
    ...bandNeeds(facts),
    ...openingNeeds(facts),
  ]
  return needs.sort((a, b) => ORDER.indexOf(a.kind) - ORDER.indexOf(b.kind))
}

function painNeeds({ pains }: RosterFacts): readonly Need[] {
  const serious = pains.filter(({ level }) => isSore(level))
  const [worst] = [...serious].sort(
    (a, b) => PAIN_LEVELS.indexOf(b.level) - PAIN_LEVELS.indexOf(a.level) || b.score - a.score,
  )
  return worst ? [{ kind: 'pain', ...worst }] : []
}

function missedNeeds({ sessions, today }: RosterFacts): readonly Need[] {
  return sessions
    .filter(
      ({ on, state, sentOn }) =>
        state === 'missed' && daysBetween(on, today) <= WITHIN.missedSince && sentOn !== null,
    )
    .map(({ id, on, name, armSets }): Need => ({
      kind: 'missed_session',
      session: id,
      on,
      name,
      armSets,
    }))
    .reverse()
}

/** A client without a plan, or whose plan she has never seen, waits for the next step. */
function planNeeds({ block, sessions, today }: RosterFacts): readonly Need[] {
  if (!block) return [{ kind: 'no_plan', what: 'nothing' }]
  if (block.isEmpty) return [{ kind: 'no_plan', what: 'empty' }]
  const isSoon = daysBetween(today, block.startsOn) <= WITHIN.sendBefore
  return isSoon && !sessions.some(({ sentOn, isOfOther }) => sentOn !== null && !isOfOther)
    ? [{ kind: 'no_plan', what: 'never_sent' }]
    : []
}

function sendingNeeds({ block, sessions, today }: RosterFacts): readonly Need[] {
  if (!block || !sessions.some(({ sentOn }) => sentOn !== null)) return []
  const { next: behind } = block
  if (behind && daysBetween(today, behind.startsOn) <= WITHIN.sendBefore && !behind.isSent)
    return [{ kind: 'not_sent', on: behind.startsOn, pass: 0, isNext: true }]
  const since = daysBetween(block.startsOn, today)
  const next = Math.max(0, Math.ceil(since / block.lengthDays))
  const on = addDays(block.startsOn, next * block.lengthDays)
  const isSent = sessions.some(
    ({ pass, sentOn, isOfOther }) => pass === next && sentOn !== null && !isOfOther,
  )
  return next < block.passes && daysBetween(today, on) <= WITHIN.sendBefore && !isSent
    ? [{ kind: 'not_sent', on, pass: next }]
    : []
}

/** What is on trial is not judged by strength before its time. */
function fallingNeeds({ muscles, block, today }: RosterFacts): readonly Need[] {
  const trials = block?.trials ?? []
  const [worst, ...others] = [...muscles]
    .filter(
      ([group, { verdict }]) =>
        verdict === 'decline' && onTrialUntil({ trials }, group, today) === null,
    )
    .sort(([, a], [, b]) => a.slope - b.slope)
  return worst ? [{ kind: 'falling', group: worst[0], trend: worst[1], others: others.length }] : []
}

function blockNeeds({ block, today }: RosterFacts): readonly Need[] {
  if (!block || block.next) return []
  const on = addDays(block.startsOn, block.passes * block.lengthDays - 1)
  return daysBetween(today, on) <= WITHIN.blockEnd ? [{ kind: 'block_ends', on }] : []
}

/** A trial whose time is over, until the coach puts it away. */
const trialNeeds = ({ block, today }: RosterFacts): readonly Need[] =>
  (block?.trials ?? [])
    .filter(trial => trialEnd(trial) < today)
    .map(trial => ({ kind: 'trial_over', what: trial.what, on: trialEnd(trial) }))

function bandNeeds({ attention: [worst, ...others] }: RosterFacts): readonly Need[] {
  return worst ? [{ kind: 'out_of_band', worst, others: others.length }] : []
}

/** Sent yesterday or earlier, and not looked at while its sessions come. */
function openingNeeds({ sessions, today }: RosterFacts): readonly Need[] {
  const sent = sessions.filter(({ sentOn, on }) => sentOn !== null && sentOn < today && on >= today)
  const [first] = sent
  return first?.sentOn &&
    sent.every(({ isOpened }) => !isOpened) &&
    !sessions.some(({ sentOn, isOpened }) => sentOn === first.sentOn && isOpened)
    ? [{ kind: 'not_opened', sentOn: first.sentOn }]
    : []
}

/** Where a client with these needs stands. */
export function rosterSection(needs: readonly Need[]): RosterSection {
  if (needs.some(({ kind }) => NOW.includes(kind))) return 'now'
  return needs.length > 0 ? 'week' : 'steady'
}

const SECTIONS: readonly RosterSection[] = ['now', 'week', 'steady']

interface Sortable {
  readonly section: RosterSection
  readonly isFlagged: boolean
  readonly needs: readonly Pick<Need, 'kind'>[]
  readonly nextOn: string | null
  readonly name: string
}

/** Order of the roster: section, flagged first, the most pressing need, then who comes next. */
export function byPressure(a: Sortable, b: Sortable): number {
  return (
    SECTIONS.indexOf(a.section) - SECTIONS.indexOf(b.section) ||
    Number(b.isFlagged) - Number(a.isFlagged) ||
    pressure(a) - pressure(b) ||
    compared(a.nextOn ?? '~', b.nextOn ?? '~') ||
    compared(a.name, b.name)
  )
}

function pressure({ needs: [first] }: Sortable): number {
  return first ? ORDER.indexOf(first.kind) : ORDER.length
}

function compared(a: string, b: string): number {
  return a < b ? -1 : Number(a > b)
}
