import { describe, expect, test } from '@jest/globals'
import { stackLayout } from './stackLayout'

const band = { floor: 5, target: 10, ceiling: 15 }

describe('a stack in its channel', () => {
  test('heights are shares of the scale, the channel upside down', () =>
    expect(stackLayout({ direct: 10, indirect: 5, band, scale: 20 })).toEqual({
      foot: 42,
      direct: 20,
      indirect: 10,
      floor: 32,
      target: 22,
      ceiling: 12,
    }))
  test('what is over the scale ends at the top', () =>
    expect(stackLayout({ direct: 18, indirect: 10, band, scale: 20 })).toMatchObject({
      direct: 36,
      indirect: 4,
    }))
  test('nothing is flat', () =>
    expect(stackLayout({ direct: 0, indirect: 0, band, scale: 0 })).toMatchObject({
      direct: 0,
      indirect: 0,
    }))
})
