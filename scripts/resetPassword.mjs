// `npm run reset-password EMAIL`: a link that lets a coach who has lost the password set a new one.
import { ownDatabase } from './setup/ownDatabase.mjs'
import { runScript } from './setup/project.mjs'
import { reportingErrors } from './setup/say.mjs'

await reportingErrors(() =>
  ownDatabase(url =>
    runScript('resetPassword', [process.argv[2] ?? ''], {
      env: { DATABASE_URL: url },
      output: 'inherit',
    }),
  ),
)
