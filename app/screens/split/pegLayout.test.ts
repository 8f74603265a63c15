import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { pegGroupLayout } from './pegLayout'

const direct = (pegs: number) => ({ pegs, credit: 1 })
const indirect = (pegs: number, credit = 0.5) => ({ pegs, credit })

describe('clusters of pegs', () => {
  test('direct and indirect pegs have their own pitch, exercises a gap', () => {
    const { pegs, width } = pegGroupLayout([direct(2), indirect(1)], 94, 'large')
    expect(pegs.map(({ x, height }) => [x, height])).toEqual([
      [4, 20],
      [12, 20],
      [23, 12],
    ])
    expect(width).toBe(26)
  })
  test('a quarter stands lower, three quarters higher than a half', () => {
    const { pegs } = pegGroupLayout(
      [indirect(1, 0.25), indirect(1, 0.5), indirect(1, 0.75)],
      94,
      'large',
    )
    expect(pegs.map(peg => peg.height)).toEqual([8, 12, 16])
  })
  test('pegs close up before they become stacks', () => {
    expect(pegGroupLayout([direct(7), indirect(3), indirect(3)], 94, 'large').pegs[0]?.kind).toBe(
      'peg',
    )
    expect(pegGroupLayout([direct(9), direct(8), indirect(6)], 46, 'large').pegs[0]?.kind).toBe(
      'chip',
    )
  })
  test('nothing takes no room', () =>
    expect(pegGroupLayout([], 94, 'large')).toEqual({ pegs: [], width: 0 }))
})

test('every set is drawn and nothing leaves its day', () => {
  const piece = fc.record({
    pegs: fc.integer({ min: 0, max: 20 }),
    credit: fc.constantFrom(0.25, 0.5, 0.75, 1),
  })
  fc.assert(
    fc.property(
      fc.array(piece, { maxLength: 8 }),
      fc.integer({ min: 40, max: 160 }),
      fc.constantFrom('large' as const, 'small' as const),
      (pieces, room, size) => {
        const { pegs, width } = pegGroupLayout(pieces, room, size)
        expect(pegs).toHaveLength(pieces.reduce((sum, { pegs: sets }) => sum + sets, 0))
        expect(width).toBeLessThanOrEqual(room + 1e-9)
        expect(pegs.every(peg => peg.x >= 0 && peg.x <= width && peg.base + peg.height <= 30)).toBe(
          true,
        )
      },
    ),
  )
})
