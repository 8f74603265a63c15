import {
  addDays,
  type BlockId,
  daysBetween,
  MS_PER_DAY,
  type PlainDate,
  remembered,
  type Result,
  success,
} from '#core/base'
import { type SheetQuestion, sheetSession } from '#core/exchange/prescription'
import { catalogueWith } from '#core/plan/catalogue'
import { painBySide } from '#core/body/joints'
import { rotationLedger } from '#core/count/ledger'
import { contextWith, type PlanContext } from '#core/plan/method'
import type { Levels, LogEntry } from '#core/follow/sheet'
import { passDates, type PlanDocument } from '#core/plan/block'
import { knownStart } from '#core/follow/floor'
import { isEasier, loadsAhead, type LoadSession, stepsOf } from '#core/design/loads'
import { groupWeeks } from '#core/design/short'
import type { SetUp } from '#core/plan/scheme'
import type { Rotation } from '#core/plan/rotation'
import { sessionInTurn } from '#core/plan/session'
import type { Problem } from '#shared/contracts/problem'
import type { ClientView } from '#shared/contracts/client'
import type { SheetView } from '#shared/contracts/sheet'
import { sessionDocument } from '../db/documents'
import { database } from '../db/database'
import { plansBetween } from '../db/queries/blocks'
import { clearancesOf, painReportsOf } from '../db/queries/health'
import { setUpsOf } from '../db/queries/clientLog'
import { entriesOf, sentAround } from '../db/queries/logEntries'
import { wordsSince } from '../db/queries/messages'
import { client } from './clients'
import { type LoadData, loadData } from './loads'
import { nextTimes } from './nextTime'
import { placedReports } from './pain'
import type { SheetReader } from './sheetLinks'
import { clientStarts } from './starts'
import { currentTime } from '../clock'

/** Days of sessions on a sheet, back and ahead; and around today, days for which shorter ways are made. */
const DAYS = {
  back: 14,
  ahead: 21,
  finishedBack: 7,
  shortBack: 1,
  shortAhead: 7,
} as const

type SentRow = Awaited<ReturnType<typeof sentAround>>[number]

