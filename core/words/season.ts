import { DAYS_PER_WEEK, daysBetween, type PlainDate } from '../base'
import type { Answered, Cut, GirthCourse, Kept, Seam, SeamStop } from '../follow/season'
import { formatDay } from './dates'
import { formatOneDecimal, formatSets } from './figures'
import { JOINT_NAMES } from './joints'
import { GROUP_NAMES } from './names'

/** Why a seam stays where it is, and what to do instead. */
export function seamStopWords({ why, title }: SeamStop): string {
  switch (why) {
    case 'first':
      return 'The first block has no seam before it. Choose a later one.'
    case 'begun':
      return `${title} has begun. Its first day stays; choose a block ahead.`
    case 'sent':
      return `${title}: the rotation that would move is on the client’s phone. Take it back first.`
    case 'shortest':
      return `${title} has only one rotation left. Remove nothing more from it.`
    case 'longest':
      return `${title} is as long as a block can be.`
    case 'past':
      return `${title} would end or begin before today. Move the seam later.`
  }
}

/** `Start triceps 3 sets lower and step up`. */
export function softStartWords(cuts: readonly Cut[]): string {
  const parts = cuts.map(
    ({ group, sets }) =>
      `${GROUP_NAMES[group].toLowerCase()} ${sets} ${sets === 1 ? 'set' : 'sets'}`,
  )
  return `Start ${parts.join(' and ')} lower and step up`
}

const ratio = (before: number, after: number) => `× ${(after / before).toFixed(2)}`

/** What a softer start does at the seam: `back of the elbow × 1.38 to × 1.19`. */
export function softStartEffects({
  before,
  after,
}: {
  readonly before: Seam
  readonly after: Seam
}): readonly string[] {
  const rows = [
    ...before.jumps.map((was, at) => ({
      name: GROUP_NAMES[was.group],
      was,
      is: after.jumps[at]!,
    })),
    ...before.joints.map((was, at) => ({
      name: JOINT_NAMES[was.joint],
      was,
      is: after.joints[at]!,
    })),
  ]
  return rows
    .filter(({ was, is }) => was.before > 0 && Math.abs(was.after - is.after) >= 0.05)
    .map(
      ({ name, was, is }) =>
        `${name} ${ratio(was.before, was.after)} to ${ratio(is.before, is.after)} (${formatOneDecimal(is.after)})`,
    )
}

type NameOf = (exercise: string) => string
/** `Keep on: Preacher curl, bar; Cable kickback`. */
export const keptOnWords = (kept: readonly Kept[], nameOf: NameOf): string =>
  `Keep on: ${kept.map(({ exercise }) => nameOf(exercise)).join('; ')}`

/** What each stands in for. */
export const keptOnEffects = (kept: readonly Kept[], nameOf: NameOf): readonly string[] =>
  kept.map(({ exercise, inPlaceOf }) => `${nameOf(exercise)} in place of ${nameOf(inPlaceOf)}`)

/** `38.1 cm, + 0.9 ± 0.7 since 28 Jun`; the change is that of two measurings. */
export function girthWords({ points, noise, isStated }: GirthCourse): string {
  const [first, last] = [points[0], points.at(-1)]
  if (!first || !last) return ''
  const now = `${formatOneDecimal(last.value)} cm`
  if (first === last) return `${now} on ${formatDay(first.on)}`
  const change = last.value - first.value
  const sign = change < 0 ? '−' : '+'
  const band = `${formatOneDecimal(noise * Math.SQRT2)}${isStated ? ' stated' : ''}`
  return `${now}, ${sign} ${formatOneDecimal(Math.abs(change))} ± ${band} since ${formatDay(first.on)}`
}

const perWeek = (share: number) => Math.abs(share * 100).toFixed(2)
/** Half of an 80 % interval, in standard errors. */
const HALF_80 = 1.2816

/** What a muscle answered to in its blocks, with how sure that is. */
export function answeredWords({
  group,
  other,
  from,
  to,
  at,
  rise,
  difference,
  blocks,
}: Answered): string {
  const range = [rise.value - HALF_80 * rise.error, rise.value + HALF_80 * rise.error]
  const sets = at.map(formatSets).join(' and ')
  return `${GROUP_NAMES[group]} answered to ${formatSets(from)} to ${formatSets(to)} sets a week, not to ${other}: + ${perWeek(rise.value)} % a week (80 % between ${range.map(perWeek).join(' and ')}), at ${sets} sets ${perWeek(difference.value)} ± ${perWeek(HALF_80 * difference.error)} less. ${blocks} blocks say so; exercises, food and sleep may have differed too.`
}

/** When an event is, and how long until then: `Sat 24 Apr`, `in 21 weeks`. */
export function eventWords(
  { from, to }: { readonly from: PlainDate; readonly to: PlainDate },
  today: PlainDate,
): { readonly days: string; readonly toGo: string } {
  const days = from === to ? formatDay(from) : `${formatDay(from)} to ${formatDay(to)}`
  const ahead = daysBetween(today, from)
  const weeks = Math.ceil(ahead / DAYS_PER_WEEK)
  if (ahead <= 0) return { days, toGo: to < today ? 'over' : 'now' }
  return { days, toGo: weeks === 1 ? 'within a week' : `in ${weeks} weeks` }
}
