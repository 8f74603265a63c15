import { describe, expect, test } from '@jest/globals'
import { checkPlan, type CheckId, findingLines } from '../judge/checks'
import type { ClientFacts } from '../plan/method'
import { type Level, LEVELS, PLAIN_WEEKS, plainWeek } from './plainPlans'

/* What a coach can trust: plain good weeks are left in peace, and one fault planted in them is the first thing said. */

const linesOf = ({ plan, context }: ReturnType<typeof plainWeek>) =>
  findingLines(checkPlan(plan, context))
const PLAIN = PLAIN_WEEKS.flatMap(week => LEVELS.map(level => ({ week, level, name: week.name })))

describe('forty plain weeks', () => {
  test.each(PLAIN)('$name, $level months: five lines at most, none a stop', ({ week, level }) => {
    const lines = linesOf(plainWeek(week, level))
    expect(lines.filter(({ severity }) => severity === 'stop')).toEqual([])
    expect(lines.length).toBeLessThanOrEqual(5)
  })
  test('two lines at most in the middle, and forty of them', () => {
    const counts = PLAIN.map(({ week, level }) => linesOf(plainWeek(week, level)).length)
    expect(counts).toHaveLength(40)
    expect(counts.sort((a, b) => a - b)[20]).toBeLessThanOrEqual(2)
  })
})

/** A fault: in which week and level, what of its lines is written otherwise, and what must be said first. */
type Fault = readonly [
  week: string,
  level: Level,
  was: string | RegExp,
  is: string,
  check: CheckId,
  facts?: Partial<ClientFacts>,
]

const UPPER_LOWER = 'upper and lower twice'
const WHOLE = 'whole body three times'
const PUSH_PULL = 'push, pull, legs, arms'
const UPPER = 'upper body three times'
const ARM_DAY = 'push, pull and an arm day'
const TWO = 'two arm days'
const THREE = 'three short arm days'
const PAIRS = 'arms in pairs, twice'
const EIGHT = 'an eight-day list'
const BETWEEN = 'whole body twice and arms between'
const NOTHING = /^$/

