import type { House, Stations } from '#core/follow/floor'
import type { Gear } from '#core/plan/estimate'
import {
  addDays,
  type ClientId,
  clientId,
  type BlockId,
  blockId,
  isoWeekday,
  type PlainDate,
  seededRandom,
} from '#core/base'
import type { PlanDocument } from '#core/plan/block'
import { ARM_GROUPS, type Group, GROUPS } from '#core/plan/catalogue'
import type { ClientFacts, Mode } from '#core/plan/method'
import { SCREENING_IDS } from '#core/plan/safety'
import type { Profile } from '#shared/contracts/profile'
import { factsOf } from '#shared/contracts/profileFacts'
import {
  finisher,
  lastDropped,
  line,
  planFrom,
  restDay,
  together,
  trainingDay,
  withBlock,
} from './planWriter'
import type { Story } from './logWriter'
import { seededUuids } from './seededIds'

export interface DemoClient {
  readonly id: ClientId
  readonly name: string
  readonly about: string
  readonly facts: ClientFacts
  readonly method: string
  readonly profile: Profile
  readonly blockId: BlockId
  readonly plan: PlanDocument
  /** How the last weeks went; the log is written from it. */
  readonly story: Story
}

/** The made-up studio that every new installation starts with. */
export const DEMO_COACH = {
  email: 'ragna@skerrylane.example',
  name: 'Ragna Tveitan',
  studio: 'Skerrylane strength room',
} as const

/** What there are few of in the demo's room. */
export const DEMO_STATIONS: Stations = {
  cable: 1,
  preacher_bench: 1,
  bench: 1,
  rack: 1,
  dip_bars: 1,
}
/** When the demo's room is open, and who helps. */
export const DEMO_HOUSE: House = { opens: '06:00', closes: '21:30', coaches: 1 }
/** What the demo's room can load. */
export const DEMO_GEAR: Gear = {
  dumbbells: '1-10 by 1, 12-40 by 2',
  fixed_bars: '10-40 by 5',
  bars: '20, cambered 10, rail 15',
  plates: '20x4, 10x2, 5x2, 2.5x2, 1.25x2',
  bands: 'yellow, red, black',
}

const DEMO_SEED = 1703

/** Arms up means the rest of the body on a low dose for this block, but for what presses and pulls train anyway. */
const TRAINED_BY_COMPOUNDS: readonly Group[] = ['chest', 'lats', 'upper_back', 'delts_front']
const BODY_MAINTAINED: Partial<Record<Group, Mode>> = Object.fromEntries(
  GROUPS.filter(group => ![...ARM_GROUPS, ...TRAINED_BY_COMPOUNDS].includes(group)).map(group => [
    group,
    'maintain' as const,
  ]),
)

/** What a client was asked at intake, where it differs from the usual. */
function facts(trainingAgeMonths: number, more: Partial<Profile> = {}): Partial<Profile> {
  return { trainingAgeMonths, ...more }
}

/** For clients who train the rest of the body as they like: the coach asks nothing of it in this block. */
const REST_AS_THEY_LIKE: ClientFacts['bands'] = Object.fromEntries(
  GROUPS.filter(group => !['biceps', 'triceps', 'elbow_flexors_other'].includes(group)).map(
    group => [group, { floor: 0, target: 5, ceiling: 20 }],
  ),
)

const ALL_NO = Object.fromEntries(SCREENING_IDS.map(id => [id, 'no' as const]))

