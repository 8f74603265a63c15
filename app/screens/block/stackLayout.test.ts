import { describe, expect, test } from '@jest/globals'
import { stackLayout } from './stackLayout'

const band = { floor: 5, target: 10, ceiling: 15 }

describe('a stack in its channel', () => {
  test('heights are shares of the scale, the channel upside down', () =>
    expect(stackLayout({ direct: 10, indirect: 5, band, scale: 20 })).toEqual({
      foot: 52,
      direct: 25,
      indirect: 12.5,
      floor: 39.5,
      target: 27,
      ceiling: 14.5,
    }))
  test('what is over the scale ends at the top', () =>
    expect(stackLayout({ direct: 18, indirect: 10, band, scale: 20 })).toMatchObject({
      direct: 45,
      indirect: 5,
    }))
  test('nothing is flat', () =>
    expect(stackLayout({ direct: 0, indirect: 0, band, scale: 0 })).toMatchObject({
      direct: 0,
      indirect: 0,
    }))
})
