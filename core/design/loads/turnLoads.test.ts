import { describe, expect, test } from '@jest/globals'
import { addDays, exerciseId, plainDate } from '../../base'
import { exposuresByExercise, type LoggedSet, setsByExercise } from '../../body/log'
import type { Alternation, PlanDocument } from '../../plan/block'
import { contextWith, STEADY_MIDDLE } from '../../plan/method'
import { type Session, sessionSlots } from '../../plan/session'
import { heldAs, turnsHeld } from '../../plan/shorthand'
import { planIn, written } from '../../testing/shorthandPlans'
import { expandedBlock } from '../progress'
import { blockLoadSessions, loadsAhead, plannedKey } from '.'

const context = contextWith(STEADY_MIDDLE, { trainingAgeMonths: 48 })
const FIRST = plainDate('2026-03-02')
const basis = { context, unit: 'kg' as const, bodyKg: 80, rules: undefined, rotation: null }

/** A block in which each session is done as asked: the one shown in the plan at its weight, the other at what its client finds. */
function courseOf(line: string, turn: Partial<Alternation>, found: number) {
  const bare: PlanDocument = { ...planIn(7, written('arms', line)), startsOn: FIRST, passes: 8 }
  const slot = bare.rotation.days[0]!.sessions[0]!.groupings[0]!.slots[0]
  const alternation = { slot: slot.id, exercise: slot.exercise, intent: null, ...turn }
  const plan = { ...bare, block: { alternations: [{ by: 'exposure' as const, ...alternation }] } }
  const expanded = expandedBlock(plan, context)
  const log: (LoggedSet & { readonly on: typeof FIRST; readonly words: string | null })[] = []
  const planned = new Map<string, ReturnType<typeof sessionSlots>[number]>()
  const rows: { readonly movement: string; readonly amounts: readonly (number | null)[] }[] = []
  for (let pass = 0; pass < plan.passes; pass++) {
    const today = addDays(FIRST, 7 * pass)
    const next = blockLoadSessions(expanded, today).find(({ on }) => on === today)
    const content: Session = next!.content
    const [own] = sessionSlots(content)
    const exposures = exposuresByExercise(
      log,
      () => false,
      ({ words }) => words,
    )
    const loads = loadsAhead([next!], { exposures, lastPlanned: planned }, basis)
      .get(next!.key)
      ?.get(own!.id)
    const amounts = loads?.sets.map(({ amount }) => amount) ?? []
    rows.push({ movement: `${own!.exercise}${heldAs(own!) ?? ''}`, amounts })
    planned.set(plannedKey(own!), own!)
    const isOther = pass % 2 === 1
    for (const set of [1, 2, 3])
      log.push({
        slot: own!.id,
        exercise: own!.exercise,
        intent: own!.intent,
        set,
        stage: 1,
        side: null,
        role: 'working',
        loadKg: amounts[set - 1] ?? (isOther ? found : 40),
        reps: 12,
        seconds: null,
        rir: 2,
        isRirOpen: false,
        on: today,
        words: turnsHeld(content).get(own!.id) ?? null,
      })
  }
  return rows
}

describe('what takes turns at one place goes on by itself', () => {
  const facing = courseOf(
    'cable_curl 3 x 8-12 40kg, rir 2',
    { as: { grip: 'neutral', attachment: 'rope' } },
    25,
  )
  const other = courseOf(
    'barbell_curl 3 x 8-12 40kg, rir 2',
    { exercise: exerciseId('incline_dumbbell_curl') },
    24,
  )
  test.each([
    ['the same exercise held otherwise', facing],
    ['another exercise', other],
  ])('%s: its first time finds a weight, nothing of the other comes along', (_, rows) => {
    expect(rows[0]!.amounts).toEqual([40, 40, 40])
    expect(rows[1]!.amounts.every(amount => amount === null || amount === undefined)).toBe(true)
  })
  test.each([
    ['the same exercise held otherwise', facing, 25],
    ['another exercise', other, 24],
  ])('%s: every choice climbs from what was done of it last', (_, rows, found) => {
    const [first, second] = [0, 1].map(turn => rows.filter((__, at) => at % 2 === turn))
    const tops = (of: typeof rows) => of.map(({ amounts }) => amounts[0] ?? null)
    // The typed weight is where it begins; from then on it goes on by what was done, whatever stood between.
    expect(tops(first!)[1]).toBeGreaterThan(40)
    expect(tops(first!)[3]).toBeGreaterThan(tops(first!)[1]!)
    expect(tops(second!)[1]).toBeGreaterThan(found)
    expect(tops(second!)[1]).toBeLessThan(36)
    expect(tops(second!)[3]).toBeGreaterThan(tops(second!)[1]!)
  })
})

describe('sets of a session by exercise', () => {
  const [usual, turned] = ['a', 'b'] as const
  const set = (slot: string, loadKg: number) => ({ slot, exercise: 'cable_curl', loadKg }) as never
  const held = new Map([[turned, 'palms facing']]) as never
  test('what was held otherwise speaks for itself, and not where the usual way was done too', () => {
    expect(setsByExercise([set(turned, 25)], held)).toMatchObject([
      { heldAs: 'palms facing', sets: [{ loadKg: 25 }] },
    ])
    expect(setsByExercise([set(turned, 25), set(usual, 40)], held)).toMatchObject([
      { heldAs: null, sets: [{ loadKg: 40 }] },
    ])
  })
})
