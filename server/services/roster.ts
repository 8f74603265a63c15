import { groupedBy, type PlainDate } from '#core/base'
import { needWords } from '#core/words'
import { hasWork, isAhead, isLeftOut } from '#core/body/log'
import type { DatedTrend } from '#core/body/trend'
import type { Group } from '#core/plan/catalogue'
import {
  byPressure,
  clientNeeds,
  type Need,
  rosterSection,
  type RosterFacts,
  type RosterSession,
} from '#core/follow/roster'
import { type ClientStarts, startOn } from '#core/follow/floor'
import { placesFrom, type PlanPlace } from '#core/plan/block'
import { placeOn } from '#core/plan/rotation'
import type { RosterEntry, RosterView } from '#shared/contracts/roster'
import { LRUCache } from 'lru-cache'
import { database } from '../db/database'
import { archivedCount, rosterLines } from '../db/queries/clients'
import { allClearances, allPainReports } from '../db/queries/health'
import type { SessionLine } from '../db/queries/training'
import { latestReport, painOf } from './pain'
import { type PlanSide, remembered, type RosterLine } from './rosterMemory'
import type { Coach } from './signIn'
import { studioSettings } from './studioSettings'

/** All clients of a coach who are not put away, each with what a day's look at her rests on. */
export async function knownClients(coach: Coach, today: PlainDate, patienceMs: number) {
  const db = database()
  const [lines, settings, reports, clearances] = await Promise.all([
    rosterLines(db, coach.id, today),
    studioSettings(db, coach.id),
    allPainReports(db, coach.id),
    allClearances(db, coach.id),
  ])
  const [ofReports, ofClearances] = [
    groupedBy(reports, of => of.clientId),
    groupedBy(clearances, of => of.clientId),
  ]
  const question = { coach, today, lines, settings, reports: ofReports }
  const known = await remembered(db, question, patienceMs)
  return lines.map((line): Known => {
    const of = known.get(line.id)
    return {
      line,
      today,
      muscles: of?.muscles ?? new Map(),
      isRead: of?.muscles !== undefined,
      plan: of?.plan,
      sessions: of?.sessions.filter(({ blockId }) => blockId === line.blockId) ?? [],
      reports: ofReports.get(line.id) ?? [],
      clearances: ofClearances.get(line.id) ?? [],
      versions: of?.versions ?? '',
    }
  })
}

/**
 * The roster of a coach, sorted by what waits for her.
 *
 * Units: ms that logs are waited for; what they say of those who are not read yet is absent, and `unread` counts them.
 */
export async function roster(
  coach: Coach,
  today: PlainDate,
  patienceMs = Infinity,
): Promise<RosterView> {
  const [known, archived] = await Promise.all([
    knownClients(coach, today, patienceMs),
    archivedCount(database(), coach.id),
  ])
  return {
    studio: coach.studio,
    archived,
    unread: known.filter(({ isRead }) => !isRead).length,
    clients: known
      .map(looked)
      .sort((a, b) => byPressure(a.sortable, b.sortable))
      .map(({ entry }) => entry),
  }
}

/** What a day's look at a client rests on. */
export interface Known {
  readonly line: RosterLine
  readonly today: PlainDate
  /** False while the log has not been read: nothing is known of strength. */
  readonly isRead: boolean
  /** Everything it was made from, as one word: the same word, the same client. */
  readonly versions: string
  readonly plan: PlanSide | undefined
  readonly muscles: ReadonlyMap<Group, DatedTrend>
  readonly sessions: readonly SessionLine[]
  readonly reports: readonly Awaited<ReturnType<typeof allPainReports>>[number][]
  readonly clearances: readonly Awaited<ReturnType<typeof allClearances>>[number][]
}

/** The latest report of every joint that hurts. */
function painsOf(
  levels: ReturnType<typeof painOf>,
  reports: Known['reports'],
): RosterFacts['pains'] {
  return Object.entries(levels).flatMap(([joint, level]) => {
    const last = latestReport(reports, joint as keyof typeof levels)
    return last
      ? [
          {
            level,
            joint: last.joint,
            side: last.side,
            score: Math.max(last.score, last.nextMorning ?? 0),
            on: last.on,
          },
        ]
      : []
  })
}

/** A client's line, and what it is sorted by. */
interface Looked {
  readonly needs: readonly Need[]
  readonly entry: RosterEntry
  readonly sortable: ReturnType<typeof sortable>
}
/** What a day's look at a client came to, remembered under everything it was made from. */
const looks = new LRUCache<string, Looked>({ max: 20_000 })
const lookKey = ({ versions, isRead, line, reports, clearances }: Known) =>
  JSON.stringify([versions, isRead, line, reports, clearances])

function looked(known: Known): Looked {
  const key = lookKey(known)
  const held = looks.get(key)
  if (held) return held
  const needs = reckonedNeeds(known)
  const entry = entryOf(known, needs)
  const look = { needs, entry, sortable: sortable(entry) }
  looks.set(key, look)
  return look
}

/** What waits for the coach. */
export const needsOf = (known: Known): readonly Need[] => looked(known).needs