function withProfile({
  facts: told,
  bands = {},
  start = '17:30',
  ...client
}: Written): Omit<DemoClient, 'id' | 'blockId'> {
  const { anchor } = client.plan.rotation
  const firstWeekday = anchor.kind === 'weekday' ? anchor.startsOn : 1
  const days = client.plan.rotation.days.flatMap((day, at) =>
    day.role === 'rest'
      ? []
      : [{ weekday: ((at + firstWeekday - 1) % 7) + 1, minutes: day.minuteLimit ?? 60, start }],
  )
  const profile: Profile = {
    name: client.name,
    about: client.about,
    units: 'kg',
    goal: 'Bigger arms without a longer week.',
    weakPoints: '',
    trainingAgeMonths: 24,
    method: client.method,
    modes: {},
    days: days.filter(({ weekday }, at) => days.findIndex(day => day.weekday === weekday) === at),
    equipment: [],
    gear: {},
    sensitiveJoints: [],
    jointNotes: [],
    slowedBy: [],
    sideLoads: [],
    hasSafeties: false,
    permits: [],
    scope: 'whole_body',
    avoid: [],
    keep: [],
    exerciseRules: [],
    screening: { answers: ALL_NO, clearance: null },
    ...told,
  }
  return { ...client, profile, facts: { ...factsOf(profile), bands } }
}

/**
 * The studio's clients with their plans.
 *
 * Shape: the same clients, plans and ids on each run for one seed; dates lie around `today`.
 */
export function demoClients(today: PlainDate, seed: number = DEMO_SEED): readonly DemoClient[] {
  const newId = seededUuids(seededRandom(seed))
  const monday = addDays(today, 1 - isoWeekday(today))
  return [
    { ...ids(newId), ...withProfile(boatBuilder(addDays(today, -32), newId)) },
    { ...ids(newId), ...withProfile(harbourPilot(addDays(monday, -28), newId)) },
    { ...ids(newId), ...withProfile(kayakGuide(addDays(monday, -7), newId)) },
    { ...ids(newId), ...withProfile(teacher(addDays(monday, -14), newId)) },
    { ...ids(newId), ...withProfile(ferryMate(addDays(today, -17), newId)) },
    { ...ids(newId), ...withProfile(sailmaker(addDays(monday, -14), newId)) },
    { ...ids(newId), ...withProfile(electrician(addDays(today, -24), newId)) },
    { ...ids(newId), ...withProfile(rigger(addDays(today, -38), newId)) },
    { ...ids(newId), ...withProfile(baker(addDays(monday, -7), newId)) },
    { ...ids(newId), ...withProfile(diver(addDays(today, -33), newId)) },
    { ...ids(newId), ...withProfile(nurse(addDays(monday, -35), newId)) },
    { ...ids(newId), ...withProfile(netMender(addDays(monday, -7), newId)) },
  ]
}

function ids(newId: () => string) {
  return { id: clientId(newId()), blockId: blockId(newId()) }
}

type Written = Omit<DemoClient, 'id' | 'blockId' | 'profile' | 'facts'> & {
  readonly facts: Partial<Profile>
  readonly bands?: ClientFacts['bands']
  readonly start?: string
}

/** Eight days with two arm days of their own; weeks and rotations drift against each other. */
function boatBuilder(startsOn: PlainDate, newId: () => string): Written {
  return {
    name: 'Marit Solheim-Okafor',
    about: 'Plank-boat builder, rows bow',
    method: 'steady-middle',
    story: { strengthKg: 42, gain: 0.005, girthCm: 38.4, bodyKg: 79 },
    facts: facts(52, {
      modes: { ...BODY_MAINTAINED, elbow_flexors_other: 'build', forearms: 'build' },
    }),
    plan: withBlock(
      planFrom(
        {
          title: 'Planking block',
          startsOn,
          passes: 7,
          anchor: { kind: 'floating' },
          days: [
            trainingDay(
              'push',
              60,
              line('incline_press_dumbbell', 4),
              line('machine_chest_press', 3),
              line('lateral_raise_cable', 3),
              line('pushdown_bar', 3),
              line('overhead_extension_rope', 3),
            ),
            trainingDay(
              'pull',
              60,
              line('pulldown_neutral', 4),
              line('seated_cable_row', 3),
              line('rear_fly_machine', 3),
              line('incline_dumbbell_curl', 3),
              line('rope_hammer_curl', 2),
            ),
            restDay,
            trainingDay(
              'arms',
              45,
              together(
                'superset',
                lastDropped('cable_curl', 4),
                line('overhead_extension_cambered', 4),
              ),
              together('superset', line('preacher_curl_bar', 3), line('pushdown_rope', 3)),
              line('reverse_curl', 3),
              together('alternating', line('wrist_curl', 2), line('reverse_wrist_curl', 2)),
            ),
            trainingDay(
              'upper',
              60,
              line('bench_press_dumbbell', 3),
              line('pulldown_supinated', 3),
              line('machine_row', 3),
              line('overhead_press_dumbbell', 2),
              line('lateral_raise_dumbbell', 3),
            ),
            trainingDay(
              'legs',
              60,
              line('machine_squat', 4),
              line('romanian_deadlift', 3),
              line('leg_curl_seated', 3),
              line('calf_raise_standing', 4),
              line('cable_crunch', 3),
            ),
            trainingDay(
              'arms',
              45,
              together(
                'superset',
                line('cambered_bar_curl', 3),
                line('lying_extension_behind_head', 3),
              ),
              together('superset', line('cross_body_hammer_curl', 2), line('pushdown_single', 3)),
            ),
            restDay,
          ],
        },
        newId,
      ),
      {
        ramps: {
          triceps: { kind: 'linear', end: 24 },
          chest: { kind: 'linear', end: 12 },
          lats: { kind: 'linear', end: 12 },
        },
        effort: { compound: { from: 3, to: 1 }, isolation: { from: 3, to: 1 } },
        deloads: [6],
        turns: [
          ['preacher_curl_bar', 'concentration_curl'],
          ['pushdown_rope', 'pushdown_bar'],
        ],
      },
    ),
  }
}