/** What every sheet of a client is made with. */
export interface SheetData {
  readonly view: ClientView
  readonly context: PlanContext
  readonly loads: LoadData
  readonly levels: Levels
  readonly reports: SheetView['reports']
  readonly setUps: NonNullable<SheetQuestion['setUps']>
  /** Plans of the blocks its sessions belong to: around a seam there are two. */
  readonly plans: ReadonlyMap<BlockId, PlanDocument>
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
  const [found, reports, clearances, setUps, plans] = await Promise.all([
    client(coach, clientId, { today }),
    painReportsOf(db, coach.id, clientId),
    clearancesOf(db, coach.id, clientId),
    setUpsOf(db, coach.id, [clientId]),
    plansBetween(db, coach.id, clientId, {
      from: addDays(today, -DAYS.back),
      to: addDays(today, DAYS.ahead),
    }),
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
    loads: await loadData(coach, found.value, today),
    levels: painBySide(placed, clearances),
    reports: open,
    setUps: lastSetUps(setUps),
    plans,
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

type SheetRow = Pick<
  SentRow,
  'id' | 'on' | 'name' | 'prescribed' | 'blockId' | 'pass' | 'day' | 'finishedAt'
>

const passOf = ({ pass }: SheetRow) => Math.max(0, pass)
const contentOf = (row: SheetRow) => sessionInTurn(sessionDocument(row.prescribed), passOf(row))
const planOf = ({ blockId }: SheetRow, { plans }: Pick<SheetData, 'plans'>) => plans.get(blockId)

/** The day a rotation of a plan begins on; the plan's own for one it does not have. */
const passStart = (plan: PlanDocument, pass: number): PlainDate =>
  passDates(plan)[pass]?.[0] ?? plan.startsOn

/** A sent session as its loads are reckoned; what was done already is spoken for by the log. */
function loadSessionOf(row: SheetRow, data: SheetData, today: PlainDate): LoadSession {
  const plan = planOf(row, data)
  const exceptions = plan?.block?.exceptions?.filter(({ pass }) => pass === row.pass) ?? []
  const event = plan?.block?.events?.find(({ from, to }) => from <= row.on && row.on <= to)
  return {
    key: row.id,
    on: row.on,
    content: contentOf(row),
    isDeload: isEasier(event ? { event } : {}, {
      isDeload: plan?.block?.deloads?.includes(row.pass) ?? false,
    }),
    steps: plan && stepsOf(exceptions, passStart(plan, row.pass)),
    isMissed: row.finishedAt !== null || row.on < today,
  }
}

/** Loads of sent sessions, each as if those before it that lie ahead were done as planned. */
export function sheetLoads(rows: readonly SheetRow[], data: SheetData, today: PlainDate) {
  const { view, context, loads } = data
  const { plan } = view.block ?? {}
  return loadsAhead(
    rows.map(row => loadSessionOf(row, data, today)),
    loads.history,
    {
      context,
      unit: loads.unit,
      bodyKg: loads.bodyKg,
      rules: plan?.block?.rules,
      rotation: plan?.rotation ?? null,
    },
  )
}

/** What shorter ways of a session are weighed by. */
const shorteningOf = remembered((rotation: Rotation, context: PlanContext) => ({
  weeks: groupWeeks(rotationLedger(rotation, context)),
  lengthDays: rotation.days.length,
}))

/** One dated session as the phone, and the coach beside it, holds it. */
export function sheetOf(
  row: SheetRow,
  data: SheetData,
  loads: ReturnType<typeof sheetLoads>,
  isShortenable: boolean,
) {
  const { context, setUps } = data
  const plan = planOf(row, data)
  return sheetSession({
    id: row.id,
    on: row.on,
    name: row.name,
    content: contentOf(row),
    pass: passOf(row),
    context,
    unit: data.loads.unit,
    log: data.loads.history.exposures,
    loads: loads.get(row.id) ?? new Map(),
    // What she says of a session is how it is; before is what she said of others.
    setUps,
    minuteLimit: plan?.rotation.days[row.day]?.minuteLimit ?? null,
    finishers: plan ? finishersOf(plan) : [],
    ...(plan &&
      isShortenable && {
        shortening: shorteningOf(plan.rotation, context),
      }),
  })
}

/** A client's sheet: what she was sent around today, with what was logged of it. Nothing else of the coach's is on it. */
export async function sheet(
  reader: Pick<SheetReader, 'coach' | 'clientId'>,
  today: PlainDate,
): Promise<Result<SheetView, Problem>> {
  const db = database()
  const [data, rows, starts, words] = await Promise.all([
    sheetData(reader, today),
    sentAround(db, reader.coach.id, reader.clientId, {
      from: addDays(today, -DAYS.back),
      to: addDays(today, DAYS.ahead),
    }),
    clientStarts(reader.coach, reader.clientId),
    wordsSince(
      db,
      reader.coach.id,
      reader.clientId,
      new Date(currentTime().getTime() - DAYS.back * MS_PER_DAY),
    ),
  ])
  if (!data.ok) return data
  const shown = rows.filter(
    ({ on, finishedAt }) => !finishedAt || daysBetween(on, today) <= DAYS.finishedBack,
  )
  const loads = sheetLoads(rows, data.value, today)
  const [entries, next] = await Promise.all([
    entriesOf(
      db,
      reader.coach.id,
      shown.map(({ id }) => id),
    ),
    nextTimes(reader.coach, shown, data.value, today),
  ])
  return success({
    client: { id: reader.clientId, name: data.value.view.name },
    coach: {
      name: reader.coach.name,
      studio: reader.coach.studio,
      ...(reader.coach.writing && { writing: reader.coach.writing }),
    },
    now: currentTime().toISOString(),
    today,
    levels: data.value.levels,
    reports: data.value.reports,
    words: words.map(({ writtenAt, ...message }) => ({ ...message, at: writtenAt.toISOString() })),
    sessions: shown.map(row => {
      const ahead = daysBetween(today, row.on)
      return {
        session: sheetOf(
          row,
          data.value,
          loads,
          !row.finishedAt && ahead >= -DAYS.shortBack && ahead <= DAYS.shortAhead,
        ),
        isFinished: row.finishedAt !== null,
        start: knownStart(starts, row.on, row.place),
        entries: takenOf(entries, row.id),
        next: next.get(row.id) ?? [],
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
