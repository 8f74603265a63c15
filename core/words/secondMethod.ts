import type { SeenMuscle, TwiceSeen } from '../judge/second-method'
import type { CountingSchoolId, Method } from '../plan/method'
import { formatOneDecimal } from './figures'
import { POSITION_NAMES } from './names'

/** How a school counts, beside a figure. */
const COUNTED: Readonly<Record<CountingSchoolId, string>> = {
  direct_only: 'direct only',
  fractional: 'in part',
  whole: 'whole',
  stimulus: 'weighed',
}
const countedWords = ({ school }: Method) => COUNTED[school.id as CountingSchoolId] ?? school.id

const bandWords = ({ band }: SeenMuscle) =>
  `${formatOneDecimal(band.floor)} to ${formatOneDecimal(band.ceiling)}`

/** Why two methods do not agree on a muscle: `in part 13.4, direct only 8: under the floor`. */
export function twiceSeenWords({ own, other }: TwiceSeen, method: Method, second: Method): string {
  const figures =
    method.school.id === second.school.id
      ? `${formatOneDecimal(other.counted)} either way, the band is ${bandWords(other)} there`
      : `${countedWords(method)} ${formatOneDecimal(own.counted)}, ${countedWords(second)} ${formatOneDecimal(other.counted)}`
  return `${figures}: ${POSITION_NAMES[other.position]}`
}
