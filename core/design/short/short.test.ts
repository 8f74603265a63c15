import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { sessionId } from '../../base'
import { checkInput } from '../../judge/checks'
import { BUILT_IN_CATALOGUE, GROUPS } from '../../plan/catalogue'
import { contextWith, DENSE_AND_SHORT, type Method, STEADY_MIDDLE } from '../../plan/method'
import { sessionSeconds, sessionTime } from '../../plan/minutes'
import { plannedSets } from '../../plan/scheme'
import { type Session, sessionSlots } from '../../plan/session'
import { planArbitrary } from '../../testing/arbitraries'
import { planIn, written } from '../../testing/shorthandPlans'
import { catchUpOffers, type GroupWeek, groupWeeks, SHORT_WAYS, shortSession } from '.'

/** Set-up times of the worked example (docs/methods.md#short-sessions). */
const SETUPS: Readonly<Record<string, number>> = {
  cambered_bar_curl: 60,
  lying_extension_cambered: 45,
  incline_dumbbell_curl: 30,
  pushdown_rope: 45,
  hammer_curl: 20,
  wrist_curl: 20,
}
const catalogue = new Map(
  [...BUILT_IN_CATALOGUE].map(([id, held]) => [
    id,
    { ...held, setupSeconds: SETUPS[id] ?? held.setupSeconds },
  ]),
)
const without = (...removed: readonly number[]): Method => ({
  ...STEADY_MIDDLE,
  time: {
    ...STEADY_MIDDLE.time,
    compression: STEADY_MIDDLE.time.compression.filter(step => !removed.includes(step)),
  },
})
const contextOf = (method: Method = STEADY_MIDDLE) =>
  contextWith(
    method,
    {
      trainingAgeMonths: 48,
      modes: {
        biceps: 'build',
        triceps: 'build',
        elbow_flexors_other: 'keep',
        forearms: 'maintain',
      },
    },
    catalogue,
  )

/** A method without drops. */
const plain: Method = { ...STEADY_MIDDLE, effort: { ...STEADY_MIDDLE.effort, extendedKinds: [] } }

const ARMS = [
  'cambered_bar_curl (biceps 1, elbow_flexors_other 0.5) warm-up 1 x 10, then warm-up 1 x 4, rest 60s, then 4 x 10, rir 2, rest 90s',
  'lying_extension_cambered (triceps 1) warm-up 1 x 10, then warm-up 1 x 4, rest 60s, then 4 x 10, rir 2, rest 90s',
  'incline_dumbbell_curl (biceps 1, elbow_flexors_other 0.25) 3 x 12, rir 2, rest 90s',
  'pushdown_rope (triceps 1) 3 x 12, rir 2, rest 90s',
  'hammer_curl (biceps 0.5, elbow_flexors_other 1) 3 x 12, rir 2, rest 90s',
  'wrist_curl (forearms 1) 2 x 15, rir 2',
]
const day = written('arms', ...ARMS)
const session = day.sessions[0] as Session
/** Every group in the middle of its band, so that need is 1 throughout. */
const inBand = Object.fromEntries(
  GROUPS.map(group => [group, { counted: 10, band: { floor: 0, target: 20, ceiling: 30 } }]),
) as unknown as Record<(typeof GROUPS)[number], GroupWeek>
const shortened = (minutes: number, method?: Method) =>
  shortSession({ session, minutes, context: contextOf(method), weeks: inBand, lengthDays: 7 })
const secondsAfter = (minutes: number) => {
  const { before, changes } = shortened(minutes)
  let at = before
  return changes.map(({ saved }) => (at -= saved))
}

