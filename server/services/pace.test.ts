import { expect, test } from '@jest/globals'
import { addDays } from '#core/base'
import { contextWith } from '#core/plan/method'
import { catalogueWith } from '#core/plan/catalogue'
import { unitStudio, useTestDatabase, valueOf } from '../testing/database'
import { client } from './clients'
import { learnedFrom, paceLog } from './pace'

useTestDatabase()

test('what was begun anew is learned from that day on, muscle by muscle; the rest from everything', async () => {
  const studio = await unitStudio({ logsOf: ['Marit'] })
  const { today } = studio
  const { id } = studio.client('Marit')
  const view = valueOf(await client(studio.coach, id, { today }))
  const context = contextWith(view.method, view.facts, catalogueWith(view.library))
  const log = await paceLog(studio.coach, view, today)
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
