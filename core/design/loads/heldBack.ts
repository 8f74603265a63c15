import { mayGrow } from '../../body/joints'
import { directGroups } from '../../plan/catalogue'
import { intentFor } from '../../plan/method'
import { DELOAD, shareOfLoad, steppedLoad } from '../progress'
import { awayFor, NEW_START } from './away'
import { type Drawn, NO_TARGETS, spreadFrom } from './drawn'
import type { Case } from './loadCase'
import type { LoadReason } from './reason'

/** Everything at a share of what was lifted last. */
function lessened(of: Case, drawn: Drawn, share: number, reason: LoadReason): Drawn {
  const { scale } = of
  const base =
    drawn.last === undefined
      ? drawn.amounts
      : spreadFrom(of, drawn.last, drawn.before, drawn.last).map(
          (amount, at) => drawn.before[at] ?? amount,
        )
  return {
    ...drawn,
    amounts: base.map(amount =>
      amount === undefined ? undefined : shareOfLoad(amount, share, scale.grid, scale.body),
    ),
    targets: NO_TARGETS,
    reason,
  }
}

/** What holds a load back from where the rule has it: a sore joint, an absence, easier days; or a wish of the coach. */
export function heldBack(of: Case, drawn: Drawn): Drawn {
  const { slot, exercise, basis, scale } = of
  const { jointStress, credits } = intentFor(basis.context, exercise, slot.intent)
  if (drawn.from === 'plan' && of.exposures.length === 0) return drawn
  if (!mayGrow(jointStress, basis.context) && drawn.last !== undefined)
    return {
      ...drawn,
      amounts: drawn.amounts.map((amount, at) =>
        amount === undefined ? undefined : Math.min(amount, drawn.before[at] ?? drawn.last!),
      ),
      targets: NO_TARGETS,
      reason: { kind: 'sore' },
    }
  if (drawn.from === 'plan') return drawn
  const away = awayFor(exercise.id, directGroups(credits), {
    on: of.on,
    lastWorked: of.lastWorked,
    own: of.exposures,
    rotation: basis.rotation,
    context: basis.context,
  })
  if (away.share !== 1) return lessened(of, drawn, away.share, awayReason(away))
  if (of.isDeload) return lessened(of, drawn, DELOAD.load, { kind: 'easier' })
  if (of.step === undefined) return drawn
  const step = of.step
  return {
    ...drawn,
    amounts: drawn.amounts.map(amount =>
      amount === undefined ? undefined : steppedLoad(amount, step, scale.grid, scale.body),
    ),
    targets: NO_TARGETS,
    reason: { kind: 'step', step },
  }
}

function awayReason({ days, share, what }: ReturnType<typeof awayFor>): LoadReason {
  if (what === 'exercise') return { kind: 'left_out', days, share }
  return share === NEW_START ? { kind: 'new_start', days } : { kind: 'away', days, share }
}

/** No more than the coach's limit in any set; where it holds the reference back, it is the reason. */
export function withinLimit({ scale, shape }: Case, drawn: Drawn): Drawn {
  const { most } = scale
  if (drawn.amounts.every(amount => amount === undefined || amount <= most)) return drawn
  const isReference = (drawn.amounts[shape.reference] ?? 0) > most
  return {
    ...drawn,
    amounts: drawn.amounts.map(amount => (amount === undefined ? amount : Math.min(amount, most))),
    ...(isReference && { targets: NO_TARGETS, reason: { kind: 'most', most } }),
  }
}
