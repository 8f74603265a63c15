import { chmodSync } from 'node:fs'
import postgres from 'postgres'
import { atEnd } from '../setup/cleanup.mjs'
import { freePort } from '../setup/freePort.mjs'
import { privatePostgres } from '../setup/postgres.mjs'
import { runScript } from '../setup/project.mjs'
import { secretsIn } from '../setup/secrets.mjs'
import { startedServer } from '../setup/server.mjs'

/** A cluster of its own, with real writing to disk, and a database with the demo; `startServer` serves it, each time at one address. */
export async function ownDatabaseSite(home, trial) {
  chmodSync(home, 0o711)
  const cluster = await privatePostgres(home, { keepIfRunning: true })
  atEnd(cluster.stop)
  const name = `tholepin_hard_${trial}_${process.pid}`
  const databaseUrl = cluster.url(name)
  const { demoPassword, session } = secretsIn(home)
  const app = cluster.appUrl(name)
  const env = { DATABASE_URL: databaseUrl, APP_DATABASE_URL: app, DEMO_PASSWORD: demoPassword }
  await runScript('database', ['prepare'], { env })
  atEnd(async () => void (await runScript('database', ['drop'], { env })))
  const port = await freePort()
  const startServer = (more = {}) =>
    startedServer({ port, databaseUrl: app, sessionPassword: session, ...more })
  /** The database as its owner sees it, for counting what is there. */
  const sql = () => {
    const client = postgres(databaseUrl, { max: 1, onnotice: () => {} })
    atEnd(() => client.end({ timeout: 1 }).catch(() => undefined))
    return client
  }
  return { postgres: cluster, demoPassword, startServer, sql, databaseUrl }
}

/** The same with a server that runs until the end. */
export async function ownSite(home, trial, more) {
  const site = await ownDatabaseSite(home, trial)
  const server = await site.startServer(more)
  atEnd(server.stop)
  return { ...site, server }
}
