import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { addDays, daysBetween, exerciseId, plainDate } from '../../base'
import {
  applyEdit,
  blockBefore,
  type BlockBefore,
  type BlockPlan,
  datesOfDay,
  passDates,
  passOn,
  type PlanDocument,
  withException,
  withoutException,
  withoutExceptions,
} from '../../plan/block'
import { requireExercise } from '../../plan/catalogue'
import { loadGrid, nextWeight } from '../../plan/estimate'
import { type ClientFacts, contextWith, STEADY_MIDDLE } from '../../plan/method'
import { leadRir, plannedSets } from '../../plan/scheme'
import { sessionSlots } from '../../plan/session'
import { planArbitrary } from '../../testing/arbitraries'
import { idsInARow } from '../../testing/notation'
import { planIn, written } from '../../testing/shorthandPlans'
import {
  type BlockPass,
  blockAsTold,
  blockConcerns,
  blockVerdict,
  expandedBlock,
  issuedBlock,
  nextBlock,
  passesFor,
  proposedDeloads,
  type SentSession,
  steppedLoad,
  usualBlock,
} from '.'

const context = contextWith(STEADY_MIDDLE, {
  trainingAgeMonths: 48,
  modes: { biceps: 'build', triceps: 'build' },
} satisfies Partial<ClientFacts> & { trainingAgeMonths: number })
const rest = { ...written('rest'), sessions: [] }
const base = planIn(
  8,
  written('push', 'bench_press_dumbbell 3 x 8, rir 2', 'pushdown_rope 3 x 12, rir 2'),
  rest,
  written('pull', 'pulldown_neutral 3 x 10, rir 2', 'cable_curl 3 x 12, rir 2'),
  rest,
  written(
    'arms',
    'superset: cable_curl 3 x 12 kg, rir 2 & pushdown_rope 3 x 12, rir 2'.replace(' kg', ''),
  ),
)
const blockOf = (block: BlockPlan, more: Partial<PlanDocument> = {}): PlanDocument => ({
  ...base,
  startsOn: plainDate('2026-03-02'),
  passes: 7,
  block,
  ...more,
})
const slots = (pass: BlockPass | undefined) =>
  pass?.sessions.flatMap(({ content }) => sessionSlots(content)) ?? []
const setsIn = (pass: BlockPass | undefined, exercise: string) =>
  slots(pass)
    .filter(slot => slot.exercise === exercise)
    .reduce((sum, { scheme }) => sum + plannedSets(scheme), 0)
const rirIn = (pass: BlockPass | undefined, exercise: string) =>
  slots(pass)
    .filter(slot => slot.exercise === exercise)
    .map(({ scheme }) => leadRir(scheme.runs.find(({ role }) => role !== 'warmup')!))
const passesOf = (block: BlockPlan, more: Partial<PlanDocument> = {}) =>
  expandedBlock(blockOf(block, more), context).passes
const slotOf = (exercise: string) =>
  base.rotation.days
    .flatMap(({ sessions }) => sessions.flatMap(sessionSlots))
    .find(slot => slot.exercise === exercise)!

