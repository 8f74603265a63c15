import { randomUUID } from 'node:crypto'
import type { ClientId, CoachId, PlainDate } from '#core/base'
import { kilogramsOf, saidAmount } from '#core/plan/estimate'
import { type LoggedSet, exposureValue, setsByExercise } from '#core/body/log'
import { turnsHeld } from '#core/plan/shorthand'
import type { LogEntry, LogWord, SetPlace, SetWord } from '#core/follow/sheet'
import { and, asc, eq, gte, inArray, isNull, lte, sql } from 'drizzle-orm'
import type { Database } from '../database'
import { datedSessions, exposures, logEntries, loggedSets } from '../schema'
import { sessionDocument } from '../documents'
import { weightOn } from './loadLog'

type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0]

/** An entry on its way into the log. */
export interface NewEntry extends LogEntry {
  readonly session: string
  readonly clockOffSeconds: number
  readonly isTooOld: (on: PlainDate) => boolean
}

export interface Writer {
  readonly coachId: CoachId
  readonly clientId: ClientId
  readonly author: 'client' | 'coach' | 'import'
  readonly deviceId: string | null
  readonly receivedAt: Date
}

export interface EntryResult {
  readonly id: string
  readonly outcome: 'taken' | 'conflict' | 'too_old' | 'unknown_session'
  readonly theirs: LogEntry | null
}

const own = (coachId: CoachId, session: string) =>
  and(eq(loggedSets.coachId, coachId), eq(loggedSets.sessionId, session))

function atPlace({ slot, role, set, stage, side }: SetPlace) {
  return and(
    eq(loggedSets.slot, slot),
    eq(loggedSets.role, role),
    eq(loggedSets.set, set),
    eq(loggedSets.stage, stage),
    side === null ? isNull(loggedSets.side) : eq(loggedSets.side, side),
  )
}

/** What stands at a place, and what was said about it last. */
async function standingAt(tx: Transaction, coachId: CoachId, session: string, place: SetPlace) {
  const [row] = await tx
    .select()
    .from(loggedSets)
    .where(and(own(coachId, session), atPlace(place)))
    .limit(1)
  return row
}

function rowOf(
  { place, done }: SetWord,
  entryId: string,
): Omit<typeof loggedSets.$inferInsert, 'coachId' | 'sessionId' | 'clientId' | 'at'> {
  const { load, ...count } = done
  return {
    ...place,
    ...count,
    lapses: done.lapses?.length ? done.lapses : null,
    loadKg: load && kilogramsOf(load),
    unit: load?.unit ?? 'kg',
    entryId,
  }
}

async function writeSet(
  tx: Transaction,
  { coachId, clientId }: Writer,
  session: string,
  word: SetWord,
  entryId: string,
  standing: { readonly at: number } | undefined,
): Promise<void> {
  const row = rowOf(word, entryId)
  if (standing) {
    await tx
      .update(loggedSets)
      .set(row)
      .where(and(own(coachId, session), eq(loggedSets.at, standing.at)))
    return
  }
  const next = sql<number>`(select coalesce(max(${loggedSets.at}), -1) + 1 from ${loggedSets} where ${own(coachId, session)})`
  await tx
    .insert(loggedSets)
    .values({ ...row, coachId, clientId, sessionId: session, at: next as unknown as number })
}

/** Takes the trend values of a session out; how tired each muscle came does not change with what is put right about its sets. */
async function droppedExposures(tx: Transaction, coachId: CoachId, session: string) {
  const before = await tx
    .delete(exposures)
    .where(and(eq(exposures.coachId, coachId), eq(exposures.sessionId, session)))
    .returning({ exercise: exposures.exercise, tired: exposures.tired })
  return new Map(before.map(row => [row.exercise, row.tired]))
}

/** Works out the trend values of a session again. */
export async function renewExposures(
  tx: Transaction,
  coachId: CoachId,
  session: string,
): Promise<void> {
  const [of] = await tx
    .select({
      clientId: datedSessions.clientId,
      on: datedSessions.on,
      finishedAt: datedSessions.finishedAt,
      prescribed: datedSessions.prescribed,
    })
    .from(datedSessions)
    .where(and(eq(datedSessions.coachId, coachId), eq(datedSessions.id, session)))
  if (!of?.finishedAt) return
  const sets: readonly LoggedSet[] = await tx
    .select()
    .from(loggedSets)
    .where(own(coachId, session))
    .orderBy(asc(loggedSets.set), asc(loggedSets.stage), asc(loggedSets.at))
  const tired = await droppedExposures(tx, coachId, session)
  const bodyKg = await weightOn(tx, coachId, of.clientId, of.on)
  const about = { coachId, sessionId: session, clientId: of.clientId, on: of.on }
  const held = turnsHeld(sessionDocument(of.prescribed))
  const rows = setsByExercise(sets, held).flatMap(({ exercise, heldAs, sets: done }) => {
    const value = exposureValue(done, bodyKg)
    return value
      ? [{ ...about, exercise, tired: tired.get(exercise) ?? null, heldAs, ...value }]
      : []
  })
  if (rows.length > 0) await tx.insert(exposures).values(rows)
}

