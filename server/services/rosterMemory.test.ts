import { expect, test } from '@jest/globals'
import { setTimeout as sleep } from 'node:timers/promises'
import { addDays } from '#core/base'
import { unitStudio, useTestDatabase, valueOf } from '../testing/database'
import { markClient } from './archive'
import { send } from './blocks'
import { recordClearance, reportPain } from './history'
import { roster } from './roster'
import { forgetRoster } from './rosterMemory'

useTestDatabase()

test('of many logs some are read at once and the others meanwhile, and then every page says the same', async () => {
  const { coach, today, clients } = await unitStudio({ logsOf: ['Marit', 'Jonna', 'Ines', 'Odd'] })
  expect(clients.length).toBeGreaterThan(10)
  const whole = await roster(coach, today)
  expect(whole.unread).toBe(0)

  forgetRoster()
  const first = await roster(coach, today, 0)
  expect(first.unread).toBe(clients.length - 5)
  expect(first.clients.map(({ id }) => id).sort()).toEqual(whole.clients.map(({ id }) => id).sort())
  // Strips and what is due today do not wait for logs.
  expect(new Map(first.clients.map(({ id, block, next }) => [id, { block, next }]))).toEqual(
    new Map(whole.clients.map(({ id, block, next }) => [id, { block, next }])),
  )

  let later = first
  for (let tries = 0; later.unread > 0 && tries < 100; tries++) {
    await sleep(50)
    later = await roster(coach, today, 0)
  }
  expect(later).toEqual(whole)
})

test('a line that is remembered is never an older one: marks, what was sent, what hurts and what was cleared', async () => {
  const { coach, today, client: of } = await unitStudio()
  const { id, blockId } = of('Joren')
  const line = async () => (await roster(coach, today)).clients.find(one => one.id === id)!
  const kinds = async () => (await line()).needs.map(({ kind }) => kind)
  const laterUntil = addDays(today, 3)
  expect(await line()).toMatchObject({ isFlagged: false, laterUntil: null })
  valueOf(await markClient(coach, id, { isFlagged: true, laterUntil }))
  expect(await line()).toMatchObject({ isFlagged: true, laterUntil, section: 'steady' })
  valueOf(await markClient(coach, id, { isFlagged: false, laterUntil: null }))
  expect(await line()).toMatchObject({ isFlagged: false, laterUntil: null })

  const days = (await line()).block!.days.map(({ state }) => state)
  const pass = Math.floor(
    (Date.parse(today) - Date.parse(of('Joren').plan.startsOn)) / 86_400_000 / days.length,
  )
  valueOf(await send(coach, blockId, { pass, version: 1, again: false }))
  expect((await line()).block!.days.map(({ state }) => state)).not.toEqual(days)

  const joint = 'elbow_flexor_side' as const
  const told = { joint, side: 'left', score: 6, nextMorning: null, hasAlarmSign: false } as const
  expect(await kinds()).not.toContain('pain')
  valueOf(await reportPain(coach, id, { ...told, on: today }, today))
  expect(await kinds()).toContain('pain')
  const cleared = { joint, on: today, profession: 'physiotherapist', limits: '' }
  valueOf(await recordClearance(coach, id, cleared, today))
  expect(await kinds()).not.toContain('pain')
})
