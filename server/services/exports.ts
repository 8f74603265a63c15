import type { BlockId, PlainDate, Result } from '#core/base'
import { success } from '#core/base'
import { blockLoadSessions, loadsAhead } from '#core/design/loads'
import { blockVerdict } from '#core/design/progress'
import { effortRows, loadRows, logRows, planRows, volumeRows } from '#core/exchange/exports'
import type { ExportParams } from '#shared/contracts/block'
import type { Problem } from '#shared/contracts/problem'
import { calendarOf } from '#shared/exports/calendar'
import { csvOf } from '#shared/exports/csv'
import { xlsxOf } from '#shared/exports/xlsx'
import { database } from '../db/database'
import { wholeLog } from '../db/queries/logEntries'
import { issued } from './blocks'
import { client } from './clients'
import { loadData } from './loads'
import type { Coach } from './signIn'
import { clientStarts } from './starts'
import type { z } from 'zod'
import { currentTime } from '../clock'

type Issued = Extract<Awaited<ReturnType<typeof issued>>, { ok: true }>['value']
type ExportKind = z.output<typeof ExportParams>['kind']

/** A file to be kept: what it is called and what it holds. */
export interface ExportedFile<Content = string> {
  readonly name: string
  readonly type: string
  readonly text: Content
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

/** Plan by day, sets by muscle, effort, loads by rotation and the log: the figures that the screens show. */
async function spreadsheet(
  coach: Coach,
  { clientId, plan, context, expanded }: Issued,
  today: PlainDate,
): Promise<Buffer> {
  const db = database()
  const found = await client(coach, clientId, { today })
  const loads = found.ok ? await loadData(coach, found.value, today) : null
  const ahead = loads
    ? loadsAhead(blockLoadSessions(expanded, today), loads.history, {
        context,
        unit: loads.unit,
        bodyKg: loads.bodyKg,
        rules: plan.block?.rules,
        rotation: plan.rotation,
      })
    : new Map()
  const verdict = blockVerdict(expanded, context)
  return xlsxOf([
    { name: 'Plan', rows: planRows(expanded, context) },
    { name: 'Sets', rows: volumeRows(verdict) },
    { name: 'Effort', rows: effortRows(verdict) },
    { name: 'Loads', rows: loadRows(expanded, ahead, context) },
    { name: 'Log', rows: logRows(await wholeLog(db, coach.id, clientId), context.catalogue) },
  ])
}

const ENDINGS: Readonly<Record<ExportKind, readonly [ending: string, type: string]>> = {
  calendar: ['ics', 'text/calendar; charset=utf-8'],
  csv: ['csv', 'text/csv; charset=utf-8'],
  xlsx: ['xlsx', 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet'],
  json: ['json', 'application/json; charset=utf-8'],
}

async function contentOf(
  coach: Coach,
  blockId: BlockId,
  kind: ExportKind,
  opened: Issued,
  today: PlainDate,
): Promise<string | Buffer> {
  const { clientId, clientName, plan, context, expanded, version } = opened
  switch (kind) {
    case 'calendar':
      return calendarOf({
        blockId,
        title: `${plan.title} · ${clientName}`,
        expanded,
        context,
        version,
        stamp: currentTime(),
        starts: await clientStarts(coach, clientId),
      })
    case 'csv':
      return csvOf(planRows(expanded, context))
    case 'xlsx':
      return spreadsheet(coach, opened, today)
    case 'json':
      return JSON.stringify({ plan, client: context.client }, null, 2)
  }
}

/** A block for a calendar. */
export const blockCalendar = async (coach: Coach, blockId: BlockId, today: PlainDate) => {
  const opened = await issued(coach, blockId)
  return opened.ok ? contentOf(coach, blockId, 'calendar', opened.value, today) : null
}

/** A block as a file: dated sessions for a calendar, tables of everything in it, or the plan itself to be read again. */
export async function exportBlock(
  coach: Coach,
  blockId: BlockId,
  kind: ExportKind,
  today: PlainDate,
): Promise<Result<ExportedFile<string | Buffer>, Problem>> {
  const opened = await issued(coach, blockId)
  if (!opened.ok) return opened
  const { clientName, plan } = opened.value
  const [ending, type] = ENDINGS[kind]
  return success({
    name: fileName(clientName, plan.title, ending),
    type,
    text: await contentOf(coach, blockId, kind, opened.value, today),
  })
}
