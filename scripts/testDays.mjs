// `npm run test:days`: what depends on dates, over every weekday, ends of months, the leap day, the turn of the year and
// both changes of the clocks; unit tests over all days at once, then the journeys that go by dates on each day.
import { join } from 'node:path'
import { atEnd, end, endOnSignals } from './setup/cleanup.mjs'
import { GOOD_DAYS } from './setup/days.mjs'
import { ensureDebianPackages } from './setup/debian.mjs'
import { dataHome, ROOT } from './setup/paths.mjs'
import { privatePostgres } from './setup/postgres.mjs'
import { ensureBuild, ensureDependencies } from './setup/project.mjs'
import { run } from './setup/run.mjs'
import { say } from './setup/say.mjs'
import { throwawayServer } from './setup/throwaway.mjs'

const shown = (command, args, env) =>
  run(command, args, { cwd: ROOT, output: 'inherit', env: { ...process.env, ...env } }).then(
    () => true,
    () => false,
  )

/** Days that failed, by name. */
const failed = []
let passed = 0
const note = (name, isGood) => (isGood ? (passed += 1) : failed.push(name))

async function journeysOn(day) {
  const server = await throwawayServer('days', day)
  const isGood = await shown(
    join(ROOT, 'node_modules', '.bin', 'playwright'),
    ['test', '--grep', '@day', '--reporter=list', ...process.argv.slice(2)],
    {
      BASE_URL: server.url,
      DATABASE_URL: server.databaseUrl,
      DEMO_PASSWORD: server.demoPassword,
      DEMO_TODAY: day,
      CI: '',
    },
  )
  await server.stop()
  return isGood
}

endOnSignals()
try {
  await ensureDebianPackages(['postgresql', 'chromium-headless-shell'])
  await ensureDependencies()
  await ensureBuild()
  if (!process.env.DATABASE_URL)
    atEnd((await privatePostgres(dataHome('test'), { isThrowaway: true })).stop)
  say('Unit tests over all days')
  note('unit tests', await shown('npm', ['run', '--silent', 'unit', '--', 'days'], { DAYS: 'all' }))
  for (const [day, why] of Object.entries(GOOD_DAYS)) {
    say(`Journeys on ${day}: ${why}`)
    note(`journeys on ${day}, ${why}`, await journeysOn(day))
  }
} catch (error) {
  console.error(`\n${error.message}`)
  failed.push(error.message)
}
if (failed.length > 0) console.log(`\nNot good:\n  ${failed.join('\n  ')}`)
console.log(`\n${passed} passed, ${failed.length} failed`)
await end(failed.length > 0 ? 1 : 0)
