import { type ClientId, type CoachId, groupedBy } from '#core/base'
import { exposureValue, setsByExercise } from '#core/body/log'
import { turnsHeld } from '#core/plan/shorthand'
import { adjustmentKey } from '#core/follow/review'
import type { ClientDocument } from '#shared/contracts/clientDocument'
import type { Profile } from '#shared/contracts/profile'
import type { ClientFacts } from '#core/plan/method'
import { and, asc, eq, max } from 'drizzle-orm'
import type { AnyPgColumn } from 'drizzle-orm/pg-core'
import { randomUUID } from 'node:crypto'
import type { Database } from '../database'
import {
  blockRevisions,
  blocks,
  clearances,
  clients,
  datedSessions,
  decisions,
  exposures,
  logEntries,
  loggedSets,
  measurements,
  messages,
  painReports,
} from '../schema'
import { sessionDocument } from '../documents'

const isoOrNull = (at: Date | null) => at?.toISOString() ?? null

/** All a document holds of a client besides profile and facts, in the order of its days. */
export async function documentParts(
  db: Database,
  coachId: CoachId,
  clientId: ClientId,
): Promise<
  Pick<
    ClientDocument,
    'blocks' | 'sessions' | 'measurements' | 'pain' | 'clearances' | 'messages' | 'decisions'
  >
> {
  const own = (table: { readonly coachId: AnyPgColumn; readonly clientId: AnyPgColumn }) =>
    and(eq(table.coachId, coachId), eq(table.clientId, clientId))
  const [ofBlocks, sessions, sets, entries, measured, pain, cleared, written, decided] =
    await Promise.all([
      db.select().from(blocks).where(own(blocks)).orderBy(asc(blocks.savedAt)),
      db
        .select()
        .from(datedSessions)
        .where(own(datedSessions))
        .orderBy(asc(datedSessions.on), asc(datedSessions.place), asc(datedSessions.id)),
      db
        .select()
        .from(loggedSets)
        .where(own(loggedSets))
        .orderBy(asc(loggedSets.sessionId), asc(loggedSets.at)),
      db.select().from(logEntries).where(own(logEntries)).orderBy(asc(logEntries.seq)),
      db
        .select()
        .from(measurements)
        .where(own(measurements))
        .orderBy(asc(measurements.on), asc(measurements.kind)),
      db
        .select()
        .from(painReports)
        .where(own(painReports))
        .orderBy(asc(painReports.reportedAt), asc(painReports.joint)),
      db.select().from(clearances).where(own(clearances)).orderBy(asc(clearances.recordedAt)),
      db.select().from(messages).where(own(messages)).orderBy(asc(messages.writtenAt)),
      db.select().from(decisions).where(own(decisions)).orderBy(asc(decisions.decidedAt)),
    ])
  const [setsOf, entriesOf] = [
    groupedBy(sets, ({ sessionId }) => sessionId),
    groupedBy(entries, ({ sessionId }) => sessionId),
  ]
  return {
    blocks: ofBlocks.map(({ id, version, savedAt, closedAt, plan }) => ({
      id,
      version,
      savedAt: savedAt.toISOString(),
      closedAt: isoOrNull(closedAt),
      plan,
    })),
    sessions: sessions.map(
      ({
        coachId: _coach,
        clientId: _client,
        sentAt,
        openedAt,
        startedAt,
        finishedAt,
        ...session
      }) => ({
        ...session,
        sentAt: isoOrNull(sentAt),
        openedAt: isoOrNull(openedAt),
        startedAt: isoOrNull(startedAt),
        finishedAt: isoOrNull(finishedAt),
        sets: (setsOf.get(session.id) ?? []).map(
          ({ coachId: _c, clientId: _l, sessionId: _s, ...set }) => set,
        ),
        entries: (entriesOf.get(session.id) ?? []).map(
          ({ id, author, at, receivedAt, clockOffSeconds, word, outcome }) => ({
            id,
            author,
            at: at.toISOString(),
            receivedAt: receivedAt.toISOString(),
            clockOffSeconds,
            word,
            outcome,
          }),
        ),
      }),
    ),
    measurements: measured.map(({ on, kind, value, isPumped }) => ({
      on,
      kind,
      value,
      ...(isPumped && { isPumped }),
    })),
    pain: pain.map(({ joint, side, score, nextMorning, hasAlarmSign, reportedAt }) => ({
      joint,
      side,
      score,
      nextMorning,
      hasAlarmSign,
      reportedAt: reportedAt.toISOString(),
    })),
    clearances: cleared.map(({ joint, on, profession, limits, recordedAt }) => ({
      joint,
      on,
      profession,
      limits,
      recordedAt: recordedAt.toISOString(),
    })),
    decisions: decided.map(
      ({ blockId, pass, proposal, decision, reason, version, decidedBy, decidedAt }) => ({
        blockId,
        pass,
        proposal,
        decision,
        reason,
        version,
        decidedBy,
        decidedAt: decidedAt.toISOString(),
      }),
    ),
    messages: written.map(({ kind, text, writtenAt }) => ({
      kind,
      text,
      writtenAt: writtenAt.toISOString(),
    })),
  }
}

