import { describe, expect, jest, test } from '@jest/globals'
import { fileURLToPath } from 'node:url'

/*
 * A joint more in the table, and nothing else changed: everything that counts, caps, names or asks about joints must know
 * it. The table is replaced before anything of core is loaded.
 */
const path = fileURLToPath(new URL('../plan/catalogue/joints.ts', import.meta.url))
const before = await import('../plan/catalogue/joints')
const ANKLE = {
  name: 'ankle',
  place: 'ankle',
  asked: 'Ankle',
  region: 'trunk',
  hasSides: true,
  tauHours: 48,
  week: 40,
  session: 15,
} as const
const table = { ...before.JOINT_TABLE, ankle: ANKLE }
const joints = Object.keys(table)
jest.unstable_mockModule(path, () => ({
  ...before,
  JOINT_TABLE: table,
  JOINTS: joints,
  hasSides: (joint: keyof typeof table) => table[joint].hasSides,
}))

const { exerciseId } = await import('../base')
const { BUILT_IN_CATALOGUE, requireExercise } = await import('../plan/catalogue')
const { rotationJoints } = await import('../body/joints')
const { contextWith, methodById } = await import('../plan/method')
const { blockVerdict, expandedBlock } = await import('../design/progress')
const { PAIN_PLACES } = await import('../follow/sheet')
const { JOINT_NAMES } = await import('../words')
const { planIn, written } = await import('./shorthandPlans')

const plan = planIn(
  3,
  written('push', 'pushdown_rope 3 x 12, rir 1'),
  written('legs', 'leg_press 3 x 10, rir 2'),
)

/** The built-in exercises, with the leg press bearing on the new joint. */
const catalogue = new Map(BUILT_IN_CATALOGUE)
const press = requireExercise(BUILT_IN_CATALOGUE, 'leg_press')
const [usual, ...others] = press.intents
const loading = { ...usual, jointStress: { ...usual.jointStress, ankle: 2 } }
catalogue.set(exerciseId('leg_press'), { ...press, intents: [loading, ...others] })
const context = contextWith(methodById('steady-middle'), { trainingAgeMonths: 60 }, catalogue)

const ankle = <Value>(record: Readonly<Record<string, Value>>) => record.ankle as Value

describe('a joint added in the table alone', () => {
  test('is borne by no exercise that does not name it', () => {
    const named = [...BUILT_IN_CATALOGUE.values()].flatMap(({ intents }) =>
      intents.map(({ jointStress }) => ankle(jointStress)),
    )
    expect(named.length).toBeGreaterThan(100)
    expect(new Set(named)).toEqual(new Set([0]))
  })

  test('is counted and capped over a rotation, and the others are what they were', () => {
    const found = rotationJoints(plan.rotation, context)
    expect(Object.keys(found)).toEqual(joints)
    const { weekLoad, ceiling, sessions } = ankle(found)
    expect(ceiling).toEqual({ week: ANKLE.week, session: ANKLE.session })
    // Three sets of stress 2, ten reps, two in reserve: no factor but one.
    expect(weekLoad).toBeGreaterThanOrEqual(6)
    expect(sessions.every(({ load, store }) => Number.isFinite(load + store))).toBe(true)
    const numbers = Object.values(found).map(joint => joint.weekLoad)
    expect(numbers.every(Number.isFinite)).toBe(true)
  })

  test('is judged in a block', () => {
    const verdict = blockVerdict(expandedBlock(plan, context), context)
    const weeks = verdict.passes.map(({ joints: of }) => ankle(of).week)
    expect(weeks.every(week => week > 0 && Number.isFinite(week))).toBe(true)
  })

  test('has its name, and its place on the phone, on the right side of its region', () => {
    expect(ankle(JOINT_NAMES)).toBe('ankle')
    expect(PAIN_PLACES.at(-1)).toEqual({
      id: 'ankle',
      words: 'Ankle',
      joints: ['ankle'],
      hasSides: true,
    })
    expect(PAIN_PLACES.map(({ id }) => id).slice(0, 3)).toEqual([
      'elbow_front',
      'elbow_back',
      'elbow',
    ])
  })

  test('is no joint without a ceiling: a row that lacks one does not compile', () => {
    const { session: _, ...lacking } = ANKLE
    // @ts-expect-error a joint without a ceiling of a session
    const rows: Record<string, (typeof before.JOINT_TABLE)['wrist']> = { ankle: lacking }
    expect(rows.ankle).toBeDefined()
  })
})