/** Push, pull, legs with a short arm finisher where it fits. */
function harbourPilot(startsOn: PlainDate, newId: () => string): Written {
  return {
    name: 'Joren Haakestad',
    about: 'Harbour pilot, rows stroke',
    method: 'steady-middle',
    story: { strengthKg: 40, gain: 0.005, falling: ['triceps'], girthCm: 37.2, bodyKg: 84 },
    facts: facts(30, {
      modes: {
        chest: 'build',
        lats: 'build',
        upper_back: 'build',
        delts_front: 'build',
        elbow_flexors_other: 'build',
        abs: 'maintain',
        hamstrings: 'maintain',
        calves: 'maintain',
        traps: 'maintain',
      },
    }),
    plan: planFrom(
      {
        title: 'Spring block',
        startsOn,
        passes: 6,
        anchor: { kind: 'weekday', startsOn: 1 },
        days: [
          trainingDay(
            'push',
            60,
            line('bench_press_barbell', 4),
            line('overhead_press_dumbbell', 3),
            line('cable_fly', 2),
            line('lateral_raise_dumbbell', 3),
            finisher(line('overhead_extension_rope', 3), line('cable_curl', 2)),
          ),
          trainingDay(
            'pull',
            60,
            line('pull_up', 4),
            line('chest_supported_row', 4),
            line('face_pull', 2),
            finisher(line('incline_dumbbell_curl', 3)),
          ),
          trainingDay(
            'legs',
            60,
            line('squat_barbell', 4),
            line('romanian_deadlift', 3),
            line('leg_extension', 2),
            line('calf_raise_standing', 3),
          ),
          restDay,
          trainingDay(
            'push',
            60,
            line('incline_press_dumbbell', 4),
            line('dip', 3),
            line('lateral_raise_cable', 3),
            finisher(lastDropped('pushdown_rope', 3)),
          ),
          trainingDay(
            'pull',
            60,
            line('pulldown_supinated', 4),
            line('seated_cable_row', 3),
            line('rear_fly_dumbbell', 3),
            finisher(line('hammer_curl', 3), line('pushdown_bar', 2)),
          ),
          restDay,
        ],
      },
      newId,
    ),
  }
}

