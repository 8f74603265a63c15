import { type GroupingId, groupingId, remembered, type SlotId } from '../../base'
import { requireExercise } from '../catalogue'
import type { PlanContext } from '../method'
import type { Grouping, Session, Slot } from '../session'
import { isGripLimited, pairedReps, type PairRelation, pairRelation } from './pairing'
import { pairRests, sessionSeconds } from './timeline'

/** What doing exercises together costs the later one. */
export interface PartnerCost {
  readonly slot: SlotId
  readonly partner: SlotId
  readonly relation: PairRelation
  /** Expected reps against straight sets, 0 to 1. */ readonly reps: number
  readonly sharesGrip: boolean
}

/** What a grouping saves against straight sets, and what that costs. Units: seconds. */
export interface PairingEffect {
  readonly grouping: GroupingId
  readonly saved: number
  readonly costs: readonly PartnerCost[]
}

const SHARED_GRIP = 0.95

/** The same sets, each exercise by itself. */
export const straightSession = remembered((session: Session, _context: PlanContext): Session => ({
  ...session,
  groupings: session.groupings.flatMap(grouping => apart(grouping)),
}))

function apart(grouping: Grouping): readonly Grouping[] {
  if (grouping.slots.length === 1) return [grouping]
  return grouping.slots.map((slot, at): Grouping => ({
    id: groupingId(`${grouping.id}/${at}`),
    kind: 'straight',
    placement: grouping.placement,
    slots: [slot],
    ...(grouping.turn && { turn: grouping.turn }),
    ...(grouping.onlyIf !== undefined && { onlyIf: grouping.onlyIf }),
  }))
}

function costOf(slot: Slot, partner: Slot, grouping: Grouping, context: PlanContext): PartnerCost {
  const relation = pairRelation(partner, slot, context)
  const sharesGrip = [slot, partner].every(held =>
    isGripLimited(held, requireExercise(context.catalogue, held.exercise), context),
  )
  const reps = pairedReps(
    relation,
    grouping.kind,
    pairRests(grouping, context).after.seconds,
    grouping.slots.length,
  )
  return {
    slot: slot.id,
    partner: partner.id,
    relation,
    sharesGrip,
    reps: reps * (sharesGrip ? SHARED_GRIP : 1),
  }
}

/**
 * What each grouping that is done together saves and costs.
 *
 * Units:  seconds against the same sets straight; expected reps as a share. Counted sets stay the same.
 * Source: docs/methods.md#pairing.
 */
export function pairingEffects(session: Session, context: PlanContext): readonly PairingEffect[] {
  const now = sessionSeconds(session, context)
  return session.groupings.flatMap((grouping): PairingEffect[] => {
    if (grouping.kind === 'straight' || grouping.slots.length < 2) return []
    const straight = {
      ...session,
      groupings: session.groupings.flatMap(other =>
        other === grouping ? apart(grouping) : [other],
      ),
    }
    return [
      {
        grouping: grouping.id,
        saved: sessionSeconds(straight, context) - now,
        costs: grouping.slots.slice(1).flatMap((slot, at) => {
          const partner = grouping.slots[at]
          return partner ? [costOf(slot, partner, grouping, context)] : []
        }),
      },
    ]
  })
}
