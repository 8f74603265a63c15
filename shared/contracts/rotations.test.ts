import { describe, expect, test } from '@jest/globals'
import { isoWeekday } from '#core/base'
import { passDates, applyEdit, type PlanDocument } from '#core/plan/block'
import { checkPlan } from '#core/judge/checks'
import { calendarWeeks, dailySets, rotationLedger } from '#core/count/ledger'
import { defaultContext } from '#core/plan/method'
import { placeOn, type RotationDay } from '#core/plan/rotation'
import { CASES } from '#core/testing/cases'
import { planOf } from '#core/testing/notation'
import { planIn, written } from '#core/testing/shorthandPlans'
import { PlanContract } from './plan'

const context = defaultContext({ trainingAgeMonths: 50 })
const rest: RotationDay = { role: 'rest', sessions: [] }
const open: RotationDay = { role: 'open', sessions: [] }
const conditioning: RotationDay = { role: 'conditioning', sessions: [] }
const arms = () => written('arms', 'cable_curl 4 x 10, rir 1', 'pushdown_rope 4 x 12, rir 1')
const push = () =>
  written('push', 'bench_press_dumbbell 4 x 8, rir 2', 'pushdown_rope 2 x 12, rir 1')
const pull = () => written('pull', 'seated_cable_row 4 x 10, rir 2', 'cable_curl 2 x 12, rir 1')
const legs = () => written('legs', 'leg_press 4 x 10, rir 2')
const as = (plan: PlanDocument, more: Partial<PlanDocument['rotation']>): PlanDocument => ({
  ...plan,
  rotation: { ...plan.rotation, ...more },
})

/** Saved and read again, as it goes to the database and back. */
function stored(plan: PlanDocument): PlanDocument {
  return PlanContract.parse(JSON.parse(JSON.stringify(plan)))
}
const week = (plan: PlanDocument) =>
  rotationLedger(plan.rotation, context).groups.biceps.week.counted.value

describe('rotations are saved, dated and counted (cases C51 to C59)', () => {
  test('C51 nine days drift through the weekdays, and cannot be pinned to them', () => {
    const plan = planOf(push(), rest, pull(), rest, legs(), rest, arms(), arms(), rest)
    expect(stored(plan)).toEqual(plan)
    expect(passDates({ ...plan, passes: 3 }).map(([first]) => first && isoWeekday(first))).toEqual([
      5, 7, 2,
    ])
    const pinned = PlanContract.safeParse(as(plan, { anchor: { kind: 'weekday', startsOn: 1 } }))
    expect(pinned.error?.issues[0]).toMatchObject({
      path: ['rotation', 'anchor'],
      message: 'can hold weekdays only with 7 or 14 days; choose floating',
    })
  })
  test('C52 a two-day loop three times in a week leaves a day that nobody has spoken for', () => {
    const plan = planOf(push(), pull(), push(), pull(), push(), pull(), open)
    expect(stored(plan)).toEqual(plan)
    expect(checkPlan(plan, context).find(({ check }) => check === 'open-day')?.place).toEqual({
      day: 6,
    })
  })
  test('C53 three in ten days are 2.1 a week; never more than four days apart is held against the places', () => {
    const plan = as(planIn(10, arms(), rest, rest, arms(), rest, rest, arms()), {
      kind: 'per_days',
      maxGapDays: 4,
    })
    expect(stored(plan)).toEqual(plan)
    expect(
      rotationLedger(plan.rotation, context).groups.biceps.spread.frequencyPer7Days,
    ).toBeCloseTo(2.1, 9)
    expect(checkPlan(plan, context).some(({ check }) => check === 'gap-rule-broken')).toBe(false)
  })
  test('C54 a bare series with unknown days', () => {
    const plan = as(planOf(open, legs(), arms(), open, open, conditioning), { kind: 'sequence' })
    expect(stored(plan)).toEqual(plan)
    expect(
      checkPlan(plan, context).filter(
        ({ check }) => check === 'open-day' || check === 'places-assumed',
      ),
    ).toHaveLength(4)
  })
  test('C55 conditioning is context, not sets', () => {
    const plan = planOf(push(), conditioning, pull(), conditioning, legs(), rest, rest)
    expect(stored(plan)).toEqual(plan)
    expect(week(plan)).toBe(week(planOf(push(), rest, pull(), rest, legs(), rest, rest)))
  })
  test('C56 five days on with one region twice, arms last', () => {
    const plan = planOf(push(), pull(), legs(), push(), arms(), rest, rest)
    expect(stored(plan)).toEqual(plan)
    expect(dailySets(rotationLedger(plan.rotation, context).days, 'triceps')).toEqual([
      4, 0, 0, 4, 4, 0, 0,
    ])
  })
  test('C57 accessories and an arm day change without each other', () => {
    const plan = planOf(push(), pull(), rest, arms(), rest)
    const accessory = plan.rotation.days[1]?.sessions[0]?.groupings[1]?.slots[0]
    const edited =
      accessory && applyEdit(plan, { kind: 'add_sets', slot: accessory.id, count: 2 }, () => 'new')
    expect(edited?.ok && edited.value.rotation.days[3]).toBe(plan.rotation.days[3])
    expect(edited?.ok && edited.value.rotation.days[1]).not.toBe(plan.rotation.days[1])
  })
  test('C58 week 4, session 2 of a numbered block has a date, and the date has its place', () => {
    const plan = { ...planOf(push(), rest, pull(), rest, legs(), rest, rest), passes: 4 }
    const date = passDates(plan)[3]![2]!
    expect([date, placeOn(7, plan.startsOn, date)]).toEqual(['2026-04-26', { pass: 3, day: 2 }])
    expect(stored(plan)).toEqual(plan)
    const weeks = calendarWeeks({
      dailySets: dailySets(rotationLedger(plan.rotation, context).days, 'biceps'),
      startsOn: plan.startsOn,
      lengthDays: 28,
    })
    expect(weeks.reduce((sum, { sets }) => sum + sets, 0)).toBe(4 * 4)
  })
  test('C59 side streams run beside the rotation', () => {
    const rowing = {
      what: 'Rowing',
      groups: ['lats' as const, 'biceps' as const],
      times: { low: 3, high: 3 },
      setsEach: null,
    }
    const heavy = {
      what: 'A heavy pull',
      groups: ['lower_back' as const],
      times: { low: 1, high: 2 },
      setsEach: 3,
    }
    const plan = as(planOf(push(), pull(), rest, arms(), rest, rest, rest), {
      sideLoads: [rowing, heavy],
    })
    expect(stored(plan)).toEqual(plan)
    const { biceps, lower_back: back } = rotationLedger(plan.rotation, context).groups
    expect([
      biceps.week.counted.high,
      back.week.counted.low,
      back.week.counted.value,
      back.week.counted.high,
    ]).toEqual([Infinity, 3, 4.5, 6])
  })
})

test('every set structure is accepted by the contract as it was typed', () => {
  for (const { id, lines } of CASES) {
    const plan = planIn(2, written('arms', ...lines))
    expect({ id, plan: stored(plan) }).toEqual({ id, plan })
  }
})
