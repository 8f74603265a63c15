// `npm run restore FILE`: brings a copy into the empty database that DATABASE_URL names, whole or not at all.
import { restored } from './setup/copies.mjs'
import { runScript } from './setup/project.mjs'
import { reportingErrors, say, SetupError } from './setup/say.mjs'

await reportingErrors(async () => {
  const [, , file] = process.argv
  const url = process.env.DATABASE_OWNER_URL ?? process.env.DATABASE_URL
  if (!file || !url)
    throw new SetupError(
      'Give the file and the database: DATABASE_URL=postgres://… npm run restore -- FILE',
    )
  await runScript('database', ['make'], { env: { DATABASE_URL: url } })
  await restored(url, file, process.env.BACKUP_PASSPHRASE)
  say('Restored. `npm start` with the same DATABASE_URL migrates it where the copy is older.')
})
