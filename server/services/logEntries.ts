import { randomUUID } from 'node:crypto'
import { type ClientId, type CoachId, daysBetween, plainDate } from '#core/base'
import { hasSides, type Joint, JOINTS } from '#core/plan/catalogue'
import { painBySide } from '#core/body/joints'
import { PAIN_WORDS, worseLevel } from '#core/follow/sheet'
import type { EntriesAnswer, EntriesBody } from '#shared/contracts/sheet'
import { database } from '../db/database'
import { clearancesOf, insertPainReport, painReportsOf } from '../db/queries/health'
import type { EntryBatch, NewEntry, Writer } from '../db/queries/heldSessions'
import { appendEntries } from '../db/queries/takenEntries'
import { gathered } from '../db/gathered'
import { countEvent } from '../seen/metrics'
import { insertMessage } from '../db/queries/messages'
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
      isTooOld: on =>
        author === 'client' && word.kind !== 'opened' && daysBetween(on, saidOn) > LATE_DAYS,
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
        if (word.kind !== 'pain') continue
        for (const joint of word.joints)
          await insertPainReport(tx, {
            coachId: coach.id,
            id: randomUUID(),
            clientId,
            joint,
            side: hasSides(joint) ? word.side : 'both',
            score: word.score,
            hasAlarmSign: word.hasAlarmSign,
            reportedAt: new Date(at),
          })
      }
    },
  }
  // The coach's own are part of what can be taken back at once, phones have theirs written together.
  const results =
    author === 'client'
      ? await fromPhones({ coachId: coach.id, batch })
      : (await appendEntries(database(), coach.id, [batch])).flat()
  countEvent('sheet_entries', fresh.size)
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
  return { now: now.toISOString(), results: [...results] }
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
