// `npm test`: everything a fresh machine needs, then lint, types, unit and interface tests.
// The last line is `N passed, N failed`; lint and types count as one test each.
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { end, endOnSignals } from './setup/cleanup.mjs'
import { ensureDebianPackages } from './setup/debian.mjs'
import { ROOT } from './setup/paths.mjs'
import { ensureBuild, ensureDependencies, ensurePrepared } from './setup/project.mjs'
import { run } from './setup/run.mjs'
import { say } from './setup/say.mjs'
import { throwawayServer } from './setup/throwaway.mjs'

const REPORTS = join(ROOT, 'test-results')
const jestReport = join(REPORTS, 'jest.json')
const playwrightReport = join(REPORTS, 'playwright.json')
const tally = { passed: 0, failed: 0 }

const shown = (command, args, env = {}) =>
  run(command, args, { cwd: ROOT, output: 'inherit', env: { ...process.env, ...env } }).then(
    () => true,
    () => false,
  )

function count(passed, failed) {
  tally.passed += passed
  tally.failed += failed
}

/** Counts what a runner reports; a runner that died without a report is one failure. */
async function reported(isGood, file, read) {
  const [passed, failed] = existsSync(file) ? read(JSON.parse(readFileSync(file, 'utf8'))) : [0, 1]
  count(passed, isGood ? failed : Math.max(1, failed))
}

async function checked(title, script) {
  say(title)
  const isGood = await shown('npm', ['run', '--silent', script])
  count(Number(isGood), Number(!isGood))
}

async function unitTests() {
  say('Unit tests')
  const isGood = await shown(
    'npm',
    ['run', '--silent', 'unit', '--', '--json', `--outputFile=${jestReport}`],
    { NODE_ENV: 'test' },
  )
  await reported(isGood, jestReport, report => [
    report.numPassedTests,
    report.numFailedTests + report.numRuntimeErrorTestSuites,
  ])
}

async function journeys() {
  say('Interface tests against the built server and a real database')
  const { url, databaseUrl, demoPassword } = await throwawayServer('journeys')
  const isGood = await shown(
    join(ROOT, 'node_modules', '.bin', 'playwright'),
    ['test', ...process.argv.slice(2)],
    {
      BASE_URL: url,
      DATABASE_URL: databaseUrl,
      DEMO_PASSWORD: demoPassword,
      PLAYWRIGHT_JSON_OUTPUT_NAME: playwrightReport,
    },
  )
  await reported(isGood, playwrightReport, ({ stats }) => [
    stats.expected + stats.flaky,
    stats.unexpected,
  ])
}

endOnSignals()
try {
  await ensureDebianPackages(['postgresql', 'chromium'])
  await ensureDependencies()
  await ensurePrepared()
  await ensureBuild()
  rmSync(REPORTS, { recursive: true, force: true })
  mkdirSync(REPORTS, { recursive: true })
  await checked('Lint', 'lint')
  await checked('Types', 'types')
  await unitTests()
  await journeys()
} catch (error) {
  console.error(`\n${error.message}`)
  count(0, 1)
}
process.on('exit', () => console.log(`\n${tally.passed} passed, ${tally.failed} failed`))
await end(tally.failed > 0 ? 1 : 0)
