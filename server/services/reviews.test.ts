import { randomUUID } from 'node:crypto'
import { describe, expect, test } from '@jest/globals'
import { and, asc, eq } from 'drizzle-orm'
import { addDays, exerciseId, slotId } from '#core/base'
import { expandedBlock } from '#core/design/progress'
import { BUILT_IN_CATALOGUE, directGroups } from '#core/plan/catalogue'
import { contextWith } from '#core/plan/method'
import { leadRir, plannedSets } from '#core/plan/scheme'
import { sessionSlots } from '#core/plan/session'
import { capitalised, PAIN_ASKS, painNotices } from '#core/words'
import type { ReviewView } from '#shared/contracts/review'
import { currentTime } from '../clock'
import { database } from '../db/database'
import { exposures, logEntries } from '../db/schema'
import {
  problemOf,
  stranger,
  unitStudio,
  type UnitStudio,
  useTestDatabase,
  valueOf,
} from '../testing/database'
import { client } from './clients'
import {
  decide,
  history,
  reportPain,
  addMeasurement,
  removeMeasurement,
  recordClearance,
} from './history'
import { logList } from './log'
import { decidePace } from './pace'
import { makePractice } from './practice'
import { report } from './report'
import { chooseReplan, confirmValue, decideProposal, replansFor, review } from './review'
import { roster } from './roster'
import { trends } from './trendsPage'

useTestDatabase()

interface Ines extends UnitStudio {
  readonly id: ReturnType<UnitStudio['client']>['id']
}

async function ines(): Promise<Ines> {
  const studio = await unitStudio({ logsOf: ['Ines', 'Joren'] })
  return { ...studio, id: studio.client('Ines').id }
}

const seen = async ({ coach, id, today }: Ines): Promise<ReviewView> =>
  valueOf(await review(coach, id, 'latest', today))

const version = (view: ReviewView) => view.block.version

describe('a rotation reviewed', () => {
  test('shows plan beside log by muscle and exercise, and what was missed', async () => {
    const view = await seen(await ines())
    expect(view.review.muscles.length).toBeGreaterThan(3)
    expect(view.review.setsDone).toBeGreaterThan(0)
    expect(view.review.setsDone).toBeLessThan(view.review.setsDue)
    expect(view.missed.map(({ name }) => name)).toEqual(['Pull'])
    expect(view.open.length).toBeGreaterThan(0)
  })

  test('every readiness it tells is a percentage, and comes from sessions that were', async () => {
    const { review: told } = await seen(await ines())
    const shown = told.muscles.flatMap(({ readiness }) => [readiness.due, readiness.done])
    const evidence = told.adjustments.flatMap(one => one.evidence?.readiness ?? [])
    const all = [...shown.filter(value => value !== null), ...evidence]
    expect(all.length).toBeGreaterThan(5)
    for (const percent of all) {
      expect(percent).toBeGreaterThanOrEqual(0)
      expect(percent).toBeLessThanOrEqual(100)
    }
    // Somebody who has trained is not wholly fresh at every session.
    expect(Math.min(...all)).toBeLessThan(100)
  })

  test('a rotation that the block does not have is not found, nor is a stranger’s', async () => {
    const of = await ines()
    expect(problemOf(await review(of.coach, of.id, 99, of.today)).kind).toBe('not-found')
    expect(problemOf(await review(await stranger(), of.id, 'latest', of.today)).kind).toBe(
      'not-found',
    )
  })

  test('the first rotation can be looked at again', async () => {
    const of = await ines()
    const first = valueOf(await review(of.coach, of.id, 0, of.today))
    expect(first.review.pass).toBe(0)
    expect(first.review.from).toBe(of.client('Ines').plan.startsOn)
  })
})

