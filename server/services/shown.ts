import { createHash, randomBytes, randomUUID } from 'node:crypto'
import {
  type BlockId,
  type ClientId,
  failure,
  MS_PER_DAY,
  type PlainDate,
  type Result,
  success,
} from '#core/base'
import type { ExpandedBlock } from '#core/design/progress'
import { plannedSets } from '#core/plan/scheme'
import { sessionSlots } from '#core/plan/session'
import type { PlanContext } from '#core/plan/method'
import { formatScheme } from '#core/plan/shorthand'
import { firstName, SHOWN_WORDS, shownPlan, shownReport, slotName } from '#core/words'
import type { Problem } from '#shared/contracts/problem'
import type { LookAnswer, NewShownBody, ShownView } from '#shared/contracts/shown'
import type { z } from 'zod'
import { currentTime, serverToday } from '../clock'
import { database } from '../db/database'
import { clientName } from '../db/queries/clients'
import { deleteShown, insertShown, shownByHash, shownOf, shownSeen } from '../db/queries/shown'
import { countAttempt, isOpen, LIMITS } from './attempts'
import { issued } from './blocks'
import { client as clientView } from './clients'
import { blockCalendar } from './exports'
import { report } from './report'
import type { Coach } from './signIn'

const SECRET_BYTES = 24
const hashed = (secret: string) => createHash('sha256').update(secret).digest('hex')
const NO_CLIENT: Problem = { kind: 'not-found', what: 'client' }
const NO_LINK: Problem = { kind: 'not-found', what: 'link' }

/** Makes an address at which somebody without an account looks at something; it is told this once. */
export async function makeShown(
  coach: Coach,
  client: ClientId,
  { kind, block, pass, withHealth, days }: z.output<typeof NewShownBody>,
): Promise<Result<{ path: string }, Problem>> {
  const db = database()
  if (!(await clientName(db, coach.id, client))) return failure(NO_CLIENT)
  if (block) {
    const opened = await issued(coach, block)
    if (!opened.ok || opened.value.clientId !== client)
      return failure({ kind: 'not-found', what: 'block' })
  }
  const [token, now] = [randomBytes(SECRET_BYTES).toString('base64url'), currentTime()]
  await insertShown(db, {
    coachId: coach.id,
    id: randomUUID(),
    clientId: client,
    kind,
    // A calendar follows the client from block to block.
    blockId: kind === 'calendar' ? null : block,
    pass: kind === 'rotation' ? pass : null,
    withHealth: kind === 'report' && withHealth,
    tokenHash: hashed(token),
    createdAt: now,
    expiresAt: days === null ? null : new Date(now.getTime() + days * MS_PER_DAY),
  })
  // Behind `#` a secret reaches no server’s log; a calendar program sends its whole address.
  return success({ path: kind === 'calendar' ? `/api/calendar/${token}.ics` : `/shown#${token}` })
}

/** Addresses of a client, all but the addresses. */
export async function shownLinksOf(
  coach: Coach,
  client: ClientId,
): Promise<Result<z.input<typeof ShownView>, Problem>> {
  if (!(await clientName(database(), coach.id, client))) return failure(NO_CLIENT)
  const now = currentTime()
  return success({
    links: (await shownOf(database(), coach.id, client)).map(
      ({ id, kind, pass, withHealth, createdAt, expiresAt, seenAt }) => ({
        id,
        kind,
        words: [
          SHOWN_WORDS[kind],
          ...(pass === null ? [] : [`rotation ${pass + 1}`]),
          ...(withHealth ? ['with pain and measurements'] : []),
        ].join(', '),
        createdAt: createdAt.toISOString(),
        expiresAt: expiresAt?.toISOString() ?? null,
        seenAt: seenAt?.toISOString() ?? null,
        isOver: expiresAt !== null && expiresAt <= now,
      }),
    ),
  })
}

