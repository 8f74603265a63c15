import type { PlanDocument } from '../plan/block'
import { type ClientFacts, contextWith, type PlanContext, STEADY_MIDDLE } from '../plan/method'
import type { DayRole, RotationDay } from '../plan/rotation'
import { planOf } from './notation'
import { written } from './shorthandPlans'

/*
 * Weeks as sensible coaches write them, after docs/methods.md: within the bands, pressed and pulled before arms, heavy work
 * warmed up, two in reserve. `{1/2/3}` is the number of sets in the first year, from one to three years, and after.
 */

/** Months of training that the plans are written for: first half year, first year, second, fifth. */
export const LEVELS = [4, 10, 24, 60] as const
export type Level = (typeof LEVELS)[number]

type Lines = readonly string[]
type Day = readonly [role: DayRole, ...lines: Lines]
interface Written {
  readonly name: string
  readonly scope: NonNullable<ClientFacts['scope']>
  readonly week: readonly (Day | null)[]
}

const column = (level: Level) => (level < 12 ? 0 : level <= 36 ? 1 : 2)

/** The lines of a level; an exercise that has no sets at that level is left out. */
function linesFor(level: Level, lines: Lines): Lines {
  return lines
    .map(line =>
      line.replace(/\{([\d/]+)\}/g, (_, counts: string) => counts.split('/')[column(level)]!),
    )
    .filter(line => !/(^|, then )\S+ 0 x/.test(line))
}

const REST: RotationDay = { role: 'rest', sessions: [] }

/** A plain week of a level, with the context of the client it is for. */
export function plainWeek({ scope, week }: Written, level: Level, more: Partial<ClientFacts> = {}) {
  const days = week.map(day => {
    if (!day) return REST
    const [role, ...lines] = day
    return written(role, ...linesFor(level, lines))
  })
  const plan: PlanDocument = planOf(...days)
  const context: PlanContext = contextWith(STEADY_MIDDLE, {
    trainingAgeMonths: level,
    scope,
    screening: 'clear',
    ...more,
  })
  return { plan, context }
}

const BENCH = 'bench_press_dumbbell warm-up 2 x 8, then'
const INCLINE = 'incline_press_dumbbell warm-up 2 x 8, then'
const SQUAT = 'machine_squat warm-up 2 x 8, then'
const HINGE = 'romanian_deadlift warm-up 2 x 8, then'

