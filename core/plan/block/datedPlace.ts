import type { PlainDate } from '../../base'
import type { BlockEvent } from './blockPlan'
import { passDates } from './passDates'
import type { PlanDocument } from './planDocument'

/** Where a session stands in a plan; all counted from 0. */
export interface PlanPlace {
  readonly pass: number
  readonly day: number
  readonly place: number
}
/** When a session of a plan falls, and what is said for that date. */
export interface DatedPlace extends PlanPlace {
  readonly on: PlainDate
  /** The date the rotation has it on, before it was moved. */
  readonly planned: PlainDate
  readonly isMoved: boolean
  /** An event takes it, or it was dropped by itself. */
  readonly isLeftOut: boolean
  readonly event?: BlockEvent
}

const holdsOn = (on: PlainDate, { from, to, effect }: BlockEvent): boolean =>
  effect !== 'shift' && from <= on && on <= to

/** The date of one session of a plan: by its rotation, or where it was moved to. */
export function datedPlace(plan: PlanDocument, at: PlanPlace): DatedPlace {
  const { exceptions = [], events = [] } = plan.block ?? {}
  const own = exceptions.filter(
    exception =>
      exception.pass === at.pass &&
      (exception.kind === 'moved' || exception.kind === 'dropped') &&
      exception.day === at.day &&
      exception.place === at.place,
  )
  const planned = passDates(plan)[at.pass]?.[at.day] ?? plan.startsOn
  const moved = own.find(({ kind }) => kind === 'moved')
  const on = moved?.kind === 'moved' ? moved.on : planned
  const event = events.find(one => holdsOn(on, one))
  return {
    ...at,
    on,
    planned,
    isMoved: moved !== undefined,
    isLeftOut: event?.effect === 'skip' || own.some(({ kind }) => kind === 'dropped'),
    ...(event && { event }),
  }
}

/** Sessions of a plan that are to be held from a date on, the earliest first; of one day in their order. */
export function placesFrom(plan: PlanDocument, from: PlainDate): readonly DatedPlace[] {
  return Array.from({ length: plan.passes }, (_, pass) =>
    plan.rotation.days.flatMap(({ sessions }, day) =>
      sessions.map((__, place) => datedPlace(plan, { pass, day, place })),
    ),
  )
    .flat()
    .filter(({ on, isLeftOut }) => on >= from && !isLeftOut)
    .sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : a.place - b.place))
}
