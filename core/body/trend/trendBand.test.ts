import { expect, test } from '@jest/globals'
import type { TrendPoint } from '../log'
import { trendBand } from '.'

const rising: readonly TrendPoint[] = [40, 40.5, 41.2, 41, 42, 42.6].map((value, week) => ({
  week,
  value,
  repsToFailure: 10,
}))

test('the band holds its line, is narrowest in the middle, and ends where the points do', () => {
  const band = trendBand(rising, { verdict: 'unclear', slope: 0.012, error: 0.004 })
  expect([band[0]?.week, band.at(-1)?.week]).toEqual([0, 5])
  for (const { low, middle, high } of band) expect(low < middle && middle < high).toBe(true)
  const width = band.map(({ low, high }) => Math.log(high / low))
  expect(Math.min(...width)).toBe(width[4])
  expect(band.at(-1)!.middle).toBeGreaterThan(band[0]!.middle)
})
test('too little data has no line', () => {
  const none = { verdict: 'insufficient', slope: 0, error: Infinity } as const
  expect(trendBand(rising.slice(0, 4), none)).toEqual([])
  expect(trendBand([], none)).toEqual([])
})
