import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { addDays, daysBetween, plainDate } from '../../base'
import { type PlanDocument, withException } from '../../plan/block'
import { contextWith, modeOf, STEADY_MIDDLE } from '../../plan/method'
import { GROUPS } from '../../plan/catalogue'
import { planIn, written } from '../../testing/shorthandPlans'
import { blockVerdict, expandedBlock, MOVE_EFFECTS, moveEffects } from '.'

const context = contextWith(STEADY_MIDDLE, {
  trainingAgeMonths: 48,
  modes: { biceps: 'build', triceps: 'build', quads: 'maintain' },
})
const rest = { ...written('rest'), sessions: [] }
const plan: PlanDocument = {
  ...planIn(
    7,
    written('push', 'bench_press_dumbbell 4 x 8, rir 2', 'pushdown_rope 6 x 12, rir 1'),
    rest,
    rest,
    written('arms', 'cable_curl 6 x 12, rir 1', 'overhead_extension_rope 6 x 12, rir 1'),
    rest,
    written('legs', 'leg_extension 6 x 12, rir 1'),
  ),
  startsOn: plainDate('2026-04-06'),
  passes: 3,
}
const before = expandedBlock(plan, context)
const arms = before.passes[0]!.sessions.find(({ role }) => role === 'arms')!

/** What moving the arms session by some days changes. */
function moved(days: number, more: { readonly isSent?: boolean; readonly today?: string } = {}) {
  const session = more.isSent
    ? { ...arms, sent: { isDone: false, isOpened: false, setsDone: 0, isEdited: false } }
    : arms
  const to = addDays(arms.on, days)
  const { pass, day, place } = arms
  const block = withException({}, { kind: 'moved', pass, day, place, on: to })
  const after = expandedBlock({ ...plan, block }, context)
  const today = plainDate(more.today ?? '2026-04-01')
  return { to, after, effects: moveEffects(session, to, { before, after, today, context }) }
}
const kinds = (days: number, more = {}) => moved(days, more).effects.map(({ kind }) => kind)

describe('what moving a session to another day changes', () => {
  test('put back where it was: nothing', () => expect(moved(0).effects).toEqual([]))

  test('nearer to the presses, the elbow extensors come less ready, and it says how much', () => {
    const { effects, after } = moved(-2)
    const triceps = effects.find(
      effect => effect.kind === 'readiness' && effect.arrival.group === 'triceps',
    )
    expect(triceps).toMatchObject({ arrival: { name: arms.name, pass: 0 } })
    const [was, is] = [before, after].map(block =>
      blockVerdict(block, context).arrivals.triceps.find(
        ({ pass, name }) => pass === 0 && name === arms.name,
      ),
    )
    expect(triceps).toMatchObject({ was: was!.readiness, arrival: { readiness: is!.readiness } })
    expect(is!.readiness).toBeLessThan(was!.readiness - MOVE_EFFECTS.noticedFrom)
  })

  test('a day that has a session already is named with it', () => {
    expect(moved(2).effects[0]).toEqual({
      kind: 'day_taken',
      on: addDays(arms.on, 2),
      names: [before.passes[0]!.sessions.find(({ role }) => role === 'legs')!.name],
    })
  })

  test('a client who has it must be sent it again; a past day is said to be past', () => {
    expect(kinds(1)).not.toContain('client_has_it')
    expect(kinds(1, { isSent: true })).toContain('client_has_it')
    expect(kinds(1)).not.toContain('past')
    expect(kinds(1, { today: addDays(arms.on, 2) })).toContain('past')
    expect(kinds(1, { today: addDays(arms.on, 1) })).not.toContain('past')
  })

  test('muscles that are only maintained are not told, the furthest below comes first', () => {
    fc.assert(
      fc.property(fc.integer({ min: -3, max: 10 }), days => {
        const { effects } = moved(days)
        const told = effects.flatMap(effect => (effect.kind === 'readiness' ? [effect] : []))
        expect(told.length).toBeLessThanOrEqual(MOVE_EFFECTS.most)
        const short = told.map(({ arrival }) => arrival.required - arrival.readiness)
        expect(short).toEqual([...short].sort((a, b) => b - a))
        for (const { arrival, was } of told) {
          expect(modeOf(context, arrival.group)).not.toBe('maintain')
          expect(Math.abs(arrival.readiness - was)).toBeGreaterThanOrEqual(MOVE_EFFECTS.noticedFrom)
        }
        const isQuiet = effects.some(({ kind }) => kind === 'same_readiness')
        expect(isQuiet).toBe(days !== 0 && told.length === 0)
      }),
    )
  })

  test('a change as large as is noticed is there whenever a plain comparison finds one', () => {
    for (const days of [-2, -1, 1, 3]) {
      const { after, effects, to } = moved(days)
      const [was, is] = [blockVerdict(before, context), blockVerdict(after, context)]
      const isChanged = GROUPS.filter(group => modeOf(context, group) !== 'maintain').some(group =>
        is.arrivals[group].some(arrival =>
          was.arrivals[group].some(
            other =>
              other.pass === arrival.pass &&
              other.name === arrival.name &&
              (other.on === arrival.on || daysBetween(other.on, arms.on) === 0) &&
              Math.abs(other.readiness - arrival.readiness) >= MOVE_EFFECTS.noticedFrom,
          ),
        ),
      )
      expect([to, effects.some(({ kind }) => kind === 'readiness')]).toEqual([to, isChanged])
    }
  })
})
