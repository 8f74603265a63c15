import { describe, expect, test } from '@jest/globals'
import { STEADY_MIDDLE } from '#core/plan/method'
import type { z } from 'zod'
import { LogWordContract } from './sheet'
import { MethodContract } from './method'
import { TargetsContract } from './targets'

/* Where the door is: the last figure that is let in, and the first that is not, field by field. */

type Path = readonly (string | number)[]

/** A value with one field of it replaced. */
function withField(value: unknown, [key, ...rest]: Path, field: unknown): unknown {
  if (key === undefined) return field
  if (Array.isArray(value))
    return value.map((entry: unknown, at) => (at === key ? withField(entry, rest, field) : entry))
  const held = value as Record<string, unknown>
  return { ...held, [key]: withField(held[key], rest, field) }
}

/** A field by its path, the least and the most that it may be, and the step that leads out. */
type Row = readonly [path: string, least: number, most: number, step: number]

const METHOD: readonly Row[] = [
  ['dose.bandScale', 0.1, 3, 0.01],
  ['dose.setsPerExercise.0', 1, 4, 1],
  ['dose.setsPerExercise.1', 3, 20, 1],
  ['dose.minSetsPerExposure', 0.25, 10, 0.25],
  ['dose.maxSetsPerExposure', 1, 30, 0.5],
  ['dose.frequencyMin', 0.25, 7, 0.25],
  ['effort.defaultRir', 0, 6, 1],
  ['effort.rirCompound.from', 0, 6, 1],
  ['effort.rirIsolation.to', 0, 6, 1],
  ['effort.extendedMax', 0, 6, 1],
  ['effort.lastSetToFailure.fromWeek', 1, 16, 1],
  ['rest.compoundHeavy', 0, 900, 1],
  ['rest.isolationMin', 0, 900, 1],
  ['pairing.inside', 0, 900, 1],
  ['pairing.after', 0, 900, 1],
  ['reps.compound.0', 1, 10, 1],
  ['reps.compound.1', 6, 50, 1],
  ['reps.forearms.1', 12, 50, 1],
  ['progress.setRampCap', 0, 1, 0.01],
  ['progress.workingWeeks', 1, 16, 1],
  ['progress.deloadWeeks', 0, 4, 1],
  ['recovery.required.lead', 0, 100, 1],
  ['recovery.required.indirect', 0, 100, 1],
  ['time.generalWarmup', 0, 900, 1],
  ['time.compression.0', 1, 8, 1],
  ['ratioWish', 0.3, 3, 0.01],
]

const TARGETS: readonly Row[] = [
  ['bands.biceps.floor', 0, 10, 0.5],
  ['bands.biceps.target', 5, 20, 0.5],
  ['bands.biceps.ceiling', 10, 60, 0.5],
  ['headFloors.biceps_long', 0, 60, 0.5],
  ['frequencyMin.biceps', 0.25, 7, 0.25],
  ['sessionMax.biceps', 1, 40, 0.5],
  ['jointCeilings.wrist.week', 1, 400, 1],
  ['jointCeilings.wrist.session', 1, 200, 1],
  ['ratioWish', 0.3, 3, 0.01],
]
const targets = {
  modes: {},
  bands: { biceps: { floor: 5, target: 10, ceiling: 20 } },
  headFloors: { biceps_long: 3 },
  frequencyMin: { biceps: 2 },
  sessionMax: { biceps: 8 },
  jointCeilings: { wrist: { week: 40, session: 20 } },
  ratioWish: 1,
}

const SET: readonly Row[] = [
  ['place.set', 1, 40, 1],
  ['place.stage', 1, 30, 1],
  ['done.load.amount', 0, 600, 1],
  ['done.reps', 0, 150, 1],
  ['done.rir', 0, 10, 1],
]
const set = {
  kind: 'set',
  place: { slot: 'slot-1', role: 'working', set: 1, stage: 1, side: null },
  done: {
    exercise: 'cable_curl',
    intent: null,
    load: { amount: 40, unit: 'kg' },
    reps: 10,
    seconds: null,
    rir: 2,
    isRirOpen: false,
  },
  replaces: null,
}
const pain = {
  kind: 'pain',
  joints: ['wrist'],
  side: 'left',
  score: 3,
  hasAlarmSign: false,
}

describe.each<readonly [string, z.ZodType, unknown, readonly Row[]]>([
  [
    'a method',
    MethodContract,
    { ...STEADY_MIDDLE, effort: { ...STEADY_MIDDLE.effort, lastSetToFailure: { fromWeek: 4 } } },
    METHOD,
  ],
  ['targets', TargetsContract, targets, TARGETS],
  ['a set on the phone', LogWordContract, set, SET],
  ['pain on the phone', LogWordContract, pain, [['score', 0, 10, 1]]],
])('%s', (_, contract, base, rows) => {
  const takes = (path: string, value: number) =>
    contract.safeParse(
      withField(
        base,
        path.split('.').map(part => (/^\d+$/.test(part) ? Number(part) : part)),
        value,
      ),
    ).success
  test('is taken as it stands', () => expect(contract.safeParse(base).success).toBe(true))
  test.each(rows)('%s from %d to %d', (path, least, most, step) => {
    expect([takes(path, least), takes(path, most)]).toEqual([true, true])
    expect([takes(path, least - step), takes(path, most + step)]).toEqual([false, false])
  })
})
