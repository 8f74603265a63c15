import { randomUUID } from 'node:crypto'
import { describe, expect, test } from '@jest/globals'
import { sql } from 'drizzle-orm'
import { addDays, type ClientId, exerciseId, type PlainDate, type Result } from '#core/base'
import { applyEdits, type PlanDocument, type PlanEdit } from '#core/plan/block'
import { daySlots } from '#core/plan/rotation'
import { type Session, sessionSlots } from '#core/plan/session'
import type { LogWord } from '#core/follow/sheet'
import type { ChangeKind } from '#core/words'
import type { Problem } from '#shared/contracts/problem'
import { currentTime } from '../clock'
import { database } from '../db/database'
import { blockOf } from '../db/queries/blocks'
import { RECORDED_TABLES } from '../db/queries/rowImages'
import {
  problemOf,
  stranger,
  unitStudio,
  type UnitStudio,
  useTestDatabase,
  valueOf,
} from '../testing/database'
import { markClient } from './archive'
import { send, startNextBlock } from './blocks'
import { changesFor, lastChanges, recorded, redoChange, undoChange } from './changes'
import { addMeasurement, removeMeasurement, reportPain } from './history'
import { changeCredits } from './library'
import { coachEntries } from './log'
import { importLog } from './logImport'
import { writeMessage } from './outbox'
import { followMethod, profile, saveProfile } from './profiles'
import { makePractice } from './practice'
import { chooseReplan, decideProposal, review } from './review'
import { savePlan } from './savePlan'
import { saveTargets } from './targets'

useTestDatabase()

/** Columns that only grow, so that what was computed from an older state is known to be old. */
const COUNTING = sql.raw(
  `array['revision', 'training_revision', 'version', 'saved_at', 'position']`,
)

/** Every row that undo is about, as it stands. */
async function everything({ coach }: UnitStudio): Promise<unknown> {
  const tables = RECORDED_TABLES.filter(name => name !== 'coaches')
  const rows = await Promise.all(
    tables.map(async name => [
      name,
      await database().execute(
        sql`select to_jsonb(t) - ${COUNTING} as row from ${sql.identifier(name)} t where coach_id = ${coach.id} order by (to_jsonb(t) - ${COUNTING})::text`,
      ),
    ]),
  )
  return JSON.parse(JSON.stringify(Object.fromEntries(rows)))
}

const edited = (plan: PlanDocument, ...edits: readonly PlanEdit[]): PlanDocument =>
  valueOf(applyEdits(plan, edits, randomUUID) as Result<PlanDocument, Problem>)

interface Desk extends UnitStudio {
  readonly id: ClientId
  readonly blockId: ReturnType<UnitStudio['client']>['blockId']
  readonly plan: () => Promise<{ readonly plan: PlanDocument; readonly version: number }>
  readonly does: (
    kind: ChangeKind,
    work: () => Promise<Result<unknown, Problem>>,
  ) => Promise<unknown>
  readonly savesSets: (day: number, count: number) => Promise<unknown>
  readonly last: () => Promise<string>
}

async function desk(name = 'Joren', told: Parameters<typeof unitStudio>[0] = {}): Promise<Desk> {
  const studio = await unitStudio(told)
  const { id, blockId } = studio.client(name)
  const plan = async () => {
    const block = await blockOf(database(), studio.coach.id, blockId)
    if (!block) throw new Error('no block')
    return block
  }
  const does: Desk['does'] = async (kind, work) =>
    valueOf(await recorded(studio.coach, { clientId: id, kind }, work))
  const savesSets = async (day: number, count: number) => {
    const { plan: before, version } = await plan()
    const [slot] = daySlots(before.rotation.days[day]!)
    const next = edited(before, { kind: 'add_sets', slot: slot!.id, count })
    return does('plan', () => savePlan(studio.coach, { blockId, version, plan: next }))
  }
  const last = async () => {
    const { undo } = valueOf(await lastChanges(studio.coach, id))
    if (!undo) throw new Error('nothing to take back')
    return undo.id
  }
  return { ...studio, id, blockId, plan, does, savesSets, last }
}

const trainingDays = (plan: PlanDocument): readonly number[] =>
  plan.rotation.days.flatMap((day, at) => (daySlots(day).length > 0 ? [at] : []))

