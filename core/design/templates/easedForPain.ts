import { mapNonEmpty } from '../../base'
import { type Joint, JOINTS, requireExercise } from '../../plan/catalogue'
import { type JointLoads, jointLoads, painCeiling } from '../../body/joints'
import { countedWorkOfDay } from '../../count/ledger'
import { intentFor, type PlanContext } from '../../plan/method'
import type { Rotation } from '../../plan/rotation'
import { plannedSets, splitSets } from '../../plan/scheme'
import { type Session, sessionSlots, type Slot } from '../../plan/session'

const SLACK = 1e-6

const loadsOf = (session: Session, context: PlanContext): JointLoads =>
  jointLoads(countedWorkOfDay({ role: 'open', sessions: [session] }, context), context)

/**
 * What each joint bears now at the place where a session is to stand: as the session that goes does, nothing where none
 * stands there. Undefined for a rotation that holds no session yet: there is nothing to compare with.
 */
export function bearingAt(
  rotation: Rotation,
  replaced: Session | null,
  context: PlanContext,
): JointLoads | undefined {
  const isEmpty = rotation.days.every(({ sessions }) => sessions.length === 0)
  if (isEmpty) return undefined
  return loadsOf(replaced ?? { ...rotation.days[0]!.sessions[0]!, groupings: [] }, context)
}

/** The joint that bears most beyond what its reports leave it. */
function overborne(session: Session, now: JointLoads, context: PlanContext): Joint | undefined {
  const loads = loadsOf(session, context)
  return JOINTS.find(joint => loads[joint] > painCeiling(joint, now[joint], context) + SLACK)
}

function withoutOneSet(session: Session, slot: Slot): Session {
  const isWhole = plannedSets(slot.scheme) <= 1
  return {
    ...session,
    groupings: session.groupings.flatMap(grouping => {
      if (!grouping.slots.includes(slot)) return [grouping]
      if (!isWhole)
        return [
          {
            ...grouping,
            slots: mapNonEmpty(grouping.slots, held =>
              held === slot ? { ...slot, scheme: splitSets(slot.scheme, 1).kept } : held,
            ),
          },
        ]
      const [first, ...others] = grouping.slots.filter(held => held !== slot)
      return first
        ? [
            {
              ...grouping,
              kind: others.length > 0 ? grouping.kind : 'straight',
              slots: [first, ...others],
            },
          ]
        : []
    }),
  }
}

/**
 * A session of which no sore joint bears more than its reports leave of what it bears now: one set after the other goes,
 * from the exercise that stresses the joint most, from the last of several.
 *
 * Shape:  `eased` are the joints that sets went for; the session itself where none did.
 * Source: docs/methods.md#pain.
 */
export function easedForPain(
  session: Session,
  now: JointLoads | undefined,
  context: PlanContext,
): { readonly session: Session; readonly eased: readonly Joint[] } {
  const eased = new Set<Joint>()
  let held = session
  const stressOf = (slot: Slot, joint: Joint) =>
    intentFor(context, requireExercise(context.catalogue, slot.exercise), slot.intent).jointStress[
      joint
    ]
  for (;;) {
    const joint = now && overborne(held, now, context)
    if (!joint) return { session: held, eased: [...eased] }
    const slot = sessionSlots(held)
      .filter(one => stressOf(one, joint) > 0)
      .reduce<Slot | undefined>(
        (worst, one) => (worst && stressOf(worst, joint) > stressOf(one, joint) ? worst : one),
        undefined,
      )
    if (!slot) return { session: held, eased: [...eased] }
    held = withoutOneSet(held, slot)
    eased.add(joint)
  }
}