describe('passes of a block', () => {
  test('with nothing said every pass is the rotation as it stands', () => {
    for (const { rotation, isDeload } of passesOf({})) {
      expect(isDeload).toBe(false)
      expect(rotation.days.map(({ sessions }) => sessions)).toEqual(
        base.rotation.days.map(({ sessions }) => sessions),
      )
    }
  })
  test('sets rise along the ramp, one more for each exercise and pass, and start again after an easier pass', () => {
    const passes = passesOf({ ramps: { biceps: { kind: 'linear', end: 12 } }, deloads: [3] })
    const curls = passes.map(pass => setsIn(pass, 'cable_curl'))
    expect(curls[0]).toBe(6)
    expect(curls[2]).toBeGreaterThan(6)
    curls.slice(1, 3).forEach((sets, at) => expect(sets - (curls[at] ?? 0)).toBeLessThanOrEqual(2))
    expect(curls[3]).toBe(4)
    expect([curls[4], passes[4]?.working]).toEqual([6, 4])
  })
  test('effort comes nearer to failure, compounds never nearer than one, an easier pass stays four away', () => {
    const passes = passesOf({
      effort: { compound: { from: 3, to: 0 }, isolation: { from: 3, to: 0 } },
      deloads: [6],
    })
    expect(passes.slice(0, 6).map(pass => rirIn(pass, 'cable_curl')[0])).toEqual([3, 2, 2, 1, 1, 0])
    expect(passes.slice(0, 6).map(pass => rirIn(pass, 'bench_press_dumbbell')[0])).toEqual([
      3, 2, 2, 1, 1, 1,
    ])
    expect(rirIn(passes[6], 'cable_curl')).toEqual([4, 4])
  })
  test('reps follow the wave, never under three', () => {
    const reps = (pass: BlockPass | undefined) =>
      slots(pass).find(({ exercise }) => exercise === 'bench_press_dumbbell')?.scheme.runs[0]
        ?.stages[0]
    const passes = passesOf({ repWave: [0, -2, -7] })
    expect(passes.slice(0, 4).map(pass => reps(pass))).toMatchObject(
      [8, 6, 3, 8].map(count => ({ reps: { count } })),
    )
  })
  test.each([
    ['exposure', ['A', 'B', 'A', 'B', 'A', 'B', 'A']],
    ['half', ['A', 'A', 'A', 'A', 'B', 'B', 'B']],
    ['week', ['A', 'B', 'A', 'B', 'A', 'A', 'B']],
  ] as const)('exercises take turns: %s', (by, expected) => {
    const block: BlockPlan = {
      alternations: [
        {
          slot: slotOf('cable_curl').id,
          exercise: exerciseId('preacher_curl_bar'),
          intent: null,
          by,
        },
      ],
    }
    const passes = passesOf(block)
    expect(passes.map(({ choice }) => choice)).toEqual(expected)
    passes.forEach(pass => expect(setsIn(pass, 'preacher_curl_bar') > 0).toBe(pass.choice === 'B'))
    const [, flipped] = passesOf(withException(block, { kind: 'choice', pass: 1 }))
    expect(flipped?.choice).toBe(expected[1] === 'A' ? 'B' : 'A')
  })
  test.each([
    ['done throughout', [], ['A', 'B', 'A', 'B', 'A', 'B', 'A']],
    ['the second missed: it comes next', [1], ['A', 'B', 'B', 'A', 'B', 'A', 'B']],
    ['two in a row missed', [1, 2], ['A', 'B', 'B', 'B', 'A', 'B', 'A']],
  ] as const)('turns by exposure count what was done: %s', (_, missed, expected) => {
    const plan = blockOf({
      alternations: [
        {
          slot: slotOf('cable_curl').id,
          exercise: exerciseId('preacher_curl_bar'),
          intent: null,
          by: 'exposure',
        },
      ],
    })
    const today = plainDate('2026-06-01')
    // Sent rotation by rotation, each as the log before it has it.
    let sent: readonly SentSession[] = []
    for (let pass = 0; pass < plan.passes; pass++) {
      const own = blockAsTold(plan, context, sent, today).passes[pass]!
      sent = [
        ...sent,
        ...own.sessions.map(session => ({
          pass,
          day: session.day,
          place: session.place,
          on: session.on,
          name: session.name,
          content: session.content,
          isOpened: true,
          isDone: !(missed as readonly number[]).includes(pass),
          setsDone: (missed as readonly number[]).includes(pass) ? 0 : 9,
        })),
      ]
    }
    const told = blockAsTold(plan, context, sent, today).passes
    expect(told.map(pass => (setsIn(pass, 'preacher_curl_bar') > 0 ? 'B' : 'A'))).toEqual(expected)
    // A session that is still to come is not missed.
    const early = blockAsTold(plan, context, sent, plan.startsOn).passes
    expect(early.map(({ choice }) => choice)).toEqual(['A', 'B', 'A', 'B', 'A', 'B', 'A'])
  })
  test('exceptions stay what they are and can be taken back', () => {
    const block = withException(
      withException({}, { kind: 'sets', pass: 2, group: 'biceps', change: 2 }),
      { kind: 'rir', pass: 2, change: -1 },
    )
    const [, before, changed, after] = passesOf(block)
    expect([before, changed, after].map(pass => setsIn(pass, 'cable_curl'))).toEqual([6, 8, 6])
    expect([rirIn(before, 'cable_curl')[0], rirIn(changed, 'cable_curl')[0]]).toEqual([2, 1])
    expect(changed?.exceptions).toHaveLength(2)
    expect(withException(block, { kind: 'rir', pass: 2, change: 0 }).exceptions).toHaveLength(1)
    expect(withoutExceptions(block, 2)).toEqual({})
    expect(
      withoutException(block, { kind: 'sets', pass: 2, group: 'biceps', change: 0 }).exceptions,
    ).toEqual([{ kind: 'rir', pass: 2, change: -1 }])
  })
  test('a reserve for one muscle touches the exercises whose main muscle it is, and nothing else', () => {
    const block = withException({}, { kind: 'rir', pass: 1, group: 'triceps', change: 1 })
    const [before, eased] = passesOf(block)
    expect([before, eased].map(pass => rirIn(pass, 'pushdown_rope')[0])).toEqual([2, 3])
    for (const exercise of ['cable_curl', 'bench_press_dumbbell', 'pulldown_neutral'])
      expect(rirIn(eased, exercise)).toEqual(rirIn(before, exercise))
    // Beside one for all, both count; each is taken back by itself.
    const both = withException(block, { kind: 'rir', pass: 1, change: 1 })
    const [, more] = passesOf(both)
    expect([rirIn(more, 'pushdown_rope')[0], rirIn(more, 'cable_curl')[0]]).toEqual([4, 3])
    expect(
      withoutException(both, { kind: 'rir', pass: 1, group: 'triceps', change: 0 }).exceptions,
    ).toEqual([{ kind: 'rir', pass: 1, change: 1 }])
  })
  test('what no place can take is told', () => {
    const tight = {
      ...base.rotation,
      days: base.rotation.days.map(day =>
        day.sessions.length > 0 ? { ...day, minuteLimit: 15 } : day,
      ),
    }
    expect(
      passesOf({ ramps: { biceps: { kind: 'linear', end: 20 } } }, { rotation: tight }).some(
        ({ notPlaced }) =>
          notPlaced.some(({ group, by }) => group === 'biceps' && by === 'minutes'),
      ),
    ).toBe(true)
  })
})

