import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { addDays, type PlainDate, plainDate } from '../../base'
import type { PlanDocument } from '../../plan/block'
import { GROUPS } from '../../plan/catalogue'
import { defaultContext } from '../../plan/method'
import { expandedBlock, issuedBlock } from '../../design/progress'
import { plannedSets } from '../../plan/scheme'
import { type Session, sessionSlots } from '../../plan/session'
import { decisionWeek } from '../../testing/decisionWeek'
import { writtenSession } from '../../testing/shorthandPlans'
import {
  merged,
  rankedReplans,
  type Replan,
  REPLAN_OPTIONS,
  type ReplanQuestion,
  replans,
  shifted,
  spreadSets,
  withReplan,
} from '.'

const context = defaultContext({
  trainingAgeMonths: 48,
  modes: { biceps: 'build', triceps: 'build', elbow_flexors_other: 'keep' },
})
const session = (name: string, text: string): Session => ({ ...writtenSession(text), name })
const push = session('Push', 'bench_press_dumbbell 4 x 8-12, rir 2\npushdown_rope 3 x 10-12, rir 2')
const pull = session('Pull', 'pulldown_wide 4 x 8-12, rir 2\ncable_curl 3 x 10-12, rir 2')
const upper = session(
  'Upper',
  'barbell_curl 3 x 8-12, rir 2\nlying_extension_cambered 3 x 8-12, rir 2',
)
const arms = session('Arms', 'cable_curl 6 x 10-12, rir 2\npushdown_rope 6 x 10-12, rir 2')
const day = (role: 'push' | 'pull' | 'rest' | 'upper' | 'arms', ...sessions: Session[]) => ({
  role,
  sessions,
})
/** Mon push, Tue pull, Wed rest, Thu upper, Fri arms, Sat and Sun rest. */
const plan: PlanDocument = {
  schema: 1,
  title: 'Block',
  startsOn: plainDate('2026-04-06'),
  passes: 3,
  rotation: {
    kind: 'per_days',
    anchor: { kind: 'weekday', startsOn: 1 },
    days: [
      day('push', push),
      day('pull', pull),
      day('rest'),
      day('upper', upper),
      day('arms', arms),
      day('rest'),
      day('rest'),
    ],
  },
}
const floating: PlanDocument = {
  ...plan,
  rotation: {
    kind: 'places',
    anchor: { kind: 'floating' },
    days: [day('push', push), day('pull', pull), day('upper', upper), day('arms', arms)],
  },
}
const question = (more: Partial<ReplanQuestion> = {}, of = plan): ReplanQuestion => ({
  expanded: expandedBlock(of, context),
  missed: { pass: 0, day: of.rotation.days.length === 7 ? 3 : 2, place: 0 },
  today: plainDate('2026-04-10'),
  context,
  missedLately: 1,
  isAnchored: of.rotation.anchor.kind === 'weekday',
  isClosed: () => false,
  ...more,
})
const datesIn = (edited: PlanDocument, pass: number) =>
  expandedBlock(edited, context)
    .passes[pass]!.sessions.filter(({ isSkipped }) => !isSkipped)
    .map(({ name, on }) => `${name} ${on.slice(8)}`)
const setsOf = (content: Session) =>
  sessionSlots(content).map(({ exercise, scheme }) => `${exercise} ${plannedSets(scheme)}`)

