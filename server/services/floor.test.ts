import { randomUUID } from 'node:crypto'
import { describe, expect, test } from '@jest/globals'
import { and, eq, sql } from 'drizzle-orm'
import { addDays, type ClientId, isoWeekday, mapNonEmpty, type PlainDate } from '#core/base'
import { floorDay, secondsOf, waitedBy } from '#core/follow/floor'
import { floorNotices } from '#core/words'
import { copiedSession, placesFrom, withException, withOneOff } from '#core/plan/block'
import { type Session, sessionSlots } from '#core/plan/session'
import { FloorView } from '#shared/contracts/floor'
import { database } from '../db/database'
import { agreeStart } from '../db/queries/floor'
import { profileOf } from '../db/queries/profiles'
import { datedSessions } from '../db/schema'
import {
  problemOf,
  stranger,
  unitStudio,
  type UnitStudio,
  useTestDatabase,
  valueOf,
} from '../testing/database'
import { send } from './blocks'
import { lastChanges, recorded, redoChange, undoChange } from './changes'
import { client } from './clients'
import { floor, saveStudio } from './floor'
import { floorAhead } from './floorAhead'
import { floorPeople } from './floorPeople'
import { madeOnDay } from './floorChanges'
import { moveStart, remedies, takeRemedy } from './floorRemedies'
import { together } from './floorTogether'
import { clientOutbox, writeMessage } from './outbox'
import { profile, saveProfile } from './profiles'
import { savePlan } from './savePlan'
import { roster } from './roster'
import { sheet } from './sheet'
import { takeWhatIf } from './whatIf'
import { makeLink, openLink, sheetReader } from './sheetLinks'

useTestDatabase()

const SCARCE = { cable: 1, bench: 1, rack: 1, preacher_bench: 1, dip_bars: 1, pull_up_bar: 1 }

/** Clients whose weeks of log are written. */
const LOGGED = ['Marit', 'Joren', 'Oskar', 'Kaja']

const seen = async ({ coach, today }: UnitStudio, on = today) =>
  FloorView.parse(valueOf(await floor(coach, on, today)))
const dayOf = ({ sessions, stations }: Awaited<ReturnType<typeof seen>>) =>
  floorDay(
    sessions.map(one => ({ ...one, start: secondsOf(one.start) })),
    stations,
  )
const longestWait = (view: Awaited<ReturnType<typeof seen>>) => {
  const day = dayOf(view)
  return [...view.sessions].sort((a, b) => waitedBy(day, b.id) - waitedBy(day, a.id))[0]!
}

/** When each first has a session on the floor of the coming three weeks, and what the roster calls her next. */
async function firstOnFloor(studio: UnitStudio): Promise<ReadonlyMap<string, string>> {
  const first = new Map<string, string>()
  for (let ahead = 0; ahead < 21; ahead++) {
    const on = addDays(studio.today, ahead)
    for (const { client: id, start } of (await seen(studio, on)).sessions)
      if (!first.has(id)) first.set(id, `${on} ${start}`)
  }
  return first
}
async function nextOf({ coach, today }: UnitStudio): Promise<ReadonlyMap<string, string>> {
  const { clients } = await roster(coach, today)
  return new Map(
    clients.flatMap(({ id, next }) => (next ? [[id, `${next.on} ${next.start}`]] : [])),
  )
}

/** A studio where everybody comes at half past five, and there is one of each. */
async function busyStudio(): Promise<UnitStudio> {
  const studio = await unitStudio()
  const { coach, clients, today } = studio
  valueOf(await saveStudio(coach, { stations: SCARCE, house: {} }))
  for (const { id } of clients)
    await agreeStart(database(), coach.id, id, { on: today, start: '17:30', today })
  return studio
}

const take = (
  { coach, today }: UnitStudio,
  { session, key }: { readonly session: string; readonly key: string },
  isAlways = false,
) =>
  recorded(coach, { clientId: null, kind: 'floor' }, () =>
    takeRemedy(coach, { on: today, session, key, isAlways }, today),
  )
