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
/** Ratios that are nobody's business; outside them the board speaks up. Source: docs/methods.md#ratio. */
const QUIET: readonly [number, number] = [0.85, 1.4]

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
    verdict: verdictOf(flexors, extensors, ratio, flexorExcess),
  }
}

function verdictOf(
  flexors: number,
  extensors: number,
  ratio: number | null,
  excess: number | null,
): ArmBalance['verdict'] {
  if (flexors === 0 && extensors === 0) return 'empty'
  if (ratio === null || excess === null || ratio < QUIET[0] || ratio > QUIET[1]) return 'outside'
  return Math.abs(excess) <= LEVEL ? 'level' : 'leaning'
}
