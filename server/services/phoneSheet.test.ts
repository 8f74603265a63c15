import { randomUUID } from 'node:crypto'
import { describe, expect, test } from '@jest/globals'
import { and, eq, sql } from 'drizzle-orm'
import { addDays, type PlainDate } from '#core/base'
import type { LogWord } from '#core/follow/sheet'
import type { EntriesBody } from '#shared/contracts/sheet'
import { currentTime } from '../clock'
import { closeDatabase, connectedDatabase, database } from '../db/database'
import { datedSessions, exposures, loggedSets, sheetDevices } from '../db/schema'
import {
  problemOf,
  stranger,
  TEST_DAY,
  unitStudio,
  type UnitStudio,
  useTestDatabase,
  valueOf,
} from '../testing/database'
import { send, startNextBlock } from './blocks'
import { floor } from './floor'
import { floorNow } from './floorNow'
import { history } from './history'
import { coachEntries, logList, sessionLog } from './log'
import { clockOff, keepRefused, saidAt, takeEntries } from './logEntries'
import { clientNotes } from './notes'
import { clientOutbox, writeMessage } from './outbox'
import { sheet } from './sheet'
import { linkState, makeLink, openLink, sheetReader, withdrawLink } from './sheetLinks'

useTestDatabase()

/** The real day: entries are judged by the server's clock. */
const today = currentTime().toISOString().slice(0, 10) as PlainDate

interface Phone extends UnitStudio {
  readonly id: ReturnType<UnitStudio['client']>['id']
  readonly key: string
}

/** Marit's rotation of today is sent, and a phone has opened her link. */
async function phone(): Promise<Phone> {
  const studio = await unitStudio({ today })
  const { id, blockId, plan } = studio.client('Marit')
  const days = (Date.parse(today) - Date.parse(plan.startsOn)) / 86_400_000
  const pass = Math.floor(days / plan.rotation.days.length)
  for (const at of [pass, pass + 1])
    valueOf(await send(studio.coach, blockId, { pass: at, version: 1, again: false }))
  const { token } = valueOf(await makeLink(studio.coach, id, { pin: null, days: null }))
  const { key } = valueOf(await openLink({ token, pin: null }, 'phone'))
  if (key === null) throw new Error('the link gave no key')
  return { ...studio, id, key }
}

async function sheetOfPhone({ key }: Phone) {
  return valueOf(await sheet(valueOf(await sheetReader(key)), today))
}

/** A session of the sheet from today on, with the first part of its first working set. */
async function firstSet(of: Phone) {
  const { sessions } = await sheetOfPhone(of)
  const found = sessions.find(({ session }) => session.on >= today)
  const exercise = found?.session.exercises[0]
  const set = { slot: exercise?.slot, role: 'working' as const, set: 1 }
  if (!found || !exercise) throw new Error('nothing to do on the sheet')
  return { session: found.session.id, exercise, set: { ...set, slot: exercise.slot } }
}

const word = (
  { exercise, set }: Awaited<ReturnType<typeof firstSet>>,
  reps: number,
  replaces: string | null = null,
): LogWord => ({
  kind: 'set',
  replaces,
  place: { slot: set.slot, role: set.role, set: set.set, stage: 1, side: null },
  done: {
    exercise: exercise.exercise,
    intent: exercise.intent,
    load: { amount: 20, unit: 'kg' },
    reps,
    seconds: null,
    rir: 1,
    isRirOpen: false,
  },
})

const entry = (session: string, said: LogWord, id: string = randomUUID()) => ({
  id,
  session,
  at: currentTime().toISOString(),
  word: said,
})

async function say(of: Phone, ...entries: readonly EntriesBody['entries'][number][]) {
  const reader = valueOf(await sheetReader(of.key))
  return takeEntries(
    { coach: reader.coach, clientId: reader.clientId, author: 'client', deviceId: reader.deviceId },
    { sentAt: currentTime().toISOString(), entries: [...entries] },
  )
}

const setsIn = (session: string) =>
  database().select().from(loggedSets).where(eq(loggedSets.sessionId, session))

