import { describe, expect, test } from '@jest/globals'
import { plainDate } from '../base'
import { type PlanDocument, ROTATION_TEMPLATES, templatesFor, usualScheme } from '../plan/block'
import { requireExercise } from '../plan/catalogue'
import {
  bandOf,
  contextWith,
  type Method,
  METHOD_SETTINGS,
  METHODS,
  type MethodSetting,
  STEADY_MIDDLE,
  withSetting,
} from '../plan/method'
import { sessionSeconds } from '../plan/minutes'
import { sessionSlots } from '../plan/session'
import { formatScheme, formatSession } from '../plan/shorthand'
import { rotationRecovery } from '../body/recovery'
import { armBalance, rotationLedger } from '../count/ledger'
import { checkPlan } from '../judge/checks'
import { expandedBlock, loadRuleOf, usualBlock } from '../design/progress'
import { fittedSession, forAny, SESSION_TEMPLATES, templateSession } from '../design/templates'
import { SETTING_ACTS } from '../words'
import { filledFor } from './filled'
import { idsInARow } from './notation'
import { planIn, written } from './shorthandPlans'

/** Weeks in which coaches of every school do something of their own. */
const PLANS: readonly PlanDocument[] = [
  planIn(
    7,
    written(
      'push',
      'bench_press_dumbbell 4 x 8, rir 2',
      'pushdown_rope 3 x 12, rir 0',
      'overhead_extension_rope 3 x 12, rir 1',
    ),
    written('pull', 'chest_supported_row 4 x 8, rir 2', 'barbell_curl 3 x 10 momentum, rir 1'),
    written(
      'arms',
      'cable_curl primer 2 x 20, rir 4',
      'wrist_curl 3 x 15, rir 0',
      'preacher_curl_bar ramp 2 x 8, then 3 x 8, rir 1',
      'pushdown_bar 3 x 12 | drop 9 | drop 7, rir 1',
      'alternating: hammer_curl 3 x 12, rir 1 & pushdown_single 3 x 12, rir 1',
    ),
  ),
  planIn(7, written('arms', 'cable_curl 9 x 12, rir 1', 'pushdown_rope 9 x 12, rir 1')),
  planIn(
    7,
    written(
      'pull',
      'cable_curl primer 2 x 20, rir 4',
      'cable_curl 3 x 12, rir 1',
      'pulldown_supinated 4 x 8, rir 2',
      'cable_curl restricted 1 x 30 25% e1rm | rest 40s | 15 | rest 40s | 15 | rest 40s | 15',
    ),
    written('arms', 'pushdown_rope 4 x 12, rir 1', 'cable_curl 4 x 12, rir 1'),
    written('upper', 'cable_fly 3 x 12, rir 1', 'bench_press_dumbbell 4 x 8, rir 2'),
  ),
  planIn(
    7,
    written('arms', 'cable_curl 6 x 12, rir 0', 'machine_chest_press 3 x 12, rir 2'),
    written('arms', 'cable_curl 9 x 12, rir 0', 'pushdown_rope 3 x 12, rir 0'),
    written('arms', 'cable_curl 3 x 12, rir 0'),
  ),
]

const shown = (plan: PlanDocument, method: Method, months = 40) => {
  const context = contextWith(method, {
    trainingAgeMonths: months,
    modes: { biceps: 'build', triceps: 'maintain' },
  })
  const block = usualBlock({ ...plan, startsOn: plainDate('2026-01-05'), passes: 10 }, context)
  const expanded = expandedBlock(
    { ...plan, block, startsOn: plainDate('2026-01-05'), passes: 10 },
    context,
  )
  const ledger = rotationLedger(plan.rotation, context)
  return {
    checks: checkPlan(plan, context).map(({ check, severity, figures }) => [
      check,
      severity,
      figures,
    ]),
    counted: ledger.groups.biceps.week.counted.value + ledger.groups.triceps.week.counted.value,
    balance: armBalance(ledger.work.flat(), context),
    frequency: [ledger.groups.biceps.spread, ledger.groups.triceps.spread],
    bands: bandOf(context, 'biceps'),
    asked: rotationRecovery(plan.rotation, context).arrivals.biceps.map(({ required }) => required),
    minutes: plan.rotation.days.flatMap(({ sessions }) =>
      sessions.map(one => sessionSeconds(one, context)),
    ),
    block,
    expanded: expanded.passes.map(({ sessions }) =>
      sessions.map(({ content }) =>
        sessionSlots(content).map(({ scheme }) => formatScheme(scheme)),
      ),
    ),
    rules: ['bench_press_dumbbell', 'cable_curl'].map(id =>
      loadRuleOf(requireExercise(context.catalogue, id), {}, context),
    ),
  }
}

