import { describe, expect, test } from '@jest/globals'
import { plainDate } from '../../base'
import { planIn, written } from '../../testing/shorthandPlans'
import { type BlockEvent, passDates, passOn, planEnd, type PlanDocument } from '.'

const may = (day: number) => plainDate(`2026-05-${String(day).padStart(2, '0')}`)
/** Three days in turn, twice, from 4 May on. */
const plan: PlanDocument = {
  ...planIn(3, written('push', 'bench_press_dumbbell 3 x 8, rir 2')),
  startsOn: may(4),
  passes: 2,
}
const pause = (from: number, to: number, effect: BlockEvent['effect'] = 'shift'): BlockEvent => ({
  id: `${from}`,
  what: 'Regatta',
  from: may(from),
  to: may(to),
  effect,
})
const daysWith = (events: readonly BlockEvent[], of = plan) =>
  passDates({ ...of, block: { events } }).map(dates => dates.map(on => Number(on.slice(-2))))

describe('dates of every day', () => {
  test.each<[string, readonly BlockEvent[], number[][]]>([
    [
      'one after the other',
      [],
      [
        [4, 5, 6],
        [7, 8, 9],
      ],
    ],
    [
      'a pause of one day puts off what lies on it and after',
      [pause(7, 7)],
      [
        [4, 5, 6],
        [8, 9, 10],
      ],
    ],
    [
      'its last day is paused too',
      [pause(5, 7)],
      [
        [4, 8, 9],
        [10, 11, 12],
      ],
    ],
    [
      'one before the block does nothing',
      [pause(2, 3)],
      [
        [4, 5, 6],
        [7, 8, 9],
      ],
    ],
    [
      'nor one after it',
      [pause(10, 12)],
      [
        [4, 5, 6],
        [7, 8, 9],
      ],
    ],
    [
      'two that touch are one',
      [pause(7, 8), pause(9, 9)],
      [
        [4, 5, 6],
        [10, 11, 12],
      ],
    ],
    [
      'the block may begin in one',
      [pause(3, 4)],
      [
        [5, 6, 7],
        [8, 9, 10],
      ],
    ],
    [
      'days off shift nothing',
      [pause(5, 7, 'skip')],
      [
        [4, 5, 6],
        [7, 8, 9],
      ],
    ],
  ])('%s', (_, events, dates) => expect(daysWith(events)).toEqual(dates))
  test('a rotation that keeps to weekdays goes on a week later, as often as it takes', () => {
    const days = [...plan.rotation.days, ...plan.rotation.days, plan.rotation.days[2]!]
    const weekly: PlanDocument = {
      ...plan,
      rotation: { kind: 'places', anchor: { kind: 'weekday', startsOn: 1 }, days },
    }
    expect(daysWith([pause(6, 6)], weekly)).toEqual([
      [4, 5, 13, 14, 15, 16, 17],
      [18, 19, 20, 21, 22, 23, 24],
    ])
    expect(daysWith([pause(6, 6), pause(13, 14)], weekly)[0]).toEqual([4, 5, 20, 21, 22, 23, 24])
  })
})

describe('the rotation of a day', () => {
  test.each([
    [3, null],
    [4, 0],
    [6, 0],
    [7, 1],
    [30, 1],
  ])('%i May: %p', (day, pass) => expect(passOn(plan, may(day))).toBe(pass))
  test('the plan ends with its last day, one without days where it begins', () => {
    expect(planEnd(plan)).toBe('2026-05-09')
    expect(planEnd({ ...plan, rotation: { ...plan.rotation, days: [] } })).toBe('2026-05-04')
  })
})