async function turnedBack({ coach }: UnitStudio): Promise<void> {
  const { undo } = valueOf(await lastChanges(coach, null))
  valueOf(await undoChange(coach, null, undo!.id))
}
/** The first way out of some kind that anybody who waits is offered. */
async function offeredOf(studio: UnitStudio, kind: string) {
  const view = await seen(studio)
  for (const { id: session } of view.sessions) {
    const { remedies: ways } = valueOf(
      await remedies(studio.coach, { on: studio.today, session }, studio.today),
    )
    const found = ways.find(way => way.kind === kind)
    if (found) return { ...found, session }
  }
  throw new Error(`nobody is offered a ${kind}`)
}

/** Sends everybody the rotation that is under way. */
async function sendAll({ coach, clients, today }: UnitStudio): Promise<void> {
  for (const { blockId, plan } of clients) {
    const days = (Date.parse(today) - Date.parse(plan.startsOn)) / 86_400_000
    const pass = Math.floor(days / plan.rotation.days.length)
    await send(coach, blockId, { pass, version: 1, again: false })
  }
}

/** Of everybody on the floor who was sent the day's session: the start her phone shows, the same as the floor's. */
async function startsOnSheets(
  { coach, today }: UnitStudio,
  { sessions }: { readonly sessions: readonly { client: ClientId; start: string }[] },
): Promise<readonly (readonly [ClientId, string])[]> {
  const shown: (readonly [ClientId, string])[] = []
  for (const { client, start } of sessions) {
    const held = valueOf(await sheet({ coach, clientId: client }, today))
    const [own, second] = held.sessions.filter(({ session }) => session.on === today)
    if (!own || second) continue
    expect([client, own.start?.start]).toEqual([client, start])
    shown.push([client, start])
  }
  return shown
}

