import { describe, expect, test } from '@jest/globals'
import { applyEdit, applyEdits, findSlot } from '../plan/block'
import { checkPlan } from '../judge/checks'
import { amountIn } from '../plan/estimate'
import { formatFigure } from '../words'
import {
  countedWorkOfDay,
  dailySets,
  derivation,
  groupTarget,
  rotationLedger,
  spanLedger,
} from '../count/ledger'
import { COUNTING_SCHOOLS, defaultContext, type PlanContext } from '../plan/method'
import { sessionTime } from '../plan/minutes'
import { rotationRecovery } from '../body/recovery'
import type { RotationDay } from '../plan/rotation'
import { formatScheme, parseScheme } from '../plan/shorthand'
import { idsInARow } from './notation'
import { planIn, written } from './shorthandPlans'

const context = defaultContext({ trainingAgeMonths: 50 })
const figure = (
  day: RotationDay,
  group: 'biceps' | 'triceps' | 'elbow_flexors_other' | 'chest' | 'lats',
  given: PlanContext = context,
) => spanLedger(countedWorkOfDay(day, given), given.method.school).groups[group].counted
const minutes = (day: RotationDay) =>
  day.sessions[0] ? sessionTime(day.sessions[0], context).seconds : 0
const scheme = (text: string) => {
  const result = parseScheme(text)
  if (!result.ok) throw new Error(JSON.stringify(result.error))
  return result.value
}

