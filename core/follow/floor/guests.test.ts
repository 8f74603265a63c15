import { describe, expect, test } from '@jest/globals'
import { exerciseId, slotId } from '../../base'
import { defaultContext } from '../../plan/method'
import { sessionSlots } from '../../plan/session'
import { day, planOf, REST_DAY, straight } from '../../testing/notation'
import { contentAfter, type FloorChange, type FloorGuest, floorEdits, guestAfter } from './guests'
import { remedyKey } from './remedyKey'

const plan = planOf(
  REST_DAY,
  day(straight('cable_curl', 3, 10, 2), straight('pushdown_rope', 2, 12, 2)),
)
const content = plan.rotation.days[1]!.sessions[0]!
const [curl, pushdown] = sessionSlots(content).map(({ id }) => id) as [
  ReturnType<typeof slotId>,
  ReturnType<typeof slotId>,
]
const guest: FloorGuest = {
  id: 'joren.0',
  start: 63_000,
  usual: 63_000,
  content,
  plan,
  day: 1,
  place: 0,
  context: defaultContext({ trainingAgeMonths: 36 }),
  isBegun: false,
  canMove: true,
}
const START: FloorChange = { kind: 'start', session: guest.id, start: 63_300 }
const TURN: FloorChange = { kind: 'turn', session: guest.id, slot: pushdown, before: curl }
const OTHER: FloorChange = {
  kind: 'stand_in',
  session: guest.id,
  slot: curl,
  exercise: exerciseId('dumbbell_curl'),
  edits: [
    { kind: 'swap_exercise', slot: curl, exercise: exerciseId('dumbbell_curl'), intent: null },
  ],
}
const exercises = (change: FloorChange) =>
  sessionSlots(contentAfter(guest, change)).map(({ exercise }) => exercise)

describe('a guest after a change', () => {
  test('comes at another time, and does the same', () => {
    expect(guestAfter(guest, START)).toEqual({ ...guest, start: 63_300 })
    expect(floorEdits(START)).toEqual([])
  })

  test('does the same the other way round, at the same time', () => {
    expect(exercises(TURN)).toEqual(['pushdown_rope', 'cable_curl'])
    expect(guestAfter(guest, TURN)).toMatchObject({ start: guest.start, usual: guest.usual })
  })

  test('does something else at one place', () => {
    expect(exercises(OTHER)).toEqual(['dumbbell_curl', 'pushdown_rope'])
  })

  test('of a place that is not there is left as it is', () => {
    expect(contentAfter(guest, { ...TURN, slot: slotId('elsewhere') })).toBe(content)
  })

  test('a change has a name of its own', () => {
    const keys = [START, TURN, OTHER, { ...START, start: 63_600 }].map(remedyKey)
    expect(new Set(keys).size).toBe(4)
    expect(keys.every(key => key.includes(guest.id))).toBe(true)
  })
})
