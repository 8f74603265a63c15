import { randomUUID } from 'node:crypto'
import { read, utils } from '@e965/xlsx'
import { describe, expect, test } from '@jest/globals'
import { addDays, blockId, isoWeekday, DAYS_PER_WEEK } from '#core/base'
import { applyEdits, blockBefore, type PlanDocument, planEnd } from '#core/plan/block'
import { catalogueWith } from '#core/plan/catalogue'
import { contextWith } from '#core/plan/method'
import { daySlots } from '#core/plan/rotation'
import { blockVerdict, expandedBlock } from '#core/design/progress'
import { rowsOfCsv } from '#shared/exports/csv'
import { database } from '../db/database'
import { blockOf } from '../db/queries/blocks'
import { openBlock } from '../db/queries/blockSessions'
import {
  problemOf,
  stranger,
  unitStudio,
  type UnitStudio,
  useTestDatabase,
  valueOf,
} from '../testing/database'
import { issued, openedBlock, send, sentSessions, startNextBlock } from './blocks'
import { roster } from './roster'
import { clientSeason } from './season'
import { saveTargets } from './targets'
import { serverToday } from '../clock'
import { client } from './clients'
import { exportBlock } from './exports'
import { reportPain } from './history'
import { outbox } from './outbox'
import { name, revision, revisions } from './revisions'
import { savePlan } from './savePlan'

useTestDatabase()

const first = { pass: 0, version: 1, again: false }

/** The plan with one set more of its first exercise. */
function withASetMore(plan: PlanDocument): PlanDocument {
  const slot = plan.rotation.days.flatMap(day => daySlots(day))[0]!
  const edited = applyEdits(plan, [{ kind: 'add_sets', slot: slot.id, count: 1 }], randomUUID)
  if (!edited.ok) throw new Error(edited.error.kind)
  return edited.value
}

async function joren(): Promise<UnitStudio & { readonly own: ReturnType<UnitStudio['client']> }> {
  const studio = await unitStudio()
  return { ...studio, own: studio.client('Joren') }
}

describe('saving a plan', () => {
  test('over the version it was made from gives the next, and keeps both', async () => {
    const { coach, own } = await joren()
    const plan = withASetMore(own.plan)
    expect(
      valueOf(await savePlan(coach, { blockId: own.blockId, version: 1, plan })),
    ).toMatchObject({
      version: 2,
    })
    expect((await blockOf(database(), coach.id, own.blockId))?.plan).toEqual(plan)
    expect(valueOf(await revision(coach, own.blockId, 1)).plan).toEqual(own.plan)
    expect(valueOf(await revision(coach, own.blockId, 2)).plan).toEqual(plan)
  })

  test('over an older version writes nothing and says what stands there', async () => {
    const { coach, own } = await joren()
    const plan = withASetMore(own.plan)
    valueOf(await savePlan(coach, { blockId: own.blockId, version: 1, plan }))
    const late = problemOf(
      await savePlan(coach, { blockId: own.blockId, version: 1, plan: own.plan }),
    )
    expect(late).toMatchObject({ kind: 'stale-version', current: { version: 2, plan } })
    expect((await blockOf(database(), coach.id, own.blockId))?.version).toBe(2)
  })

  test('two saves of one version at once: one is taken, one is told', async () => {
    const { coach, own } = await joren()
    const save = { blockId: own.blockId, version: 1, plan: withASetMore(own.plan) }
    const results = await Promise.all([savePlan(coach, save), savePlan(coach, save)])
    expect(results.filter(({ ok }) => ok)).toHaveLength(1)
    expect((await blockOf(database(), coach.id, own.blockId))?.version).toBe(2)
  })

  test('an exercise the library does not have is named with its day', async () => {
    const { coach, own } = await joren()
    const text = JSON.stringify(own.plan).replace(/"exercise":"[a-z_]+"/, '"exercise":"own:gone"')
    const plan = JSON.parse(text) as PlanDocument
    const refused = problemOf(await savePlan(coach, { blockId: own.blockId, version: 1, plan }))
    expect(refused).toMatchObject({ kind: 'invalid', errors: [{ kind: 'custom' }] })
    expect(JSON.stringify(refused)).toMatch(/rotation\/days\/\d.*your library does not have/)
  })

  test('another coach’s block is absent, whatever the plan names', async () => {
    const { own } = await joren()
    const other = await stranger()
    const plan = JSON.parse(
      JSON.stringify(own.plan).replace(/"exercise":"[a-z_]+"/, '"exercise":"own:gone"'),
    ) as PlanDocument
    for (const sent of [own.plan, plan])
      expect(
        problemOf(await savePlan(other, { blockId: own.blockId, version: 1, plan: sent })),
      ).toEqual({ kind: 'not-found', what: 'block' })
  })
})

