import { randomUUID } from 'node:crypto'
import type { CoachId } from '#core/base'
import { kilogramsOf, saidAmount } from '#core/plan/estimate'
import type { LogEntry, SetPlace, SetWord } from '#core/follow/sheet'
import { and, eq, inArray } from 'drizzle-orm'
import type { Database } from '../database'
import { datedSessions, logEntries, loggedSets } from '../schema'
import {
  type EntryBatch,
  type EntryResult,
  type Held,
  isAboutPlace,
  type NewEntry,
  type NewSetRow,
  placeKey,
  type SessionChange,
  sessionsHeld,
  type SetRow,
  type Transaction,
  type Writer,
} from './heldSessions'
import { renewExposures } from './sessionTrends'

type NewEntryRow = typeof logEntries.$inferInsert
/** What a round writes, all at once at its end. */
interface Writing {
  readonly coachId: CoachId
  readonly entries: NewEntryRow[]
  readonly touched: Set<string>
}

function rowOf(
  { place, done }: SetWord,
  entryId: string,
): Omit<NewSetRow, 'coachId' | 'sessionId' | 'clientId' | 'at'> {
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

/** What a word changes besides the log of entries. */
function apply(
  { coachId }: Writing,
  { id, at, word }: NewEntry,
  held: Held,
  standing: SetRow | NewSetRow | undefined,
): void {
  const { change } = held
  switch (word.kind) {
    case 'opened':
      if (!held.isOpened) change.openedAt = new Date(at)
      held.isOpened = true
      return
    case 'set':
      held.sets.set(placeKey(word.place), {
        ...rowOf(word, id),
        coachId,
        sessionId: held.id,
        clientId: held.clientId,
        at: standing ? standing.at : held.nextAt++,
      })
      if (!held.isStarted) change.startedAt = new Date(at)
      held.isStarted = true
      return
    case 'clear':
      held.sets.delete(placeKey(word.place))
      return
    case 'finish':
      Object.assign(change, {
        finishedAt: new Date(at),
        minutes: word.minutes,
        isRecovered: word.isRecovered,
        recovery: word.recovery ?? null,
        note: word.note,
      } satisfies SessionChange)
      return
    default:
  }
}

/** A set that came without an entry gets one before it is changed, so that what it was stays. */
function formerEntry(
  { coachId }: Writing,
  { clientId, receivedAt }: Writer,
  held: Held,
  place: SetPlace,
  former: SetRow,
): NewEntryRow {
  const { exercise, intent, loadKg, unit, reps, seconds, rir, isRirOpen, lapses } = former
  return {
    coachId,
    id: randomUUID(),
    clientId,
    sessionId: held.id,
    author: 'import',
    at: held.finishedAt ?? receivedAt,
    receivedAt,
    outcome: 'taken',
    word: {
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
    },
  }
}

interface Judged {
  readonly id: string
  readonly outcome: EntryResult['outcome']
  /** The entry that stands where this one came too late. */
  readonly theirs: string | null
}

function takenIn(writing: Writing, writer: Writer, entry: NewEntry, held: Held): Judged {
  const { id, at, word, clockOffSeconds } = entry
  const standing = isAboutPlace(word) ? held.sets.get(placeKey(word.place)) : undefined
  const isLate = isAboutPlace(word) && (standing?.entryId ?? null) !== word.replaces
  const outcome = entry.isTooOld(held.on) ? 'too_old' : isLate ? 'conflict' : 'taken'
  const former = standing?.entryId === null ? held.stood.get(standing.at) : undefined
  if (outcome === 'taken' && isAboutPlace(word) && former)
    writing.entries.push(formerEntry(writing, writer, held, word.place, former))
  writing.entries.push({
    coachId: writing.coachId,
    id,
    clientId: writer.clientId,
    sessionId: held.id,
    author: writer.author,
    deviceId: writer.deviceId,
    at: new Date(at),
    clockOffSeconds,
    receivedAt: writer.receivedAt,
    word,
    outcome,
  })
  if (outcome === 'taken') {
    apply(writing, entry, held, standing)
    // Trends are of finished sessions: while one is trained, there is nothing to work out anew.
    if (word.kind === 'finish' || (isAboutPlace(word) && held.finishedAt !== null))
      writing.touched.add(held.id)
  }
  return { id, outcome, theirs: outcome === 'conflict' ? (standing?.entryId ?? null) : null }
}

/** Writes what the entries of a round came to: each table in one statement, changes of what stood one by one. */
async function written(
  tx: Transaction,
  { coachId, entries }: Writing,
  sessions: Iterable<Held>,
): Promise<void> {
  const statements: PromiseLike<unknown>[] = []
  const added: NewSetRow[] = []
  if (entries.length > 0) statements.push(tx.insert(logEntries).values(entries))
  for (const { id, change, sets, stood } of sessions) {
    const left = new Map([...sets.values()].map(set => [set.at, set]))
    const ofSet = (at: number) =>
      and(eq(loggedSets.coachId, coachId), eq(loggedSets.sessionId, id), eq(loggedSets.at, at))
    for (const [at, set] of stood) {
      const now = left.get(at)
      if (!now) statements.push(tx.delete(loggedSets).where(ofSet(at)))
      else if (now !== set) statements.push(tx.update(loggedSets).set(now).where(ofSet(at)))
    }
    added.push(...[...left.values()].filter(({ at }) => !stood.has(at)))
    if (Object.keys(change).length > 0)
      statements.push(
        tx
          .update(datedSessions)
          .set(change)
          .where(and(eq(datedSessions.coachId, coachId), eq(datedSessions.id, id))),
      )
  }
  if (added.length > 0) statements.push(tx.insert(loggedSets).values(added))
  await Promise.all(statements)
}

/** Entries by their ids. */
async function entriesById(
  tx: Transaction,
  coachId: CoachId,
  ids: readonly string[],
): Promise<ReadonlyMap<string, LogEntry>> {
  if (ids.length === 0) return new Map()
  const rows = await tx
    .select({ id: logEntries.id, at: logEntries.at, word: logEntries.word })
    .from(logEntries)
    .where(and(eq(logEntries.coachId, coachId), inArray(logEntries.id, [...ids])))
  return new Map(rows.map(row => [row.id, { ...row, at: row.at.toISOString() }]))
}

/**
 * Takes entries of one coach's clients into the log in the order they were said, all of a round or none.
 *
 * Edge: an entry that is there already changes nothing and gives its first outcome; one about a session the client does not have is left
 *       out; one about a place where something else stands by now is kept aside, with what stands there.
 */
export async function appendEntries(
  db: Database,
  coachId: CoachId,
  batches: readonly EntryBatch[],
): Promise<readonly (readonly EntryResult[])[]> {
  return db.transaction(async tx => {
    const { sessions, known } = await sessionsHeld(tx, coachId, batches)
    const writing: Writing = { coachId, entries: [], touched: new Set() }
    const rounds = batches.map(batch => ({ batch, ...judgedAll(writing, batch, sessions, known) }))
    await written(tx, writing, sessions.values())
    for (const session of writing.touched) await renewExposures(tx, coachId, session)
    for (const { batch, taken } of rounds) await batch.also(tx, taken)
    const theirs = await entriesById(
      tx,
      coachId,
      rounds.flatMap(({ judged }) => judged.flatMap(one => one.theirs ?? [])),
    )
    return rounds.map(({ judged }) =>
      judged.map(one => ({
        ...one,
        theirs: one.theirs === null ? null : (theirs.get(one.theirs) ?? null),
      })),
    )
  })
}

function judgedAll(
  writing: Writing,
  { writer, entries }: EntryBatch,
  sessions: ReadonlyMap<string, Held>,
  known: Map<string, EntryResult['outcome']>,
): { readonly judged: readonly Judged[]; readonly taken: readonly NewEntry[] } {
  const taken: NewEntry[] = []
  const judged = entries.map((entry): Judged => {
    const before = known.get(entry.id)
    if (before) return { id: entry.id, outcome: before, theirs: null }
    const held = sessions.get(entry.session)
    const isTheirs =
      held?.clientId === writer.clientId && (held.isSent || writer.author !== 'client')
    if (!held || !isTheirs) return { id: entry.id, outcome: 'unknown_session', theirs: null }
    const one = takenIn(writing, writer, entry, held)
    known.set(entry.id, one.outcome)
    if (one.outcome === 'taken') taken.push(entry)
    return one
  })
  return { judged, taken }
}
