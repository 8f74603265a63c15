import { exerciseId, groupingId, slotId, groupedBy } from '../../base'
import type { LoggedSet } from '../../body/log'
import type { SetRun } from '../../plan/scheme'
import type { Grouping, Session, Slot } from '../../plan/session'

/** Sets of a scheme that were done, run by run; more than planned go to the last run. */
function doneRuns(runs: readonly SetRun[], sets: readonly LoggedSet[]): readonly SetRun[] {
  const done = (kind: 'warmup' | 'other') =>
    new Set(
      sets.filter(({ role }) => (role === 'warmup') === (kind === 'warmup')).map(({ set }) => set),
    ).size
  const left = { warmup: done('warmup'), other: done('other') }
  const lastOther = runs.findLastIndex(({ role }) => role !== 'warmup')
  return runs.flatMap((run, at) => {
    const kind = run.role === 'warmup' ? 'warmup' : 'other'
    const count =
      kind === 'other' && at === lastOther ? left.other : Math.min(run.count, left[kind])
    left[kind] -= count
    const { countRange: _, ...plain } = run
    return count > 0 ? [{ ...plain, count }] : []
  })
}

const PLAIN_SET: SetRun['stages'] = [{ kind: 'work' }]

/**
 * A session as it was done, so that it is counted by the same ledger as the plan.
 *
 * Shape: prescribed groupings with the sets that were done and with what stood in; work nobody prescribed follows as groupings of its own.
 * Edge:  nothing logged gives a session without groupings.
 */
export function doneSession(prescribed: Session, sets: readonly LoggedSet[]): Session {
  const bySlot = groupedBy(sets, ({ slot }) => slot)
  const planned = prescribed.groupings.flatMap((grouping): Grouping[] => {
    const [first, ...others] = grouping.slots.flatMap((slot): Slot[] => {
      const own = bySlot.get(slot.id) ?? []
      const last = own.at(-1)
      if (!last) return []
      const runs = doneRuns(slot.scheme.runs, own)
      if (runs.length === 0) return []
      const isSwapped = last.exercise !== slot.exercise || last.intent !== slot.intent
      const { credits, ...rest } = slot
      return [
        {
          ...rest,
          exercise: last.exercise,
          intent: last.intent,
          scheme: { ...slot.scheme, runs },
          ...(credits && !isSwapped && { credits }),
        },
      ]
    })
    return first ? [{ ...grouping, slots: [first, ...others] }] : []
  })
  const known = new Set<string | null>(
    prescribed.groupings.flatMap(({ slots }) => slots.map(({ id }) => id)),
  )
  const besides = [
    ...groupedBy(
      sets.filter(({ slot }) => !known.has(slot)),
      ({ exercise }) => exercise,
    ),
  ].map(([exercise, own]): Grouping => ({
    id: groupingId(`besides ${exercise}`),
    kind: 'straight',
    placement: 'main',
    slots: [
      {
        id: slotId(`besides ${exercise}`),
        exercise: exerciseId(exercise),
        intent: own[0]?.intent ?? null,
        scheme: {
          runs: [
            { count: new Set(own.map(({ set }) => set)).size, role: 'working', stages: PLAIN_SET },
          ],
        },
      },
    ],
  }))
  return { ...prescribed, groupings: [...planned, ...besides] }
}
