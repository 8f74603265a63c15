import { describe, expect, test } from '@jest/globals'
import { addDays, plainDate } from '../../base'
import { rotationLedger } from '../../count/ledger'
import { applyEdit, planEnd, type PlanDocument } from '../../plan/block'
import { contextWith, STEADY_MIDDLE } from '../../plan/method'
import { daySlots } from '../../plan/rotation'
import { planIn, written } from '../../testing/shorthandPlans'
import { expandedBlock, fittedDraft, fittedLine, nextBlock, ownContext } from '.'

const context = contextWith(STEADY_MIDDLE, { trainingAgeMonths: 48 })
const before: PlanDocument = {
  ...planIn(
    7,
    written('push', 'pushdown_bar 4 x 12, rir 2'),
    written('pull', 'cable_curl 4 x 12, rir 2', 'lateral_raise_dumbbell 3 x 12, rir 2'),
  ),
  startsOn: plainDate('2026-03-02'),
  passes: 6,
}
let made = 0
const drafted = (from: PlanDocument, title: string, more: Partial<PlanDocument> = {}) => ({
  ...nextBlock(from, context, {
    title,
    startsOn: addDays(planEnd(from), 1),
    weeks: 8,
    from: 'first',
    newId: () => `id-${made++}`,
  }),
  draft: {},
  ...more,
})
const first = drafted(before, 'Biceps first', { emphasis: { biceps: 'build', triceps: 'keep' } })
const second = drafted(first, 'Hold')
const line = (plans: readonly PlanDocument[]) => plans.map((plan, at) => ({ id: String(at), plan }))
const exercises = ({ rotation }: PlanDocument) =>
  rotation.days.flatMap(daySlots).map(({ exercise }) => exercise as string)
const weekly = (plan: PlanDocument, group: 'biceps' | 'triceps') => {
  const own = ownContext(plan, context)
  return expandedBlock(plan, own)
    .passes.filter(({ isDeload }) => !isDeload)
    .map(({ rotation }) => rotationLedger(rotation, own).groups[group].week.counted.value)
}

describe('a draft', () => {
  test('goes along with the block before, and with what stands between', () => {
    const slot = before.rotation.days.flatMap(daySlots)[1]!
    const swapped = applyEdit(before, { kind: 'remove_exercise', slot: slot.id }, () => 'never')
    if (!swapped.ok) throw new Error('cannot be taken out')
    const fitted = fittedLine(line([swapped.value, first, second]), context)
    expect(fitted.map(({ plan }) => exercises(plan))).toEqual([
      ['pushdown_bar', 'lateral_raise_dumbbell'],
      ['pushdown_bar', 'lateral_raise_dumbbell'],
      ['pushdown_bar', 'lateral_raise_dumbbell'],
    ])
  })
  test('keeps its title, days, emphasis and volumes, and is the same object when asked again', () => {
    const all = line([before, { ...first, draft: { ends: { biceps: 14 } } }, second])
    const [, fitted] = fittedLine(all, context)
    expect(fitted!.plan).toMatchObject({
      title: 'Biceps first',
      startsOn: first.startsOn,
      passes: first.passes,
      emphasis: first.emphasis,
      draft: { ends: { biceps: 14 } },
    })
    expect(planEnd(fitted!.plan)).toBe(planEnd(first))
    expect(fittedLine(all, context)[1]!.plan).toBe(fitted!.plan)
  })
  test.each([2, 7, 9])('goes to the sets that are asked for: %d', end => {
    const fitted = fittedDraft(before, { ...first, draft: { ends: { biceps: end } } }, context)
    const sets = weekly(fitted, 'biceps')
    // After an easier rotation the sets begin anew, so the end is where they come furthest.
    expect(Math.min(...sets.map(one => Math.abs(one - end)))).toBeLessThanOrEqual(1)
    expect(weekly(fitted, 'triceps')[0]).toBeCloseTo(weekly(before, 'triceps')[0]!, 9)
  })
  test('never goes past its days where the rotation before it is another length', () => {
    const eight = {
      ...before,
      rotation: {
        ...before.rotation,
        anchor: { kind: 'floating' as const },
        days: [...before.rotation.days, before.rotation.days[2]!],
      },
    }
    const fitted = fittedDraft(eight, first, context)
    expect(planEnd(fitted) <= planEnd(first)).toBe(true)
    expect(fitted.passes).toBe(7)
  })
  test('that is changed by hand is one no more; one refused stays', () => {
    const edit = { kind: 'set_block', title: 'Mine' } as const
    const edited = applyEdit(first, edit, () => 'never')
    expect(edited.ok && edited.value.draft).toBeUndefined()
    expect(edited.ok && edited.value.title).toBe('Mine')
    const nothing = applyEdit(
      first,
      { kind: 'remove_exercise', slot: 'nobody' as never },
      () => 'x',
    )
    expect(nothing.ok && nothing.value !== first).toBe(false)
  })
  test('as the first of a line, or a plan, stays as it is', () => {
    const { draft: _, ...plan } = second
    const [own, other] = fittedLine(line([first, plan]), context)
    expect([own!.plan, other!.plan]).toEqual([first, plan])
  })
})
