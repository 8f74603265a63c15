import type { Slot } from '../../plan/session'
import { unusualJump } from '../progress'
import { drawnAnew, drawnOn, namedAnew } from './drawn'
import { heldBack, withinLimit } from './heldBack'
import { type Case, caseOf, heaviestIn, type Known, type LoadBasis } from './loadCase'
import type { SlotLoads } from './reason'
import { keptInShape } from './spread'

/** How much more a load is than the last one under this aim, or under any where the aim is new; null where it is a usual step. */
function jumpOf(of: Case, last: number | undefined, load: number | undefined): number | null {
  const before = last ?? heaviestIn(of.own.at(-1), of)
  return before === undefined || load === undefined
    ? null
    : unusualJump(before, load, of.scale.grid)
}

/**
 * The load of every set of a slot on a day: one answer for phone, paper, log, board and forecast.
 *
 * Units:  the unit the plan names, else the client's; weights that can be loaded. Assistance is told as what is taken off.
 * Edge:   undefined where neither log nor plan says a number. A sore joint allows no more than last time; an absence beyond the
 *         plan, an easier rotation and the coach's wish come after it, in this order; her limit comes last.
 * Source: docs/methods.md#loads, #after-an-absence.
 */
export function slotLoads(slot: Slot, known: Known, basis: LoadBasis): SlotLoads | undefined {
  const of = caseOf(slot, known, basis)
  if (!of) return undefined
  const named = namedAnew(of)
  const drawn = (named ? undefined : drawnOn(of)) ?? drawnAnew(of, named ?? 'as_planned')
  if (!drawn) return undefined
  const free = heldBack(of, drawn)
  const { amounts: shaped, loss } = keptInShape(free.amounts, of)
  const held = withinLimit(of, { ...free, amounts: shaped })
  const { amounts } = held
  const { scale, shape } = of
  const reference = amounts[shape.reference]
  const said = (amount: number | undefined) =>
    amount === undefined ? null : scale.sign * amount + 0
  return {
    unit: scale.unit,
    sets: amounts.map((amount, at) => ({ amount: said(amount), target: held.targets[at] ?? null })),
    reference: shape.reference,
    shift:
      reference === undefined || shape.named === undefined
        ? 0
        : scale.sign * (reference - shape.named),
    reason: held.reason,
    from: held.from,
    jump: jumpOf(of, held.last, reference),
    loss,
  }
}
