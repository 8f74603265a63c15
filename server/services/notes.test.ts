import { randomUUID } from 'node:crypto'
import { describe, expect, test } from '@jest/globals'
import { addDays } from '#core/base'
import {
  problemOf,
  stranger,
  unitStudio,
  type UnitStudio,
  useTestDatabase,
  valueOf,
} from '../testing/database'
import { send } from './blocks'
import { changesFor, lastChanges, recorded, undoChange } from './changes'
import { addMeasurement, history } from './history'
import { logList } from './log'
import {
  addNote,
  clientGoals,
  clientNotes,
  removeGoal,
  removeNote,
  searchedNotes,
  setGoal,
} from './notes'

useTestDatabase()

const note = (of: UnitStudio, text: string, session: string | null = null) => ({
  on: of.today,
  session,
  text,
})
const arm = { kind: 'measurement' as const, of: 'upper_arm_left' as const }

describe('notes', () => {
  test('are kept by day, found by their words across clients, and never another coach’s', async () => {
    const of = await unitStudio()
    const [joren, marit] = [of.client('Joren').id, of.client('Marit').id]
    valueOf(await addNote(of.coach, joren, note(of, 'Prefers the cambered bar; 100% sure')))
    valueOf(await addNote(of.coach, marit, note(of, 'Rows on Sundays')))
    expect(valueOf(await clientNotes(of.coach, joren)).notes).toMatchObject([
      { text: 'Prefers the cambered bar; 100% sure', on: of.today, session: null },
    ])
    const found = valueOf(await searchedNotes(of.coach, 'BAR cambered')).notes
    expect(found).toMatchObject([{ clientId: joren, client: of.client('Joren').name }])
    // A sign of the pattern is a letter like any other.
    expect(valueOf(await searchedNotes(of.coach, '100%')).notes).toHaveLength(1)
    expect(valueOf(await searchedNotes(of.coach, '1_0')).notes).toEqual([])
    expect(valueOf(await searchedNotes(of.coach, '  ')).notes).toEqual([])
    const other = await stranger()
    expect(valueOf(await searchedNotes(other, 'cambered')).notes).toEqual([])
    expect(problemOf(await clientNotes(other, joren)).kind).toBe('not-found')
    expect(problemOf(await addNote(other, joren, note(of, 'x'))).kind).toBe('not-found')
  })

  test('about a session name it; about a session that is not the client’s there are none', async () => {
    const of = await unitStudio()
    const { id, blockId } = of.client('Joren')
    valueOf(await send(of.coach, blockId, { pass: 0, version: 1, again: true }))
    const [row] = valueOf(await logList(of.coach, id, of.today)).sessions
    valueOf(await addNote(of.coach, id, note(of, 'Grip went first', row!.id)))
    const [own] = valueOf(await clientNotes(of.coach, id)).notes
    expect(own?.session).toEqual({ id: row!.id, name: row!.name })
    const wrong = await addNote(of.coach, of.client('Marit').id, note(of, 'x', row!.id))
    expect(problemOf(wrong)).toMatchObject({ kind: 'not-found', what: 'session' })
    valueOf(await removeNote(of.coach, id, own!.id))
    expect(problemOf(await removeNote(of.coach, id, own!.id)).kind).toBe('not-found')
  })

  test('are undone like everything else', async () => {
    const of = await unitStudio()
    const { id } = of.client('Joren')
    valueOf(
      await recorded(of.coach, { clientId: id, kind: 'note' }, () =>
        addNote(of.coach, id, note(of, 'Not meant')),
      ),
    )
    const { undo } = valueOf(await lastChanges(of.coach, id))
    expect(valueOf(await undoChange(of.coach, id, undo!.id)).did).toBe('note')
    expect(valueOf(await clientNotes(of.coach, id)).notes).toEqual([])
    expect(valueOf(await changesFor(of.coach, id)).changes).toMatchObject([{ isUndone: true }])
  })
})

describe('a goal', () => {
  const goal = (of: UnitStudio, more: object = {}) => ({
    words: 'Sleeves that fit',
    measure: arm,
    target: 40,
    by: addDays(of.today, 90),
    ...more,
  })

  test('starts from what was measured last, and follows what is measured after', async () => {
    const of = await unitStudio()
    const { id } = of.client('Joren')
    const girth = (days: number, value: number, isPumped = false) =>
      addMeasurement(
        of.coach,
        id,
        { kind: arm.of, value, isPumped, on: addDays(of.today, days) },
        addDays(of.today, days),
      )
    valueOf(await girth(-20, 38))
    valueOf(await setGoal(of.coach, id, goal(of), of.today))
    valueOf(await girth(10, 39))
    // After a session the arm is thicker, and has not grown.
    valueOf(await girth(11, 41, true))
    const [own] = valueOf(await clientGoals(of.coach, id, addDays(of.today, 12))).goals
    expect(own).toMatchObject({ words: 'Sleeves that fit', target: 40, since: of.today })
    expect(own?.course).toMatchObject({
      start: { value: 38 },
      now: { value: 39 },
      share: 0.5,
      state: 'open',
    })
    valueOf(await removeGoal(of.coach, id, own!.id))
    expect(valueOf(await clientGoals(of.coach, id, of.today)).goals).toEqual([])
    expect(problemOf(await removeGoal(of.coach, id, randomUUID())).kind).toBe('not-found')
  })

  test('by strength reads the log of its exercise', async () => {
    const of = await unitStudio({ logsOf: ['Joren'] })
    const { id } = of.client('Joren')
    const [trend] = valueOf(await history(of.coach, id, of.today)).trends
    const measure = { kind: 'strength' as const, of: trend!.exercise }
    valueOf(await setGoal(of.coach, id, goal(of, { measure, target: 60 }), addDays(of.today, -40)))
    const [own] = valueOf(await clientGoals(of.coach, id, of.today)).goals
    expect(own?.values.length).toBeGreaterThan(1)
    expect(own?.course.now?.on).toBe(own?.values.at(-1)?.on)
  })

  test('must end on a day that lies ahead', async () => {
    const of = await unitStudio()
    const late = await setGoal(
      of.coach,
      of.client('Joren').id,
      goal(of, { by: of.today }),
      of.today,
    )
    expect(problemOf(late)).toMatchObject({ errors: [{ pointer: '/by' }] })
  })
})