describe('the constructions', () => {
  test('A-14: a shift goes through the days until a rest day takes it up', () => {
    const asked = question()
    const found = replans(asked).find(({ option }) => option === 'shift')!
    expect(found).toMatchObject({ daysChanged: 2, kept: 1 })
    const edited = withReplan(plan, found, asked)
    expect(datesIn(edited, 0)).toEqual(['Push 06', 'Pull 07', 'Upper 10', 'Arms 11'])
    expect(datesIn(edited, 1)).toEqual(datesIn(plan, 1))
  })
  test('a shift goes round days on which nothing can be done', () => {
    expect(
      shifted(question({ isClosed: date => date === '2026-04-11' }))?.moves.map(({ on }) => on),
    ).toEqual(['2026-04-10', '2026-04-12'])
  })
  test('without a rest day left a week loses what is worth least, a floating rotation ends a day later', () => {
    const full: PlanDocument = {
      ...plan,
      rotation: {
        ...plan.rotation,
        days: [
          day('push', push),
          day('pull', pull),
          day('push', push),
          day('upper', upper),
          day('arms', arms),
          day('pull', pull),
          day('push', session('Small', 'pushdown_rope 1 x 12, rir 3')),
        ],
      },
    }
    const asked = question({}, full)
    const shift = shifted(asked)!
    expect(shift.dropped).toEqual([{ pass: 0, day: 6, place: 0 }])
    expect(
      datesIn(
        withReplan(
          full,
          replans(asked).find(({ option }) => option === 'shift')!,
          asked,
        ),
        0,
      ),
    ).toEqual(['Push 06', 'Pull 07', 'Push 08', 'Upper 10', 'Arms 11', 'Pull 12'])
    const ends = question({ today: plainDate('2026-04-09') }, floating)
    expect(replans(ends).find(({ option }) => option === 'shift')!.endsOn).toBe(
      addDays(expandedBlock(floating, context).to, 1),
    )
  })
  test('A-15: merged into the arm day up to the cap of the exposure', () => {
    const capped = {
      ...context,
      client: { ...context.client, sessionMax: { biceps: 8, triceps: 8 } },
    }
    const asked = question({ context: capped })
    const merge = merged(asked)!
    expect(merge.refilled).toHaveLength(1)
    expect(setsOf(merge.refilled[0]!.content)).toEqual(['cable_curl 8', 'pushdown_rope 8'])
    expect(replans(asked).find(({ option }) => option === 'merge')!.sets).toEqual([
      { group: 'biceps', kept: 2, of: 3 },
      { group: 'triceps', kept: 2, of: 3 },
    ])
  })
  test.each([
    // An arm or upper day takes arm work although it has none of that muscle; a leg day leaves it to the next that does.
    ['arms', 0, 1],
    ['upper', 0, 1],
    ['legs', 1, 0],
  ] as const)('after a day for %s: merged into rotation %d, day %d', (role, pass, at) => {
    const extensions = session('Other', 'pushdown_rope 3 x 10-12, rir 2')
    const squats = session('Other', 'leg_extension 3 x 10-12, rir 2')
    const of: PlanDocument = {
      ...plan,
      rotation: {
        ...plan.rotation,
        days: [
          day('pull', session('Curls', 'cable_curl 3 x 10-12, rir 2')),
          { role, sessions: [role === 'legs' ? squats : extensions] },
          ...Array.from({ length: 5 }, () => day('rest')),
        ],
      },
    }
    const asked = question(
      { missed: { pass: 0, day: 0, place: 0 }, today: plainDate('2026-04-06') },
      of,
    )
    expect(merged(asked)?.refilled).toMatchObject([{ pass, day: at }])
  })
  test('A-16: spread by readiness, two to each at most', () => {
    const hosts = (last: string) => [
      { key: last, readiness: 88 },
      { key: 'arms', readiness: 96 },
    ]
    expect([...spreadSets({ sets: 3, hosts: hosts('pull'), give: () => true })]).toEqual([
      ['arms', 2],
      ['pull', 1],
    ])
    expect([...spreadSets({ sets: 3, hosts: hosts('push'), give: key => key === 'push' })]).toEqual(
      [['push', 2]],
    )
  })
  test('A-17: the order', () => {
    const of = (
      option: Replan['option'],
      newCautions: number,
      kept: number,
      daysChanged: number,
    ) => ({ option, newStops: 0, newCautions, kept, daysChanged })
    expect(
      rankedReplans([
        of('shift', 1, 1, 2),
        of('merge', 0, 0.67, 1),
        of('drop', 1, 0, 0),
        of('spread', 0, 1, 3),
      ]).map(({ option }) => option),
    ).toEqual(['spread', 'merge', 'shift', 'drop'])
    expect(
      rankedReplans([{ ...of('spread', 0, 1, 1), newStops: 1 }, of('drop', 4, 0, 0)])[0]?.option,
    ).toBe('drop')
  })
  test('spread keeps sets on days that train the muscle, and the plan has them on their dates', () => {
    const asked = question()
    const found = replans(asked).find(({ option }) => option === 'spread')!
    expect(found.sets.every(({ kept, of }) => kept > 0 && kept <= of)).toBe(true)
    const before = expandedBlock(plan, context)
      .passes.flatMap(({ sessions }) => sessions)
      .reduce(
        (sum, { content }) =>
          sum + sessionSlots(content).reduce((own, { scheme }) => own + plannedSets(scheme), 0),
        0,
      )
    const after = expandedBlock(withReplan(plan, found, asked), context)
      .passes.flatMap(({ sessions }) => sessions)
      .reduce(
        (sum, { content }) =>
          sum + sessionSlots(content).reduce((own, { scheme }) => own + plannedSets(scheme), 0),
        0,
      )
    expect(after - before).toBe(found.sets.reduce((sum, { kept }) => sum + kept, 0))
  })
})

describe('a session that will be missed', () => {
  const ahead = question({ today: plainDate('2026-04-07') })
  test('it is taken out of its rotation, or moved on; days before it stay', () => {
    for (const one of replans(ahead)) {
      const left = datesIn(withReplan(plan, one, ahead), 0)
      expect(left.slice(0, 2)).toEqual(['Push 06', 'Pull 07'])
      expect(left.includes('Upper 09')).toBe(false)
      expect(left.some(words => words.startsWith('Upper'))).toBe(one.option === 'shift')
    }
  })
})

