import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { addDays, plainDate } from '../../base'
import { rotationLedger } from '../../count/ledger'
import { applyEdit, passDates, type PlanDocument, type PlanEdit } from '../../plan/block'
import { contextWith, STEADY_MIDDLE } from '../../plan/method'
import { plannedSets } from '../../plan/scheme'
import { sessionSlots } from '../../plan/session'
import { idsInARow } from '../../testing/notation'
import { planIn, written } from '../../testing/shorthandPlans'
import { blockVerdict, expandedBlock, ownDatesIn, passAlone, passTaken } from '.'

const context = contextWith(STEADY_MIDDLE, {
  trainingAgeMonths: 48,
  modes: { biceps: 'build', triceps: 'build' },
})
const rest = { ...written('rest'), sessions: [] }
const plan: PlanDocument = {
  ...planIn(
    7,
    written('push', 'bench_press_dumbbell 3 x 8, rir 2', 'pushdown_rope 3 x 12, rir 2'),
    rest,
    written('pull', 'pulldown_neutral 3 x 10, rir 2', 'cable_curl 3 x 12, rir 2'),
    rest,
    written('arms', 'cable_curl 2 x 12, rir 2', 'pushdown_rope 2 x 12, rir 2'),
    ...[rest, rest],
  ),
  startsOn: plainDate('2026-03-02'),
  passes: 5,
  block: {
    ramps: { biceps: { kind: 'linear', end: 9 } },
    effort: { compound: { from: 3, to: 1 }, isolation: { from: 2, to: 0 } },
    deloads: [3],
    events: [
      {
        id: 'away',
        what: 'Away',
        from: plainDate('2026-03-10'),
        to: plainDate('2026-03-12'),
        effect: 'shift',
      },
    ],
    rules: { cable_curl: { rule: 'held' } },
  },
}
const passOf = (of: PlanDocument, at: number) => expandedBlock(of, context).passes[at]!
const alone = (of: PlanDocument, at: number) => passAlone(of, passOf(of, at))
const contents = (of: PlanDocument, at: number) =>
  passOf(of, at).sessions.map(({ on, content }) => ({ on, content }))
const setsOf = (of: PlanDocument, at: number, day: number) =>
  passOf(of, at)
    .sessions.filter(session => session.day === day)
    .flatMap(({ content }) => sessionSlots(content).map(({ scheme }) => plannedSets(scheme)))

/** What one edit on the opened rotation makes of the whole. */
function edited(of: PlanDocument, at: number, edit: PlanEdit) {
  const next = applyEdit(alone(of, at), edit, idsInARow())
  if (!next.ok) throw new Error(next.error.kind)
  return passTaken(of, passOf(of, at), next.value)
}
function taken(of: PlanDocument, at: number, edit: PlanEdit): PlanDocument {
  const result = edited(of, at, edit)
  if (!result.ok) throw new Error(result.error.kind)
  return result.value
}
const curl = plan.rotation.days[2]!.sessions[0]!.groupings[1]!.slots[0]
const MORE: PlanEdit = { kind: 'add_sets', slot: curl.id, count: 2 }
const passes = fc.integer({ min: 0, max: plan.passes - 1 })

describe('one rotation by itself', () => {
  test('has the dates, the sessions and the counted sets that the block has for it', () => {
    fc.assert(
      fc.property(passes, at => {
        const own = alone(plan, at)
        expect(passDates(own)).toEqual([passDates(plan)[at]])
        expect(contents(own, 0)).toEqual(contents(plan, at))
        expect(rotationLedger(own.rotation, context).groups).toEqual(
          blockVerdict(expandedBlock(plan, context), context).passes[at]!.ledger.groups,
        )
      }),
    )
  })

  test('keeps how loads go up and leaves ramps, effort and easier rotations behind', () => {
    expect(alone(plan, 2).block).toEqual({ events: plan.block!.events, rules: plan.block!.rules })
    expect(alone({ ...plan, block: {} }, 2)).not.toHaveProperty('block')
  })
})

describe('a change in one rotation', () => {
  test('is for its date alone: every other rotation and the plan itself stay', () => {
    fc.assert(
      fc.property(passes, at => {
        const after = taken(plan, at, MORE)
        expect(after.rotation).toBe(plan.rotation)
        expect(after.block).toBe(plan.block)
        expect([after.startsOn, after.passes]).toEqual([plan.startsOn, plan.passes])
        for (let other = 0; other < plan.passes; other++)
          if (other !== at) expect(contents(after, other)).toEqual(contents(plan, other))
        const [press, before] = setsOf(plan, at, 2)
        expect(setsOf(after, at, 2)).toEqual([press, before! + 2])
        expect(passOf(after, at).sessions.map(({ isOwn }) => isOwn)).toEqual([false, true, false])
      }),
    )
  })

  test('is laid over what was said for the date before, and the block has it again once that is dropped', () => {
    const once = taken(plan, 1, MORE)
    const twice = taken(once, 1, { kind: 'cut_sets', slot: curl.id, count: 1 })
    expect(setsOf(twice, 1, 2)[1]).toBe(setsOf(plan, 1, 2)[1]! + 1)
    const [own, ...others] = ownDatesIn(twice, 1)
    expect(others).toEqual([])
    expect(own!.on).toBe(passDates(plan)[1]![2])
    const back = taken(twice, 1, { kind: 'drop_one_off', session: own!.session, on: own!.on })
    expect(back).toEqual(plan)
  })

  test('leaves what was said for dates of other rotations alone', () => {
    const other = taken(plan, 4, MORE)
    const both = taken(other, 0, MORE)
    expect(both.oneOffs!.map(({ on }) => on)).toEqual([
      passDates(plan)[0]![2],
      passDates(plan)[4]![2],
    ])
    expect(ownDatesIn(both, 4)).toEqual(ownDatesIn(other, 4))
  })

  test('carries sets from one session to another on their dates', () => {
    const after = taken(plan, 0, {
      kind: 'move_sets',
      toDay: 4,
      moves: [{ slot: curl.id, count: 1 }],
    })
    const sum = (of: PlanDocument, at: number) =>
      [0, 2, 4].flatMap(day => setsOf(of, at, day)).reduce((all, sets) => all + sets, 0)
    expect(sum(after, 0)).toBe(sum(plan, 0))
    expect(ownDatesIn(after, 0)).toHaveLength(2)
    expect(sum(after, 1)).toBe(sum(plan, 1))
  })

  test('takes dismissed findings and versions over to the whole', () => {
    const after = taken(plan, 2, { kind: 'dismiss', finding: 'x', note: 'meant' })
    expect(after).toEqual({ ...plan, dismissed: [{ finding: 'x', note: 'meant' }] })
  })

  test.each<[string, PlanEdit]>([
    ['a longer rotation', { kind: 'set_length', days: 14 }],
    ['days that change places', { kind: 'swap_days', day: 0, with: 1 }],
    ['a session on another day', { kind: 'move_session', day: 0, to: 1 }],
    ['another limit', { kind: 'set_day', day: 0, role: 'push', label: null, minuteLimit: 20 }],
    ['another start', { kind: 'set_block', startsOn: addDays(plan.startsOn, 7) }],
    ['another title', { kind: 'set_block', title: 'Another' }],
    ['terms of the block', { kind: 'set_block', block: { deloads: [0] } }],
    [
      'a session less',
      { kind: 'remove_session', day: 0, session: plan.rotation.days[0]!.sessions[0]!.id },
    ],
  ])('cannot be %s', (_, edit) => {
    expect(edited(plan, 2, edit)).toEqual({ ok: false, error: { kind: 'one_rotation' } })
  })
})