describe('dates of a block', () => {
  test.each([
    ['29 February', '2028-02-29'],
    ['across the clock change', '2026-03-27'],
    ['into a year with 53 weeks', '2026-12-28'],
  ])('%s: every day once, in order', (_, start) => {
    const dates = passDates(blockOf({}, { startsOn: plainDate(start) })).flat()
    expect(dates).toHaveLength(7 * 8)
    dates.forEach((date, at) => expect(daysBetween(plainDate(start), date)).toBe(at))
  })
  test('a pause moves everything later, whole weeks where weekdays are kept', () => {
    const event = {
      id: 'e',
      what: 'Regatta',
      from: plainDate('2026-03-05'),
      to: plainDate('2026-03-07'),
      effect: 'shift' as const,
    }
    expect(passDates(blockOf({ events: [event] }))[0]?.slice(2, 5)).toEqual([
      '2026-03-04',
      '2026-03-08',
      '2026-03-09',
    ])
    expect(datesOfDay(blockOf({ events: [event] }), 3).slice(0, 2)).toEqual([
      '2026-03-08',
      '2026-03-16',
    ])
    expect(
      [plainDate('2026-03-01'), plainDate('2026-03-12'), plainDate('2026-03-13')].map(date =>
        passOn(blockOf({ events: [event] }), date),
      ),
    ).toEqual([null, 0, 1])
    const weekly = planIn(7, ...base.rotation.days.slice(0, 7))
    const anchored: PlanDocument = {
      ...weekly,
      startsOn: plainDate('2026-03-02'),
      passes: 2,
      rotation: { ...weekly.rotation, anchor: { kind: 'weekday', startsOn: 1 } },
      block: { events: [event] },
    }
    expect(
      passDates(anchored)
        .flat()
        .map(date => daysBetween(plainDate('2026-03-02'), date) % 7),
    ).toEqual([...Array(14)].map((_unused, at) => at % 7))
  })
  test.each([
    ['skip', { isSkipped: true }],
    ['short', { minuteLimit: 20 }],
    ['none', { isSkipped: false }],
  ] as const)('an event: %s', (effect, expected) => {
    const event = {
      id: 'e',
      what: 'Exam',
      from: plainDate('2026-03-10'),
      to: plainDate('2026-03-10'),
      effect,
      minutes: 20,
    }
    expect(passesOf({ events: [event] })[1]?.sessions[0]).toMatchObject(expected)
    expect(passesOf({ events: [event] })[1]?.sessions[1]?.event).toBeUndefined()
  })
  test('light days are as easy as an easier pass', () => {
    const event = {
      id: 'e',
      what: 'Travel',
      from: plainDate('2026-03-10'),
      to: plainDate('2026-03-10'),
      effect: 'light' as const,
    }
    const [session] = passesOf({ events: [event] })[1]?.sessions ?? []
    expect(
      session && sessionSlots(session.content).map(({ scheme }) => plannedSets(scheme)),
    ).toEqual([2, 2])
  })
  test('one session can stand on another date', () => {
    const [first] = passesOf({
      exceptions: [{ kind: 'moved', pass: 0, day: 2, place: 0, on: plainDate('2026-03-05') }],
    })
    expect(first?.sessions.map(({ on, isMoved }) => [on, isMoved])).toEqual([
      ['2026-03-02', false],
      ['2026-03-05', true],
      ['2026-03-06', false],
    ])
  })
  test('a plan that keeps to weekdays keeps to those of its new start', () => {
    const weekly = {
      ...base,
      rotation: { ...base.rotation, anchor: { kind: 'weekday' as const, startsOn: 1 } },
    }
    expect(
      applyEdit(
        weekly,
        { kind: 'set_block', startsOn: plainDate('2026-03-04'), passes: 3 },
        idsInARow(),
      ),
    ).toMatchObject({
      ok: true,
      value: { startsOn: '2026-03-04', passes: 3, rotation: { anchor: { startsOn: 3 } } },
    })
  })
  test('weeks become passes', () =>
    expect([passesFor(8, 8), passesFor(8, 7), passesFor(1, 14)]).toEqual([7, 8, 1]))
})

