import { addDays, daysBetween, type PlainDate, type Result, success } from '#core/base'
import { exposuresByExercise, type SheetQuestion, sheetSession } from '#core/exchange/prescription'
import { catalogueWith } from '#core/plan/catalogue'
import { painBySide } from '#core/body/joints'
import { rotationLedger } from '#core/count/ledger'
import { contextWith, type PlanContext } from '#core/plan/method'
import type { Levels, LogEntry } from '#core/follow/sheet'
import type { PlanDocument } from '#core/plan/block'
import { groupWeeks } from '#core/design/short'
import type { SetUp } from '#core/plan/scheme'
import { ProfileContract } from '#shared/contracts/profile'
import { SessionContract } from '#shared/contracts/plan'
import type { Problem } from '#shared/contracts/problem'
import type { ClientView } from '#shared/contracts/client'
import type { SheetView } from '#shared/contracts/sheet'
import { database } from '../db/database'
import { clearancesOf, painReportsOf } from '../db/queries/health'
import { setUpsOf } from '../db/queries/clientLog'
import { entriesOf, sentAround, setsSince } from '../db/queries/logEntries'
import { profileOf } from '../db/queries/profiles'
import { client } from './clients'
import { placedReports } from './pain'
import type { SheetReader } from './sheetLinks'
import { currentTime } from '../clock'

/** Days of sessions on a sheet, back and ahead; of log behind its numbers; and around today, days for which shorter ways are made. */
const DAYS = {
  back: 14,
  ahead: 21,
  finishedBack: 7,
  log: 180,
  shortBack: 1,
  shortAhead: 7,
} as const

type SentRow = Awaited<ReturnType<typeof sentAround>>[number]

/** What every sheet of a client is made with. */
export interface SheetData {
  readonly view: ClientView
  readonly context: PlanContext
  readonly unit: 'kg' | 'lb'
  readonly levels: Levels
  readonly reports: SheetView['reports']
  readonly log: ReturnType<typeof exposuresByExercise>
  readonly setUps: NonNullable<SheetQuestion['setUps']>
}

/** Of each exercise how it was set up last; rows come latest first. */
function lastSetUps(rows: Awaited<ReturnType<typeof setUpsOf>>): SheetData['setUps'] {
  const last = new Map<string, { on: PlainDate; setUp: SetUp }>()
  for (const { on, exercise, setUp } of rows)
    if (!last.has(exercise)) last.set(exercise, { on, setUp })
  return last
}

/** Reads what a client's sheets are made with. */
export async function sheetData(
  { coach, clientId }: Pick<SheetReader, 'coach' | 'clientId'>,
  today: PlainDate,
): Promise<Result<SheetData, Problem>> {
  const db = database()
  const [found, profile, reports, clearances, sets, setUps] = await Promise.all([
    client(coach, clientId),
    profileOf(db, coach.id, clientId),
    painReportsOf(db, coach.id, clientId),
    clearancesOf(db, coach.id, clientId),
    setsSince(db, coach.id, clientId, addDays(today, -DAYS.log)),
    setUpsOf(db, coach.id, [clientId]),
  ])
  if (!found.ok) return found
  const { method, facts, library } = found.value
  const placed = placedReports(reports)
  // What a clearance has answered is over; a phone that knew of it would judge it again.
  const open = placed.filter(
    ({ joint, atHour }) =>
      !clearances.some(clearance => clearance.joint === joint && clearance.atHour >= atHour),
  )
  return success({
    view: found.value,
    context: contextWith(method, facts, catalogueWith(library)),
    unit: ProfileContract.parse(profile?.profile).units,
    levels: painBySide(placed, clearances),
    reports: open,
    log: exposuresByExercise(sets),
    setUps: lastSetUps(setUps),
  })
}

/** What the plan ends its sessions with. */
function finishersOf({ rotation }: PlanDocument) {
  return rotation.days.flatMap(({ sessions }) =>
    sessions.flatMap(({ groupings }) =>
      groupings.flatMap(({ placement, slots }) => (placement === 'finisher' ? slots : [])),
    ),
  )
}

/** One dated session as the phone, and the coach beside it, holds it. */
export function sheetOf(
  row: Pick<SentRow, 'id' | 'on' | 'name' | 'prescribed' | 'blockId' | 'pass' | 'day'>,
  data: SheetData,
  isShortenable: boolean,
) {
  const { view, context, unit, levels, log, setUps } = data
  const { block } = view
  const plan = block?.id === row.blockId ? block.plan : undefined
  return sheetSession({
    id: row.id,
    on: row.on,
    name: row.name,
    content: SessionContract.parse(row.prescribed),
    pass: Math.max(0, row.pass),
    context,
    unit,
    log,
    // What she says of a session is how it is; before is what she said of others.
    setUps,
    pain: levels,
    minuteLimit: plan?.rotation.days[row.day]?.minuteLimit ?? null,
    finishers: plan ? finishersOf(plan) : [],
    isDeload: plan?.block?.deloads?.includes(row.pass) ?? false,
    rules: plan?.block?.rules,
    steps: new Map(
      (plan?.block?.exceptions ?? []).flatMap(exception =>
        exception.kind === 'load' && exception.pass === row.pass
          ? [[exception.exercise, exception.step] as const]
          : [],
      ),
    ),
    ...(plan &&
      isShortenable && {
        shortening: {
          weeks: groupWeeks(rotationLedger(plan.rotation, context)),
          lengthDays: plan.rotation.days.length,
        },
      }),
  })
}

/** A client's sheet: what she was sent around today, with what was logged of it. Nothing else of the coach's is on it. */
export async function sheet(
  reader: SheetReader,
  today: PlainDate,
): Promise<Result<SheetView, Problem>> {
  const db = database()
  const [data, rows] = await Promise.all([
    sheetData(reader, today),
    sentAround(db, reader.coach.id, reader.clientId, {
      from: addDays(today, -DAYS.back),
      to: addDays(today, DAYS.ahead),
    }),
  ])
  if (!data.ok) return data
  const shown = rows.filter(
    ({ on, finishedAt }) => !finishedAt || daysBetween(on, today) <= DAYS.finishedBack,
  )
  const entries = await entriesOf(
    db,
    reader.coach.id,
    shown.map(({ id }) => id),
  )
  return success({
    client: { id: reader.clientId, name: data.value.view.name },
    coach: { name: reader.coach.name, studio: reader.coach.studio },
    now: currentTime().toISOString(),
    today,
    levels: data.value.levels,
    reports: data.value.reports,
    sessions: shown.map(row => {
      const ahead = daysBetween(today, row.on)
      return {
        session: sheetOf(
          row,
          data.value,
          !row.finishedAt && ahead >= -DAYS.shortBack && ahead <= DAYS.shortAhead,
        ),
        isFinished: row.finishedAt !== null,
        entries: takenOf(entries, row.id),
      }
    }),
  })
}

function takenOf(
  entries: Awaited<ReturnType<typeof entriesOf>>,
  session: string,
): readonly LogEntry[] {
  return entries
    .filter(entry => entry.session === session && entry.outcome === 'taken')
    .map(({ id, at, word }) => ({ id, at: at.toISOString(), word }))
}
