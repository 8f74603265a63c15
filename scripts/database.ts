// `database prepare` makes, migrates and fills the database that DATABASE_URL names; `reset` brings the demo data back;
// `make` only makes it; `spread` makes its tables anew, each over several by coach; `drop` removes it. The demo coach's password comes from DEMO_PASSWORD.
import { randomUUID } from 'node:crypto'
import { coachId } from '#core/base'
import { connectedDatabase, type Database } from '../server/db/database'
import { dropDatabase, ensureDatabase } from '../server/db/migrate'
import { preparedBy } from '../server/db/prepared'
import { coachByEmail } from '../server/db/queries/coaches'
import {
  coachCount,
  deleteCoach,
  insertHistories,
  insertStudio,
  setPasswordHash,
} from '../server/db/queries/studio'
import { hashedPassword, isPassword } from '../server/services/passwords'
import {
  DEMO_COACH,
  DEMO_GEAR,
  DEMO_HOUSE,
  DEMO_STATIONS,
  demoClients,
} from '../server/demo/studio'
import { writtenHistory } from '../server/demo/writtenHistory'
import { serverToday } from '../server/clock'
import { spreadByCoach } from './setup/partitioned'

function setting(name: string): string {
  const value = process.env[name]
  if (!value)
    throw new Error(`${name} is not set; run this through npm start, npm test or npm run reset`)
  return value
}

async function insertDemo(db: Database): Promise<void> {
  const today = serverToday()
  const passwordHash = await hashedPassword(setting('DEMO_PASSWORD'))
  const id = coachId(randomUUID())
  const clients = demoClients(today)
  await insertStudio(
    db,
    {
      id,
      ...DEMO_COACH,
      gear: DEMO_GEAR,
      stations: DEMO_STATIONS,
      house: DEMO_HOUSE,
      passwordHash,
    },
    clients,
  )
  await insertHistories(
    db,
    id,
    clients.map(client => writtenHistory(client, today)),
  )
  console.log(`· Demo data written: ${DEMO_COACH.studio}`)
}

/** The demo password belongs to this machine, the database may come from another. */
async function refreshDemoPassword(db: Database): Promise<void> {
  const coach = await coachByEmail(db, DEMO_COACH.email)
  if (!coach || (await isPassword(coach.passwordHash, setting('DEMO_PASSWORD')))) return
  await setPasswordHash(db, DEMO_COACH.email, await hashedPassword(setting('DEMO_PASSWORD')))
}

async function prepare(db: Database): Promise<void> {
  if ((await coachCount(db)) === 0) await insertDemo(db)
  else await refreshDemoPassword(db)
}

async function reset(db: Database): Promise<void> {
  await deleteCoach(db, DEMO_COACH.email)
  await insertDemo(db)
}

async function withDatabase(work: (db: Database) => Promise<void>): Promise<void> {
  const url = setting('DATABASE_URL')
  await ensureDatabase(url)
  await preparedBy(url, process.env.APP_DATABASE_URL, work)
}

switch (process.argv[2]) {
  case 'prepare':
    await withDatabase(prepare)
    break
  case 'reset':
    await withDatabase(reset)
    break
  case 'migrate':
    await withDatabase(async () => {})
    break
  case 'spread': {
    const { client, close } = connectedDatabase(setting('DATABASE_URL'))
    console.log(`· Spread by coach: ${(await spreadByCoach(client)).length} tables`)
    await close()
    break
  }
  case 'make':
    await ensureDatabase(setting('DATABASE_URL'))
    break
  case 'drop':
    await dropDatabase(setting('DATABASE_URL'))
    break
  default:
    throw new Error('say prepare, migrate, spread, make, reset or drop')
}
