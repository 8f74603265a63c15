import type { Method } from '../method'
import type { RotationDay } from '../rotation'
import type { Grouping, Slot } from '../session'
import { forAnotherClient } from '../scheme'
import { mapNonEmpty } from '../../base'
import type { BlockPlan } from './blockPlan'
import type { PlanDocument } from './planDocument'
import { usualSets } from './templates'

/** How a block goes on, without what belongs to dates, to one client, or to single exercises. */
const GOES_ALONG = ['ramps', 'effort', 'failure', 'repWave', 'deloads'] as const
export type CarriedBlock = Pick<BlockPlan, (typeof GOES_ALONG)[number]>

/** A plan that can be given to another client, or kept to be given to many. */
export interface CarriedPlan {
  readonly days: readonly RotationDay[]
  /** The method it was made by, and the sets of one exercise that are usual there. */
  readonly method: string
  readonly usualSets: number
  /** Rotations and how they differ; left out where only the rotation is carried. */
  readonly passes?: number
  readonly block?: CarriedBlock
}

export const CARRIED_PARTS = ['rotation', 'block'] as const
export type CarriedPart = (typeof CARRIED_PARTS)[number]

const slotForAnother = ({ isHeld: _, credits: _own, ...slot }: Slot): Slot => ({
  ...slot,
  scheme: forAnotherClient(slot.scheme),
})
const groupingForAnother = (grouping: Grouping): Grouping => ({
  ...grouping,
  slots: mapNonEmpty(grouping.slots, slotForAnother),
})

/**
 * What of a plan can be carried to another client: days, exercises, sets, and for a block how it goes on.
 *
 * Edge: weights, what is set for one body, credits of one client, held places, events, exceptions, turns and trials stay.
 */
export function carriedPlan(
  { rotation, passes, block = {} }: PlanDocument,
  method: Method,
  part: CarriedPart,
): CarriedPlan {
  return {
    days: rotation.days.map(day => ({
      ...day,
      sessions: day.sessions.map(session => ({
        ...session,
        groupings: session.groupings.map(groupingForAnother),
      })),
    })),
    method: method.id,
    usualSets: usualSets(method),
    ...(part === 'block' && {
      passes,
      block: Object.fromEntries(
        GOES_ALONG.flatMap(key => (block[key] === undefined ? [] : [[key, block[key]]])),
      ),
    }),
  }
}
