import { type ClientStarts, knownStart } from '#core/follow/floor'
import { type BlockId, MS_PER_HOUR } from '#core/base'
import { sessionLines } from '#core/exchange/exports'
import type { PlanContext } from '#core/plan/method'
import { SECOND_SESSION_HOURS } from '#core/plan/rotation'
import type { BlockSession, ExpandedBlock } from '#core/design/progress'
import ical, { ICalCalendarMethod, type ICalEventData, ICalEventStatus } from 'ical-generator'

interface CalendarQuestion {
  readonly blockId: BlockId
  readonly title: string
  readonly expanded: ExpandedBlock
  readonly context: PlanContext
  /** Grows with every save, so that a calendar knows which is newer. */ readonly version: number
  readonly stamp: Date
  /** When the client begins, by weekday from 1: `17:30`. Days without one last the whole day. */
  readonly starts: ClientStarts
}

/** Stable over every export: the place in the block, not the date. */
function uidOf(blockId: BlockId, { pass, day, place }: BlockSession): string {
  return `${blockId}-${pass + 1}-${day + 1}-${place + 1}@tholepin`
}

/** When an event begins and ends: by the wall clock of whoever reads it, so that no clock change moves one. */
function timesOf(
  { on, place }: BlockSession,
  minutes: number,
  starts: CalendarQuestion['starts'],
): Pick<ICalEventData, 'allDay' | 'floating' | 'start' | 'end' | 'timezone'> {
  const start = knownStart(starts, on)?.start
  if (start === undefined)
    return { allDay: true, start: new Date(`${on}T00:00:00Z`), timezone: 'UTC' }
  const begins = new Date(
    Date.parse(`${on}T${start}:00Z`) + place * SECOND_SESSION_HOURS * MS_PER_HOUR,
  )
  return {
    floating: true,
    timezone: 'UTC',
    start: begins,
    end: new Date(begins.getTime() + minutes * MS_PER_MINUTE),
  }
}
const MS_PER_MINUTE = 60_000

/**
 * The sessions of a block as iCalendar (RFC 5545).
 *
 * Shape:  one event for each session, at the hour the client begins that weekday; where no hour is known it lasts the whole day.
 * Edge:   a session left out for an event goes along as cancelled, so that a calendar that had it takes it out; imported again,
 *         entries are replaced, not doubled.
 */
export function calendarOf({
  blockId,
  title,
  expanded,
  context,
  version,
  stamp,
  starts,
}: CalendarQuestion): string {
  // The package leaves what a name would need escaped as it is, so none of it goes in.
  const calendar = ical({
    name: title.replace(/[",;\\\r\n]+/g, ' '),
    method: ICalCalendarMethod.PUBLISH,
    prodId: { company: 'Tholepin', product: 'Blocks', language: 'EN' },
  })
  for (const session of expanded.passes.flatMap(({ sessions }) => sessions)) {
    const { sets, minutes, lines } = sessionLines(session, context)
    calendar.createEvent({
      id: uidOf(blockId, session),
      sequence: version,
      stamp,
      ...timesOf(session, minutes, starts),
      summary: `${session.name}, ${sets} sets, ${minutes} min`,
      description: lines.join('\n'),
      status: session.isSkipped ? ICalEventStatus.CANCELLED : ICalEventStatus.CONFIRMED,
    })
  }
  // What one maker's programs alone read says nothing that the standard's own lines do not.
  return calendar.toString().replace(/^X-(?!WR-)[^\r\n]*\r\n/gm, '')
}
