import {
  ARM_GROUPS,
  directGroups,
  type Group,
  GROUPS,
  requireExercise,
  ELBOW_JOINTS,
} from '../../plan/catalogue'
import type { PlanDocument } from '../../plan/block'
import { rotationLedger } from '../../count/ledger'
import { bandOf, intentFor, modeOf, type PlanContext } from '../../plan/method'
import { plannedSets } from '../../plan/scheme'
import { type SlotId, DAYS_PER_WEEK } from '../../base'

const GROWTH_ALLOWED = 1.1
const SHARE_OF_ADDED = 0.5
const KEEP_SHARE = 0.8
const LEAST_SHARE = 3

/** Counted sets per 7 days that should go elsewhere when so many are added to some muscles. Source: docs/methods.md#block; example P21. */
export function setsToRemove(before: number, added: number): number {
  return Math.ceil(
    Math.max(0, before + added - GROWTH_ALLOWED * before, SHARE_OF_ADDED * added) - 1e-9,
  )
}

/** How few sets per 7 days a muscle may go down to for others. Source: docs/methods.md#block; example P22. */
export function leastDose(
  mode: 'keep' | 'maintain',
  current: number,
  { floor, target }: { readonly floor: number; readonly target: number },
): number {
  return mode === 'maintain'
    ? Math.max(floor, Math.ceil(current / LEAST_SHARE))
    : Math.max(floor, target * KEEP_SHARE)
}

/** Sets of one exercise that could go, for one muscle. */
export interface ProposedCut {
  readonly slot: SlotId
  readonly exercise: string
  readonly day: number
  readonly group: Group
  readonly sets: number
}

export interface Trade {
  /** Sets per 7 days that come to the muscles that are built up, over the whole block. */
  readonly added: number
  readonly toRemove: number
  readonly cuts: readonly ProposedCut[]
  /** Sets per 7 days that nothing could be found for. */
  readonly left: number
}

interface Candidate {
  readonly slot: SlotId
  readonly exercise: string
  readonly day: number
  readonly at: number
  readonly group: Group
  readonly stress: number
  sets: number
}

/**
 * What could be done less of, so that some muscles can be done more of: down to maintenance doses, least needed first.
 *
 * Units:  counted sets per 7 days; cuts are whole sets of the rotation.
 * Edge:   exercises held fixed stay, and each keeps a set; what cannot be found is told.
 * Source: docs/methods.md#block; examples P21 and P22.
 */
export function specialisation(
  { rotation }: PlanDocument,
  context: PlanContext,
  added: number,
): Trade {
  const ledger = rotationLedger(rotation, context)
  const scale = DAYS_PER_WEEK / rotation.days.length
  const before = GROUPS.reduce((sum, group) => sum + ledger.groups[group].week.counted.value, 0)
  const toRemove = added > 0 ? setsToRemove(before, added) : 0
  const room = new Map<Group, number>()
  for (const group of GROUPS) {
    const mode = modeOf(context, group)
    if (mode === 'build' || (ARM_GROUPS as readonly Group[]).includes(group)) continue
    const current = ledger.groups[group].week.counted.value
    room.set(group, current - leastDose(mode, current, bandOf(context, group)))
  }
  const candidates = rotation.days.flatMap(({ sessions }, day) =>
    sessions.flatMap(({ groupings }) =>
      groupings.flatMap(({ slots, placement }) =>
        slots.flatMap((slot, at): Candidate[] => {
          const intent = intentFor(
            context,
            requireExercise(context.catalogue, slot.exercise),
            slot.intent,
          )
          const [group] = directGroups(slot.credits ?? intent.credits)
          if (!group || slot.isHeld || placement === 'warmup' || !room.has(group)) return []
          return [
            {
              slot: slot.id,
              exercise: slot.exercise,
              day,
              at,
              group,
              stress: ELBOW_JOINTS.reduce<number>(
                (sum, joint) => sum + intent.jointStress[joint],
                0,
              ),
              sets: plannedSets(slot.scheme),
            },
          ]
        }),
      ),
    ),
  )
  const taken = new Map<Candidate, number>()
  const modeRank = ({ group }: Candidate) => (modeOf(context, group) === 'maintain' ? 0 : 1)
  let left = toRemove
  while (left > 1e-9) {
    const [next] = candidates
      .filter(({ group, sets }) => sets > 1 && (room.get(group) ?? 0) >= scale - 1e-9)
      .sort(
        (a, b) =>
          modeRank(a) - modeRank(b) ||
          b.stress - a.stress ||
          (room.get(b.group) ?? 0) - (room.get(a.group) ?? 0) ||
          b.day - a.day ||
          b.at - a.at,
      )
    if (!next) break
    next.sets -= 1
    room.set(next.group, (room.get(next.group) ?? 0) - scale)
    taken.set(next, (taken.get(next) ?? 0) + 1)
    left -= scale
  }
  return {
    added,
    toRemove,
    left: Math.max(0, left),
    cuts: [...taken].map(([{ slot, exercise, day, group }, sets]) => ({
      slot,
      exercise,
      day,
      group,
      sets,
    })),
  }
}