describe('the history of a plan', () => {
  test('names versions, newest first, and takes a name back', async () => {
    const { coach, own } = await joren()
    valueOf(
      await savePlan(coach, { blockId: own.blockId, version: 1, plan: withASetMore(own.plan) }),
    )
    valueOf(await name(coach, own.blockId, 1, 'Before the regatta'))
    const listed = valueOf(await revisions(coach, own.blockId)).revisions
    expect(listed.map(({ version, name: called }) => [version, called])).toEqual([
      [2, null],
      [1, 'Before the regatta'],
    ])
    valueOf(await name(coach, own.blockId, 1, null))
    expect(valueOf(await revisions(coach, own.blockId)).revisions.at(-1)?.name).toBeNull()
  })

  test('a version nobody saved is not found', async () => {
    const { coach, own } = await joren()
    expect(problemOf(await revision(coach, own.blockId, 9)).kind).toBe('not-found')
    expect(problemOf(await name(coach, own.blockId, 9, 'x')).kind).toBe('not-found')
  })

  test('is nobody else’s', async () => {
    const { own } = await joren()
    const other = await stranger()
    expect(problemOf(await revisions(other, own.blockId)).kind).toBe('not-found')
    expect(problemOf(await revision(other, own.blockId, 1)).kind).toBe('not-found')
  })
})

describe('sending a rotation', () => {
  test('puts every session of it on the sheet and a message into the outbox', async () => {
    const { coach, own } = await joren()
    const { sessions } = valueOf(await send(coach, own.blockId, first))
    const { sent } = valueOf(await sentSessions(coach, own.blockId))
    const trained = own.plan.rotation.days.flatMap(day => day.sessions)
    expect(sessions).toBe(trained.length)
    expect(sent.map(({ pass, setsDone, isDone }) => ({ pass, setsDone, isDone }))).toEqual(
      trained.map(() => ({ pass: 0, setsDone: 0, isDone: false })),
    )
    expect(sent[0]?.on).toBe(own.plan.startsOn)
    const { messages } = valueOf(await outbox(coach))
    expect(messages[0]?.text).toMatch(/^Rotation 1 is on your sheet: /)
  })

  test('a second time only when that is asked for; the sessions keep their places', async () => {
    const { coach, own } = await joren()
    valueOf(await send(coach, own.blockId, first))
    expect(problemOf(await send(coach, own.blockId, first))).toEqual({
      kind: 'already-sent',
      pass: 0,
    })
    const before = valueOf(await sentSessions(coach, own.blockId)).sent.length
    valueOf(await send(coach, own.blockId, { ...first, again: true }))
    expect(valueOf(await sentSessions(coach, own.blockId)).sent).toHaveLength(before)
  })

  test('of an older version is refused with the newer one', async () => {
    const { coach, own } = await joren()
    valueOf(
      await savePlan(coach, { blockId: own.blockId, version: 1, plan: withASetMore(own.plan) }),
    )
    expect(problemOf(await send(coach, own.blockId, first))).toMatchObject({
      kind: 'stale-version',
      current: { version: 2 },
    })
    expect(valueOf(await sentSessions(coach, own.blockId)).sent).toEqual([])
  })

  test('a rotation that the block does not have names how many there are', async () => {
    const { coach, own } = await joren()
    const refused = problemOf(await send(coach, own.blockId, { ...first, pass: 99 }))
    expect(refused).toMatchObject({ kind: 'invalid', errors: [{ pointer: '/pass' }] })
    expect(JSON.stringify(refused)).toContain(`The block has ${own.plan.passes} rotations`)
  })

  test('what was sent stands in the block in the place of the plan, edited or not', async () => {
    const { coach, own } = await joren()
    valueOf(await send(coach, own.blockId, first))
    const plan = withASetMore(own.plan)
    valueOf(await savePlan(coach, { blockId: own.blockId, version: 1, plan }))
    const { expanded } = valueOf(await issued(coach, own.blockId))
    const edited = expanded.passes[0]?.sessions.filter(({ sent }) => sent?.isEdited)
    expect(edited).toHaveLength(1)
    expect(expanded.passes[1]?.sessions.every(({ sent }) => sent === undefined)).toBe(true)
  })

  test('a stranger opens, sends and lists nothing', async () => {
    const { own } = await joren()
    const other = await stranger()
    const absent = { kind: 'not-found', what: 'block' }
    expect(problemOf(await openedBlock(other, own.blockId))).toEqual(absent)
    expect(problemOf(await send(other, own.blockId, first))).toEqual(absent)
    expect(problemOf(await sentSessions(other, own.blockId))).toEqual(absent)
    expect(problemOf(await issued(other, blockId(randomUUID())))).toEqual(absent)
  })
})