test('whatever was done, taken back step by step everything is as it was, and done again as it became', async () => {
  const of = await desk()
  const { coach, id, blockId, today } = of
  const [first = 0] = trainingDays((await of.plan()).plan)
  const known = valueOf(await profile(coach, id))
  const sore = {
    joint: 'elbow_flexor_side' as const,
    side: 'left' as const,
    score: 3,
    nextMorning: null,
    hasAlarmSign: false,
    on: today,
  }
  const girth = { on: today, kind: 'upper_arm_left' as const, value: 38.5 }
  const deeds: readonly (readonly [ChangeKind, () => Promise<Result<unknown, Problem>>])[] = [
    ['marks', () => markClient(coach, id, { isFlagged: true, laterUntil: null })],
    ['measurement', () => addMeasurement(coach, id, girth, today)],
    ['profile', () => saveProfile(coach, id, { ...known, about: 'rows at dawn' })],
    ['method', () => followMethod(coach, id, { method: 'own-arm-day' })],
    ['message', () => writeMessage(coach, id, 'See you on Tuesday')],
    [
      'sent',
      async () => {
        const { version } = await of.plan()
        return send(coach, blockId, { pass: 0, version, again: true })
      },
    ],
    ['pain', () => reportPain(coach, id, sore, today)],
    [
      'next_block',
      async () => {
        const { version } = await of.plan()
        return startNextBlock(coach, blockId, {
          version,
          title: 'After',
          startsOn: addDays(today, 60),
          weeks: 4,
          from: 'first',
          modes: {},
          isCut: true,
        })
      },
    ],
  ]
  const stands = [await everything(of)]
  await of.savesSets(first, 1)
  stands.push(await everything(of))
  for (const [kind, work] of deeds) {
    await of.does(kind, work)
    stands.push(await everything(of))
  }
  for (const before of stands.slice(0, -1).reverse()) {
    valueOf(await undoChange(coach, id, await of.last()))
    expect(await everything(of)).toEqual(before)
  }
  for (const after of stands.slice(1)) {
    const { redo } = valueOf(await lastChanges(coach, id))
    valueOf(await redoChange(coach, id, redo!.id))
    expect(await everything(of)).toEqual(after)
  }
})

/** Does a deed, takes it back, does it again: what stands is compared row by row. */
async function backAndForth(of: Desk, kind: ChangeKind, work: () => Promise<unknown>) {
  const before = await everything(of)
  await of.does(kind, work as () => Promise<Result<unknown, Problem>>)
  const after = await everything(of)
  expect(after).not.toEqual(before)
  valueOf(await undoChange(of.coach, of.id, await of.last()))
  expect(await everything(of)).toEqual(before)
  const { redo } = valueOf(await lastChanges(of.coach, of.id))
  valueOf(await redoChange(of.coach, of.id, redo!.id))
  expect(await everything(of)).toEqual(after)
}

