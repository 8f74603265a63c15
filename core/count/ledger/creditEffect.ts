import { type Group, GROUPS } from '../../plan/catalogue'
import type { PlanContext } from '../../plan/method'
import type { Rotation } from '../../plan/rotation'
import { rotationLedger } from './rotationLedger'

/** What a change of credits does to one group over several clients. Units: counted sets per 7 days, after less before. */
export interface CreditEffect {
  readonly group: Group
  readonly clients: number
  /** The change nearest to zero and the one furthest from it; of one sign unless `isMixed`. */
  readonly least: number
  readonly most: number
  /** Some clients get more and some less. */
  readonly isMixed: boolean
}

interface Affected {
  readonly rotation: Rotation
  readonly before: PlanContext
  readonly after: PlanContext
}

/** Smaller changes are not seen on any screen. */
const SEEN_FROM = 0.05

/**
 * What changed credits, or a changed method, would do to the weekly sets of every client, group by group.
 *
 * Shape: groups that change for somebody, the largest change first.
 * Edge:  plans that do not use what changes are not counted.
 */
export function creditEffects(clients: readonly Affected[]): readonly CreditEffect[] {
  const ledgers = clients.map(({ rotation, before, after }) => ({
    before: rotationLedger(rotation, before),
    after: rotationLedger(rotation, after),
  }))
  const effects = GROUPS.flatMap((group): CreditEffect[] => {
    const changes = ledgers
      .map(
        ({ before, after }) =>
          after.groups[group].week.counted.value - before.groups[group].week.counted.value,
      )
      .filter(change => Math.abs(change) >= SEEN_FROM)
    const sorted = [...changes].sort((a, b) => Math.abs(a) - Math.abs(b))
    const [least] = sorted
    const most = sorted.at(-1)
    return least === undefined || most === undefined
      ? []
      : [
          {
            group,
            clients: changes.length,
            least,
            most,
            isMixed: changes.some(change => change > 0) && changes.some(change => change < 0),
          },
        ]
  })
  return effects.sort((a, b) => Math.abs(b.most) - Math.abs(a.most))
}