describe('the floor while a phone logs', () => {
  test('says where she is, what hurts and what the sheet answered, to her coach alone', async () => {
    const of = await phone()
    const at = await firstSet(of)
    const before = valueOf(await floorNow(of.coach, today))
    expect(before).toEqual({ sessions: [], pains: [], wrote: [] })
    const hurts = {
      kind: 'pain' as const,
      joints: ['elbow_flexor_side' as const],
      side: 'left' as const,
      score: 4,
      hasAlarmSign: false,
    }
    await say(of, entry(at.session, word(at, 10)), entry(at.session, hurts))
    const now = valueOf(await floorNow(of.coach, today))
    expect(now.pains).toMatchObject([
      { client: of.id, words: expect.stringMatching(/^left .* 4 of 10$/) },
    ])
    expect(now.pains[0]?.told).not.toBe('')
    const { sessions } = valueOf(await floor(of.coach, today, today))
    const own = sessions.filter(({ client }) => client === of.id)
    // A session of another day is not on today's floor.
    const { session } = (await sheetOfPhone(of)).sessions.find(
      one => one.session.id === at.session,
    )!
    expect(now.sessions).toMatchObject(session.on === today ? [{ id: own[0]?.id, done: 1 }] : [])
    expect(valueOf(await floorNow(await stranger(), today))).toEqual({
      sessions: [],
      pains: [],
      wrote: [],
    })
  })
})

describe('what is written in a session of the day', () => {
  test('stands on the floor until it is answered, and then with the answer', async () => {
    const of = await phone()
    const { session } = await firstSet(of)
    const { sessions } = await sheetOfPhone(of)
    const on = sessions.find(one => one.session.id === session)!.session.on
    const now = async () => valueOf(await floorNow(of.coach, on)).wrote
    await say(of, entry(session, { kind: 'note', slot: null, text: 'Wider?' }))
    expect(await now()).toMatchObject([{ client: of.id, text: 'Wider?', told: '' }])
    valueOf(await writeMessage(of.coach, of.id, 'A hand wider.'))
    expect(await now()).toMatchObject([{ text: 'Wider?', told: 'A hand wider.' }])
    expect(valueOf(await floorNow(await stranger(), on)).wrote).toEqual([])
  })
})

describe('a phone that reports what was said yesterday, beside the coach’s tablet', () => {
  const DAY_MS = 86_400_000
  const yesterday = () => new Date(currentTime().getTime() - DAY_MS).toISOString()

  test('stands beside what the tablet logged meanwhile, and nothing of either is lost', async () => {
    const of = await phone()
    const at = await firstSet(of)
    const byTablet = entry(at.session, word(at, 8))
    const sentNow = currentTime().toISOString()
    const tablet = valueOf(
      await coachEntries(
        of.coach,
        of.id,
        at.session,
        { sentAt: sentNow, entries: [byTablet] },
        today,
      ),
    )
    expect(tablet.results).toMatchObject([{ outcome: 'taken' }])
    const next = { ...at, set: { ...at.set, set: 2 } }
    const late = [entry(at.session, word(at, 11)), entry(at.session, word(next, 9))].map(one => ({
      ...one,
      at: yesterday(),
    }))
    const { results } = await say(of, ...late)
    expect(results).toMatchObject([{ outcome: 'conflict' }, { outcome: 'taken' }])
    const sets = (await setsIn(at.session)).map(({ reps }) => reps).sort()
    expect(sets).toEqual([8, 9])
    const kept = valueOf(await sessionLog(of.coach, of.id, at.session, today))
    expect(JSON.stringify(kept)).toContain('11')
    // Sent again, as a phone does that heard no answer, it makes nothing twice.
    await say(of, ...late)
    expect(await setsIn(at.session)).toHaveLength(2)
    // The floor goes by the moment it was said, not by when it arrived.
    const { sessions } = await sheetOfPhone(of)
    const on = sessions.find(one => one.session.id === at.session)!.session.on
    const now = valueOf(await floorNow(of.coach, on)).sessions
    expect(now).toMatchObject([{ done: 2, lastAt: byTablet.at }])
  })
})

