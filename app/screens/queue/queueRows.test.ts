import { expect, test } from '@jest/globals'
import { clientId } from '#core/base'
import type { QueueEntry } from '#shared/contracts/queue'
import type { ReviewView } from '#shared/contracts/review'
import { after } from './queueOrder'
import { INTERVAL_AXIS, strengthRows } from './strengthRows'

const trend = (more: Partial<ReviewView['muscleTrends'][number]>) =>
  ({
    group: 'chest',
    verdict: 'progress',
    slope: 0.01,
    error: 0.004,
    count: 17,
    spanWeeks: 9,
    since: null,
    leaning: null,
    ...more,
  }) as ReviewView['muscleTrends'][number]

test('strength: arms first, each in words, as a range on one axis and as a figure', () => {
  const rows = strengthRows({
    muscleTrends: [
      trend({ group: 'chest', verdict: 'decline', slope: -0.02 }),
      trend({ group: 'biceps' }),
      trend({ group: 'triceps', verdict: 'insufficient', count: 3 }),
      trend({ group: 'calves', count: 0 }),
    ],
  })
  expect(rows.map(({ group, isFalling, figure }) => [group, isFalling, figure])).toEqual([
    ['biceps', false, '+1.0\u00A0%'],
    ['triceps', false, 'not yet'],
    ['chest', true, '−2.0\u00A0%'],
  ])
  const [biceps, triceps, chest] = rows
  expect(biceps!.words).toBe('Rising')
  expect(biceps!.at!.from).toBeLessThan(biceps!.at!.middle)
  expect(biceps!.at!.middle).toBe(100)
  expect(triceps!.at).toBeNull()
  // What lies past the axis ends at its edge.
  expect(chest!.at!.from).toBeGreaterThanOrEqual(0)
  expect(INTERVAL_AXIS.band).toEqual([65, 85])
})

test('after somebody comes whoever stands behind her, after the last the first', () => {
  const entry = (n: number) =>
    ({ id: clientId(`00000000-0000-4000-8000-00000000000${n}`) }) as QueueEntry
  const all = [1, 2, 3].map(entry)
  expect(after(all[0]!, all)).toBe(all[1])
  expect(after(all[2]!, all)).toBe(all[0])
  expect(after(null, all)).toBe(all[0])
  // Whoever was looked at already stands among the others no more.
  expect(after(entry(4), all)).toBe(all[0])
  expect(after(all[0]!, [all[0]!])).toBeUndefined()
})
