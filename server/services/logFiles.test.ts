import { describe, expect, test } from '@jest/globals'
import { addDays, blockId, exerciseId, type PlainDate } from '#core/base'
import { planEnd } from '#core/plan/block'
import type { ClientDocument } from '#shared/contracts/clientDocument'
import type { ImportLogBody } from '#shared/contracts/log'
import {
  problemOf,
  stranger,
  unitStudio,
  type UnitStudio,
  useTestDatabase,
  valueOf,
} from '../testing/database'
import { startNextBlock } from './blocks'
import { exportClient, importClient } from './clientDocument'
import { client } from './clients'
import { history, strengths } from './history'
import { logList } from './log'
import { exportLog, importLog } from './logImport'
import { profile, saveProfile } from './profiles'
import { clientSeason } from './season'

useTestDatabase()

type ImportedSet = ImportLogBody['sets'][number]

const setOn = (on: PlainDate, more: Partial<ImportedSet> = {}): ImportedSet => ({
  on,
  session: 'Harbour gym',
  exercise: exerciseId('cable_curl'),
  intent: null,
  set: 1,
  stage: 1,
  side: null,
  role: 'working',
  load: { amount: 20, unit: 'kg' },
  reps: 10,
  seconds: null,
  rir: 1,
  isRirOpen: false,
  ...more,
})

/** A day of the last weeks on which Emil did nothing. */
async function freeDay({ coach, client: of, today }: UnitStudio): Promise<PlainDate> {
  const { sessions } = valueOf(await logList(coach, of('Emil').id, today))
  const taken = new Set(sessions.map(({ on }) => on))
  const days = Array.from({ length: 30 }, (_, back) => addDays(today, -(back + 2)))
  return days.find(day => !taken.has(day))!
}

describe('a log from a file', () => {
  test('on trial says what would come of it and writes nothing', async () => {
    const studio = await unitStudio()
    const { id } = studio.client('Emil')
    const on = await freeDay(studio)
    const body = { isTrial: true, sets: [setOn(on), setOn(on, { set: 2 })] }
    expect(valueOf(await importLog(studio.coach, id, body))).toEqual({
      sets: 2,
      found: 0,
      added: 1,
      questions: [],
    })
    const { sessions } = valueOf(await logList(studio.coach, id, studio.today))
    expect(sessions.some(session => session.on === on)).toBe(false)
  })

  test('figures far outside the client’s own are asked about, by row; with them or without, nothing is lost', async () => {
    const studio = await unitStudio()
    const { coach, client: of } = studio
    const { id } = of('Emil')
    const on = await freeDay(studio)
    const usual = [1, 2, 3].map(set => setOn(addDays(on, -14), { set }))
    valueOf(await importLog(coach, id, { isTrial: false, sets: usual }))
    const sets = [
      setOn(on),
      setOn(on, { set: 2, load: { amount: 200, unit: 'kg' } }),
      setOn(on, { set: 3, reps: 100 }),
      setOn(on, { set: 4, load: { amount: 4, unit: 'kg' }, role: 'warmup' }),
      setOn(on, { set: 5, stage: 2, load: { amount: 4, unit: 'kg' } }),
    ]
    const trial = valueOf(await importLog(coach, id, { isTrial: true, sets }))
    expect(trial.questions).toEqual([
      { row: 2, detail: 'Load: 200 kg is far from the usual 20 kg.' },
      { row: 3, detail: 'Reps: 100 is far from the usual 10.' },
    ])
    expect(valueOf(await importLog(coach, id, { isTrial: false, sets })).sets).toBe(5)
  })

  test('taken in, the day has a session that is done, with its sets and its strength', async () => {
    const studio = await unitStudio()
    const { coach, client: of, today } = studio
    const { id } = of('Emil')
    const on = await freeDay(studio)
    const sets = [setOn(on), setOn(on, { set: 2, reps: 9 })]
    valueOf(await importLog(coach, id, { isTrial: false, sets }))
    const past = valueOf(await history(coach, id, today)).sessions
    expect(past.find(session => session.on === on)).toMatchObject({
      name: 'Harbour gym',
      state: 'done',
      setsDone: 2,
    })
    const { strengths: strong } = valueOf(await strengths(coach, id, today))
    expect(strong.find(({ exercise }) => exercise === 'cable_curl')?.kg).toBeGreaterThan(20)
  })

  test('pounds are kept as they were said, and counted in kilograms', async () => {
    const studio = await unitStudio()
    const { coach, client: of } = studio
    const on = await freeDay(studio)
    const sets = [setOn(on, { load: { amount: 45, unit: 'lb' } })]
    valueOf(await importLog(coach, of('Emil').id, { isTrial: false, sets }))
    const { text } = valueOf(await exportLog(coach, of('Emil').id))
    const row = text.split('\n').find(line => line.startsWith(on))
    expect(row).toContain('45')
    expect(row).toContain('lb')
  })

  test('a session that has a log already is not written over; all or nothing', async () => {
    const studio = await unitStudio()
    const { coach, client: of, today } = studio
    const { id } = of('Emil')
    const on = await freeDay(studio)
    valueOf(await importLog(coach, id, { isTrial: false, sets: [setOn(on)] }))
    const other = addDays(on, -200)
    const again = await importLog(coach, id, { isTrial: false, sets: [setOn(other), setOn(on)] })
    expect(problemOf(again)).toMatchObject({
      kind: 'invalid',
      errors: [{ pointer: '/sets/1/on', kind: 'already-logged' }],
    })
    const { sessions } = valueOf(await logList(coach, id, today))
    expect(sessions.some(session => session.on === other)).toBe(false)
  })

  test('an exercise the library lacks is named at its row', async () => {
    const studio = await unitStudio()
    const on = await freeDay(studio)
    const sets = [setOn(on), setOn(on, { set: 2, exercise: exerciseId('no_such_thing') })]
    const refused = await importLog(studio.coach, studio.client('Emil').id, {
      isTrial: false,
      sets,
    })
    expect(problemOf(refused)).toMatchObject({ errors: [{ pointer: '/sets/1/exercise' }] })
  })

  test('goes to one’s own clients only', async () => {
    const studio = await unitStudio()
    const other = await stranger()
    const { id } = studio.client('Emil')
    const body = { isTrial: false, sets: [setOn(studio.today)] }
    expect(problemOf(await importLog(other, id, body)).kind).toBe('not-found')
    expect(problemOf(await exportLog(other, id)).kind).toBe('not-found')
  })
})