describe('what the log and the review do', () => {
  const now = () => currentTime().toISOString()
  const heard = (session: string, words: readonly LogWord[]) => ({
    sentAt: now(),
    entries: words.map(word => ({ id: randomUUID(), session, at: now(), word })),
  })
  /** The first working set of a session, done with so many reps. */
  function setDone(content: Session, reps: number, replaces: string | null = null): LogWord {
    const [slot] = sessionSlots(content)
    return {
      kind: 'set',
      replaces,
      place: { slot: slot!.id, role: 'working', set: 1, stage: 1, side: null },
      done: {
        exercise: slot!.exercise,
        intent: slot!.intent,
        load: { amount: 20, unit: 'kg' },
        reps,
        seconds: null,
        rir: 1,
        isRirOpen: false,
      },
    }
  }
  const finished: LogWord = {
    kind: 'finish',
    minutes: 40,
    isRecovered: true,
    recovery: 8,
    note: 'from paper',
  }

  async function withLog(name: string) {
    const today = now().slice(0, 10) as PlainDate
    const of = await desk(name, { logsOf: [name], today })
    const [row] = await database().execute(
      sql`select id, prescribed from dated_sessions where coach_id = ${of.coach.id} and client_id = ${of.id} and "on" <= ${today} and sent_at is not null order by (finished_at is null) desc, "on" desc limit 1`,
    )
    return { of, today, session: String(row!.id), content: row!.prescribed as Session }
  }

  test('entries from paper, a session closed, and a set put right', async () => {
    const { of, today, session, content } = await withLog('Ines')
    const said = (words: readonly LogWord[]) => () =>
      coachEntries(of.coach, of.id, session, heard(session, words), today)
    await backAndForth(of, 'log', said([setDone(content, 9)]))
    await backAndForth(of, 'log', said([finished]))
    await backAndForth(of, 'log', said([setDone(content, 7)]))
  })

  test('a missed session let go, a way chosen for it, a proposal taken and one refused', async () => {
    const { of, today } = await withLog('Ines')
    const view = valueOf(await review(of.coach, of.id, 'latest', today))
    const [missed] = view.missed
    const { version } = await of.plan()
    const choice = { session: missed!.id, option: view.replans[0]!.option, version }
    await backAndForth(of, 'replan', () =>
      chooseReplan(of.coach, of.id, 'latest', choice as never, today),
    )
    for (const decision of ['taken', 'refused'] as const) {
      const now = valueOf(await review(of.coach, of.id, 'latest', today))
      expect(now.open.length).toBeGreaterThan(0)
      const body = {
        key: now.open[0],
        decision,
        isOnce: false,
        reason: 'x',
        version: now.block.version,
      }
      await backAndForth(of, 'decision', () =>
        decideProposal(of.coach, of.id, 'latest', body as never, today),
      )
    }
  })

  test('an imported log, targets, an exercise avoided, and a practice client', async () => {
    const { of, today } = await withLog('Joren')
    const on = addDays(today, -100)
    const set = {
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
    }
    await backAndForth(of, 'import', () =>
      importLog(of.coach, of.id, { isTrial: false, sets: [set] } as never),
    )
    const targets = {
      modes: { biceps: 'build' },
      bands: { triceps: { floor: 9, target: 14, ceiling: 20 } },
      headFloors: {},
      frequencyMin: {},
      sessionMax: {},
      jointCeilings: {},
      ratioWish: 0.9,
    }
    await backAndForth(of, 'targets', () => saveTargets(of.coach, of.id, targets as never))
    await backAndForth(of, 'practice', () => makePractice(of.coach, of.id, today))
  })
})

describe('steps of the plan', () => {
  test('undo on the board is the undo of the change, not a change of its own', async () => {
    const of = await desk()
    const [day = 0] = trainingDays((await of.plan()).plan)
    const begun = (await of.plan()).plan
    await of.savesSets(day, 1)
    await of.savesSets(day, 2)
    const { plan: changed, version } = await of.plan()
    await of.does('plan', () => savePlan(of.coach, { blockId: of.blockId, version, plan: begun }))
    const taken = valueOf(await changesFor(of.coach, of.id))
    expect(taken.changes.map(({ isUndone }) => isUndone)).toEqual([true, true])
    expect(valueOf(await lastChanges(of.coach, of.id)).undo).toBeNull()
    const next = (await of.plan()).version
    await of.does('plan', () =>
      savePlan(of.coach, { blockId: of.blockId, version: next, plan: changed }),
    )
    const again = valueOf(await changesFor(of.coach, of.id))
    expect(again.changes.map(({ isUndone }) => isUndone)).toEqual([false, false])
  })

  test('what was changed since on another day stays when an earlier change is taken back', async () => {
    const of = await desk()
    const [first = 0, second = 1] = trainingDays((await of.plan()).plan)
    const before = (await of.plan()).plan
    await of.savesSets(first, 1)
    // Another window, whose save nobody recorded.
    const { plan: now, version } = await of.plan()
    const slot = daySlots(now.rotation.days[second]!)[0]!
    const theirs = edited(now, { kind: 'add_sets', slot: slot.id, count: 1 })
    valueOf(await savePlan(of.coach, { blockId: of.blockId, version, plan: theirs }))
    valueOf(await undoChange(of.coach, of.id, await of.last()))
    const { plan } = await of.plan()
    expect(plan.rotation.days[first]).toEqual(before.rotation.days[first])
    expect(plan.rotation.days[second]).toEqual(theirs.rotation.days[second])
  })

  test('says what it changed', async () => {
    const of = await desk()
    const [day = 0] = trainingDays((await of.plan()).plan)
    await of.savesSets(day, 1)
    const { changes } = valueOf(await changesFor(of.coach, of.id))
    expect(changes[0]).toMatchObject({ did: 'change of the plan', place: 'Plan', by: 'Test Coach' })
    expect(changes[0]?.detail).toMatch(/^day \d .+ \d+ → \d+ sets$/)
  })
})