/** Forty minutes, two dumbbells and an incline bench. */
function kayakGuide(startsOn: PlainDate, newId: () => string): Written {
  return {
    name: 'Emil Varga-Nystrand',
    about: 'Kayak guide, trains at home with dumbbells',
    bands: REST_AS_THEY_LIKE,
    start: '06:30',
    method: 'steady-middle',
    story: { strengthKg: 30, gain: 0.007 },
    facts: facts(9, { modes: BODY_MAINTAINED, equipment: ['dumbbell', 'bench', 'incline_bench'] }),
    plan: planFrom(
      {
        title: 'Before the season',
        startsOn,
        passes: 8,
        anchor: { kind: 'weekday', startsOn: 1 },
        days: [
          trainingDay(
            'upper',
            40,
            line('bench_press_dumbbell', 3),
            line('dumbbell_row', 3),
            line('dumbbell_curl', 2),
            line('overhead_extension_dumbbell', 2),
          ),
          restDay,
          trainingDay(
            'lower',
            40,
            line('split_squat_rear_foot', 3),
            line('shrug_dumbbell', 2),
            line('lateral_raise_dumbbell', 2),
            line('plank', 2),
          ),
          restDay,
          trainingDay(
            'upper',
            40,
            line('incline_press_dumbbell', 3),
            line('chest_supported_row', 3),
            line('hammer_curl', 2),
            line('lying_extension_dumbbell', 3),
          ),
          restDay,
          restDay,
        ],
      },
      newId,
    ),
  }
}

/** A beginner whose arms come in after back and chest. */
function teacher(startsOn: PlainDate, newId: () => string): Written {
  return {
    name: 'Sunniva Bakkeli',
    about: 'Teacher, new to lifting',
    bands: REST_AS_THEY_LIKE,
    start: '16:45',
    method: 'steady-middle',
    story: { strengthKg: 22, gain: 0.01, girthCm: 28.5, bodyKg: 66 },
    facts: facts(4, { modes: BODY_MAINTAINED }),
    plan: planFrom(
      {
        title: 'First block',
        startsOn,
        passes: 8,
        anchor: { kind: 'weekday', startsOn: 1 },
        days: [
          trainingDay(
            'full',
            50,
            line('pulldown_neutral', 3),
            line('machine_chest_press', 3),
            line('leg_press', 3),
            line('machine_curl', 2),
          ),
          restDay,
          trainingDay(
            'full',
            50,
            line('machine_row', 3),
            line('machine_overhead_press', 2),
            line('leg_curl_lying', 3),
            line('pushdown_rope', 3),
          ),
          restDay,
          trainingDay(
            'full',
            50,
            line('assisted_chin_up', 3),
            line('push_up', 3),
            line('leg_press:glutes', 2),
            line('dumbbell_curl', 2),
            line('pushdown_bar', 2),
          ),
          restDay,
          restDay,
        ],
      },
      newId,
    ),
  }
}

/** Shifts of five days: two on the pier, three at sea. */
function ferryMate(startsOn: PlainDate, newId: () => string): Written {
  return {
    name: 'Liv Adeyemi-Strand',
    about: 'Ferry mate, works five-day shifts',
    start: '18:30',
    method: 'steady-middle',
    story: { strengthKg: 30, gain: 0.005 },
    facts: facts(40, { modes: { ...BODY_MAINTAINED, elbow_flexors_other: 'build' } }),
    plan: planFrom(
      {
        title: 'Shift block',
        startsOn,
        passes: 9,
        anchor: { kind: 'floating' },
        days: [
          trainingDay(
            'push',
            55,
            line('bench_press_dumbbell', 3),
            line('overhead_press_dumbbell', 2),
            line('lateral_raise_dumbbell', 3),
            line('overhead_extension_rope', 3),
            line('pushdown_bar', 3),
          ),
          trainingDay(
            'pull',
            55,
            line('chin_up:biceps', 3),
            line('machine_row', 3),
            line('rear_fly_machine', 2),
            line('preacher_curl_bar', 3),
            line('hammer_curl', 2),
          ),
          restDay,
          trainingDay(
            'legs',
            50,
            line('machine_squat', 3),
            line('leg_curl_seated', 3),
            line('calf_raise_press', 3),
          ),
          restDay,
        ],
      },
      newId,
    ),
  }
}

