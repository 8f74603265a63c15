import { expect, test } from '@jest/globals'
import { floorDay } from '#core/follow/floor'
import { unitStudio, useTestDatabase, valueOf } from '../testing/database'
import { lastChanges, recorded, undoChange } from './changes'
import { floor, saveStations } from './floor'
import { roster } from './roster'

useTestDatabase()

test('the floor has whoever the roster says trains today, with parts that take the session’s time', async () => {
  const { coach, today, clients } = await unitStudio()
  const view = valueOf(await floor(coach, today))
  const due = (await roster(coach, today)).clients.filter(({ next }) => next?.on === today)
  expect(due.length).toBeGreaterThan(1)
  expect(view.sessions.map(({ id }) => id).sort()).toEqual(due.map(({ id }) => id).sort())
  for (const { id, parts } of view.sessions) {
    const day = due.find(one => one.id === id)?.next?.day ?? -1
    const sessions = clients.find(one => one.id === id)?.plan.rotation.days[day]?.sessions ?? []
    expect(parts.length).toBe(sessions.flatMap(({ groupings }) => groupings).length)
    expect(parts.every(({ seconds }) => seconds > 0)).toBe(true)
  }
})

test('stations that are saved make people wait, and are taken back', async () => {
  const { coach, today } = await unitStudio()
  const waitsOf = async () => {
    const { sessions, stations } = valueOf(await floor(coach, today))
    const together = sessions.map(session => ({ ...session, start: 0 }))
    return floorDay(together, stations).waits.length
  }
  expect(await waitsOf()).toBe(0)
  valueOf(
    await recorded(coach, { clientId: null, kind: 'stations' }, () =>
      saveStations(coach, { stations: { cable: 1, bench: 1, rack: 1 } }),
    ),
  )
  expect(await waitsOf()).toBeGreaterThan(0)
  const { undo } = valueOf(await lastChanges(coach, null))
  expect(valueOf(await undoChange(coach, null, undo!.id)).did).toBe('stations of the studio')
  expect(await waitsOf()).toBe(0)
})