describe('the floor of a day', () => {
  test('has whoever the roster says trains today, at her hour, with parts that take the session’s time', async () => {
    const studio = await unitStudio()
    const view = await seen(studio)
    const due = (await roster(studio.coach, studio.today)).clients.filter(
      ({ next }) => next?.on === studio.today,
    )
    expect(due.length).toBeGreaterThan(1)
    expect(view.sessions.map(one => one.client).sort()).toEqual(due.map(({ id }) => id).sort())
    for (const { client: id, parts, start } of view.sessions) {
      expect(parts.every(({ seconds, what }) => seconds > 0 && what !== '')).toBe(true)
      expect(due.find(one => one.id === id)?.next?.start).toBe(start)
    }
  })

  test('has each on the day the roster calls her next, in a studio that is closed today, with sessions moved and dropped', async () => {
    const studio = await unitStudio({ logsOf: LOGGED })
    const { coach, today, clients } = studio
    const closed = { kind: 'closed', from: today, to: addDays(today, 1), effect: 'skip' } as const
    await recorded(coach, { clientId: null, kind: 'what_if' }, () =>
      takeWhatIf(coach, { asked: closed, leftOut: [] }, today),
    )
    // One more is moved by two days, one is dropped.
    for (const [at, { id }] of clients.slice(0, 6).entries()) {
      const { block } = valueOf(await client(coach, id, { today }))
      const next = block && placesFrom(block.plan, addDays(today, 2))[0]
      if (!block || !next) continue
      const { pass, day, place, on } = next
      const exception =
        at % 2 === 0
          ? ({ kind: 'moved', pass, day, place, on: addDays(on, 2) } as const)
          : ({ kind: 'dropped', pass, day, place } as const)
      const plan = { ...block.plan, block: withException(block.plan.block ?? {}, exception) }
      valueOf(await savePlan(coach, { blockId: block.id, version: block.version, plan }, today))
    }
    const told = await nextOf(studio)
    expect(told).toEqual(await firstOnFloor(studio))
    expect(told.size).toBeGreaterThan(6)
    // What was sent before stays with the client until it is sent anew.
    expect([...told.values()].some(at => at >= addDays(today, 2))).toBe(true)
  })

  test('has each on the day the roster calls her next, whatever of it was sent or is done ahead of its day', async () => {
    const studio = await unitStudio()
    const { coach, today, clients } = studio
    const firsts = clients.flatMap(({ id, blockId, plan }) => {
      const [place] = placesFrom(plan, today)
      return place && place.pass + 1 < plan.passes ? [{ id, blockId, ...place }] : []
    })
    expect(firsts.length).toBeGreaterThan(6)
    // The rotation after is sent first: what is sooner is still next.
    for (const { blockId, pass } of firsts)
      valueOf(await send(coach, blockId, { pass: pass + 1, version: 1, again: false }))
    const before = await firstOnFloor(studio)
    expect(await nextOf(studio)).toEqual(before)
    for (const { blockId, pass } of firsts)
      valueOf(await send(coach, blockId, { pass, version: 1, again: false }))
    expect(await nextOf(studio)).toEqual(before)
    for (const { blockId, pass, day, place } of firsts)
      await database()
        .update(datedSessions)
        .set({ finishedAt: sql`now()` })
        .where(
          and(
            eq(datedSessions.blockId, blockId),
            eq(datedSessions.pass, pass),
            eq(datedSessions.day, day),
            eq(datedSessions.place, place),
          ),
        )
    // As a phone does that finishes a session; what is remembered goes by it.
    await database().execute(
      sql`update clients set training_revision = training_revision + 1 where coach_id = ${coach.id}`,
    )
    const after = await nextOf(studio)
    expect(after).toEqual(await firstOnFloor(studio))
    for (const { id } of firsts) expect(after.get(id)).not.toBe(before.get(id))
  })

  test('is what the client was sent where something was, and what the plan of another date will be', async () => {
    const studio = await unitStudio({ logsOf: LOGGED })
    const ahead = addDays(studio.today, 7)
    const { people } = await floorPeople(studio.coach, ahead, studio.today)
    expect(people.length).toBeGreaterThan(1)
    // Their own minutes are known from their logs.
    expect(people.some(({ guest }) => guest.context.client.times !== undefined)).toBe(true)
    const sentToday = (await floorPeople(studio.coach, studio.today, studio.today)).people
    for (const { client: id, guest } of sentToday) {
      const view = valueOf(await client(studio.coach, id, { today: studio.today }))
      expect(view.block?.plan).toEqual(guest.plan)
      expect(guest.context.client.times).toEqual(view.facts.times)
      expect(guest.context.client.pain).toEqual(view.facts.pain)
    }
  })

  test('has what was sent on the day it was sent for, and not a second time where the plan moved it since', async () => {
    const studio = await unitStudio()
    const { coach, today, clients } = studio
    const { id, blockId, plan } = clients.find(one => placesFrom(one.plan, today).length > 1)!
    const { on, pass, day, place } = placesFrom(plan, today)[0]!
    valueOf(await send(coach, blockId, { pass, version: 1, again: false }))
    const there = addDays(on, 3)
    const exception = { kind: 'moved', pass, day, place, on: there } as const
    const moved = { ...plan, block: withException(plan.block ?? {}, exception) }
    const { version } = valueOf(await client(coach, id, { today })).block!
    valueOf(await savePlan(coach, { blockId, version, plan: moved }, today))
    const own = async (date: PlainDate) =>
      (await floorPeople(coach, date, today)).people.filter(
        one => one.client === id && one.pass === pass && one.planned === on && one.sent !== null,
      ).length
    const unsent = async (date: PlainDate) =>
      (await floorPeople(coach, date, today)).people.filter(
        one => one.client === id && one.sent === null && one.guest.day === day && one.pass === pass,
      ).length
    expect([await own(on), await unsent(on)]).toEqual([1, 0])
    expect([await own(there), await unsent(there)]).toEqual([0, 0])
  })

  test('is another coach’s own', async () => {
    const studio = await busyStudio()
    const other = await stranger()
    expect(valueOf(await floor(other, studio.today, studio.today)).sessions).toEqual([])
    const { id: session } = longestWait(await seen(studio))
    const asked = { on: studio.today, session }
    expect(problemOf(await remedies(other, asked, studio.today)).kind).toBe('not-found')
    const start = { ...asked, start: '18:00' }
    expect(problemOf(await moveStart(other, start, studio.today)).kind).toBe('not-found')
    const { key } = await offeredOf(studio, 'start')
    const body = { on: studio.today, session, key, isAlways: false }
    expect(problemOf(await takeRemedy(other, body, studio.today)).kind).toBe('not-found')
  })

  test('stations and hours that are saved are taken back', async () => {
    const studio = await unitStudio()
    const { coach } = studio
    const house = { opens: '06:00', closes: '21:00', coaches: 2, closed: [studio.today] }
    valueOf(
      await recorded(coach, { clientId: null, kind: 'stations' }, () =>
        saveStudio(coach, { stations: SCARCE, house }),
      ),
    )
    expect(await seen(studio)).toMatchObject({ stations: SCARCE, house })
    await turnedBack(studio)
    expect(await seen(studio)).toMatchObject({ stations: {}, house: {} })
  })
})