/** The plain weeks; each is written for every level. */
export const PLAIN_WEEKS: readonly Written[] = [
  {
    name: 'upper and lower twice',
    scope: 'whole_body',
    week: [
      [
        'upper',
        `${BENCH} {2/3/4} x 8-10, rir 2`,
        'seated_cable_row {2/3/4} x 10, rir 2',
        'lateral_raise_dumbbell {2/3/4} x 12-15, rir 2',
        'incline_dumbbell_curl {3/4/5} x 10-12, rir 2',
        'pushdown_rope {2/3/4} x 10-12, rir 2',
      ],
      [
        'lower',
        `${SQUAT} {2/3/4} x 8-10, rir 2`,
        'leg_curl_seated {2/3/3} x 10-12, rir 2',
        'calf_raise_standing {2/3/4} x 10-12, rir 2',
        'cable_crunch {2/3/3} x 12, rir 2',
      ],
      null,
      [
        'upper',
        `${INCLINE} {2/3/4} x 8-10, rir 2`,
        'pulldown_neutral {3/4/4} x 10, rir 2',
        'rear_fly_machine {2/4/4} x 12-15, rir 2',
        'lateral_raise_cable {2/3/4} x 12-15, rir 2',
        'rope_hammer_curl {1/2/2} x 10-12, rir 2',
        'cable_curl {1/2/3} x 10-12, rir 2',
        'overhead_extension_rope warm-up 2 x 12, then {3/5/6} x 10-12, rir 2',
      ],
      [
        'lower',
        `${HINGE} {2/3/4} x 8-10, rir 2`,
        'leg_extension {2/3/4} x 12, rir 2',
        'calf_raise_seated {2/3/4} x 12, rir 2',
        'cable_crunch {2/2/3} x 12, rir 2',
      ],
      null,
      null,
    ],
  },
  {
    name: 'whole body three times',
    scope: 'whole_body',
    week: [
      [
        'full',
        `${SQUAT} {2/3/4} x 8-10, rir 2`,
        `${BENCH} {2/3/4} x 8-10, rir 2`,
        'seated_cable_row {2/3/4} x 10, rir 2',
        'lateral_raise_dumbbell {1/2/3} x 12-15, rir 2',
        'incline_dumbbell_curl {2/3/4} x 10-12, rir 2',
        'pushdown_rope {2/3/4} x 10-12, rir 2',
      ],
      null,
      [
        'full',
        `${HINGE} {2/3/3} x 8-10, rir 2`,
        'machine_overhead_press warm-up 2 x 8, then {1/2/2} x 10, rir 2',
        'pulldown_neutral {3/4/4} x 10, rir 2',
        'calf_raise_standing {4/5/6} x 10-12, rir 2',
        'rear_fly_machine {2/4/4} x 12-15, rir 2',
        'hammer_curl {2/3/4} x 10-12, rir 2',
        'cable_crunch {3/4/5} x 12, rir 2',
      ],
      null,
      [
        'full',
        `${INCLINE} {2/3/4} x 8-10, rir 2`,
        'leg_extension {2/3/4} x 12, rir 2',
        'leg_curl_seated {2/2/3} x 10-12, rir 2',
        'lateral_raise_cable {3/4/4} x 12-15, rir 2',
        'cable_curl {2/3/4} x 10-12, rir 2',
        'overhead_extension_rope warm-up 2 x 12, then {2/4/5} x 10-12, rir 2',
      ],
      null,
      null,
    ],
  },
  {
    name: 'push, pull, legs, arms',
    scope: 'whole_body',
    week: [
      [
        'push',
        `${BENCH} {2/3/4} x 8-10, rir 2`,
        `incline_press_dumbbell {2/3/4} x 8-10, rir 2`,
        'lateral_raise_dumbbell {2/3/4} x 12-15, rir 2',
        'pushdown_rope {2/3/4} x 10-12, rir 2',
      ],
      [
        'pull',
        'pulldown_neutral {3/4/4} x 10, rir 2',
        'seated_cable_row {2/3/4} x 10, rir 2',
        'rear_fly_machine {2/3/4} x 12-15, rir 2',
        'cable_curl {2/3/4} x 10-12, rir 2',
      ],
      [
        'legs',
        `${SQUAT} {2/3/4} x 8-10, rir 2`,
        `${HINGE} {2/3/3} x 8-10, rir 2`,
        'leg_extension {2/2/3} x 12, rir 2',
        'leg_curl_seated {2/2/3} x 12, rir 2',
        'calf_raise_standing {4/5/6} x 10-12, rir 2',
      ],
      null,
      [
        'arms',
        'incline_dumbbell_curl {3/4/5} x 10-12, rir 2',
        'overhead_extension_rope warm-up 2 x 12, then {3/4/5} x 10-12, rir 2',
        'hammer_curl {2/3/4} x 12, rir 2',
        'pushdown_bar {0/2/2} x 12, rir 2',
        'lateral_raise_cable {2/4/5} x 15, rir 2',
        'cable_crunch {3/4/5} x 12, rir 2',
      ],
      null,
      null,
    ],
  },
  {
    name: 'upper body three times',
    scope: 'upper_body',
    week: [
      [
        'upper',
        `${BENCH} {2/3/4} x 8-10, rir 2`,
        'seated_cable_row {2/3/4} x 10, rir 2',
        'lateral_raise_dumbbell {2/3/3} x 12-15, rir 2',
        'incline_dumbbell_curl {2/3/4} x 10-12, rir 2',
        'pushdown_rope {2/3/4} x 10-12, rir 2',
      ],
      null,
      [
        'upper',
        'pulldown_neutral {3/4/4} x 10, rir 2',
        `${INCLINE} {2/3/4} x 8-10, rir 2`,
        'rear_fly_machine {2/3/4} x 12-15, rir 2',
        'cable_curl {2/3/4} x 10-12, rir 2',
        'overhead_extension_rope warm-up 2 x 12, then {2/3/4} x 10-12, rir 2',
      ],
      null,
      [
        'upper',
        'machine_chest_press warm-up 1 x 10, then {1/2/3} x 10-12, rir 2',
        'machine_row {1/2/3} x 10-12, rir 2',
        'lateral_raise_cable {2/4/5} x 12-15, rir 2',
        'hammer_curl {2/3/4} x 10-12, rir 2',
        'pushdown_bar {2/2/3} x 10-12, rir 2',
        'cable_crunch {3/4/5} x 12, rir 2',
      ],
      null,
      null,
    ],
  },
  {
    name: 'push, pull and an arm day',
    scope: 'upper_body',
    week: [
      [
        'push',
        `${BENCH} {2/3/4} x 8-10, rir 2`,
        'incline_press_dumbbell {2/3/4} x 10, rir 2',
        'lateral_raise_dumbbell {2/3/4} x 12-15, rir 2',
        'pushdown_rope {2/3/4} x 10-12, rir 2',
      ],
      null,
      [
        'pull',
        'pulldown_neutral {3/4/4} x 10, rir 2',
        'machine_row {2/3/4} x 10, rir 2',
        'rear_fly_machine {2/3/4} x 12-15, rir 2',
        'cable_curl {2/3/4} x 10-12, rir 2',
        'cable_crunch {3/4/5} x 12, rir 2',
      ],
      null,
      [
        'arms',
        'incline_dumbbell_curl {3/4/5} x 10-12, rir 2',
        'overhead_extension_rope warm-up 2 x 12, then {3/5/6} x 10-12, rir 2',
        'hammer_curl {2/3/4} x 12, rir 2',
        'lateral_raise_cable {2/4/5} x 15, rir 2',
      ],
      null,
      null,
    ],
  },
  {
    name: 'two arm days',
    scope: 'arms',
    week: [
      [
        'arms',
        'incline_dumbbell_curl {3/4/5} x 10-12, rir 2',
        'pushdown_rope {3/4/5} x 10-12, rir 2',
        'hammer_curl {0/2/2} x 10-12, rir 2',
        'overhead_extension_rope {0/2/3} x 12, rir 2',
      ],
      null,
      null,
      [
        'arms',
        'overhead_extension_rope warm-up 2 x 12, then {3/5/6} x 10-12, rir 2',
        'cable_curl {3/3/4} x 10-12, rir 2',
        'hammer_curl {2/2/3} x 12, rir 2',
      ],
      null,
      null,
      null,
    ],
  },
  {
    name: 'three short arm days',
    scope: 'arms',
    week: [
      [
        'arms',
        'incline_dumbbell_curl {2/3/4} x 10-12, rir 2',
        'pushdown_rope {2/4/5} x 10-12, rir 2',
      ],
      null,
      [
        'arms',
        'overhead_extension_rope warm-up 2 x 12, then {2/4/5} x 10-12, rir 2',
        'hammer_curl {2/3/4} x 10-12, rir 2',
      ],
      null,
      ['arms', 'cable_curl {3/4/5} x 10-12, rir 2', 'pushdown_bar {2/3/4} x 10-12, rir 2'],
      null,
      null,
    ],
  },
  {
    name: 'arms in pairs, twice',
    scope: 'arms',
    week: [
      null,
      [
        'arms',
        'alternating: incline_dumbbell_curl {3/4/5} x 10-12, rir 2 & pushdown_rope {3/4/5} x 10-12, rir 2',
        'alternating: hammer_curl {2/3/4} x 12, rir 2 & pushdown_bar {2/2/2} x 12, rir 2',
      ],
      null,
      null,
      [
        'arms',
        'alternating: cable_curl {3/4/5} x 10-12, rir 2 & overhead_extension_rope warm-up 2 x 12, then {3/5/6} x 10-12, rir 2',
      ],
      null,
      null,
    ],
  },
  {
    name: 'an eight-day list',
    scope: 'whole_body',
    week: [
      [
        'push',
        `${BENCH} {3/4/4} x 8-10, rir 2`,
        'incline_press_dumbbell {2/3/4} x 10, rir 2',
        'lateral_raise_dumbbell {2/3/4} x 12-15, rir 2',
        'pushdown_rope {2/3/4} x 10-12, rir 2',
      ],
      [
        'pull',
        'pulldown_neutral {3/4/5} x 10, rir 2',
        'seated_cable_row {3/4/5} x 10, rir 2',
        'rear_fly_machine {3/4/5} x 12-15, rir 2',
        'cable_curl {2/3/4} x 10-12, rir 2',
        'cable_crunch {4/5/6} x 12, rir 2',
      ],
      null,
      [
        'legs',
        `${SQUAT} {3/3/4} x 8-10, rir 2`,
        `${HINGE} {2/3/3} x 8-10, rir 2`,
        'leg_extension {2/3/4} x 12, rir 2',
        'leg_curl_seated {3/3/4} x 12, rir 2',
        'calf_raise_standing {5/6/7} x 10-12, rir 2',
      ],
      [
        'arms',
        'incline_dumbbell_curl {3/4/5} x 10-12, rir 2',
        'overhead_extension_rope warm-up 2 x 12, then {3/4/5} x 10-12, rir 2',
        'lateral_raise_cable {3/5/6} x 15, rir 2',
      ],
      null,
      [
        'arms',
        'pushdown_bar {2/3/4} x 10-12, rir 2',
        'hammer_curl {2/3/4} x 12, rir 2',
        'overhead_extension_rope warm-up 2 x 12, then {0/2/3} x 10-12, rir 2',
        'cable_curl {0/2/3} x 12, rir 2',
      ],
      null,
    ],
  },
  {
    name: 'whole body twice and arms between',
    scope: 'whole_body',
    week: [
      [
        'full',
        `${SQUAT} {3/4/4} x 8-10, rir 2`,
        `${BENCH} {2/3/4} x 8-10, rir 2`,
        'pulldown_neutral {3/4/4} x 10, rir 2',
        'leg_curl_seated {2/3/3} x 12, rir 2',
        'lateral_raise_dumbbell {2/3/4} x 12-15, rir 2',
      ],
      null,
      [
        'arms',
        'incline_dumbbell_curl {3/4/5} x 10-12, rir 2',
        'pushdown_rope {3/4/5} x 10-12, rir 2',
        'hammer_curl {2/3/4} x 12, rir 2',
        'rear_fly_machine {2/4/4} x 15, rir 2',
        'calf_raise_standing {4/5/6} x 12, rir 2',
      ],
      null,
      [
        'full',
        `${HINGE} {2/2/3} x 8-10, rir 2`,
        `${INCLINE} {2/3/4} x 8-10, rir 2`,
        'seated_cable_row {2/3/4} x 10, rir 2',
        'leg_extension {2/2/4} x 12, rir 2',
        'lateral_raise_cable {2/3/4} x 15, rir 2',
        'cable_curl {2/3/4} x 10-12, rir 2',
        'overhead_extension_rope warm-up 2 x 12, then {3/5/6} x 10-12, rir 2',
        'cable_crunch {3/4/5} x 12, rir 2',
      ],
      null,
      null,
    ],
  },
]
