import { expect, test } from '@jest/globals'
import { BUILT_IN_CATALOGUE as CATALOGUE } from '../plan/catalogue'
import { applyEdits, type PlanDocument } from '../plan/block'
import { PLAIN_WEEKS, plainWeek } from '../testing/plainPlans'
import { daySlots } from '../plan/rotation'
import { changeDid, differenceWords, tooLateWords } from '.'

const plan: PlanDocument = plainWeek(PLAIN_WEEKS[0]!, 24).plan
const slots = plan.rotation.days.flatMap((day, at) => daySlots(day).map(slot => ({ at, slot })))
function withMore(count: number): PlanDocument {
  const edits = slots.slice(0, count).map(({ slot }) => ({
    kind: 'add_sets' as const,
    slot: slot.id,
    count: 1,
  }))
  const edited = applyEdits(plan, edits, () => 'x')
  if (!edited.ok) throw new Error(edited.error.kind)
  return edited.value
}

test('a change of sets is told by day, exercise and number; of many the first three', () => {
  expect(differenceWords(plan, withMore(1), CATALOGUE)).toMatch(/^day \d .+ \d+ → \d+ sets$/)
  expect(differenceWords(plan, withMore(6), CATALOGUE)).toMatch(/, \d more$/)
})

test('what is no set is told as such, and the same plan as nothing', () => {
  const renamed = { ...plan, title: 'Otherwise' }
  expect(differenceWords(plan, renamed, CATALOGUE)).toBe('reps, rest, order, days or rules')
  expect(differenceWords(plan, plan, CATALOGUE)).toBe('')
})

test('a change that cannot be taken back says why, and what to do instead', () => {
  expect(tooLateWords('sent')).toContain('opened it')
  expect(tooLateWords('targets')).toContain('so the targets cannot be taken back')
  expect(changeDid('missed')).toBe('session let go')
})
