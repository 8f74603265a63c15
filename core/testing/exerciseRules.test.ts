import { describe, expect, test } from '@jest/globals'
import { exerciseId, plainDate, slotId } from '../base'
import { applyEdits, ROTATION_TEMPLATES } from '../plan/block'
import {
  type ClientFacts,
  contextWith,
  type ExerciseRule,
  notPlanned,
  STEADY_MIDDLE,
} from '../plan/method'
import { sessionSlots } from '../plan/session'
import { formatScheme } from '../plan/shorthand'
import { checkInput, findingsOf } from '../judge/checks'
import { blockLoadSessions, loadsAhead } from '../design/loads'
import { expandedBlock } from '../design/progress'
import { rankedChoices, swapChoices } from '../design/suggest'
import { fittedSession, SESSION_TEMPLATES, templateSession } from '../design/templates'
import { sheetSession } from '../exchange/prescription'
import { loadReasonWords } from '../words'
import { filledFor } from './filled'
import { idsInARow } from './notation'
import { planIn, written } from './shorthandPlans'

/* What holds for one exercise of a client holds everywhere: board, templates, stand-ins, block and phone. */

const context = (...exerciseRules: readonly ExerciseRule[]) =>
  contextWith(STEADY_MIDDLE, {
    trainingAgeMonths: 30,
    exerciseRules,
  } satisfies Partial<ClientFacts> & {
    trainingAgeMonths: number
  })
const REPLACED = {
  exercise: 'overhead_press_dumbbell',
  mostKg: null,
  instead: 'machine_overhead_press',
}
const LIMITED = { exercise: 'kickback_dumbbell', mostKg: 12.5, instead: null }

describe('another exercise in its place', () => {
  const own = context(REPLACED)
  const plan = planIn(7, written('push', 'overhead_press_dumbbell 3 x 10, rir 2'))
  test('the check names it, and its fix puts the other one in', () => {
    const found = findingsOf(checkInput(plan, own)).find(
      ({ check }) => check === 'exercise-avoided',
    )!
    const mended = applyEdits(plan, found.fix!, idsInARow())
    expect(
      mended.ok && sessionSlots(mended.value.rotation.days[0]!.sessions[0]!)[0]!.exercise,
    ).toBe('machine_overhead_press')
  })
  test('it comes first when the exercise is swapped', () => {
    const input = checkInput(plan, own)
    const view = input.sessions[0]!
    const question = { slot: view.slots[0]!.slot.id, reason: 'other' as const }
    expect(swapChoices(input, view, question)[0]!.exercise.id).toBe('machine_overhead_press')
  })
  test('no template and no suggestion has the exercise; the other one stands in', () => {
    const ledger = checkInput(plan, own).ledger
    let stood = 0
    for (const template of SESSION_TEMPLATES) {
      const wanted = sessionSlots(templateSession(template, idsInARow()))
      const { session } = fittedSession(templateSession(template, idsInARow()), {
        context: own,
        ledger,
        newId: idsInARow(),
      })
      const ids = sessionSlots(session).map(({ exercise }) => exercise as string)
      expect(ids).not.toContain('overhead_press_dumbbell')
      if (wanted.some(({ exercise }) => exercise === 'overhead_press_dumbbell')) {
        expect(ids).toContain('machine_overhead_press')
        stood += 1
      }
    }
    for (const template of ROTATION_TEMPLATES) {
      const filled = JSON.stringify(filledFor(template, own))
      expect(filled).not.toContain('"overhead_press_dumbbell"')
      stood += Number(filled.includes('"machine_overhead_press"'))
    }
    expect(stood).toBeGreaterThan(0)
    expect(notPlanned(own.client)).toEqual(['overhead_press_dumbbell'])
    const choices = rankedChoices(checkInput(plan, own), 'delts_front', 0)
    expect(choices.map(({ exercise }) => exercise.id)).not.toContain('overhead_press_dumbbell')
  })
})