/** Withdraws an address: whoever has it sees nothing more. */
export async function withdrawShown(
  coach: Coach,
  client: ClientId,
  id: string,
): Promise<Result<{ isDone: true }, Problem>> {
  return (await deleteShown(database(), coach.id, client, id))
    ? success({ isDone: true })
    : failure(NO_LINK)
}

type Shown = NonNullable<Awaited<ReturnType<typeof shownByHash>>>

/** What an address names, if it is good; tries of addresses that are none are counted. */
export async function openShown(token: string, from: string): Promise<Result<Shown, Problem>> {
  const tried = await isOpen(LIMITS.unknownLink, from)
  if (!tried.ok) return tried
  const found = await shownByHash(database(), hashed(token))
  if (!found) {
    const counted = await countAttempt(LIMITS.unknownLink, from)
    return counted.ok ? failure(NO_LINK) : counted
  }
  const { expiresAt } = found.link
  if (expiresAt && expiresAt <= currentTime()) return failure({ kind: 'link-over' })
  await shownSeen(database(), found.link, currentTime())
  return success(found)
}

/** What somebody with an address sees. */
export async function lookAt({
  link,
  client,
  coach,
}: Shown): Promise<Result<z.input<typeof LookAnswer>, Problem>> {
  if (link.kind === 'calendar') return failure(NO_LINK)
  const today = serverToday()
  const tables =
    link.kind === 'report'
      ? await reportTables(coach, link, today)
      : await planTables(coach, link, today)
  if (!tables.ok) return failure(NO_LINK)
  return success({
    title: `${tables.value.title}, ${firstName(client)}`,
    about: `${coach.name}, ${coach.studio}`,
    until: link.expiresAt?.toISOString() ?? null,
    tables: tables.value.tables.map(({ title, heads, rows }) => ({
      title,
      heads: [...heads],
      rows: rows.map(row => [...row]),
    })),
  })
}

async function reportTables(
  coach: Coach,
  { clientId, blockId, withHealth }: Shown['link'],
  today: PlainDate,
) {
  const told = await report(coach, clientId, today, blockId ?? undefined)
  return told.ok
    ? success({ title: told.value.title, tables: shownReport(told.value, withHealth) })
    : told
}

async function planTables(
  coach: Coach,
  { clientId, blockId, pass }: Shown['link'],
  today: PlainDate,
) {
  const block = blockId ?? (await todaysBlock(coach, clientId, today))
  const found = block ? await issued(coach, block) : failure<Problem>(NO_LINK)
  if (!found.ok) return found
  const { plan, expanded, context } = found.value
  return success({ title: plan.title, tables: shownPlan(plannedRows(expanded, context, pass)) })
}

/** One row for each exercise of each session that is done; the coach’s own notes are not for others. */
const plannedRows = ({ passes }: ExpandedBlock, context: PlanContext, pass: number | null) =>
  passes
    .filter(({ at }) => pass === null || at === pass)
    .flatMap(({ at, sessions }) =>
      sessions
        .filter(({ isSkipped }) => !isSkipped)
        .flatMap(({ on, name, content }) =>
          sessionSlots(content).map(slot => ({
            rotation: at + 1,
            on,
            name,
            exercise: slotName(slot, context.catalogue),
            sets: plannedSets(slot.scheme),
            scheme: formatScheme(slot.scheme),
          })),
        ),
    )

async function todaysBlock(
  coach: Coach,
  client: ClientId,
  today: PlainDate,
): Promise<BlockId | null> {
  const found = await clientView(coach, client, { today })
  return found.ok ? (found.value.block?.id ?? null) : null
}

/** The calendar an address names: the block of the day, with the hours the client comes. */
export async function shownCalendar({ link, coach }: Shown): Promise<Result<string, Problem>> {
  if (link.kind !== 'calendar') return failure(NO_LINK)
  const today = serverToday()
  const block = await todaysBlock(coach, link.clientId, today)
  const text = block && (await blockCalendar(coach, block, today))
  return typeof text === 'string' ? success(text) : failure(NO_LINK)
}
