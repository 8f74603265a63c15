import { ARM_GROUPS, type Group } from '../../plan/catalogue'
import { type PlanDocument, withException } from '../../plan/block'
import type { PlanContext } from '../../plan/method'
import { rotationLedger } from '../../count/ledger'
import { expandedBlock } from '../../design/progress'
import { isOverLimit, type Seam, SEAM_LIMITS } from './atSeam'
import { type SeasonLine, seam } from './season'

/** Sets of a muscle that a block begins below its own first rotation. */
export interface Cut {
  readonly group: Group
  readonly sets: number
}

/** A block that begins lower and steps up, so that what grows too much at its seam no longer does. */
export interface SoftStart {
  readonly cuts: readonly Cut[]
  readonly plan: PlanDocument
  readonly before: Seam
  readonly after: Seam
  /** Whether something still grows past its limit. */
  readonly isEnough: boolean
}

/** Rounding of counted sets. */
const SLACK = 1e-6
/** More than this is no softer beginning but another block. */
const MOST_CUT = 8
/** Rotations of the block that are laid out while searching. */
const LOOKED_AT = 2

/** How far everything at a seam is past its limit, as a sum of shares; 0 where nothing is. */
function excess({ jumps, joints }: Seam): number {
  const past = (limit: number) => (sum: number, one: { before: number; after: number }) =>
    sum + (isOverLimit(one, limit) ? one.after / one.before - limit : 0)
  return jumps.reduce(past(SEAM_LIMITS.jump), 0) + joints.reduce(past(SEAM_LIMITS.joint), 0)
}

/**
 * The plan with the cuts in its first working rotation, and one set of each less in every rotation after it; a rotation that
 * has fewer than the first by itself is left alone.
 */
function steppedUp(plan: PlanDocument, cuts: readonly Cut[], context: PlanContext): PlanDocument {
  const working = expandedBlock(plan, context).passes.filter(({ isDeload }) => !isDeload)
  const weekly = (at: number, group: Group) =>
    rotationLedger(working[at]!.rotation, context).groups[group].week.counted.value
  const block = cuts.reduce(
    (all, { group, sets }) =>
      working.slice(0, sets).reduce((own, { at }, step) => {
        if (weekly(step, group) < weekly(0, group) - SLACK) return own
        const known = own.exceptions?.find(
          one => one.kind === 'sets' && one.pass === at && one.group === group,
        )
        const change = (known?.kind === 'sets' ? known.change : 0) - (sets - step)
        return withException(own, { kind: 'sets', pass: at, group, change })
      }, all),
    plan.block ?? {},
  )
  return { ...plan, block }
}

/**
 * The fewest sets that a block has to begin below its plan so that no muscle's sets and no joint's load jump past their
 * limits where it follows another; found one set at a time, each where it helps most.
 *
 * Shape:  null where nothing is past a limit, or no set taken out helps.
 * Units:  sets in the first working rotation; each rotation after it has one of them more.
 * Source: docs/methods.md#season.
 */
export function softStart(
  before: SeasonLine,
  after: SeasonLine,
  context: PlanContext,
  earlier?: PlanDocument,
): SoftStart | null {
  const first = seam(before, after, context, earlier)
  let best = { cuts: [] as readonly Cut[], seam: first }
  // Only the beginning is looked at while searching: what comes after it changes nothing there.
  const start = { ...after.plan, passes: Math.min(after.plan.passes, LOOKED_AT) }
  for (let taken = 0; taken < MOST_CUT * ARM_GROUPS.length && excess(best.seam) > 0; taken++) {
    const next = ARM_GROUPS.flatMap(group => {
      const known = best.cuts.find(one => one.group === group)?.sets ?? 0
      if (known >= MOST_CUT) return []
      const cuts = [...best.cuts.filter(one => one.group !== group), { group, sets: known + 1 }]
      const plan = steppedUp(start, cuts, context)
      return [{ cuts, seam: seam(before, { ...after, plan }, context, earlier) }]
    }).reduce((one, other) => (excess(other.seam) < excess(one.seam) ? other : one), best)
    if (next === best) break
    best = next
  }
  if (best.cuts.length === 0) return null
  const plan = steppedUp(after.plan, best.cuts, context)
  const softened = seam(before, { ...after, plan }, context, earlier)
  return {
    cuts: best.cuts,
    plan,
    before: first,
    after: softened,
    isEnough: excess(softened) === 0,
  }
}
