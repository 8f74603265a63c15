import { describe, expect, test } from '@jest/globals'
import { contextWith, defaultContext, STEADY_MIDDLE } from '../method'
import { type Session, sessionSlots } from '../session'
import { formatScheme } from '../shorthand'
import { written } from '../../testing/shorthandPlans'
import { pairingEffects, sessionSeconds, straightSession, warmUpRuns } from '.'

const context = defaultContext({ trainingAgeMonths: 48 })
const session = (...lines: readonly string[]) => written('arms', ...lines).sessions[0] as Session
const pair = 'cable_curl 4 x 12, rest 90s & pushdown_rope 4 x 12, rest 90s'

describe('what pairing saves and costs', () => {
  test('the same sets straight take longer by what is saved', () => {
    const paired = session(`superset, between 15s, after 75s: ${pair}`)
    const [effect] = pairingEffects(paired, context)
    expect(effect?.saved).toBe(300)
    expect(
      sessionSeconds(straightSession(paired, context), context) - sessionSeconds(paired, context),
    ).toBe(300)
  })
  test.each([
    ['opposite, 75 s after', `superset, after 75s: ${pair}`, 0.95, 'opposite'],
    ['opposite, two minutes', `superset, after 120s: ${pair}`, 1, 'opposite'],
    ['alternating', `alternating, between 60s, after 60s: ${pair}`, 1, 'opposite'],
    [
      'one muscle',
      'superset: cable_curl 3 x 12 & preacher_curl_bar 3 x 12',
      0.8 * 0.95,
      'same_group',
    ],
    ['shared grip', 'superset: machine_row 3 x 12 & cable_curl 3 x 12', 0.97 * 0.95, 'unrelated'],
    [
      'nothing in common',
      'superset: cable_curl 3 x 12 & calf_raise_standing 3 x 12',
      0.97,
      'unrelated',
    ],
  ] as const)('%s', (_, line, reps, relation) =>
    expect(pairingEffects(session(line), context)[0]?.costs[0]).toMatchObject({
      reps: expect.closeTo(reps, 6),
      relation,
    }),
  )
  test('nothing is paired, nothing is saved', () =>
    expect(pairingEffects(session('cable_curl 3 x 12'), context)).toEqual([]))
})

describe('warm-up sets for a slot', () => {
  const warmUps = (
    at: number,
    lines: readonly string[],
    client: Partial<(typeof context)['client']> = {},
  ) => {
    const content = session(...lines)
    const slot = sessionSlots(content)[at]
    return slot
      ? formatScheme({
          runs: warmUpRuns(
            content,
            slot,
            contextWith(STEADY_MIDDLE, { trainingAgeMonths: 48, ...client }),
          ),
        })
      : ''
  }
  test('from the planned load, rounded down to what can be loaded', () =>
    expect(warmUps(0, ['bench_press_barbell 3 x 8, 60kg, rir 2'])).toBe(
      'warm-up 1 x 10, 30kg, rest 45s, then warm-up 1 x 4, 45kg, rest 60s',
    ))
  test('in shares of the usual load where none is planned', () =>
    expect(warmUps(0, ['cable_curl 3 x 10, rir 2'])).toContain('% usual'))
  test('one less where earlier sets have warmed the same joints, one more where something hurts', () => {
    const count = (text: string) => text.split('then').length
    const lines = ['machine_row 6 x 10, rir 2', 'cable_curl 3 x 10, rir 2']
    expect(count(warmUps(0, ['cable_curl 3 x 10, rir 2'])) - count(warmUps(1, lines))).toBe(1)
    expect(count(warmUps(1, lines, { pain: { elbow_flexor_side: 'note' } }))).toBe(2)
  })
  test('body weight gets an easier variant', () =>
    expect(warmUps(0, ['narrow_push_up 3 x 12'])).toBe(
      'warm-up 1 x 6, load "an easier variant", rest 45s',
    ))
})
