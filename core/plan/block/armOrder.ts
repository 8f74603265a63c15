import { type Catalogue, directGroups, isOverhead } from '../catalogue'
import type { Method, PlanContext } from '../method'
import type { RotationDay } from '../rotation'
import type { Grouping, Session } from '../session'

/* Where a method has overhead extensions and forearm work. Templates are put in its order when they are filled. */

type Order = Method['order']

const groupsOf = ({ slots }: Grouping, catalogue: Catalogue) =>
  slots.map(({ exercise }) => directGroups(catalogue.get(exercise)?.intents[0].credits ?? {})[0])

const hasOverhead = ({ slots }: Grouping) => slots.some(({ exercise }) => isOverhead(exercise))

/** Overhead extensions before or after a session's other work for the triceps; partners go with them. */
function overheadMoved(
  groupings: readonly Grouping[],
  where: Order['overhead'],
  catalogue: Catalogue,
): readonly Grouping[] {
  const isAboutTriceps = (grouping: Grouping) => groupsOf(grouping, catalogue).includes('triceps')
  const places = groupings.flatMap((grouping, at) => (isAboutTriceps(grouping) ? [at] : []))
  if (where === 'any' || places.length < 2) return groupings
  const own = places.map(at => groupings[at]!)
  const [over, others] = [own.filter(hasOverhead), own.filter(one => !hasOverhead(one))]
  const ordered = where === 'early' ? [...over, ...others] : [...others, ...over]
  return groupings.map((grouping, at) => ordered[places.indexOf(at)] ?? grouping)
}

const isForearms = (grouping: Grouping, catalogue: Catalogue) =>
  groupsOf(grouping, catalogue).every(group => group === 'forearms')

/** A session in a method's order; forearm work goes where the method leaves it to the grip. */
export function sessionInOrder(session: Session, { method, catalogue }: PlanContext): Session {
  const { overhead, forearms } = method.order
  const kept = session.groupings.filter(
    grouping => forearms !== 'none' || !isForearms(grouping, catalogue),
  )
  const moved = overheadMoved(kept, overhead, catalogue)
  return moved.every((grouping, at) => grouping === session.groupings[at]) &&
    moved.length === session.groupings.length
    ? session
    : { ...session, groupings: moved }
}

const withGroupings = (day: RotationDay, of: (session: Session) => readonly Grouping[]) => ({
  ...day,
  sessions: day.sessions
    .map(session => ({ ...session, groupings: of(session) }))
    .filter(({ groupings }) => groupings.length > 0),
})

/** Days on which a method has forearm work; a rotation without one keeps it where it stands. */
const FOREARM_ROLE = { armDay: 'arms', pullDay: 'pull' } as const

/** The days of a template in a method's order: forearm work on its day and last, overhead extensions early or late. */
export function daysInOrder(
  days: readonly RotationDay[],
  context: PlanContext,
): readonly RotationDay[] {
  const { forearms } = context.method.order
  const role = forearms === 'armDay' || forearms === 'pullDay' ? FOREARM_ROLE[forearms] : null
  const home = role === null ? -1 : days.findIndex(day => day.role === role)
  const isOwn = (grouping: Grouping) => isForearms(grouping, context.catalogue)
  const all = days.flatMap(({ sessions }) => sessions.flatMap(({ groupings }) => groupings))
  const moved = home < 0 || !days[home]?.sessions.length ? [] : all.filter(isOwn)
  const placed = days.map((day, at) => {
    if (moved.length === 0) return day
    const last = day.sessions.at(-1)
    return withGroupings(day, session => [
      ...session.groupings.filter(grouping => !isOwn(grouping)),
      ...(at === home && session === last ? moved : []),
    ])
  })
  return placed.map(day => ({
    ...day,
    sessions: day.sessions.map(session => sessionInOrder(session, context)),
  }))
}

/** How well a template fits where a method has arm work: 2 as it has it, 1 as well, 0 otherwise. */
export function armPlacementFit(
  days: readonly { readonly role: RotationDay['role'] }[],
  { order: { armPlacement } }: Method,
): number {
  const hasArmDay = days.some(({ role }) => role === 'arms')
  if (armPlacement === 'both') return 1
  return hasArmDay === (armPlacement === 'ownDay') ? 2 : 0
}