describe('a client as a file', () => {
  const out = async ({ coach, client: of }: UnitStudio, name = 'Joren') =>
    valueOf(await exportClient(coach, of(name).id, 'without'))

  test('goes out without screening answers unless they are asked for', async () => {
    const studio = await unitStudio()
    const { coach, client: of } = studio
    const without = JSON.stringify(await out(studio))
    const withAnswers = valueOf(await exportClient(coach, of('Joren').id, 'with'))
    expect(without).not.toMatch(/"answers":\{"[a-z]/)
    expect(JSON.stringify(withAnswers)).toMatch(/"answers":\{"[a-z]/)
  })

  test('comes back under another name as it was: plan, log, measurements', async () => {
    const studio = await unitStudio({ logsOf: ['Joren'] })
    const { coach, client: of, today } = studio
    const { id } = of('Joren')
    const document = await out(studio)
    const before = {
      history: valueOf(await history(coach, id, today)),
      plan: valueOf(await client(coach, id)).block?.plan,
    }
    // A name is borne once: the one that was there gives way.
    const profileBefore = valueOf(await profile(coach, id))
    valueOf(await saveProfile(coach, id, { ...profileBefore, name: 'Joren before' }))
    const { id: copy } = valueOf(await importClient(coach, document as ClientDocument))
    expect(copy).not.toBe(id)
    const after = valueOf(await history(coach, copy, today))
    const told = ({ on, name, state, setsDone }: (typeof after.sessions)[number]) => [
      on,
      name,
      state,
      setsDone,
    ]
    expect(after.sessions.map(told)).toEqual(before.history.sessions.map(told))
    expect(after.measurements.map(({ on, kind, value }) => [on, kind, value])).toEqual(
      before.history.measurements.map(({ on, kind, value }) => [on, kind, value]),
    )
    const plan = valueOf(await client(coach, copy)).block?.plan
    expect(plan?.rotation.days.length).toBe(before.plan?.rotation.days.length)
    expect(plan?.title).toBe(before.plan?.title)
  })

  test('a client with a block ahead comes back with both', async () => {
    const studio = await unitStudio()
    const { coach, client: of } = studio
    const running = valueOf(await client(coach, of('Joren').id)).block!
    const next = {
      version: 1,
      title: 'Rigging block',
      startsOn: addDays(planEnd(running.plan), 1),
      weeks: 6,
      modes: {},
      from: 'first' as const,
      isCut: false,
    }
    valueOf(await startNextBlock(coach, blockId(running.id), next))
    const { id } = valueOf(await importClient(coach, (await out(studio)) as ClientDocument))
    const { season } = valueOf(await clientSeason(coach, id, studio.today))
    expect(season.blocks.map(({ title }) => title)).toEqual([running.plan.title, 'Rigging block'])
  })

  test('is one’s own to export', async () => {
    const studio = await unitStudio()
    const other = await stranger()
    expect(problemOf(await exportClient(other, studio.client('Joren').id, 'with')).kind).toBe(
      'not-found',
    )
  })
})
