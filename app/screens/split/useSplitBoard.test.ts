import { STEADY_MIDDLE } from '#core/plan/method'
import { describe, expect, test } from '@jest/globals'
import { clientId } from '#core/base'
import { planIn, written } from '#core/testing/shorthandPlans'
import { frameworkWith, provideGlobally } from '~/testing/framework'

const plan = planIn(
  4,
  written('push', 'bench_press_dumbbell 4 x 8, rir 2', 'pushdown_rope 3 x 12, rir 1'),
  written(
    'arms',
    'cable_curl 4 x 12, rir 1',
    'preacher_curl_bar 3 x 10, rir 1',
    'hammer_curl 2 x 12, rir 1',
  ),
  written('upper', 'pulldown_neutral 3 x 10, rir 2'),
)
const view = {
  id: clientId('6f9619ff-8b86-4011-b42d-00c04fc964ff'),
  name: 'Joren',
  about: '',
  method: STEADY_MIDDLE,
  basedOn: null,
  library: { exercises: [], credits: {} },
  facts: { trainingAgeMonths: 30, modes: {}, bands: {}, equipment: [], credits: {} },
  block: { id: 'b', version: 1, savedAt: '', plan },
}

async function board() {
  frameworkWith(() => ({ ok: true, value: view }))
  const { usePlanStore } = await import('~/stores/plan')
  provideGlobally({ usePlanStore })
  const { useSplitBoard } = await import('./useSplitBoard')
  await usePlanStore().load(view.id)
  return useSplitBoard()
}
type Board = Awaited<ReturnType<typeof board>>
const direct = (of: Board, key: string) =>
  of.rails.value.find(rail => rail.key === key)?.view.cells.map(cell => cell.tally.direct.value)

describe('walking and picking', () => {
  test('the selection stays on the board', async () => {
    const of = await board()
    of.go({ days: -1, rails: -1 })
    expect(of.place.value).toEqual({ rail: 0, day: 0 })
    of.go({ days: 99, rails: 99 })
    expect(of.place.value).toEqual({ rail: of.rails.value.length - 1, day: 3 })
  })
  test('picking goes round the exercises of a cluster and back to none', async () => {
    const of = await board()
    of.select({ rail: 0, day: 1 })
    const picks = Array.from({ length: 4 }, () => (of.pickNext(1), of.pick.value))
    expect(picks).toEqual([0, 1, 2, null])
  })
  test('heads open, and what needs a look is found on a folded line', async () => {
    const of = await board()
    const lines = of.rails.value.length
    of.toggleHeads()
    expect(of.rails.value.length).toBe(lines + 2)
    of.showGroup('delts_rear')
    expect(of.selectedRail.value?.view.rail).toEqual({ kind: 'group', group: 'delts_rear' })
  })
})

describe('changing sets', () => {
  test('plus and minus change the last direct exercise, or the one picked', async () => {
    const of = await board()
    of.select({ rail: 0, day: 1 })
    of.changeSets(1)
    expect(direct(of, 'biceps')).toEqual([0, 8, 0, 0])
    of.pickNext(1)
    of.changeSets(-1)
    expect(of.selectedCell.value?.pieces.map(piece => piece.sets.value)).toEqual([3, 4, 2])
  })
  test('where only indirect sets are, it says what to do; an empty cell offers exercises', async () => {
    const of = await board()
    of.select({ rail: 0, day: 2 })
    of.changeSets(-1)
    expect(of.message.value).toContain('Only indirect sets here')
    of.select({ rail: 0, day: 0 })
    of.changeSets(1)
    expect(of.isPickerOpen.value).toBe(true)
    const [choice] = of.choices('hammer')
    if (choice) of.addExercise(choice, 3)
    expect([of.isPickerOpen.value, of.message.value]).toEqual([
      false,
      '3 sets of Hammer curl added on day 1.',
    ])
  })
  test('a rest day takes nothing', async () => {
    const of = await board()
    of.select({ rail: 0, day: 3 })
    of.openPicker()
    expect([of.isPickerOpen.value, of.message.value]).toEqual([
      false,
      'Day 4 is rest. Choose a training day.',
    ])
  })
})

describe('carrying', () => {
  test('figures follow what is in hand, and putting down makes one step', async () => {
    const of = await board()
    of.select({ rail: 0, day: 1 })
    of.carryBy(1)
    expect(of.carry.inHand.value).toMatchObject({ count: 7, fromDay: 1, toDay: 2 })
    expect(direct(of, 'biceps')).toEqual([0, 0, 7, 0])
    of.changeSets(-1)
    of.goToDay(0)
    expect(direct(of, 'biceps')).toEqual([6, 1, 0, 0])
    of.confirm()
    expect([of.carry.inHand.value, of.place.value.day]).toEqual([null, 0])
    of.undo()
    expect(direct(of, 'biceps')).toEqual([0, 7, 0, 0])
    of.redo()
    expect(direct(of, 'biceps')).toEqual([6, 1, 0, 0])
  })
  test('over a rest day the board stays as it was and says why; Esc puts back', async () => {
    const of = await board()
    of.select({ rail: 0, day: 1 })
    of.carryBy(1)
    of.carryBy(1)
    expect([direct(of, 'biceps'), of.message.value]).toEqual([
      [0, 7, 0, 0],
      'Day 4 is rest. Choose a training day.',
    ])
    of.confirm()
    expect(of.carry.inHand.value).not.toBeNull()
    of.cancel()
    expect(of.carry.inHand.value).toBeNull()
  })
  test('the menu moves what is picked, in any number', async () => {
    const of = await board()
    of.select({ rail: 0, day: 1 })
    of.pickNext(1)
    of.moveTo(2, 3)
    expect(direct(of, 'biceps')).toEqual([0, 4, 3, 0])
    expect(of.message.value).toBe('3 sets of Cable curl, bar moved from day 2 to day 3.')
  })
  test('nothing to carry is said', async () => {
    const of = await board()
    of.select({ rail: 2, day: 3 })
    of.carryBy(1)
    expect(of.message.value).toBe('No sets to carry here.')
  })
})
