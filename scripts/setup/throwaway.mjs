import { atEnd } from './cleanup.mjs'
import { ensureDebianPackages } from './debian.mjs'
import { freePort } from './freePort.mjs'
import { dataHome } from './paths.mjs'
import { privatePostgres } from './postgres.mjs'
import { runScript } from './project.mjs'
import { proxyBefore } from './proxy.mjs'
import { say } from './say.mjs'
import { secretsIn } from './secrets.mjs'
import { startedServer } from './server.mjs'

/**
 * The built application on a database of its own that is made anew and removed at the end, so that neither
 * tests nor pictures touch what a coach has entered. With `today` it lives on that day; of several servers a proxy asks each in turn.
 */
export async function throwawayServer(name, today, servers = 1) {
  const home = dataHome('test')
  const { owner: databaseUrl, app } = await emptyDatabaseUrls(
    home,
    `tholepin_${name}_${process.pid}`,
  )
  const { demoPassword, session } = secretsIn(home)
  const clock = today === undefined ? {} : { DEMO_TODAY: today }
  const env = {
    DATABASE_URL: databaseUrl,
    APP_DATABASE_URL: app,
    DEMO_PASSWORD: demoPassword,
    ...clock,
  }
  await runScript('database', ['prepare'], { env })
  atEnd(async () => void (await runScript('database', ['drop'], { env })))
  const running = []
  const stopAll = async () => {
    for (const one of running.splice(0).reverse()) await one.stop()
  }
  atEnd(stopAll)
  const start = async () => {
    const server = await startedServer({
      port: await freePort(),
      databaseUrl: app || databaseUrl,
      sessionPassword: session,
      env: { ...clock, ...(servers > 1 && { TRUSTED_PROXY: '1' }) },
    })
    running.push(server)
    return server
  }
  const first = await start()
  const all = [first, ...(await times(servers - 1, start))]
  if (servers > 1) running.push(await proxyBefore(all.map(({ url }) => url)))
  const { url, stop } = running.at(-1)
  say(`The built application runs at ${url}`)
  return { url, databaseUrl, demoPassword, stop, stopAll, servers }
}

const times = (count, start) => Promise.all(Array.from({ length: count }, start))

/** A database of its own, empty and migrated, that is removed at the end. */
export async function throwawayDatabase(name) {
  const { owner: databaseUrl } = await emptyDatabaseUrls(
    dataHome('test'),
    `tholepin_${name}_${process.pid}`,
  )
  const env = { DATABASE_URL: databaseUrl }
  await runScript('database', ['migrate'], { env })
  atEnd(async () => void (await runScript('database', ['drop'], { env })))
  return databaseUrl
}

/** A database for its owner and for the application; `app` is empty where another server is given, which has roles of its own. */
async function emptyDatabaseUrls(home, name) {
  if (process.env.DATABASE_URL) {
    const url = new URL(process.env.DATABASE_URL)
    url.pathname = `/${name}`
    return { owner: url.href, app: '' }
  }
  await ensureDebianPackages(['postgresql'])
  const postgres = await privatePostgres(home, { keepIfRunning: true })
  atEnd(postgres.stop)
  return { owner: postgres.url(name), app: postgres.appUrl(name) }
}
