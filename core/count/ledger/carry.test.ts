import { expect, test } from '@jest/globals'
import { defaultContext } from '../../plan/method'
import { day, planOf, REST_DAY, straight } from '../../testing/notation'
import { carriedPieces, movesOf, setsInHand } from './carry'
import { railView } from './rail'
import { rotationLedger } from './rotationLedger'

const context = defaultContext({ trainingAgeMonths: 20 })
const [bench, rope, bar] = [
  straight('bench_press_barbell', 4, 8, 2),
  straight('overhead_extension_rope', 3, 12, 1),
  straight('pushdown_bar', 4, 12, 1),
]
const ledger = rotationLedger(planOf(day(bench, rope, bar), REST_DAY).rotation, context)
const cell = railView(ledger, { kind: 'group', group: 'triceps' }, context).cells[0] ?? {
  tally: ledger.total.groups.triceps,
  pieces: [],
}

test('all direct work is taken in hand unless one exercise is picked', () => {
  expect(carriedPieces(cell, null).map(piece => piece.slot.exercise)).toEqual([
    'overhead_extension_rope',
    'pushdown_bar',
  ])
  expect(carriedPieces(cell, 2).map(piece => piece.slot.exercise)).toEqual(['bench_press_barbell'])
  expect(setsInHand(carriedPieces(cell, null))).toBe(7)
})

test('fewer sets come from the last exercise first', () => {
  expect(movesOf(carriedPieces(cell, null), 5)).toEqual([
    { slot: bar.id, count: 4 },
    { slot: rope.id, count: 1 },
  ])
  expect(movesOf(carriedPieces(cell, null), 99).reduce((sum, move) => sum + move.count, 0)).toBe(7)
})
