import { beforeEach, describe, expect, test } from '@jest/globals'
import { addDays, plainDate } from '#core/base'
import type { BlockPlan, PlanDocument } from '#core/plan/block'
import type { SentSession } from '#core/design/progress'
import { planIn, written } from '#core/testing/shorthandPlans'
import type { Asked } from '~/testing/framework'
import { provideGlobally } from '~/testing/framework'
import { formatDay, formatOneDecimal } from '#core/words'
import { planScreen, TODAY } from '~/testing/planScreen'
import { heldRows } from './blockRows'

const rest = { ...written('rest'), sessions: [] }
const plan: PlanDocument = {
  ...planIn(
    7,
    written('push', 'bench_press_dumbbell 4 x 8, rir 2', 'pushdown_rope 3 x 12, rir 1'),
    rest,
    written('arms', 'cable_curl 4 x 12, rir 1', 'overhead_extension_rope 3 x 12, rir 1'),
    rest,
    written('upper', 'pulldown_neutral 3 x 10, rir 2', 'hammer_curl 2 x 12, rir 1'),
  ),
  startsOn: plainDate('2026-03-30'),
  passes: 4,
}

/** What the server has: what was sent, and what it says to sending. */
const server = { sent: [] as SentSession[], sending: null as unknown }

async function answering({ path, method, body }: Asked): Promise<unknown> {
  if (path.endsWith('/sent')) return { ok: true, value: { sent: server.sent } }
  if (path.endsWith('/link')) return { ok: true, value: { link: null } }
  if (path.endsWith('/send')) return server.sending ?? { ok: true, value: { sessions: 3 } }
  if (method === 'PUT') {
    const { version } = body as { version: number }
    return { ok: true, value: { version: version + 1, savedAt: '2026-04-02T08:00:00.000Z' } }
  }
  return { ok: true, value: {} }
}

async function opened(block: BlockPlan = {}, of = plan) {
  const { store, asked } = await planScreen(
    { ...of, block },
    { facts: { modes: { biceps: 'build', triceps: 'build' } }, answering },
  )
  const { useIssuedStore } = await import('~/stores/issued')
  provideGlobally({ useIssuedStore })
  const issued = useIssuedStore()
  await issued.load()
  const { useBlock } = await import('./useBlock')
  return { store, issued, asked, of: useBlock() }
}
type Opened = Awaited<ReturnType<typeof opened>>

/** Sessions of a rotation as they were sent. */
function sentOf({ issued }: Opened, pass: number, more: Partial<SentSession> = {}): SentSession[] {
  return issued.expanded!.passes[pass]!.sessions.map(({ day, place, on, name, content }) => ({
    pass,
    day,
    place,
    on,
    name,
    content,
    isDone: false,
    isOpened: false,
    setsDone: 0,
    ...more,
  }))
}

let page: Opened
beforeEach(async () => {
  Object.assign(server, { sent: [], sending: null })
  page = await opened()
})

