import { describe, expect, test } from '@jest/globals'
import { applyEdits } from '../../plan/block'
import { checkInput, type SessionView } from '../../judge/checks'
import { type ClientFacts, contextWith, STEADY_MIDDLE } from '../../plan/method'
import { sessionTime } from '../../plan/minutes'
import { type Session, sessionSlots } from '../../plan/session'
import { formatScheme } from '../../plan/shorthand'
import { idsInARow } from '../../testing/notation'
import { planIn, written } from '../../testing/shorthandPlans'
import { type SwapChoice, swapChoices, swapEdits, swapEverywhere, type SwapQuestion } from '.'

function asked(
  line: string,
  question: Omit<SwapQuestion, 'slot'>,
  client: Partial<ClientFacts> = {},
) {
  const plan = planIn(7, written('arms', line, 'calf_raise_standing 2 x 12'), written('pull', line))
  const context = contextWith(STEADY_MIDDLE, { trainingAgeMonths: 48, ...client })
  const input = checkInput(plan, context)
  const view = input.sessions[0] as SessionView
  const slot = sessionSlots(view.content)[0]
  if (!slot) throw new Error('there is an exercise')
  return {
    plan,
    context,
    view,
    slot,
    choices: swapChoices(input, view, { slot: slot.id, ...question }),
  }
}
const names = (line: string, question: Omit<SwapQuestion, 'slot'>, client?: Partial<ClientFacts>) =>
  asked(line, question, client).choices.map(({ exercise }) => exercise.id)

describe('substitutes (cases B1 to B7)', () => {
  test.each([
    ['B2 rope for a straight bar', 'pushdown_bar 3 x 12', { reason: 'other' }, ['pushdown_rope']],
    [
      'B2 pad-supported machine or cable for lying work',
      'lying_extension_cambered 3 x 12',
      { reason: 'hurts', joint: 'elbow_extensor_side' },
      ['machine_triceps_extension', 'pushdown_rope'],
    ],
    [
      'B3 cambered bar, dumbbells or rope for a straight bar',
      'barbell_curl 3 x 10',
      { reason: 'hurts', joint: 'wrist' },
      ['dumbbell_curl'],
    ],
    [
      'B4 bar to dumbbells',
      'bench_press_barbell 3 x 8',
      { reason: 'taken', taken: 'barbell' },
      ['bench_press_dumbbell'],
    ],
    ['B4 own body on the way', 'bench_press_barbell 3 x 8', { reason: 'travelling' }, ['push_up']],
    [
      'B5 hammer by rope',
      'hammer_curl 3 x 12',
      { reason: 'taken', taken: 'dumbbell' },
      ['rope_hammer_curl'],
    ],
    [
      'B5 supported one-arm curl for a machine',
      'machine_curl 3 x 12',
      { reason: 'taken', taken: 'machine' },
      ['preacher_curl_dumbbell'],
    ],
    [
      'B6 overhead one arm for two',
      'overhead_extension_dumbbell 3 x 12',
      { reason: 'other' },
      ['overhead_extension_dumbbell_single'],
    ],
    [
      'B6 kickback by cable',
      'kickback_dumbbell 3 x 15',
      { reason: 'taken', taken: 'dumbbell' },
      ['kickback_cable'],
    ],
    [
      'B6 dip on a machine or a bench',
      'dip 3 x 10',
      { reason: 'taken', taken: 'dip_bars' },
      ['machine_dip'],
    ],
    [
      'B7 forearms elsewhere',
      'wrist_curl 2 x 15',
      { reason: 'taken', taken: 'bench' },
      ['wrist_roller'],
    ],
  ] as const)('%s', (_, line, question, expected) =>
    expect(names(line, question)).toEqual(expect.arrayContaining([...expected])),
  )

  test('B1 what is too hard comes lowered only, or with help', () => {
    const { choices } = asked('chin_up 3 x 8', { reason: 'too_hard' })
    expect(choices[0]).toMatchObject({ form: 'lowering_only', credits: [], stress: [] })
    expect(formatScheme(choices[0]?.scheme ?? { runs: [] })).toContain('lowering only, lower 5s')
    expect(choices.map(({ exercise }) => exercise.id)).toContain('assisted_chin_up')
  })
  test('a sore joint is spared, equipment and the list to avoid are firm', () => {
    const { choices } = asked('lying_extension_cambered 3 x 12', {
      reason: 'hurts',
      joint: 'elbow_extensor_side',
    })
    expect(choices.length).toBeGreaterThan(0)
    const others = choices.filter(({ form }) => form === 'other')
    expect(others.length).toBeGreaterThan(0)
    const stresses = others.map(({ intent }) => intent.jointStress.elbow_extensor_side)
    expect(Math.max(...stresses)).toBeLessThanOrEqual(1)
    // The kindest first, the exercise itself with more in reserve last.
    expect(stresses).toEqual([...stresses].sort((a, b) => a - b))
    expect(choices.at(-1)).toMatchObject({
      form: 'eased',
      exercise: { id: 'lying_extension_cambered' },
    })
    expect(
      names(
        'cable_curl 3 x 12',
        { reason: 'other' },
        { equipment: ['dumbbell', 'bench', 'cable'], avoid: ['dumbbell_curl'] },
      ),
    ).not.toContain('dumbbell_curl')
    expect(
      names('cable_curl 3 x 12', { reason: 'travelling', equipment: ['wrist_roller'] }),
    ).toEqual([])
  })
})

describe('what changes', () => {
  const { plan, slot, choices, context } = asked('cable_curl 3 x 12, 25kg, rir 2', {
    reason: 'other',
  })
  const choice = choices.find(({ exercise }) => exercise.id === 'hammer_curl') as SwapChoice
  test('credits, stress and minutes are told, weights are taken out', () => {
    expect(choice.credits).toEqual([{ group: 'elbow_flexors_other', before: 0.5, after: 0.75 }])
    const after = applyEdits(plan, swapEdits(slot.id, choice), idsInARow())
    const session = (after.ok ? after.value : plan).rotation.days[0]?.sessions[0] as Session
    expect(
      sessionTime(session, context).seconds -
        sessionTime(plan.rotation.days[0]?.sessions[0] as Session, context).seconds,
    ).toBeCloseTo(choice.seconds, 9)
    expect(formatScheme(sessionSlots(session)[0]?.scheme ?? { runs: [] })).toBe('3 x 12, rir 2')
  })
  test('everywhere means every day that has it', () => {
    const edited = applyEdits(plan, swapEverywhere(plan, slot, choice), idsInARow())
    const exercises = (edited.ok ? edited.value : plan).rotation.days
      .flatMap(day => day.sessions.flatMap(sessionSlots))
      .map(({ exercise }) => exercise)
    expect(exercises).toEqual(['hammer_curl', 'calf_raise_standing', 'hammer_curl'])
  })
})
