import type { ClientId, CoachId } from '#core/base'
import { and, eq, inArray, lt, sql } from 'drizzle-orm'
import type { Database } from '../database'
import { clients, coaches, mails, messages } from '../schema'

/** A mail that was taken in hand, with everything it says. */
export interface ClaimedMail {
  readonly coachId: CoachId
  readonly id: string
  readonly to: string
  readonly attempts: number
  readonly kind: 'sent' | 'own'
  readonly text: string
  readonly coach: string
  readonly studio: string
  /** Where an answer goes. */
  readonly answerTo: string
}

/** Messages that go out by mail: the coach's own words and that something was sent; never what was said of pain. */
const BY_MAIL = ['sent', 'own'] as const
const MOST_AT_ONCE = 20
const address = sql<string>`${clients.profile} ->> 'email'`

/** Takes up messages of a stretch of time to clients who have an address. A message that was taken back meanwhile is not there any more. */
export async function takeUpMails(
  db: Database,
  { from, to, now }: { readonly from: Date; readonly to: Date; readonly now: Date },
): Promise<void> {
  await db.execute(sql`
    insert into ${mails} (coach_id, id, client_id, "to", state, at)
    select ${messages.coachId}, ${messages.id}, ${messages.clientId}, ${address}, 'waiting', ${now.toISOString()}::timestamptz
    from ${messages} join ${clients}
      on ${clients.coachId} = ${messages.coachId} and ${clients.id} = ${messages.clientId}
    where ${messages.writtenAt} > ${from.toISOString()}::timestamptz and ${messages.writtenAt} <= ${to.toISOString()}::timestamptz
      and ${inArray(messages.kind, BY_MAIL)} and coalesce(${address}, '') <> '' and ${clients.archivedAt} is null
    on conflict do nothing`)
}

/** Takes mails in hand that are due, so that no other server does; those whose message is gone are dropped. */
export async function claimMails(db: Database, now: Date): Promise<readonly ClaimedMail[]> {
  const due = db
    .select({ coachId: mails.coachId, id: mails.id })
    .from(mails)
    .where(and(eq(mails.state, 'waiting'), sql`${mails.at} <= ${now.toISOString()}::timestamptz`))
    .orderBy(mails.at)
    .limit(MOST_AT_ONCE)
    .for('update', { skipLocked: true })
  const claimed = await db
    .update(mails)
    .set({ state: 'claimed', at: now, attempts: sql`${mails.attempts} + 1` })
    .where(sql`(${mails.coachId}, ${mails.id}) in (${due})`)
    .returning({ coachId: mails.coachId, id: mails.id, to: mails.to, attempts: mails.attempts })
  const held = await Promise.all(
    claimed.map(async mail => {
      const [message] = await db
        .select({
          kind: messages.kind,
          text: messages.text,
          coach: coaches.name,
          studio: coaches.studio,
          answerTo: coaches.email,
        })
        .from(messages)
        .innerJoin(coaches, eq(coaches.id, messages.coachId))
        .where(and(eq(messages.coachId, mail.coachId), eq(messages.id, mail.id)))
      if (!message) {
        await db.delete(mails).where(isMail(mail))
        return []
      }
      return [{ ...mail, ...message, kind: message.kind as ClaimedMail['kind'] }]
    }),
  )
  return held.flat()
}

const isMail = ({ coachId, id }: { readonly coachId: CoachId; readonly id: string }) =>
  and(eq(mails.coachId, coachId), eq(mails.id, id))

/** How a mail that was in hand stands now. */
export async function settleMail(
  db: Database,
  mail: { readonly coachId: CoachId; readonly id: string },
  to: Pick<typeof mails.$inferSelect, 'state' | 'at' | 'said'>,
): Promise<void> {
  await db.update(mails).set(to).where(isMail(mail))
}

/** Mails in hand of a server that is gone: nobody knows whether they went out. */
export async function releaseMails(db: Database, before: Date, said: string): Promise<void> {
  await db
    .update(mails)
    .set({ state: 'unsure', said })
    .where(and(eq(mails.state, 'claimed'), lt(mails.at, before)))
}

/** How a coach's mails stand, by the message they carry. */
export async function mailsOf(db: Database, coachId: CoachId, clientId?: ClientId) {
  const rows = await db
    .select({
      id: mails.id,
      to: mails.to,
      state: mails.state,
      at: mails.at,
      attempts: mails.attempts,
      said: mails.said,
    })
    .from(mails)
    .where(and(eq(mails.coachId, coachId), clientId ? eq(mails.clientId, clientId) : undefined))
  return new Map(rows.map(row => [row.id, row]))
}

/** Tries a mail anew that failed, or of which nobody knows; false where there is none such. */
export async function mailAgain(
  db: Database,
  coachId: CoachId,
  id: string,
  now: Date,
): Promise<boolean> {
  const rows = await db
    .update(mails)
    .set({ state: 'waiting', at: now, attempts: 0, said: '' })
    .where(and(isMail({ coachId, id }), inArray(mails.state, ['failed', 'unsure'])))
    .returning({ id: mails.id })
  return rows.length > 0
}