test('a muscle that is under its floor as it is has no sets to give: letting go is not put first', () => {
  const muscles = defaultContext({
    trainingAgeMonths: 60,
    modes: Object.fromEntries(GROUPS.map(group => [group, 'build' as const])),
  })
  const expanded = expandedBlock(decisionWeek(4, 3), muscles)
  const missed = expanded.passes[1]!.sessions[0]!
  const ways = replans({
    ...question(),
    expanded,
    missed,
    today: addDays(missed.on, 1),
    context: muscles,
  })
  expect(ways[0]).toMatchObject({ option: 'shift', kept: 1 })
  const [drop, shift] = (['drop', 'shift'] as const).map(
    wanted => ways.find(({ option }) => option === wanted)!.newCautions,
  )
  expect(drop).toBeGreaterThan(shift!)
})

describe('what is offered', () => {
  test('two missed: shift, let go, begin anew; the week begun anew is a rotation more, gone through whole', () => {
    const asked = question({ missedLately: 2 })
    const all = replans(asked)
    expect(new Set(all.map(({ option }) => option))).toEqual(new Set(['shift', 'drop', 'restart']))
    const restart = all.find(({ option }) => option === 'restart')!
    expect(restart.endsOn).toBe(addDays(expandedBlock(plan, context).to, 7))
    const later: PlanDocument = {
      ...plan,
      block: { deloads: [2], exceptions: [{ kind: 'rir', pass: 1, change: 1 }] },
    }
    const anew = withReplan(later, restart, asked)
    expect([anew.passes, anew.block?.deloads]).toEqual([4, [3]])
    expect(anew.block?.exceptions).toContainEqual({ kind: 'rir', pass: 2, change: 1 })
    // What is left of this one is left out; the next has all of it, done or not.
    expect(datesIn(anew, 0)).toEqual(['Push 06', 'Pull 07', 'Upper 09'])
    expect(datesIn(anew, 1)).toEqual(['Push 13', 'Pull 14', 'Upper 16', 'Arms 17'])
  })
  test('long past, or nothing ahead: it can be let go, and the plan stays', () => {
    const late = question({ today: plainDate('2026-04-24') })
    expect(replans(late).map(({ option }) => option)).toEqual(['drop'])
    expect(withReplan(plan, replans(late)[0]!, late)).toBe(plan)
    expect(replans(question({ missed: { pass: 9, day: 0, place: 0 } }))).toEqual([])
  })
  test('what is done already is neither moved nor filled', () => {
    const expanded = expandedBlock(plan, context)
    const sent = expanded.passes[0]!.sessions.map(
      ({ pass, day: at, place, on, name, content }) => ({
        pass,
        day: at,
        place,
        on,
        name,
        content,
        isDone: name === 'Arms',
        isOpened: true,
        setsDone: name === 'Arms' ? 12 : 0,
      }),
    )
    const found = replans(question({ expanded: issuedBlock(expanded, sent) }))
    for (const { moves, refilled } of found)
      for (const one of [...moves.slice(1), ...refilled])
        expect(one).not.toMatchObject({ pass: 0, day: 4 })
  })
})

test('whatever is missed, whenever: shares between nothing and all, no session twice, no day before today, and the plan always lays out', () => {
  const starts: readonly PlanDocument[] = [plan, floating]
  fc.assert(
    fc.property(
      fc.constantFrom(...starts),
      fc.nat({ max: 2 }),
      fc.nat({ max: 6 }),
      fc.nat({ max: 9 }),
      fc.constantFrom(1, 2),
      (of, pass, at, later, missedLately) => {
        const expanded = expandedBlock(of, context)
        const missed = expanded.passes[pass]?.sessions[at % expanded.passes[pass].sessions.length]
        if (!missed) return
        const today: PlainDate = addDays(missed.on, later)
        const asked = question({ missed, today, missedLately }, of)
        const all = replans(asked)
        expect(all.map(({ option }) => option)).toContain('drop')
        expect(new Set(all.map(({ option }) => option)).size).toBe(all.length)
        for (const one of all) {
          expect(REPLAN_OPTIONS).toContain(one.option)
          expect(one.kept).toBeGreaterThanOrEqual(0)
          expect(one.kept).toBeLessThanOrEqual(1)
          for (const { on } of one.moves) expect(on >= today).toBe(true)
          expect(new Set(one.moves.map(({ on }) => on)).size).toBe(one.moves.length)
          expect(expandedBlock(withReplan(of, one, asked), context).passes).toHaveLength(
            of.passes + Number(one.option === 'restart'),
          )
        }
      },
    ),
    { numRuns: 60 },
  )
})