describe('a personal link', () => {
  test('opens on a phone with a key of the phone’s own, and is counted', async () => {
    const of = await phone()
    expect(valueOf(await sheetReader(of.key))).toMatchObject({ clientId: of.id })
    expect(valueOf(await linkState(of.coach, of.id)).link).toMatchObject({
      phones: 1,
      hasPin: false,
      isOver: false,
    })
  })

  test('taken back, it opens nothing any more and the phone’s key is over', async () => {
    const of = await phone()
    valueOf(await withdrawLink(of.coach, of.id))
    expect(problemOf(await sheetReader(of.key)).kind).toBe('link-over')
    expect(valueOf(await linkState(of.coach, of.id)).link?.isOver).toBe(true)
  })

  test('a new one ends the one before', async () => {
    const studio = await unitStudio()
    const { id } = studio.client('Marit')
    const { token: old } = valueOf(await makeLink(studio.coach, id, { pin: null, days: 7 }))
    valueOf(await makeLink(studio.coach, id, { pin: null, days: 7 }))
    expect(problemOf(await openLink({ token: old, pin: null }, 'x')).kind).toBe('link-over')
  })

  test('with a PIN asks for it, takes the right one, and stops guessing after five', async () => {
    const studio = await unitStudio()
    const { id } = studio.client('Marit')
    const { token } = valueOf(await makeLink(studio.coach, id, { pin: '2468', days: null }))
    expect(valueOf(await openLink({ token, pin: null }, 'x'))).toEqual({
      key: null,
      needsPin: true,
    })
    expect(problemOf(await openLink({ token, pin: '0000' }, 'x')).kind).toBe('wrong-pin')
    expect(valueOf(await openLink({ token, pin: '2468' }, 'x')).key).toMatch(/^\S{20,}$/)
    const guesses = []
    for (let at = 0; at < 6; at++)
      guesses.push(problemOf(await openLink({ token, pin: '1111' }, 'x')).kind)
    expect(guesses.filter(kind => kind === 'wrong-pin').length).toBeLessThanOrEqual(5)
    expect(guesses.at(-1)).toBe('too-many-attempts')
    expect(problemOf(await openLink({ token, pin: '2468' }, 'x')).kind).toBe('too-many-attempts')
  })

  test('is read from a database that takes no writing', async () => {
    const of = await phone()
    const { sessions } = await sheetOfPhone(of)
    const name = new URL(process.env.DATABASE_URL!).pathname.slice(1)
    // Long enough ago that her phone would be written down again.
    await database()
      .update(sheetDevices)
      .set({ lastSeenAt: new Date(0) })
    await database().execute(
      sql.raw(`alter database "${name}" set default_transaction_read_only = on`),
    )
    await closeDatabase()
    try {
      expect((await sheetOfPhone(of)).sessions).toHaveLength(sessions.length)
    } finally {
      const { client, close } = connectedDatabase(process.env.DATABASE_URL!)
      await client.unsafe('set default_transaction_read_only = off')
      await client.unsafe(`alter database "${name}" set default_transaction_read_only = off`)
      await close()
      await closeDatabase()
    }
  })

  test('guesses sent at once are no more than guesses one after the other, the right one among them', async () => {
    const studio = await unitStudio()
    const { id } = studio.client('Marit')
    const { token } = valueOf(await makeLink(studio.coach, id, { pin: '2468', days: null }))
    const pins = Array.from({ length: 500 }, (_, at) => (at === 250 ? '2468' : '1111'))
    const answers = await Promise.all(pins.map(pin => openLink({ token, pin }, 'x')))
    expect(answers.some(({ ok }) => ok)).toBe(false)
    const kinds = answers.map(answer => problemOf(answer).kind)
    expect(kinds.filter(kind => kind === 'wrong-pin').length).toBeLessThanOrEqual(5)
    expect(new Set(kinds)).toEqual(new Set(['wrong-pin', 'too-many-attempts']))
  })

  test('is made for one’s own clients only, and unknown keys and links are nobody’s', async () => {
    const { client } = await unitStudio()
    const other = await stranger()
    const mine = client('Marit').id
    expect(problemOf(await makeLink(other, mine, { pin: null, days: null })).kind).toBe('not-found')
    expect(problemOf(await linkState(other, mine)).kind).toBe('not-found')
    expect(problemOf(await sheetReader('nobody-has-such-a-key-at-all')).kind).toBe('not-signed-in')
    const token = 'nobody-made-such-a-link-at-all'
    expect(problemOf(await openLink({ token, pin: null }, 'y')).kind).toBe('not-found')
  })
})