describe('what is shown', () => {
  test('a column for each rotation with its dates, sets and state', () => {
    const { columns, weeks, todayShare } = page.of
    expect(
      columns.value.map(({ number, state, isNow, sets }) => [number, state, isNow, sets]),
    ).toEqual([
      [1, 'planned', true, 19],
      [2, 'planned', false, 19],
      [3, 'planned', false, 19],
      [4, 'planned', false, 19],
    ])
    expect(weeks.value.map(({ number, from }) => [number, from])).toEqual([
      [1, 0],
      [2, 0.25],
      [3, 0.5],
      [4, 0.75],
    ])
    // The fourth day of twenty-eight.
    expect(todayShare.value).toBeCloseTo(3.5 / 28)
  })

  test('a block that is over or not begun has no today on it', async () => {
    const { of } = await opened({}, { ...plan, startsOn: addDays(plainDate(TODAY), 1) })
    expect(of.todayShare.value).toBeNull()
  })

  test('sets of each arm muscle, direct and indirect, with how the peak stands to the ceiling', () => {
    const biceps = page.of.rails.value.find(({ group }) => group === 'biceps')!
    const [cell] = biceps.cells
    const ledger = page.of.verdict.value!.passes[0]!.ledger.groups.biceps.week
    expect(cell).toMatchObject({
      direct: ledger.direct.value,
      counted: ledger.counted.value,
      isDone: false,
      isException: false,
    })
    expect(biceps.isOver).toBe(false)
    expect(biceps.room).toMatch(/^peak [\d.]+ below the ceiling$/)
  })

  test('the rest of the body in bundles, each set counted once', () => {
    const chest = page.of.bodyRails.value.find(({ id }) => id === 'chest')!
    expect(chest.cells.map(({ sets }) => sets)).toEqual([4, 4, 4, 4])
    expect(page.of.bodyRails.value.map(({ id }) => id)).not.toContain('abs')
  })

  test.each([
    ['sent', {}, 'sent'],
    ['done throughout', { isDone: true, setsDone: 6 }, 'done'],
  ] as const)('a rotation that is %s', async (_, more, state) => {
    server.sent = sentOf(page, 0, more)
    const { of } = await opened()
    expect(of.columns.value[0]).toMatchObject({
      state,
      isSent: true,
      done: 'setsDone' in more ? 18 : 0,
    })
    expect(of.columns.value[1]).toMatchObject({ state: 'planned', isSent: false })
  })

  test('one session done is under way; one edited since sent says so first', async () => {
    const [first, ...others] = sentOf(page, 0)
    server.sent = [{ ...first!, isDone: true, setsDone: 7 }, ...others]
    const { of, store } = await opened()
    expect(of.columns.value[0]?.state).toBe('under way')
    const slot = store.plan!.rotation.days[2]!.sessions[0]!.groupings[0]!.slots[0]
    store.edit({ kind: 'add_sets', slot: slot.id, count: 1 })
    expect(of.columns.value[0]?.state).toBe('edited since sent')
  })

  test('the line of the selected rotation says what it is, and how it differs from the one before', async () => {
    const { of } = page
    expect(of.readout.value).toMatch(/^Rotation 1, planned · 19 sets, \d+ min · Biceps /)
    of.stepSets(1)
    of.go({ passes: 1, rails: 0 })
    expect(of.readout.value).toContain('1 set fewer than rotation 1')
    of.go({ passes: -1, rails: 0 })
    expect(of.readout.value).toContain('Biceps +1 set')
  })

  test('walking stays on the page, and forgets what was said', () => {
    const { of } = page
    of.message.value = 'something'
    of.go({ passes: 99, rails: 99 })
    expect([of.at.value, of.groupAt.value, of.message.value]).toEqual([3, 3, ''])
    of.go({ passes: -99, rails: -99 })
    expect([of.at.value, of.groupAt.value]).toEqual([0, 0])
  })
})

