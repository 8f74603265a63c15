import type { BlockId } from '#core/base'
import { sessionLines } from '#core/exchange/exports'
import type { PlanContext } from '#core/plan/method'
import type { BlockSession, ExpandedBlock } from '#core/design/progress'
import ical, { ICalCalendarMethod, ICalEventStatus } from 'ical-generator'

interface CalendarQuestion {
  readonly blockId: BlockId
  readonly title: string
  readonly expanded: ExpandedBlock
  readonly context: PlanContext
  /** Grows with every save, so that a calendar knows which is newer. */ readonly version: number
  readonly stamp: Date
}

/** Stable over every export: the place in the block, not the date. */
function uidOf(blockId: BlockId, { pass, day, place }: BlockSession): string {
  return `${blockId}-${pass + 1}-${day + 1}-${place + 1}@tholepin`
}

/**
 * The sessions of a block as iCalendar (RFC 5545).
 *
 * Shape:  one event that lasts the whole day for each session: no clock times are planned, and no clock change moves one.
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
      allDay: true,
      start: new Date(`${session.on}T00:00:00Z`),
      timezone: 'UTC',
      summary: `${session.name}, ${sets} sets, ${minutes} min`,
      description: lines.join('\n'),
      status: session.isSkipped ? ICalEventStatus.CANCELLED : ICalEventStatus.CONFIRMED,
    })
  }
  // What one maker's programs alone read says nothing that the standard's own lines do not.
  return calendar.toString().replace(/^X-(?!WR-)[^\r\n]*\r\n/gm, '')
}