const CHUNK = 1000
async function inParts<Row>(
  rows: readonly Row[],
  write: (part: Row[]) => Promise<unknown>,
): Promise<void> {
  for (let from = 0; from < rows.length; from += CHUNK) await write(rows.slice(from, from + CHUNK))
}

const at = (text: string | null) => (text === null ? null : new Date(text))

/** Writes a document as a new client, last in the list; all or nothing. */
export async function insertDocument(
  db: Database,
  who: {
    readonly coachId: CoachId
    readonly clientId: ClientId
    readonly profile: Profile
    readonly facts: ClientFacts
    readonly method: string
  },
  document: ClientDocument,
): Promise<void> {
  const { coachId, clientId, profile, facts, method } = who
  const own = { coachId, clientId }
  await db.transaction(async tx => {
    const [last] = await tx
      .select({ position: max(clients.position) })
      .from(clients)
      .where(eq(clients.coachId, coachId))
    await tx.insert(clients).values({
      coachId,
      id: clientId,
      position: (last?.position ?? -1) + 1,
      name: profile.name,
      about: profile.about,
      method,
      profile,
      facts,
    })
    await inParts(document.blocks, part =>
      tx.insert(blocks).values(
        part.map(({ savedAt, closedAt, ...block }) => ({
          ...block,
          ...own,
          savedAt: new Date(savedAt),
          closedAt: at(closedAt),
        })),
      ),
    )
    await inParts(document.blocks, part =>
      tx.insert(blockRevisions).values(
        part.map(({ id, version, plan }) => ({
          coachId,
          blockId: id,
          version,
          plan,
          name: 'Imported',
        })),
      ),
    )
    await inParts(document.sessions, part =>
      tx.insert(datedSessions).values(
        part.map(
          ({
            sets: _sets,
            entries: _entries,
            sentAt,
            openedAt,
            startedAt,
            finishedAt,
            ...session
          }) => ({
            ...session,
            ...own,
            sentAt: at(sentAt),
            openedAt: at(openedAt),
            startedAt: at(startedAt),
            finishedAt: at(finishedAt),
          }),
        ),
      ),
    )
    await inParts(
      document.sessions.flatMap(({ id, sets }) =>
        sets.map(set => ({ ...set, ...own, sessionId: id })),
      ),
      part => tx.insert(loggedSets).values(part),
    )
    await inParts(
      document.sessions.flatMap(({ id, entries }) =>
        entries.map(entry => ({
          ...entry,
          ...own,
          sessionId: id,
          at: new Date(entry.at),
          receivedAt: new Date(entry.receivedAt),
        })),
      ),
      part => tx.insert(logEntries).values(part),
    )
    await inParts(exposuresIn(document), part =>
      tx.insert(exposures).values(part.map(row => ({ ...row, ...own }))),
    )
    await inParts(document.measurements, part =>
      tx.insert(measurements).values(part.map(row => ({ ...row, ...own, id: randomUUID() }))),
    )
    await inParts(document.pain, part =>
      tx.insert(painReports).values(
        part.map(row => ({
          ...row,
          ...own,
          id: randomUUID(),
          reportedAt: new Date(row.reportedAt),
        })),
      ),
    )
    await inParts(document.clearances, part =>
      tx.insert(clearances).values(
        part.map(row => ({
          ...row,
          ...own,
          id: randomUUID(),
          recordedAt: new Date(row.recordedAt),
        })),
      ),
    )
    await inParts(document.decisions, part =>
      tx.insert(decisions).values(
        part.map(row => ({
          ...row,
          ...own,
          id: randomUUID(),
          key: adjustmentKey(row.proposal),
          decidedAt: new Date(row.decidedAt),
        })),
      ),
    )
    await inParts(document.messages, part =>
      tx.insert(messages).values(
        part.map(row => ({
          ...row,
          ...own,
          id: randomUUID(),
          writtenAt: new Date(row.writtenAt),
        })),
      ),
    )
  })
}

/** Trend values are not in the file: they follow from its sets. */
function exposuresIn({ sessions, measurements: measured }: ClientDocument) {
  const weighed = measured
    .filter(({ kind }) => kind === 'body_weight')
    .sort((a, b) => (a.on < b.on ? -1 : 1))
  const weightOn = (on: string) => weighed.filter(one => one.on <= on).at(-1)?.value ?? null
  return sessions
    .filter(({ finishedAt }) => finishedAt !== null)
    .flatMap(({ id, on, sets, prescribed }) =>
      setsByExercise(sets, turnsHeld(sessionDocument(prescribed))).flatMap(
        ({ exercise, heldAs, sets: done }) => {
          const value = exposureValue(
            [...done].sort((a, b) => a.set - b.set || a.stage - b.stage || a.at - b.at),
            weightOn(on),
          )
          return value ? [{ sessionId: id, exercise, on, heldAs, ...value }] : []
        },
      ),
    )
}