describe('what a rotation does otherwise', () => {
  test('sets more and fewer are one exception, and none when they are even again', () => {
    const { of, store } = page
    of.stepSets(1)
    of.stepSets(1)
    expect(store.plan?.block?.exceptions).toEqual([
      { kind: 'sets', pass: 0, group: 'biceps', change: 2 },
    ])
    expect(of.message.value).toBe('Biceps in rotation 1: +2 sets, an exception')
    expect(of.rails.value[0]?.cells[0]?.isException).toBe(true)
    of.stepSets(-1)
    of.stepSets(-1)
    expect(store.plan?.block?.exceptions ?? []).toEqual([])
    expect(of.message.value).toBe('Biceps in rotation 1: as the block has it')
  })

  test('reps in reserve likewise', () => {
    const { of, store } = page
    of.stepRir(-1)
    expect(store.plan?.block?.exceptions).toEqual([{ kind: 'rir', pass: 0, change: -1 }])
    expect(of.message.value).toBe('Reps in reserve in rotation 1: −1, an exception')
  })

  test('an easier rotation has a channel of its own, and is a working one again', () => {
    const { of, store } = page
    const usual = of.rails.value[0]!.cells[3]!.band
    of.go({ passes: 3, rails: 0 })
    of.toggleDeload()
    expect(store.plan?.block?.deloads).toEqual([3])
    expect(of.columns.value[3]).toMatchObject({ isDeload: true, state: 'deload' })
    expect(of.columns.value[3]!.sets).toBeLessThan(19)
    expect(of.rails.value[0]!.cells[3]!.band.target).toBeLessThan(usual.target)
    of.toggleDeload()
    expect(of.message.value).toBe('Rotation 4 is a working one again.')
    expect(of.rails.value[0]!.cells[3]!.band).toEqual(usual)
  })

  test('is copied to the next rotation, and cleared', () => {
    const { of, store } = page
    of.stepSets(1)
    of.stepRir(1)
    of.copyToNext()
    expect(of.at.value).toBe(1)
    expect(store.plan?.block?.exceptions?.map(({ kind, pass }) => [kind, pass])).toEqual([
      ['sets', 0],
      ['rir', 0],
      ['sets', 1],
      ['rir', 1],
    ])
    of.clearExceptions()
    expect(store.plan?.block?.exceptions?.map(({ pass }) => pass)).toEqual([0, 0])
    of.clearExceptions()
    expect(of.message.value).toBe('There is no exception here.')
    of.go({ passes: 9, rails: 0 })
    of.copyToNext()
    expect(of.message.value).toBe('There is nothing to copy here.')
  })

  test('a change of the muscle in hand holds from here on, and is ended from a later rotation on', () => {
    const { of, store } = page
    const plain = { ...of.proposedHold.value }
    expect(plain).toEqual({ sets: 0, reps: 0, mode: 'build', why: '' })
    expect(of.hold(plain)).toMatch(/^Nothing is to change yet/)
    expect(of.hold({ ...plain, reps: 9 })).toMatch(/^Reps: give a whole number from −8 to 8/)
    expect(of.hold({ ...plain, sets: 0.5 })).toMatch(/^Sets: give a whole number/)
    const sets = () => of.columns.value.map(column => column.sets)
    const before = sets()
    of.go({ passes: 1, rails: 0 })
    of.stepSets(1)
    of.holdOn()
    expect(of.isHolding.value).toBe(true)
    expect(of.hold(of.proposedHold.value)).toBeUndefined()
    expect(of.isHolding.value).toBe(false)
    expect(of.message.value).toBe('Biceps +1 set from rotation 2 on.')
    expect(store.plan?.block?.exceptions ?? []).toEqual([])
    expect(sets()).toEqual(before.map((count, pass) => count + (pass >= 1 ? 1 : 0)))
    expect(of.columns.value.map(({ begins }) => begins.length)).toEqual([0, 1, 0, 0])
    of.go({ passes: 2, rails: 0 })
    const [row] = heldRows(store.plan!.block!.changes!, of.at.value)
    expect(row).toMatchObject({
      on: formatDay(plainDate(TODAY)),
      why: 'Set by hand.',
      canEnd: true,
    })
    of.endHeld(row!.held)
    expect(sets()).toEqual(before.map((count, pass) => count + (pass === 1 || pass === 2 ? 1 : 0)))
    expect(heldRows(store.plan!.block!.changes!, 3)[0]).toMatchObject({
      words: 'Biceps +1 set from rotation 2 to 3',
      canEnd: false,
    })
    store.undo()
    expect(sets()[3]).toBe(before[3]! + 1)
  })

  test('reps and what is wanted of a muscle hold from here on too, with why, as one step of undo', () => {
    const { of, store } = page
    const before = store.plan
    of.go({ passes: 1, rails: 0 })
    const why = 'Elbows want lighter weights'
    expect(of.hold({ sets: 0, reps: 2, mode: 'keep', why: ` ${why} ` })).toBeUndefined()
    expect(of.message.value).toBe(
      'Biceps +2 reps from rotation 2 on. Biceps: keep from rotation 2 on.',
    )
    expect(heldRows(store.plan!.block!.changes!, 1)).toMatchObject([{ why }, { why }])
    expect(of.columns.value[1]!.begins).toEqual(['Biceps +2 reps, holds', 'Biceps: keep, holds'])
    const bands = of.rails.value[0]!.cells.map(({ band }) => band.target)
    expect(new Set(bands.slice(1))).toEqual(new Set([bands[1]]))
    expect(bands[1]).toBeLessThan(bands[0]!)
    // What is said at the end of the row is about the rotation with the least room, by its own band.
    const { cells, room } = of.rails.value[0]!
    const rooms = cells.map(cell => cell.band.ceiling - cell.counted)
    expect(Math.min(...rooms)).toBeLessThan(cells[0]!.band.ceiling - cells[0]!.counted)
    expect(room).toBe(`peak ${formatOneDecimal(Math.min(...rooms))} below the ceiling`)
    of.go({ passes: 1, rails: 0 })
    expect(of.proposedHold.value.mode).toBe('keep')
    store.undo()
    expect(store.plan).toBe(before)
  })

  test('other exercises only where some take turns', () => {
    page.of.swapChoice()
    expect(page.of.message.value).toMatch(/^No exercises take turns yet/)
  })

  test('what needs a look is gone through, and goes to its rotation', async () => {
    const { of } = page
    for (let step = 0; step < 12; step++) of.stepSets(1)
    const { looks } = of
    expect(looks.value.length).toBeGreaterThan(0)
    expect(looks.value.length).toBeLessThanOrEqual(4)
    of.go({ passes: 3, rails: 0 })
    of.nextLook()
    expect(of.message.value).toBe(`${looks.value[0]!.what}: ${looks.value[0]!.much}`)
    if (looks.value[0]!.pass !== null) expect(of.at.value).toBe(looks.value[0]!.pass)
  })
})

