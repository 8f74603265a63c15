import type { PlainDate, SessionId } from '../../base'
import type { Session } from '../session'
import { passDates } from './passDates'
import type { OneOff, PlanDocument, Variant } from './planDocument'

/* Sessions that differ on one date, and versions kept at hand. The plan itself never changes by them. */

const isSame = (session: SessionId, on: PlainDate) => (oneOff: OneOff) =>
  oneOff.session === session && oneOff.on === on

/** The plan with a session done otherwise on a date; what was said for that date before is replaced. */
export function withOneOff(plan: PlanDocument, oneOff: OneOff): PlanDocument {
  const others = (plan.oneOffs ?? []).filter(other => !isSame(oneOff.session, oneOff.on)(other))
  return { ...plan, oneOffs: [...others, oneOff].sort((a, b) => a.on.localeCompare(b.on)) }
}

export function withoutOneOff(
  { oneOffs = [], ...plan }: PlanDocument,
  session: SessionId,
  on: PlainDate,
): PlanDocument {
  const left = oneOffs.filter(oneOff => !isSame(session, on)(oneOff))
  return left.length === 0 ? plan : { ...plan, oneOffs: left }
}

/** The plan with a version of a session kept under a name; one of that name is replaced. */
export function withVariant(plan: PlanDocument, variant: Variant): PlanDocument {
  const others = (plan.variants ?? []).filter(
    ({ session, name }) => session !== variant.session || name !== variant.name,
  )
  return { ...plan, variants: [...others, variant] }
}

export function withoutVariant(
  { variants = [], ...plan }: PlanDocument,
  session: SessionId,
  name: string,
): PlanDocument {
  const left = variants.filter(variant => variant.session !== session || variant.name !== name)
  return left.length === 0 ? plan : { ...plan, variants: left }
}

/** What a session of the rotation is on a date: what is said for that date, else the session itself. */
export function sessionOn(
  { oneOffs = [] }: PlanDocument,
  session: Session,
  on: PlainDate,
): Session {
  return oneOffs.find(isSame(session.id, on))?.content ?? session
}

/** The dates a day of the rotation (from 0) falls on, one for each pass. */
export function datesOfDay(plan: PlanDocument, day: number): readonly PlainDate[] {
  return passDates(plan).flatMap(dates => dates[day] ?? [])
}
