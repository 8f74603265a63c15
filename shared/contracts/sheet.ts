import { BODY_SIDES, SET_LAPSES } from '#core/body/log'
import { exerciseId, type PlainDate, slotId } from '#core/base'
import { JOINTS } from '#core/plan/catalogue'
import type { PlacedPainReport } from '#core/body/joints'
import { SET_ROLES, WEIGHT_UNITS } from '#core/plan/scheme'
import {
  type DonePart,
  FEELINGS,
  FELT_PLACES,
  type Levels,
  LOG_LIMITS,
  MOST_FEELING,
  type LogEntry,
  type LogWord,
  type SetPlace,
  type SheetSession,
} from '#core/follow/sheet'
import type { Writing } from '#core/words'
import { z } from 'zod'
import type { Equal, Proven } from './equal'
import { SetUpContract } from './scheme'
import { LIMITS } from './limits'

const between = ({ least, most }: { readonly least: number; readonly most: number }) =>
  z.number().min(least).max(most)
const slot = z.string().min(1).max(100).transform(slotId)
const exercise = z.string().min(1).max(60).transform(exerciseId)
const words = z.string().trim().max(LIMITS.longText)

const place = z
  .strictObject({
    slot,
    role: z.enum(SET_ROLES),
    set: z.int().min(1).max(40),
    stage: z.int().min(1).max(30),
    side: z.enum(BODY_SIDES).nullable(),
  })
  .readonly()

const done = z
  .strictObject({
    exercise,
    intent: z.string().max(60).nullable(),
    load: z
      .strictObject({ amount: between(LOG_LIMITS.load), unit: z.enum(WEIGHT_UNITS) })
      .readonly()
      .nullable(),
    reps: between(LOG_LIMITS.reps).nullable(),
    seconds: between(LOG_LIMITS.seconds).nullable(),
    rir: between(LOG_LIMITS.rir).nullable(),
    isRirOpen: z.boolean(),
    lapses: z.array(z.enum(SET_LAPSES)).max(SET_LAPSES.length).readonly().exactOptional(),
  })
  .readonly()

const feelings = z.partialRecord(z.enum(FEELINGS), z.int().min(0).max(MOST_FEELING)).readonly()

/** Something said about a session, as core has it. */
export const LogWordContract = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('opened') }).readonly(),
  z.strictObject({ kind: z.literal('set'), place, done, replaces: z.uuid().nullable() }).readonly(),
  z.strictObject({ kind: z.literal('clear'), place, replaces: z.uuid().nullable() }).readonly(),
  z.strictObject({ kind: z.literal('more_sets'), slot }).readonly(),
  z.strictObject({ kind: z.literal('skip'), slot, isSkipped: z.boolean() }).readonly(),
  z
    .strictObject({
      kind: z.literal('swap'),
      slot,
      exercise: exercise.nullable(),
      intent: z.string().max(60).nullable(),
    })
    .readonly(),
  z
    .strictObject({ kind: z.literal('way'), minutes: between(LOG_LIMITS.minutes).nullable() })
    .readonly(),
  z.strictObject({ kind: z.literal('note'), slot: slot.nullable(), text: words.min(1) }).readonly(),
  z.strictObject({ kind: z.literal('set_up'), slot, exercise, setUp: SetUpContract }).readonly(),
  z
    .strictObject({ kind: z.literal('felt'), slot, exercise, where: z.enum(FELT_PLACES) })
    .readonly(),
  z
    .strictObject({
      kind: z.literal('pain'),
      joints: z.array(z.enum(JOINTS)).min(1).max(JOINTS.length).readonly(),
      side: z.enum([...BODY_SIDES, 'both']),
      score: z.int().min(LIMITS.painScore.min).max(LIMITS.painScore.max),
      hasAlarmSign: z.boolean(),
    })
    .readonly(),
  z
    .strictObject({
      kind: z.literal('finish'),
      minutes: between(LOG_LIMITS.minutes).nullable(),
      isRecovered: z.boolean().nullable(),
      recovery: z.int().min(0).max(10).exactOptional(),
      note: words,
      feelings: feelings.exactOptional(),
      word: z.string().trim().min(1).max(LIMITS.oneWord).exactOptional(),
      warmUpMinutes: between(LOG_LIMITS.asideMinutes).exactOptional(),
      wayMinutes: between(LOG_LIMITS.asideMinutes).exactOptional(),
    })
    .readonly(),
])
export type _WordIsCore = Proven<Equal<z.output<typeof LogWordContract>, LogWord>>
export type _PlaceIsCore = Proven<Equal<z.output<typeof place>, SetPlace>>
export type _DoneIsCore = Proven<Equal<z.output<typeof done>, DonePart>>