/** Back after a lay-off with an elbow that speaks up. */
function sailmaker(startsOn: PlainDate, newId: () => string): Written {
  return {
    name: 'Teo Brandvold',
    about: 'Sailmaker, rows two',
    bands: REST_AS_THEY_LIKE,
    start: '17:30',
    method: 'steady-middle',
    story: {
      strengthKg: 34,
      gain: 0.006,
      pains: [
        { daysAgo: 9, joint: 'elbow_flexor_side', side: 'left', score: 2 },
        { daysAgo: 0, joint: 'elbow_flexor_side', side: 'left', score: 4 },
      ],
    },
    facts: facts(20, {
      modes: { ...BODY_MAINTAINED, elbow_flexors_other: 'build' },
      sensitiveJoints: ['elbow_flexor_side'],
      weakPoints: 'Left biceps, since the winter.',
      jointNotes: [
        {
          joint: 'elbow_flexor_side',
          side: 'left',
          provokedBy: 'Straight-bar curls, long stitching days',
          since: 'January',
        },
      ],
      avoid: ['barbell_curl'],
    }),
    plan: planFrom(
      {
        title: 'Coming back',
        startsOn,
        passes: 6,
        anchor: { kind: 'weekday', startsOn: 1 },
        days: [
          trainingDay(
            'push',
            55,
            line('machine_chest_press', 3),
            line('overhead_press_dumbbell', 2),
            line('pushdown_rope', 3),
            line('overhead_extension_rope', 2),
          ),
          restDay,
          trainingDay(
            'pull',
            55,
            line('pulldown_neutral', 3),
            line('machine_row', 3),
            line('cable_curl', 3),
            line('hammer_curl', 2),
          ),
          restDay,
          trainingDay(
            'upper',
            60,
            line('incline_press_dumbbell', 3),
            line('seated_cable_row', 3),
            line('preacher_curl_dumbbell', 2),
            line('pushdown_bar', 3),
            line('lateral_raise_dumbbell', 2),
          ),
          trainingDay(
            'legs',
            50,
            line('leg_press', 3),
            line('leg_curl_seated', 3),
            line('calf_raise_press', 2),
          ),
          restDay,
        ],
      },
      newId,
    ),
  }
}

/** Rows twice a week, so that the elbow flexors get more than the plan says. */
function electrician(startsOn: PlainDate, newId: () => string): Written {
  return {
    name: 'Ines Cardozo-Lind',
    about: 'Marine electrician, cox',
    bands: REST_AS_THEY_LIKE,
    start: '12:15',
    method: 'steady-middle',
    story: {
      strengthKg: 28,
      gain: 0.005,
      missedDaysAgo: [1],
      shortWithinDays: 3,
      girthCm: 29.8,
      bodyKg: 61,
    },
    facts: facts(28, {
      modes: { ...BODY_MAINTAINED, elbow_flexors_other: 'build' },
      sideLoads: [
        {
          what: 'Rowing practice',
          groups: ['lats', 'upper_back', 'biceps'],
          times: { low: 2, high: 2 },
          setsEach: 1,
          isEstimate: true,
          weekdays: [2, 6],
        },
      ],
    }),
    plan: planFrom(
      {
        title: 'Regatta block',
        startsOn,
        passes: 7,
        anchor: { kind: 'weekday', startsOn: isoWeekday(startsOn) },
        // It begins so that yesterday, whatever day it was, was the Pull that was missed.
        days: [
          trainingDay(
            'push',
            45,
            line('machine_chest_press', 3),
            line('lateral_raise_cable', 2),
            line('pushdown_rope', 3),
          ),
          trainingDay(
            'arms',
            45,
            together('superset', line('cable_curl', 3), line('overhead_extension_rope', 3)),
            line('reverse_curl', 2),
          ),
          trainingDay(
            'pull',
            45,
            line('pulldown_supinated', 3),
            line('machine_row', 2),
            line('incline_dumbbell_curl', 2),
          ),
          trainingDay(
            'push',
            45,
            line('incline_press_dumbbell', 3),
            line('lying_extension_dumbbell', 3),
          ),
          trainingDay(
            'arms',
            45,
            together('superset', line('preacher_curl_bar', 3), line('pushdown_bar', 3)),
          ),
          trainingDay(
            'legs',
            45,
            line('leg_press', 3),
            line('leg_curl_seated', 2),
            line('calf_raise_press', 2),
            finisher(line('hammer_curl', 2)),
          ),
          trainingDay(
            'upper',
            45,
            line('push_up', 2),
            line('assisted_chin_up', 2),
            finisher(line('pushdown_single', 2)),
          ),
        ],
      },
      newId,
    ),
  }
}

