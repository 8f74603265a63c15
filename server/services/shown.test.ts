import { describe, expect, test } from '@jest/globals'
import { GROUP_NAMES, JOINT_NAMES } from '#core/words'
import type { NewShownBody } from '#shared/contracts/shown'
import type { z } from 'zod'
import {
  problemOf,
  stranger,
  unitStudio,
  type UnitStudio,
  useTestDatabase,
  valueOf,
} from '../testing/database'
import { lastChanges, recorded, undoChange } from './changes'
import { client } from './clients'
import { archiveClient } from './archive'
import { lookAt, makeShown, openShown, shownCalendar, shownLinksOf, withdrawShown } from './shown'

useTestDatabase()

type Body = z.output<typeof NewShownBody>
const PLAN: Body = { kind: 'plan', block: null, pass: null, withHealth: false, days: 30 }
const tokenOf = ({ path }: { path: string }) =>
  path
    .split(/[#/]/)
    .at(-1)!
    .replace(/\.ics$/, '')

async function shown(more: Partial<Body> = {}) {
  const studio = await unitStudio({ logsOf: ['Ines'] })
  const { id } = studio.client('Ines')
  const made = await make(studio, id, more)
  return { studio, id, token: tokenOf(made), path: made.path }
}
const make = async (
  { coach }: UnitStudio,
  id: UnitStudio['clients'][number]['id'],
  more: Partial<Body>,
) =>
  valueOf(
    await recorded(coach, { clientId: id, kind: 'shown' }, () =>
      makeShown(coach, id, { ...PLAN, ...more }),
    ),
  )
const open = async (token: string) => valueOf(await openShown(token, '192.0.2.7'))
const look = async (token: string) => valueOf(await lookAt(await open(token)))

describe('an address to look at', () => {
  test('shows the plan of the day, rotation by rotation, and only the first name', async () => {
    const { studio, id, token, path } = await shown()
    expect(path).toMatch(/^\/shown#[\w-]{32}$/)
    const seen = await look(token)
    const { block, name } = valueOf(await client(studio.coach, id, { today: studio.today }))
    expect(seen.tables).toHaveLength(block!.plan.passes)
    expect(seen.title).toBe(`${block!.plan.title}, ${name.split(' ')[0]}`)
    expect(JSON.stringify(seen)).not.toContain(name.split(' ').at(-1))
    for (const { heads, rows } of seen.tables)
      for (const row of rows) expect(row).toHaveLength(heads.length)
  })

  test('shows one rotation where it is for one', async () => {
    const { token } = await shown({ kind: 'rotation', pass: 1 })
    expect((await look(token)).tables.map(({ title }) => title)).toEqual(['Rotation 2'])
  })

  test('shows of a report no pain, no measurement and no reason unless it was ticked', async () => {
    const { studio, id, token } = await shown({ kind: 'report' })
    const calm = await look(token)
    const whole = await look(tokenOf(await make(studio, id, { kind: 'report', withHealth: true })))
    const titles = (of: typeof calm) => of.tables.map(({ title }) => title)
    expect(titles(calm)).toEqual(expect.arrayContaining(['Done']))
    expect(titles(calm)).not.toEqual(expect.arrayContaining(['Pain told']))
    expect(titles(whole)).toEqual(expect.arrayContaining([...titles(calm), 'Pain told']))
    const text = JSON.stringify(calm).toLowerCase()
    for (const joint of Object.values(JOINT_NAMES)) expect(text).not.toContain(joint.toLowerCase())
    expect(text).not.toContain('pain')
    expect(Object.values(GROUP_NAMES).length).toBeGreaterThan(5)
  })

  test('is told once, listed without it, withdrawn, and back by undo', async () => {
    const { studio, id, token } = await shown()
    const { links } = valueOf(await shownLinksOf(studio.coach, id))
    expect(JSON.stringify(links)).not.toContain(token)
    expect(links[0]).toMatchObject({ words: 'The plan', seenAt: null, isOver: false })
    await look(token)
    expect(valueOf(await shownLinksOf(studio.coach, id)).links[0]?.seenAt).not.toBeNull()
    valueOf(
      await recorded(studio.coach, { clientId: id, kind: 'shown' }, () =>
        withdrawShown(studio.coach, id, links[0]!.id),
      ),
    )
    expect(problemOf(await openShown(token, '192.0.2.8')).kind).toBe('not-found')
    const { undo } = valueOf(await lastChanges(studio.coach, id))
    valueOf(await undoChange(studio.coach, id, undo!.id))
    await look(token)
  })

  test('of somebody who was put away is none, nor is one that ran out', async () => {
    const { studio, id, token } = await shown({ days: null })
    valueOf(await archiveClient(studio.coach, id))
    expect(problemOf(await openShown(token, '192.0.2.9')).kind).toBe('not-found')
  })

  test('nobody guesses one: after thirty tries an address hears no more', async () => {
    const { token } = await shown()
    const tries = []
    for (let at = 0; at < 32; at++)
      tries.push(await openShown(`${'x'.repeat(30)}${at}`, '192.0.2.66'))
    expect(problemOf(tries[0]!).kind).toBe('not-found')
    expect(problemOf(tries.at(-1)!).kind).toBe('too-many-attempts')
    expect(problemOf(await openShown(token, '192.0.2.66')).kind).toBe('too-many-attempts')
    await look(token)
  })

  test('another coach makes, lists and withdraws none', async () => {
    const { studio, id } = await shown()
    const other = await stranger()
    expect(problemOf(await makeShown(other, id, PLAN)).kind).toBe('not-found')
    expect(problemOf(await shownLinksOf(other, id)).kind).toBe('not-found')
    const [link] = valueOf(await shownLinksOf(studio.coach, id)).links
    expect(problemOf(await withdrawShown(other, id, link!.id)).kind).toBe('not-found')
    const { block } = valueOf(await client(studio.coach, studio.client('Joren').id))
    const foreign = await makeShown(studio.coach, id, { ...PLAN, block: block!.id })
    expect(problemOf(foreign).kind).toBe('not-found')
  })
})

describe('a calendar to subscribe to', () => {
  test('has the sessions with their hours; a page’s address opens none, nor the other way', async () => {
    const { studio, id, token, path } = await shown({ kind: 'calendar', days: null })
    expect(path).toMatch(/^\/api\/calendar\/[\w-]{32}\.ics$/)
    const text = valueOf(await shownCalendar(await open(token)))
    expect(text).toMatch(/^BEGIN:VCALENDAR/)
    expect(text.match(/BEGIN:VEVENT/g)!.length).toBeGreaterThan(5)
    expect(text).toMatch(/DTSTART:\d{8}T\d{6}/)
    expect(problemOf(await lookAt(await open(token))).kind).toBe('not-found')
    const plan = tokenOf(await make(studio, id, {}))
    expect(problemOf(await shownCalendar(await open(plan))).kind).toBe('not-found')
  })
})
