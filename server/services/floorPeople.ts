import {
  addDays,
  type BlockId,
  type ClientId,
  groupedBy,
  isoWeekday,
  type PlainDate,
} from '#core/base'
import { learnedTimes, type TimedSession } from '#core/body/times'
import { type BlockSession, expandedBlock } from '#core/design/progress'
import { type FloorGuest, type House, secondsOf, startOn, type Stations } from '#core/follow/floor'
import { passDates, type PlanDocument } from '#core/plan/block'
import { type ClientFacts, contextWith, type PlanContext } from '#core/plan/method'
import { type Session, sessionInTurn } from '#core/plan/session'
import { currentTime } from '../clock'
import { database } from '../db/database'
import { sessionDocument } from '../db/documents'
import { rosterLines } from '../db/queries/clients'
import { timedSessions } from '../db/queries/clientLog'
import { datedOn, floorOf } from '../db/queries/floor'
import { allClearances, allPainReports } from '../db/queries/health'
import { DONE_DAYS, sameFacts } from './clients'
import { withPain } from './pain'
import { plansBy } from './planMemory'
import { startsIn } from './roster'
import type { RosterLine } from './rosterMemory'
import type { Coach } from './signIn'
import {
  followedMethod,
  type StudioSettings,
  studioSettings,
  withStudioGear,
} from './studioSettings'

/** Somebody's session on a date, and where it comes from. */
export interface FloorPerson {
  readonly client: ClientId
  readonly name: string
  readonly what: string
  readonly minuteLimit: number | null
  readonly guest: FloorGuest
  /** Her profile has an hour for that weekday, which can be another from now on. */
  readonly hasOwnHour: boolean
  readonly block: BlockId
  readonly version: number
  readonly pass: number
  /** The date the rotation has it on, which is not `on` where it was moved. */
  readonly planned: PlainDate
  /** The session on the client's sheet; null while it was not sent. */
  readonly sent: string | null
}
export interface Floor {
  readonly stations: Stations
  readonly house: House
  /** What the studio can load. */
  readonly gear: StudioSettings['gear']
  readonly people: readonly FloorPerson[]
}

type DatedRow = Awaited<ReturnType<typeof datedOn>>[number]

/** A session as it falls on the date: of the plan, or as it was sent. */
type OnDate = Pick<BlockSession, 'pass' | 'day' | 'place' | 'name'> & {
  readonly content: Session
  readonly minuteLimit: number | null
  readonly sent: DatedRow | null
}

/** Rotations of a plan, from 0, that have anything on a date, or had it moved there. */
function passesOn(plan: PlanDocument, on: PlainDate): readonly number[] {
  const moved = (plan.block?.exceptions ?? []).flatMap(one =>
    one.kind === 'moved' && one.on === on ? [one.pass] : [],
  )
  const own = passDates(plan).flatMap((dates, pass) => (dates.includes(on) ? [pass] : []))
  return [...new Set([...own, ...moved])]
}

/** What is done on a date by a plan: what was sent as it was sent, the rest as the plan has it. */
function sessionsOn(
  plan: PlanDocument,
  rows: readonly DatedRow[],
  context: PlanContext,
  on: PlainDate,
): readonly OnDate[] {
  const limitOf = (day: number) => plan.rotation.days[day]?.minuteLimit ?? null
  const sent = rows
    .filter(row => row.on === on && !row.isDone && !row.isLetGo)
    .map(row => ({
      ...row,
      content: sessionInTurn(sessionDocument(row.content), Math.max(0, row.pass)),
      minuteLimit: limitOf(row.day),
      sent: row,
    }))
  const isSent = (one: Pick<BlockSession, 'pass' | 'day' | 'place'>) =>
    rows.some(({ pass, day, place }) => pass === one.pass && day === one.day && place === one.place)
  const planned =
    passesOn(plan, on).length > 0
      ? expandedBlock(plan, context).passes.flatMap(({ sessions }) =>
          sessions.filter(session => session.on === on && !session.isSkipped && !isSent(session)),
        )
      : []
  return [
    ...sent,
    ...planned.map(session => ({
      ...session,
      minuteLimit: session.minuteLimit ?? null,
      sent: null,
    })),
  ]
}

