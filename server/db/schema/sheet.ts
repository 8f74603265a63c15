import type { ClientId, CoachId } from '#core/base'
import type { LogWord } from '#core/follow/sheet'
import { sql } from 'drizzle-orm'
import {
  bigserial,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uuid,
} from 'drizzle-orm/pg-core'
import { clients } from './clients'
import { datedSessions } from './training'

/** Personal links of clients. The link itself is told once and kept nowhere: only its hash is. */
export const clientLinks = pgTable(
  'client_links',
  {
    coachId: uuid('coach_id').$type<CoachId>().notNull(),
    id: uuid('id').notNull(),
    clientId: uuid('client_id').$type<ClientId>().notNull(),
    tokenHash: text('token_hash').notNull().unique(),
    pinHash: text('pin_hash'),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull(),
    expiresAt: timestamp('expires_at', { withTimezone: true }),
    revokedAt: timestamp('revoked_at', { withTimezone: true }),
  },
  table => [
    primaryKey({ columns: [table.coachId, table.id] }),
    foreignKey({
      columns: [table.coachId, table.clientId],
      foreignColumns: [clients.coachId, clients.id],
    }).onDelete('cascade'),
    index('client_links_by_client').on(table.coachId, table.clientId),
  ],
)

/** Phones on which a link was opened; each has a key of its own, kept as a hash. */
export const sheetDevices = pgTable(
  'sheet_devices',
  {
    coachId: uuid('coach_id').$type<CoachId>().notNull(),
    id: uuid('id').notNull(),
    linkId: uuid('link_id').notNull(),
    keyHash: text('key_hash').notNull().unique(),
    openedAt: timestamp('opened_at', { withTimezone: true }).notNull(),
    lastSeenAt: timestamp('last_seen_at', { withTimezone: true }).notNull(),
  },
  table => [
    primaryKey({ columns: [table.coachId, table.id] }),
    foreignKey({
      columns: [table.coachId, table.linkId],
      foreignColumns: [clientLinks.coachId, clientLinks.id],
    }).onDelete('cascade'),
    index('sheet_devices_by_link').on(table.coachId, table.linkId),
  ],
)

/**
 * Everything said about a session, by whom and when. Rows are only ever added: what was said before a correction stays. Only
 * what a coach takes back by undo goes, and stays with its change (`row_changes`).
 */
export const logEntries = pgTable(
  'log_entries',
  {
    coachId: uuid('coach_id').$type<CoachId>().notNull(),
    /** The sender's key: the same entry sent again is the same row. */
    id: uuid('id').notNull(),
    clientId: uuid('client_id').$type<ClientId>().notNull(),
    sessionId: uuid('session_id').notNull(),
    seq: bigserial('seq', { mode: 'number' }).notNull(),
    author: text('author').$type<'client' | 'coach' | 'import'>().notNull(),
    /** The phone it came from. */
    deviceId: uuid('device_id'),
    /** When it was said, put right where the sender's clock was off; and by how many seconds it was. */
    at: timestamp('at', { withTimezone: true }).notNull(),
    clockOffSeconds: integer('clock_off_seconds').notNull().default(0),
    receivedAt: timestamp('received_at', { withTimezone: true }).notNull(),
    word: jsonb('word').$type<LogWord>().notNull(),
    /** Anything but `taken` is kept and not counted until the coach takes it. */
    outcome: text('outcome').$type<'taken' | 'conflict' | 'too_old'>().notNull(),
  },
  table => [
    primaryKey({ columns: [table.coachId, table.id] }),
    foreignKey({
      columns: [table.coachId, table.sessionId],
      foreignColumns: [datedSessions.coachId, datedSessions.id],
    }).onDelete('cascade'),
    index('log_entries_by_session').on(table.coachId, table.sessionId, table.seq),
    index('log_entries_set_ups')
      .on(table.coachId, table.clientId)
      .where(sql`word->>'kind' = 'set_up'`),
  ],
)

/** What clients were told: the coach's own words and answers to pain stand on the sheet. Nothing leaves the application. */
export const messages = pgTable(
  'messages',
  {
    coachId: uuid('coach_id').$type<CoachId>().notNull(),
    id: uuid('id').notNull(),
    clientId: uuid('client_id').$type<ClientId>().notNull(),
    kind: text('kind').$type<'link' | 'sent' | 'pain' | 'own'>().notNull(),
    text: text('text').notNull(),
    writtenAt: timestamp('written_at', { withTimezone: true }).notNull(),
  },
  table => [
    primaryKey({ columns: [table.coachId, table.id] }),
    foreignKey({
      columns: [table.coachId, table.clientId],
      foreignColumns: [clients.coachId, clients.id],
    }).onDelete('cascade'),
    index('messages_by_client').on(table.coachId, table.clientId, table.writtenAt),
  ],
)
