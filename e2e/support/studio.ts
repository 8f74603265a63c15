import { randomBytes, randomInt, randomUUID } from 'node:crypto'
import { coachId } from '#core/base'
import { type DemoClient, demoClients } from '../../server/demo/studio'
import { type ToldOtherwise, toldOtherwise } from '../../server/demo/toldOtherwise'
import { writtenHistory } from '../../server/demo/writtenHistory'
import { connectedDatabase } from '../../server/db/database'
import { insertHistories, insertStudio } from '../../server/db/queries/studio'
import { hashedPassword } from '../../server/services/passwords'
import { serverToday } from '../../server/clock'

/** A coach of a test's own, with clients that nobody else touches. */
export interface TestStudio {
  readonly email: string
  readonly password: string
  readonly clients: readonly DemoClient[]
  /** The client whose name begins so. */
  readonly client: (name: string) => DemoClient
}

const url = process.env.DATABASE_URL
if (!url) throw new Error('DATABASE_URL is not set; run the journeys through npm test')

/** Writes a new coach with the demo's clients under ids of their own; with their last weeks where a test is about them. */
export async function newStudio(
  logs: 'none' | 'logged' = 'none',
  stories: ToldOtherwise = {},
): Promise<TestStudio> {
  const { db, close } = connectedDatabase(url as string)
  try {
    const password = randomBytes(9).toString('hex')
    const email = `coach-${randomBytes(6).toString('hex')}@skerrylane.example`
    const today = serverToday()
    const clients = demoClients(today, randomInt(2 ** 31))
    const id = coachId(randomUUID())
    await insertStudio(
      db,
      {
        id,
        email,
        name: 'Test Coach',
        studio: 'Test studio',
        passwordHash: await hashedPassword(password),
      },
      clients,
    )
    if (logs === 'logged')
      await insertHistories(
        db,
        id,
        clients.map(client => {
          const [told, weeks] = toldOtherwise(client, stories)
          return writtenHistory(told, today, weeks)
        }),
      )
    return {
      email,
      password,
      clients,
      client: name => clients.find(client => client.name.startsWith(name)) as DemoClient,
    }
  } finally {
    await close()
  }
}
