import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { addDays, plainDate } from '../../base'
import { planIn, written } from '../../testing/shorthandPlans'
import { mergedPlans, type PlanDocument, withOneOff } from '.'
import { withoutOneOff } from './oneOffs'

const base: PlanDocument = {
  ...planIn(
    7,
    written('push', 'bench_press_dumbbell 3 x 8, rir 2'),
    written('arms', 'cable_curl 3 x 12, rir 2'),
  ),
  startsOn: plainDate('2026-03-02'),
  passes: 4,
}
/** Which session, in which rotation, and what it is called then. */
interface Written {
  readonly day: 0 | 1
  readonly pass: number
  readonly name: string
}
const on = ({ day, pass }: Written) => addDays(base.startsOn, 7 * pass + day)
function writtenIn(plan: PlanDocument, one: Written): PlanDocument {
  const content = base.rotation.days[one.day]!.sessions[0]!
  return withOneOff(plan, {
    on: on(one),
    session: content.id,
    reason: 'other',
    content: { ...content, name: one.name },
  })
}
const namesOf = (plan: PlanDocument) =>
  Object.fromEntries(
    (plan.oneOffs ?? []).map(one => [`${one.on} ${one.session}`, one.content.name]),
  )

describe('sessions written for single dates in two windows', () => {
  const some = fc.array(
    fc.record({
      day: fc.constantFrom(0 as const, 1 as const),
      pass: fc.integer({ min: 0, max: 3 }),
      name: fc.constantFrom('a', 'b'),
    }),
    { maxLength: 5 },
  )
  test('are all kept, and a date that both wrote otherwise is asked about', () => {
    fc.assert(
      fc.property(some, some, some, (before, own, other) => {
        const from = before.reduce(writtenIn, base)
        const [mine, theirs] = [own.reduce(writtenIn, from), other.reduce(writtenIn, from)]
        const [was, ours, others] = [namesOf(from), namesOf(mine), namesOf(theirs)]
        const dates = [...new Set([...Object.keys(ours), ...Object.keys(others)])]
        const isClash = (date: string) =>
          ours[date] !== others[date] && ours[date] !== was[date] && others[date] !== was[date]
        const merged = mergedPlans(from, mine, theirs)
        if (dates.some(isClash)) return expect(merged.kind).toBe('both_changed')
        expect(merged.kind === 'merged' && namesOf(merged.plan)).toEqual(
          Object.fromEntries(
            dates.map(date => [date, ours[date] === was[date] ? others[date] : ours[date]]),
          ),
        )
      }),
    )
  })

  test('one that a window took back is gone, and the day of a clash is named', () => {
    const one: Written = { day: 1, pass: 2, name: 'a' }
    const from = writtenIn(base, one)
    const session = base.rotation.days[1]!.sessions[0]!.id
    const mine = withoutOneOff(from, session, on(one))
    const merged = mergedPlans(from, mine, writtenIn(from, { day: 0, pass: 1, name: 'b' }))
    expect(merged.kind === 'merged' && Object.values(namesOf(merged.plan))).toEqual(['b'])
    expect(mergedPlans(from, mine, writtenIn(from, { ...one, name: 'b' }))).toEqual({
      kind: 'both_changed',
      days: [1],
    })
  })
})

test('what one window took out of the plan stays out when another changed something else', () => {
  const from = { ...base, madeFrom: { template: 'a', version: 1 }, closingNotes: 'Less curling' }
  const { madeFrom: _, ...theirs } = from
  const merged = mergedPlans(from, { ...from, title: 'Mine' }, theirs)
  expect(merged).toEqual({ kind: 'merged', plan: { ...theirs, title: 'Mine' } })
})
