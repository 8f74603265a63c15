import { describe, expect, test } from '@jest/globals'
import { plainDate } from '../base'
import {
  filledTemplate,
  type PlanDocument,
  ROTATION_TEMPLATES,
  templatesFor,
  usualScheme,
} from '../plan/block'
import { requireExercise } from '../plan/catalogue'
import {
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
import { fittedSession, SESSION_TEMPLATES, templateSession } from '../design/templates'
import { SETTING_ACTS } from '../words'
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

/** Everything a coach sees that a method may change. */
function outcomes(method: Method) {
  const context = contextWith(method, { trainingAgeMonths: 40 })
  return JSON.stringify({
    plans: PLANS.map(plan => shown(plan, method)),
    templates: ROTATION_TEMPLATES.map(template =>
      filledTemplate(template, context, idsInARow()).map(({ sessions }) =>
        sessions.map(one => formatSession(one)),
      ),
    ),
    order: templatesFor(method).map(({ id }) => id),
    sessions: SESSION_TEMPLATES.map(template =>
      formatSession(
        fittedSession(
          templateSession(template, idsInARow()),
          { context, ledger: rotationLedger(PLANS[0]!.rotation, context), newId: idsInARow() },
          template.scales,
        ).session,
      ),
    ),
    schemes: [
      'bench_press_dumbbell',
      'cable_curl',
      'pushdown_rope',
      'wrist_curl',
      'machine_squat',
    ].map(id => formatScheme(usualScheme(requireExercise(context.catalogue, id), 3, method))),
  })
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
      for (const one of seen) expect(seen.filter(other => other !== one).length).toBeGreaterThan(0)
      expect(SETTING_ACTS[path]).toMatch(/\w/)
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
      filledTemplate(template, contextWith(method, { trainingAgeMonths: 40 }), idsInARow()).map(
        ({ sessions }) => sessions.map(one => formatSession(one)),
      ),
    ),
  )
  expect(new Set(filled).size).toBe(METHODS.length)
  const checks = METHODS.map(method => JSON.stringify(shown(PLANS[0]!, method).checks))
  expect(new Set(checks).size).toBe(METHODS.length)
})
