import { describe, expect, test } from '@jest/globals'
import { sql } from 'drizzle-orm'
import { addDays, blockId, type ClientId } from '#core/base'
import { rotationLedger } from '#core/count/ledger'
import { stationsFor } from '#core/follow/floor'
import { planEnd } from '#core/plan/block'
import { requireExercise } from '#core/plan/catalogue'
import { contextWith, METHOD_SETTINGS, settingOf } from '#core/plan/method'
import { sessionSlots } from '#core/plan/session'
import type { WhatIf } from '#shared/contracts/whatIf'
import {
  problemOf,
  stranger,
  unitStudio,
  type UnitStudio,
  useTestDatabase,
  valueOf,
} from '../../testing/database'
import { database } from '../../db/database'
import { issued, send, startNextBlock } from '../blocks'
import { archiveClient, eraseClient } from '../archive'
import { changesFor, lastChanges, recorded, undoChange } from '../changes'
import { client } from '../clients'
import { floorDayView, saveStudio } from '../floor'
import { floorPeople } from '../floorPeople'
import { takeWhatIf, whatIf } from '.'

useTestDatabase()

const look = async ({ coach, today }: UnitStudio, asked: WhatIf) =>
  valueOf(await whatIf(coach, asked, today))
const take = async (
  { coach, today }: UnitStudio,
  asked: WhatIf,
  leftOut: never[] | string[] = [],
) =>
  valueOf(
    await recorded(coach, { clientId: null, kind: 'what_if' }, () =>
      takeWhatIf(coach, { asked, leftOut: leftOut as never[] }, today),
    ),
  )
const undo = async ({ coach }: UnitStudio) => {
  const { undo: last } = valueOf(await lastChanges(coach, null))
  valueOf(await undoChange(coach, null, last!.id))
}
const plansOf = ({ coach, clients }: UnitStudio) =>
  Promise.all(clients.map(async ({ id }) => valueOf(await client(coach, id)).block?.plan ?? null))

