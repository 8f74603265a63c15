import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { addDays, type PlainDate, plainDate } from '../../base'
import type { Group } from '../../plan/catalogue'
import type { DatedValue } from '../log'
import { defaultContext } from '../../plan/method'
import type { OwnPace } from '../recovery'
import { writtenSession } from '../../testing/shorthandPlans'
import { isClear, learnedPaces, PACE_STEP, pacesAfter, pacesWith, type TrainedSession } from '.'

const context = defaultContext({ trainingAgeMonths: 40 })
const today = plainDate('2026-06-01')
const pace = (value: number, low: number, high: number, byStrength = value): OwnPace => ({
  kind: 'pace',
  pace: value,
  low,
  high,
  exposures: 14,
  byStrength,
})
const of = (own: OwnPace): ReadonlyMap<Group, OwnPace> => new Map([['triceps', own]])

describe('what was learned comes into force', () => {
  test('only where the interval leaves the usual hours out', () => {
    expect(
      [
        pace(1.2, 0.9, 1.6),
        pace(1.3, 1.05, 1.6),
        pace(0.7, 0.5, 0.9),
        // Answers alone, with strength that says nothing of it, are offered and not used.
        pace(1.3, 1.05, 1.6, 1.01),
        pace(0.7, 0.5, 0.9, 1.1),
        { kind: 'not_enough_data' as const, exposures: 5, why: 'few' as const },
      ].map(isClear),
    ).toEqual([false, true, true, false, false, false])
    expect(pacesAfter(of(pace(1.2, 0.9, 1.6)), {}, {}, today)).toEqual({ paces: {}, records: {} })
  })
  test('in steps of 0.15 in 28 days', () => {
    const once = pacesAfter(of(pace(1.5, 1.2, 1.8)), {}, {}, today)
    expect(once).toEqual({
      paces: { triceps: 1.15 },
      records: { triceps: { by: 'log', on: today, was: 1 } },
    })
    expect(
      pacesAfter(of(pace(1.5, 1.2, 1.8)), once.paces, once.records, addDays(today, 27)),
    ).toEqual(once)
    expect(
      pacesAfter(of(pace(1.5, 1.2, 1.8)), once.paces, once.records, addDays(today, 28)).paces,
    ).toEqual({ triceps: 1.3 })
  })
  test('never over what the coach has set; she can set, go back, and begin anew', () => {
    const set = pacesWith('triceps', { kind: 'set', pace: 0.8 }, {}, {}, today)
    expect(pacesAfter(of(pace(1.5, 1.2, 1.8)), set.paces, set.records, addDays(today, 90))).toEqual(
      set,
    )
    expect(pacesWith('triceps', { kind: 'usual' }, set.paces, set.records, today)).toMatchObject({
      paces: {},
      records: { triceps: { by: 'coach', was: 0.8 } },
    })
    const anew = pacesWith('triceps', { kind: 'anew' }, set.paces, set.records, today)
    expect(anew).toEqual({
      paces: {},
      records: { triceps: { by: 'log', on: today, was: 1, since: today } },
    })
    expect(
      pacesAfter(of(pace(1.1, 1.05, 1.2)), anew.paces, anew.records, addDays(today, 40)),
    ).toMatchObject({ paces: { triceps: 1.1 }, records: { triceps: { since: today } } })
  })
  test('whatever is learned and when, no step is larger than allowed', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            days: fc.nat({ max: 40 }),
            value: fc.double({ min: 0.5, max: 2, noNaN: true }),
          }),
          { maxLength: 8 },
        ),
        steps => {
          let state: ReturnType<typeof pacesAfter> = { paces: {}, records: {} }
          let on: PlainDate = today
          const course: { on: PlainDate; pace: number }[] = [{ on, pace: 1 }]
          for (const { days, value } of steps) {
            on = addDays(on, days)
            state = pacesAfter(
              of(pace(value, value > 1 ? 1.01 : 0.5, value > 1 ? 2 : 0.99)),
              state.paces,
              state.records,
              on,
            )
            course.push({ on, pace: state.paces.triceps ?? 1 })
          }
          for (const [at, now] of course.entries())
            for (const before of course.slice(0, at))
              if (addDays(before.on, PACE_STEP.days) > now.on)
                expect(Math.abs(now.pace - before.pace)).toBeLessThanOrEqual(
                  2 * PACE_STEP.most + 0.011,
                )
        },
      ),
    )
  })
})

const content = writtenSession('cable_curl 8 x 10-12, rir 0')
/** Sessions at the given gaps, with estimates that sag by what is left of the session before at a pace. */
function trained(
  gapsInDays: readonly number[],
  truth: number,
): { readonly sessions: readonly TrainedSession[]; readonly values: readonly DatedValue[] } {
  let [on, fatigue] = [plainDate('2026-03-02'), 0]
  const rows = gapsInDays.map(gap => {
    on = addDays(on, gap)
    fatigue *= Math.exp((-gap * 24) / (30 * truth))
    const value = 40 * Math.exp((-0.18 * fatigue) / 12)
    fatigue += 10
    return { on, value }
  })
  return {
    sessions: rows.map(row => ({
      on: row.on,
      place: 0,
      content,
      isRecovered: null,
      isPainful: false,
    })),
    values: rows.map(({ on: day, value }) => ({
      exercise: 'cable_curl',
      on: day,
      value,
      repsToFailure: 12,
    })),
  }
}
const GAPS = [1, 3, 1, 4, 2, 1, 5, 1, 3, 1, 2, 4, 1, 3, 1, 5]

describe('learning from a log', () => {
  test('a client who recovers slowly is told from one who recovers fast', () => {
    const slow = learnedPaces(trained(GAPS, 1.8).sessions, trained(GAPS, 1.8).values, context).get(
      'biceps',
    )
    const fast = learnedPaces(trained(GAPS, 0.6).sessions, trained(GAPS, 0.6).values, context).get(
      'biceps',
    )
    expect(
      slow?.kind === 'pace' &&
        fast?.kind === 'pace' &&
        slow.pace > 1.1 &&
        fast.pace < 0.95 &&
        slow.exposures === 15,
    ).toBe(true)
  })
  test('few sessions, gaps all alike, painful ones: nothing is claimed', () => {
    const few = trained(GAPS.slice(0, 6), 1.5)
    const alike = trained(
      GAPS.map(() => 4),
      1.5,
    )
    const sore = trained(GAPS, 1.5)
    expect(learnedPaces(few.sessions, few.values, context).get('biceps')?.kind).toBe(
      'not_enough_data',
    )
    expect(learnedPaces(alike.sessions, alike.values, context).get('biceps')?.kind).toBe(
      'not_enough_data',
    )
    expect(
      learnedPaces(
        sore.sessions.map(session => ({ ...session, isPainful: true })),
        sore.values,
        context,
      ).get('biceps'),
    ).toBeUndefined()
    expect(learnedPaces([], [], context).size).toBe(0)
  })
})
