import { isoWeekday, type PlainDate, type SlotId } from '../../base'
import {
  type Alternation,
  type BlockPlan,
  copiedSession,
  findSlot,
  heldIn,
  type PlanDocument,
  trialEnd,
  withPart,
} from '../../plan/block'
import type { Phase, PlanContext } from '../../plan/method'
import { type Session, sessionSlots, type Slot } from '../../plan/session'
import { expandedBlock } from './expand'
import { passesFor, usualBlock } from './usualBlock'

export interface NextBlockTerms {
  readonly title: string
  readonly startsOn: PlainDate
  readonly weeks: number
  /** Which rotation it begins with. */ readonly from: 'first' | 'last'
  readonly newId: () => string
}

/** The phase the next block goes on in: that of the block before, unless its day has come by then. Source: docs/methods.md#phases. */
export const phaseGoingOn = ({ phase }: PlanDocument, startsOn: PlainDate): Phase | null =>
  phase && (phase.on ?? startsOn) >= startsOn ? phase : null

/** The first rotation with what was decided for good since: it is how the rotation is by now. */
function firstDays(plan: PlanDocument, context: PlanContext) {
  const changes = heldIn(plan.block ?? {}, plan.passes - 1)
  if (changes.length === 0) return undefined
  const block = { changes: changes.map(({ to: _, ...change }) => ({ ...change, from: 0 })) }
  return expandedBlock({ ...plan, block }, context).passes[0]?.rotation.days
}

/** A block whose exercises are held as the rotation has them: where the same one takes turns with itself, the first way goes on. */
function asHeldFirst(plan: PlanDocument): PlanDocument {
  const { alternations = [] } = plan.block ?? {}
  const others = alternations.filter(
    ({ slot, exercise }) => findSlot(plan, slot)?.slot.exercise !== exercise,
  )
  if (others.length === alternations.length) return plan
  return { ...plan, block: withPart(plan.block ?? {}, 'alternations', others) }
}
const withoutManner = ({ as: _, ...alternation }: Alternation): Alternation => alternation

/**
 * The plan of the block after one: its rotation with new identities, ramps and effort as the client's method and new priorities have them.
 *
 * Edge: the coach's closing notes go along as what she took from the last block; exercises that take turns, load rules, ways, changes that hold and trials that still run carry over; events, exceptions and what was said for single dates do not.
 */
export function nextBlock(
  plan: PlanDocument,
  context: PlanContext,
  { title, startsOn, weeks, from, newId }: NextBlockTerms,
): PlanDocument {
  const working = expandedBlock(asHeldFirst(plan), context).passes.filter(
    ({ isDeload }) => !isDeload,
  )
  const days =
    (from === 'last' ? working.at(-1)?.rotation.days : firstDays(plan, context)) ??
    plan.rotation.days
  const { anchor } = plan.rotation
  const copies = new Map<SlotId, Slot>()
  const copied = (session: Session): Session => {
    const copy = copiedSession(session, newId)
    const after = sessionSlots(copy)
    sessionSlots(session).forEach(({ id }, at) => after[at] && copies.set(id, after[at]))
    return copy
  }
  const rotation = {
    ...plan.rotation,
    anchor:
      anchor.kind === 'weekday'
        ? { kind: 'weekday' as const, startsOn: isoWeekday(startsOn) }
        : anchor,
    days: days.map(day => ({ ...day, sessions: day.sessions.map(copied) })),
  }
  // Where the other of two exercises stands in the rotation now, the first is the other from here on.
  const alternations = (plan.block?.alternations ?? []).flatMap((alternation): Alternation[] => {
    const [before, after] = [findSlot(plan, alternation.slot)?.slot, copies.get(alternation.slot)]
    if (!before || !after) return []
    return [
      after.exercise === alternation.exercise && before.exercise !== alternation.exercise
        ? {
            ...withoutManner(alternation),
            slot: after.id,
            exercise: before.exercise,
            intent: before.intent,
          }
        : { ...alternation, slot: after.id },
    ]
  })
  const { rules, ways, trials = [] } = plan.block ?? {}
  const running = trials.filter(trial => trialEnd(trial) >= startsOn)
  // A load that stays because of a way stays with it.
  const kept = [
    ['rules', rules],
    ['ways', ways],
    ['trials', running],
    ['alternations', alternations],
  ] as const
  const begun: PlanDocument = {
    schema: plan.schema,
    title,
    startsOn,
    passes: passesFor(weeks, rotation.days.length),
    rotation,
    block: kept.reduce<BlockPlan>((block, [key, value]) => withPart(block, key, value), {}),
    ...(plan.madeFrom && { madeFrom: plan.madeFrom }),
    ...(plan.closingNotes && { fromLast: plan.closingNotes }),
  }
  const block = usualBlock(begun, context)
  const { block: _, ...bare } = begun
  return Object.keys(block).length > 0 ? { ...bare, block } : bare
}
