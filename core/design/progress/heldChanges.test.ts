import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { plainDate } from '../../base'
import {
  type BlockPlan,
  type HeldChange,
  modesIn,
  type PlanDocument,
  withChangeEnded,
  withHeldChange,
} from '../../plan/block'
import { ARM_GROUPS, type Group, requireExercise } from '../../plan/catalogue'
import { mainGroup } from '../../plan/minutes'
import { bandOf, contextWith, MODES, STEADY_MIDDLE } from '../../plan/method'
import { sessionSlots, type Slot } from '../../plan/session'
import { idsInARow } from '../../testing/notation'
import { planIn, written } from '../../testing/shorthandPlans'
import { blockVerdict, expandedBlock, nextBlock, passContext } from '.'

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
    ...[rest, rest, rest, rest],
  ),
  startsOn: plainDate('2026-03-02'),
  passes: 6,
  block: { deloads: [4] },
}
const begun = { on: plainDate('2026-03-10'), why: 'Elbows' }
const withChanges = (...changes: readonly HeldChange[]): PlanDocument => ({
  ...plan,
  block: changes.reduce<BlockPlan>(withHeldChange, plan.block!),
})
const slotsIn = (of: PlanDocument, pass: number): readonly Slot[] =>
  expandedBlock(of, context).passes[pass]!.sessions.flatMap(({ content }) => sessionSlots(content))
const repsOf = ({ scheme }: Slot) => scheme.runs.map(({ stages }) => stages)
const mainOf = (slot: Slot) =>
  mainGroup(slot, requireExercise(context.catalogue, slot.exercise), context)
const groups = fc.constantFrom<Group>('biceps', 'triceps')
const passes = fc.integer({ min: 0, max: plan.passes - 1 })

describe('reps that hold from a rotation on', () => {
  test('change the exercises of their muscle from then on, easier rotations apart, and nothing else', () => {
    fc.assert(
      fc.property(groups, passes, fc.integer({ min: 1, max: 6 }), (group, from, reps) => {
        const after = withChanges({ ...begun, from, group, reps })
        for (let pass = 0; pass < plan.passes; pass++)
          slotsIn(after, pass).forEach((slot, at) => {
            const was = slotsIn(plan, pass)[at]!
            const isChanged = pass >= from && pass !== 4 && mainOf(slot) === group
            if (!isChanged) expect(slot).toEqual(was)
            else {
              expect(repsOf(slot)).not.toEqual(repsOf(was))
              expect({ ...slot, scheme: null }).toEqual({ ...was, scheme: null })
            }
          })
      }),
    )
  })

  test('are gone from the rotation they are ended in', () => {
    const held: HeldChange = { ...begun, from: 1, group: 'biceps', reps: 3 }
    const ended = { ...plan, block: withChangeEnded(withChanges(held).block!, held, 3) }
    expect(slotsIn(ended, 2)).not.toEqual(slotsIn(plan, 2))
    expect(slotsIn(ended, 3)).toEqual(slotsIn(plan, 3))
  })

  test('go into the rotation of the next block', () => {
    const terms = { title: 'Next', startsOn: plainDate('2026-04-13'), weeks: 4, newId: idsInARow() }
    const next = nextBlock(withChanges({ ...begun, from: 2, group: 'biceps', reps: 3 }), context, {
      ...terms,
      from: 'first',
    })
    const curl = next.rotation.days.flatMap(day => day.sessions.flatMap(sessionSlots)).at(-1)!
    expect(repsOf(curl)).not.toEqual(repsOf(slotsIn(plan, 0).at(-1)!))
  })
})

describe('what is wanted of a muscle from a rotation on', () => {
  test('gives each rotation the band of its own mode, and the sets stay', () => {
    fc.assert(
      fc.property(groups, passes, fc.constantFrom(...MODES), (group, from, mode) => {
        const after = withChanges({ ...begun, from, group, mode })
        const verdict = blockVerdict(expandedBlock(after, context), context)
        const before = blockVerdict(expandedBlock(plan, context), context)
        const { client } = context
        const own = { ...context, client: { ...client, modes: { ...client.modes, [group]: mode } } }
        verdict.passes.forEach(({ pass, ledger, sets }, at) => {
          const asked = at >= from ? own : context
          expect(bandOf(passContext(context, pass), group)).toEqual(bandOf(asked, group))
          expect(ledger.groups[group].band).toEqual(bandOf(asked, group))
          expect(sets).toBe(before.passes[at]!.sets)
          for (const other of ARM_GROUPS)
            if (other !== group)
              expect(ledger.groups[other].band).toEqual(
                before.passes[at]!.ledger.groups[other].band,
              )
        })
      }),
    )
  })

  test('leaves a maintained muscle out of the least ready, and asks no lead of it', () => {
    const after = withChanges(
      ...ARM_GROUPS.map(group => ({ ...begun, from: 2, group, mode: 'maintain' as const })),
    )
    const verdict = blockVerdict(expandedBlock(after, context), context)
    const roles = (from: number, to: number) =>
      verdict.arrivals.biceps
        .filter(({ pass }) => from <= pass && pass < to)
        .map(({ role }) => role)
    expect(roles(0, 2)).toContain('lead')
    expect(roles(2, 6)).not.toContain('lead')
    for (const { pass, lowest } of verdict.passes)
      if (pass.at >= 2) expect(ARM_GROUPS).not.toContain(lowest?.group)
  })

  test('is the latest word, and a rotation that no word is about keeps the client as she is', () => {
    const block = withChanges(
      { ...begun, from: 1, group: 'biceps', mode: 'keep' },
      { ...begun, from: 3, group: 'biceps', mode: 'build' },
    ).block!
    expect([0, 1, 2, 3].map(pass => modesIn(block, pass).biceps)).toEqual([
      undefined,
      'keep',
      'keep',
      'build',
    ])
    expect(passContext(context, { at: 0, held: [] })).toBe(context)
  })
})
