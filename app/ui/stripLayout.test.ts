import { expect, test } from '@jest/globals'
import { stripLayout } from './stripLayout'

const day = (flexors: number, triceps: number) => ({
  name: 'Arms',
  isRest: false,
  flexors,
  triceps,
  hasOtherWork: false,
  state: 'planned' as const,
})

test('days share the width and every direct set has a peg inside its day', () => {
  const places = stripLayout([day(10, 3), day(0, 0), day(2, 40)], 264)
  expect(places.map(place => place.pegs.length)).toEqual([13, 0, 42])
  for (const { x, width, pegs } of places) {
    expect(pegs.every(peg => peg.x >= x && peg.x <= x + width)).toBe(true)
  }
})
