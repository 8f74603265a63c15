import type { RotationDay } from '../rotation'
import { isAlike } from '../scheme'
import type { OneOff, PlanDocument } from './planDocument'

/** Two changes of one plan laid together, or the days (from 0) that both have changed differently. */
export type MergeOutcome =
  | { readonly kind: 'merged'; readonly plan: PlanDocument }
  | { readonly kind: 'both_changed'; readonly days: readonly number[] }

/**
 * Lays two changes of the same plan together: what only one of them has touched is taken from that one.
 *
 * Edge:  a changed length is one change of all days; days both changed alike are no conflict; title, dates and the like
 *        are taken from whoever changed them, and from mine where both did.
 */
export function mergedPlans(
  base: PlanDocument,
  mine: PlanDocument,
  theirs: PlanDocument,
): MergeOutcome {
  const lengths = new Set([base, mine, theirs].map(({ rotation }) => rotation.days.length))
  if (lengths.size > 1) return wholeRotation(base, mine, theirs)
  const dates = mergedOneOffs(base, mine, theirs)
  const clashes: number[] = [...dates.clashes]
  const days = base.rotation.days.map((before, at): RotationDay => {
    const [own, other] = [mine.rotation.days[at] ?? before, theirs.rotation.days[at] ?? before]
    if (isAlike(own, other) || isAlike(other, before)) return own
    if (isAlike(own, before)) return other
    clashes.push(at)
    return own
  })
  return clashes.length > 0
    ? { kind: 'both_changed', days: [...new Set(clashes)].sort((a, b) => a - b) }
    : {
        kind: 'merged',
        plan: {
          ...withOneOffs(rest(base, mine, theirs), dates.oneOffs),
          rotation: { ...rotationRest(base, mine, theirs), days },
        },
      }
}

const dateOf = ({ session, on }: OneOff) => `${on} ${session}`

const datesOf = ({ oneOffs = [] }: PlanDocument) => new Map(oneOffs.map(one => [dateOf(one), one]))

/** Sessions on single dates, date by date like days; one that both changed otherwise is a clash of its day. */
function mergedOneOffs(base: PlanDocument, mine: PlanDocument, theirs: PlanDocument) {
  const [before, own, other] = [datesOf(base), datesOf(mine), datesOf(theirs)]
  const clashes: number[] = []
  const oneOffs = [...new Set([...own.keys(), ...other.keys()])].flatMap(date => {
    const [was, ours, others] = [before.get(date), own.get(date), other.get(date)]
    if (isAlike(ours, others) || isAlike(others, was)) return ours ?? []
    if (isAlike(ours, was)) return others ?? []
    const session = (ours ?? others)!.session
    clashes.push(
      Math.max(
        0,
        base.rotation.days.findIndex(({ sessions }) => sessions.some(({ id }) => id === session)),
      ),
    )
    return ours ?? []
  })
  return { oneOffs: oneOffs.sort((a, b) => a.on.localeCompare(b.on)), clashes }
}

function withOneOffs({ oneOffs: _, ...plan }: PlanDocument, oneOffs: readonly OneOff[]) {
  return oneOffs.length > 0 ? { ...plan, oneOffs } : plan
}

function wholeRotation(base: PlanDocument, mine: PlanDocument, theirs: PlanDocument): MergeOutcome {
  const changed = [mine, theirs].filter(
    ({ rotation }) => !isAlike(rotation.days, base.rotation.days),
  )
  const [only] = changed
  if (only && changed.length === 1)
    return {
      kind: 'merged',
      plan: {
        ...rest(base, mine, theirs),
        rotation: { ...rotationRest(base, mine, theirs), days: only.rotation.days },
      },
    }
  return { kind: 'both_changed', days: base.rotation.days.map((_, at) => at) }
}

/** Every other field from whoever changed it. */
function taken<Value extends object>(base: Value, mine: Value, theirs: Value): Value {
  const keys = new Set([...Object.keys(mine), ...Object.keys(theirs)]) as Set<keyof Value>
  const from = (key: keyof Value) => (isAlike(mine[key], base[key]) ? theirs : mine)
  const merged: Partial<Value> = {}
  for (const key of keys) if (key in from(key)) merged[key] = from(key)[key]
  return merged as Value
}

function rest(base: PlanDocument, mine: PlanDocument, theirs: PlanDocument): PlanDocument {
  return taken(base, mine, theirs)
}

/** Anchor and the like, days apart. */
function rotationRest(
  base: PlanDocument,
  mine: PlanDocument,
  theirs: PlanDocument,
): PlanDocument['rotation'] {
  return taken(base.rotation, mine.rotation, theirs.rotation)
}