/** Six-day rotation; the last one of the block ends in three days, and nothing follows it yet. */
function rigger(startsOn: PlainDate, newId: () => string): Written {
  return {
    name: 'Amara Lindqvist-Osei',
    about: 'Rigger, rows seven',
    bands: REST_AS_THEY_LIKE,
    start: '07:00',
    method: 'own-arm-day',
    story: { strengthKg: 36, gain: 0.005 },
    facts: facts(44, { modes: { ...BODY_MAINTAINED, elbow_flexors_other: 'build' } }),
    plan: planFrom(
      {
        title: 'Mast block',
        startsOn,
        passes: 7,
        anchor: { kind: 'floating' },
        days: [
          trainingDay(
            'push',
            60,
            line('bench_press_dumbbell', 4),
            line('lateral_raise_cable', 3),
            line('pushdown_bar', 3),
            line('overhead_extension_rope', 3),
          ),
          trainingDay(
            'pull',
            60,
            line('pulldown_neutral', 4),
            line('chest_supported_row', 3),
            line('incline_dumbbell_curl', 4),
          ),
          restDay,
          trainingDay(
            'arms',
            60,
            together(
              'superset',
              line('cambered_bar_curl', 4),
              line('lying_extension_behind_head', 4),
            ),
            together('superset', line('hammer_curl', 3), line('pushdown_rope', 3)),
            line('reverse_curl', 2),
          ),
          trainingDay(
            'legs',
            60,
            line('machine_squat', 4),
            line('leg_curl_seated', 3),
            line('calf_raise_standing', 3),
          ),
          restDay,
        ],
      },
      newId,
    ),
  }
}

/** Up at three, done by noon; an upper and lower week with an arm day. */
function baker(startsOn: PlainDate, newId: () => string): Written {
  return {
    name: 'Kaja Thorsby-Reyes',
    about: 'Baker, coastal rower',
    bands: REST_AS_THEY_LIKE,
    start: '17:45',
    method: 'own-arm-day',
    story: { strengthKg: 26, gain: 0.006, girthCm: 30.2, bodyKg: 68, restsTimes: 1.4 },
    facts: facts(26, {
      modes: { ...BODY_MAINTAINED, elbow_flexors_other: 'build' },
      slowedBy: ['short_sleep'],
    }),
    plan: planFrom(
      {
        title: 'Early block',
        startsOn,
        passes: 6,
        anchor: { kind: 'weekday', startsOn: 1 },
        days: [
          trainingDay(
            'upper',
            55,
            line('machine_chest_press', 3),
            line('pulldown_neutral', 3),
            line('lateral_raise_dumbbell', 3),
            line('cable_curl', 2),
            line('pushdown_rope', 3),
          ),
          trainingDay(
            'lower',
            50,
            line('leg_press', 3),
            line('romanian_deadlift', 3),
            line('calf_raise_press', 3),
          ),
          restDay,
          trainingDay(
            'arms',
            50,
            together(
              'superset',
              line('incline_dumbbell_curl', 4),
              line('overhead_extension_rope', 4),
            ),
            together('superset', line('preacher_curl_bar', 3), line('pushdown_bar', 3)),
          ),
          trainingDay(
            'upper',
            55,
            line('incline_press_dumbbell', 3),
            line('machine_row', 3),
            line('rear_fly_machine', 2),
            line('hammer_curl', 2),
            line('pushdown_single', 2),
          ),
          restDay,
          restDay,
        ],
      },
      newId,
    ),
  }
}

