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

const visited: string[] = []
async function board() {
  frameworkWith(() => ({ ok: true, value: view }))
  const { usePlanStore } = await import('~/stores/plan')
  visited.length = 0
  provideGlobally({ usePlanStore, navigateTo: async (to: string) => visited.push(to) })
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
  test('picking goes round the exercises of a peg group and back to none', async () => {
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

describe('marked cells', () => {
  test('plus acts on all of them as one step, and Esc lets them go', async () => {
    const of = await board()
    of.select({ rail: 0, day: 1 })
    const triceps = of.rails.value.findIndex(rail => rail.key === 'triceps')
    of.toggleMark({ rail: triceps, day: 0 })
    expect(of.message.value).toMatch(/^1 cell marked/)
    of.changeSets(1)
    expect([direct(of, 'biceps'), direct(of, 'triceps')]).toEqual([
      [0, 8, 0, 0],
      [4, 0, 0, 0],
    ])
    of.undo()
    expect([direct(of, 'biceps'), direct(of, 'triceps')]).toEqual([
      [0, 7, 0, 0],
      [3, 0, 0, 0],
    ])
    of.cancel()
    expect(of.marked.value.size).toBe(0)
    of.toggleMark({ rail: triceps, day: 0 })
    of.toggleMark({ rail: triceps, day: 0 })
    expect(of.message.value).toBe('Only the selected cell is changed.')
  })
  test('are carried together', async () => {
    const of = await board()
    of.select({ rail: 0, day: 1 })
    of.toggleMark({ rail: of.rails.value.findIndex(rail => rail.key === 'triceps'), day: 0 })
    of.carryBy(1)
    expect(of.carry.inHand.value?.pieces.map(({ slot }) => slot.exercise)).toContain(
      'pushdown_rope',
    )
  })
  test('are held fixed and let go again', async () => {
    const of = await board()
    const held = () => of.selectedCell.value?.pieces.map(({ slot }) => Boolean(slot.isHeld))
    of.select({ rail: 0, day: 1 })
    of.toggleHold()
    expect(of.message.value).toBe('Held fixed: proposals leave it alone.')
    expect(held()?.slice(0, 2)).toEqual([true, true])
    of.toggleHold()
    expect(of.message.value).toBe('No longer held.')
    expect(held()).not.toContain(true)
    of.select({ rail: 0, day: 3 })
    of.toggleHold()
    expect(of.message.value).toBe('Only direct sets can be held. None here.')
  })
})

describe('whole days', () => {
  const roles = (of: Board) => of.days.value.map(({ role }) => role)
  test('rest becomes training and back; a day with sets stays what it is', async () => {
    const of = await board()
    of.select({ rail: 0, day: 3 })
    of.toggleRest()
    expect(roles(of)[3]).toBe('full')
    of.toggleRest()
    expect(roles(of)[3]).toBe('rest')
    of.select({ rail: 0, day: 1 })
    of.toggleRest()
    expect(roles(of)[1]).toBe('arms')
    expect(of.message.value).not.toBe('')
  })
  test.each([
    ['swap', 0, 2, 'Days 1 and 3 swapped.', ['upper', 'arms', 'push', 'rest'], [3, 9, 7, 0]],
    ['copy', 1, 3, 'Day 2 copied to day 4.', ['push', 'arms', 'upper', 'arms'], [7, 9, 3, 9]],
    [
      'move',
      0,
      3,
      'The session of day 1 moved to day 4.',
      ['rest', 'arms', 'upper', 'push'],
      [0, 9, 3, 7],
    ],
    [
      'move',
      0,
      2,
      'The session of day 1 moved to day 3.',
      ['rest', 'arms', 'upper', 'rest'],
      [0, 9, 10, 0],
    ],
  ] as const)('%s from day %d to day %d', async (what, from, to, words, names, counts) => {
    const of = await board()
    of.choose(what)
    of.withDay(what, from, to)
    expect(of.message.value).toBe(words)
    expect(of.opened.value).toBeNull()
    expect(of.place.value.day).toBe(to)
    expect(roles(of)).toEqual(names)
    expect(of.setCounts.value).toEqual(counts)
  })
  test('a day head dropped on another swaps; dropped on itself it does nothing', async () => {
    const of = await board()
    of.dropDay(1, 1)
    expect(roles(of)).toEqual(['push', 'arms', 'upper', 'rest'])
    of.dropDay(0, 1)
    expect(of.setCounts.value).toEqual([9, 7, 3, 0])
  })
  test('a day without a session has none to copy', async () => {
    const of = await board()
    of.select({ rail: 0, day: 3 })
    of.choose('copy')
    expect([of.opened.value, of.message.value]).toEqual([null, 'This day has no session.'])
    of.choose('swap')
    expect(of.opened.value).toBe('swap')
  })
  test('Enter opens the selected day; a rest day says how it becomes one', async () => {
    const of = await board()
    of.select({ rail: 0, day: 2 })
    of.confirm()
    expect(visited).toEqual([`/clients/${view.id}/session/3`])
    of.select({ rail: 0, day: 3 })
    await of.openSession()
    expect(of.message.value).toBe('Day 4 is rest. R makes it a training day.')
  })
})

describe('findings', () => {
  /** The first finding of the plan that offers a fix. */
  async function withFix() {
    const of = await board()
    const { usePlanStore } = await import('~/stores/plan')
    const store = usePlanStore()
    const finding = store.findings.find(one => one.fix)!
    return { of, store, finding }
  }
  test('N goes from one to the next, to where it is', async () => {
    const of = await board()
    of.nextNotice()
    const first = of.noticeKey.value
    expect(first).not.toBeNull()
    const { group } = of.notice.value!.place
    if (group) expect(of.selectedRail.value?.view.rail).toMatchObject({ group })
    of.nextNotice()
    expect(of.noticeKey.value).not.toBe(first)
    of.cancel()
    expect(of.notice.value).toBeNull()
  })
  test('a fix is looked at without being done, then done, then undone', async () => {
    const { of, store, finding } = await withFix()
    const before = store.plan
    of.tryFix(finding)
    expect(of.shownPlan.value).not.toEqual(before)
    expect(store.plan).toEqual(before)
    const shown = of.shownInput.value
    of.tryFix(null)
    expect(of.shownPlan.value).toEqual(before)
    of.applyFix(finding)
    expect(of.message.value).toBe('Fixed. Z undoes it.')
    expect(store.ledger?.groups.triceps.week).toEqual(shown?.ledger.groups.triceps.week)
    of.undo()
    expect(store.plan).toEqual(before)
  })
  test('one is dismissed with a note and brought back; a firm one is not', async () => {
    const { of, store } = await withFix()
    const count = store.findings.length
    of.dismissNotice()
    expect(of.message.value).toBe('N chooses something to look at first.')
    do of.nextNotice()
    while (of.isFirm.value)
    const finding = of.notice.value!
    of.dismissNotice()
    expect(of.opened.value).toBe('dismiss')
    of.dismiss(finding, 'known')
    expect(of.opened.value).toBeNull()
    expect(store.findings).toHaveLength(count - 1)
    of.bringBack(finding)
    expect(store.findings).toHaveLength(count)
  })
  test('panels open and close with the same key, and only one stands over the board', async () => {
    const of = await board()
    of.open('checks')
    of.open('why')
    expect(of.opened.value).toBe('why')
    of.open('why')
    expect(of.opened.value).toBeNull()
    of.open('calendar')
    of.close()
    expect(of.opened.value).toBeNull()
  })
  test('a folded line tells its least recovered muscle of a day, an easy one none', async () => {
    const of = await board()
    const [rail] = of.rails.value
    const worst = [0, 1, 2, 3].map(day => of.worstArrival(rail!, day))
    for (const [day, arrival] of worst.entries())
      if (arrival) expect(arrival).toMatchObject({ day, group: 'biceps' })
    const short = of.recovery.value?.arrivals.biceps.filter(({ thread }) => thread !== 'whole')
    expect(worst.filter(Boolean)).toHaveLength(new Set(short?.map(({ day }) => day)).size)
  })
})