describe('the next block', () => {
  const body = (plan: PlanDocument) => ({
    version: 1,
    title: 'Rigging block',
    startsOn: addDays(plan.startsOn, plan.passes * plan.rotation.days.length),
    weeks: 6,
    modes: { chest: 'build' as const },
    from: 'first' as const,
    isCut: false,
  })

  test('waits behind the one before, begins on its day and takes its own priorities along', async () => {
    const { coach, own, client: named } = await joren()
    const other = named('Marit')
    const asked = body(own.plan)
    expect(valueOf(await client(coach, own.id)).before).toBeNull()
    const { id } = valueOf(await startNextBlock(coach, own.blockId, asked))
    const seen = valueOf(await client(coach, own.id))
    expect(seen.block).toMatchObject({
      id,
      version: 1,
      plan: { title: 'Rigging block', startsOn: asked.startsOn },
    })
    expect(seen.facts.modes?.chest).toBe('build')
    expect(seen.before).toEqual(blockBefore(own.plan))
    // Nobody else's block is compared with it.
    expect(valueOf(await client(coach, other.id)).before).toBeNull()
    const [begun] = valueOf(await revisions(coach, blockId(id))).revisions
    expect(begun?.name).toBe('Begun')
  })

  test('while the one before runs, that one is the client’s, and neither takes the other’s emphasis', async () => {
    const { coach, own } = await joren()
    const today = serverToday()
    // The running block has today in it, whatever day the tests run on.
    const since =
      (isoWeekday(today) - isoWeekday(own.plan.startsOn) + DAYS_PER_WEEK) % DAYS_PER_WEEK
    const running = { ...own.plan, startsOn: addDays(today, -since) }
    valueOf(await savePlan(coach, { blockId: own.blockId, version: 1, plan: running }))
    valueOf(await send(coach, own.blockId, { pass: running.passes - 1, version: 2, again: false }))
    const { id } = valueOf(
      await startNextBlock(coach, own.blockId, {
        ...body(running),
        version: 2,
        modes: { triceps: 'maintain' },
      }),
    )
    const seen = valueOf(await client(coach, own.id))
    expect(seen.block).toMatchObject({ id: own.blockId, version: 2 })
    expect(seen.facts.modes?.triceps).not.toBe('maintain')
    const ahead = valueOf(await client(coach, own.id, { block: blockId(id) }))
    expect(ahead.block?.id).toBe(id)
    expect(ahead.facts.modes?.triceps).toBe('maintain')
    expect(ahead.before).toEqual(blockBefore(running))
    // At its end the roster speaks of sending the next one, not of planning it.
    const end = planEnd(running)
    const [entry] = (await roster(coach, end)).clients.filter(({ id: of }) => of === own.id)
    expect(entry!.needs.map(({ kind, to }) => [kind, to])).toContainEqual([
      'not_sent',
      `/clients/${own.id}/block?rotation=1&block=${id}`,
    ])
    expect(entry!.needs.map(({ kind }) => kind)).not.toContain('block_ends')
    expect(
      (await roster(coach, addDays(end, 1))).clients.find(({ id: of }) => of === own.id)?.block,
    ).toMatchObject({ title: 'Rigging block' })
    // Another coach's block is nobody's here.
    expect(problemOf(await client(await stranger(), own.id, { block: blockId(id) })).kind).toBe(
      'not-found',
    )
    const other = valueOf(await clientSeason(coach, own.id, today))
    expect(other.current).toBe(own.blockId)
    // What is carried in is the same on the season page and on the block's own, with a sore joint too.
    const carriedAlike = async () => {
      const page = valueOf(await client(coach, own.id, { block: blockId(id), today }))
      const context = contextWith(page.method, page.facts, catalogueWith(page.library))
      const { arrivals, passes } = blockVerdict(expandedBlock(page.block!.plan, context), context)
      const [seam] = valueOf(await clientSeason(coach, own.id, today)).season.seams
      const { group, readiness, fresh } = seam!.carried!
      expect(arrivals[group].find(({ pass }) => pass === 0)?.readiness).toBeCloseTo(readiness, 9)
      expect(readiness).toBeLessThan(fresh)
      for (const { joint, after } of seam!.joints)
        expect(passes[0]!.joints[joint].week).toBeCloseTo(after, 9)
      return seam
    }
    const calm = await carriedAlike()
    valueOf(
      await reportPain(
        coach,
        own.id,
        {
          joint: 'elbow_extensor_side',
          side: 'left',
          score: 7,
          nextMorning: null,
          hasAlarmSign: false,
          on: today,
        },
        today,
      ),
    )
    const sore = await carriedAlike()
    expect(sore!.kept).toEqual(calm!.kept)
    // The running block has none before it.
    expect(seen.facts.carried).toBeUndefined()
    expect(other.season.blocks.map(({ id: of, state }) => [of, state])).toEqual([
      [own.blockId, 'running'],
      [id, 'ahead'],
    ])
  })

  test('what the profile says comes first ends the emphasis of the block of today', async () => {
    const { coach, own } = await joren()
    const plan = { ...own.plan, emphasis: { chest: 'build' as const } }
    valueOf(await savePlan(coach, { blockId: own.blockId, version: 1, plan }))
    expect(valueOf(await client(coach, own.id)).facts.modes?.chest).toBe('build')
    valueOf(
      await saveTargets(coach, own.id, {
        bands: {},
        modes: { chest: 'maintain' },
        ratioWish: null,
      } as unknown as Parameters<typeof saveTargets>[2]),
    )
    const seen = valueOf(await client(coach, own.id))
    expect([seen.facts.modes?.chest, seen.block?.plan.emphasis]).toEqual(['maintain', undefined])
    // The save is kept like any other.
    expect(valueOf(await revisions(coach, own.blockId)).revisions[0]?.version).toBe(
      seen.block?.version,
    )
  })

  test('targets saved as they are shown leave the emphasis with its block, and no other block has it', async () => {
    const { coach, own } = await joren()
    const plan = { ...own.plan, emphasis: { triceps: 'maintain' as const } }
    valueOf(await savePlan(coach, { blockId: own.blockId, version: 1, plan }))
    const shown = valueOf(await client(coach, own.id)).facts.modes
    valueOf(
      await saveTargets(coach, own.id, {
        bands: {},
        modes: shown,
        ratioWish: 1.2,
      } as unknown as Parameters<typeof saveTargets>[2]),
    )
    const seen = valueOf(await client(coach, own.id))
    expect(seen.block?.plan.emphasis).toEqual({ triceps: 'maintain' })
    // The next one begins with the profile's word where nothing else is said of it.
    const { id } = valueOf(
      await startNextBlock(coach, own.blockId, { ...body(own.plan), version: 2, modes: {} }),
    )
    const next = valueOf(await client(coach, own.id, { block: blockId(id) })).block!
    const { emphasis: _, ...bare } = next.plan
    valueOf(await savePlan(coach, { blockId: blockId(id), version: 1, plan: bare }))
    const { blocks } = valueOf(await clientSeason(coach, own.id, own.plan.startsOn)).season
    expect(blocks.map(({ modes }) => modes.triceps)).toEqual(['maintain', 'build'])
  })

  test('over the running one is refused with its days, and may cut it where that is wanted', async () => {
    const { coach, own } = await joren()
    const { plan } = own
    const startsOn = addDays(planEnd(plan), -1)
    const asked = { ...body(plan), startsOn }
    const refused = problemOf(await startNextBlock(coach, own.blockId, asked))
    expect(refused).toMatchObject({
      kind: 'invalid',
      errors: [{ pointer: '/startsOn', detail: expect.stringContaining('or let it end earlier') }],
    })
    const pass = plan.passes - 1
    valueOf(await send(coach, own.blockId, { ...first, pass }))
    valueOf(await startNextBlock(coach, own.blockId, { ...asked, isCut: true }))
    const cut = (await blockOf(database(), coach.id, own.blockId))!
    expect(cut.version).toBe(2)
    expect(planEnd(cut.plan) < startsOn).toBe(true)
    expect(cut.plan.passes).toBe(plan.passes - 1)
    // What was sent for the days that are cut off, and not begun, is off the sheet.
    const left = valueOf(await sentSessions(coach, own.blockId)).sent
    expect(left.every(({ on }) => on < startsOn)).toBe(true)
    const [named] = valueOf(await revisions(coach, own.blockId)).revisions
    expect(named?.name).toBe('Cut for the next block')
  })

  test('a plan cannot be made to lie over the next one, and may be saved otherwise', async () => {
    const { coach, own } = await joren()
    valueOf(await startNextBlock(coach, own.blockId, body(own.plan)))
    const longer = { ...own.plan, passes: own.plan.passes + 1 }
    expect(
      problemOf(await savePlan(coach, { blockId: own.blockId, version: 1, plan: longer })),
    ).toMatchObject({ kind: 'invalid', errors: [{ pointer: '/plan/startsOn' }] })
    valueOf(
      await savePlan(coach, { blockId: own.blockId, version: 1, plan: withASetMore(own.plan) }),
    )
    const shorter = { ...withASetMore(own.plan), passes: own.plan.passes - 1 }
    valueOf(await savePlan(coach, { blockId: own.blockId, version: 2, plan: shorter }))
  })

  test('cannot begin before the one it follows, and says when that was', async () => {
    const { coach, own } = await joren()
    const early = { ...body(own.plan), startsOn: own.plan.startsOn }
    const refused = problemOf(await startNextBlock(coach, own.blockId, early))
    expect(refused).toMatchObject({ kind: 'invalid', errors: [{ pointer: '/startsOn' }] })
    expect(await openBlock(database(), coach.id, own.blockId)).toBeDefined()
  })

  test('from an older version leaves the block open', async () => {
    const { coach, own } = await joren()
    valueOf(
      await savePlan(coach, { blockId: own.blockId, version: 1, plan: withASetMore(own.plan) }),
    )
    expect(problemOf(await startNextBlock(coach, own.blockId, body(own.plan))).kind).toBe(
      'stale-version',
    )
    expect(valueOf(await client(coach, own.id)).block?.id).toBe(own.blockId)
  })
})

