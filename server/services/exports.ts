import type { BlockId, ClientId, Result } from '#core/base'
import { success } from '#core/base'
import { planRows } from '#core/exchange/exports'
import type { ExportParams } from '#shared/contracts/block'
import type { Problem } from '#shared/contracts/problem'
import { ProfileContract } from '#shared/contracts/profile'
import { calendarOf } from '#shared/exports/calendar'
import { csvOf } from '#shared/exports/csv'
import { database } from '../db/database'
import { profileOf } from '../db/queries/profiles'
import { issued } from './blocks'
import type { Coach } from './signIn'
import type { z } from 'zod'
import { currentTime } from '../clock'

type ExportKind = z.output<typeof ExportParams>['kind']

/** A file to be kept: what it is called and what it holds. */
export interface ExportedFile {
  readonly name: string
  readonly type: string
  readonly text: string
}

function fileName(clientName: string, title: string, ending: string): string {
  return `${
    `${clientName} ${title}`
      .normalize('NFKD')
      .replace(/[^\w -]/g, '')
      .trim()
      .replace(/\s+/g, '-')
      .toLowerCase() || 'block'
  }.${ending}`
}

/** When a client begins, by weekday, as the profile has it. */
async function startsOf(coach: Coach, client: ClientId): Promise<ReadonlyMap<number, string>> {
  const held = await profileOf(database(), coach.id, client)
  const { days } = ProfileContract.parse(held?.profile)
  return new Map(days.map(({ weekday, start }) => [weekday, start]))
}

/** A block as a file: dated sessions for a calendar, a table of every exercise, or the plan itself to be read again. */
export async function exportBlock(
  coach: Coach,
  blockId: BlockId,
  kind: ExportKind,
): Promise<Result<ExportedFile, Problem>> {
  const opened = await issued(coach, blockId)
  if (!opened.ok) return opened
  const { clientId, clientName, plan, context, expanded, version } = opened.value
  const title = `${plan.title} · ${clientName}`
  switch (kind) {
    case 'calendar':
      return success({
        name: fileName(clientName, plan.title, 'ics'),
        type: 'text/calendar; charset=utf-8',
        text: calendarOf({
          blockId,
          title,
          expanded,
          context,
          version,
          stamp: currentTime(),
          starts: await startsOf(coach, clientId),
        }),
      })
    case 'csv':
      return success({
        name: fileName(clientName, plan.title, 'csv'),
        type: 'text/csv; charset=utf-8',
        text: csvOf(planRows(expanded, context)),
      })
    case 'json':
      return success({
        name: fileName(clientName, plan.title, 'json'),
        type: 'application/json; charset=utf-8',
        text: JSON.stringify({ plan, client: context.client }, null, 2),
      })
  }
}
