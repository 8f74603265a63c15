// Before the unit tests: a PostgreSQL server and a migrated template, from which every test file that needs a database
// makes one of its own (server/testing/database.ts). The template is kept until the migrations change.
import { ensureDebianPackages } from './debian.mjs'
import { fingerprint } from './fingerprint.mjs'
import { dataHome } from './paths.mjs'
import { privatePostgres } from './postgres.mjs'
import { runScript } from './project.mjs'

let stop = async () => {}

/** Address of a database of that name on the server that tests use. */
async function testServer() {
  if (process.env.DATABASE_URL) {
    const given = new URL(process.env.DATABASE_URL)
    return name => new URL(`/${name}`, given).href
  }
  await ensureDebianPackages(['postgresql'])
  const postgres = await privatePostgres(dataHome('test'), {
    keepIfRunning: true,
    isThrowaway: true,
  })
  stop = postgres.stop
  return postgres.url
}

export async function setup() {
  // Made already, by whoever runs the tests in several parts: nobody may look at it while others copy it.
  if (process.env.TEST_TEMPLATE_URL) return
  const url = await testServer()
  const print = fingerprint(['server/db/migrations'])
  const template = url(`tholepin_template_${print.slice(0, 12)}`)
  await runScript('database', ['migrate'], { env: { DATABASE_URL: template } })
  process.env.TEST_TEMPLATE_URL = template
}

export async function teardown() {
  await stop()
}