describe('the block is judged before it begins', () => {
  const plan = blockOf(usualBlock(blockOf({}), context))
  test('the usual block of a method ramps, comes nearer to failure and eases off', () => {
    expect(plan.block).toMatchObject({
      effort: { compound: STEADY_MIDDLE.effort.rirCompound },
      deloads: proposedDeloads(plan, context),
    })
    expect(Object.keys(plan.block?.ramps ?? {})).toEqual(
      expect.arrayContaining(['biceps', 'triceps']),
    )
    const verdict = blockVerdict(expandedBlock(plan, context), context)
    expect(verdict.passes.some(({ pass }) => pass.isDeload)).toBe(true)
    const triceps = verdict.passes.map(({ ledger }) => ledger.groups.triceps.week.counted.value)
    expect(Math.max(...triceps)).toBeGreaterThan(triceps[0] ?? 0)
  })
  test('weeks hold every set once', () => {
    const { weeks, passes } = blockVerdict(expandedBlock(plan, context), context)
    const direct = weeks.reduce((sum, { sets }) => sum + sets.biceps.direct, 0)
    expect(direct).toBeCloseTo(
      passes.reduce((sum, { ledger }) => sum + ledger.total.groups.biceps.direct.value, 0),
      9,
    )
    expect(weeks.reduce((sum, { days }) => sum + days, 0)).toBe(
      daysBetween(plan.startsOn, passes.at(-1)!.pass.to) + 1,
    )
  })
  test('readiness falls with the work before and comes back with time', () => {
    const { arrivals } = blockVerdict(expandedBlock(plan, context), context)
    expect(arrivals.triceps[0]?.readiness).toBe(100)
    expect(arrivals.triceps.slice(1).every(({ readiness }) => readiness < 100)).toBe(true)
  })
  test('concerns name what is wrong and where', () => {
    const heavy = blockOf(
      { exceptions: [{ kind: 'sets', pass: 3, group: 'triceps', change: 30 }] },
      { passes: 12 },
    )
    const kinds = blockConcerns(expandedBlock(heavy, context), context).map(({ kind }) => kind)
    expect(kinds).toEqual(expect.arrayContaining(['over_ceiling', 'joint_ramp', 'no_deload']))
    expect(
      blockConcerns(expandedBlock(heavy, context), context).find(
        ({ kind }) => kind === 'over_ceiling',
      ),
    ).toMatchObject({ group: 'triceps', from: 3, to: 3 })
  })
  const looks = (of: PlanDocument, before?: BlockBefore) =>
    blockConcerns(expandedBlock(of, context), context, before)
  test('a muscle that rises by more than a fifth from one working rotation to the next is told at its steepest', () => {
    const sets = (pass: number, change: number) =>
      ({ kind: 'sets', pass, group: 'triceps', change }) as const
    const counted = (of: PlanDocument) =>
      blockVerdict(expandedBlock(of, context), context).passes.map(
        ({ ledger }) => ledger.groups.triceps.week.counted.value,
      )
    const steep = blockOf({ exceptions: [sets(1, 2), sets(3, 8)], deloads: [4] })
    const found = looks(steep).find(({ kind }) => kind === 'steep_sets')
    const weeks = counted(steep)
    expect(found).toEqual({
      kind: 'steep_sets',
      group: 'triceps',
      pass: 3,
      before: weeks[2],
      after: weeks[3],
    })
    // Out of an easier rotation nothing rises steeply, and a set more is no ramp.
    for (const calm of [blockOf({ deloads: [2] }), blockOf({ exceptions: [sets(2, 1)] })])
      expect(looks(calm).map(({ kind }) => kind)).not.toContain('steep_sets')
  })
  test('a week that jumps over the block before, and exercises that are mostly new, are told only beside it', () => {
    const same = blockBefore(base)
    const kindsOf = (before?: BlockBefore) => looks(blockOf({}), before).map(({ kind }) => kind)
    for (const before of [undefined, same]) {
      expect(kindsOf(before)).not.toContain('total_jump')
      expect(kindsOf(before)).not.toContain('churn')
    }
    const halved = Object.fromEntries(Object.entries(same.sets).map(([id, sets]) => [id, sets / 2]))
    const jump = looks(blockOf({}), { ...same, sets: halved }).find(
      one => one.kind === 'total_jump',
    )
    expect(jump?.kind === 'total_jump' && jump.after / jump.before).toBeCloseTo(2, 6)
    const kept = { cable_curl: 40 } as Record<string, number>
    expect(looks(blockOf({}), { ...same, sets: kept })).toContainEqual({
      kind: 'churn',
      kept: 1,
      of: 4,
    })
  })
  test('whatever the plan, it lays out on dates without losing a session', () => {
    fc.assert(
      fc.property(planArbitrary, fc.integer({ min: 1, max: 5 }), (any, passes) => {
        const expanded = expandedBlock(
          { ...any, passes, block: { deloads: [0], ramps: { biceps: { kind: 'step', end: 14 } } } },
          context,
        )
        const sessions = any.rotation.days.reduce((sum, day) => sum + day.sessions.length, 0)
        expect(expanded.passes.flatMap(pass => pass.sessions)).toHaveLength(sessions * passes)
        expect(expanded.to).toBe(addDays(any.startsOn, passes * any.rotation.days.length - 1))
      }),
      { numRuns: 15 },
    )
  })
})