function personOf(
  line: RosterLine,
  { plan, context }: { readonly plan: PlanDocument; readonly context: PlanContext },
  { pass, day, place, name, content, minuteLimit, sent }: OnDate,
  { on, isOnly }: { readonly on: PlainDate; readonly isOnly: boolean },
): FloorPerson | null {
  const { id: client, blockId, version } = line
  if (blockId === null || version === null || content.groupings.length === 0) return null
  const starts = startsIn(line)
  const { start, usual } = startOn(starts, on, place)
  return {
    client,
    name: line.name,
    what: name,
    minuteLimit,
    block: blockId,
    version,
    pass,
    planned: passDates(plan)[pass]?.[day] ?? on,
    sent: sent?.id ?? null,
    hasOwnHour: starts.usual.has(isoWeekday(on)),
    guest: {
      id: `${client}.${place}`,
      start: secondsOf(start),
      usual: secondsOf(usual),
      content,
      plan,
      day,
      place,
      context,
      isBegun: sent?.isBegun ?? false,
      canMove: isOnly,
    },
  }
}

/** What is known of a client besides her plan. */
interface Known {
  readonly reports: readonly Awaited<ReturnType<typeof allPainReports>>[number][]
  readonly clearances: readonly Awaited<ReturnType<typeof allClearances>>[number][]
  readonly timed: readonly TimedSession[]
}

/** What a client's sessions are reckoned with: her method, what hurts, what there is to load, her own times. */
function contextOf(
  { method }: RosterLine,
  facts: ClientFacts,
  settings: StudioSettings,
  { reports, clearances, timed }: Known,
): PlanContext {
  const times = learnedTimes(timed)
  const hurting = withPain(withStudioGear(facts, settings), reports, clearances, currentTime())
  return contextWith(
    followedMethod(settings, method).method,
    sameFacts({ ...hurting, ...(times && { times }) }),
    settings.catalogue,
  )
}

const byStart = (a: FloorPerson, b: FloorPerson) => a.guest.start - b.guest.start

/** What every day of a floor goes by: what the studio has, what hurts, and what was cleared. */
export function floorGround({ id }: Coach) {
  const db = database()
  return Promise.all([
    studioSettings(db, id),
    floorOf(db, id),
    allPainReports(db, id),
    allClearances(db, id),
  ])
}
export type FloorGround = Awaited<ReturnType<typeof floorGround>>

/**
 * Everybody who has a session on a date that is not done yet, in the order of their starts, and what there is to do it on.
 * Whoever looks at several days reads what they all go by once.
 */
export async function floorPeople(
  coach: Coach,
  on: PlainDate,
  today: PlainDate,
  ground?: FloorGround,
): Promise<Floor> {
  const db = database()
  const [lines, [settings, floor, reports, clearances]] = await Promise.all([
    rosterLines(db, coach.id, on),
    ground ?? floorGround(coach),
  ])
  const plans = await plansBy(db, coach.id, lines, on)
  const rotations = lines.flatMap(({ id, blockId }) => {
    const followed = plans.get(id)
    return blockId && followed
      ? passesOn(followed.plan, on).map(pass => ({ id, block: blockId, pass }))
      : []
  })
  const blocks = lines.flatMap(({ blockId }) => blockId ?? [])
  const dated = await datedOn(db, coach.id, on, { blocks, rotations })
  const here = new Set([...rotations.map(({ id }) => id), ...dated.map(({ clientId }) => clientId)])
  const timed = await timedSessions(db, coach.id, [...here], addDays(today, -DONE_DAYS))
  const rowsOf = groupedBy(dated, ({ clientId }) => clientId)
  const painOf = groupedBy(reports, ({ clientId }) => clientId)
  const clearedOf = groupedBy(clearances, ({ clientId }) => clientId)
  const people = lines.flatMap(line => {
    const followed = plans.get(line.id)
    if (!followed || !here.has(line.id)) return []
    const { plan, facts } = followed
    const context = contextOf(line, facts, settings, {
      reports: painOf.get(line.id) ?? [],
      clearances: clearedOf.get(line.id) ?? [],
      timed: timed.get(line.id) ?? [],
    })
    const sessions = sessionsOn(plan, rowsOf.get(line.id) ?? [], context, on)
    const day = { on, isOnly: sessions.length === 1 }
    return sessions.flatMap(session => personOf(line, { plan, context }, session, day) ?? [])
  })
  return { ...floor, gear: settings.gear, people: people.sort(byStart) }
}
