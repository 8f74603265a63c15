import { describe, expect, test } from '@jest/globals'
import { day, planOf, REST_DAY, sets, slot, straight, work } from '#core/testing/notation'
import { planArbitrary } from '#core/testing/arbitraries'
import fc from 'fast-check'
import { PlanContract } from './plan'

const plan = planOf(
  day(straight('cable_curl', 3, 10, 1), straight('pushdown_rope', 3, 10, 1)),
  REST_DAY,
)

function problems(change: (raw: any) => void): readonly string[] {
  const raw = JSON.parse(JSON.stringify(plan))
  change(raw)
  const parsed = PlanContract.safeParse(raw)
  return parsed.success
    ? []
    : parsed.error.issues.map(issue => `/${issue.path.join('/')} ${issue.message}`)
}
const firstSlot = (raw: any) => raw.rotation.days[0].sessions[0].groupings[0].slots[0]
const slotPath = '/rotation/days/0/sessions/0/groupings/0/slots/0'

test('a plan survives the wire unchanged', () => {
  fc.assert(
    fc.property(planArbitrary, any =>
      expect(PlanContract.parse(JSON.parse(JSON.stringify(any)))).toEqual(any),
    ),
  )
})

describe('what is refused names its field', () => {
  test.each([
    {
      name: 'unknown exercise',
      change: (raw: any) => {
        firstSlot(raw).exercise = 'moon_curl'
      },
      path: `${slotPath}/exercise`,
      says: 'which the library does not have',
    },
    {
      name: 'unknown purpose',
      change: (raw: any) => {
        firstSlot(raw).intent = 'calves'
      },
      path: `${slotPath}/exercise`,
      says: 'names the purpose "calves"',
    },
    {
      name: 'negative sets',
      change: (raw: any) => {
        firstSlot(raw).scheme.runs[0].count = -1
      },
      path: `${slotPath}/scheme/runs/0/count`,
      says: '>=1',
    },
    {
      name: 'half a set',
      change: (raw: any) => {
        firstSlot(raw).scheme.runs[0].count = 2.5
      },
      path: `${slotPath}/scheme/runs/0/count`,
      says: 'int',
    },
    {
      name: '21 sets at once',
      change: (raw: any) => {
        firstSlot(raw).scheme.runs[0].count = 21
      },
      path: `${slotPath}/scheme/runs/0/count`,
      says: '<=20',
    },
    {
      name: '24 sets in two runs',
      change: (raw: any) => {
        const { runs } = firstSlot(raw).scheme
        runs[0].count = 12
        runs.push({ ...runs[0] })
      },
      path: `${slotPath}/scheme/runs`,
      says: 'holds 24 sets',
    },
    {
      name: 'no days',
      change: (raw: any) => {
        raw.rotation.days = []
      },
      path: '/rotation/days',
      says: '>=2',
    },
    {
      name: 'one day',
      change: (raw: any) => {
        raw.rotation.days.pop()
      },
      path: '/rotation/days',
      says: '>=2',
    },
    {
      name: '40 days',
      change: (raw: any) => {
        raw.rotation.days = Array.from({ length: 40 }, () => REST_DAY)
      },
      path: '/rotation/days',
      says: '<=14',
    },
    {
      name: 'an old schema',
      change: (raw: any) => {
        raw.schema = 0
      },
      path: '/schema',
      says: 'expected 1',
    },
    {
      name: 'sets on a rest day',
      change: (raw: any) => {
        raw.rotation.days[0].role = 'rest'
      },
      path: '/rotation/days/0/sessions',
      says: 'empty on a rest day',
    },
    {
      name: 'weekdays in two days',
      change: (raw: any) => {
        raw.rotation.anchor = { kind: 'weekday', startsOn: 1 }
      },
      path: '/rotation/anchor',
      says: '7 or 14 days',
    },
    {
      name: "a start on another weekday than the rotation's",
      change: (raw: any) => {
        raw.rotation.days = Array.from({ length: 7 }, () => REST_DAY)
        raw.rotation.anchor = { kind: 'weekday', startsOn: 1 }
      },
      path: '/startsOn',
      says: 'weekday that the rotation begins with',
    },
    {
      name: 'an id used twice',
      change: (raw: any) => {
        const { groupings } = raw.rotation.days[0].sessions[0]
        groupings[1].slots[0].id = groupings[0].slots[0].id
      },
      path: '/rotation/days/0/sessions/0',
      says: 'twice',
    },
    {
      name: 'a day that does not exist',
      change: (raw: any) => {
        raw.startsOn = '2026-02-30'
      },
      path: '/startsOn',
      says: 'calendar day',
    },
    {
      name: 'a field nobody knows',
      change: (raw: any) => {
        raw.colour = 'red'
      },
      path: '/',
      says: 'colour',
    },
    {
      name: 'reps the wrong way round',
      change: (raw: any) => {
        firstSlot(raw).scheme.runs[0].stages[0].reps = { kind: 'between', low: 9, high: 7 }
      },
      path: `${slotPath}/scheme/runs/0/stages/0/reps`,
      says: 'lower number of reps first',
    },
    {
      name: 'a choice that misses the plan',
      change: (raw: any) => {
        firstSlot(raw).scheme.runs[0].countRange = { low: 4, high: 6 }
      },
      path: `${slotPath}/scheme/runs/0/countRange`,
      says: 'planned number of sets, 3',
    },
    {
      name: 'an unknown exercise inside a set',
      change: (raw: any) => {
        firstSlot(raw).scheme.runs[0].stages[0].exercise = { id: 'moon_curl', intent: null }
      },
      path: `${slotPath}/scheme/runs/0/stages/0/exercise`,
      says: 'does not have',
    },
  ])('$name', ({ change, path, says }) => {
    const found = problems(change)
    expect(
      found.find(problem => problem.startsWith(`${path} `) && problem.includes(says)),
    ).toBeDefined()
  })
})

test('a set of several stages with every field given is taken as it is', () => {
  const rich = planOf(
    day(
      slot(
        'incline_dumbbell_curl',
        sets(
          2,
          [
            work(9, 1, {
              load: { kind: 'weight', amount: 12.5, unit: 'kg', basis: 'per_hand' },
              tempo: { lower: 3 },
              grip: 'supinated',
              form: 'strict',
            }),
            { kind: 'rest', rest: { kind: 'stretch', seconds: 15 } },
            {
              kind: 'work',
              reps: { kind: 'same_as', stage: 0 },
              range: { kind: 'part', from: 0, to: 0.5 },
              optional: true,
              onlyIf: 'the elbow is quiet',
            },
            { kind: 'hold', at: 'lengthened', seconds: 30 },
          ],
          { countRange: { low: 1, high: 3 }, restAfter: { kind: 'between', low: 60, high: 90 } },
        ),
      ),
    ),
    REST_DAY,
  )
  expect(PlanContract.parse(rich)).toEqual(rich)
})