describe('the next block', () => {
  const block: BlockPlan = {
    ...usualBlock(blockOf({}), context),
    alternations: [
      {
        slot: slotOf('cable_curl').id,
        exercise: exerciseId('preacher_curl_bar'),
        intent: null,
        by: 'half',
      },
    ],
    rules: { cable_curl: { rule: 'load_from_rir' } },
    exceptions: [{ kind: 'rir', pass: 1, change: 1 }],
  }
  const now = blockOf(block)
  test.each(['first', 'last'] as const)(
    'begins with the %s rotation, new identities, rules and turns, without exceptions',
    from => {
      const next = nextBlock(now, context, {
        title: 'After',
        startsOn: plainDate('2026-05-04'),
        weeks: 8,
        from,
        newId: idsInARow(),
      })
      expect(next).toMatchObject({
        title: 'After',
        startsOn: '2026-05-04',
        passes: 7,
        block: { rules: block.rules },
      })
      expect(next.block?.exceptions).toBeUndefined()
      const [alternation] = next.block?.alternations ?? []
      const slot = next.rotation.days
        .flatMap(({ sessions }) => sessions.flatMap(sessionSlots))
        .find(({ id }) => id === alternation?.slot)
      expect(new Set([slot?.exercise, alternation?.exercise])).toEqual(
        new Set(['cable_curl', 'preacher_curl_bar']),
      )
      const sets = next.rotation.days
        .flatMap(({ sessions }) => sessions.flatMap(sessionSlots))
        .reduce((sum, { scheme }) => sum + plannedSets(scheme), 0)
      expect(sets).toBeGreaterThanOrEqual(15)
    },
  )
})

