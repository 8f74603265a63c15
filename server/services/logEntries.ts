import { createHash, randomUUID } from 'node:crypto'
import {
  type ClientId,
  type CoachId,
  daysBetween,
  plainDate,
  type Result,
  success,
} from '#core/base'
import { hasSides, type Joint, JOINTS } from '#core/plan/catalogue'
import { painBySide } from '#core/body/joints'
import { type LogWord, PAIN_WORDS, worseLevel } from '#core/follow/sheet'
import type { Problem } from '#shared/contracts/problem'
import type { EntriesAnswer, EntriesBody, RefusedBody } from '#shared/contracts/sheet'
import { database } from '../db/database'
import { clearancesOf, insertPainReport, painReportsOf } from '../db/queries/health'
import type { EntryBatch, NewEntry, Writer } from '../db/queries/heldSessions'
import { appendEntries } from '../db/queries/takenEntries'
import { gathered } from '../db/gathered'
import { tellFloor } from '../live/floorNews'
import { countEvent } from '../seen/metrics'
import { insertMessage } from '../db/queries/messages'
import { insertNote } from '../db/queries/notes'
import { learnPaces } from './pace'
import { placedReports } from './pain'
import { learnFromSessions } from './afterSession'
import type { Coach } from './signIn'
import { currentTime } from '../clock'

/** A clock this far off is put right; less is the way through the network. */
const CLOCK_SLACK_SECONDS = 120
/** A session takes entries of its client that were said up to so many days after it; later ones wait for the coach. */
const LATE_DAYS = 14

/** Seconds the sender's clock is ahead; 0 where it is near enough. */
export function clockOff(sentAt: string, now: Date): number {
  const off = Math.round((Date.parse(sentAt) - now.getTime()) / 1000)
  return Math.abs(off) > CLOCK_SLACK_SECONDS ? off : 0
}

/** When something was said by the server's clock; never in the future. */
export function saidAt(at: string, offSeconds: number, now: Date): Date {
  return new Date(Math.min(Date.parse(at) - offSeconds * 1000, now.getTime()))
}

/** What holds now, whatever session it was said in: that it was opened, and what hurts. */
const isOfNow = ({ kind }: LogWord) => kind === 'opened' || kind === 'pain'

interface From {
  readonly coach: Coach
  readonly clientId: ClientId
  readonly author: Writer['author']
  readonly deviceId: string | null
}

/** What phones of one coach's clients say in the same instant is written together. */
const fromPhones = gathered(
  ({ coachId }: { readonly coachId: CoachId; readonly batch: EntryBatch }) => coachId,
  (round, coachId) =>
    appendEntries(
      database(),
      coachId,
      round.map(({ batch }) => batch),
    ),
)