/** What a coach sees that a method may change, by the words in which the form says so. */
function outcomes(method: Method): Readonly<Record<string, string>> {
  const context = contextWith(method, { trainingAgeMonths: 40 })
  const plans = PLANS.map(plan => shown(plan, method))
  const of = (part: keyof ReturnType<typeof shown>) => plans.map(plan => plan[part])
  const places = {
    checks: of('checks'),
    'counted set': of('counted'),
    board: [of('balance'), of('asked'), of('frequency')],
    band: of('bands'),
    minutes: of('minutes'),
    'new block': [of('block'), of('expanded')],
    loads: of('rules'),
    templates: [
      templatesFor(method).map(({ id }) => id),
      ROTATION_TEMPLATES.map(template =>
        filledFor(template, context).map(({ sessions }) => sessions.map(one => formatSession(one))),
      ),
      SESSION_TEMPLATES.map(template =>
        formatSession(
          fittedSession(
            templateSession(template, idsInARow()),
            { context, ledger: rotationLedger(PLANS[0]!.rotation, context), newId: idsInARow() },
            forAny(template.scales),
          ).session,
        ),
      ),
    ],
    'new exercises': [
      'bench_press_dumbbell',
      'cable_curl',
      'pushdown_rope',
      'wrist_curl',
      'machine_squat',
      'barbell_back_squat',
      'incline_press_barbell',
    ].flatMap(id => {
      const exercise = context.catalogue.get(id)
      return exercise ? [formatScheme(usualScheme(exercise, 3, method))] : []
    }),
  }
  return Object.fromEntries(
    Object.entries(places).map(([place, found]) => [place, JSON.stringify(found)]),
  )
}

/** The ends of a setting: every choice, or both bounds. */
const endsOf = (setting: MethodSetting): readonly string[] =>
  setting.kind === 'choice'
    ? setting.options.map(({ value }) => value)
    : [String(setting.low), String(setting.high)]

describe('every setting of a method acts', () => {
  test.each(METHOD_SETTINGS.map(setting => [setting.path.join('.'), setting] as const))(
    '%s',
    (path, setting) => {
      const seen = endsOf(setting).map(end => outcomes(withSetting(STEADY_MIDDLE, setting, end)))
      // Each of its ends differs from at least one other, so none of its choices is the same as all others.
      for (const one of seen)
        expect(seen.some(other => JSON.stringify(other) !== JSON.stringify(one))).toBe(true)
      // And it acts where the form says that it does, as far as these places can be looked at here.
      const words = SETTING_ACTS[path] ?? ''
      expect(words).toMatch(/\w/)
      const said = Object.keys(seen[0]!).filter(place => words.includes(place))
      const acts = said.filter(place => new Set(seen.map(one => one[place])).size > 1)
      expect(acts).toEqual(said)
    },
  )

  test('what is said of where settings act names settings only', () => {
    const paths = METHOD_SETTINGS.map(({ path }) => path.join('.'))
    expect(Object.keys(SETTING_ACTS).filter(path => !paths.includes(path))).toEqual([])
  })
})

test('five methods give five visibly different filled templates and checks', () => {
  const template = ROTATION_TEMPLATES.find(({ id }) => id === 'eight-day-arm-day')!
  const filled = METHODS.map(method =>
    JSON.stringify(
      filledFor(template, contextWith(method, { trainingAgeMonths: 40 })).map(({ sessions }) =>
        sessions.map(one => formatSession(one)),
      ),
    ),
  )
  expect(new Set(filled).size).toBe(METHODS.length)
  const checks = METHODS.map(method => JSON.stringify(shown(PLANS[0]!, method).checks))
  expect(new Set(checks).size).toBe(METHODS.length)
})
