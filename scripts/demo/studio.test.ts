import { expect, test } from '@jest/globals'
import { plainDate } from '#core/base'
import { isPossibleWith, requireExercise, BUILT_IN_CATALOGUE } from '#core/catalogue'
import { daySlots } from '#core/rotation'
import { ClientFactsContract } from '#shared/contracts/client'
import { PlanContract } from '#shared/contracts/plan'
import { demoClients } from './studio'

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
  const used = home?.plan.rotation.days.flatMap(day => daySlots(day)).map(slot => requireExercise(BUILT_IN_CATALOGUE, slot.exercise)) ?? []
  expect(used.length).toBeGreaterThan(5)
  expect(used.filter(exercise => !isPossibleWith(exercise, home?.facts.equipment ?? []))).toEqual([])
})

test('another seed gives other ids', () => {
  expect(demoClients(today, 2)[0]?.id).not.toBe(demoClients(today, 3)[0]?.id)
})
