import { roundHalfUp } from '../base'
import type { Adjustment, DecisionRow, DeloadSign } from '../review'
import { formatOneDecimal, formatSetCount, formatSets, NBSP } from './figures'
import { JOINT_NAMES } from './findings'
import { GROUP_NAMES } from './names'

const percent = (share: number) => `${roundHalfUp(share * 100)}${NBSP}%`
const aWeek = (slope: number) => `${formatOneDecimal(Math.abs(slope) * 100)}${NBSP}% a week`

const SIGN_WORDS: Readonly<Record<DeloadSign, string>> = { falling: 'two or more muscles fall', not_recovered: 'most answers say not recovered', sore_joints: 'two joints are sore', missed_reps: 'reps were missed in two sessions' }

/** What is proposed, in a few words: `Triceps: 3 sets fewer, one more rep in reserve`. */
export function adjustmentWords({ group, change, before, after }: Adjustment): string {
  const name = group === null ? 'The whole rotation' : GROUP_NAMES[group]
  switch (change.kind) {
    case 'sets': {
      if (change.by === 0) return change.rir > 0 ? `${name}: one more rep in reserve` : `${name}: as it is`
      return `${name}: ${formatSetCount(Math.abs(change.by))} ${change.by > 0 ? 'more' : 'fewer'}, ${formatSets(before)} to ${formatSets(after)} direct${change.rir > 0 ? ', one more rep in reserve' : ''}`
    }
    case 'rir': return `${name}: same sets, one more rep in reserve`
    case 'hold_ramp': return `${name}: no step up, ${formatSets(after)} direct as before`
    case 'deload': return `${name}: easier on purpose`
    case 'by_hand': return `${name}: change one thing by hand`
    case 'go_on': return `${name}: as planned`
  }
}

const ROW_REASONS: Readonly<Record<Exclude<DecisionRow, 'A3'>, (of: NonNullable<Adjustment['evidence']>) => string>> = {
  A1: ({ sore }) => `${sore ? JOINT_NAMES[sore.joint] : 'A joint'} is sore: nothing goes up until it is calm.`,
  A2: ({ done, planned }) => `${done} of ${planned} sets done: repeat before adding; ask about time.`,
  A4: ({ slope, recovered, notRecovered, readiness, lowExposures, exposures }) => `Falling ${aWeek(slope)} and not recovered${notRecovered > 0 ? `, ${notRecovered} of ${recovered + notRecovered} answers say so` : `, ${roundHalfUp(readiness)}${NBSP}% ready on average`}${lowExposures === 1 && exposures > 1 ? '; one day comes too early: move it' : ''}.`,
  A5: ({ slope }) => `Falling ${aWeek(slope)} though recovered: check sleep, food and technique; consider the other exercise.`,
  A6: ({ recovered, notRecovered }) => `Not recovered in ${notRecovered} of ${recovered + notRecovered} answers.`,
  A7: ({ counted, band }) => `Flat, recovered, room in the band: ${formatOneDecimal(counted)} of ${formatOneDecimal(band.ceiling)}.`,
  A8: ({ band }) => `Flat at the ceiling of ${formatOneDecimal(band.ceiling)}: another rep range, muscle length, or a longer rest.`,
  A9: ({ counted, band }) => `Under the floor twice: ${formatOneDecimal(counted)} of ${formatOneDecimal(band.floor)}.`,
  A10: ({ counted, band }) => `Over the ceiling: ${formatOneDecimal(counted)} of ${formatOneDecimal(band.ceiling)}.`,
  A11: ({ slope }) => `Rising ${aWeek(slope)}: it works, leave it.`,
  A12: ({ recovered, notRecovered }) => `No verdict yet${recovered + notRecovered > 0 ? `; recovered in ${recovered} of ${recovered + notRecovered} answers` : ''}.`,
}

/** Why, with the figures it rests on. */
export function adjustmentReason({ row, evidence, signs }: Adjustment): string {
  if (row === 'A3') return `${signs.map(sign => SIGN_WORDS[sign]).join(', and ').replace(/^./, letter => letter.toUpperCase())}.`
  return evidence ? ROW_REASONS[row](evidence) : ''
}

export const CONFIDENCE_WORDS: Readonly<Record<Adjustment['confidence'], string>> = { strong: 'well supported', fair: 'fairly sure', weak: 'weak evidence' }

/** `92 % of the sets done`. */
export function adherenceWords(done: number, due: number): string {
  return due === 0 ? 'Nothing was due yet' : `${done} of ${due} sets done, ${percent(done / due)}`
}
