import { describe, expect, test } from '@jest/globals'
import { applyEdits } from '../plan/block'
import {
  BUILT_IN_CATALOGUE,
  easierFormOf,
  EXERCISES,
  isPossibleWith,
  missingPieces,
  monthsFor,
  requireExercise,
} from '../plan/catalogue'
import { contextWith, STEADY_MIDDLE } from '../plan/method'
import { sessionSlots, SLOT_ROLES, suitsRole } from '../plan/session'
import { formatSession, parseSession } from '../plan/shorthand'
import { checkInput, findingsOf } from '../judge/checks'
import { swapChoices, type SwapQuestion } from '../design/suggest'
import { fittedSession } from '../design/templates'
import { idsInARow } from './notation'
import { planIn, written } from './shorthandPlans'

/* What a place in a session is for, what an exercise asks of a client, and what there is to do it with. */

const context = (more: object = {}) =>
  contextWith(STEADY_MIDDLE, { trainingAgeMonths: 30, ...more })
const exercise = (id: string) => requireExercise(BUILT_IN_CATALOGUE, id)
const doing = (id: string) => [exercise(id), exercise(id).intents[0]] as const
const swaps = (line: string, reason: SwapQuestion['reason'], more: object = {}) => {
  const input = checkInput(planIn(7, written('upper', line)), context(more))
  const view = input.sessions[0]!
  return swapChoices(input, view, { slot: view.slots[0]!.slot.id, reason }).map(
    choice => choice.exercise,
  )
}

describe('the role of a place', () => {
  test.each([
    ['big', 'barbell_curl', 'concentration_curl'],
    ['stretched', 'incline_dumbbell_curl', 'cable_curl'],
    ['shortened', 'drag_curl', 'cable_curl'],
    ['brachialis', 'hammer_curl', 'cable_curl'],
    ['forearm', 'wrist_curl', 'cable_curl'],
    ['burn-out', 'pushdown_rope', 'dip'],
  ] as const)('%s: %s suits, %s does not', (role, suits, other) => {
    expect(suitsRole(role, ...doing(suits))).toBe(true)
    expect(suitsRole(role, ...doing(other))).toBe(false)
    expect(suitsRole(undefined, ...doing(other))).toBe(true)
  })

  test.each(SLOT_ROLES)('%s is typed and printed back', role => {
    const text = `cable_curl note "slow" role ${role} 3 x 12, rir 2`
    const parsed = parseSession(text, idsInARow())
    expect(parsed.ok && formatSession(parsed.value)).toBe(text)
    expect(parsed.ok && sessionSlots(parsed.value)[0]!.role).toBe(role)
  })

  test('one that there is not is refused with those that there are', () => {
    const parsed = parseSession('cable_curl role main 3 x 12', idsInARow())
    expect(JSON.stringify(parsed)).toContain('big, stretched, shortened')
  })

  test('stand-ins that suit it come first, in swaps and in templates', () => {
    const [first] = swaps('overhead_extension_rope role stretched 3 x 12, rir 2', 'other')
    expect(suitsRole('stretched', first!, first!.intents[0])).toBe(true)
    const brachialis = swaps('cable_curl role brachialis 3 x 12, rir 2', 'other')
    expect(
      brachialis[0]!.intents.some(intent => suitsRole('brachialis', brachialis[0]!, intent)),
    ).toBe(true)
    const own = context({ equipment: ['dumbbell', 'bench', 'incline_bench', 'cable'] })
    const wanted = written('arms', 'preacher_curl_bar role stretched 3 x 12, rir 2').sessions[0]!
    const { session } = fittedSession(wanted, {
      context: own,
      ledger: checkInput(planIn(7, written('arms', 'cable_curl 3 x 12')), own).ledger,
      newId: idsInARow(),
    })
    const [slot] = sessionSlots(session)
    expect(suitsRole('stretched', ...doing(slot!.exercise))).toBe(true)
    expect(slot!.role).toBe('stretched')
  })

  test('it is set and taken back', () => {
    const plan = planIn(7, written('arms', 'cable_curl 3 x 12'))
    const { id } = sessionSlots(plan.rotation.days[0]!.sessions[0]!)[0]!
    const roleAfter = (...roles: readonly ('big' | null)[]) => {
      const edits = roles.map(role => ({ kind: 'set_role' as const, slot: id, role }))
      const edited = applyEdits(plan, edits, idsInARow())
      return edited.ok && sessionSlots(edited.value.rotation.days[0]!.sessions[0]!)[0]!.role
    }
    expect(roleAfter('big')).toBe('big')
    expect(roleAfter('big', null)).toBeUndefined()
  })
})

describe('the level of an exercise', () => {
  test('every easier form is there, asks for less, and trains one of the same muscles', () => {
    for (const { id } of EXERCISES) {
      const easier = easierFormOf(id)
      if (!easier) continue
      expect(monthsFor(easier)).toBe(0)
      const muscles = (of: string) =>
        exercise(of).intents.flatMap(({ credits }) => Object.keys(credits))
      expect(muscles(id).some(group => muscles(easier).includes(group))).toBe(true)
    }
  })
  test('what asks for more than the months there are has an easier form', () => {
    for (const { id } of EXERCISES) if (monthsFor(id) > 0) expect(easierFormOf(id)).not.toBeNull()
  })
  test('too hard: the easier form comes first', () => {
    expect(swaps('chin_up 3 x 6, rir 2', 'too_hard').map(({ id }) => id)).toContain(
      'assisted_chin_up',
    )
    expect(swaps('lying_extension_cambered 3 x 10, rir 2', 'too_hard')[0]!.id).toBe('pushdown_bar')
  })
  test('the fix of a first-months finding puts it in', () => {
    const plan = planIn(7, written('push', 'dip 3 x 8, rir 3'))
    const [found] = findingsOf(checkInput(plan, context({ trainingAgeMonths: 2 }))).filter(
      ({ check }) => check === 'above-level',
    )
    const mended = applyEdits(plan, found!.fix!, idsInARow())
    expect(
      mended.ok && sessionSlots(mended.value.rotation.days[0]!.sessions[0]!)[0]!.exercise,
    ).toBe('machine_dip')
  })
})

describe('what there is to train with', () => {
  test.each([
    ['lying_extension_decline', ['cambered_bar', 'bench'], ['decline_bench']],
    ['lying_extension_decline', ['cambered_bar', 'decline_bench'], []],
    ['bench_press_dumbbell', ['dumbbell', 'incline_bench'], []],
    ['assisted_dip', ['machine'], []],
    ['assisted_dip', ['dumbbell'], ['assisted_station']],
    ['kettlebell_curl', ['dumbbell'], ['kettlebell']],
    ['plate_hammer_curl', [], []],
    ['push_up', ['band'], []],
  ] as const)('%s with %j lacks %j', (id, equipment, missing) => {
    expect(missingPieces(exercise(id).equipment, equipment)).toEqual(missing)
    expect(isPossibleWith(exercise(id), equipment)).toBe(missing.length === 0)
  })
  test('restricted flow needs cuffs', () => {
    const plan = planIn(
      7,
      written('arms', 'cable_curl restricted 1 x 30 | rest 30s | 15 | rest 30s | 15'),
    )
    const lacks = (equipment: readonly string[]) =>
      findingsOf(checkInput(plan, context({ equipment })))
        .filter(({ check }) => check === 'equipment-missing')
        .map(({ figures }) => figures.missing)
    expect(lacks(['cable'])).toEqual(['cuffs'])
    expect(lacks(['cable', 'cuffs'])).toEqual([])
    expect(lacks([])).toEqual([])
  })
})
