import { describe, expect, test } from '@jest/globals'
import { defaultContext } from '#core/plan/method'
import { sessionTime } from '#core/plan/minutes'
import type { Session } from '#core/plan/session'
import { written } from '../../../core/testing/shorthandPlans'
import { shownMinutes, sessionStripLayout } from './sessionStripLayout'

const context = defaultContext({ trainingAgeMonths: 40 })
const WIDTH = 870
function laid(limit: number | null, ...lines: readonly string[]) {
  const session = written('arms', ...lines).sessions[0] as Session
  const time = sessionTime(session, context)
  return { time, session, layout: sessionStripLayout(session.groupings, time.spans, WIDTH, limit) }
}
const PAIR = 'superset, between 15s, after 75s: cable_curl 3 x 12 & pushdown_rope 3 x 12'

describe('the strip', () => {
  test.each([
    [45 * 60, 45, 60],
    [70 * 60, 45, 75],
    [0, null, 20],
    [30 * 60, null, 35],
  ])('%i s under a limit of %s min: %i min on the ruler', (seconds, limit, minutes) =>
    expect(shownMinutes(seconds, limit)).toBe(minutes),
  )

  test('to scale: the end stands at its minute, planks follow each other without overlap', () => {
    const { layout, time } = laid(45, PAIR, 'hammer_curl 3 x 12')
    expect(layout.end / layout.pxPerMinute).toBeCloseTo(time.seconds / 60, 6)
    const [first, second] = layout.planks
    expect((first?.x ?? 0) + (first?.width ?? 0)).toBeLessThan(second?.x ?? 0)
    expect(layout.preparation.width / layout.pxPerMinute).toBeCloseTo(time.generalWarmup / 60, 6)
  })
  test('partners have lanes of their own, laced to and fro; a single exercise stands in the middle', () => {
    const { layout } = laid(45, PAIR, 'hammer_curl 3 x 12')
    const [pair, single] = layout.planks
    expect(new Set(pair?.lanes.map(({ y }) => y)).size).toBe(2)
    expect(pair?.laces.map(({ isRest }) => isRest)).toEqual([false, true, false, true, false])
    const [upper, lower] = pair?.lanes ?? []
    expect(single?.lanes[0]?.y).toBe(((upper?.y ?? 0) + (lower?.y ?? 0)) / 2)
    expect(single?.laces).toEqual([])
  })
  test('every set is on it, warm-up sets too', () => {
    const { layout } = laid(null, 'cable_curl warm-up 2 x 10, then 4 x 10')
    expect(layout.planks[0]?.lanes[0]?.sets.map(({ isWarmUp }) => isWarmUp)).toEqual([
      true,
      true,
      false,
      false,
      false,
      false,
    ])
    expect(layout.limit).toBeNull()
  })
  test('nothing planned is an empty strip', () =>
    expect(sessionStripLayout([], [], WIDTH, 45)).toMatchObject({ planks: [], end: 0 }))
})
