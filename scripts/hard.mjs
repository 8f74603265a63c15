// `npm run hard`: bad days. The database's master process is killed under load, again and again; what was acknowledged must be
// there, nobody may wait long, and the server must go on by itself. A number as argument is how often (20 where none is given).
import { atEnd, end, endOnSignals } from './setup/cleanup.mjs'
import { ensureDebianPackages } from './setup/debian.mjs'
import { freePort } from './setup/freePort.mjs'
import { dataHome } from './setup/paths.mjs'
import { privatePostgres } from './setup/postgres.mjs'
import { ensureBuild, ensureDependencies, runScript } from './setup/project.mjs'
import { secretsIn } from './setup/secrets.mjs'
import { startedServer } from './setup/server.mjs'
import { killedUnderLoad } from './hard/killedUnderLoad.mjs'

const kills = Number(process.argv[2] ?? 20)

endOnSignals()
try {
  await ensureDebianPackages(['postgresql'])
  await ensureDependencies()
  await ensureBuild()
  const home = dataHome('hard')
  const postgres = await privatePostgres(home)
  atEnd(postgres.stop)
  const name = `tholepin_hard_${process.pid}`
  const databaseUrl = postgres.url(name)
  const { demoPassword, session } = secretsIn(home)
  const app = postgres.appUrl(name)
  const env = { DATABASE_URL: databaseUrl, APP_DATABASE_URL: app, DEMO_PASSWORD: demoPassword }
  await runScript('database', ['prepare'], { env })
  atEnd(async () => void (await runScript('database', ['drop'], { env })))
  const server = await startedServer({
    port: await freePort(),
    databaseUrl: app,
    sessionPassword: session,
  })
  atEnd(server.stop)
  const found = await killedUnderLoad({ server, postgres, demoPassword, kills })
  console.table([found])
  const isGood =
    found.lost === 0 && found.failed === 0 && found['over 5 s'] === 0 && found['back late'] === 0
  await end(isGood ? 0 : 1)
} catch (error) {
  console.error(`\n${error.message}`)
  await end(1)
}
