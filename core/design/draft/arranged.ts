import { groupingId } from '../../base'
import {
  ARM_GROUPS,
  directGroups,
  type Exercise,
  type Group,
  requireExercise,
} from '../../plan/catalogue'
import { intentFor, modeOf, type PlanContext } from '../../plan/method'
import { pairRelation } from '../../plan/minutes'
import type { Grouping, Session, Slot } from '../../plan/session'

/** Where an exercise stands in a session: what takes most first, what spends the grip or the trunk last. */
const RANK = { compound: 1, built: 2, other: 3, forearms: 4, trunk: 5 } as const

const exerciseOf = ({ slots: [first] }: Grouping, { catalogue }: PlanContext): Exercise =>
  requireExercise(catalogue, first.exercise)

function mainOf(slot: Slot, exercise: Exercise, context: PlanContext): Group | undefined {
  return directGroups(slot.credits ?? intentFor(context, exercise, slot.intent).credits)[0]
}

function rankOf(grouping: Grouping, context: PlanContext): number {
  const exercise = exerciseOf(grouping, context)
  const main = mainOf(grouping.slots[0], exercise, context)
  if (exercise.kind === 'compound') return RANK.compound
  if (main === 'abs' || main === 'lower_back') return RANK.trunk
  if (main === 'forearms') return RANK.forearms
  return main && modeOf(context, main) === 'build' ? RANK.built : RANK.other
}

/** A light exercise for the muscle of the first compound before it, where the method begins so. */
function withPrimer(groupings: readonly Grouping[], context: PlanContext): readonly Grouping[] {
  const [first] = groupings
  if (context.method.order.first !== 'primer' || !first) return groupings
  const main = mainOf(first.slots[0], exerciseOf(first, context), context)
  const primer = groupings.find(
    grouping =>
      grouping !== first &&
      exerciseOf(grouping, context).kind === 'isolation' &&
      mainOf(grouping.slots[0], exerciseOf(grouping, context), context) === main,
  )
  return primer ? [primer, ...groupings.filter(grouping => grouping !== primer)] : groupings
}

const isArmIsolation = (grouping: Grouping, context: PlanContext): boolean => {
  const exercise = exerciseOf(grouping, context)
  const main = mainOf(grouping.slots[0], exercise, context)
  return (
    grouping.slots.length === 1 &&
    exercise.kind === 'isolation' &&
    main !== undefined &&
    (ARM_GROUPS as readonly Group[]).includes(main)
  )
}

/** Single-joint arm work that faces each other, side by side or in turn as the method pairs it. */
function paired(
  groupings: readonly Grouping[],
  context: PlanContext,
  newId: () => string,
): readonly Grouping[] {
  const { mode } = context.method.pairing
  if (mode === 'straight') return groupings
  const taken = new Set<Grouping>()
  return groupings.flatMap((grouping): Grouping[] => {
    if (taken.has(grouping)) return []
    const partner = isArmIsolation(grouping, context)
      ? groupings.find(
          other =>
            other !== grouping &&
            !taken.has(other) &&
            isArmIsolation(other, context) &&
            pairRelation(grouping.slots[0], other.slots[0], context) === 'opposite',
        )
      : undefined
    taken.add(grouping)
    if (!partner) return [grouping]
    taken.add(partner)
    const slots = [grouping.slots[0], partner.slots[0]] as const
    return [{ ...grouping, id: groupingId(newId()), kind: mode, slots }]
  })
}

/** A session with what takes most first, as the method begins it; grip and trunk last. */
export function ranked(session: Session, context: PlanContext): Session {
  const inOrder = session.groupings
    .map((grouping, at) => ({ grouping, at, rank: rankOf(grouping, context) }))
    .sort((a, b) => a.rank - b.rank || a.at - b.at)
    .map(({ grouping }) => grouping)
  return { ...session, groupings: withPrimer(inOrder, context) }
}

/** A session with its single-joint arm work in pairs, as the method has them. */
export const inArmPairs = (
  session: Session,
  context: PlanContext,
  newId: () => string,
): Session => ({ ...session, groupings: paired(session.groupings, context, newId) })
