import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { formatScheme, parseScheme } from '../shorthand'
import { schemeArbitrary } from '../../testing/schemes'
import { type SetScheme, sharedControls, withControl } from '.'

const scheme = (text: string): SetScheme => {
  const parsed = parseScheme(text)
  if (!parsed.ok) throw new Error(text)
  return parsed.value
}

describe('controls of a scheme', () => {
  test('what the working sets share is read off them', () => {
    const { shared, varies } = sharedControls(
      scheme('warm-up 1 x 8, then 4 x 11/9/7/7, rir 2, rest 90s'),
    )
    expect(shared).toMatchObject({
      effort: { kind: 'rir', rir: 2 },
      restAfter: { kind: 'seconds', seconds: 90 },
    })
    expect([...varies]).toEqual(['reps'])
  })
  test.each([
    ['effort', { kind: 'rir', rir: 1 }, '4 x 10, rir 1, last: drop 30% to failure'],
    ['reps', { kind: 'between', low: 8, high: 12 }, '4 x 8-12, rir 2, last: drop 30% to failure'],
    [
      'restAfter',
      { kind: 'seconds', seconds: 120 },
      '4 x 10, rir 2, rest 120s, last: drop 30% to failure',
    ],
    ['grip', 'neutral', '4 x 10 palms facing, rir 2, last: drop 30% to failure'],
    ['sideOrder', 'switch', '4 x 10, rir 2, left then right, last: drop 30% to failure'],
    ['effort', null, '4 x 10, last: drop 30% to failure'],
  ] as const)('%s', (key, value, text) =>
    expect(
      formatScheme(
        withControl(scheme('4 x 10, rir 2, last: drop 30% to failure'), key, value as never),
      ),
    ).toBe(text),
  )
  test('warm-up sets stay as they are', () =>
    expect(
      formatScheme(
        withControl(scheme('warm-up 1 x 8, then 2 x 10'), 'effort', { kind: 'failure' }),
      ),
    ).toBe('warm-up 1 x 8, then 2 x 10, at failure'))
  test('what was set is what is read, whatever the scheme', () => {
    fc.assert(
      fc.property(schemeArbitrary, fc.integer({ min: 0, max: 5 }), (any, rir) => {
        if (
          !any.runs.some(
            ({ role, stages }) => role !== 'warmup' && stages.some(({ kind }) => kind === 'work'),
          )
        )
          return
        if (
          any.runs.some(
            ({ role, stages }) => role !== 'warmup' && !stages.some(({ kind }) => kind === 'work'),
          )
        )
          return
        const { shared, varies } = sharedControls(withControl(any, 'effort', { kind: 'rir', rir }))
        expect(shared.effort).toEqual({ kind: 'rir', rir })
        expect(varies.has('effort')).toBe(false)
      }),
    )
  })
})
