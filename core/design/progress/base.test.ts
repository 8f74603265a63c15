import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { addDays, plainDate } from '../../base'
import { rotationLedger } from '../../count/ledger'
import {
  type BlockException,
  type BlockPlan,
  placesFrom,
  type PlanDocument,
} from '../../plan/block'
import { contextWith, STEADY_MIDDLE } from '../../plan/method'
import { daySlots } from '../../plan/rotation'
import { sessionStateWords } from '../../words'
import { planIn, written } from '../../testing/shorthandPlans'
import { expandedBlock, fittedDraft, nextBlock, waitingInBase } from '.'

const context = contextWith(STEADY_MIDDLE, { trainingAgeMonths: 48 })
const plan = (block: BlockPlan, passes = 6): PlanDocument => ({
  ...planIn(
    7,
    written('push', 'bench_press_dumbbell 4 x 8, rir 2', 'pushdown_bar 3 x 12, rir 2'),
    written('arms', 'cable_curl 3 x 12, rir 2'),
  ),
  startsOn: plainDate('2026-03-02'),
  passes,
  block,
})
const passesOf = (block: BlockPlan, passes?: number) =>
  expandedBlock(plan(block, passes), context).passes
const exercises = (pass: ReturnType<typeof passesOf>[number]) =>
  pass.rotation.days.flatMap(daySlots).map(({ exercise }) => exercise as string)
const ALL = ['bench_press_dumbbell', 'pushdown_bar', 'cable_curl']

describe('a base', () => {
  test('has no single-joint arm work for its weeks, then all of it', () => {
    const passes = passesOf({ base: { weeks: 3 } })
    expect(passes.map(({ isBase }) => isBase)).toEqual([true, true, true, false, false, false])
    expect(passes.map(exercises)).toEqual([
      ...Array.from({ length: 3 }, () => ['bench_press_dumbbell']),
      ...Array.from({ length: 3 }, () => ALL),
    ])
    // A day with nothing else is left out, and still has its place.
    expect(passes[0]!.sessions.map(({ isSkipped }) => isSkipped)).toEqual([false, true])
    expect(passes[3]!.sessions.map(({ isSkipped }) => isSkipped)).toEqual([false, false])
    // It is told as what it is, not as making room for another.
    expect(passes[0]!.sessions.map(sessionStateWords)).toEqual([
      'planned',
      'left out: its arm work comes in after the base',
    ])
  })

  test('ends before the ramp begins, which still gets where it was to get', () => {
    const ramps = { triceps: { kind: 'linear', end: 9 } } as const
    const sets = (block: BlockPlan) =>
      passesOf(block).map(
        ({ rotation }) => rotationLedger(rotation, context).groups.triceps.week.direct.value,
      )
    expect(sets({ ramps, base: { weeks: 2 } })[1]).toBe(0)
    expect(sets({ ramps, base: { weeks: 2 } })[2]).toBe(sets({ ramps })[0])
    expect(sets({ ramps, base: { weeks: 2 } }).at(-1)).toBe(sets({ ramps }).at(-1))
  })

  test('leaves what is held fixed, and never takes a whole block', () => {
    const held = plan({ base: { weeks: 2 } })
    const days = held.rotation.days.map(day => ({
      ...day,
      sessions: day.sessions.map(session => ({
        ...session,
        groupings: session.groupings.map(grouping => ({
          ...grouping,
          slots: [{ ...grouping.slots[0], isHeld: true as const }] as const,
        })),
      })),
    }))
    const fixed = { ...held, rotation: { ...held.rotation, days } }
    expect(exercises(expandedBlock(fixed, context).passes[0]!)).toEqual(ALL)
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 16 }),
        fc.integer({ min: 1, max: 12 }),
        (weeks, length) => {
          const passes = passesOf({ base: { weeks } }, length)
          expect(passes.filter(({ isBase }) => isBase)).toHaveLength(Math.min(weeks, length - 1))
          expect(exercises(passes.at(-1)!)).toEqual(ALL)
        },
      ),
    )
  })

  test('takes warm-ups along with what they were for', () => {
    const warmed = plan({ base: { weeks: 2 } })
    const days = warmed.rotation.days.map(day => ({
      ...day,
      sessions: day.sessions.map(session => ({
        ...session,
        groupings: session.groupings.map(({ slots: [slot], ...grouping }) => {
          const [run] = slot.scheme.runs
          const runs = run ? [{ ...run, role: 'warmup' as const }, ...slot.scheme.runs] : []
          return { ...grouping, slots: [{ ...slot, scheme: { ...slot.scheme, runs } }] as const }
        }),
      })),
    }))
    const { passes } = expandedBlock({ ...warmed, rotation: { ...warmed.rotation, days } }, context)
    expect(exercises(passes[0]!)).toEqual(['bench_press_dumbbell'])
    expect(exercises(passes[2]!)).toEqual(ALL)
  })

  test('is not handed to the next block, and holds in a draft that asks for it', () => {
    let made = 0
    const terms = {
      title: 'Next',
      startsOn: plainDate('2026-04-13'),
      weeks: 6,
      from: 'first',
      newId: () => `id-${made++}`,
    } as const
    const before = plan({ base: { weeks: 3 } })
    const next = nextBlock(before, context, terms)
    expect(next.block?.base).toBeUndefined()
    const draft = { ...next, draft: { baseWeeks: 4, ends: { triceps: 8 } } }
    const fitted = fittedDraft(before, draft, context)
    expect(fitted.block).toMatchObject({ base: { weeks: 4 }, ramps: { triceps: { end: 8 } } })
    expect(fittedDraft(before, { ...next, draft: { baseWeeks: 4 } }, context).block?.base).toEqual({
      weeks: 4,
    })
  })
})

