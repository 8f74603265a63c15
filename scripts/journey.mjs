// `npm run journey NAME …`: one journey (or any that match NAME), in the browser, against the built application. With
// BASE_URL and DATABASE_URL set it runs against that server, for instance the one of `npm run dev`; else on one of its own.
import { join } from 'node:path'
import { atEnd, end, endOnSignals } from './setup/cleanup.mjs'
import { ensureDebianPackages } from './setup/debian.mjs'
import { ROOT } from './setup/paths.mjs'
import { ensureBuild, ensureDependencies } from './setup/project.mjs'
import { run } from './setup/run.mjs'
import { reportingErrors } from './setup/say.mjs'
import { throwawayServer } from './setup/throwaway.mjs'

async function server() {
  const { BASE_URL: url, DATABASE_URL: databaseUrl, DEMO_PASSWORD: demoPassword = '' } = process.env
  if (url && databaseUrl) return { url, databaseUrl, demoPassword }
  await ensureBuild()
  return throwawayServer('journey')
}

await reportingErrors(async () => {
  endOnSignals()
  atEnd(async () => {})
  await ensureDebianPackages(['postgresql', 'chromium-headless-shell'])
  await ensureDependencies()
  const { url, databaseUrl, demoPassword } = await server()
  const args = ['test', '--reporter=list', ...process.argv.slice(2)]
  const env = { BASE_URL: url, DATABASE_URL: databaseUrl, DEMO_PASSWORD: demoPassword }
  const isGood = await run(join(ROOT, 'node_modules', '.bin', 'playwright'), args, {
    cwd: ROOT,
    output: 'inherit',
    env: { ...process.env, ...env },
  }).then(
    () => true,
    () => false,
  )
  await end(isGood ? 0 : 1)
})