describe('a proposal about sets', () => {
  async function joren() {
    const studio = await ines()
    const { id } = studio.client('Joren')
    const at = async (pass: number) => valueOf(await review(studio.coach, id, pass, studio.today))
    const take = async (pass: number, key: string, isOnce = false) => {
      const view = await at(pass)
      expect(view.open).toContain(key)
      const body = { key, decision: 'taken', isOnce, reason: '', version: version(view) } as const
      valueOf(await decideProposal(studio.coach, id, pass, body, studio.today))
    }
    const expanded = async () => {
      const { block, method, facts } = valueOf(await client(studio.coach, id))
      return expandedBlock(block!.plan, contextWith(method, facts))
    }
    return { studio, id, at, take, expanded }
  }
  const setsOf = ({ passes }: ReturnType<typeof expandedBlock>, exercises: readonly string[]) =>
    passes.map(({ sessions }) =>
      sessions
        .flatMap(({ content }) => sessionSlots(content))
        .filter(({ exercise }) => exercises.includes(exercise))
        .reduce((sum, { scheme }) => sum + plannedSets(scheme), 0),
    )
  const curls = (of: ReturnType<typeof expandedBlock>) =>
    setsOf(
      of,
      [...BUILT_IN_CATALOGUE.values()]
        .filter(({ intents }) => directGroups(intents[0].credits)[0] === 'biceps')
        .map(({ id }) => id),
    )

  test('taken, every rotation after it has it, with its reason; two rotations later the review comes back to it', async () => {
    const { at, take, expanded, id, studio } = await joren()
    const before = curls(await expanded())
    await take(2, 'A6 biceps sets -1')
    const after = curls(await expanded())
    expect(after).toEqual(before.map((sets, pass) => sets - (pass >= 3 && sets > 0 ? 1 : 0)))
    const { block } = valueOf(await client(studio.coach, id))
    expect(block!.plan.block?.changes).toEqual([
      {
        from: 3,
        group: 'biceps',
        change: -1,
        row: 'A6',
        on: studio.today,
        why: expect.stringMatching(/^Not recovered in \d of the last 3 answers\.$/),
      },
    ])
    expect((await at(3)).came).toEqual([])
    const [came, ...others] = (await at(4)).came
    expect(others).toEqual([])
    expect(came).toMatchObject({
      words: expect.stringMatching(/^Biceps: 1 set fewer/),
      expected: 'Expected: recovered in two of the last three answers, after 2 rotations',
      came: expect.stringMatching(
        /^(As expected|Not as expected): recovered in \d of the last 3 answers$/,
      ),
    })
    // One rotation after it the same is not proposed again.
    const biceps = (await at(3)).review.adjustments.find(({ group }) => group === 'biceps')
    expect(biceps?.row === 'A6').toBe(false)
  })

  test('for the next rotation only it is that one’s, and the plan is as before after it', async () => {
    const { take, expanded, studio, id } = await joren()
    const before = curls(await expanded())
    await take(2, 'A6 biceps sets -1', true)
    expect(curls(await expanded())).toEqual(before.map((sets, pass) => sets - (pass === 3 ? 1 : 0)))
    expect(valueOf(await client(studio.coach, id)).block!.plan.block?.changes).toBeUndefined()
  })

  test('more in reserve for the triceps touches what the triceps leads, says so, and leaves the rest alone', async () => {
    const { at, take, expanded } = await joren()
    const [before, view] = [await expanded(), await at(1)]
    const { evidence } = view.review.adjustments.find(({ row }) => row === 'A5')!
    await take(1, 'A5 triceps rir 1')
    const after = await expanded()
    const rirs = ({ passes }: typeof before, pass: number) =>
      new Map(
        passes[pass]!.sessions.flatMap(({ content }) =>
          sessionSlots(content).map(slot => [
            slot.id,
            [
              slot.exercise as string,
              leadRir(slot.scheme.runs.find(({ role }) => role === 'working')!),
            ] as const,
          ]),
        ),
      )
    const changed = [...rirs(after, 2)].filter(
      ([slot, [, rir]]) => rir !== rirs(before, 2).get(slot)?.[1],
    )
    expect(changed.length).toBeGreaterThan(0)
    expect([...new Set(changed.map(([, [exercise]]) => exercise))].sort()).toEqual(
      [...evidence!.led!].sort(),
    )
    expect(rirs(after, 3)).toEqual(rirs(before, 3))
    expect((await at(1)).decisions[0]?.words).toMatch(
      /^Triceps: same sets, one more rep in reserve \(.+\)$/,
    )
  })
})

