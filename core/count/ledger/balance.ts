import type { PlanContext } from '../../plan/method'
import { COUNTING_SCHOOLS, ratioWishOf } from '../../plan/method'
import type { CountedWork } from './countedWork'
import { tallyOnce } from './tally'

/** Elbow flexors against extensors over a rotation. */
export interface ArmBalance {
  /** Sets of one rotation, each set once per side at its highest credit. */
  readonly flexors: number
  readonly extensors: number
  /** extensors / flexors, null without flexor sets. */
  readonly ratio: number | null
  readonly wish: number
  /** Above 0 flexor-heavy, below 0 extensor-heavy: how far the ratio is off the wish, as a share. Null without both. */
  readonly flexorExcess: number | null
  readonly verdict: 'level' | 'leaning' | 'outside' | 'empty'
}

/** Within this share of the wish the beam is level. */
const LEVEL = 0.05
const SLACK = 1e-9
/** Ratios over the wish that are nobody's business; outside them the board speaks up. At the usual wish of 1.10 they are 0.77 and 1.54. Source: docs/methods.md#ratio. */
const QUIET: readonly [number, number] = [0.7, 1.4]

/**
 * How the elbow flexors stand against the triceps, always counted fractionally.
 *
 * Edge:    without sets on either side the verdict is `empty` (none at all) or `outside` (one side only).
 * Source:  docs/methods.md#ratio; a curl is one flexor set although it serves two flexor groups.
 */
export function armBalance(work: readonly CountedWork[], context: PlanContext): ArmBalance {
  const flexors = tallyOnce(work, ['biceps', 'elbow_flexors_other'], COUNTING_SCHOOLS.fractional)
    .counted.value
  const extensors = tallyOnce(work, ['triceps'], COUNTING_SCHOOLS.fractional).counted.value
  const wish = ratioWishOf(context)
  const ratio = flexors > 0 ? extensors / flexors : null
  const flexorExcess = ratio ? wish / ratio - 1 : null
  return {
    flexors,
    extensors,
    ratio,
    wish,
    flexorExcess,
    verdict: verdictOf({ flexors, extensors, ratio, wish }, flexorExcess),
  }
}

function verdictOf(
  { flexors, extensors, ratio, wish }: Pick<ArmBalance, 'flexors' | 'extensors' | 'ratio' | 'wish'>,
  excess: number | null,
): ArmBalance['verdict'] {
  if (flexors === 0 && extensors === 0) return 'empty'
  if (ratio === null || excess === null) return 'outside'
  const toWish = ratio / wish
  if (toWish < QUIET[0] - SLACK || toWish > QUIET[1] + SLACK) return 'outside'
  return Math.abs(excess) <= LEVEL + SLACK ? 'level' : 'leaning'
}