describe('what a phone says', () => {
  test('is in the log, on the log page and in the history, once, however often it is sent', async () => {
    const of = await phone()
    const at = await firstSet(of)
    const said = entry(at.session, word(at, 10))
    for (let times = 0; times < 3; times++)
      expect((await say(of, said)).results).toMatchObject([{ id: said.id, outcome: 'taken' }])
    expect(await setsIn(at.session)).toHaveLength(1)
    const listed = valueOf(await logList(of.coach, of.id, today)).sessions
    expect(listed.find(({ id }) => id === at.session)).toMatchObject({
      state: 'begun',
      setsDone: 1,
    })
    const past = valueOf(await history(of.coach, of.id, today)).sessions
    expect(past.find(({ id }) => id === at.session)).toMatchObject({ state: 'begun', setsDone: 1 })
    const { entries } = valueOf(await sessionLog(of.coach, of.id, at.session, today))
    expect(entries).toMatchObject([{ id: said.id, author: 'client', outcome: 'taken' }])
  })

  test('a second value for one place is kept aside, and the phone is told what stands there', async () => {
    const of = await phone()
    const at = await firstSet(of)
    const first = entry(at.session, word(at, 10))
    await say(of, first)
    const { results } = await say(of, entry(at.session, word(at, 8)))
    expect(results).toMatchObject([{ outcome: 'conflict', theirs: { id: first.id } }])
    expect(await setsIn(at.session)).toMatchObject([{ reps: 10 }])
    const listed = valueOf(await logList(of.coach, of.id, today)).sessions
    expect(listed.find(({ id }) => id === at.session)?.aside).toBe(1)
  })

  test('a correction that names what it replaces takes its place', async () => {
    const of = await phone()
    const at = await firstSet(of)
    const first = entry(at.session, word(at, 10))
    await say(of, first)
    const { results } = await say(of, entry(at.session, word(at, 8, first.id)))
    expect(results).toMatchObject([{ outcome: 'taken' }])
    expect(await setsIn(at.session)).toMatchObject([{ reps: 8 }])
  })

  test('put right after its end, a session keeps how tired its muscles came', async () => {
    const of = await phone()
    const at = await firstSet(of)
    const first = entry(at.session, word(at, 10))
    await say(
      of,
      first,
      entry(at.session, { kind: 'finish', minutes: 42, isRecovered: true, note: '' }),
    )
    const tired = async () =>
      (await database().select().from(exposures).where(eq(exposures.sessionId, at.session))).map(
        row => row.tired,
      )
    const [before] = await tired()
    expect(before).not.toBeNull()
    await say(of, entry(at.session, word(at, 8, first.id)))
    expect(await tired()).toEqual([before])
  })

  test('finished: the session is done everywhere, and its exercises have a trend value', async () => {
    const of = await phone()
    const at = await firstSet(of)
    await say(
      of,
      entry(at.session, word(at, 10)),
      entry(at.session, { kind: 'finish', minutes: 42, isRecovered: true, note: 'Good day.' }),
    )
    const [row] = await database()
      .select()
      .from(datedSessions)
      .where(eq(datedSessions.id, at.session))
    expect(row).toMatchObject({ minutes: 42, isRecovered: true, note: 'Good day.' })
    const listed = valueOf(await logList(of.coach, of.id, today)).sessions
    expect(listed.find(({ id }) => id === at.session)?.state).toBe('done')
    const values = await database()
      .select()
      .from(exposures)
      .where(and(eq(exposures.sessionId, at.session)))
    expect(values.map(({ exercise }) => exercise)).toEqual([at.exercise.exercise])
  })

  test('a pain that is sent again and again is one report and one message', async () => {
    const of = await phone()
    const at = await firstSet(of)
    const hurts = entry(at.session, {
      kind: 'pain',
      joints: ['wrist'],
      side: 'left',
      score: 7,
      hasAlarmSign: false,
    })
    for (let times = 0; times < 5; times++) await say(of, hurts)
    await Promise.all(Array.from({ length: 20 }, () => say(of, hurts)))
    const { messages } = valueOf(await clientOutbox(of.coach, of.id))
    expect(messages.filter(({ kind }) => kind === 'pain')).toHaveLength(1)
  })

  test('pain is a report of its joint at once; a joint without sides is told of both', async () => {
    const of = await phone()
    const at = await firstSet(of)
    await say(
      of,
      entry(at.session, {
        kind: 'pain',
        joints: ['low_back'],
        side: 'left',
        score: 4,
        hasAlarmSign: false,
      }),
      entry(at.session, {
        kind: 'pain',
        joints: ['wrist'],
        side: 'left',
        score: 5,
        hasAlarmSign: false,
      }),
    )
    const { joints } = valueOf(await history(of.coach, of.id, today))
    expect(
      joints.map(({ joint, reports }) => [joint, reports[0]?.side, reports[0]?.score]),
    ).toEqual([
      ['wrist', 'left', 5],
      ['low_back', 'both', 4],
    ])
    expect((await sheetOfPhone(of)).levels.wrist?.left).toBe('swap')
  })

  test('about a session that is not hers is told, and nothing is written', async () => {
    const of = await phone()
    const at = await firstSet(of)
    const other = await phone()
    const { results } = await say(other, entry(at.session, word(at, 10)))
    expect(results).toMatchObject([{ outcome: 'unknown_session' }])
    expect(await setsIn(at.session)).toEqual([])
  })

  test.each([
    ['was taken off the sheet', 0],
    ['is more than two weeks old', 40],
  ])(
    'what hurts counts though its session %s, once however often it is sent',
    async (_, daysAgo) => {
      const of = await phone()
      const at = await firstSet(of)
      if (daysAgo > 0)
        await database()
          .update(datedSessions)
          .set({ on: addDays(today, -daysAgo) })
          .where(eq(datedSessions.id, at.session))
      const hurts = entry(daysAgo > 0 ? at.session : randomUUID(), {
        kind: 'pain',
        joints: ['elbow_flexor_side', 'wrist'],
        side: 'right',
        score: 8,
        hasAlarmSign: false,
      })
      for (const { results } of [await say(of, hurts), await say(of, hurts)])
        expect(results).toMatchObject([{ outcome: 'taken' }])
      const { joints } = valueOf(await history(of.coach, of.id, today))
      const { messages } = valueOf(await clientOutbox(of.coach, of.id))
      expect(joints.map(({ joint, reports }) => [joint, reports.length])).toEqual([
        ['elbow_flexor_side', 1],
        ['wrist', 1],
      ])
      expect(messages.filter(({ kind }) => kind === 'pain')).toHaveLength(1)
    },
  )

  test('what was refused stands in the notes in words, once', async () => {
    const of = await phone()
    const body = {
      id: randomUUID(),
      at: currentTime().toISOString(),
      words: 'Pull, set 1: 20 × 12',
      why: 'The session was taken off your sheet meanwhile.',
    }
    await keepRefused({ coach: of.coach, clientId: of.id }, body)
    await keepRefused({ coach: of.coach, clientId: of.id }, body)
    expect(valueOf(await clientNotes(of.coach, of.id)).notes).toMatchObject([
      { text: expect.stringMatching(/^Logged on the phone and not taken .*20 × 12\. The session/) },
    ])
  })

  test('cleared, the place is empty again', async () => {
    const of = await phone()
    const at = await firstSet(of)
    const said = entry(at.session, word(at, 10))
    await say(of, said)
    const place = (said.word as Extract<LogWord, { kind: 'set' }>).place
    await say(of, entry(at.session, { kind: 'clear', place, replaces: said.id }))
    expect(await setsIn(at.session)).toEqual([])
  })
})