describe('a sending', () => {
  async function sentToJoren() {
    const of = await desk()
    const { version } = await of.plan()
    await of.does('sent', () => send(of.coach, of.blockId, { pass: 3, version, again: true }))
    return of
  }

  test('can be taken back until the client has opened it, and then says why not', async () => {
    const of = await sentToJoren()
    const change = await of.last()
    await database().execute(
      sql`update dated_sessions set opened_at = now() where coach_id = ${of.coach.id} and pass = 3`,
    )
    expect(problemOf(await undoChange(of.coach, of.id, change))).toMatchObject({
      errors: [{ detail: expect.stringContaining('The client has opened it') }],
    })
    await database().execute(
      sql`update dated_sessions set opened_at = null where coach_id = ${of.coach.id} and pass = 3`,
    )
    expect(valueOf(await undoChange(of.coach, of.id, change)).did).toBe('sending of a rotation')
    const left = await database().execute(
      sql`select 1 from dated_sessions where coach_id = ${of.coach.id} and client_id = ${of.id} and pass = 3 and sent_at is not null`,
    )
    expect(left).toHaveLength(0)
  })
})

describe('the list', () => {
  test('forgets what was taken back once something else is done', async () => {
    const of = await desk()
    const girth = { on: of.today, kind: 'upper_arm_left' as const, value: 38.5 }
    await of.does('measurement', () => addMeasurement(of.coach, of.id, girth, of.today))
    valueOf(await undoChange(of.coach, of.id, await of.last()))
    await of.does('marks', () => markClient(of.coach, of.id, { isFlagged: true, laterUntil: null }))
    expect(valueOf(await lastChanges(of.coach, of.id)).redo).toBeNull()
  })

  test('holds nothing where nothing was written, or where it was refused', async () => {
    const of = await desk()
    const known = valueOf(await profile(of.coach, of.id))
    const gone = await recorded(of.coach, { clientId: of.id, kind: 'measurement' }, () =>
      removeMeasurement(of.coach, of.id, randomUUID()),
    )
    expect(gone.ok).toBe(false)
    const later = { on: addDays(of.today, 9), kind: 'upper_arm_left' as const, value: 38.5 }
    await recorded(of.coach, { clientId: of.id, kind: 'measurement' }, () =>
      addMeasurement(of.coach, of.id, later, of.today),
    )
    expect(known.about).not.toBe('')
    expect(valueOf(await changesFor(of.coach, of.id)).changes).toEqual([])
  })

  test('is the studio’s own where no client is named', async () => {
    const of = await desk()
    const change = { client: null, intent: null, credits: { biceps: 0.5 } }
    valueOf(
      await recorded(of.coach, { clientId: null, kind: 'credits' }, () =>
        changeCredits(of.coach, 'cable_curl', change as never),
      ),
    )
    const { undo } = valueOf(await lastChanges(of.coach, null))
    valueOf(await undoChange(of.coach, null, undo!.id))
    const left = await database().execute(
      sql`select 1 from credit_changes where coach_id = ${of.coach.id}`,
    )
    expect(left).toHaveLength(0)
  })

  test('and what is in it are another coach’s business never', async () => {
    const of = await desk()
    await of.does('marks', () => markClient(of.coach, of.id, { isFlagged: true, laterUntil: null }))
    const other = await stranger()
    const change = await of.last()
    expect(problemOf(await changesFor(other, of.id)).kind).toBe('not-found')
    expect(problemOf(await undoChange(other, of.id, change)).kind).toBe('not-found')
    expect(problemOf(await redoChange(other, of.id, change)).kind).toBe('not-found')
  })
})

test('every table whose rows are recorded carries the trigger, and no other', async () => {
  const rows = await database().execute(
    sql`select c.relname as name from pg_trigger t join pg_class c on c.oid = t.tgrelid
      where t.tgname = 'row_changed' and not c.relispartition`,
  )
  expect(rows.map(({ name }) => name).sort()).toEqual([...RECORDED_TABLES].sort())
})