describe('a station that is out', () => {
  const week = async () => {
    const studio = await unitStudio()
    const { coach, today } = studio
    valueOf(await saveStudio(coach, { stations: { cable: 1 }, house: {} }))
    const asked = { kind: 'station', station: 'cable', left: 0, from: today, to: addDays(today, 6) }
    return { studio, asked: asked as WhatIf & { kind: 'station' } }
  }
  /** Exercises on the cable that anybody has on these days. */
  const onCable = async ({ coach, today }: UnitStudio) => {
    const days = await Promise.all(
      Array.from({ length: 7 }, (_, at) => floorPeople(coach, addDays(today, at), today)),
    )
    return days.flatMap(({ people }) =>
      people.flatMap(({ client: id, guest }) =>
        sessionSlots(guest.content)
          .filter(({ exercise }) =>
            stationsFor(requireExercise(guest.context.catalogue, exercise).equipment).includes(
              'cable',
            ),
          )
          .map(({ exercise }) => `${id} ${exercise}`),
      ),
    )
  }

  test('is told client by client, done for all at once, and one undo takes it back', async () => {
    const { studio, asked } = await week()
    const before = await plansOf(studio)
    const cables = await onCable(studio)
    const { lines } = await look(studio, asked)
    expect(lines.length).toBeGreaterThan(6)
    expect(await plansOf(studio)).toEqual(before)
    const answer = await take(studio, asked)
    expect(answer.failed).toEqual([])
    const left = await onCable(studio)
    expect(left.length).toBeLessThan(cables.length / 4)
    // What is left is what was said to be changed by hand.
    const byHand = lines.flatMap(({ details }) => details.filter(one => one.includes('by hand')))
    expect(left).toHaveLength(byHand.length)
    await undo(studio)
    expect(await onCable(studio)).toEqual(cables)
    expect((await floorDayView(studio.coach, studio.today, studio.today)).house.out).toBeUndefined()
  })

  test('stands in the list of each whom it touched, with what it was; hers goes with her', async () => {
    const { studio, asked } = await week()
    const { coach, clients } = studio
    const { lines } = await look(studio, asked)
    const written = lines.filter(({ isWritten }) => isWritten)
    const [first, second] = written
    await take(studio, asked, [second!.client])
    const told = async (id: ClientId) => valueOf(await changesFor(coach, id)).changes[0]
    for (const { id } of clients) {
      const isTouched = id !== second!.client && written.some(one => one.client === id)
      const change = await told(id)
      expect(change?.isForSeveral ?? false).toBe(isTouched)
      if (isTouched)
        expect(change).toMatchObject({ place: 'What if', detail: expect.stringMatching(/^Cable/) })
    }
    // It is taken back where it was done, not with what is her own.
    expect(valueOf(await lastChanges(coach, first!.client as ClientId)).undo).toBeNull()
    valueOf(await archiveClient(coach, first!.client as ClientId))
    valueOf(await eraseClient(coach, first!.client as ClientId, first!.name))
    const kept = await database().execute(
      sql`select 1 from row_changes where coach_id = ${coach.id} and (before::text like ${`%${first!.client}%`} or after::text like ${`%${first!.client}%`})`,
    )
    expect(kept).toHaveLength(0)
    await undo(studio)
    expect(await onCable(studio)).not.toHaveLength(0)
    expect(valueOf(await changesFor(coach, null)).changes[0]?.detail).toBe('')
  })

  test('a sent session is on the sheet without it at once; who is left out keeps it', async () => {
    const { studio, asked } = await week()
    const { coach, today } = studio
    const { lines } = await look(studio, asked)
    const written = lines.filter(({ isWritten }) => isWritten)
    const sendAll = async ({ client: id }: (typeof lines)[number]) => {
      const { block } = valueOf(await client(coach, id))
      const all = await Promise.all(
        Array.from({ length: block!.plan.passes }, (_, pass) =>
          send(coach, block!.id, { pass, version: block!.version, again: false }),
        ),
      )
      return all.every(({ ok }) => ok)
    }
    const had: typeof lines = []
    for (const line of written) if (await sendAll(line)) had.push(line)
    const [one] = had
    const other = written.find(({ client: id }) => id !== one!.client)
    const answer = await take(studio, asked, [other!.client])
    expect(answer.did).not.toContain(other!.name.split(' ')[0])
    const left = await onCable(studio)
    expect(left.some(held => held.startsWith(other!.client))).toBe(true)
    const stuck = one!.details.filter(detail => detail.includes('by hand')).length
    expect(left.filter(held => held.startsWith(one!.client))).toHaveLength(stuck)
    // The sheet has it already: nothing of it is left to send.
    const people = await Promise.all(
      Array.from({ length: 7 }, (_, at) => floorPeople(coach, addDays(today, at), today)),
    )
    const sent = people.flatMap(({ people: all }) =>
      all.filter(({ client: id, sent: isSent }) => id === one!.client && isSent),
    )
    expect(sent.length).toBeGreaterThan(0)
  })

  test('where some are left nobody’s plan changes, and the floor reckons with fewer', async () => {
    const { studio, asked } = await week()
    valueOf(await saveStudio(studio.coach, { stations: { cable: 3 }, house: { coaches: 1 } }))
    const before = await plansOf(studio)
    const fewer = { ...asked, left: 1 } as const
    const { lines } = await look(studio, fewer)
    for (const line of lines) expect(line).toMatchObject({ isWritten: false })
    await take(studio, fewer)
    expect(await plansOf(studio)).toEqual(before)
    const view = await floorDayView(studio.coach, studio.today, studio.today)
    expect(view.stations).toEqual({ cable: 3 })
    expect(view.house).toEqual({
      coaches: 1,
      out: [{ station: 'cable', left: 1, from: fewer.from, to: fewer.to }],
    })
  })

  test('days that are over, and more than six weeks, are refused in words', async () => {
    const { studio, asked } = await week()
    const { coach, today } = studio
    const over = { ...asked, from: addDays(today, -3), to: addDays(today, -1) }
    expect(problemOf(await whatIf(coach, over, today))).toMatchObject({
      errors: [{ detail: 'Those days are over. Choose days to come.' }],
    })
    const long = { ...asked, to: addDays(today, 42) }
    expect(problemOf(await whatIf(coach, long, today))).toMatchObject({
      errors: [{ detail: 'More than 42 days. Choose an earlier last day.' }],
    })
    const nobody = await whatIf(await stranger(), asked, today)
    expect(valueOf(nobody).lines).toEqual([])
  })
})

describe('days without training', () => {
  test.each(['skip', 'shift'] as const)('closed, %s: an event in each block', async effect => {
    const studio = await unitStudio()
    const { coach, today } = studio
    const asked = { kind: 'closed', effect, from: today, to: addDays(today, 2) } as const
    const before = await plansOf(studio)
    const { lines, studio: words } = await look(studio, asked)
    expect(words).toMatch(/^Studio closed from/)
    await take(studio, asked)
    const after = await plansOf(studio)
    const changed = after.filter((plan, at) => plan?.block?.events !== before[at]?.block?.events)
    const withEvents = after.filter(plan =>
      plan?.block?.events?.some(one => one.what === 'Studio closed' && one.effect === effect),
    )
    expect(withEvents).toHaveLength(lines.filter(({ isWritten }) => isWritten).length)
    expect(changed.length).toBeGreaterThan(0)
    const view = await floorDayView(coach, today, today)
    expect(view.house.closed).toEqual([today, addDays(today, 1), addDays(today, 2)])
    expect(view.sessions).toEqual([])
    await undo(studio)
    expect(await plansOf(studio)).toEqual(before)
    expect((await floorDayView(coach, today, today)).house.closed).toBeUndefined()
  })
})

