import { isAhead } from '../../body/log'
import type { PlainDate } from '../../base'
import { type Group, GROUPS } from '../../plan/catalogue'
import { type Band, bandOf, type PlanContext } from '../../plan/method'
import { blockVerdict, type ExpandedBlock, passContext } from '../../design/progress'
import { doneLedger } from './passReview'
import type { SessionOutcome } from './reviewed'
import { rotationLedger } from '../../count/ledger'

/** A muscle in one rotation. Units: counted sets per 7 days. */
export interface CourseRow {
  readonly pass: number
  readonly from: PlainDate
  readonly group: Group
  readonly planned: number
  readonly done: number
  readonly band: Band
  readonly isDeload: boolean
}
/** How ready a muscle came to an exposure, by the model. Units: percent. */
export interface CourseArrival {
  readonly on: PlainDate
  readonly group: Group
  readonly readiness: number
  readonly required: number
}

/**
 * The block so far: what was planned and done of each muscle, rotation by rotation, and how ready it came to its sessions.
 *
 * Shape: rotations of which anything is behind, muscles in the order of groups, those without sets left out.
 */
export function blockCourse(
  expanded: ExpandedBlock,
  outcomes: ReadonlyMap<number, readonly SessionOutcome[]>,
  context: PlanContext,
): { readonly volume: readonly CourseRow[]; readonly readiness: readonly CourseArrival[] } {
  const behind = expanded.passes.filter(({ at }) =>
    outcomes.get(at)?.some(({ state }) => !isAhead(state)),
  )
  const volume = behind.flatMap(pass => {
    const own = passContext(context, pass)
    const planned = rotationLedger(pass.rotation, own)
    const done = doneLedger(pass, outcomes.get(pass.at) ?? [], context)
    return GROUPS.map((group): CourseRow => ({
      pass: pass.at,
      from: pass.from,
      group,
      planned: planned.groups[group].week.counted.value,
      done: done.groups[group].week.counted.value,
      band: bandOf(own, group),
      isDeload: pass.isDeload,
    })).filter(row => row.planned > 0 || row.done > 0)
  })
  const last = behind.at(-1)?.to
  const verdict = blockVerdict(expanded, context)
  const readiness = GROUPS.flatMap(group =>
    verdict.arrivals[group]
      .filter(({ on, role }) => role !== 'indirect' && last !== undefined && on <= last)
      .map(({ on, readiness: percent, required }): CourseArrival => ({
        on,
        group,
        readiness: percent,
        required,
      })),
  )
  return { volume, readiness }
}