describe('a sender’s clock', () => {
  const now = new Date('2026-04-02T12:00:00Z')

  test.each([
    ['right', '2026-04-02T12:00:00Z', 0],
    ['two minutes ahead: the way through the network', '2026-04-02T12:02:00Z', 0],
    ['a little more than two minutes ahead', '2026-04-02T12:02:01Z', 121],
    ['an hour behind', '2026-04-02T11:00:00Z', -3600],
  ])('%s', (_, sentAt, off) => expect(clockOff(sentAt, now)).toBe(off))

  test.each([
    ['as said', '2026-04-02T11:50:00Z', 0, '2026-04-02T11:50:00.000Z'],
    ['put right by an hour', '2026-04-02T12:50:00Z', 3600, '2026-04-02T11:50:00.000Z'],
    ['never in the future', '2026-04-02T12:30:00Z', 0, '2026-04-02T12:00:00.000Z'],
  ])('%s', (_, at, off, said) => expect(saidAt(at, off, now).toISOString()).toBe(said))
})

describe('the sheet', () => {
  test('has the sessions around today, each with words and numbers for every set', async () => {
    const of = await phone()
    const view = await sheetOfPhone(of)
    expect(view.client.name).toMatch(/^Marit/)
    expect(view.sessions.length).toBeGreaterThan(2)
    for (const { session } of view.sessions) {
      expect(session.ways.length).toBeGreaterThan(0)
      expect(session.exercises.every(({ name }) => name.length > 3)).toBe(true)
    }
  })

  test('of a client nobody sent anything is empty, not an error', async () => {
    const studio = await unitStudio({ today: TEST_DAY })
    const { token } = valueOf(
      await makeLink(studio.coach, studio.client('Emil').id, { pin: null, days: null }),
    )
    const { key } = valueOf(await openLink({ token, pin: null }, 'z'))
    const view = valueOf(await sheet(valueOf(await sheetReader(key ?? '')), addDays(TEST_DAY, 0)))
    expect(view.sessions).toEqual([])
  })
})

