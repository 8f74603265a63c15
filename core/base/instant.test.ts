import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { instantSeconds } from '.'

test('seconds of an instant are those of the clock, on every day', () => {
  fc.assert(
    fc.property(
      fc.date({ min: new Date('1990-01-01'), max: new Date('2090-01-01'), noInvalidDate: true }),
      date => expect(instantSeconds(date.toISOString())).toBeCloseTo(date.getTime() / 1000, 3),
    ),
  )
})
test.each(['', 'yesterday', '2026-04-03', '2026-04-03 17:30'])('%s is no instant', text =>
  expect(instantSeconds(text)).toBeNaN(),
)