describe('only so many minutes today (domain-2 T16 to T18)', () => {
  test('T16 the whole session', () =>
    expect(shortened(60)).toMatchObject({
      before: 2957,
      seconds: 2957,
      fits: true,
      kept: 1,
      changes: [],
      slots: [],
    }))
  test('T17 thirty-five minutes keep every set', () => {
    expect(shortened(35)).toMatchObject({ seconds: 2056, fits: true, kept: 1, slots: [] })
    expect(secondsAfter(35)).toEqual([2837, 2754, 2671, 2371, 2161, 2101, 2056])
    expect(shortened(35).changes.map(({ step }) => step)).toEqual([
      'warm_up',
      'warm_up_sets',
      'warm_up_sets',
      'pair',
      'pair',
      'rests',
      'rests',
    ])
  })
  test('T18 twenty-five minutes lose the least worth for each second', () => {
    const result = shortened(25)
    expect(secondsAfter(25).slice(-7)).toEqual([2026, 1913, 1795, 1691, 1587, 1528, 1424])
    expect(
      result.changes
        .filter(({ step }) => step === 'sets')
        .map(({ slots: [slot] }) => slot?.exercise),
    ).toEqual([
      'wrist_curl',
      'wrist_curl',
      'hammer_curl',
      'hammer_curl',
      'pushdown_rope',
      'incline_dumbbell_curl',
    ])
    expect(result.kept).toBeCloseTo(0.742, 3)
    expect(result.groups.find(({ group }) => group === 'triceps')).toMatchObject({
      before: 7,
      after: 6,
    })
    expect(result.slots.map(({ slot, before, after }) => [slot.exercise, before, after])).toEqual([
      ['incline_dumbbell_curl', 3, 2],
      ['pushdown_rope', 3, 2],
      ['hammer_curl', 3, 1],
      ['wrist_curl', 2, 0],
    ])
  })
  test('what falls under its floor stays longest', () => {
    const scarce = {
      ...inBand,
      forearms: { counted: 2, band: { floor: 2, target: 4, ceiling: 6 } },
    }
    const { changes } = shortSession({
      session,
      minutes: 32,
      context: contextOf(without(3, 4)),
      weeks: scarce,
      lengthDays: 7,
    })
    expect(changes.filter(({ step }) => step === 'sets')[0]?.slots[0]?.exercise).toBe('wrist_curl')
    expect(
      shortSession({
        session,
        minutes: 40,
        context: contextOf(),
        weeks: { ...inBand, biceps: { counted: 30, band: { floor: 6, target: 10, ceiling: 18 } } },
        lengthDays: 7,
      }).fits,
    ).toBe(true)
  })
})

describe('limits of the steps', () => {
  test('a held exercise and a refused step are left alone', () => {
    const refused = new Set([shortened(35).changes[3]?.key ?? ''])
    const result = shortSession({
      session,
      minutes: 35,
      context: contextOf(),
      weeks: inBand,
      lengthDays: 7,
      refused,
    })
    expect(result.changes.some(({ key }) => refused.has(key))).toBe(false)
    const held: Session = {
      ...session,
      groupings: session.groupings.map(grouping => ({
        ...grouping,
        slots: [{ ...grouping.slots[0], isHeld: true }],
      })),
    }
    expect(
      shortSession({
        session: held,
        minutes: 10,
        context: contextOf(),
        weeks: inBand,
        lengthDays: 7,
      }),
    ).toMatchObject({ fits: false, kept: 1, seconds: 2837 })
  })
  test('a joint on hold keeps its warm-up', () => {
    const sore = {
      ...contextOf(),
      client: { ...contextOf().client, pain: { elbow_extensor_side: 'hold' as const } },
    }
    const { changes } = shortSession({
      session,
      minutes: 35,
      context: sore,
      weeks: inBand,
      lengthDays: 7,
    })
    expect(changes.some(({ step }) => step === 'warm_up')).toBe(false)
    expect(
      changes
        .filter(({ step }) => step === 'warm_up_sets')
        .map(({ slots: [slot] }) => slot?.exercise),
    ).toEqual(['cambered_bar_curl'])
  })
  test('drops only where the method has them, on two exercises at most, and not under a free bar', () => {
    const { changes } = shortened(20, {
      ...DENSE_AND_SHORT,
      time: { ...DENSE_AND_SHORT.time, compression: [1, 2, 5, 6] },
    })
    const drops = changes.filter(({ step }) => step === 'drop')
    expect(drops).toHaveLength(2)
    expect(shortened(20, plain).changes.some(({ step }) => step === 'drop')).toBe(false)
  })
  test('the least that can be is a lead exercise for each muscle that is built up, and it says when even that is too long', () => {
    const result = shortened(5)
    expect(result.fits).toBe(false)
    expect(sessionSlots(result.session).map(({ exercise }) => exercise)).toEqual([
      'cambered_bar_curl',
      'lying_extension_cambered',
    ])
  })
  test('two busy stations, a heavy compound and a method without pairs are not paired', () => {
    const pairs = (lines: readonly string[], method = STEADY_MIDDLE) =>
      shortSession({
        session: written('arms', ...lines).sessions[0] as Session,
        minutes: 3,
        context: contextOf(method),
        weeks: inBand,
        lengthDays: 7,
      }).changes.some(({ step }) => step === 'pair')
    expect(pairs(['cable_curl 3 x 12', 'pushdown_rope 3 x 12'])).toBe(true)
    expect(pairs(['cable_curl 3 x 12', 'machine_dip 3 x 12'])).toBe(false)
    expect(pairs(['bench_press_dumbbell 3 x 5, rir 1', 'dumbbell_row 3 x 12'])).toBe(false)
    expect(
      pairs(['cable_curl 3 x 12', 'pushdown_rope 3 x 12'], {
        ...STEADY_MIDDLE,
        pairing: { ...STEADY_MIDDLE.pairing, mode: 'straight' },
      }),
    ).toBe(false)
  })
})