describe('a heaviest load', () => {
  const own = context(LIMITED)
  const plan = planIn(7, written('arms', 'kickback_dumbbell 3 x 10-15, rir 1'))
  const slot = sessionSlots(plan.rotation.days[0]!.sessions[0]!)[0]!
  const done = (loadKg: number) => ({
    exercise: exerciseId('kickback_dumbbell'),
    intent: null,
    slot: slotId(slot.id),
    role: 'working' as const,
    set: 1,
    stage: 1,
    side: null,
    loadKg,
    unit: 'kg' as const,
    reps: 15,
    seconds: null,
    rir: 2,
    isRirOpen: false,
  })
  const terms = (loadKg: number) => ({
    on: plainDate('2026-04-08'),
    log: new Map([
      [
        'kickback_dumbbell',
        [{ on: plainDate('2026-04-01'), sets: [done(loadKg), done(loadKg), done(loadKg)] }],
      ],
    ]),
  })
  const nextLoad = (before: number, of: typeof own, unit: 'kg' | 'lb' = 'kg') => {
    const { on, log } = terms(before)
    const content = {
      id: 'x',
      groupings: [{ id: 'g', kind: 'straight', placement: 'main', slots: [slot] }],
    }
    return loadsAhead(
      [{ key: 'x', on, content: content as never, isDeload: false }],
      { exposures: log, lastPlanned: new Map() },
      { context: of, unit, bodyKg: null, rules: undefined, rotation: null },
    )
      .get('x')!
      .get(slot.id)!
  }
  test.each([
    [8, 9, /^\+1.kg/],
    [12, 12, /Your coach has set 12.kg as the heaviest/],
    [16, 12, /Your coach has set 12.kg as the heaviest/],
  ])('after %d kg the phone says %d kg', (before, next, why) => {
    const load = nextLoad(before, own)
    expect(load.sets[0]!.amount).toBe(next)
    expect(loadReasonWords(load)).toMatch(why)
    expect(nextLoad(16, context()).sets[0]!.amount).toBeGreaterThan(12)
  })
  test('in pounds it is the same weight', () => {
    const { amount } = nextLoad(16, own, 'lb').sets[0]!
    expect(amount).toBeLessThanOrEqual(12.5 / 0.45359237)
    expect(amount).toBeGreaterThan(20)
  })
  test('swapped in on the phone it begins no heavier', () => {
    const content = written('arms', 'kickback_cable 3 x 12, rir 1').sessions[0]!
    const starts = (of: typeof own) =>
      sheetSession({
        ...terms(16),
        id: 'sheet',
        name: 'Arms',
        minuteLimit: null,
        content,
        pass: 0,
        context: of,
        unit: 'kg',
        loads: new Map(),
      } as never)
        .exercises[0]!.swaps.filter(({ exercise }) => exercise === 'kickback_dumbbell')
        .map(({ start }) => start)
    expect(starts(own)).toEqual([12])
    expect(starts(context())[0]).toBeGreaterThan(12)
  })
  test('a template is loaded no heavier', () => {
    const wanted = written('arms', 'kickback_dumbbell 3 x 12, rir 1').sessions[0]!
    const loads = (of: typeof own) => {
      const { session } = fittedSession(wanted, {
        context: of,
        ledger: checkInput(plan, of).ledger,
        oneReps: new Map([['kickback_dumbbell', { load: 25, unit: 'kg' as const }]]),
        newId: idsInARow(),
      })
      return formatScheme(sessionSlots(session)[0]!.scheme)
    }
    expect(loads(own)).toContain('12kg')
    expect(loads(context())).not.toContain('12kg')
  })
  test('the loads of the block stay under it', () => {
    const expanded = expandedBlock({ ...plan, passes: 10 }, own)
    const loads = (of: typeof own) =>
      [
        ...loadsAhead(
          blockLoadSessions(expanded, plan.startsOn),
          { exposures: terms(11).log, lastPlanned: new Map() },
          { context: of, unit: 'kg', bodyKg: null, rules: undefined, rotation: plan.rotation },
        ).values(),
      ].flatMap(session => [...session.values()].flatMap(({ sets }) => sets[0]!.amount ?? []))
    expect(Math.max(...loads(own))).toBe(12)
    expect(Math.max(...loads(context()))).toBeGreaterThan(12)
  })
})

test('whoever swaps an exercise, its weight and set-up do not go over to the other one', () => {
  const plan = planIn(7, written('arms', 'barbell_curl 3 x 10 40kg stance wide, rir 2'))
  const slot = sessionSlots(plan.rotation.days[0]!.sessions[0]!)[0]!
  const swapped = (exercise: string, intent: string | null = null) => {
    const edit = {
      kind: 'swap_exercise' as const,
      slot: slot.id,
      exercise: exerciseId(exercise),
      intent,
    }
    const edited = applyEdits(plan, [edit], idsInARow())
    return edited.ok
      ? formatScheme(sessionSlots(edited.value.rotation.days[0]!.sessions[0]!)[0]!.scheme)
      : ''
  }
  expect(swapped('hammer_curl')).toBe('3 x 10, rir 2')
  // Another purpose of the same exercise is done with the same bar.
  expect(swapped('barbell_curl', 'long_head')).toBe(formatScheme(slot.scheme))
})
