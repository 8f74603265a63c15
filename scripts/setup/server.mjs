import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { ROOT } from './paths.mjs'
import { SetupError } from './say.mjs'

const START_LIMIT_MS = 90_000

/** Whether a Tholepin server answers at an address. */
export function isServing(url) {
  return fetch(`${url}/api/health`, { signal: AbortSignal.timeout(2000) })
    .then(answer => answer.json())
    .then(
      ({ program, database }) => program === 'tholepin' && database,
      () => false,
    )
}

/**
 * Starts the built server on loopback and waits until it answers.
 * It gets a process group of its own: on Ctrl-C this program decides who stops when.
 */
export async function startedServer({ port, databaseUrl, sessionPassword, env = {} }) {
  const url = `http://127.0.0.1:${port}`
  const child = spawn(process.execPath, [join(ROOT, '.output', 'server', 'index.mjs')], {
    cwd: ROOT,
    detached: true,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: {
      ...process.env,
      ...env,
      HOST: '127.0.0.1',
      PORT: String(port),
      NODE_ENV: 'production',
      // A terminal shows what goes wrong; whoever keeps the lines asks for all of them.
      LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn',
      DATABASE_URL: databaseUrl,
      // Plain HTTP never leaves this machine; behind TLS leave the secure cookie on.
      NUXT_SESSION_PASSWORD: sessionPassword,
      NUXT_SESSION_COOKIE_SECURE: 'false',
    },
  })
  const ended = new Promise(resolve => child.once('exit', resolve))
  let hasEnded = false
  void ended.then(() => (hasEnded = true))
  for (const limit = Date.now() + START_LIMIT_MS; !(await isServing(url));) {
    if (hasEnded || Date.now() > limit) {
      child.kill('SIGKILL')
      throw new SetupError('The server did not come up; its own words are above.')
    }
    await new Promise(resolve => setTimeout(resolve, 50))
  }
  return { url, ended, stop: () => stopped(child, ended), kill: () => killed(child, ended) }
}

async function stopped(child, ended) {
  child.kill('SIGTERM')
  const tooLate = setTimeout(() => child.kill('SIGKILL'), 5000)
  await ended
  clearTimeout(tooLate)
}

/** Ends it at once, as a power cut does. */
async function killed(child, ended) {
  child.kill('SIGKILL')
  await ended
}