const ofSession = (coachId: CoachId, id: string) =>
  and(eq(datedSessions.coachId, coachId), eq(datedSessions.id, id))

/** What is known of a session while entries are taken in: what is so already need not be written again. */
interface Held {
  readonly on: PlainDate
  isOpened: boolean
  isStarted: boolean
}

/** What a word changes besides the log of entries. */
async function apply(
  tx: Transaction,
  writer: Writer,
  { id, session, at, word }: NewEntry,
  held: Held,
  standing: { readonly at: number } | undefined,
): Promise<void> {
  const { coachId } = writer
  switch (word.kind) {
    case 'opened':
      if (!held.isOpened)
        await tx
          .update(datedSessions)
          .set({ openedAt: new Date(at) })
          .where(and(ofSession(coachId, session), isNull(datedSessions.openedAt)))
      return
    case 'set':
      await writeSet(tx, writer, session, word, id, standing)
      if (!held.isStarted)
        await tx
          .update(datedSessions)
          .set({ startedAt: new Date(at) })
          .where(and(ofSession(coachId, session), isNull(datedSessions.startedAt)))
      held.isStarted = true
      return
    case 'clear':
      if (standing)
        await tx
          .delete(loggedSets)
          .where(and(own(coachId, session), eq(loggedSets.at, standing.at)))
      return
    case 'finish':
      await tx
        .update(datedSessions)
        .set({
          finishedAt: new Date(at),
          minutes: word.minutes,
          isRecovered: word.isRecovered,
          recovery: word.recovery ?? null,
          note: word.note,
        })
        .where(ofSession(coachId, session))
      return
    default:
  }
}

async function entryById(tx: Transaction, coachId: CoachId, id: string): Promise<LogEntry | null> {
  const [row] = await tx
    .select({ id: logEntries.id, at: logEntries.at, word: logEntries.word })
    .from(logEntries)
    .where(and(eq(logEntries.coachId, coachId), eq(logEntries.id, id)))
  return row ? { ...row, at: row.at.toISOString() } : null
}

const isAboutPlace = (word: LogWord): word is Extract<LogWord, { kind: 'set' | 'clear' }> =>
  word.kind === 'set' || word.kind === 'clear'

/** A set that came without an entry gets one before it is changed, so that what it was stays. */
async function keepFormer(
  tx: Transaction,
  writer: Writer,
  session: string,
  place: SetPlace,
  former: NonNullable<Awaited<ReturnType<typeof standingAt>>>,
): Promise<void> {
  const { exercise, intent, loadKg, unit, reps, seconds, rir, isRirOpen, lapses } = former
  const word: SetWord = {
    kind: 'set',
    place,
    replaces: null,
    done: {
      exercise,
      intent,
      load: loadKg === null ? null : { amount: saidAmount(loadKg, unit), unit },
      reps,
      seconds,
      rir,
      isRirOpen,
      ...(lapses && { lapses }),
    },
  }
  const [of] = await tx
    .select({ finishedAt: datedSessions.finishedAt })
    .from(datedSessions)
    .where(ofSession(writer.coachId, session))
  await tx.insert(logEntries).values({
    coachId: writer.coachId,
    id: randomUUID(),
    clientId: writer.clientId,
    sessionId: session,
    author: 'import',
    at: of?.finishedAt ?? writer.receivedAt,
    receivedAt: writer.receivedAt,
    word,
    outcome: 'taken',
  })
}

