import type { Catalogue } from '../plan/catalogue'
import { ROLE_NAMES, type RotationDay } from '../plan/rotation'
import type {
  FitChange,
  FittedRotation,
  OfferedRotation,
  TemplateChange,
} from '../design/templates'
import { formatScheme } from '../plan/shorthand'
import { formatSets } from './figures'
import { JOINT_NAMES } from './joints'
import { GROUP_NAMES } from './names'
import { capitalised, listed } from './text'

const MINUTE = 60
const dayWords = ({ role, label }: RotationDay) => label ?? ROLE_NAMES[role]
const nameIn = (catalogue: Catalogue) => (id: string) => catalogue.get(id)?.name ?? id

function changeWords(
  change: FitChange,
  days: readonly RotationDay[],
  catalogue: Catalogue,
): string {
  const nameOf = nameIn(catalogue)
  const on = (at: number) => `day ${at + 1} (${dayWords(days[at]!)})`
  switch (change.kind) {
    case 'unplaced':
      return `${dayWords(change.day)}: no day is left for it`
    case 'shortened':
      return `${on(change.at)} made shorter: ${Math.round(change.from / MINUTE)} to ${Math.round(change.to / MINUTE)} min`
    case 'swapped':
      return `${nameOf(change.given)} for ${nameOf(change.wanted)} on ${on(change.at)}`
    case 'left_out':
      return `${nameOf(change.exercise)} left out on ${on(change.at)}: nothing there can stand in`
    case 'eased':
      return `fewer sets on ${on(change.at)}: no more for the ${JOINT_NAMES[change.joint]}, which is sore`
  }
}

/** Every difference between what was wanted and what a client gets, one line each. */
export const fitChangeWords = (
  { changes, days }: FittedRotation,
  catalogue: Catalogue,
): readonly string[] => changes.map(change => capitalised(changeWords(change, days, catalogue)))

const times = (count: number, one: string, many: string) =>
  count === 1 ? `one ${one}` : `${count} ${many}`

/** Why a rotation stands where it does in the list: days, minutes, equipment, bands. */
export function fitReasons<Wanted>({
  fitted,
  sessions,
  daysThere,
  longest,
  bands,
}: OfferedRotation<Wanted>): readonly string[] {
  const of = (kind: FitChange['kind']) =>
    fitted.changes.filter(change => change.kind === kind).length
  const outside = bands.filter(({ outside: sets }) => sets !== 0)
  const swaps = of('swapped')
  return [
    of('unplaced') > 0
      ? `${times(of('unplaced'), 'session finds', 'sessions find')} no day`
      : daysThere > 0
        ? `${sessions} of the client’s ${daysThere} days`
        : times(sessions, 'session', 'sessions'),
    of('shortened') > 0
      ? `${times(of('shortened'), 'session', 'sessions')} made shorter, ${Math.round(fitted.kept * 100)}\u00A0% of the sets kept`
      : `up to ${Math.round(longest)} min`,
    swaps + of('left_out') === 0
      ? 'every exercise is possible'
      : `${times(swaps, 'exercise stands in', 'exercises stand in')}${of('left_out') > 0 ? `, ${times(of('left_out'), 'is left out', 'are left out')}` : ''}`,
    outside.length === 0
      ? 'every arm muscle inside its band'
      : `${formatSets(bands.length - outside.length)} of ${bands.length} arm muscles inside their bands; ${listed(
          outside.map(
            ({ group, outside: sets }) =>
              `${GROUP_NAMES[group].toLowerCase()} ${sets < 0 ? 'under' : 'over'}`,
          ),
        )}`,
  ]
}

/** What a template has otherwise, in one line: `Day 2: Rope pushdown, 1 set more`. */
export function templateChangeWords(change: TemplateChange, catalogue: Catalogue): string {
  const name = nameIn(catalogue)
  const own = `Day ${change.day + 1}: ${name(change.exercise)}`
  switch (change.kind) {
    case 'sets': {
      const many = Math.abs(change.by)
      return `${own}, ${many} ${many === 1 ? 'set' : 'sets'} ${change.by > 0 ? 'more' : 'fewer'}`
    }
    case 'scheme':
      return `${own}, done otherwise: ${formatScheme(change.scheme)}`
    case 'swapped':
      return `${own} is ${name(change.to.exercise)} now`
    case 'added':
      return `${own} is new: ${formatScheme(change.placed.scheme)}`
    case 'gone':
      return `${own} is out`
  }
}
