// `npm run bench`: how long the hot paths take on this machine. A word given as argument chooses the rows that contain it;
// `logging` presses the built server instead, with 200 phones at once; `review` asks it for a long log and rehearses in its worker;
// `honesty` tells how often trends and paces are right about simulated clients.
import { end, endOnSignals } from './setup/cleanup.mjs'
import { ensureDebianPackages } from './setup/debian.mjs'
import { ensureBuild, ensureDependencies, runScript } from './setup/project.mjs'
import { throwawayDatabase, throwawayServer } from './setup/throwaway.mjs'

const words = process.argv.slice(2)

endOnSignals()
try {
  await ensureDebianPackages(['postgresql'])
  await ensureDependencies()
  if (words[0] !== 'logging' && words[0] !== 'review')
    await runScript('bench', words, {
      env: { DATABASE_URL: await throwawayDatabase('bench') },
      output: 'inherit',
    })
  if (words.length === 0 || words[0] === 'review') {
    await ensureDebianPackages(['chromium-headless-shell'])
    await ensureBuild()
    const { url, databaseUrl } = await throwawayServer('bench_review')
    await runScript('benchReview', [], {
      env: { BASE_URL: url, DATABASE_URL: databaseUrl },
      output: 'inherit',
    })
  }
  if (words.length === 0 || words[0] === 'logging') {
    await ensureBuild()
    const { url, databaseUrl } = await throwawayServer('bench_logging')
    await runScript('benchLogging', [], {
      env: { BASE_URL: url, DATABASE_URL: databaseUrl },
      output: 'inherit',
    })
  }
  await end(0)
} catch (error) {
  console.error(`\n${error.message}`)
  await end(1)
}