test('the board tells of the coming days what the floor shows of them, and of nobody else', async () => {
  const studio = await busyStudio()
  const { coach, today } = studio
  for (const { id } of studio.clients) {
    const { ahead } = valueOf(await floorAhead(coach, id, today))
    for (let day = 0; day < 7; day++) {
      const on = addDays(today, day)
      const view = await seen(studio, on)
      const own = view.sessions.filter(one => one.client === id).map(one => one.id)
      const told = floorNotices(view, dayOf(view)).filter(({ session }) => own.includes(session))
      const [line, ...others] = ahead.filter(one => one.on === on).map(({ words }) => words)
      // One line a day: the first thing, and how many more there are.
      expect(others).toEqual([])
      expect(line === undefined).toBe(told.length === 0)
      if (told.length > 0) expect(line).toContain(told[0]?.words)
      if (told.length > 1) expect(line).toContain(`, ${told.length - 1} more to look at`)
    }
  }
  const { client: waiting, id } = longestWait(await seen(studio))
  const [first] = valueOf(await floorAhead(coach, waiting, today)).ahead
  expect(first).toMatchObject({ on: today, session: id })
  expect(first?.words).toMatch(/^Thu 2 Apr 17:30: waits about \d+ min for /)
  expect(problemOf(await floorAhead(await stranger(), waiting, today)).kind).toBe('not-found')
})

test('a start that was agreed holds for its date; of days that are over nothing is kept', async () => {
  const studio = await unitStudio()
  const { coach, today } = studio
  const { id } = studio.client('Marit')
  const agree = (on: PlainDate, start: string | null, asOf = today) =>
    agreeStart(database(), coach.id, id, { on, start, today: asOf })
  const agreed = async () => (await profileOf(database(), coach.id, id))?.agreed
  const later = addDays(today, 3)
  await agree(today, '18:05')
  await agree(later, '18:10')
  await agree(later, '18:15')
  expect(await agreed()).toEqual({ [today]: '18:05', [later]: '18:15' })
  await agree(addDays(today, 5), '07:00', addDays(today, 1))
  expect(await agreed()).toEqual({ [later]: '18:15', [addDays(today, 5)]: '07:00' })
  await agree(later, null)
  expect(await agreed()).toEqual({ [addDays(today, 5)]: '07:00' })
  // Of the same name at another coach's nothing changes.
  const other = await stranger()
  await agreeStart(database(), other.id, id, { on: later, start: '05:00', today })
  expect(await agreed()).toEqual({ [addDays(today, 5)]: '07:00' })
})

