// `npm test`: everything a fresh machine needs, then lint, types, unit tests and journeys. Two lanes run side by side: one
// builds and drives the browser, the other reads the code and runs what needs no browser.
// The last line is `N passed, N failed`; lint, types and the share of tests count as one test each.
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { atEnd, end, endOnSignals } from './setup/cleanup.mjs'
import { drawnDay } from './setup/days.mjs'
import { ensureDebianPackages } from './setup/debian.mjs'
import { dataHome, ROOT } from './setup/paths.mjs'
import { setup as prepareTemplate } from './setup/jestDatabase.mjs'
import { privatePostgres } from './setup/postgres.mjs'
import { ensureBuild, ensureDependencies, ensurePrepared } from './setup/project.mjs'
import { run } from './setup/run.mjs'
import { say } from './setup/say.mjs'
import { shareLine, testShare } from './setup/testShare.mjs'
import { throwawayServer } from './setup/throwaway.mjs'

const REPORTS = join(ROOT, 'test-results')
const tally = { passed: 0, failed: 0 }
/** What each part took, in the order of their ends. */
const parts = []
/** Journeys that needed a second try: defects, named at the end. */
const retried = []
/** Runners that ended without a report and were started once more: told at the end too. */
const died = []

async function timed(name, work) {
  const from = performance.now()
  try {
    return await work()
  } finally {
    parts.push({ name, seconds: Math.round((performance.now() - from) / 1000) })
  }
}

const shown = (command, args, env = {}, limits = {}) =>
  run(command, args, {
    cwd: ROOT,
    output: 'inherit',
    env: { ...process.env, ...env },
    ...limits,
  }).then(
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

const checked = (title, script) =>
  timed(title, async () => {
    say(title)
    const isGood = await shown('npm', ['run', '--silent', script])
    count(Number(isGood), Number(!isGood))
  })

/** Unit tests wait in parts for whichever lane has time, so that no core idles while the other still has work. */
const UNIT_PARTS = 6
/** A test that never ends is ended, and with it its part; a part takes a minute or two. */
const PART_LIMIT = { timeout: 20 * 60_000 }
const waiting = Array.from({ length: UNIT_PARTS }, (_, at) => at + 1)

const unitPart = part =>
  timed(`unit tests ${part} of ${UNIT_PARTS}`, async () => {
    say(`Unit tests, part ${part} of ${UNIT_PARTS}`)
    const file = join(REPORTS, `jest-${part}.json`)
    const args = ['run', '--silent', 'unit', '--', '--json', `--outputFile=${file}`]
    args.push(`--shard=${part}/${UNIT_PARTS}`)
    const once = () => shown('npm', args, { NODE_ENV: 'test' }, PART_LIMIT)
    let isGood = await once()
    if (!existsSync(file)) {
      // It died under way, which is no word on any test: its tests are run, and the dying is told.
      died.push(`unit tests ${part} of ${UNIT_PARTS}`)
      isGood = await once()
    }
    await reported(
      isGood,
      file,
      ({ numPassedTests, numFailedTests, numRuntimeErrorTestSuites }) => [
        numPassedTests,
        numFailedTests + numRuntimeErrorTestSuites,
      ],
    )
  })

async function unitTests() {
  for (let part = waiting.shift(); part !== undefined; part = waiting.shift()) await unitPart(part)
}

/** Names of the tests that passed only when they were tried again. */
function namesOfRetried({ suites = [] }) {
  return suites.flatMap(suite => [
    ...(suite.specs ?? [])
      .filter(({ tests }) => tests.some(({ status }) => status === 'flaky'))
      .map(({ file, title }) => `${file}: ${title}`),
    ...namesOfRetried(suite),
  ])
}

/** The journeys on one day: all of them today, on another day those that go by dates. */
const journeys = (title, day, args) =>
  timed(title, async () => {
    const name = `journeys${day ? '_day' : ''}`
    const { url, databaseUrl, demoPassword } = await throwawayServer(name, day)
    say(`${title}, against the built server and a real database`)
    const file = join(REPORTS, `playwright${day ? `-${day}` : ''}.json`)
    const isGood = await shown(
      join(ROOT, 'node_modules', '.bin', 'playwright'),
      ['test', ...args],
      {
        BASE_URL: url,
        DATABASE_URL: databaseUrl,
        DEMO_PASSWORD: demoPassword,
        ...(day && { DEMO_TODAY: day }),
        PLAYWRIGHT_JSON_OUTPUT_NAME: file,
      },
    )
    await reported(isGood, file, report => {
      retried.push(...namesOfRetried(report))
      return [report.stats.expected + report.stats.flaky, report.stats.unexpected]
    })
  })

function share() {
  const found = testShare()
  console.log(`\n${shareLine(found)}`)
  count(Number(found.isEnough), Number(!found.isEnough))
}

async function browserLane() {
  await timed('build', ensureBuild)
  await journeys('journeys', undefined, process.argv.slice(2))
  const day = drawnDay(new Date().toISOString().slice(0, 10))
  if (process.argv.length === 2) await journeys(`journeys on ${day}`, day, ['--grep', '@day'])
  await unitTests()
}

async function codeLane() {
  await checked('lint', 'lint')
  await checked('types', 'types')
  await unitTests()
}

/** A lane that breaks is one failure; the other goes on. */
const lane = work =>
  work().catch(error => {
    console.error(`\n${error.message}`)
    count(0, 1)
  })

function closingLines() {
  const rows = parts.map(({ name, seconds }) => `${String(seconds).padStart(6)} s  ${name}`)
  console.log(`\nWhat took how long (the two lanes run side by side):\n${rows.join('\n')}`)
  if (retried.length > 0)
    console.log(
      `\n${retried.length} needed a second try, which is a defect:\n  ${retried.join('\n  ')}`,
    )
  else console.log('\nNo journey needed a second try.')
  if (died.length > 0) console.log(`\nDied without a report, started again: ${died.join(', ')}.`)
  console.log(`\n${tally.passed} passed, ${tally.failed} failed`)
}

endOnSignals()
const started = performance.now()
try {
  await timed('install', async () => {
    await ensureDebianPackages(['postgresql', 'chromium-headless-shell'])
    await ensureDependencies()
    await ensurePrepared()
  })
  rmSync(REPORTS, { recursive: true, force: true })
  mkdirSync(REPORTS, { recursive: true })
  // Both lanes use one database server; it is up before either asks for it, and outlives both.
  if (!process.env.DATABASE_URL)
    atEnd((await privatePostgres(dataHome('test'), { isThrowaway: true })).stop)
  await prepareTemplate()
  await Promise.all([lane(browserLane), lane(codeLane)])
  share()
} catch (error) {
  console.error(`\n${error.message}`)
  count(0, 1)
}
parts.push({ name: 'all together', seconds: Math.round((performance.now() - started) / 1000) })
process.on('exit', closingLines)
await end(tally.failed > 0 ? 1 : 0)