describe('other shapes', () => {
  const shape = (way: (typeof SHORT_WAYS)[number], method?: Method) =>
    shortSession({
      session,
      minutes: 38,
      context: contextOf(method),
      weeks: inBand,
      lengthDays: 7,
      way,
    })
  test('later exercises keep part of their sets, with a drop at the end where drops are allowed', () => {
    const { changes, session: short } = shape('later_exercises', DENSE_AND_SHORT)
    expect(changes.some(({ step }) => step === 'later_exercises')).toBe(true)
    expect(JSON.stringify(short)).toContain('drop_percent')
    expect(JSON.stringify(shape('later_exercises', plain).session)).not.toContain('drop_percent')
  })
  test('fewer exercises keep one for each muscle', () => {
    const exercises = sessionSlots(shape('fewer_exercises').session).map(({ exercise }) => exercise)
    expect(exercises).toEqual(
      expect.arrayContaining(['cambered_bar_curl', 'lying_extension_cambered', 'hammer_curl']),
    )
    expect(exercises.length).toBeLessThan(6)
  })
})

test('sets left out are offered to a later day that is ready and has the time', () => {
  const plan = planIn(
    7,
    day,
    written('pull', 'pulldown_neutral 3 x 10'),
    written('upper', 'hammer_curl 2 x 12', 'pushdown_rope 2 x 12'),
  )
  const context = contextOf()
  const input = checkInput(plan, context)
  const short = shortSession({
    session,
    minutes: 25,
    context,
    weeks: groupWeeks(input.ledger),
    lengthDays: 7,
  })
  const offers = catchUpOffers(short, 0, input)
  expect(offers.length).toBeGreaterThan(0)
  for (const offer of offers)
    expect(offer).toMatchObject({ day: expect.any(Number), sets: expect.any(Number) })
  expect(offers.every(offer => offer.day !== 0)).toBe(true)
})

test('seconds known by grouping are those of the whole, and shortening never adds time or loses what it does not name', () => {
  const context = contextOf()
  fc.assert(
    fc.property(
      planArbitrary,
      fc.integer({ min: 5, max: 60 }),
      fc.constantFrom(...SHORT_WAYS),
      (plan, minutes, way) => {
        for (const rotationDay of plan.rotation.days) {
          for (const content of rotationDay.sessions) {
            const own = { ...content, id: sessionId('s') }
            expect(sessionSeconds(own, context)).toBeCloseTo(sessionTime(own, context).seconds, 6)
            const result = shortSession({
              session: own,
              minutes,
              context,
              weeks: inBand,
              lengthDays: 7,
              way,
            })
            expect(result.seconds).toBeCloseTo(sessionTime(result.session, context).seconds, 6)
            expect(result.seconds).toBeLessThanOrEqual(result.before + 1e-6)
            expect(result.kept).toBeGreaterThanOrEqual(0)
            expect(result.kept).toBeLessThanOrEqual(1 + 1e-9)
            const lost = result.slots.reduce((sum, { before, after }) => sum + before - after, 0)
            const sets = (of: Session) =>
              sessionSlots(of).reduce((sum, { scheme }) => sum + plannedSets(scheme), 0)
            expect(sets(own) - sets(result.session)).toBe(lost)
            if (result.seconds > minutes * 60) expect(result.fits).toBe(false)
          }
        }
      },
    ),
    { numRuns: 40 },
  )
})