// prettier-ignore
const FAULTS: readonly Fault[] = [
  // What hurts, and what can.
  [UPPER_LOWER, 24, NOTHING, '', 'pain-stop', { pain: { elbow_flexor_side: 'stop' } }],
  [TWO, 60, NOTHING, '', 'pain-swap', { pain: { elbow_extensor_side: 'swap' } }],
  [THREE, 10, 'cable_curl {3/4/5} x 10-12, rir 2', 'cable_curl {3/4/5} x 10-12, rir 0', 'pain-hold-increase', { pain: { elbow_flexor_side: 'hold' } }],
  [ARM_DAY, 24, NOTHING, '', 'screening-open', { screening: 'refer' }],
  [UPPER, 4, NOTHING, '', 'screening-open', { screening: 'open' }],
  [BETWEEN, 60, 'bench_press_dumbbell warm-up 2 x 8, then {2/3/4} x 8-10, rir 2', 'bench_press_barbell warm-up 2 x 8, then {2/3/4} x 8-10, rir 0', 'failure-under-bar'],
  [EIGHT, 24, 'bench_press_dumbbell warm-up 2 x 8, then {3/4/4} x 8-10, rir 2', 'bench_press_barbell warm-up 2 x 8, then {3/4/4} x 8-10 thumbless, rir 2', 'thumbless-press', { permits: ['thumbless'] }],
  [TWO, 10, 'incline_dumbbell_curl {3/4/5} x 10-12, rir 2', 'cable_curl restricted 1 x 30 25% e1rm | rest 40s | 15 | rest 40s | 15', 'restricted-flow-excluded'],
  [WHOLE, 24, 'hammer_curl {2/3/4} x 10-12, rir 2', 'hammer_curl {2/3/4} x 10-12, rir 0', 'minor-limits', { isMinor: true }],
  [UPPER, 60, 'machine_chest_press warm-up 1 x 10, then {1/2/3} x 10-12, rir 2', 'overhead_press_dumbbell warm-up 1 x 10, then {1/2/3} x 10-12, rir 0', 'overhead-failure'],
  [PAIRS, 24, 'hammer_curl {2/3/4} x 12, rir 2', 'hammer_curl {2/3/4} x 12 thumbless, rir 2', 'not-permitted'],
  [THREE, 60, 'pushdown_bar {2/3/4} x 10-12, rir 2', 'pushdown_bar {2/3/4} x 10-12 rir 0 | 5 lower half', 'not-permitted'],
  [TWO, 4, 'cable_curl {3/3/4} x 10-12, rir 2', 'cable_curl {3/3/4} x 10-12, rir 2, last: drop 30% 8', 'first-months'],
  [EIGHT, 24, 'cable_curl {2/3/4} x 10-12, rir 2', 'barbell_curl {2/3/4} x 10 momentum, rir 2', 'momentum-low-back', { joints: { low_back: 'sensitive' } }],
  [UPPER_LOWER, 60, 'bench_press_dumbbell warm-up 2 x 8, then {2/3/4} x 8-10, rir 2', 'bench_press_dumbbell {2/3/4} x 6, rir 2', 'warm-up-missing'],
  [PUSH_PULL, 24, 'machine_squat warm-up 2 x 8, then {2/3/4} x 8-10, rir 2', 'machine_squat {2/3/4} x 5, rir 1', 'warm-up-missing'],
  // Joints.
  [TWO, 24, 'pushdown_rope {3/4/5} x 10-12, rir 2', 'lying_extension_cambered warm-up 2 x 10, then {8/9/9} x 8, rir 1', 'session-joint-ceiling'],
  [PAIRS, 60, 'incline_dumbbell_curl {3/4/5} x 10-12, rir 2', 'incline_dumbbell_curl {8/9/12} x 8, rir 1', 'session-joint-ceiling'],
  // The dose of a session.
  [TWO, 10, 'incline_dumbbell_curl {3/4/5} x 10-12, rir 2', 'cable_curl {7/9/9} x 10-12, rir 2', 'group-crowded'],
  [THREE, 24, 'pushdown_rope {2/4/5} x 10-12, rir 2', 'pushdown_rope {2/13/5} x 12-15, rir 2', 'group-crowded'],
  [THREE, 60, 'hammer_curl {2/3/4} x 10-12, rir 2', 'hammer_curl {2/3/4} x 10-12, rir 5', 'effort-too-low'],
  [THREE, 60, /rir 2$/, 'rir 0', 'failure-share'],
  [THREE, 10, 'incline_dumbbell_curl {2/3/4} x 10-12, rir 2', 'barbell_curl warm-up 2 x 8, then {2/3/4} x 5, rir 2', 'low-rep-isolation'],
  [ARM_DAY, 60, 'overhead_extension_rope warm-up 2 x 12, then {3/5/6} x 10-12, rir 2', 'overhead_extension_rope warm-up 2 x 12, then {3/5/6} x 10-12 rir 0 | drop 30% 8', 'extended-too-many'],
  // Order and rests.
  [THREE, 24, 'overhead_extension_rope warm-up 2 x 12, then {2/4/5} x 10-12, rir 2', 'overhead_extension_rope {2/4/5} x 10-12, rir 2', 'overhead-extension-cold'],
  [BETWEEN, 24, 'machine_squat warm-up 2 x 8, then {3/4/4} x 8-10, rir 2', 'machine_squat warm-up 2 x 8, then {3/4/4} x 8-10, rir 2, rest 30s', 'rest-too-short'],
  [PAIRS, 24, 'alternating: cable_curl {3/4/5} x 10-12, rir 2 & overhead_extension_rope warm-up 2 x 12, then {3/5/6} x 10-12, rir 2', 'alternating: cable_curl {3/4/5} x 10-12, rir 2 & pushdown_bar {3/5/6} x 10-12, rir 2', 'head-uncovered'],
  [UPPER, 10, 'seated_cable_row {2/3/4} x 10, rir 2', 'seated_cable_row {2/3/4} x 0', 'odd-figures'],
  [TWO, 24, 'cable_curl {3/3/4} x 10-12, rir 2', 'cable_curl {3/3/4} x 100, rir 2', 'odd-figures'],
  // What a client has and wants.
  [UPPER_LOWER, 10, NOTHING, '', 'exercise-avoided', { avoid: ['calf_raise_seated'] }],
  [TWO, 24, NOTHING, '', 'equipment-missing', { equipment: ['cable', 'dumbbell'] }],
  [THREE, 10, NOTHING, '', 'kept-exercise-missing', { keep: ['dip'] }],
  // The dose of a week.
  [UPPER_LOWER, 24, /^cable_crunch .*/, 'calf_raise_seated 0 x 12', 'below-floor'],
  [WHOLE, 60, /^calf_raise_standing .*/, 'leg_extension 0 x 12', 'below-floor'],
  [PUSH_PULL, 60, 'lateral_raise_cable {2/4/5} x 15, rir 2', 'lateral_raise_cable {2/4/12} x 15, rir 2', 'above-ceiling'],
  [PAIRS, 60, 'overhead_extension_rope warm-up 2 x 12, then {3/5/6} x 10-12, rir 2', 'overhead_extension_rope warm-up 2 x 12, then {3/5/1} x 10-12, rir 2', 'below-floor'],
  [TWO, 60, 'overhead_extension_rope warm-up 2 x 12, then {3/5/6} x 10-12, rir 2', 'lateral_raise_cable {3/5/6} x 15, rir 2', 'below-floor'],
  [THREE, 24, /^(pushdown_rope|pushdown_bar) .*/, 'lateral_raise_cable 2 x 15, rir 2', 'below-floor'],
  [EIGHT, 24, /^(hammer_curl|cable_curl .0).*/, 'cable_fly 1 x 12, rir 2', 'frequency-low'],
  [ARM_DAY, 10, 'cable_crunch {3/4/5} x 12, rir 2', 'cable_crunch {0/4/5} x 12, rir 2', 'below-floor'],
]

describe('forty weeks with one fault each', () => {
  test('there are forty', () => expect(FAULTS).toHaveLength(40))
  test.each(FAULTS.map(fault => ({ fault, name: `${fault[0]}, ${fault[1]} months: ${fault[4]}` })))(
    '$name is said first',
    ({ fault: [name, level, was, is, check, facts] }) => {
      const week = PLAIN_WEEKS.find(({ name: own }) => own === name)!
      const spoilt = {
        ...week,
        week: week.week.map(day => {
          if (!day) return null
          const [role, ...lines] = day
          return [role, ...lines.map(line => line.replace(was, is))] as const
        }),
      }
      if (was !== NOTHING) expect(spoilt).not.toEqual(week)
      expect(linesOf(plainWeek(week, level)).map(line => line.check)).not.toContain(check)
      expect(linesOf(plainWeek(spoilt, level, facts))[0]?.check).toBe(check)
    },
  )
})