describe('a proposal', () => {
  test('taken, it is one save of the plan and stands under what was decided, with who', async () => {
    const of = await ines()
    const before = await seen(of)
    const key = before.open.find(open => open.startsWith('E')) ?? before.open[0]!
    const body = {
      key,
      isOnce: false,
      decision: 'taken',
      reason: '',
      version: version(before),
    } as const
    const { version: next } = valueOf(
      await decideProposal(of.coach, of.id, 'latest', body, of.today),
    )
    const after = await seen(of)
    expect(version(after)).toBe(next)
    expect(next).toBe(version(before) + 1)
    expect(after.decisions[0]).toMatchObject({
      key,
      decision: 'taken',
      by: 'Test Coach',
      version: next,
    })
    expect(after.open).not.toContain(key)
  })

  test('refused, the plan stays and the reason is kept', async () => {
    const of = await ines()
    const before = await seen(of)
    const [key] = before.open
    const body = {
      key: key!,
      decision: 'refused',
      isOnce: false,
      reason: 'She rows on Sunday.',
      version: version(before),
    } as const
    valueOf(await decideProposal(of.coach, of.id, 'latest', body, of.today))
    const after = await seen(of)
    expect(version(after)).toBe(version(before))
    expect(after.decisions[0]).toMatchObject({ decision: 'refused', reason: 'She rows on Sunday.' })
    expect(after.open).not.toContain(key)
  })

  test('that the log does not support, or from an older plan, changes nothing', async () => {
    const of = await ines()
    const before = await seen(of)
    const unknown = {
      key: 'A1 nobody',
      isOnce: false,
      decision: 'taken',
      reason: '',
      version: 1,
    } as const
    expect(
      problemOf(await decideProposal(of.coach, of.id, 'latest', unknown, of.today)),
    ).toMatchObject({
      kind: 'invalid',
      errors: [{ pointer: '/key' }],
    })
    const key = before.open.find(open => open.startsWith('E')) ?? before.open[0]!
    const old = { key, isOnce: false, decision: 'taken', reason: '', version: 99 } as const
    expect(problemOf(await decideProposal(of.coach, of.id, 'latest', old, of.today)).kind).toBe(
      'stale-version',
    )
    expect((await seen(of)).decisions).toEqual([])
  })
})

describe('a missed session', () => {
  test.each(['shift', 'merge', 'spread', 'drop'] as const)(
    '%s: decided, kept, and nobody asks about it again',
    async option => {
      const of = await ines()
      const before = await seen(of)
      const [missed] = before.missed
      const offered = before.replans.map(one => one.option)
      expect(offered).toContain(option)
      const body = { session: missed!.id, option, version: version(before) }
      valueOf(await chooseReplan(of.coach, of.id, 'latest', body, of.today))
      const after = await seen(of)
      expect(after.missed).toEqual([])
      expect(after.decisions[0]?.words).toMatch(/^Missed Pull/)
      const past = valueOf(await history(of.coach, of.id, of.today)).sessions
      expect(past.find(({ id }) => id === missed!.id)?.state).toBe('decided')
      const entry = (await roster(of.coach, of.today)).clients.find(one => one.id === of.id)
      expect(entry?.needs.some(({ kind }) => kind === 'missed_session')).toBe(false)
    },
  )

  test('a way that is not offered is refused with what to do', async () => {
    const of = await ines()
    const before = await seen(of)
    expect(before.replans.map(one => one.option)).not.toContain('restart')
    const body = { session: before.missed[0]!.id, option: 'restart', version: 1 } as const
    expect(problemOf(await chooseReplan(of.coach, of.id, 'latest', body, of.today))).toMatchObject({
      errors: [{ pointer: '/option' }],
    })
  })

  test('one that lies ahead can be laid out before it is missed', async () => {
    const of = await ines()
    const { ahead } = await seen(of)
    const asked = await replansFor(of.coach, of.id, 'latest', ahead.at(-1)!.id, of.today)
    expect(valueOf(asked).replans.length).toBeGreaterThan(0)
    const nobody = await replansFor(of.coach, of.id, 'latest', of.id, of.today)
    expect(problemOf(nobody).kind).toBe('not-found')
  })

  test('let go on the history page, the log and the roster hear of it', async () => {
    const of = await ines()
    const { missed } = await seen(of)
    valueOf(await decide(of.coach, of.id, missed[0]!.id, 'let_go'))
    const listed = valueOf(await logList(of.coach, of.id, of.today)).sessions
    expect(listed.find(({ id }) => id === missed[0]!.id)?.state).toBe('decided')
    expect(problemOf(await decide(await stranger(), of.id, missed[0]!.id, 'let_go')).kind).toBe(
      'not-found',
    )
  })
})

