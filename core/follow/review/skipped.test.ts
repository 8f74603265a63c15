import { describe, expect, test } from '@jest/globals'
import { addDays, exerciseId, plainDate, seededRandom } from '../../base'
import { defaultContext } from '../../plan/method'
import { sessionSlots, type Session } from '../../plan/session'
import { writtenSession } from '../../testing/shorthandPlans'
import type { LoggedSet } from '../../body/log'
import { habitWords } from '../../words'
import { chanceOfAtLeast } from './skipped'
import { type Habit, type PastSession, skippedHabits } from '.'

const context = defaultContext({ trainingAgeMonths: 30 })
const monday = plainDate('2026-01-05')
/** Monday, Wednesday and Friday; forearms stand in the middle of one and at the end of another. */
const WEEK: readonly (readonly [number, string, Session])[] = [
  [
    0,
    'Push',
    writtenSession('bench_press_dumbbell 3 x 8', 'wrist_curl 2 x 15', 'pushdown_rope 3 x 12'),
  ],
  [
    2,
    'Pull',
    writtenSession('chest_supported_row 3 x 8', 'cable_curl 3 x 12', 'wrist_curl 2 x 15'),
  ],
  [
    4,
    'Arms',
    writtenSession('barbell_curl 3 x 8', 'lying_extension_cambered 3 x 10', 'hammer_curl 3 x 12'),
  ],
]
/** What stands in the middle of each. */
const MIDDLE = ['wrist_curl', 'cable_curl', 'lying_extension_cambered']
const setOf = (slot: LoggedSet['slot'], exercise: string): LoggedSet => ({
  slot,
  exercise: exerciseId(exercise),
  intent: null,
  set: 1,
  stage: 1,
  side: null,
  role: 'working',
  loadKg: 20,
  reps: 10,
  seconds: null,
  rir: 1,
  isRirOpen: false,
})

type Leaves = (of: {
  readonly week: number
  readonly name: string
  readonly exercise: string
  readonly isLast: boolean
}) => boolean

/** Weeks of a client who leaves out what she leaves out. */
function weeksOf(weeks: number, leaves: Leaves): readonly PastSession[] {
  return Array.from({ length: weeks }, (_, week) =>
    WEEK.map(([day, name, content]): PastSession => {
      const slots = sessionSlots(content)
      return {
        on: addDays(monday, week * 7 + day),
        name,
        content,
        isExcused: false,
        sets: slots.flatMap((slot, at) =>
          leaves({ week, name, exercise: slot.exercise, isLast: at === slots.length - 1 })
            ? []
            : [setOf(slot.id, slot.exercise)],
        ),
      }
    }),
  ).flat()
}
const kinds = (habits: readonly Habit[]) =>
  habits.map(habit =>
    habit.kind === 'group' ? habit.group : habit.kind === 'weekday' ? habit.weekday : habit.kind,
  )
const found = (weeks: number, leaves: Leaves) =>
  kinds(skippedHabits(weeksOf(weeks, leaves), context))

test('the chance of so many among so many is that of drawing without putting back', () => {
  // 2 or more aces of 4 among 5 cards of 52: by hand 1 − (C(48,5) + 4·C(48,4)) / C(52,5).
  expect(chanceOfAtLeast(2, 5, 4, 52)).toBeCloseTo(0.04168, 5)
  expect(chanceOfAtLeast(0, 5, 4, 52)).toBeCloseTo(1, 10)
  expect(chanceOfAtLeast(5, 5, 4, 52)).toBe(0)
})

describe('what is skipped', () => {
  test.each<readonly [string, number, Leaves, readonly unknown[]]>([
    ['nothing', 8, () => false, []],
    ['Fridays, most of them', 8, ({ name, week }) => name === 'Arms' && week % 3 !== 0, [5]],
    ['the last exercise', 6, ({ isLast, week }) => isLast && week % 4 !== 0, ['last']],
    ['forearms wherever they stand', 8, ({ exercise }) => exercise === 'wrist_curl', ['forearms']],
    ['three weeks of it: too early', 3, ({ name }) => name === 'Arms', []],
    ['everything now and then', 8, ({ week }) => week % 3 === 0, []],
    [
      'the last a little more often than the rest: chance does that',
      8,
      ({ week, isLast, exercise }) =>
        isLast ? week % 2 === 0 : week % 2 === 1 && MIDDLE.includes(exercise),
      [],
    ],
    [
      'the last mostly, and forearms only where they stand last',
      8,
      ({ isLast, name, week }) => isLast && (name === 'Pull' || week % 5 < 3),
      ['last'],
    ],
    ['one exercise once', 8, ({ week, isLast }) => week === 2 && isLast, []],
  ])('%s', (_, weeks, leaves, told) => {
    expect(found(weeks, leaves)).toEqual(told)
  })

  test('what the coach let go says nothing, and another exercise in its place is done', () => {
    const fridays = weeksOf(8, ({ name }) => name === 'Arms')
    const excused = fridays.map(one => ({ ...one, isExcused: one.name === 'Arms' }))
    expect(skippedHabits(excused, context)).toEqual([])
    const swapped = weeksOf(8, ({ isLast }) => isLast).map(session => {
      const last = sessionSlots(session.content).at(-1)!
      return { ...session, sets: [...session.sets, setOf(last.id, 'hammer_curl')] }
    })
    expect(skippedHabits(swapped, context)).toEqual([])
  })

  test('is told with its figures and a remedy', () => {
    const [habit] = skippedHabits(
      weeksOf(8, ({ name, week }) => name === 'Arms' && week % 4 !== 0),
      context,
    )
    expect(habitWords(habit!)).toBe(
      'Fridays: 6 of 8 sessions were left out, other days 0 of 100. Put Arms on another day, or make it shorter.',
    )
    const [last] = skippedHabits(
      weeksOf(6, ({ isLast }) => isLast),
      context,
    )
    expect(habitWords(last!)).toMatch(/^The last exercise of a session was left out 18 of 18 times/)
  })

  test('chance alone is called a habit in fewer than one client of twenty', () => {
    let called = 0
    const clients = 400
    for (let client = 0; client < clients; client += 1) {
      const random = seededRandom(100 + client)
      const missed = new Set(
        Array.from({ length: 8 * 3 }, (_, at) => at).filter(() => random() < 0.12),
      )
      const habits = found(
        8,
        ({ week, name }) =>
          missed.has(week * 3 + WEEK.findIndex(([, own]) => own === name)) || random() < 0.08,
      )
      if (habits.length > 0) called += 1
    }
    expect(called / clients).toBeLessThan(0.05)
  })
})
