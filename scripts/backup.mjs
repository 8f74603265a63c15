// `npm run backup [FILE]`: everything the database holds in one file with its checksum, encrypted where BACKUP_PASSPHRASE is given.
import { copied } from './setup/copies.mjs'
import { ownDatabase } from './setup/ownDatabase.mjs'
import { reportingErrors, say } from './setup/say.mjs'

const day = new Date().toISOString().slice(0, 19).replaceAll(':', '')

await reportingErrors(() =>
  ownDatabase(async url => {
    const to = process.argv[2] ?? `tholepin-${day}.backup`
    const file = await copied(url, to, process.env.BACKUP_PASSPHRASE)
    say(`Written: ${file}, its checksum beside it`)
  }),
)