describe('a load stepped for one rotation', () => {
  const grid = loadGrid(requireExercise(context.catalogue, 'cable_curl'), 'kg')
  test.each([20, 27.5, 40, 60])(
    'from %s kg one step up, or the largest within a twentieth; down by a twentieth and at least a step',
    load => {
      const [up, down] = [steppedLoad(load, 'up', grid), steppedLoad(load, 'down', grid)]
      expect(up).toBeGreaterThan(load)
      expect(up <= load * 1.05 || up === nextWeight(load, grid)).toBe(true)
      expect(down).toBeLessThan(load)
      expect(down).toBeLessThanOrEqual(load * 0.95 + 1e-9)
    },
  )
})

describe('what was sent', () => {
  const plan = blockOf({})
  const [first] = expandedBlock(plan, context).passes
  const sent: SentSession[] = (first?.sessions ?? []).map(
    ({ pass, day, place, on, name, content }) => ({
      pass,
      day,
      place,
      on,
      name,
      content,
      isDone: day === 0,
      isOpened: true,
      setsDone: day === 0 ? 6 : 0,
    }),
  )
  test('stays as it was prescribed when the plan changes, and says so', () => {
    const edited = applyEdit(
      plan,
      { kind: 'add_sets', slot: slotOf('bench_press_dumbbell').id, count: 2 },
      idsInARow(),
    )
    if (!edited.ok) throw new Error('not edited')
    const { passes } = issuedBlock(expandedBlock(edited.value, context), sent)
    expect(passes.slice(0, 2).map(pass => setsIn(pass, 'bench_press_dumbbell'))).toEqual([3, 5])
    expect(passes[0]?.sessions.map(session => session.sent?.isEdited)).toEqual([true, false, false])
    expect(passes[1]?.sessions.every(session => session.sent === undefined)).toBe(true)
  })
  test("what the plan leaves out by now is on the client's sheet still, and says that it was changed", () => {
    const dropped = blockOf(withException({}, { kind: 'dropped', pass: 0, day: 4, place: 0 }))
    expect(
      expandedBlock(dropped, context).passes[0]?.sessions.map(({ isSkipped }) => isSkipped),
    ).toEqual([false, false, true])
    const { passes } = issuedBlock(expandedBlock(dropped, context), sent)
    expect(
      passes[0]?.sessions.map(({ sent: mark, isSkipped }) => [mark?.isEdited, isSkipped]),
    ).toEqual([
      [false, false],
      [false, false],
      [true, false],
    ])
    expect(passes[1]?.sessions.every(({ isSkipped }) => !isSkipped)).toBe(true)
  })
  test('nothing sent changes nothing', () =>
    expect(issuedBlock(expandedBlock(plan, context), [])).toBe(expandedBlock(plan, context)))
})

test.each([
  [7, [6]],
  [12, [5, 11]],
  [2, []],
  [14, [6, 13]],
])('deloads proposed for %d rotations of eight days end the block', (passes, expected) =>
  expect(proposedDeloads(blockOf({}, { passes }), context)).toEqual(expected),
)