describe('ways out of a wait', () => {
  test('another start for the day: floor, roster and message follow, others wait as was said, and one step takes all back', async () => {
    const studio = await busyStudio()
    const before = await seen(studio)
    const way = await offeredOf(studio, 'start')
    const { did } = valueOf(await take(studio, way))
    expect(did).toMatch(/ starts at \d\d:\d\d, on Thu 2 Apr\.$/)
    const after = await seen(studio)
    const moved = after.sessions.find(
      one => one.start !== before.sessions.find(({ id }) => id === one.id)?.start,
    )!
    expect(did).toContain(moved.start)
    const line = (await roster(studio.coach, studio.today)).clients.find(
      ({ id }) => id === moved.client,
    )
    expect(line?.next?.start).toBe(moved.start)
    expect(valueOf(await clientOutbox(studio.coach, moved.client)).messages[0]?.text).toBe(
      `Your session on Thu 2 Apr begins at ${moved.start}.`,
    )
    // What the way said is what the day is now.
    const waited = (view: typeof after) =>
      Math.round(dayOf(view).waits.reduce((sum, { seconds }) => sum + seconds, 0) / 60)
    expect(way.lines[0]).toContain(`all ${waited(before)} → ${waited(after)} min`)
    await turnedBack(studio)
    expect(await seen(studio)).toEqual(before)
    expect(valueOf(await clientOutbox(studio.coach, moved.client)).messages).toEqual([])
  })

  test('the start is on the phone as on the floor: as agreed, as from now on, and back', async () => {
    const studio = await busyStudio()
    await sendAll(studio)
    const way = await offeredOf(studio, 'start')
    const before = await startsOnSheets(studio, await seen(studio))
    for (const isAlways of [false, true]) {
      valueOf(await take(studio, way, isAlways))
      const after = await startsOnSheets(studio, await seen(studio))
      expect(after.length).toBeGreaterThan(3)
      expect(after).not.toEqual(before)
      await turnedBack(studio)
      expect(await startsOnSheets(studio, await seen(studio))).toEqual(before)
    }
    const { coach, clients, today } = studio
    const notHers = { coach: await stranger(), clientId: clients[0]!.id }
    expect(problemOf(await sheet(notHers, today))).toMatchObject({ kind: 'not-found' })
    expect((await sheet({ coach, clientId: clients[0]!.id }, today)).ok).toBe(true)
  })

  test('another start from now on stands in the profile for that weekday, and nothing is agreed any more', async () => {
    const studio = await busyStudio()
    const way = await offeredOf(studio, 'start')
    valueOf(await take(studio, way, true))
    const after = await seen(studio)
    const moved = after.sessions.find(({ start }) => start !== '17:30')!
    expect(valueOf(await clientOutbox(studio.coach, moved.client)).messages[0]?.text).toBe(
      `Your session on Thu 2 Apr begins at ${moved.start}, and on that weekday from then on.`,
    )
    const { days } = valueOf(await profile(studio.coach, moved.client))
    expect(days.find(({ weekday }) => weekday === isoWeekday(studio.today))?.start).toBe(
      moved.start,
    )
    expect(moved.usual).toBe(moved.start)
  })

  test('moved again and again by hand the client reads one message, and each step goes back by itself', async () => {
    const studio = await busyStudio()
    const { coach, today } = studio
    const [somebody] = (await seen(studio)).sessions
    const move = (start: string) =>
      recorded(coach, { clientId: null, kind: 'floor' }, () =>
        moveStart(coach, { on: today, session: somebody!.id, start }, today),
      )
    const told = async () =>
      valueOf(await clientOutbox(coach, somebody!.client)).messages.map(({ text }) => text)
    valueOf(await writeMessage(coach, somebody!.client, 'Bring a towel.'))
    for (const start of ['17:35', '17:40', '17:45']) valueOf(await move(start))
    expect(await told()).toEqual(['Your session on Thu 2 Apr begins at 17:45.', 'Bring a towel.'])
    await turnedBack(studio)
    expect(await told()).toContain('Your session on Thu 2 Apr begins at 17:40.')
    expect((await seen(studio)).sessions.find(({ id }) => id === somebody!.id)?.start).toBe('17:40')
  })

  test('two starts at once reach both, each with a message, and go back by one undo; neither where one has begun', async () => {
    const studio = await busyStudio()
    const { coach, today } = studio
    const before = await seen(studio)
    const [one, other] = before.sessions
    const change = {
      kind: 'start',
      session: one!.id,
      start: secondsOf('17:40'),
      also: { session: other!.id, start: secondsOf('17:05') },
    } as const
    const move = async () =>
      recorded(coach, { clientId: null, kind: 'floor' }, async () =>
        madeOnDay(coach, await floorPeople(coach, today, today), change, {
          on: today,
          isAlways: false,
          today,
        }),
      )
    valueOf(await move())
    const starts = async () =>
      new Map((await seen(studio)).sessions.map(({ id, start }) => [id, start]))
    expect([(await starts()).get(one!.id), (await starts()).get(other!.id)]).toEqual([
      '17:40',
      '17:05',
    ])
    for (const [{ client: id }, at] of [
      [one!, '17:40'],
      [other!, '17:05'],
    ] as const) {
      const { messages } = valueOf(await clientOutbox(coach, id))
      expect(messages.map(({ text }) => text)).toEqual([expect.stringContaining(`begins at ${at}`)])
    }
    await turnedBack(studio)
    expect(await seen(studio)).toEqual(before)
    // Whoever has begun stays, and with her the other.
    const now = await floorPeople(coach, today, today)
    const people = now.people.map(person =>
      person.guest.id === other!.id
        ? { ...person, guest: { ...person.guest, isBegun: true } }
        : person,
    )
    const once = { on: today, isAlways: false, today }
    expect(problemOf(await madeOnDay(coach, { ...now, people }, change, once))).toMatchObject({
      errors: [{ pointer: '/key' }],
    })
    expect(await seen(studio)).toEqual(before)
  })

  test('a start holds from now on only where the profile has an hour for that weekday', async () => {
    const studio = await busyStudio()
    const { coach, today } = studio
    const way = await offeredOf(studio, 'start')
    expect(way.canStay).toBe(true)
    const session = (await seen(studio)).sessions.find(({ id }) => way.key.split(' ')[1] === id)!
    const known = valueOf(await profile(coach, session.client))
    const others = known.days.filter(({ weekday }) => weekday !== isoWeekday(today))
    valueOf(await saveProfile(coach, session.client, { ...known, days: others }))
    const { remedies: ways } = valueOf(
      await remedies(coach, { on: today, session: way.session }, today),
    )
    expect(ways.find(({ key }) => key === way.key)?.canStay).toBe(false)
    // Meant for good, it holds for the day: nothing is lost.
    expect(valueOf(await take(studio, way, true)).did).toMatch(/, on Thu 2 Apr\.$/)
    const moved = (await seen(studio)).sessions.find(({ id }) => id === session.id)
    expect(moved?.start).not.toBe('17:30')
  })

  test('whoever has two sessions that day is not moved: both would', async () => {
    const studio = await busyStudio()
    const { coach, today } = studio
    const { people } = await floorPeople(coach, today, today)
    const person = people.find(({ sent }) => sent === null)!
    const { guest, block, version } = person
    const again = copiedSession(guest.content, randomUUID)
    const plan = {
      ...guest.plan,
      rotation: {
        ...guest.plan.rotation,
        days: guest.plan.rotation.days.map((day, at) =>
          at === guest.day ? { ...day, sessions: [...day.sessions, again] } : day,
        ),
      },
    }
    valueOf(await savePlan(coach, { blockId: block, version, plan }))
    const own = (await seen(studio)).sessions.filter(one => one.client === person.client)
    expect(own.map(({ start }) => start)).toEqual(['17:30', '23:30'])
    const start = { on: today, session: own[0]!.id, start: '17:45' }
    expect(problemOf(await moveStart(coach, start, today))).toMatchObject({
      errors: [{ detail: expect.stringMatching(/two sessions that day/) }],
    })
    for (const { id } of (await seen(studio)).sessions)
      for (const { key } of valueOf(await remedies(coach, { on: today, session: id }, today))
        .remedies)
        expect(key).not.toMatch(`start ${own[0]!.id} `)
  })

  test.each(['turn', 'stand_in'] as const)(
    'a %s reaches the plan for the day and the sheet the client has, and both go back',
    async kind => {
      const studio = await busyStudio()
      const { coach, today } = studio
      const sheets = new Map<string, string>()
      await sendAll(studio)
      for (const { id } of studio.clients) {
        const { token } = valueOf(await makeLink(coach, id, { pin: null, days: null }))
        sheets.set(id, valueOf(await openLink({ token, pin: null }, id)).key ?? '')
      }
      const way = await offeredOf(studio, kind)
      const slotsOf = async (id: string) =>
        (await floorPeople(coach, today, today)).people
          .filter(({ client: of }) => of === id)
          .flatMap(({ guest }) => sessionSlots(guest.content))
          .map(({ exercise }) => exercise)
      const onSheet = async (id: string) => {
        const { sessions } = valueOf(
          await sheet(valueOf(await sheetReader(sheets.get(id) ?? '')), today),
        )
        return sessions
          .filter(({ session }) => session.on === today)
          .flatMap(({ session }) => session.exercises.map(({ exercise }) => exercise))
      }
      const session = (await seen(studio)).sessions.find(({ id }) => way.key.split(' ')[1] === id)!
      const [before, told] = [await slotsOf(session.client), await onSheet(session.client)]
      valueOf(await take(studio, way))
      const [after, toldAfter] = [await slotsOf(session.client), await onSheet(session.client)]
      expect(after).not.toEqual(before)
      expect(told).toEqual(before)
      expect(toldAfter).toEqual(after)
      const { block } = valueOf(await client(coach, session.client, { today }))
      expect(block?.plan.oneOffs?.map(({ on }) => on)).toContain(today)
      await turnedBack(studio)
      expect(await slotsOf(session.client)).toEqual(before)
      expect(await onSheet(session.client)).toEqual(told)
      const { redo } = valueOf(await lastChanges(coach, null))
      valueOf(await redoChange(coach, null, redo!.id))
      expect(await slotsOf(session.client)).toEqual(after)
    },
  )

  test('a turn from now on changes the plan itself, on that day of every rotation', async () => {
    const studio = await busyStudio()
    const way = await offeredOf(studio, 'turn')
    expect(way.canStay).toBe(true)
    const session = (await seen(studio)).sessions.find(({ id }) => way.key.split(' ')[1] === id)!
    const planOf = async () =>
      valueOf(await client(studio.coach, session.client, { today: studio.today })).block!.plan
    const before = await planOf()
    valueOf(await take(studio, way, true))
    const after = await planOf()
    expect(after.oneOffs ?? []).toEqual(before.oneOffs ?? [])
    expect(after.rotation).not.toEqual(before.rotation)
  })

  test('a stand-in from now on keeps the sets of the plan, whatever the day has', async () => {
    const studio = await busyStudio()
    const { coach, today } = studio
    const way = await offeredOf(studio, 'stand_in')
    const [, session = '', slot = ''] = way.key.split(' ')
    const person = (await floorPeople(coach, today, today)).people.find(
      ({ guest }) => guest.id === session,
    )!
    const { guest, block, version } = person
    const countsOf = (content: Session) =>
      sessionSlots(content)
        .find(({ id }) => id === slot)!
        .scheme.runs.map(({ count }) => count)
    const planned = guest.plan.rotation.days[guest.day]!.sessions[guest.place]!
    // For the day alone there is a set more of everything.
    const content = {
      ...guest.content,
      groupings: guest.content.groupings.map(grouping => ({
        ...grouping,
        slots: mapNonEmpty(grouping.slots, held => ({
          ...held,
          scheme: {
            ...held.scheme,
            runs: held.scheme.runs.map(run => ({ ...run, count: run.count + 1 })),
          },
        })),
      })),
    }
    const on = person.planned
    const plan = withOneOff(guest.plan, { on, session: planned.id, reason: 'other', content })
    valueOf(await savePlan(coach, { blockId: block, version, plan }))
    const again = await offeredOf(studio, 'stand_in')
    expect(again.key.split(' ').slice(1, 3)).toEqual([session, slot])
    valueOf(await take(studio, again, true))
    const after = valueOf(await client(coach, person.client, { today })).block!.plan
    const now = after.rotation.days[guest.day]!.sessions[guest.place]!
    expect(countsOf(now)).toEqual(countsOf(planned))
    expect(sessionSlots(now).map(({ exercise }) => exercise)).toContain(again.key.split(' ')[3])
  })

  test('once the client has begun nothing is done to her session, and what is gone is told', async () => {
    const studio = await busyStudio()
    const { coach, today } = studio
    const way = await offeredOf(studio, 'turn')
    valueOf(await take(studio, way))
    expect(problemOf(await take(studio, way))).toMatchObject({
      errors: [{ pointer: '/key', detail: expect.stringMatching(/no longer there/) }],
    })
    const { people } = await floorPeople(coach, today, today)
    await database()
      .update(datedSessions)
      .set({ startedAt: sql`now()` })
      .where(eq(datedSessions.coachId, coach.id))
    const begun = (await floorPeople(coach, today, today)).people
    expect(begun.filter(({ guest }) => guest.isBegun).length).toBe(
      people.filter(({ sent }) => sent).length,
    )
    for (const { guest } of begun.filter(one => one.guest.isBegun))
      for (const { key } of valueOf(await remedies(coach, { on: today, session: guest.id }, today))
        .remedies)
        expect(key.split(' ')[1]).not.toBe(guest.id)
  })

  test('of a day that is over there are none', async () => {
    const studio = await busyStudio()
    const { id: session } = longestWait(await seen(studio))
    const later = addDays(studio.today, 1)
    expect(
      valueOf(await remedies(studio.coach, { on: studio.today, session }, later)).remedies,
    ).toEqual([])
  })
})