describe('an estimate that was questioned', () => {
  test('one that was not is refused', async () => {
    const of = await ines()
    const value = { exercise: 'cable_curl', on: of.today, value: 1 } as never
    expect(problemOf(await confirmValue(of.coach, of.id, 'latest', value, of.today))).toMatchObject(
      {
        errors: [{ pointer: '/value' }],
      },
    )
  })
})

describe('the rate of recovery', () => {
  test('set by the coach is in force, told with who, and can be put back', async () => {
    const of = await ines()
    const slow = { group: 'triceps', decision: { kind: 'set', pace: 1.4 } } as const
    valueOf(await decidePace(of.coach, of.id, slow, of.today))
    expect(valueOf(await client(of.coach, of.id)).facts.recoveryPace).toEqual({ triceps: 1.4 })
    const row = (await seen(of)).paces.find(({ group }) => group === 'triceps')
    expect(row).toMatchObject({ inForce: 1.4, by: 'coach' })
    const usual = { group: 'triceps', decision: { kind: 'usual' } } as const
    valueOf(await decidePace(of.coach, of.id, usual as never, of.today))
    expect(valueOf(await client(of.coach, of.id)).facts.recoveryPace?.triceps ?? 1).toBe(1)
  })

  test('is one’s own clients’', async () => {
    const of = await ines()
    const slow = { group: 'triceps', decision: { kind: 'set', pace: 1.4 } } as const
    expect(problemOf(await decidePace(await stranger(), of.id, slow, of.today)).kind).toBe(
      'not-found',
    )
  })
})