/** A word with its key, the session it is about, and when it was said by the sender's clock. */
export const SentEntry = z.strictObject({
  id: z.uuid(),
  session: z.uuid(),
  at: z.iso.datetime(),
  word: LogWordContract,
})
export const MOST_ENTRIES = 60
/** Entries in the order they were said; `sentAt` is the sender's clock at sending, to tell how far it is off. */
export const EntriesBody = z.strictObject({
  sentAt: z.iso.datetime(),
  entries: z.array(SentEntry).min(1).max(MOST_ENTRIES),
})
export type EntriesBody = z.output<typeof EntriesBody>

/** What a phone logged and was not taken, in words: the entry itself may be what no contract lets in. */
export const RefusedBody = z.strictObject({
  id: z.uuid(),
  at: z.iso.datetime(),
  words: z.string().trim().min(1).max(LIMITS.shortText),
  why: z.string().trim().max(LIMITS.longText),
})
export type RefusedBody = z.output<typeof RefusedBody>

export const ENTRY_OUTCOMES = ['taken', 'conflict', 'too_old', 'unknown_session'] as const
export type EntryOutcome = (typeof ENTRY_OUTCOMES)[number]

/** What became of each entry, in the order sent; `theirs` is what stands where an entry came too late. */
export const EntriesAnswer = z.object({
  now: z.iso.datetime(),
  results: z.array(
    z.object({
      id: z.uuid(),
      outcome: z.enum(ENTRY_OUTCOMES),
      theirs: z.custom<LogEntry>().nullable(),
    }),
  ),
})
export type EntriesAnswer = z.output<typeof EntriesAnswer>

const pin = z
  .string()
  .refine(
    text => /^\d+$/.test(text) && text.length >= 4 && text.length <= LIMITS.pinDigits,
    `must be 4 to ${LIMITS.pinDigits} digits`,
  )

/** Opens a personal link on a phone. */
export const OpenLinkBody = z.strictObject({
  token: z.string().min(20).max(100),
  pin: pin.nullable(),
})
/** `needsPin`: the link is good, and asks for its PIN; otherwise the phone's own key. */
export const OpenLinkAnswer = z.object({ key: z.string().nullable(), needsPin: z.boolean() })
export type OpenLinkAnswer = z.output<typeof OpenLinkAnswer>

export interface SheetView {
  readonly client: { readonly id: string; readonly name: string }
  readonly coach: {
    readonly name: string
    readonly studio: string
    /** How dates and figures are written in this studio. */
    readonly writing?: Partial<Writing>
  }
  readonly now: string
  readonly today: PlainDate
  /** Sent sessions around today, in the order of their days, each with what was said about it. */
  readonly sessions: readonly {
    readonly session: SheetSession
    readonly entries: readonly LogEntry[]
    readonly isFinished: boolean
    /** When she begins, as agreed for the day, and when she usually does; left out where nobody said. */
    readonly start?: { readonly start: string; readonly usual: string } | null
    /** Of a session done lately: what comes next time, exercise by exercise. */
    readonly next?: readonly { readonly on: PlainDate; readonly words: string }[]
  }[]
  readonly levels: Levels
  /** Reports the levels come from, so that a phone without reception can go on judging. */
  readonly reports: readonly PlacedPainReport[]
  /** What the coach wrote lately, newest first. */
  readonly words: readonly { readonly id: string; readonly text: string; readonly at: string }[]
}
/** The sheet is this application's own and goes to its own page; its shape is held by types, not read again on a phone. */
export const SheetAnswer = z.custom<SheetView>(value => typeof value === 'object' && value !== null)

/** What a coach says of a new link. */
export const NewLinkBody = z.strictObject({
  pin: pin.nullable(),
  days: z.int().min(LIMITS.linkDays.min).max(LIMITS.linkDays.max).nullable(),
})
export const NewLinkAnswer = z.object({ token: z.string() })
export const LinkView = z.object({
  link: z
    .object({
      createdAt: z.iso.datetime(),
      expiresAt: z.iso.datetime().nullable(),
      hasPin: z.boolean(),
      isOver: z.boolean(),
      phones: z.int(),
      lastSeenAt: z.iso.datetime().nullable(),
    })
    .nullable(),
})
export type LinkView = z.output<typeof LinkView>

export const MessageBody = z.strictObject({
  text: z.string().trim().min(1, 'needs some words').max(LIMITS.longText),
})
/** What clients were told, and what the coach is: when somebody last asked for a new account with her email. */
export const OutboxView = z.object({
  signUpTriedAt: z.iso.datetime().exactOptional(),
  messages: z.array(
    z.object({
      id: z.uuid(),
      clientId: z.uuid(),
      client: z.string(),
      kind: z.enum(['link', 'sent', 'pain', 'own']),
      text: z.string(),
      writtenAt: z.iso.datetime(),
      /** How it went by mail, where it goes so. */
      mail: z
        .object({ words: z.string(), canTryAgain: z.boolean(), isWrong: z.boolean() })
        .exactOptional(),
    }),
  ),
})
export const MessageParams = z.object({ messageId: z.uuid() })
export type OutboxView = z.output<typeof OutboxView>
