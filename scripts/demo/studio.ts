import { addDays, type ClientId, clientId, type BlockId, blockId, isoWeekday, type PlainDate } from '#core/base'
import type { PlanDocument } from '#core/block'
import { ARM_GROUPS, type Group, GROUPS } from '#core/catalogue'
import type { ClientFacts, Mode } from '#core/method'
import { SCREENING_IDS } from '#core/safety'
import type { Profile } from '#shared/contracts/profile'
import { factsOf } from '#shared/contracts/profileFacts'
import { finisher, lastDropped, line, planFrom, restDay, together, trainingDay } from './planWriter'
import { seededRandom, seededUuids } from './seededIds'

export interface DemoClient {
  readonly id: ClientId
  readonly name: string
  readonly about: string
  readonly facts: ClientFacts
  readonly method: string
  readonly profile: Profile
  readonly blockId: BlockId
  readonly plan: PlanDocument
}

/** The made-up studio that every new installation starts with. */
export const DEMO_COACH = { email: 'ragna@skerrylane.example', name: 'Ragna Tveitan', studio: 'Skerrylane strength room' } as const

const DEMO_SEED = 1703

/** Arms up means the rest of the body on a low dose for this block, but for what presses and pulls train anyway. */
const TRAINED_BY_COMPOUNDS: readonly Group[] = ['chest', 'lats', 'upper_back', 'delts_front']
const BODY_MAINTAINED: Partial<Record<Group, Mode>> = Object.fromEntries(
  GROUPS.filter(group => ![...ARM_GROUPS, ...TRAINED_BY_COMPOUNDS].includes(group)).map(group => [group, 'maintain' as const]))

/** What a client was asked at intake, where it differs from the usual. */
function facts(trainingAgeMonths: number, more: Partial<Profile> = {}): Partial<Profile> {
  return { trainingAgeMonths, ...more }
}

const ALL_NO = Object.fromEntries(SCREENING_IDS.map(id => [id, 'no' as const]))

function withProfile({ facts: told, ...client }: Written): Omit<DemoClient, 'id' | 'blockId'> {
  const days = client.plan.rotation.days.flatMap((day, at) => (day.role === 'rest' ? [] : [{ weekday: at % 7 + 1, minutes: day.minuteLimit ?? 60, start: '17:30' }]))
  const profile: Profile = {
    name: client.name, about: client.about, units: 'kg', goal: 'Bigger arms without a longer week.', weakPoints: '', trainingAgeMonths: 24, method: client.method, modes: {},
    days: days.filter(({ weekday }, at) => days.findIndex(day => day.weekday === weekday) === at), equipment: [], sensitiveJoints: [], jointNotes: [], slowedBy: [], sideLoads: [],
    hasSafeties: false, screening: { answers: ALL_NO, clearance: null }, ...told,
  }
  return { ...client, profile, facts: factsOf(profile) }
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
  ]
}

function ids(newId: () => string) {
  return { id: clientId(newId()), blockId: blockId(newId()) }
}

type Written = Omit<DemoClient, 'id' | 'blockId' | 'profile' | 'facts'> & { readonly facts: Partial<Profile> }

/** Eight days with two arm days of their own; weeks and rotations drift against each other. */
function boatBuilder(startsOn: PlainDate, newId: () => string): Written {
  return {
    name: 'Marit Solheim-Okafor', about: 'Plank-boat builder, rows bow',
    method: 'steady-middle',
    facts: facts(52, { modes: { ...BODY_MAINTAINED, elbow_flexors_other: 'build', forearms: 'build' } }),
    plan: planFrom({
      title: 'Planking block', startsOn, passes: 7, anchor: { kind: 'floating' },
      days: [
        trainingDay('push', 60, line('incline_press_dumbbell', 4), line('machine_chest_press', 3), line('lateral_raise_cable', 3), line('pushdown_bar', 3), line('overhead_extension_rope', 3)),
        trainingDay('pull', 60, line('pulldown_neutral', 4), line('seated_cable_row', 3), line('rear_fly_machine', 3), line('incline_dumbbell_curl', 3), line('rope_hammer_curl', 2)),
        restDay,
        trainingDay('arms', 45, together('superset', lastDropped('cable_curl', 4), line('overhead_extension_cambered', 4)),
          together('superset', line('preacher_curl_bar', 3), line('pushdown_rope', 3)), line('reverse_curl', 3), together('alternating', line('wrist_curl', 2), line('reverse_wrist_curl', 2))),
        trainingDay('upper', 60, line('bench_press_dumbbell', 3), line('pulldown_supinated', 3), line('machine_row', 3), line('overhead_press_dumbbell', 2), line('lateral_raise_dumbbell', 3)),
        trainingDay('legs', 60, line('machine_squat', 4), line('romanian_deadlift', 3), line('leg_curl_seated', 3), line('calf_raise_standing', 4), line('cable_crunch', 3)),
        trainingDay('arms', 45, together('superset', line('cambered_bar_curl', 3), line('lying_extension_behind_head', 3)),
          together('superset', line('cross_body_hammer_curl', 2), line('pushdown_single', 3))),
        restDay,
      ],
    }, newId),
  }
}

