import { DAYS_PER_WEEK, daysBetween, remembered } from '../../base'
import { type PlanDocument, planEnd, withPart } from '../../plan/block'
import { GROUPS } from '../../plan/catalogue'
import type { PlanContext } from '../../plan/method'
import { ownContext } from './carried'
import { nextBlock } from './nextBlock'

/** Ids of a draft's exercises: the same ones each time it is fitted, so that what was reckoned of it is found again. */
const idsInARow = (): (() => string) => {
  let next = 0
  return () => `draft-${next++}`
}

/** A method without ramps still gets to what was asked for, evenly. */
const rampKind = ({ method }: PlanContext) =>
  method.progress.setRamp === 'none' ? ('linear' as const) : method.progress.setRamp

function asDecided(plan: PlanDocument, draft: PlanDocument, context: PlanContext): PlanDocument {
  const ends = draft.draft?.ends ?? {}
  const asked = GROUPS.flatMap(group => {
    const end = ends[group]
    return end === undefined ? [] : [[group, { kind: rampKind(context), end }] as const]
  })
  const weeks = draft.draft?.baseWeeks
  const based = weeks ? withPart(plan.block ?? {}, 'base', { weeks }) : plan.block
  if (asked.length === 0) return based === plan.block ? plan : { ...plan, block: based ?? {} }
  const ramps = { ...based?.ramps, ...Object.fromEntries(asked) }
  return { ...plan, block: withPart(based ?? {}, 'ramps', ramps) }
}

/**
 * A draft laid out: the exercises of the block before, with the draft's own days, emphasis and volumes.
 *
 * Edge:   no longer than its days, whatever the length of the rotation before is; still marked as a draft.
 * Source: docs/methods.md#season.
 */
export function fittedDraft(
  before: PlanDocument,
  draft: PlanDocument,
  context: PlanContext,
  newId: () => string = idsInARow(),
): PlanDocument {
  const days = daysBetween(draft.startsOn, planEnd(draft)) + 1
  const own = ownContext(draft, context)
  const next = nextBlock(before, own, {
    title: draft.title,
    startsOn: draft.startsOn,
    weeks:
      (Math.max(1, Math.floor(days / before.rotation.days.length)) * before.rotation.days.length) /
      DAYS_PER_WEEK,
    from: 'first',
    newId,
  })
  return {
    ...asDecided(next, draft, own),
    ...(draft.emphasis && { emphasis: draft.emphasis }),
    ...(draft.phase && { phase: draft.phase }),
    draft: draft.draft ?? {},
  }
}

const known = remembered(
  (_before: PlanDocument, _draft: PlanDocument) => new WeakMap<PlanContext, PlanDocument>(),
)

/** A client's blocks in the order of their days, each draft fitted from the block before it; the first one stays as it is. */
export function fittedLine<Held extends { readonly plan: PlanDocument }>(
  line: readonly Held[],
  context: PlanContext,
): readonly Held[] {
  const inOrder = [...line].sort((a, b) => (a.plan.startsOn < b.plan.startsOn ? -1 : 1))
  return inOrder.reduce<readonly Held[]>((done, held) => {
    const before = done.at(-1)?.plan
    if (!held.plan.draft || !before) return [...done, held]
    const fits = known(before, held.plan)
    const plan = fits.get(context) ?? fittedDraft(before, held.plan, context)
    fits.set(context, plan)
    return [...done, { ...held, plan }]
  }, [])
}
