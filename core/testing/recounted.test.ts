import { expect, test } from '@jest/globals'
import { slotId } from '../base'
import { impulsesOf } from '../body/recovery'
import { countedWorkOfDay, spanLedger } from '../count/ledger'
import { checkInput } from '../judge/checks'
import { applyEdit, type PlanDocument, type PlanEdit } from '../plan/block'
import { defaultContext } from '../plan/method'
import { sessionTime } from '../plan/minutes'
import { daySlots } from '../plan/rotation'
import { day, idsInARow, planOf, REST_DAY, straight } from './notation'

const context = defaultContext({ trainingAgeMonths: 30 })
const plan = planOf(
  day(straight('bench_press_barbell', 4, 8, 2), straight('pushdown_rope', 3, 12, 1)),
  day(straight('pulldown_neutral', 4, 10, 2), straight('cable_curl', 3, 12, 1)),
  REST_DAY,
  day(straight('cable_curl', 2, 12, 1), straight('pushdown_rope', 2, 12, 1)),
  REST_DAY,
  day(straight('bench_press_barbell', 2, 8, 2)),
  REST_DAY,
)
const slotAt = (at: number, nth = 0) => slotId(daySlots(plan.rotation.days[at]!)[nth]!.id)

/** What a board shows of a plan, each as the object that was reckoned: the same object, nothing was reckoned. */
function reckoned({
  rotation,
  ...rest
}: PlanDocument): Readonly<Record<string, readonly object[]>> {
  const work = rotation.days.map(one => countedWorkOfDay(one, context))
  return {
    'sets of a day': work,
    'ledger of a day': work.map(one => spanLedger(one, context.method.school)),
    'fatigue of a day': work.map(one => impulsesOf(one, context)),
    'minutes of a session': rotation.days.flatMap(one =>
      one.sessions.map(session => sessionTime(session, context)),
    ),
    'look at a session': checkInput({ rotation, ...rest }, context).sessions,
  }
}

/** How many of each are reckoned anew after an edit. */
function anew(edit: PlanEdit): Readonly<Record<string, number>> {
  const before = reckoned(plan)
  const result = applyEdit(plan, edit, idsInARow())
  if (!result.ok) throw new Error(JSON.stringify(result.error))
  return Object.fromEntries(
    Object.entries(reckoned(result.value)).map(([what, held]) => [
      what,
      held.filter(one => !before[what]!.includes(one)).length,
    ]),
  )
}
const all = (count: number) => ({
  'sets of a day': count,
  'ledger of a day': count,
  'fatigue of a day': count,
  'minutes of a session': count,
  'look at a session': count,
})

const EDITS: readonly (readonly [string, PlanEdit, ReturnType<typeof all>])[] = [
  ['a set more', { kind: 'add_sets', slot: slotAt(0), count: 1 }, all(1)],
  ['a set less', { kind: 'cut_sets', slot: slotAt(1, 1), count: 1 }, all(1)],
  ['an exercise taken out', { kind: 'remove_exercise', slot: slotAt(3) }, all(1)],
  [
    'two exercises paired',
    { kind: 'pair', slot: slotAt(3), with: slotAt(3, 1), as: 'superset' },
    all(1),
  ],
  ['the order turned round', { kind: 'move_grouping', slot: slotAt(0, 1), to: 'first' }, all(1)],
  [
    'a set carried to another day',
    { kind: 'move_sets', toDay: 5, moves: [{ slot: slotAt(1, 1), count: 1 }] },
    all(2),
  ],
  // Of a session it is known which day it is on.
  [
    'two days exchanged',
    { kind: 'swap_days', day: 0, with: 1 },
    { ...all(0), 'look at a session': 2 },
  ],
  [
    'a rotation a day longer',
    { kind: 'set_length', days: 8 },
    { ...all(1), 'minutes of a session': 0, 'look at a session': 0 },
  ],
  ['the block a rotation longer', { kind: 'set_block', passes: 9 }, all(0)],
  ['closing notes', { kind: 'set_closing_notes', notes: 'Bring the straps.' }, all(0)],
  ['a finding accepted', { kind: 'dismiss', finding: 'any', note: '' }, all(0)],
]

test.each(EDITS)('%s: what is reckoned anew', (_, edit, counts) => {
  expect(anew(edit)).toEqual(counts)
})
