import { join } from 'node:path'
import { fingerprint, onceFor } from './fingerprint.mjs'
import { ROOT } from './paths.mjs'
import { run } from './run.mjs'
import { say } from './say.mjs'

const bin = name => join(ROOT, 'node_modules', '.bin', name)
const quietEnv = { ...process.env, NUXT_TELEMETRY_DISABLED: '1' }

const NPM = 11
/** What npm is told. One before 11, as Debian has it, finds packages missing in the lock file that nobody asks for: it runs a newer one. */
export const installing = version => [
  ...(Number.parseInt(version, 10) < NPM ? ['exec', '--yes', `npm@${NPM}`, '--'] : []),
  'ci',
  '--no-progress',
  '--loglevel=error',
]

/** Installs the locked dependencies when the lock file changed. */
export async function ensureDependencies() {
  await onceFor(
    join(ROOT, 'node_modules', '.tholepin-installed'),
    fingerprint(['package-lock.json', '.npmrc']),
    async () => {
      say('Installing dependencies (npm ci)')
      await run('npm', installing(await run('npm', ['--version'])), { cwd: ROOT })
    },
  )
}

/** Builds the server and the pages when their sources changed. */
export async function ensureBuild() {
  const sources = [
    'app',
    // The books that the application shows.
    'docs/guide.md',
    'docs/methods.md',
    'docs/shorthand.md',
    'core',
    'public',
    'server',
    'shared',
    'nuxt.config.ts',
    'package-lock.json',
  ]
  await onceFor(join(ROOT, '.output', '.tholepin-built'), fingerprint(sources), async () => {
    say('Building (about a minute)')
    await run(bin('nuxt'), ['build'], { cwd: ROOT, env: quietEnv })
  })
}

/** Writes the generated types and lint settings of the framework. */
export async function ensurePrepared() {
  await onceFor(
    join(ROOT, '.nuxt', '.tholepin-prepared'),
    fingerprint(['app', 'server', 'shared', 'nuxt.config.ts', 'package-lock.json']),
    async () => {
      say('Preparing types')
      await run(bin('nuxt'), ['prepare'], { cwd: ROOT, env: quietEnv })
    },
  )
}

/** Runs a TypeScript command of this project, `scripts/NAME.ts`. */
export function runScript(name, args, { env, output }) {
  return run(
    bin('tsx'),
    ['--tsconfig', join(ROOT, 'tsconfig.tools.json'), join(ROOT, 'scripts', `${name}.ts`), ...args],
    { cwd: ROOT, env: { ...process.env, ...env }, output },
  )
}