describe('files of a block', () => {
  test('as a spreadsheet it has the same rows as its tables, the loads as the screen has them, and no formulas', async () => {
    const { coach, own } = await joren()
    const today = serverToday()
    const file = valueOf(await exportBlock(coach, own.blockId, 'xlsx', today))
    const book = read(file.text as Buffer, { type: 'buffer' })
    expect(book.SheetNames).toEqual(['Plan', 'Sets', 'Effort', 'Loads', 'Log'])
    const rowsIn = (name: string) =>
      utils.sheet_to_json<Record<string, unknown>>(book.Sheets[name]!)
    const csv = rowsOfCsv(
      valueOf(await exportBlock(coach, own.blockId, 'csv', today)).text as string,
    )
    expect(rowsIn('Plan').map(({ scheme }) => scheme)).toEqual(csv.rows.map(({ scheme }) => scheme))
    expect(Object.keys(rowsIn('Loads')[0]!)).toContain('rotation_1')
    for (const name of book.SheetNames)
      for (const row of rowsIn(name))
        for (const cell of Object.values(row)) expect(String(cell)).not.toMatch(/^[=+@]/)
  })
  test.each(['csv', 'json', 'calendar'] as const)('%s has every session and a name', async kind => {
    const { coach, own } = await joren()
    const file = valueOf(await exportBlock(coach, own.blockId, kind, serverToday()))
    expect(file.name).toMatch(/\.(csv|json|ics)$/)
    expect(file.text.length).toBeGreaterThan(500)
  })

  test('are nobody else’s', async () => {
    const { own } = await joren()
    expect(
      problemOf(await exportBlock(await stranger(), own.blockId, 'csv', serverToday())).kind,
    ).toBe('not-found')
  })
})
