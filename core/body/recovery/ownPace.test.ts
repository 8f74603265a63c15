import { describe, expect, test } from '@jest/globals'
import { seededRandom } from '../../base'
import type { Group } from '../../plan/catalogue'
import { paceEvidence, type PaceExposure, pacesTogether, PERFORMANCE_LOSS, RECOVERY } from '.'

const GAPS = [24, 72, 48, 96, 24, 48, 72, 120]
const MUSCLES = ['biceps', 'triceps', 'lats'] as const
interface Truth {
  readonly pace: number
  readonly centre: number
  readonly sessions?: number
  /** How the question is answered; not at all where left out. */
  readonly asks?: 'yes_no' | 'rating'
  readonly scatter?: number
  /** Points of readiness over which answers go from one end to the other. */
  readonly scale?: number
}

/** What is said of a share on 0 to 10; there is nothing beyond the ends. */
const ratingOf = (share: number) => Math.round(10 * Math.min(1, Math.max(0, share)))

/** Exposures of one muscle whose true pace is known. */
function exposures(
  group: Group,
  { pace, centre, sessions = 24, asks, scatter = 0.02, scale = 7 }: Truth,
  seed: number,
): readonly PaceExposure[] {
  const random = seededRandom(seed)
  const normal = () => [0, 0, 0, 0, 0, 0].reduce(sum => sum + random() - 0.5, 0) * 1.41
  const { tauHours, capacity } = RECOVERY[group]
  return Array.from({ length: sessions }, (_, at) => {
    const [hours, before] = [GAPS[at % 8]!, GAPS[(at + 7) % 8]!]
    const doses = [
      { impulse: 7, hours },
      { impulse: 7, hours: hours + before },
    ]
    const tired =
      doses.reduce(
        (sum, dose) => sum + dose.impulse * Math.exp(-dose.hours / (tauHours * pace)),
        0,
      ) / capacity
    const share = 1 / (1 + Math.exp(-(100 * (1 - tired) - centre) / scale))
    return {
      doses,
      week: at * 0.4,
      deviation: -PERFORMANCE_LOSS * tired + scatter * normal(),
      ...(asks === 'yes_no' && { recovered: random() < share }),
      ...(asks === 'rating' && { recovered: ratingOf(share + 0.2 * normal()) }),
    }
  })
}
const learned = (truths: Readonly<Record<string, Truth>>, seed = 1) =>
  pacesTogether(
    new Map(
      Object.entries(truths).map(([group, truth], at) => [
        group,
        paceEvidence(exposures(group as Group, truth, seed + at * 1000), group as Group),
      ]),
    ),
  )
const paceOf = (truths: Readonly<Record<string, Truth>>, group: string, seed?: number) => {
  const own = learned(truths, seed).get(group)!
  if (own.kind !== 'pace') throw new Error(`${group}: ${own.why}`)
  return own
}
const alike = (truth: Truth) => Object.fromEntries(MUSCLES.map(group => [group, truth]))

describe('what is learned of recovery', () => {
  test.each([0.7, 1, 1.5])(
    'strength alone finds a pace of %s within its interval, most of the time',
    pace => {
      const found = Array.from({ length: 30 }, (_, seed) =>
        paceOf({ biceps: { pace, centre: 80, sessions: 40 } }, 'biceps', seed + 1),
      )
      expect(found.filter(({ low, high }) => low <= pace && pace <= high).length).toBeGreaterThan(
        20,
      )
      for (const one of found) expect(one.byStrength).toBeCloseTo(one.pace, 6)
    },
  )
  test.each([
    [70, 'yes_no'],
    [90, 'yes_no'],
    [70, 'rating'],
    [90, 'rating'],
  ] as const)(
    'who calls herself recovered at %s %% (%s) is given no wrong pace for it',
    (centre, asks) => {
      const off = Array.from({ length: 12 }, (_, seed) =>
        Math.log(paceOf(alike({ pace: 1, centre, asks }), 'biceps', seed + 1).pace),
      )
      const mean = off.reduce((sum, one) => sum + one, 0) / off.length
      expect(Math.abs(mean)).toBeLessThan(0.15)
    },
  )
  test.each([
    [70, 6],
    [90, 6],
    [80, 4],
    [85, 11],
  ])(
    'answers from 0 to 10 about %s %% over %s points are read with their ends, and the interval holds',
    (centre, scale) => {
      const all = Array.from({ length: 40 }, (_, seed) =>
        paceOf(alike({ pace: 1, centre, scale, asks: 'rating', sessions: 40 }), 'biceps', seed + 1),
      )
      const holds = all.filter(({ low, high }) => low <= 1 && 1 <= high)
      expect(holds.length).toBeGreaterThanOrEqual(30)
      const middle = all.map(({ pace }) => pace).sort((a, b) => a - b)[20]!
      expect(Math.abs(Math.log(middle))).toBeLessThan(0.1)
    },
  )
  test('answers say which of two muscles is the slower one', () => {
    const truths = {
      biceps: { pace: 1.5, centre: 75, asks: 'yes_no' },
      triceps: { pace: 0.8, centre: 75, asks: 'yes_no' },
    } as const
    const right = Array.from({ length: 12 }, (_, seed) => learned(truths, seed + 1)).filter(all => {
      const [slow, fast] = [all.get('biceps')!, all.get('triceps')!]
      return slow.kind === 'pace' && fast.kind === 'pace' && slow.pace > fast.pace
    })
    expect(right.length).toBeGreaterThanOrEqual(11)
  })
  test('steady progress is no recovery: a rising client is told the same as a flat one', () => {
    const flat = exposures('biceps', { pace: 1, centre: 80, sessions: 30 }, 5)
    const rising = flat.map(one => ({ ...one, deviation: one.deviation + 0.004 * (one.week ?? 0) }))
    const of = (all: readonly PaceExposure[]) => {
      const own = pacesTogether(new Map([['biceps', paceEvidence(all, 'biceps')]])).get('biceps')!
      return own.kind === 'pace' ? own.pace : NaN
    }
    expect(of(rising) / of(flat)).toBeCloseTo(1, 1)
  })
  test('quantiles lie in their order, and more sessions are surer', () => {
    const [few, many] = [12, 48].map(sessions =>
      paceOf({ biceps: { pace: 1.2, centre: 80, sessions, asks: 'yes_no' } }, 'biceps'),
    )
    for (const { low, pace, high } of [few!, many!]) expect(low < pace && pace < high).toBe(true)
    expect(many!.high / many!.low).toBeLessThan(few!.high / few!.low)
  })
  test('a muscle that teaches nothing is told so beside one that does', () => {
    const both = learned({
      biceps: { pace: 1, centre: 80, sessions: 20 },
      triceps: { pace: 1, centre: 80, sessions: 5 },
    })
    expect([...both.values()].map(({ kind }) => kind)).toEqual(['pace', 'not_enough_data'])
  })
})