function reckonedNeeds({
  line,
  today,
  plan,
  sessions,
  muscles,
  reports,
  clearances,
}: Known): readonly Need[] {
  const levels = reports.length === 0 ? {} : painOf(reports, clearances)
  return clientNeeds({
    today,
    sessions: sessions.map((session): RosterSession => ({
      ...session,
      isOfOther: session.blockId !== line.blockId,
    })),
    muscles,
    attention: plan?.strip.attention ?? [],
    block: plan
      ? {
          startsOn: plan.startsOn,
          passes: plan.passes,
          lengthDays: plan.days.length,
          isEmpty: plan.strip.isUnallocated,
          trials: plan.plan.block?.trials ?? [],
          next: line.next,
        }
      : null,
    pains: painsOf(levels, reports),
  })
}

function entryOf(known: Known, needs: readonly Need[]): RosterEntry {
  const {
    line: { id, name, about, isFlagged, laterUntil },
    today,
    plan,
    sessions,
  } = known
  const isLater = laterUntil !== null && laterUntil > today
  return {
    id,
    name,
    about,
    isFlagged,
    laterUntil: isLater ? laterUntil : null,
    section: isLater ? 'steady' : rosterSection(needs),
    needs: needs.map(need => ({
      kind: need.kind,
      ...needWords(need, today),
      to: placeOf(need, known),
      session: need.kind === 'missed_session' ? need.session : null,
    })),
    next: nextOf(plan, sessions, startsIn(known.line), today),
    block: plan
      ? {
          title: plan.title,
          startsOn: plan.startsOn,
          passes: plan.passes,
          flexorsPer7Days: plan.strip.flexorsPer7Days,
          tricepsPer7Days: plan.strip.tricepsPer7Days,
          isEmpty: plan.strip.isUnallocated,
          days: stripDays(plan, sessions, today),
        }
      : null,
  }
}

const NEXT_STEP = { nothing: 'split', empty: 'proposals', never_sent: 'block' } as const

/** Where each need is settled. */
function placeOf(need: Need, { line: { id, next, blockId }, sessions }: Known): string {
  // A block that is over is not planned anew: what was missed in it is let go on History.
  const isOver = (session: string) =>
    sessions.some(held => held.id === session && held.blockId !== blockId)
  const page: Readonly<Record<Need['kind'], string>> = {
    pain: 'history#joints',
    missed_session:
      need.kind === 'missed_session' && isOver(need.session) ? 'history#sessions' : 'review',
    falling: 'trends',
    not_opened: 'log?panel=link',
    no_plan: need.kind === 'no_plan' ? NEXT_STEP[need.what] : '',
    not_sent:
      need.kind === 'not_sent'
        ? `block?rotation=${need.pass + 1}${need.isNext && next ? `&block=${next.id}` : ''}`
        : '',
    block_ends: 'season',
    trial_over: 'review#trials',
    out_of_band: 'split',
  }
  return `/clients/${id}/${page[need.kind]}`
}

/** When a client comes, as a line of the roster has it. */
export function startsIn({ starts, agreed }: Pick<RosterLine, 'starts' | 'agreed'>): ClientStarts {
  const pairs = starts
    .split(',')
    .filter(Boolean)
    .map(pair => [Number(pair.slice(0, 1)), pair.slice(2)] as const)
  return { usual: new Map(pairs), agreed }
}

/** The next session: what the client has and is not done, or what the plan has for a date and she was not sent; whichever comes first. */
function nextOf(
  plan: PlanSide | undefined,
  sessions: readonly SessionLine[],
  starts: ClientStarts,
  today: PlainDate,
): RosterEntry['next'] {
  if (!plan) return null
  const isSent = ({ pass, day, place }: PlanPlace) =>
    sessions.some(one => one.pass === pass && one.day === day && one.place === place)
  const sent = sessions.find(
    ({ on, state }) => on >= today && (isAhead(state) || state === 'begun'),
  )
  const planned = placesFrom(plan.plan, today).find(
    one => !isSent(one) && !plan.waits(one) && plan.days[one.day]?.isRest === false,
  )
  const next = sent && planned && planned.on < sent.on ? planned : (sent ?? planned)
  if (!next) return null
  const { on, day, place } = next
  return {
    on,
    start: startOn(starts, on, place).start,
    name: 'name' in next ? next.name : (plan.days[day]?.name ?? ''),
    minutes: plan.days[day]?.minutes ?? null,
    day,
  }
}

function stripDays(
  plan: PlanSide,
  sessions: readonly SessionLine[],
  today: PlainDate,
): NonNullable<RosterEntry['block']>['days'] {
  const pass = placeOn(plan.days.length, plan.startsOn, today)?.pass
  return plan.strip.days.map((sets, at) => {
    const own = sessions.filter(session => session.pass === pass && session.day === at)
    const state =
      own.length === 0
        ? 'planned'
        : own.every(({ state: one }) => hasWork(one))
          ? 'done'
          : own.some(({ state: one }) => isLeftOut(one))
            ? 'missed'
            : 'ahead'
    return {
      ...sets,
      name: plan.days[at]?.name ?? '',
      isRest: plan.days[at]?.isRest ?? false,
      state,
    }
  })
}

function sortable(of: RosterEntry) {
  return { ...of, nextOn: of.next && `${of.next.on} ${of.next.start ?? ''}` }
}
