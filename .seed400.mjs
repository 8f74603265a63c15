// `npm run bench:ui`: how long the board takes from a key press to the next paint, and what its first view loads.
import { end, endOnSignals } from './scripts/setup/cleanup.mjs'
import { ensureDebianPackages } from './scripts/setup/debian.mjs'
import { ensureBuild, ensureDependencies, runScript } from './scripts/setup/project.mjs'
import { throwawayServer } from './scripts/setup/throwaway.mjs'

endOnSignals()
try {
  await ensureDebianPackages(['postgresql', 'chromium-headless-shell'])
  await ensureDependencies()
  await ensureBuild()
  const { url, databaseUrl } = await throwawayServer('bench_ui')
  await runScript('../.seed400', process.argv.slice(2), {
    env: { BASE_URL: url, DATABASE_URL: databaseUrl },
    output: 'inherit',
  })
  await end(0)
} catch (error) {
  console.error(`\n${error.message}`)
  await end(1)
}