/** A five-day rotation whose next turn has not been sent. */
function diver(startsOn: PlainDate, newId: () => string): Written {
  return {
    name: 'Oskar Brekke-Mensah',
    about: 'Harbour diver',
    bands: REST_AS_THEY_LIKE,
    start: '18:00',
    method: 'few-hard-sets',
    story: { strengthKg: 44, gain: 0.004, isUnsent: true },
    facts: facts(60, { modes: BODY_MAINTAINED }),
    plan: planFrom(
      {
        title: 'Dry-dock block',
        startsOn,
        passes: 12,
        anchor: { kind: 'floating' },
        days: [
          trainingDay(
            'push',
            50,
            line('machine_chest_press', 2),
            line('machine_overhead_press', 2),
            line('pushdown_bar', 2),
            line('overhead_extension_cambered', 2),
          ),
          trainingDay(
            'pull',
            50,
            line('pulldown_neutral', 2),
            line('machine_row', 2),
            line('preacher_curl_bar', 2),
            line('hammer_curl', 1),
          ),
          restDay,
          trainingDay(
            'legs',
            45,
            line('machine_squat', 2),
            line('leg_curl_seated', 2),
            line('calf_raise_standing', 2),
            finisher(line('cable_curl', 2), line('pushdown_rope', 2)),
          ),
          restDay,
        ],
      },
      newId,
    ),
  }
}

/** Night shifts; steady for weeks. */
function nurse(startsOn: PlainDate, newId: () => string): Written {
  return {
    name: 'Ruben Achterhof-Dale',
    about: 'Night nurse',
    bands: REST_AS_THEY_LIKE,
    start: '17:15',
    method: 'compounds-then-arms',
    story: { strengthKg: 32, gain: 0.004 },
    facts: facts(16, { modes: { ...BODY_MAINTAINED, elbow_flexors_other: 'build' } }),
    plan: planFrom(
      {
        title: 'Night block',
        startsOn,
        passes: 9,
        anchor: { kind: 'weekday', startsOn: 1 },
        days: [
          trainingDay(
            'upper',
            60,
            line('pulldown_supinated', 3),
            line('machine_chest_press', 3),
            finisher(line('cable_curl', 3), line('pushdown_rope', 3)),
          ),
          restDay,
          trainingDay(
            'lower',
            50,
            line('leg_press', 3),
            line('leg_curl_lying', 3),
            line('calf_raise_standing', 2),
          ),
          restDay,
          trainingDay(
            'upper',
            60,
            line('machine_row', 3),
            line('machine_overhead_press', 3),
            finisher(line('hammer_curl', 3), line('pushdown_bar', 3)),
          ),
          trainingDay(
            'full',
            45,
            line('assisted_chin_up', 2),
            line('push_up', 2),
            finisher(line('incline_dumbbell_curl', 2), line('overhead_extension_rope', 2)),
          ),
          restDay,
        ],
      },
      newId,
    ),
  }
}

/** Sent a week ago, and nobody has looked. */
function netMender(startsOn: PlainDate, newId: () => string): Written {
  return {
    name: 'Pia Holm-Castellan',
    about: 'Mends nets, plays the fiddle',
    bands: REST_AS_THEY_LIKE,
    start: '18:05',
    method: 'dense-and-short',
    story: { strengthKg: 24, gain: 0.006, isUnopened: true },
    facts: facts(14, { modes: { ...BODY_MAINTAINED, elbow_flexors_other: 'build' } }),
    plan: planFrom(
      {
        title: 'Short evenings',
        startsOn,
        passes: 6,
        anchor: { kind: 'weekday', startsOn: 1 },
        days: [
          trainingDay(
            'upper',
            40,
            together('superset', line('machine_row', 3), line('machine_chest_press', 3)),
            together('superset', line('cable_curl', 3), line('pushdown_rope', 3)),
          ),
          restDay,
          trainingDay(
            'lower',
            40,
            line('leg_press', 3),
            line('leg_curl_seated', 3),
            line('calf_raise_press', 2),
          ),
          restDay,
          trainingDay(
            'upper',
            40,
            together('superset', line('pulldown_neutral', 3), line('push_up', 2)),
            together('superset', line('hammer_curl', 3), line('overhead_extension_rope', 3)),
          ),
          restDay,
          restDay,
        ],
      },
      newId,
    ),
  }
}
