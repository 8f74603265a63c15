import { expect, test } from '@jest/globals'
import { addDays, daysBetween, type PlainDate, plainDate } from '#core/base'
import { TREND } from '#core/body/trend'
import { isPossibleWith, requireExercise, BUILT_IN_CATALOGUE } from '#core/plan/catalogue'
import { daySlots } from '#core/plan/rotation'
import { ClientFactsContract } from '#shared/contracts/client'
import { PlanContract } from '#shared/contracts/plan'
import { trendsOf } from '../services/trends'
import { demoClients } from './studio'
import { writtenHistory } from './writtenHistory'

const today = plainDate('2026-04-01')

test('the demo studio is the same on each run and valid as stored', () => {
  const clients = demoClients(today)
  expect(demoClients(today)).toEqual(clients)
  expect(clients.length).toBeGreaterThanOrEqual(3)
  for (const { plan, facts } of clients) {
    expect(PlanContract.parse(plan)).toEqual(plan)
    expect(ClientFactsContract.parse(facts)).toEqual(facts)
  }
})

test('the client with dumbbells alone is planned dumbbells alone', () => {
  const home = demoClients(today).find(client => client.facts.equipment.includes('dumbbell'))
  const used =
    home?.plan.rotation.days
      .flatMap(day => daySlots(day))
      .map(slot => requireExercise(BUILT_IN_CATALOGUE, slot.exercise)) ?? []
  expect(used.length).toBeGreaterThan(5)
  expect(used.filter(exercise => !isPossibleWith(exercise, home?.facts.equipment ?? []))).toEqual(
    [],
  )
})

test('another seed gives other ids', () => {
  expect(demoClients(today, 2)[0]?.id).not.toBe(demoClients(today, 3)[0]?.id)
})

test('the last weeks of every client are the same on each run, end before today, and hold at least eight weeks', () => {
  for (const client of demoClients(today)) {
    const told = writtenHistory(client, today)
    expect(writtenHistory(client, today)).toEqual(told)
    const done = told.sessions.filter(({ finishedAt }) => finishedAt !== null)
    expect(done.every(({ on }) => on < today)).toBe(true)
    expect(daysBetween(done.map(({ on }) => on).sort()[0]!, today)).toBeGreaterThanOrEqual(56)
    expect(told.sets.every(({ reps, loadKg }) => (reps ?? 1) >= 1 && (loadKg ?? 1) > 0)).toBe(true)
    expect(new Set(told.sessions.map(({ id }) => id)).size).toBe(told.sessions.length)
  }
})

test.each([0, 1, 2, 3, 4, 5, 6])(
  'performance falls where the story says so, and nowhere else, %i days on',
  days => {
    const date = addDays(today, days)
    const falling = demoClients(date).filter(client => {
      const { exposures } = writtenHistory(client, date)
      return trendsOf(
        exposures.filter(
          ({ on }) => daysBetween(on as PlainDate, date) <= TREND.windowDays,
        ) as Parameters<typeof trendsOf>[0],
      ).some(({ trend }) => trend.verdict === 'decline')
    })
    expect(falling.map(({ name }) => name)).toEqual(['Joren Haakestad'])
  },
)