test('dates without contents are those of the expanded block, whatever is moved, dropped, skipped or waits', () => {
  const start = plainDate('2026-03-02')
  const day = fc.integer({ min: 0, max: 1 })
  const pass = fc.integer({ min: 0, max: 5 })
  const exception = fc.oneof(
    fc.record({
      kind: fc.constant('moved' as const),
      pass,
      day,
      place: fc.constant(0),
      on: fc.integer({ min: 0, max: 45 }).map(by => addDays(start, by)),
    }),
    fc.record({ kind: fc.constant('dropped' as const), pass, day, place: fc.constant(0) }),
  )
  const event = fc
    .record({
      effect: fc.constantFrom('skip', 'shift', 'light', 'short'),
      from: fc.integer({ min: 0, max: 40 }),
      days: fc.integer({ min: 0, max: 8 }),
    })
    .map(({ effect, from, days }) => ({
      title: 'Away',
      from: addDays(start, from),
      to: addDays(start, from + days),
      ...(effect === 'short' ? { effect: 'short' as const, minutes: 20 } : { effect }),
    }))
  const seen = { moved: 0, waits: 0, leftOut: 0 }
  fc.assert(
    fc.property(
      fc.array(exception as fc.Arbitrary<BlockException>, { maxLength: 3 }),
      fc.option(event, { nil: undefined }),
      fc.integer({ min: 0, max: 4 }),
      fc.integer({ min: 0, max: 30 }).map(by => addDays(start, by)),
      (exceptions, away, weeks, from) => {
        const of = plan({
          ...(exceptions.length > 0 && { exceptions }),
          ...(away && { events: [away as never] }),
          ...(weeks > 0 && { base: { weeks } }),
        })
        const all = expandedBlock(of, context).passes.flatMap(({ sessions }) => sessions)
        const waits = waitingInBase(of, context)
        const told = placesFrom(of, from).filter(one => !waits(one))
        const key = ({
          pass: at,
          day: d,
          place,
          on,
        }: (typeof told)[number] | (typeof all)[number]) => `${on} ${at} ${d} ${place}`
        expect(told.map(key).sort()).toEqual(
          all
            .filter(({ isSkipped, on }) => !isSkipped && on >= from)
            .map(key)
            .sort(),
        )
        seen.moved += all.filter(({ isMoved }) => isMoved).length
        seen.waits += all.filter(one => one.waits).length
        seen.leftOut += all.filter(({ isSkipped, waits: is }) => isSkipped && !is).length
      },
    ),
  )
  for (const count of Object.values(seen)) expect(count).toBeGreaterThan(10)
})
