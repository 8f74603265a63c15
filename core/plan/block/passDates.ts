import { addDays, type PlainDate, DAYS_PER_WEEK } from '../../base'
import type { PlanDocument } from './planDocument'

type PassDates = readonly (readonly PlainDate[])[]
const known = new WeakMap<PlanDocument, PassDates>()

/** The dates of every day of every pass; what moves everything later takes whole weeks where the rotation keeps to weekdays. */
export function passDates(plan: PlanDocument): PassDates {
  const dates = known.get(plan) ?? datesOf(plan)
  known.set(plan, dates)
  return dates
}

function datesOf({ startsOn, passes, rotation, block = {} }: PlanDocument): PassDates {
  const pauses = (block.events ?? []).filter(({ effect }) => effect === 'shift')
  const isAnchored = rotation.anchor.kind === 'weekday'
  const clear = (date: PlainDate): PlainDate => {
    const pause = pauses.find(({ from, to }) => from <= date && date <= to)
    return pause ? clear(isAnchored ? addDays(date, DAYS_PER_WEEK) : addDays(pause.to, 1)) : date
  }
  let next = startsOn
  return Array.from({ length: passes }, () =>
    rotation.days.map(() => {
      const own = clear(next)
      next = addDays(own, 1)
      return own
    }),
  )
}

/** The pass, from 0, that a date falls in or after; null before the first. */
export function passOn(plan: PlanDocument, date: PlainDate): number | null {
  const begun = passDates(plan).filter(([first]) => first !== undefined && first <= date).length
  return begun === 0 ? null : begun - 1
}

/** The last day of a plan. */
export const planEnd = (plan: PlanDocument): PlainDate =>
  passDates(plan).at(-1)?.at(-1) ?? plan.startsOn