describe('pain, clearances and measurements', () => {
  const hurt = {
    joint: 'wrist',
    side: 'left',
    score: 4,
    nextMorning: null,
    hasAlarmSign: false,
  } as const

  test('a report reaches the history and the roster; a clearance stands beside it', async () => {
    const of = await ines()
    valueOf(await reportPain(of.coach, of.id, { on: of.today, ...hurt } as never, of.today))
    const { joints } = valueOf(await history(of.coach, of.id, of.today))
    expect(joints.find(({ joint }) => joint === 'wrist')?.level).toBe('hold')
    const entry = (await roster(of.coach, of.today)).clients.find(one => one.id === of.id)
    expect(entry?.needs[0]?.kind).toBe('pain')
    const cleared = { joint: 'wrist', on: of.today, profession: 'Physiotherapist', limits: '' }
    valueOf(await recordClearance(of.coach, of.id, cleared as never, of.today))
    const after = valueOf(await history(of.coach, of.id, of.today)).joints
    expect(after.find(({ joint }) => joint === 'wrist')?.clearance?.profession).toBe(
      'Physiotherapist',
    )
  })

  test('a stop that was cleared leaves a joint on its way back', async () => {
    const of = await ines()
    const stop = { on: of.today, ...hurt, score: 8 }
    valueOf(await reportPain(of.coach, of.id, stop as never, of.today))
    expect(valueOf(await client(of.coach, of.id)).facts.pain?.wrist).toBe('stop')
    const cleared = { joint: 'wrist', on: of.today, profession: 'Physiotherapist', limits: '' }
    valueOf(await recordClearance(of.coach, of.id, cleared as never, of.today))
    const { facts } = valueOf(await client(of.coach, of.id))
    expect(facts.pain?.wrist).toBeUndefined()
    expect(facts.returning).toEqual({ wrist: 1 })
    expect(painNotices(facts).map(({ words }) => words)).toContainEqual(
      expect.stringContaining('week 1 of the way back'),
    )
  })

  test('a report of today stands in every review, and board and roster tell the same of it', async () => {
    const of = await ines()
    const before = valueOf(await review(of.coach, of.id, 0, of.today))
    expect(before.review.to < of.today).toBe(true)
    valueOf(await reportPain(of.coach, of.id, { on: of.today, ...hurt } as never, of.today))
    const after = valueOf(await review(of.coach, of.id, 0, of.today))
    expect(after.pains).toHaveLength(before.pains.length + 1)
    const { facts } = valueOf(await client(of.coach, of.id))
    const entry = (await roster(of.coach, of.today)).clients.find(one => one.id === of.id)
    const [need] = entry?.needs ?? []
    const [notice] = painNotices(facts)
    expect(notice).toMatchObject({ joint: 'wrist', level: facts.pain?.wrist })
    expect(need?.headline).toBe(`Pain ${facts.lastPain?.wrist?.score} of 10: wrist, left`)
    expect(notice?.words).toContain(`${facts.lastPain?.wrist?.score} of 10`)
    // One sentence for one level, on the roster as on the board.
    expect(need?.detail).toContain(capitalised(PAIN_ASKS[notice!.level]))
    expect(notice?.words).toContain(PAIN_ASKS[notice!.level])
  })

  test('nothing is recorded for the day after tomorrow', async () => {
    const of = await ines()
    const on = addDays(of.today, 2)
    const results = [
      await reportPain(of.coach, of.id, { on, ...hurt } as never, of.today),
      await addMeasurement(of.coach, of.id, { on, kind: 'waist', value: 80 }, of.today),
    ]
    for (const result of results)
      expect(problemOf(result)).toMatchObject({ errors: [{ pointer: '/on' }] })
  })

  test('a measurement is added and removed, by its own coach alone', async () => {
    const of = await ines()
    const waist = { on: of.today, kind: 'waist', value: 80.5 } as const
    valueOf(await addMeasurement(of.coach, of.id, waist, of.today))
    const { measurements } = valueOf(await history(of.coach, of.id, of.today))
    const added = measurements.find(({ kind }) => kind === 'waist')
    expect(added?.value).toBe(80.5)
    const other = await stranger()
    expect(problemOf(await removeMeasurement(other, of.id, added!.id)).kind).toBe('not-found')
    expect(problemOf(await addMeasurement(other, of.id, waist, of.today)).kind).toBe('not-found')
    valueOf(await removeMeasurement(of.coach, of.id, added!.id))
    const after = valueOf(await history(of.coach, of.id, of.today)).measurements
    expect(after.some(({ kind }) => kind === 'waist')).toBe(false)
  })
})

