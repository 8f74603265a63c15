import { returnAllowance } from '../body/joints'
import { type Joint, JOINTS } from '../plan/catalogue'
import { type ClientFacts, PAIN_LEVELS, type PainLevel } from '../plan/method'
import { formatDay } from './dates'
import { NBSP } from './figures'
import { JOINT_NAMES } from './joints'
import { capitalised } from './text'

/** What a level asks of the plan, as the coach reads it. Never a diagnosis. */
export const PAIN_ASKS: Readonly<Record<PainLevel, string>> = {
  none: '',
  note: 'noted; watch whether it grows.',
  hold: 'nothing loads it more than now while it settles.',
  swap: 'exercises that load it are swapped or cut by half. Suggest seeing a licensed professional.',
  stop: 'nothing loads it until a licensed professional has cleared it.',
}

/** A joint that was reported, in one sentence. */
export interface PainNotice {
  readonly joint: Joint
  readonly level: PainLevel
  readonly words: string
}

/** What every screen that plans says first of a client's joints: the gravest first, each with its last report. */
export function painNotices({
  pain = {},
  lastPain = {},
  returning = {},
}: Pick<ClientFacts, 'pain' | 'lastPain' | 'returning'>): readonly PainNotice[] {
  const grave = (level: PainLevel) => PAIN_LEVELS.indexOf(level)
  const back = JOINTS.flatMap((joint): PainNotice[] => {
    const week = returning[joint]
    if (week === undefined || (pain[joint] ?? 'none') !== 'none') return []
    const share = Math.round(100 * returnAllowance(1, week))
    return [
      {
        joint,
        level: 'note',
        words: `${capitalised(JOINT_NAMES[joint])}: cleared, week ${week} of the way back; at most ${share}${NBSP}% of its ceiling.`,
      },
    ]
  })
  const reported = JOINTS.map(joint => ({ joint, level: pain[joint] ?? 'none' }))
    .filter(({ level }) => level !== 'none')
    .sort((a, b) => grave(b.level) - grave(a.level))
    .map(({ joint, level }) => {
      const last = lastPain[joint]
      const when = last ? `, ${last.score} of 10 on ${formatDay(last.on)}` : ''
      return {
        joint,
        level,
        words: `${capitalised(JOINT_NAMES[joint])}${when}: ${PAIN_ASKS[level]}`,
      }
    })
  return [...reported, ...back]
}

/** Why an exercise gets no further set: a joint it loads is sore. */
export const heldGrowthWords = (joint: Joint): string =>
  `${capitalised(JOINT_NAMES[joint])} is sore: nothing loads it more until it is calm.`
