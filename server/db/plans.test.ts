import { expect, test } from '@jest/globals'
import { sql } from 'drizzle-orm'
import { plainDate } from '#core/base'
import { unitStudio, useTestDatabase } from '../testing/database'
import { database, databaseClient } from './database'
import { doneSince } from './queries/clientLog'
import { setsSince, wholeLog } from './queries/logEntries'
import { lastDone } from './queries/training'

useTestDatabase()

const SINCE = plainDate('2025-10-02')

interface PlanNode {
  readonly 'Node Type': string
  readonly 'Join Filter'?: string
  readonly Plans?: readonly PlanNode[]
}
const nodesOf = (node: PlanNode): readonly PlanNode[] => [
  node,
  ...(node.Plans ?? []).flatMap(nodesOf),
]

/** How the database means to answer a question. */
async function planned(asked: { toSQL: () => { sql: string; params: unknown[] } }) {
  const { sql: text, params } = asked.toSQL()
  const [row] = await databaseClient().unsafe(`explain (format json) ${text}`, params as string[])
  const [{ Plan }] = row!['QUERY PLAN'] as [{ Plan: PlanNode }]
  return nodesOf(Plan)
}

test('a coach who came after the numbers were taken is answered by the whole key, not by all of hers a row', async () => {
  await unitStudio({ logsOf: ['Ines', 'Joren', 'Oskar'] })
  await database().execute(sql`analyze`)
  const { coach, client } = await unitStudio({ logsOf: ['Ines', 'Joren', 'Oskar'] })
  const { id } = client('Joren')
  for (const asked of [
    setsSince(database(), coach.id, id, SINCE),
    wholeLog(database(), coach.id, id),
    lastDone(database(), coach.id, id),
  ])
    expect((await planned(asked)).map(node => node['Join Filter'] ?? '')).not.toContainEqual(
      expect.stringContaining('session_id'),
    )
  expect((await doneSince(database(), coach.id, id, SINCE)).sessions).toBeGreaterThan(10)
})
