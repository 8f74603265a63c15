import { expect, test } from '@jest/globals'
import { addDays } from '#core/base'
import { contextWith } from '#core/plan/method'
import { catalogueWith } from '#core/plan/catalogue'
import { unitStudio, useTestDatabase, valueOf } from '../testing/database'
import { client } from './clients'
import { learnedFrom, paceLog } from './pace'

useTestDatabase()

async function maritsLog() {
  const studio = await unitStudio({ logsOf: ['Marit'] })
  const { today } = studio
  const view = valueOf(await client(studio.coach, studio.client('Marit').id, { today }))
  const context = contextWith(view.method, view.facts, catalogueWith(view.library))
  return { today, view, context, log: await paceLog(studio.coach, view, today) }
}
type MaritsLog = Awaited<ReturnType<typeof maritsLog>>

test('what a log taught is kept, and learned anew from one that says anything else', async () => {
  const { today, view, context, log } = await maritsLog()
  const first = learnedFrom(log, view.facts, context)
  expect([...first.values()].some(({ kind }) => kind === 'pace')).toBe(true)
  const same: MaritsLog['log'] = { ...log, sets: log.sets.map(set => ({ ...set })) }
  expect(learnedFrom(same, view.facts, context)).toBe(first)

  const record = { by: 'log', on: today, was: 1, since: addDays(today, -30) } as const
  const others: readonly (readonly [MaritsLog['log'], MaritsLog['view']['facts']])[] = [
    [{ ...log, sessions: log.sessions.slice(6) }, view.facts],
    [{ ...log, sets: log.sets.filter((_, at) => at % 3 > 0) }, view.facts],
    [
      {
        ...log,
        values: log.values.map((one, at) => ({
          ...one,
          value: one.value * (1 + at / 50),
          sets: [],
        })),
      },
      view.facts,
    ],
    [{ ...log, painfulDays: new Set(log.sessions.slice(0, 9).map(({ on }) => on)) }, view.facts],
    [log, { ...view.facts, paceRecords: { triceps: record, biceps: record } }],
  ]
  for (const [other, facts] of others) {
    const learned = learnedFrom(other, facts, context)
    expect(learned).not.toEqual(first)
    // In a context nobody has asked in, nothing is known.
    expect(learned).toEqual(learnedFrom(other, facts, { ...context }))
  }
})

test('what was begun anew is learned from that day on, muscle by muscle; the rest from everything', async () => {
  const { today, view, context, log } = await maritsLog()
  const plain = { ...view.facts, paceRecords: {} }
  // A day with a session: what was done on it counts.
  const from = log.sessions.map(({ on }) => on).find(on => on > addDays(today, -24))!
  const anew = { by: 'log', on: from, was: 1, since: from } as const
  const late = { ...anew, since: today }

  const all = learnedFrom(log, plain, context)
  const later = learnedFrom(
    { ...log, sessions: log.sessions.filter(({ on }) => on >= from) },
    plain,
    context,
  )
  expect(later.get('triceps')).not.toEqual(all.get('triceps'))
  const afterIt = log.sessions.filter(({ on }) => on > from)
  expect(later).not.toEqual(learnedFrom({ ...log, sessions: afterIt }, plain, context))
  const some = learnedFrom(
    log,
    { ...plain, paceRecords: { triceps: anew, biceps: anew, chest: late } },
    context,
  )
  for (const group of ['triceps', 'biceps'] as const)
    expect(some.get(group)).toEqual(later.get(group))
  expect(some.get('chest')).toEqual({ kind: 'not_enough_data', exposures: 0, why: 'few' })
  for (const [group, own] of all)
    if (!['triceps', 'biceps', 'chest'].includes(group)) expect(some.get(group)).toEqual(own)
})
