import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { floorLayout, type FloorSession, floorX, hourOf } from './floorLayout'

const session = (start: string, minutes = 60): FloorSession => ({
  id: start,
  who: 'Marit',
  what: 'Arms',
  start,
  minutes,
  isPressing: false,
})

test.each([
  ['06:00', 0],
  ['21:30', 700],
  ['13:45', 350],
  ['03:00', 0],
])('%s lies at %i', (clock, x) => expect(floorX(hourOf(clock), 700)).toBeCloseTo(x, 6))

test('sessions at the same time lie in lanes of their own', () => {
  expect(
    floorLayout([session('17:30'), session('17:30'), session('08:00')], 700).map(
      ({ lane }) => lane,
    ),
  ).toEqual([0, 0, 1])
})

test('planks and their labels stay on the line and never overlap in a lane', () => {
  const clock = fc
    .tuple(fc.integer({ min: 5, max: 21 }), fc.constantFrom('00', '15', '30'))
    .map(([hour, minute]) => `${String(hour).padStart(2, '0')}:${minute}`)
  fc.assert(
    fc.property(
      fc.array(fc.tuple(clock, fc.integer({ min: 20, max: 120 })), { maxLength: 15 }),
      of => {
        const planks = floorLayout(
          of.map(([start, minutes]) => session(start, minutes)),
          700,
        )
        for (const [at, plank] of planks.entries()) {
          expect(plank.x).toBeGreaterThanOrEqual(0)
          for (const other of planks.slice(at + 1))
            if (other.lane === plank.lane)
              expect(other.x >= plank.x + plank.width || plank.labelSide === 'left').toBe(true)
        }
      },
    ),
  )
})
