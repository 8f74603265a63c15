import { failure, isoWeekday, type Result, success } from '../../base'
import {
  type BlockPlan,
  type EditProblem,
  passDates,
  type PlanDocument,
  withOneOff,
} from '../../plan/block'
import { isAlike } from '../../plan/scheme'
import type { Session } from '../../plan/session'
import type { BlockPass } from './expand'

/** What stays of a block's terms when one rotation stands by itself: days away, and how loads go up. */
function termsAlone({ events = [], rules }: BlockPlan): BlockPlan {
  const away = events.filter(({ effect }) => effect === 'shift')
  return { ...(away.length > 0 && { events: away }), ...(rules && { rules }) }
}

/**
 * One rotation of a block as a plan of its own, to be looked at and changed like any: its dates, and its sessions as they will be done.
 *
 * Edge: what is left out of the rotation is not in it; what was said for single dates is part of its sessions.
 */
export function passAlone(plan: PlanDocument, pass: BlockPass): PlanDocument {
  const { block = {}, oneOffs: _, ...rest } = plan
  const own = ownDatesIn(plan, pass.at)
  const { anchor } = plan.rotation
  const terms = termsAlone(block)
  return {
    ...rest,
    startsOn: pass.from,
    passes: 1,
    rotation: {
      ...pass.rotation,
      anchor: anchor.kind === 'weekday' ? { ...anchor, startsOn: isoWeekday(pass.from) } : anchor,
    },
    ...(Object.keys(terms).length > 0 && { block: terms }),
    ...(own.length > 0 && { oneOffs: own }),
  }
}

const frameOf = ({
  rotation: { days, ...frame },
  startsOn,
  passes,
  block,
  title,
}: PlanDocument) => [
  { ...frame, days: days.map(({ sessions, ...day }) => [day, sessions.map(({ id }) => id)]) },
  ...[startsOn, passes, block ?? {}, title],
]

/** Sessions that are another now, with the day they are on. */
function changedSessions(before: PlanDocument, after: PlanDocument) {
  return after.rotation.days.flatMap(({ sessions }, day) =>
    sessions.flatMap((content, at): { readonly day: number; readonly content: Session }[] => {
      const was = before.rotation.days[day]?.sessions[at]
      return isAlike(was, content) ? [] : [{ day, content }]
    }),
  )
}

/**
 * A plan with what was changed in one of its rotations: each session that is another now is so on its date alone.
 *
 * Shape:  a new document whose rotation is the same; notes, versions and dismissed findings are taken over as they are.
 * Errors: `one_rotation` where days or sessions were added, moved or taken out, or the block's own terms were changed.
 */
export function passTaken(
  plan: PlanDocument,
  pass: BlockPass,
  after: PlanDocument,
): Result<PlanDocument, EditProblem> {
  const before = passAlone(plan, pass)
  if (!isAlike(frameOf(before), frameOf(after))) return failure({ kind: 'one_rotation' })
  const { rotation: _, block: _block, oneOffs = [], ...beside } = after
  const { rotation, block: own, oneOffs: known = [] } = plan
  const gone = (before.oneOffs ?? []).filter(one => !oneOffs.some(other => isAlike(one, other)))
  const left = known.filter(one => !gone.includes(one))
  const whole: PlanDocument = {
    ...beside,
    rotation,
    startsOn: plan.startsOn,
    passes: plan.passes,
    ...(own && { block: own }),
    ...(left.length > 0 && { oneOffs: left }),
  }
  const dates = passDates(plan)[pass.at] ?? []
  const changed = changedSessions(before, after).map(({ day, content }) => ({
    on: dates[day] ?? pass.from,
    session: content.id,
    reason: 'other' as const,
    content,
  }))
  const written = oneOffs.filter(one => !known.includes(one))
  return success([...written, ...changed].reduce(withOneOff, whole))
}

/** Dates of a rotation on which a session is done otherwise than the block has it, by what was written for them. */
export function ownDatesIn({ oneOffs = [], ...plan }: PlanDocument, pass: number) {
  const dates = new Set(passDates(plan)[pass])
  return oneOffs.filter(({ on }) => dates.has(on))
}