describe('trends, report, practice', () => {
  test('trends have a course for each exercise done often enough, with its band', async () => {
    const of = await ines()
    const view = valueOf(await trends(of.coach, of.client('Joren').id, of.today))
    expect(view.exercises.length).toBeGreaterThan(3)
    for (const { points } of view.exercises) {
      const days = points.map(({ on }) => on)
      expect([...days].sort()).toEqual(days)
      expect(days.every(on => on <= of.today)).toBe(true)
    }
    expect(problemOf(await trends(await stranger(), of.id, of.today)).kind).toBe('not-found')
  })

  test('the report counts the sessions that the review counts', async () => {
    const of = await ines()
    const told = valueOf(await report(of.coach, of.id, of.today))
    expect(told.sessionsDone).toBeLessThan(told.sessionsDue)
    expect(told.setsDone).toBeLessThanOrEqual(told.setsDue)
    const past = valueOf(await history(of.coach, of.id, of.today)).sessions
    const inBlock = past.filter(({ on }) => on >= told.from && on < of.today)
    expect(told.sessionsDone).toBe(inBlock.filter(({ state }) => state === 'done').length)
    expect(told.sessionsDue).toBeGreaterThanOrEqual(inBlock.length)
    expect(problemOf(await report(await stranger(), of.id, of.today)).kind).toBe('not-found')
  })

  test('a block that is behind is told as it ended: what was lifted and measured later is no work of it', async () => {
    const of = await ines()
    const running = valueOf(await report(of.coach, of.id, of.today))
    const later = addDays(running.to, 60)
    for (const [on, value] of [
      [running.from, 84],
      [running.to, 83],
      [later, 79],
    ] as const)
      valueOf(await addMeasurement(of.coach, of.id, { on, kind: 'waist', value }, later))
    const told = valueOf(await report(of.coach, of.id, later))
    expect(told.measured.find(({ kind }) => kind === 'waist')).toMatchObject({ last: 83 })
    for (const { points } of told.exercises)
      for (const { on } of points) expect(on <= told.to).toBe(true)
  })

  test('a practice client is marked as simulated, has weeks of log and no pain of the real one', async () => {
    const of = await ines()
    const { id } = valueOf(await makePractice(of.coach, of.id, of.today))
    const made = valueOf(await client(of.coach, id))
    expect([made.name, made.about]).toEqual([
      expect.stringMatching(/^Practice: Ines/),
      'Simulated, not a person',
    ])
    expect(made.facts.pain).toBeUndefined()
    const past = valueOf(await history(of.coach, id, of.today)).sessions
    expect(past.filter(({ state }) => state === 'done').length).toBeGreaterThan(3)
    expect(problemOf(await makePractice(await stranger(), of.id, of.today)).kind).toBe('not-found')
  })
})

describe('the roster', () => {
  test('has every client once, the pressing ones first, with the strip of their rotation', async () => {
    const of = await ines()
    const { clients } = await roster(of.coach, of.today)
    expect(clients).toHaveLength(of.clients.length)
    const order = clients.map(({ section }) => ['now', 'week', 'steady', 'later'].indexOf(section))
    expect([...order].sort((a, b) => a - b)).toEqual(order)
    for (const { block } of clients) expect(block?.days.length).toBeGreaterThan(0)
  })

  test('knows a client’s next session, today or later', async () => {
    const of = await ines()
    const { clients } = await roster(of.coach, of.today)
    const next = clients.find(one => one.id === of.id)?.next
    expect(next && next.on >= of.today).toBe(true)
  })

  test('of a coach without clients is empty', async () => {
    const { today } = await ines()
    expect((await roster(await stranger(), today)).clients).toEqual([])
  })
})

test('a set-up said on two days begins a new line of the trend, for this client and exercise only', async () => {
  const of = await ines()
  const db = database()
  const [busiest] = valueOf(await trends(of.coach, of.id, of.today)).exercises
  const exercise = exerciseId(busiest!.exercise)
  const done = await db
    .select({ session: exposures.sessionId, on: exposures.on })
    .from(exposures)
    .where(and(eq(exposures.clientId, of.id), eq(exposures.exercise, exercise)))
    .orderBy(asc(exposures.on))
  const [first, later] = [done[0]!, done[3]!]
  const said = (session: string, bench: number) => ({
    coachId: of.coach.id,
    id: randomUUID(),
    clientId: of.id,
    sessionId: session,
    author: 'client' as const,
    at: currentTime(),
    receivedAt: currentTime(),
    word: { kind: 'set_up' as const, slot: slotId('s'), exercise, setUp: { bench } },
    outcome: 'taken' as const,
  })
  await db.insert(logEntries).values([said(first.session, 30), said(later.session, 60)])
  const { exercises } = valueOf(await trends(of.coach, of.id, of.today))
  expect(exercises.find(one => one.exercise === exercise)?.setUps).toEqual([
    { on: later.on, words: 'bench 60°' },
  ])
  expect(exercises.filter(({ setUps }) => setUps.length > 0)).toHaveLength(1)
})
