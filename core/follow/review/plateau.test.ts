import { describe, expect, test } from '@jest/globals'
import { addDays, exerciseId, plainDate } from '../../base'
import type { LoggedSet } from '../../body/log'
import { defaultContext } from '../../plan/method'
import { leverStepWords, leverWords } from '../../words'
import { groupEvidence } from '../../testing/groupEvidence'
import { writtenSession } from '../../testing/shorthandPlans'
import { type GroupEvidence, type PlateauLog, plateauLog, plateauOf } from '.'
import { LEVERS } from './plateau'

const today = plainDate('2026-04-02')
/** A muscle of which nothing stands out. */
const fine = groupEvidence({
  mode: 'keep',
  verdict: 'plateau',
  recovered: 3,
  lately: [true, true, true],
  readiness: 92,
})
const curl = (daysAgo: number, loadKg: number | null = 30, exercise = 'barbell_curl') =>
  ({
    on: addDays(today, -daysAgo),
    slot: null,
    exercise: exerciseId(exercise),
    intent: null,
    set: 1,
    stage: 1,
    side: null,
    role: 'working',
    loadKg,
    reps: 9,
    seconds: null,
    rir: 1,
    isRirOpen: false,
  }) satisfies LoggedSet & { readonly on: typeof today }
const log: PlateauLog = {
  due: 100,
  done: 95,
  sets: [curl(42, 30), curl(20, 30), curl(3, 32.5)],
  reserveErrors: [0, 0, 1, -1],
  hindrances: [],
  today,
}
const looked = (of: Partial<GroupEvidence> = {}, more: Partial<PlateauLog> = {}, days = 7) =>
  plateauOf({ ...fine, ...of }, { ...log, ...more }, days)

describe('a plateau', () => {
  test.each<readonly [string, Partial<GroupEvidence>, Partial<PlateauLog>, string | null, string]>([
    ['nothing stands out', {}, {}, null, '95 of 100 sets done over the block'],
    ['too much is missed', {}, { done: 79 }, 'attendance', '79 of 100 sets done over the block'],
    [
      'a joint is sore',
      { sore: { joint: 'wrist', level: 'hold' } },
      {},
      'joint',
      'wrist is held: no more load, sets or stages',
    ],
    [
      'not recovered',
      { lately: [false, true, false] },
      {},
      'recovery',
      'recovered in 1 of the last 3 answers; 92 % ready on average',
    ],
    [
      'not ready',
      { readiness: 78 },
      {},
      'recovery',
      'recovered in 3 of the last 3 answers; 78 % ready on average',
    ],
    ['short of sleep', {}, { hindrances: ['short_sleep'] }, 'food_and_sleep', 'under 6 h of sleep'],
    [
      'far from failure',
      {},
      { reserveErrors: [1, 2, 2, 1] },
      'effort',
      '1.5 more left than planned, the middle of 4 sets',
    ],
    ['under the target', { counted: 12 }, {}, 'volume', '12.0 a week, target 14.0'],
    ['all on one day', { exposures: 1 }, {}, 'frequency', '1.0 a week for 14.0 sets'],
    [
      'one load for long',
      {},
      { sets: [curl(49), curl(30), curl(2)] },
      'load',
      'Barbell curl: 30.0 kg for 7 weeks',
    ],
    ['room under the ceiling', { mode: 'build' }, {}, 'room', '14.0 of 20.0 a week'],
    [
      'the same for long',
      {},
      { sets: [curl(60, 25), curl(4, 30)] },
      'exercise',
      'unchanged for 9 weeks',
    ],
  ])('%s', (_, of, more, next, words) => {
    const plateau = looked(of, more)
    expect(plateau.next).toBe(next)
    const fact = plateau.facts.find(({ lever }) => lever === (next ?? 'attendance'))!
    expect(leverWords(fact, plateau, id => (id === 'barbell_curl' ? 'Barbell curl' : id))).toBe(
      words.replaceAll(' %', '\u00a0%').replaceAll(' kg', '\u00a0kg'),
    )
  })

  test('one thing at a time: what comes first hides what comes after it', () => {
    const everything = looked(
      {
        sore: { joint: 'wrist', level: 'swap' },
        lately: [false, false, false],
        counted: 9,
        exposures: 1,
        mode: 'build',
      },
      {
        done: 10,
        reserveErrors: [3, 3, 3, 3],
        hindrances: ['energy_deficit'],
        sets: [curl(70), curl(2)],
      },
    )
    expect(everything.facts.map(({ lever }) => lever)).toEqual(LEVERS)
    expect(everything.facts.every(({ isOff }) => isOff)).toBe(true)
    expect(everything.next).toBe('attendance')
    expect(leverStepWords(everything.next)).toMatch(/^Get the plan done first/)
    expect(leverStepWords(looked().next)).toMatch(/^Nothing stands out/)
  })

  test('a rotation of eight days counts by the week; three sets say nothing of effort', () => {
    expect(looked({ exposures: 2 }, {}, 14).next).toBe('frequency')
    expect(looked({}, { reserveErrors: [3, 3, 3] }).next).toBeNull()
    expect(looked({}, { sets: [curl(49, null), curl(2, null)] }).next).toBeNull()
  })
})

test('the log of a muscle is made of its own exercises, the plan of everything', () => {
  const content = writtenSession('barbell_curl 3 x 8, rir 1', 'bench_press_dumbbell 4 x 8, rir 2')
  const sets = [curl(3), { ...curl(3, 60, 'bench_press_dumbbell'), set: 1 }]
  const row = {
    setsDue: 3,
    topKg: 30,
    plannedKg: null,
    repsPlanned: 8,
    repsDone: 8,
    otherwise: [],
    setsDone: 2,
  }
  const found = plateauLog(
    {
      past: [{ on: addDays(today, -3), name: 'Arms', content, sets, isExcused: false }],
      exercises: [
        { ...row, exercise: exerciseId('barbell_curl'), rirDone: 3, rirPlanned: 1 },
        { ...row, exercise: exerciseId('bench_press_dumbbell'), rirDone: 9, rirPlanned: 2 },
      ],
      today,
    },
    'biceps',
    defaultContext({ trainingAgeMonths: 30, slowedBy: ['age_50', 'short_sleep'] }),
  )
  expect(found).toMatchObject({
    due: 7,
    done: 2,
    reserveErrors: [2, 2],
    hindrances: ['short_sleep'],
    today,
  })
  expect(found.sets.map(({ exercise }) => exercise)).toEqual(['barbell_curl'])
})
