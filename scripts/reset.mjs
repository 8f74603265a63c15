// `npm run reset`: throws away what was entered and brings the demo data back.
import { ownDatabase } from './setup/ownDatabase.mjs'
import { dataHome } from './setup/paths.mjs'
import { ensureDependencies, runScript } from './setup/project.mjs'
import { reportingErrors } from './setup/say.mjs'
import { secretsIn } from './setup/secrets.mjs'

await reportingErrors(async () => {
  await ensureDependencies()
  await ownDatabase(url =>
    runScript('database', ['reset'], {
      env: { DATABASE_URL: url, DEMO_PASSWORD: secretsIn(dataHome('start')).demoPassword },
      output: 'inherit',
    }),
  )
})