async function takeIn(
  tx: Transaction,
  writer: Writer,
  entry: NewEntry,
  held: Held,
): Promise<EntryResult> {
  const { coachId } = writer
  const { id, session, at, word, clockOffSeconds } = entry
  const standing = isAboutPlace(word)
    ? await standingAt(tx, coachId, session, word.place)
    : undefined
  const isLate = isAboutPlace(word) && (standing?.entryId ?? null) !== word.replaces
  const outcome = entry.isTooOld(held.on) ? 'too_old' : isLate ? 'conflict' : 'taken'
  if (outcome === 'taken' && isAboutPlace(word) && standing && standing.entryId === null)
    await keepFormer(tx, writer, session, word.place, standing)
  await tx.insert(logEntries).values({
    coachId,
    id,
    clientId: writer.clientId,
    sessionId: session,
    author: writer.author,
    deviceId: writer.deviceId,
    at: new Date(at),
    clockOffSeconds,
    receivedAt: writer.receivedAt,
    word,
    outcome,
  })
  if (outcome === 'taken') await apply(tx, writer, entry, held, standing)
  return {
    id,
    outcome,
    theirs:
      outcome === 'conflict' && standing?.entryId
        ? await entryById(tx, coachId, standing.entryId)
        : null,
  }
}

/**
 * Takes entries into the log in the order they were said, all or none of them.
 *
 * Edge: an entry that is there already changes nothing and gives its first outcome; one about a session the client does not have is left
 *       out; one about a place where something else stands by now is kept aside, with what stands there.
 */
export async function appendEntries(
  db: Database,
  writer: Writer,
  entries: readonly NewEntry[],
  also: (tx: Transaction, taken: readonly NewEntry[]) => Promise<void>,
): Promise<readonly EntryResult[]> {
  return db.transaction(async tx => {
    const { coachId, clientId } = writer
    const ids = [...new Set(entries.map(({ session }) => session))]
    // Locked in one order, so that two phones wait for each other and never forever.
    const sessions = await tx
      .select({
        id: datedSessions.id,
        on: datedSessions.on,
        openedAt: datedSessions.openedAt,
        startedAt: datedSessions.startedAt,
        finishedAt: datedSessions.finishedAt,
      })
      .from(datedSessions)
      .where(
        and(
          eq(datedSessions.coachId, coachId),
          eq(datedSessions.clientId, clientId),
          inArray(datedSessions.id, ids),
          ...(writer.author === 'client' ? [sql`${datedSessions.sentAt} is not null`] : []),
        ),
      )
      .orderBy(asc(datedSessions.id))
      .for('update')
    const known = new Map(
      (
        await tx
          .select({ id: logEntries.id, outcome: logEntries.outcome })
          .from(logEntries)
          .where(
            and(
              eq(logEntries.coachId, coachId),
              inArray(
                logEntries.id,
                entries.map(({ id }) => id),
              ),
            ),
          )
      ).map(({ id, outcome }) => [id, outcome]),
    )
    const held = new Map(
      sessions.map(({ id, on, openedAt, startedAt }): [string, Held] => [
        id,
        { on, isOpened: openedAt !== null, isStarted: startedAt !== null },
      ]),
    )
    const results: EntryResult[] = []
    const taken: NewEntry[] = []
    for (const entry of entries) {
      const before = known.get(entry.id)
      const session = held.get(entry.session)
      const result: EntryResult = before
        ? { id: entry.id, outcome: before, theirs: null }
        : session
          ? await takeIn(tx, writer, entry, session)
          : { id: entry.id, outcome: 'unknown_session', theirs: null }
      if (!before && result.outcome === 'taken') taken.push(entry)
      known.set(entry.id, result.outcome === 'unknown_session' ? 'taken' : result.outcome)
      results.push(result)
    }
    // Trends are of finished sessions: while one is trained, there is nothing to work out anew.
    const finished = new Set(
      sessions.filter(({ finishedAt }) => finishedAt !== null).map(({ id }) => id),
    )
    const touched = new Set(
      taken
        .filter(
          ({ session, word }) =>
            word.kind === 'finish' || (isAboutPlace(word) && finished.has(session)),
        )
        .map(({ session }) => session),
    )
    for (const session of touched) await renewExposures(tx, coachId, session)
    await also(tx, taken)
    return results
  })
}

/** Entries of some sessions, in the order they came, with who said them. */
export function entriesOf(db: Database, coachId: CoachId, sessions: readonly string[]) {
  if (sessions.length === 0) return Promise.resolve([])
  return db
    .select({
      id: logEntries.id,
      session: logEntries.sessionId,
      at: logEntries.at,
      word: logEntries.word,
      author: logEntries.author,
      outcome: logEntries.outcome,
      clockOffSeconds: logEntries.clockOffSeconds,
    })
    .from(logEntries)
    .where(and(eq(logEntries.coachId, coachId), inArray(logEntries.sessionId, [...sessions])))
    .orderBy(asc(logEntries.seq))
}

