import { atEnd } from '../setup/cleanup.mjs'
import { dataHome, ROOT } from '../setup/paths.mjs'
import { privatePostgres } from '../setup/postgres.mjs'
import { runScript } from '../setup/project.mjs'
import { run } from '../setup/run.mjs'

const COUNTS = /^Tests:\s+(?:(\d+) failed, )?(?:\d+ skipped, )?(?:(\d+) passed, )?(\d+) total/m

/** Every test of the services on tables that are spread over several by coach: the same statements, the same answers. */
export async function spreadTables() {
  const postgres = await privatePostgres(dataHome('test'), {
    keepIfRunning: true,
    isThrowaway: true,
  })
  atEnd(postgres.stop)
  const template = postgres.url(`tholepin_spread_${process.pid}`)
  const env = { DATABASE_URL: template }
  atEnd(async () => void (await runScript('database', ['drop'], { env })))
  await runScript('database', ['migrate'], { env })
  await runScript('database', ['spread'], { env, output: 'inherit' })
  const told = await run('npm', ['run', '--silent', 'unit', '--', 'server/services', '--silent'], {
    cwd: ROOT,
    env: { ...process.env, TEST_TEMPLATE_URL: template },
  }).catch(error => error.message)
  const [, failed = '0', passed = '0', tests] = COUNTS.exec(told) ?? []
  if (!tests) throw new Error(told)
  if (failed !== '0') console.log(told)
  return { tests: Number(tests), passed: Number(passed), failed: Number(failed) }
}
