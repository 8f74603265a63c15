import {
  addDays,
  type ClientId,
  failure,
  type PlainDate,
  type Result,
  slotId,
  success,
} from '#core/base'
import { saidAmount } from '#core/plan/estimate'
import { mayBeClosed, sessionState } from '#core/body/log'
import type { LogWord } from '#core/follow/sheet'
import { tooEarlyWords } from '#core/words'
import type { LogListView, SessionLog } from '#shared/contracts/log'
import type { Problem } from '#shared/contracts/problem'
import { ProfileContract } from '#shared/contracts/profile'
import type { EntriesAnswer, EntriesBody } from '#shared/contracts/sheet'
import type { z } from 'zod'
import { database } from '../db/database'
import {
  asideCounts,
  entriesOf,
  sentAround,
  sessionById,
  setsOfSession,
} from '../db/queries/logEntries'
import { profileOf } from '../db/queries/profiles'
import { sessionsOf } from '../db/queries/training'
import { takeEntries } from './logEntries'
import { sheetData, sheetLoads, sheetOf } from './sheet'
import type { Coach } from './signIn'

/** A log goes back so many days on the page; exports have all of it. */
const SHOWN_DAYS = 120
const NO_SESSION: Problem = { kind: 'not-found', what: 'session' }

/** Sessions of a client with how far each got. */
export async function logList(
  coach: Coach,
  client: ClientId,
  today: PlainDate,
): Promise<Result<z.input<typeof LogListView>, Problem>> {
  const db = database()
  const [profile, sessions, aside] = await Promise.all([
    profileOf(db, coach.id, client),
    sessionsOf(db, coach.id, client, addDays(today, -SHOWN_DAYS)),
    asideCounts(db, coach.id, client),
  ])
  if (!profile) return failure({ kind: 'not-found', what: 'client' })
  return success({
    name: profile.profile.name,
    units: ProfileContract.parse(profile.profile).units,
    sessions: sessions.map(({ id, on, name, setsDone, setsPlanned, minutes, ...facts }) => ({
      id,
      on,
      name,
      setsDone: setsDone ?? 0,
      setsPlanned,
      minutes,
      aside: aside.get(id) ?? 0,
      state: sessionState({ on, ...facts }, today),
    })),
  })
}

type SetRow = Awaited<ReturnType<typeof setsOfSession>>[number]

/** A logged set without an entry, as if somebody had just said it. */
function asWord({
  slot,
  role,
  set,
  stage,
  side,
  exercise,
  intent,
  loadKg,
  unit,
  reps,
  seconds,
  rir,
  isRirOpen,
  lapses,
}: SetRow): Extract<LogWord, { kind: 'set' }> {
  const load = loadKg === null ? null : { amount: saidAmount(loadKg, unit), unit }
  return {
    kind: 'set',
    replaces: null,
    place: { slot: slot ?? slotId(`${exercise}`), role, set, stage, side },
    done: { exercise, intent, load, reps, seconds, rir, isRirOpen, ...(lapses && { lapses }) },
  }
}

/** One session: prescribed, done, and all that was said about it. */
export async function sessionLog(
  coach: Coach,
  client: ClientId,
  session: string,
  today: PlainDate,
): Promise<Result<SessionLog, Problem>> {
  const db = database()
  const row = await sessionById(db, coach.id, client, session)
  if (!row) return failure(NO_SESSION)
  const [data, around, sets, entries] = await Promise.all([
    sheetData({ coach, clientId: client }, today < row.on ? today : row.on),
    sentAround(db, coach.id, client, { from: today, to: row.on }),
    setsOfSession(db, coach.id, session),
    entriesOf(db, coach.id, [session]),
  ])
  if (!data.ok) return data
  const rows = [...around.filter(({ id }) => id !== row.id), row]
  return success({
    session: sheetOf(row, data.value, sheetLoads(rows, data.value, today), false),
    base: sets.filter(({ entryId }) => entryId === null).map(asWord),
    entries: entries.map(({ session: _, at, ...entry }) => ({ ...entry, at: at.toISOString() })),
    finish: row.finishedAt && {
      at: row.finishedAt.toISOString(),
      minutes: row.minutes,
      isRecovered: row.isRecovered,
      recovery: row.recovery,
      note: row.note,
    },
  })
}

/** What the coach says about a session: from paper, or to put right what the client said. */
export async function coachEntries(
  coach: Coach,
  client: ClientId,
  session: string,
  body: EntriesBody,
  today: PlainDate,
): Promise<Result<EntriesAnswer, Problem>> {
  const row = await sessionById(database(), coach.id, client, session)
  if (!row) return failure(NO_SESSION)
  const closing = body.entries.findIndex(({ word }) => word.kind === 'finish')
  if (closing >= 0 && !mayBeClosed(row, today))
    return failure({
      kind: 'invalid',
      errors: [
        { pointer: `/entries/${closing}`, kind: 'too-early', detail: tooEarlyWords(row.on) },
      ],
    })
  if (body.entries.some(entry => entry.session !== session))
    return failure({
      kind: 'invalid',
      errors: [
        { pointer: '/entries', kind: 'custom', detail: 'entries must all be about this session.' },
      ],
    })
  return success(
    await takeEntries({ coach, clientId: client, author: 'coach', deviceId: null }, body),
  )
}