describe('days over a seam', () => {
  test('reach into the next block, in one line, and back by one undo', async () => {
    const studio = await unitStudio()
    const { coach, today } = studio
    const { id } = studio.client('Marit')
    const { block } = valueOf(await client(coach, id, { today }))
    const last = planEnd(block!.plan)
    const next = valueOf(
      await startNextBlock(coach, block!.id, {
        version: block!.version,
        title: 'The next',
        startsOn: addDays(last, 1),
        weeks: 4,
        from: 'first',
        modes: {},
        isCut: false,
      }),
    )
    const asked = { kind: 'closed', effect: 'skip', from: addDays(last, -6), to: addDays(last, 7) }
    const { lines } = await look(studio, asked as WhatIf)
    expect(lines.filter(line => line.client === id)).toHaveLength(1)
    await take(studio, asked as WhatIf)
    const eventsOf = async (of: string) =>
      valueOf(await issued(coach, blockId(of))).plan.block?.events?.map(({ what }) => what) ?? []
    for (const one of [block!.id, next.id]) expect(await eventsOf(one)).toContain('Studio closed')
    await undo(studio)
    for (const one of [block!.id, next.id])
      expect(await eventsOf(one)).not.toContain('Studio closed')
  })
})

describe('counting otherwise', () => {
  const asked = {
    kind: 'credit',
    pattern: 'horizontal_pull',
    group: 'biceps',
    credit: 0.1,
  } as const
  /** What everybody's biceps counts in a week. */
  const biceps = async ({ coach, clients }: UnitStudio) =>
    new Map(
      await Promise.all(
        clients.map(async ({ id }) => {
          const { block, method, facts, library } = valueOf(await client(coach, id))
          const { catalogueWith } = await import('#core/plan/catalogue')
          const context = contextWith(method, facts, catalogueWith(library))
          const week = block
            ? rotationLedger(block.plan.rotation, context).groups.biceps.week.counted.value
            : 0
          return [id, week] as const
        }),
      ),
    )

  test('a credit: for all but who is left out, who keeps the old one', async () => {
    const studio = await unitStudio()
    const before = await biceps(studio)
    const { lines } = await look(studio, asked)
    expect(lines.length).toBeGreaterThan(4)
    const [kept, ...others] = lines
    await take(studio, asked, [kept!.client])
    const after = await biceps(studio)
    expect(after.get(kept!.client)).toBe(before.get(kept!.client))
    for (const { client: id } of others) expect(after.get(id)).toBeLessThan(before.get(id)!)
    await undo(studio)
    expect(await biceps(studio)).toEqual(before)
  })

  test('a credit nobody has is refused with what to do', async () => {
    const studio = await unitStudio()
    const none = { ...asked, group: 'calves' } as const
    expect(problemOf(await whatIf(studio.coach, none, studio.today))).toMatchObject({
      errors: [{ detail: expect.stringContaining('Choose another muscle or movement') }],
    })
  })

  test('a setting of a method: a method of her own that its followers change to', async () => {
    const studio = await unitStudio()
    const methodOf = async (id: UnitStudio['clients'][number]['id']) =>
      valueOf(await client(studio.coach, id)).method
    const held = await methodOf(studio.clients[0]!.id)
    const setting = METHOD_SETTINGS.find(({ path }) => path.join('.') === 'dose.bandScale')!
    const change = {
      kind: 'method',
      method: held.id,
      setting: 'dose.bandScale',
      value: '0.6',
    } as const
    const { lines } = await look(studio, change)
    const [kept, ...others] = lines
    expect(others.length).toBeGreaterThan(0)
    await take(studio, change, [kept!.client])
    expect((await methodOf(kept!.client)).id).toBe(held.id)
    for (const { client: id } of others) {
      const now = await methodOf(id)
      expect(now.id).toMatch(/^own-/)
      expect(settingOf(now, setting)).toBe('0.6')
    }
    await undo(studio)
    expect((await methodOf(others[0]!.client)).id).toBe(held.id)
    const same = { ...change, value: settingOf(held, setting) }
    expect(problemOf(await whatIf(studio.coach, same, studio.today))).toMatchObject({
      errors: [{ detail: 'That is how it is. Choose otherwise.' }],
    })
  })
})