describe('sending', () => {
  const sends = ({ asked }: Opened) => asked.filter(({ path }) => path.endsWith('/send'))

  test('gives the client the rotation that is selected', async () => {
    page.of.go({ passes: 1, rails: 0 })
    await page.of.send()
    expect(sends(page)).toMatchObject([{ method: 'POST', body: { pass: 1, again: false } }])
    expect(page.of.message.value).toBe('Rotation 2 is sent: 3 sessions.')
    // Nobody has a phone to find it on yet.
    expect(page.of.isHandingOver.value).toBe(true)
    expect(page.of.isSending.value).toBe(false)
  })

  test('what she has is replaced only when the coach says so', async () => {
    server.sent = sentOf(page, 0)
    page = await opened()
    await page.of.send()
    expect(page.of.isAskingAgain.value).toBe(true)
    expect(sends(page)).toEqual([])
    await page.of.send(true)
    expect(sends(page)).toMatchObject([{ body: { pass: 0, again: true } }])
    expect(page.of.isAskingAgain.value).toBe(false)
  })

  test('sent from elsewhere meanwhile: it asks', async () => {
    server.sending = {
      ok: false,
      error: { kind: 'refused', problem: { type: '/problems/already-sent', detail: '' } },
    }
    await page.of.send()
    expect([page.of.isAskingAgain.value, page.of.message.value]).toEqual([true, ''])
  })

  test.each([
    [{ kind: 'unreachable' }, 'Not sent. The server did not answer. Try again.'],
    [
      { kind: 'refused', problem: { type: '/problems/x', detail: 'The plan is older.' } },
      'Not sent. The plan is older.',
    ],
    [
      {
        kind: 'refused',
        problem: { type: '/problems/x', detail: 'no', errors: [{ detail: 'Title: is missing.' }] },
      },
      'Not sent. Title: is missing.',
    ],
  ])('what goes wrong is said: %#', async (error, words) => {
    server.sending = { ok: false, error }
    await page.of.send()
    expect([page.of.isAskingAgain.value, page.of.message.value]).toEqual([false, words])
  })
})

describe('the calendar', () => {
  async function calendar() {
    const { useBlockCalendar } = await import('./useBlockCalendar')
    const of = useBlockCalendar()
    const days = () => of.weeks.value.flat()
    const on = (date: string) => days().find(day => day.date === date)
    return { of, on, days }
  }
  const [monday, wednesday] = ['2026-03-30', '2026-04-01']

  test('has the weeks of the block, its sessions on their days, and today', async () => {
    const { of, on, days } = await calendar()
    // Whole weeks, each day once, from the Monday of the first to the Sunday of the last.
    const dates = days().map(({ date }) => date)
    expect(dates.length % 7).toBe(0)
    expect(new Date(dates[0]!).getUTCDay()).toBe(1)
    expect(new Set(dates).size).toBe(dates.length)
    expect(dates).toEqual([...dates].sort())
    expect(days().flatMap(({ label, isMonthStart }) => (isMonthStart ? [label] : []))).toEqual([
      `${Number(dates[0]!.slice(8))} Mar`,
      '1 Apr',
    ])
    expect(of.weeks.value.every(week => week.some(({ isInBlock }) => isInBlock))).toBe(true)
    expect(on(monday)?.entries.map(({ name, sets }) => [name, sets])).toEqual([['Push', 7]])
    expect(days().filter(({ isToday }) => isToday)).toMatchObject([{ date: TODAY }])
    const entries = days().flatMap(day => day.entries)
    expect(entries).toHaveLength(12)
  })

  test('a session is carried by keys, says what that changes, and is put down as one exception', async () => {
    const { of, on } = await calendar()
    const { key } = on(wednesday)!.entries[0]!
    of.lift(key)
    expect(of.consequences.value).toEqual([])
    of.carryBy(-1)
    expect(of.heldWords.value).toMatch(/^Arms of rotation 1: .* → /)
    expect(of.consequences.value[0]).toBe('This day is past')
    expect(of.consequences.value.length).toBeGreaterThan(1)
    of.putDown()
    expect(of.message.value).toMatch(/^Arms of rotation 1 is on .* now, 1 day earlier\.$/)
    expect(page.store.plan?.block?.exceptions).toMatchObject([
      { kind: 'moved', pass: 0, day: 2, on: '2026-03-31' },
    ])
    expect(on('2026-03-31')?.entries[0]).toMatchObject({ name: 'Arms', isMoved: true })
    // Back on its own day there is no exception left.
    of.lift(key)
    of.carryTo(plainDate(wednesday))
    of.putDown()
    expect(page.store.plan?.block?.exceptions ?? []).toEqual([])
  })

  test('put back, nothing is changed', async () => {
    const { of, on } = await calendar()
    of.lift(on(monday)!.entries[0]!.key)
    of.carryBy(3)
    of.putBack()
    of.putDown()
    expect([of.carried.value, page.store.plan?.block?.exceptions ?? []]).toEqual([null, []])
    of.lift('nothing like it')
    expect(of.carried.value).toBeNull()
  })

  test('what is done stays where it was', async () => {
    server.sent = sentOf(page, 0, { isDone: true, setsDone: 7 })
    page = await opened()
    const { of, on } = await calendar()
    of.lift(on(monday)!.entries[0]!.key)
    expect(of.carried.value).toBeNull()
    expect(of.message.value).toMatch(/^Push on .* is done and stays where it was\.$/)
  })
})

