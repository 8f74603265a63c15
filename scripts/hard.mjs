// `npm run hard`: bad days. Each trial starts the built application on a database of its own, harms it while it is used, and counts what
// was promised and is not there, what is there twice, what failed and who had to wait. Names of trials choose among them; a number is
// how often (rounds, or bodies for the doors): `npm run hard server 500`.
import { end, endOnSignals } from './setup/cleanup.mjs'
import { ensureDebianPackages } from './setup/debian.mjs'
import { dataHome } from './setup/paths.mjs'
import { ensureBuild, ensureDependencies, runScript } from './setup/project.mjs'
import { throwawayServer } from './setup/throwaway.mjs'
import { clockJumps } from './hard/clockJumps.mjs'
import { fullDisk } from './hard/fullDisk.mjs'
import { harmedDatabase } from './hard/killedUnderLoad.mjs'
import { killedMachines } from './hard/killedMachines.mjs'
import { killedServer } from './hard/killedServer.mjs'
import { ownDatabaseSite, ownSite } from './hard/site.mjs'
import { spreadTables } from './hard/spreadTables.mjs'

const home = dataHome('hard')
/** Another script against a server of its own; it says its counts and fails by itself. */
const script = async (name, args) => {
  const { url, databaseUrl } = await throwawayServer(`hard_${name}`)
  const env = { BASE_URL: url, DATABASE_URL: databaseUrl }
  await runScript(name, args, { env, output: 'inherit' })
  return undefined
}
/** The trials in their order, each with how often it is done where nothing is said. */
const TRIALS = {
  database: [20, async times => harmedDatabase(await ownSite(home, 'database'), times, 'killed')],
  frozen: [8, async times => harmedDatabase(await ownSite(home, 'frozen'), times, 'frozen')],
  server: [60, async times => killedServer(await ownDatabaseSite(home, 'server'), times)],
  machines: [20, async times => killedMachines(await ownDatabaseSite(home, 'machines'), times)],
  disk: [4, fullDisk],
  clock: [1, () => clockJumps(home)],
  spread: [1, spreadTables],
  doors: [4000, times => script('hardDoors', [String(times)])],
  phones: [1, () => script('benchLogging', [])],
}
/** Counts that may be nothing but 0. */
const NEVER = ['failed', 'lost', 'doubled', 'over 5 s', 'back late', 'shut out']

const chosen = process.argv.slice(2).filter(word => word in TRIALS)
const times = process.argv.slice(2).map(Number).find(Number.isInteger)
endOnSignals()
try {
  await ensureDebianPackages(['postgresql'])
  await ensureDependencies()
  await ensureBuild()
  let isGood = true
  for (const name of chosen.length > 0 ? chosen : Object.keys(TRIALS)) {
    const [usual, run] = TRIALS[name]
    const found = await run(times ?? usual)
    if (!found) continue
    console.table([{ trial: name, ...found }])
    isGood &&= NEVER.every(count => !found[count])
  }
  await end(isGood ? 0 : 1)
} catch (error) {
  console.error(`\n${error.message}`)
  await end(1)
}