/** What a plan must not get wrong; the numbers are those of the cases page. */
describe('hazards H1 to H21', () => {
  test('H1 unknown is a value: at least, a range, or marked as assumed, never zero and never a guess', () => {
    expect(formatFigure(figure(written('arms', 'cable_curl 3+ (3) x ?, rir 1'), 'biceps'))).toBe(
      'at least 3',
    )
    expect(formatFigure(figure(written('arms', 'cable_curl 2-4 (3) x 9, rir 1'), 'biceps'))).toBe(
      '3 (2–4)',
    )
    expect(formatFigure(figure(written('arms', 'cable_curl 3 x 9'), 'biceps'))).toBe('≈\u00a03')
  })
  test('H2 each stage has its own load, reps, range, grip and rest', () => {
    const [run] = scheme('1 x 9 20kg palms up | rest 10s | drop 5kg 6 lower half palms down').runs
    expect(run?.stages).toMatchObject([
      { load: { amount: 20 }, grip: 'supinated' },
      { kind: 'rest' },
      { load: { amount: 5 }, range: { to: 0.5 }, grip: 'pronated' },
    ])
  })
  test('H3 a technique on the last set changes no other set, and partners may differ in everything', () => {
    expect(
      scheme('4 x 10, rir 2, last: drop 30% to failure').runs.map(({ count, stages }) => [
        count,
        stages.length,
      ]),
    ).toEqual([
      [3, 1],
      [1, 2],
    ])
    const pair = written(
      'arms',
      'superset: cable_curl 3 x 10, 30kg, slow & pushdown_single 3 x 13, 25lb, rir 1, left then right',
    ).sessions[0]?.groupings[0]
    expect(pair?.slots.map(({ scheme: own }) => formatScheme(own))).toEqual([
      '3 x 10, 30kg, slow',
      '3 x 13, 25lb, rir 1, left then right',
    ])
  })
  test('H4 a slip corrected while typing is an edit of the same exercise, not a second one', () => {
    const plan = planIn(2, written('arms', 'cable_curl 4 x 10, rir 1'))
    const slot = plan.rotation.days[0]?.sessions[0]?.groupings[0]?.slots[0]
    const edited =
      slot &&
      applyEdit(
        plan,
        { kind: 'set_scheme', slot: slot.id, scheme: scheme('5 x 10, rir 1') },
        idsInARow(),
      )
    expect(edited?.ok && slot && findSlot(edited.value, slot.id)?.slot.scheme.runs[0]?.count).toBe(
      5,
    )
    expect(edited?.ok && figure(edited.value.rotation.days[0] as RotationDay, 'biceps').value).toBe(
      5,
    )
  })
  test('H5 the main muscle is overridden in the slot, by intent or by credits, without touching the library', () => {
    expect(figure(written('upper', 'dip:triceps 3 x 8, rir 1'), 'triceps').value).toBe(3)
    expect(
      figure(written('upper', 'dip (triceps 1, chest 0.25) 3 x 8, rir 1'), 'chest').value,
    ).toBe(0.75)
    expect(figure(written('upper', 'dip 3 x 8, rir 1'), 'chest').value).toBe(3)
  })
  test('H6 hammer curls count by school, by intent, by client override; both bookings can be shown', () => {
    const day = written('arms', 'hammer_curl 4 x 10, rir 1')
    expect([figure(day, 'biceps').value, figure(day, 'elbow_flexors_other').value]).toEqual([3, 4])
    expect(figure(written('arms', 'hammer_curl:biceps 4 x 10, rir 1'), 'biceps').value).toBe(4)
    expect(
      figure(
        day,
        'biceps',
        defaultContext({
          trainingAgeMonths: 50,
          credits: { hammer_curl: { biceps: 1, elbow_flexors_other: 1 } },
        }),
      ).value,
    ).toBe(4)
    expect(
      figure(day, 'biceps', {
        ...context,
        method: { ...context.method, school: COUNTING_SCHOOLS.direct_only },
      }).value,
    ).toBe(0)
  })
  test('H7 one-arm work doubles the minutes, not the sets; reps in all are not doubled', () => {
    const [both, perArm, inAll] = [
      '3 x 16',
      '3 x 16, alternating reps',
      '3 x 16 in all, alternating reps',
    ].map(text => written('arms', `dumbbell_curl ${text}, rir 1`))
    expect([both, perArm, inAll].map(day => day && figure(day, 'biceps').value)).toEqual([3, 3, 3])
    expect(both && perArm && minutes(perArm) - minutes(both)).toBe(3 * 16 * 3)
    expect(both && inAll && minutes(inAll) - minutes(both)).toBe(0)
  })
  test('H8 weeks are derived: three in ten days are 2.1 a week, and assumed places are said', () => {
    const day = written('arms', 'cable_curl 4 x 10, rir 1')
    const plan = planIn(
      10,
      day,
      { role: 'rest', sessions: [] },
      { role: 'rest', sessions: [] },
      written('arms', 'cable_curl 4 x 10, rir 1'),
      { role: 'rest', sessions: [] },
      { role: 'rest', sessions: [] },
      written('arms', 'cable_curl 4 x 10, rir 1'),
    )
    const perDays = { ...plan, rotation: { ...plan.rotation, kind: 'per_days' as const } }
    const { week, spread } = rotationLedger(perDays.rotation, context).groups.biceps
    expect(
      [week.counted.value, spread.frequencyPer7Days].map(value => Number(value.toFixed(9))),
    ).toEqual([8.4, 2.1])
    expect(checkPlan(perDays, context).some(({ check }) => check === 'places-assumed')).toBe(true)
  })
  test('H9 a finisher joins the host day in sets, recovery and minutes, and can move to another host', () => {
    const host = written(
      'push',
      'bench_press_dumbbell 4 x 8, rir 2',
      'finisher: cable_curl 3 x 12, rir 1',
    )
    expect([
      figure(host, 'biceps').value,
      minutes(host) > minutes(written('push', 'bench_press_dumbbell 4 x 8, rir 2')),
    ]).toEqual([3, true])
    const plan = planIn(3, host, written('legs', 'leg_press 3 x 10'))
    const slot = host.sessions[0]?.groupings[1]?.slots[0]
    const moved =
      slot &&
      applyEdit(
        plan,
        { kind: 'move_sets', toDay: 1, moves: [{ slot: slot.id, count: 3 }] },
        idsInARow(),
      )
    expect(
      moved?.ok && dailySets(rotationLedger(moved.value.rotation, context).days, 'biceps'),
    ).toEqual([0, 3, 0])
  })
  test('H10 conditional blocks give a range around the chosen case', () => {
    const counted = figure(
      written(
        'arms',
        'cable_curl 3 x 10, rir 1',
        'straight, turn 2 of 2: preacher_curl_bar 2 x 10, rir 1',
        'straight, if "time allows": machine_curl 2 x 10, rir 1',
      ),
      'biceps',
    )
    expect([counted.low, counted.value, counted.high]).toEqual([3, 5, 7])
  })
  test('H11 rest lives at five levels, each as seconds, a range, a word, none, or a stretch', () => {
    const {
      sessions: [session],
    } = written(
      'arms',
      'between muscles 180s',
      'superset, between stretch 20s, after 60-90s, afterwards "until the gym is quiet": cable_curl 2 x 9 | no rest | 4, rest 75s & pushdown_rope 2 x 12',
    )
    const [grouping] = session?.groupings ?? []
    expect([
      session?.restBetweenMuscles?.kind,
      grouping?.restBetweenPartners?.kind,
      grouping?.restAfterRound?.kind,
      grouping?.restAfterGrouping?.kind,
      grouping?.slots[0].scheme.runs[0]?.restAfter?.kind,
    ]).toEqual(['seconds', 'stretch', 'between', 'in_words', 'seconds'])
  })
  test('H12 loads are kept as entered and converted for sums only', () => {
    for (const load of [
      '20kg',
      '45lb per hand',
      '10kg per side',
      '+10kg',
      '-15lb',
      'stack 8',
      '70% e1rm',
      '90% usual',
      'drop 30%',
      'bodyweight',
      'band "red"',
      'load "light" max 20kg',
    ]) {
      expect(formatScheme(scheme(`3 x 10, ${load}`))).toBe(`3 x 10, ${load}`)
    }
    expect(amountIn({ amount: 45, unit: 'lb' }, 'lb')).toBe(45)
  })
  test('H13 effort is RIR, failure, a word or not given; a rep target alone says nothing', () => {
    expect(
      ['3 x 10, rir 1.5', '3 x 10, at failure', '3 x 10, effort "stop when it slows"', '3 x 10']
        .map(text => scheme(text).runs[0]?.stages[0])
        .map(stage => (stage?.kind === 'work' ? stage.effort?.kind : undefined)),
    ).toEqual(['rir', 'failure', 'in_words', undefined])
  })
  test('H14 order is data: the same exercises in another order find other things', () => {
    const found = (...lines: readonly string[]) =>
      checkPlan(planIn(7, written('upper', ...lines)), context).map(({ check }) => check)
    const [press, arms] = ['machine_chest_press 4 x 10, rir 2', 'pushdown_rope 4 x 12, rir 1']
    expect([
      found(press, arms).includes('compound-after-arms'),
      found(arms, press).includes('compound-after-arms'),
    ]).toEqual([false, true])
  })
  test('H15 the role of a set decides whether it counts', () => {
    expect(
      ['warm-up', 'primer', 'ramp', ''].map(
        role =>
          figure(written('arms', `cable_curl ${role} 3 x 12, rir 1`.replace('  ', ' ')), 'biceps')
            .value,
      ),
    ).toEqual([0, 0, 0, 3])
    // A method may count build-up sets like the others.
    const whole = {
      ...context,
      method: {
        ...context.method,
        counts: { ...context.method.counts, buildUp: 'whole' as const },
      },
    }
    const built = planIn(7, written('arms', 'cable_curl ramp 3 x 12, rir 1'))
    expect(rotationLedger(built.rotation, whole).groups.biceps.week.counted.value).toBe(3)
  })
  test('H16 load known but not measured stays visible in the sum', () => {
    const rows = {
      what: 'Rowing',
      groups: ['biceps' as const],
      times: { low: 3, high: 3 },
      setsEach: null,
    }
    const { week } = rotationLedger(
      planIn(7, written('arms', 'cable_curl 4 x 10, rir 1')).rotation,
      defaultContext({ trainingAgeMonths: 50, sideLoads: [rows] }),
    ).groups.biceps
    expect(formatFigure(week.counted)).toBe('at least 4')
  })
  test('H17 pieces in use at once are counted, and a change-over takes its time', () => {
    const plan = planIn(
      7,
      written('arms', 'circuit: cable_curl 3 x 12 & pushdown_rope 3 x 12 & leg_extension 3 x 12'),
    )
    expect(
      checkPlan(plan, context).find(({ check }) => check === 'pieces-at-once')?.figures,
    ).toEqual({ stations: 3 })
    const [plain, moving] = ['superset', 'superset, change-over 40s'].map(kind =>
      written('arms', `${kind}: cable_curl 3 x 12 & pushdown_rope 3 x 12`),
    )
    expect(plain && moving && minutes(moving) - minutes(plain)).toBe(3 * 25)
  })
  test('H18 identity is movement, grip and set-up, and all of it is printed', () => {
    const text =
      'cable_curl 3 x 10 palms facing narrow grip with "rope" at "pulley at the floor", rir 2'
    expect(formatScheme(scheme(text.replace('cable_curl ', '')))).toBe(
      text.replace('cable_curl ', ''),
    )
  })
  test('H19 the estimate says how much of it is assumed', () => {
    const share = (line: string) => {
      const [session] = written('arms', 'prepare 5 min "rowing"', line).sessions
      return session ? sessionTime(session, context).assumedShare : 1
    }
    expect(share('cable_curl 3 x ?, rir 2')).toBeGreaterThan(
      share('cable_curl 3 x 10, rir 2, rest 90s'),
    )
    expect(share('cable_curl 3 x 10, rir 2, rest 90s')).toBe(0)
  })
  test('H20 a figure names what it counts: a derivation lists its sets and rules', () => {
    const { lines } = derivation(
      written('arms', 'cable_curl 3 x 10, rir 1', 'pulldown_neutral 3 x 10, rir 1'),
      groupTarget('biceps'),
      context,
    )
    expect(
      lines.map(({ sets, credit, counted, rules }) => [sets, credit, counted, rules[0]]),
    ).toEqual([
      [3, 1, 3, 'direct'],
      [3, 0.5, 1.5, 'indirect'],
    ])
  })
  test('H21 a plan that contradicts itself is told so and kept as typed', () => {
    const result = parseScheme('5 x 14/11/9/7')
    expect(result).toMatchObject({ ok: false, error: { kind: 'row_length', sets: 5, values: 4 } })
    const plan = planIn(9, written('arms', 'cable_curl 3 x 10'))
    const ruled = { ...plan, rotation: { ...plan.rotation, maxGapDays: 4 } }
    expect(
      checkPlan(ruled, context).find(({ check }) => check === 'gap-rule-broken')?.figures,
    ).toEqual({ days: 9, most: 4 })
    expect(rotationRecovery(ruled.rotation, context).arrivals.biceps[0]?.hoursSince).toBe(9 * 24)
    expect(applyEdits(ruled, [], idsInARow())).toEqual({ ok: true, value: ruled })
  })
})
