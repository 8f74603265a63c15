import { describe, expect, test } from '@jest/globals'
import { isPossibleWith, requireExercise } from '../../plan/catalogue'
import { rotationLedger } from '../../count/ledger'
import type { METHODS, ClientFacts } from '../../plan/method'
import { contextWith, FEW_HARD_SETS, STEADY_MIDDLE } from '../../plan/method'
import { plannedSets } from '../../plan/scheme'
import { sessionSlots } from '../../plan/session'
import { formatSession } from '../../plan/shorthand'
import { idsInARow } from '../../testing/notation'
import { planIn } from '../../testing/shorthandPlans'
import { fittedSession, forAny, SESSION_TEMPLATES, type SessionTemplate, templateSession } from '.'

const by = (id: string) => SESSION_TEMPLATES.find(template => template.id === id) as SessionTemplate
function fitted(
  template: SessionTemplate,
  client: Partial<ClientFacts> = {},
  more: {
    minutes?: number
    method?: (typeof METHODS)[number]
    oneReps?: ReadonlyMap<string, { load: number; unit: 'kg' | 'lb' }>
  } = {},
) {
  const context = contextWith(more.method ?? STEADY_MIDDLE, { trainingAgeMonths: 48, ...client })
  return {
    context,
    ...fittedSession(
      templateSession(template, idsInARow()),
      { context, ledger: rotationLedger(planIn(7).rotation, context), newId: idsInARow(), ...more },
      forAny(template.scales),
    ),
  }
}
const setsOf = (of: ReturnType<typeof fitted>) =>
  sessionSlots(of.session).reduce((sum, { scheme }) => sum + plannedSets(scheme), 0)

test('ten templates, each with reasons, each by its own name', () => {
  expect(SESSION_TEMPLATES.length).toBeGreaterThanOrEqual(10)
  expect(new Set(SESSION_TEMPLATES.map(({ id }) => id)).size).toBe(SESSION_TEMPLATES.length)
  for (const { reasons } of SESSION_TEMPLATES) expect(reasons.length).toBeGreaterThan(1)
})

describe.each(SESSION_TEMPLATES)('$name', template => {
  test('in a full gym it stands as it is written', () => {
    const result = fitted(template)
    expect(result).toMatchObject({ swapped: [], leftOut: [] })
    expect(formatSession(result.session)).toBe(
      formatSession(templateSession(template, idsInARow())),
    )
  })
  test('with dumbbells and a bench only possible exercises are left, each once', () => {
    const equipment = ['dumbbell', 'bench', 'incline_bench', 'bodyweight'] as const
    const { session, context } = fitted(template, { equipment })
    const exercises = sessionSlots(session).map(({ exercise }) => exercise)
    for (const id of exercises)
      expect(isPossibleWith(requireExercise(context.catalogue, id), equipment)).toBe(true)
    expect(new Set(exercises).size).toBe(exercises.length)
    expect(exercises.length).toBeGreaterThan(0)
  })
  test('it fits the minutes there are', () =>
    expect(fitted(template, {}, { minutes: 20 }).seconds).toBeLessThanOrEqual(20 * 60))
})

describe('fitting', () => {
  test('sets follow the method, unless their number is the idea', () => {
    expect(setsOf(fitted(by('antagonist-pairs'), {}, { method: FEW_HARD_SETS }))).toBeLessThan(
      setsOf(fitted(by('antagonist-pairs'))),
    )
    expect(setsOf(fitted(by('low-volume-failure'), {}, { method: FEW_HARD_SETS }))).toBe(
      setsOf(fitted(by('low-volume-failure'))),
    )
  })
  test('known strength gives loads that can be loaded', () => {
    const text = formatSession(
      fitted(
        by('elbow-friendly'),
        {},
        { oneReps: new Map([['pushdown_rope', { load: 40, unit: 'kg' as const }]]) },
      ).session,
    )
    expect(text).toMatch(/3 x 15-20, 22.5kg stack, rir 3/)
    expect(text).not.toMatch(/band_curl.*kg/)
  })
  test('joints in pain and exercises to avoid are gone around, and it says what for what', () => {
    const { swapped, session } = fitted(by('triceps-priority'), {
      pain: { elbow_extensor_side: 'swap' },
      avoid: ['pushdown_rope'],
    })
    expect(swapped.map(({ wanted }) => wanted)).toEqual(
      expect.arrayContaining([
        'pushdown_rope',
        'narrow_grip_bench_press',
        'overhead_extension_rope',
      ]),
    )
    expect(sessionSlots(session).map(({ exercise }) => exercise)).not.toContain('pushdown_rope')
  })
  test('with nothing to stand in an exercise is named', () => {
    expect(fitted(by('finisher-circuit'), { equipment: ['wrist_roller'] })).toMatchObject({
      leftOut: ['cable_curl', 'reverse_curl'],
    })
  })
})
