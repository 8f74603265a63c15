// `npm run reset`: throws away what was entered and brings the demo data back.
import { ensureDebianPackages } from './setup/debian.mjs'
import { dataHome } from './setup/paths.mjs'
import { privatePostgres } from './setup/postgres.mjs'
import { ensureDependencies, runScript } from './setup/project.mjs'
import { reportingErrors } from './setup/say.mjs'
import { secretsIn } from './setup/secrets.mjs'

await reportingErrors(async () => {
  await ensureDependencies()
  const home = dataHome('start')
  const given = process.env.DATABASE_URL
  if (!given) await ensureDebianPackages(['postgresql'])
  const postgres = given ? undefined : await privatePostgres(home, { keepIfRunning: true })
  try {
    await runScript('database', ['reset'], {
      env: {
        DATABASE_URL: given ?? postgres.url('tholepin'),
        DEMO_PASSWORD: secretsIn(home).demoPassword,
      },
      output: 'inherit',
    })
  } finally {
    await postgres?.stop()
  }
})