describe('after a session', () => {
  const finish = (more: object): LogWord => ({
    kind: 'finish',
    minutes: 50,
    isRecovered: true,
    recovery: 8,
    note: '',
    ...more,
  })
  /** Every set of a session as the sheet gives it, with two reps more than asked where nothing else is said. */
  function allSets(
    session: Awaited<ReturnType<typeof sheetOfPhone>>['sessions'][number]['session'],
  ) {
    return session.exercises.flatMap(exercise =>
      (session.ways[0].sets[exercise.slot] ?? []).flatMap(set =>
        set.parts.map(part =>
          entry(session.id, {
            kind: 'set',
            replaces: null,
            place: {
              slot: exercise.slot,
              role: set.role,
              set: set.number,
              stage: part.stage,
              side: part.side,
            },
            done: {
              exercise: exercise.exercise,
              intent: exercise.intent,
              load:
                part.load.kind === 'none'
                  ? null
                  : {
                      amount: part.load.kind === 'weight' ? part.load.amount : 20,
                      unit: exercise.scale.unit,
                    },
              reps: exercise.countUnit === 'reps' ? (part.count ?? 8) + 2 : null,
              seconds: exercise.countUnit === 'seconds' ? 30 : null,
              rir: part.rir,
              isRirOpen: false,
            },
          }),
        ),
      ),
    )
  }

  test('what comes next time is what the next sheet then has', async () => {
    const of = await phone()
    const before = await sheetOfPhone(of)
    const { session } = before.sessions.find(held => held.session.on >= today)!
    expect(before.sessions.flatMap(({ next }) => next ?? [])).toEqual([])
    await say(of, ...allSets(session).slice(0, 50))
    await say(of, entry(session.id, finish({})))
    const after = await sheetOfPhone(of)
    const next = after.sessions.find(held => held.session.id === session.id)?.next ?? []
    expect(next.length).toBeGreaterThan(0)
    let compared = 0
    for (const { on, words } of next) {
      const [name, amount] = [words.split(':')[0], /: ([\d.]+)\u00a0/.exec(words)?.[1]]
      const coming = after.sessions.find(held => held.session.on === on)?.session
      const exercise = coming?.exercises.find(one => one.name === name)
      if (!exercise || !coming || amount === undefined || words.includes('turn')) continue
      const working = coming.ways[0].sets[exercise.slot]?.find(({ role }) => role === 'working')
      expect([name, working?.parts[0].load]).toEqual([
        name,
        { kind: 'weight', amount: Number(amount) },
      ])
      compared += 1
    }
    expect(compared).toBeGreaterThan(0)
  })

  test.each([
    ['is of the block behind it', false],
    ['is not said where that is a draft', true],
  ])('at the end of a block what comes next time %s', async (_, isDraft) => {
    const of = await phone()
    const { blockId, plan } = of.client('Marit')
    const before = await sheetOfPhone(of)
    const { session } = before.sessions.find(held => held.session.on >= today)!
    const length = plan.rotation.days.length
    const since = (Date.parse(today) - Date.parse(plan.startsOn)) / 86_400_000
    const startsOn = addDays(plan.startsOn, (Math.floor(since / length) + 1) * length)
    valueOf(
      await startNextBlock(of.coach, blockId, {
        version: 1,
        title: 'After',
        startsOn,
        weeks: 4,
        from: 'first',
        modes: {},
        isCut: true,
        isDraft,
      }),
    )
    await say(of, ...allSets(session).slice(0, 50))
    await say(of, entry(session.id, finish({})))
    const after = await sheetOfPhone(of)
    const next = after.sessions.find(held => held.session.id === session.id)?.next ?? []
    expect(next.some(({ on }) => on >= startsOn)).toBe(!isDraft)
  })

  test('where it was felt and how it was is in the log and in the history, and stays when the coach puts the end right', async () => {
    const of = await phone()
    const at = await firstSet(of)
    const felt = (where: 'forearms' | 'target'): LogWord => ({
      kind: 'felt',
      slot: at.set.slot,
      exercise: at.exercise.exercise,
      where,
    })
    await say(
      of,
      entry(at.session, word(at, 10)),
      entry(at.session, felt('target')),
      entry(at.session, felt('forearms')),
      entry(at.session, finish({ feelings: { pump: 2 }, word: 'heavy', wayMinutes: 20 })),
    )
    const said = valueOf(await history(of.coach, of.id, today)).said
    expect(said).toMatchObject([
      {
        on: today,
        recovery: 8,
        felt: [{ exercise: at.exercise.exercise, where: 'forearms' }],
        more: { feelings: { pump: 2 }, word: 'heavy', wayMinutes: 20 },
      },
    ])
    expect(said[0]?.felt).toHaveLength(1)
    const { entries } = valueOf(await sessionLog(of.coach, of.id, at.session, today))
    expect(entries.map(({ word: { kind } }) => kind)).toEqual(['set', 'felt', 'felt', 'finish'])
  })
})

