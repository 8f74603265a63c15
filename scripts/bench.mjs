// `npm run bench`: how long the hot paths take on this machine. A word given as argument chooses the rows that contain it.
import { end, endOnSignals } from './setup/cleanup.mjs'
import { ensureDebianPackages } from './setup/debian.mjs'
import { ensureDependencies, runScript } from './setup/project.mjs'
import { throwawayDatabase } from './setup/throwaway.mjs'

endOnSignals()
try {
  await ensureDebianPackages(['postgresql'])
  await ensureDependencies()
  const databaseUrl = await throwawayDatabase('bench')
  await runScript('bench', process.argv.slice(2), { env: { DATABASE_URL: databaseUrl }, output: 'inherit' })
  await end(0)
}
catch (error) {
  console.error(`\n${error.message}`)
  await end(1)
}
