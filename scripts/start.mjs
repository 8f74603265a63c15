// `npm start`: everything a fresh machine needs, then the application. Plain Node, because nothing is installed yet.
import { atEnd, end, endOnSignals, isAtEnd } from './setup/cleanup.mjs'
import { ensureDebianPackages } from './setup/debian.mjs'
import { freePort } from './setup/freePort.mjs'
import { dataHome } from './setup/paths.mjs'
import { privatePostgres } from './setup/postgres.mjs'
import { ensureBuild, ensureDependencies, runScript } from './setup/project.mjs'
import { markServing, otherStart, unmark } from './setup/runningMark.mjs'
import { say, reportingErrors } from './setup/say.mjs'
import { secretsIn } from './setup/secrets.mjs'
import { startedServer } from './setup/server.mjs'

const USUAL_PORT = 3210

/** Where the database is for whoever migrates it, and for the application. */
async function databaseUrls(home) {
  if (process.env.DATABASE_URL) {
    say('Using the database that DATABASE_URL names')
    const url = process.env.DATABASE_URL
    return { owner: process.env.DATABASE_OWNER_URL ?? url, app: url }
  }
  await ensureDebianPackages(['postgresql'])
  const postgres = await privatePostgres(home)
  atEnd(postgres.stop)
  return { owner: postgres.url('tholepin'), app: postgres.appUrl('tholepin') }
}

await reportingErrors(async () => {
  const home = dataHome('start')
  const other = otherStart(home)
  if (other) {
    console.log(
      other.url
        ? `Tholepin is already running at ${other.url}`
        : `Tholepin is already being started (process ${other.pid}). Wait for its address.`,
    )
    return
  }
  endOnSignals()
  atEnd(async () => unmark(home))
  try {
    await ensureDependencies()
    await ensureBuild()
    const { owner, app } = await databaseUrls(home)
    const { demoPassword, session } = secretsIn(home)
    say('Migrating the database, adding demo data if it is empty')
    await runScript('database', ['prepare'], {
      env: {
        DATABASE_URL: owner,
        APP_DATABASE_URL: app === owner ? '' : app,
        DEMO_PASSWORD: demoPassword,
      },
      output: 'inherit',
    })
    const server = await startedServer({
      port: await freePort(Number(process.env.PORT ?? USUAL_PORT)),
      databaseUrl: app,
      sessionPassword: session,
    })
    atEnd(server.stop)
    markServing(home, server.url)
    console.log(
      `\nTholepin runs at ${server.url}\nSign in as the demo coach: ragna@skerrylane.example, password ${demoPassword}\nCtrl-C ends it.\n`,
    )
    await server.ended
    if (isAtEnd()) return
    say('The server has ended by itself; its own words are above')
    await end(1)
  } catch (error) {
    console.error(`\n${error.message}`)
    await end(1)
  }
})