/** Push, pull, legs with a short arm finisher where it fits. */
function harbourPilot(startsOn: PlainDate, newId: () => string): Written {
  return {
    name: 'Joren Haakestad', about: 'Harbour pilot, rows stroke',
    method: 'steady-middle',
    facts: facts(30, { modes: { chest: 'build', lats: 'build', upper_back: 'build', delts_front: 'build', elbow_flexors_other: 'build', abs: 'maintain', hamstrings: 'maintain', calves: 'maintain', traps: 'maintain' } }),
    plan: planFrom({
      title: 'Spring block', startsOn, passes: 6, anchor: { kind: 'weekday', startsOn: 1 },
      days: [
        trainingDay('push', 60, line('bench_press_barbell', 4), line('overhead_press_dumbbell', 3), line('cable_fly', 2), line('lateral_raise_dumbbell', 3), finisher(line('overhead_extension_rope', 3), line('cable_curl', 2))),
        trainingDay('pull', 60, line('pull_up', 4), line('chest_supported_row', 4), line('face_pull', 2), finisher(line('incline_dumbbell_curl', 3))),
        trainingDay('legs', 60, line('squat_barbell', 4), line('romanian_deadlift', 3), line('leg_extension', 2), line('calf_raise_standing', 3)),
        restDay,
        trainingDay('push', 60, line('incline_press_dumbbell', 4), line('dip', 3), line('lateral_raise_cable', 3), finisher(lastDropped('pushdown_rope', 3))),
        trainingDay('pull', 60, line('pulldown_supinated', 4), line('seated_cable_row', 3), line('rear_fly_dumbbell', 3), finisher(line('hammer_curl', 3), line('pushdown_bar', 2))),
        restDay,
      ],
    }, newId),
  }
}

/** Forty minutes, two dumbbells and an incline bench. */
function kayakGuide(startsOn: PlainDate, newId: () => string): Written {
  return {
    name: 'Emil Varga-Nystrand', about: 'Kayak guide, trains at home with dumbbells',
    method: 'steady-middle',
    facts: facts(9, { modes: BODY_MAINTAINED, equipment: ['dumbbell', 'bench', 'incline_bench'] }),
    plan: planFrom({
      title: 'Before the season', startsOn, passes: 8, anchor: { kind: 'weekday', startsOn: 1 },
      days: [
        trainingDay('upper', 40, line('bench_press_dumbbell', 3), line('dumbbell_row', 3), line('dumbbell_curl', 2), line('overhead_extension_dumbbell', 2)),
        restDay,
        trainingDay('lower', 40, line('split_squat_rear_foot', 3), line('shrug_dumbbell', 2), line('lateral_raise_dumbbell', 2), line('plank', 2)),
        restDay,
        trainingDay('upper', 40, line('incline_press_dumbbell', 3), line('chest_supported_row', 3), line('hammer_curl', 2), line('lying_extension_dumbbell', 3)),
        restDay,
        restDay,
      ],
    }, newId),
  }
}

/** A beginner whose arms come in after back and chest. */
function teacher(startsOn: PlainDate, newId: () => string): Written {
  return {
    name: 'Sunniva Bakkeli', about: 'Teacher, new to lifting',
    method: 'steady-middle',
    facts: facts(4, { modes: BODY_MAINTAINED }),
    plan: planFrom({
      title: 'First block', startsOn, passes: 8, anchor: { kind: 'weekday', startsOn: 1 },
      days: [
        trainingDay('full', 50, line('pulldown_neutral', 3), line('machine_chest_press', 3), line('leg_press', 3), line('machine_curl', 2)),
        restDay,
        trainingDay('full', 50, line('machine_row', 3), line('machine_overhead_press', 2), line('leg_curl_lying', 3), line('pushdown_rope', 3)),
        restDay,
        trainingDay('full', 50, line('assisted_chin_up', 3), line('push_up', 3), line('leg_press:glutes', 2), line('dumbbell_curl', 2), line('pushdown_bar', 2)),
        restDay,
        restDay,
      ],
    }, newId),
  }
}

/** Shifts of five days: two on the pier, three at sea. */
function ferryMate(startsOn: PlainDate, newId: () => string): Written {
  return {
    name: 'Liv Adeyemi-Strand', about: 'Ferry mate, works five-day shifts',
    method: 'steady-middle',
    facts: facts(40, { modes: { ...BODY_MAINTAINED, elbow_flexors_other: 'build' } }),
    plan: planFrom({
      title: 'Shift block', startsOn, passes: 9, anchor: { kind: 'floating' },
      days: [
        trainingDay('push', 55, line('bench_press_dumbbell', 3), line('overhead_press_dumbbell', 2), line('lateral_raise_dumbbell', 3), line('overhead_extension_rope', 3), line('pushdown_bar', 3)),
        trainingDay('pull', 55, line('chin_up:biceps', 3), line('machine_row', 3), line('rear_fly_machine', 2), line('preacher_curl_bar', 3), line('hammer_curl', 2)),
        restDay,
        trainingDay('legs', 50, line('machine_squat', 3), line('leg_curl_seated', 3), line('calf_raise_press', 3)),
        restDay,
      ],
    }, newId),
  }
}
