import { ARM_GROUPS, type Group } from '#core/plan/catalogue'
import { FLAT } from '#core/body/trend'
import { GROUP_NAMES, INTERVAL, signed, trendSentence } from '#core/words'
import type { ReviewView } from '#shared/contracts/review'

/** Half the axis as a share per week, and its width. Units: px of the drawing. */
const REACH = 0.03
const WIDTH = 150

/** Change a week that counts as none, as a share. */
const BAND = FLAT / 100

const placed = (slope: number) =>
  Math.round((WIDTH / 2) * (1 + Math.max(-1, Math.min(1, slope / REACH))) * 10) / 10

export const INTERVAL_AXIS = { band: [placed(-BAND), placed(BAND)] } as const

/** Where the strength of the client's muscles goes, one row a muscle that anything is known of; the arms first. */
export function strengthRows({ muscleTrends }: Pick<ReviewView, 'muscleTrends'>) {
  const isArm = (group: Group) => ARM_GROUPS.some(arm => arm === group)
  return muscleTrends
    .filter(({ count }) => count > 0)
    .toSorted((a, b) => Number(isArm(b.group)) - Number(isArm(a.group)))
    .map(trend => {
      const { group, slope, error, verdict } = trend
      const isKnown = error !== null && verdict !== 'insufficient'
      const [words = ''] = trendSentence(trend).split(/(?<=[.:])\s/)
      return {
        group,
        isArm: isArm(group),
        name: GROUP_NAMES[group],
        words: words.replace(/[.:]$/, ''),
        label: trendSentence(trend),
        isFalling: verdict === 'decline',
        figure: isKnown ? signed(slope) : 'not yet',
        at: isKnown
          ? {
              from: placed(slope - INTERVAL * error),
              middle: placed(slope),
              to: placed(slope + INTERVAL * error),
            }
          : null,
      }
    })
}
export type StrengthRow = ReturnType<typeof strengthRows>[number]