describe('the next block', () => {
  async function next() {
    const { useNextBlock } = await import('./useNextBlock')
    return useNextBlock()
  }
  test('begins on the day after this one, with the muscles that are trained', async () => {
    const of = await next()
    expect(of.startsOn.value).toBe('2026-04-27')
    expect(of.overlaps.value).toBe(false)
    of.startsOn.value = '2026-04-26'
    expect(of.overlaps.value).toBe(true)
    expect(of.rows.map(({ group }) => group)).toEqual(expect.arrayContaining(['biceps', 'chest']))
    expect(of.modes.biceps).toBe('build')
  })

  test.each([
    ['', '2026-04-27', 8, /^Title/],
    ['Summer', '2026-02-30', 8, /^Starts on/],
    ['Summer', '2026-04-27', 1, /^Weeks/],
    ['Summer', '2026-04-27', 17, /^Weeks/],
    ['Summer', '2026-04-27', 2.5, /^Weeks/],
  ])('“%s” from %s for %d weeks is refused with the field', async (title, from, weeks, words) => {
    const of = await next()
    Object.assign(of.title, { value: title })
    of.startsOn.value = from
    of.weeks.value = weeks
    expect(await of.begin()).toBe(false)
    expect(of.problem.value).toMatch(words)
    expect(page.asked.some(({ path }) => path.endsWith('/next'))).toBe(false)
  })

  test('is asked for with what the coach changed, and no more', async () => {
    const of = await next()
    of.title.value = 'Summer'
    of.modes.biceps = 'maintain'
    expect(await of.begin()).toBe(true)
    const { body } = page.asked.find(({ path }) => path.endsWith('/next'))!
    expect(body).toMatchObject({
      title: 'Summer',
      weeks: 8,
      from: 'first',
      modes: { biceps: 'maintain' },
    })
  })
})

describe('something tried out', () => {
  const trial = {
    what: ' Arm day ',
    from: '2026-03-30',
    weeks: 4,
    groups: ['triceps', 'biceps'],
  } as const

  test('begins with the muscle and the rotation in hand, stands in the plan, and is put away', () => {
    expect(page.of.proposedTrial.value).toEqual({
      what: '',
      from: '2026-03-30',
      weeks: 4,
      groups: [page.of.group.value],
    })
    page.of.isTrying.value = true
    expect(page.of.begin(trial)).toBeUndefined()
    expect(page.of.isTrying.value).toBe(false)
    expect(page.store.plan!.block!.trials).toEqual([
      { what: 'Arm day', from: '2026-03-30', weeks: 4, groups: ['biceps', 'triceps'] },
    ])
    expect(page.of.trialRows.value).toMatchObject([
      { words: 'Arm day: biceps, triceps, 4 weeks to Sun 26 Apr', isOver: false },
    ])
    page.of.putAway(page.store.plan!.block!.trials![0]!)
    expect(page.of.trialRows.value).toEqual([])
    page.store.undo()
    expect(page.of.trialRows.value).toHaveLength(1)
  })

  test('one that is over says so', () => {
    page.of.begin({ ...trial, from: '2026-02-02', weeks: 4 })
    expect(page.of.trialRows.value).toMatchObject([{ isOver: true, state: 'over' }])
  })

  test.each([
    [{ what: '  ' }, /^What is tried out\?/],
    [{ from: '30 March' }, /^From is no date/],
    [{ weeks: 2 }, /^Weeks must be a whole number between 3 and 12/],
    [{ weeks: 4.5 }, /^Weeks must be a whole number/],
    [{ groups: [] }, /^Tick at least one muscle/],
  ] as const)('%j is asked for again', (more, words) => {
    expect(page.of.begin({ ...trial, ...more })).toMatch(words)
    expect(page.store.plan!.block?.trials).toBeUndefined()
  })
})
