// `npm run dev`: database, migrations, demo data and the application with hot reload: a change is in the open browser in a
// moment, without a build. Its data lie beside those of `npm start`, in a profile of their own.
import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { atEnd, end, endOnSignals, isAtEnd } from './setup/cleanup.mjs'
import { ensureDebianPackages } from './setup/debian.mjs'
import { freePort } from './setup/freePort.mjs'
import { dataHome, ROOT } from './setup/paths.mjs'
import { privatePostgres } from './setup/postgres.mjs'
import { ensureDependencies, ensurePrepared, runScript } from './setup/project.mjs'
import { say, reportingErrors } from './setup/say.mjs'
import { secretsIn } from './setup/secrets.mjs'

const USUAL_PORT = 3211

async function databaseUrl(home) {
  if (process.env.DATABASE_URL) return process.env.DATABASE_URL
  await ensureDebianPackages(['postgresql'])
  const postgres = await privatePostgres(home, { isExplaining: true })
  atEnd(postgres.stop)
  say(`Slow statements with their plans: ${join(home, 'postgres', 'server.log')}`)
  return postgres.url('tholepin')
}

await reportingErrors(async () => {
  endOnSignals()
  const home = dataHome('dev')
  await ensureDependencies()
  await ensurePrepared()
  const url = await databaseUrl(home)
  const { demoPassword, session } = secretsIn(home)
  say('Migrating the database, adding demo data if it is empty')
  const env = { DATABASE_URL: url, DEMO_PASSWORD: demoPassword }
  await runScript('database', ['prepare'], { env, output: 'inherit' })
  const port = await freePort(Number(process.env.PORT ?? USUAL_PORT))
  const child = spawn(
    join(ROOT, 'node_modules', '.bin', 'nuxt'),
    ['dev', '--host', '127.0.0.1', '--port', String(port)],
    {
      cwd: ROOT,
      detached: true,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: {
        ...process.env,
        ...env,
        NUXT_TELEMETRY_DISABLED: '1',
        NUXT_SESSION_PASSWORD: session,
        NUXT_SESSION_COOKIE_SECURE: 'false',
      },
    },
  )
  const ended = new Promise(resolve => child.once('exit', resolve))
  atEnd(async () => {
    if (child.exitCode === null) process.kill(-child.pid, 'SIGTERM')
    await ended
  })
  console.log(
    `\nTholepin, with hot reload: http://127.0.0.1:${port}\nSign in as the demo coach: ragna@skerrylane.example, password ${demoPassword}\nJourneys against it: BASE_URL=http://127.0.0.1:${port} DATABASE_URL='${url}' npm run journey NAME\nCtrl-C ends it.\n`,
  )
  await ended
  if (!isAtEnd()) await end(1)
})