describe('a group of one hour', () => {
  const groupOf = async (studio: UnitStudio) => {
    const { sessions } = await seen(studio)
    return sessions.slice(0, 5).map(({ id }) => id)
  }
  const lay = (studio: UnitStudio, sessions: readonly string[], isTaken: boolean) =>
    recorded(studio.coach, { clientId: null, kind: 'floor' }, () =>
      together(studio.coach, { on: studio.today, sessions: [...sessions], isTaken }, studio.today),
    )
  const waited = async (studio: UnitStudio, sessions: readonly string[]) => {
    const day = dayOf(await seen(studio))
    return sessions.reduce((sum, id) => sum + waitedBy(day, id), 0)
  }

  const minutesTold = (summary: string) => {
    const [, was, is] = /^Waiting (\d+) → (\d+)/.exec(summary) ?? []
    return { was: Number(was), is: Number(is) }
  }

  test('is laid side by side as it was told, and back by one undo', async () => {
    const studio = await busyStudio()
    const group = await groupOf(studio)
    const before = await seen(studio)
    const told = valueOf(await lay(studio, group, false))
    expect(told.lines.length).toBeGreaterThan(0)
    const { was, is } = minutesTold(told.summary)
    expect(was).toBe(Math.round((await waited(studio, group)) / 60))
    expect(is).toBeLessThan(was)
    expect(await seen(studio)).toEqual(before)
    valueOf(await lay(studio, group, true))
    expect(Math.round((await waited(studio, group)) / 60)).toBe(is)
    await turnedBack(studio)
    expect(await seen(studio)).toEqual(before)
  })

  test('of which one is not there, or of another coach, is not found', async () => {
    const studio = await busyStudio()
    const group = await groupOf(studio)
    expect(problemOf(await lay(studio, [...group, 'gone.0'], false)).kind).toBe('not-found')
    const other = { ...studio, coach: await stranger() }
    expect(problemOf(await lay(other, group, false)).kind).toBe('not-found')
  })
})