describe('closing a session from paper', () => {
  const closing = (session: string): EntriesBody => {
    const at = currentTime().toISOString()
    const word: LogWord = { kind: 'finish', minutes: 40, isRecovered: null, note: '' }
    return { sentAt: at, entries: [{ id: randomUUID(), session, at, word }] }
  }
  test('not before its day; then at once', async () => {
    const of = await phone()
    const { sessions } = await sheetOfPhone(of)
    const ahead = sessions.find(({ session }) => session.on > today)!.session
    const close = (day: PlainDate) =>
      coachEntries(of.coach, of.id, ahead.id, closing(ahead.id), day)
    expect(problemOf(await close(addDays(ahead.on, -1)))).toMatchObject({
      kind: 'invalid',
      errors: [{ pointer: '/entries/0', kind: 'too-early' }],
    })
    expect(valueOf(await close(ahead.on)).results).toMatchObject([{ outcome: 'taken' }])
  })
})

test('a set-up said on the phone is there for the same exercise next time, and for no other', async () => {
  const of = await phone()
  const first = await firstSet(of)
  const exercise = first.exercise.exercise
  expect(first.exercise.setUp.last).toBeNull()
  const said = (setUp: object): EntriesBody => ({
    sentAt: currentTime().toISOString(),
    entries: [
      {
        id: randomUUID(),
        session: first.session,
        at: currentTime().toISOString(),
        word: { kind: 'set_up', slot: first.set.slot, exercise, setUp },
      },
    ],
  })
  const reader = valueOf(await sheetReader(of.key))
  const from = {
    coach: of.coach,
    clientId: of.id,
    author: 'client' as const,
    deviceId: reader.deviceId,
  }
  await takeEntries(from, said({ seat: 4 }))
  await takeEntries(from, said({ seat: 5, pad: 2 }))
  const { sessions } = await sheetOfPhone(of)
  const all = sessions.flatMap(({ session }) => session.exercises)
  for (const one of all.filter(other => other.exercise === exercise))
    expect(one.setUp.last?.setUp).toEqual({ seat: 5, pad: 2 })
  for (const one of all.filter(other => other.exercise !== exercise))
    expect(one.setUp.last).toBeNull()
})