/** Takes what a phone, or the coach, says about sessions into the log. */
export async function takeEntries(
  { coach, clientId, author, deviceId }: From,
  { sentAt, entries }: EntriesBody,
): Promise<EntriesAnswer> {
  const now = currentTime()
  const off = clockOff(sentAt, now)
  const incoming = entries.map(({ id, session, at, word }): NewEntry => {
    const said = saidAt(at, off, now)
    const saidOn = plainDate(said.toISOString().slice(0, 10))
    return {
      id,
      session,
      at: said.toISOString(),
      word,
      clockOffSeconds: off,
      isTooOld: on => author === 'client' && !isOfNow(word) && daysBetween(on, saidOn) > LATE_DAYS,
    }
  })
  // What is sent again was answered before: one pain, one message, however often it comes.
  const fresh = new Set<string>()
  const batch: EntryBatch = {
    writer: { clientId, author, deviceId, receivedAt: now },
    entries: incoming,
    also: async (tx, taken) => {
      for (const { id, at, word } of taken) {
        fresh.add(id)
        if (word.kind === 'pain') await reportPain(tx, { coach, clientId }, { id, at, word })
      }
    },
  }
  // The coach's own are part of what can be taken back at once, phones have theirs written together.
  const results =
    author === 'client'
      ? await fromPhones({ coachId: coach.id, batch })
      : (await appendEntries(database(), coach.id, [batch])).flat()
  // What hurts counts though the session it was said in was taken off the sheet meanwhile.
  const strays = new Set(
    results.filter(({ outcome }) => outcome === 'unknown_session').map(({ id }) => id),
  )
  for (const { id, at, word } of incoming)
    if (word.kind === 'pain' && strays.has(id)) {
      if (await reportPain(database(), { coach, clientId }, { id, at, word })) fresh.add(id)
      strays.delete(id)
    }
  countEvent('sheet_entries', fresh.size)
  if (fresh.size > 0) tellFloor(coach.id)
  const hurting = incoming.flatMap(({ id, word }) =>
    word.kind === 'pain' && fresh.has(id) ? word.joints : [],
  )
  if (author === 'client' && hurting.length > 0) await answerPain(coach, clientId, hurting, now)
  const finished = incoming.flatMap(({ id, session, word }) =>
    word.kind === 'finish' && fresh.has(id) ? [session] : [],
  )
  if (finished.length > 0) {
    await learnFromSessions(coach, clientId, finished)
    await learnPaces(coach, clientId, plainDate(now.toISOString().slice(0, 10)))
  }
  return {
    now: now.toISOString(),
    results: results.map(result =>
      result.outcome === 'unknown_session' && !strays.has(result.id)
        ? { ...result, outcome: 'taken' }
        : result,
    ),
  }
}

/** Puts what hurts with the client's reports; false where it is there already, since it is sent again until it is answered. */
async function reportPain(
  db: Parameters<typeof insertPainReport>[0],
  { coach, clientId }: { readonly coach: Coach; readonly clientId: ClientId },
  { id, at, word }: { id: string; at: string; word: Extract<LogWord, { kind: 'pain' }> },
): Promise<boolean> {
  const isNew = await Promise.all(
    word.joints.map(joint =>
      insertPainReport(db, {
        coachId: coach.id,
        id: uuidOf(`${id} ${joint}`),
        clientId,
        joint,
        side: hasSides(joint) ? word.side : 'both',
        score: word.score,
        hasAlarmSign: word.hasAlarmSign,
        reportedAt: new Date(at),
      }),
    ),
  )
  return isNew.includes(true)
}

/** The same id for the same text, so that what is sent twice is one. */
function uuidOf(text: string): string {
  const digits = createHash('sha256').update(text).digest('hex')
  return digits.replace(/^(.{8})(.{4}).(.{3}).(.{3})(.{12}).*$/, '$1-$2-4$3-8$4-$5')
}

/** The words a pain report is answered with go out as a message too, so that they are there after the session. */
async function answerPain(
  coach: Coach,
  clientId: ClientId,
  joints: readonly Joint[],
  now: Date,
): Promise<void> {
  const db = database()
  const levels = painBySide(
    placedReports(await painReportsOf(db, coach.id, clientId)),
    await clearancesOf(db, coach.id, clientId),
  )
  const level = JOINTS.filter(joint => joints.includes(joint))
    .map(joint => worseLevel(levels[joint]?.left ?? 'none', levels[joint]?.right ?? 'none'))
    .reduce(worseLevel, 'none')
  if (level === 'none' || level === 'note') return
  await insertMessage(db, {
    coachId: coach.id,
    id: randomUUID(),
    clientId,
    kind: 'pain',
    text: PAIN_WORDS[level],
    writtenAt: now,
  })
}

/** What a phone logged and nothing could take stands in the client's notes, in words, with the reason. */
export async function keepRefused(
  { coach, clientId }: { readonly coach: Coach; readonly clientId: ClientId },
  { id, at, words, why }: RefusedBody,
): Promise<Result<{ isDone: true }, Problem>> {
  const now = currentTime()
  await insertNote(database(), {
    coachId: coach.id,
    id,
    clientId,
    sessionId: null,
    on: plainDate(saidAt(at, 0, now).toISOString().slice(0, 10)),
    text: `Logged on the phone and not taken into the log: ${words}. ${why}`,
    writtenAt: now,
  })
  return success({ isDone: true })
}