/** Sessions a client has been sent, around a day. */
export function sentAround(
  db: Database,
  coachId: CoachId,
  clientId: ClientId,
  { from, to }: { readonly from: PlainDate; readonly to: PlainDate },
) {
  return db
    .select({
      id: datedSessions.id,
      blockId: datedSessions.blockId,
      pass: datedSessions.pass,
      day: datedSessions.day,
      place: datedSessions.place,
      on: datedSessions.on,
      name: datedSessions.name,
      prescribed: datedSessions.prescribed,
      finishedAt: datedSessions.finishedAt,
    })
    .from(datedSessions)
    .where(
      and(
        eq(datedSessions.coachId, coachId),
        eq(datedSessions.clientId, clientId),
        gte(datedSessions.on, from),
        lte(datedSessions.on, to),
        sql`${datedSessions.sentAt} is not null`,
      ),
    )
    .orderBy(asc(datedSessions.on), asc(datedSessions.place))
}

/** A logged set as the core has it, with the unit it was said in. */
const setColumns = {
  slot: loggedSets.slot,
  exercise: loggedSets.exercise,
  intent: loggedSets.intent,
  set: loggedSets.set,
  stage: loggedSets.stage,
  side: loggedSets.side,
  role: loggedSets.role,
  loadKg: loggedSets.loadKg,
  reps: loggedSets.reps,
  seconds: loggedSets.seconds,
  rir: loggedSets.rir,
  isRirOpen: loggedSets.isRirOpen,
  lapses: loggedSets.lapses,
  unit: loggedSets.unit,
}

/** Sets of a client since a day with the days they were done on, in the order done. */
export function setsSince(db: Database, coachId: CoachId, clientId: ClientId, since: PlainDate) {
  return db
    .select({ on: datedSessions.on, sessionId: loggedSets.sessionId, ...setColumns })
    .from(loggedSets)
    .innerJoin(
      datedSessions,
      and(
        eq(datedSessions.coachId, loggedSets.coachId),
        eq(datedSessions.id, loggedSets.sessionId),
      ),
    )
    .where(
      and(
        eq(loggedSets.coachId, coachId),
        eq(loggedSets.clientId, clientId),
        gte(datedSessions.on, since),
      ),
    )
    .orderBy(asc(datedSessions.on), asc(loggedSets.set), asc(loggedSets.stage), asc(loggedSets.at))
}

/** One dated session of a client, sent or not. */
export async function sessionById(db: Database, coachId: CoachId, clientId: ClientId, id: string) {
  const [row] = await db
    .select({
      id: datedSessions.id,
      blockId: datedSessions.blockId,
      pass: datedSessions.pass,
      day: datedSessions.day,
      on: datedSessions.on,
      name: datedSessions.name,
      prescribed: datedSessions.prescribed,
      finishedAt: datedSessions.finishedAt,
      minutes: datedSessions.minutes,
      isRecovered: datedSessions.isRecovered,
      recovery: datedSessions.recovery,
      note: datedSessions.note,
    })
    .from(datedSessions)
    .where(
      and(
        eq(datedSessions.coachId, coachId),
        eq(datedSessions.clientId, clientId),
        eq(datedSessions.id, id),
      ),
    )
  return row
}

/** Everything logged of one session, in the order done. */
export function setsOfSession(db: Database, coachId: CoachId, session: string) {
  return db.select().from(loggedSets).where(own(coachId, session)).orderBy(asc(loggedSets.at))
}

/** Entries kept aside, by session. */
export async function asideCounts(
  db: Database,
  coachId: CoachId,
  clientId: ClientId,
): Promise<ReadonlyMap<string, number>> {
  const rows = await db
    .select({ session: logEntries.sessionId, count: sql<number>`count(*)::int` })
    .from(logEntries)
    .where(
      and(
        eq(logEntries.coachId, coachId),
        eq(logEntries.clientId, clientId),
        sql`${logEntries.outcome} <> 'taken'`,
      ),
    )
    .groupBy(logEntries.sessionId)
  return new Map(rows.map(({ session, count }) => [session, count]))
}

/** Every set of a client with its day and session, in the order done. */
export function wholeLog(db: Database, coachId: CoachId, clientId: ClientId) {
  return db
    .select({ on: datedSessions.on, session: datedSessions.name, ...setColumns })
    .from(loggedSets)
    .innerJoin(
      datedSessions,
      and(
        eq(datedSessions.coachId, loggedSets.coachId),
        eq(datedSessions.id, loggedSets.sessionId),
      ),
    )
    .where(and(eq(loggedSets.coachId, coachId), eq(loggedSets.clientId, clientId)))
    .orderBy(asc(datedSessions.on), asc(datedSessions.place), asc(loggedSets.at))
}
