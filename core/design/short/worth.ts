import { entriesOf, recordOf } from '../../base'
import { type Group, GROUPS, requireExercise } from '../../plan/catalogue'
import type { RotationLedger } from '../../count/ledger'
import { type Band, intentFor, type Mode, modeOf, type PlanContext } from '../../plan/method'
import { plannedSets } from '../../plan/scheme'
import { type Session, sessionSlots, type Slot } from '../../plan/session'

/** What a group gets in seven days, and its band. Units: sets. */
export interface GroupWeek {
  readonly counted: number
  readonly band: Band
}

/** Weeks of all groups as the ledger has them. */
export function groupWeeks(ledger: RotationLedger): Readonly<Record<Group, GroupWeek>> {
  return recordOf(GROUPS, group => ({
    counted: ledger.groups[group].week.counted.value,
    band: ledger.groups[group].band,
  }))
}

/** How much a group's sets matter, by its mode; rules of thumb. Source: docs/methods.md#short-sessions. */
const PRIORITY: Readonly<Record<Mode, number>> = { build: 1.5, keep: 1, maintain: 0.5 }
const NEED = { underFloor: 1.5, inBand: 1, pastTarget: 0.5 } as const
const SLACK = 1e-9

function creditsOf(slot: Slot, context: PlanContext) {
  return (
    slot.credits ??
    intentFor(context, requireExercise(context.catalogue, slot.exercise), slot.intent).credits
  )
}

/** Groups a slot trains with their credits. */
export function slotCredits(
  slot: Slot,
  context: PlanContext,
): readonly (readonly [Group, number])[] {
  return entriesOf(creditsOf(slot, context))
}

/** Worth of one set by credits and priorities alone. */
export function setWorth(slot: Slot, context: PlanContext): number {
  return slotCredits(slot, context).reduce(
    (sum, [group, credit]) => sum + PRIORITY[modeOf(context, group)] * credit,
    0,
  )
}

/** Worth of one set to a week from which sets may have been taken already; what falls under its floor is worth more, what is past its target less. */
export function setWorthInWeek(
  slot: Slot,
  context: PlanContext,
  weeks: Readonly<Record<Group, GroupWeek>>,
  lengthDays: number,
  removed: ReadonlyMap<Group, number>,
): number {
  return slotCredits(slot, context).reduce((sum, [group, credit]) => {
    const { counted, band } = weeks[group]
    const now = counted - (removed.get(group) ?? 0)
    const after = now - (credit * 7) / lengthDays
    const need =
      after < band.floor - SLACK
        ? NEED.underFloor
        : now > band.target + SLACK
          ? NEED.pastTarget
          : NEED.inBand
    return sum + PRIORITY[modeOf(context, group)] * credit * need
  }, 0)
}

/** Worth of a whole session's sets by credits and priorities. */
export function sessionWorth(session: Session, context: PlanContext): number {
  return sessionSlots(session).reduce(
    (sum, slot) => sum + plannedSets(slot.scheme) * setWorth(slot, context),
    0,
  )
}
