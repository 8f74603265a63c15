import { createHash } from 'node:crypto'
import {
  createReadStream,
  existsSync,
  mkdtempSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs'
import { basename, dirname, join, resolve } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { ensureDebianPackages, postgresBinaries } from './debian.mjs'
import { run } from './run.mjs'
import { SetupError } from './say.mjs'

/* Copies of a database in a file: pg_dump's own format, encrypted by GnuPG where a passphrase is given, with its checksum beside it. */

const LOCKED = '.gpg'
/** Owners and rights are those of the database it comes to. */
const PLAIN = ['--no-owner', '--no-privileges']
/** All of it, or nothing. */
const WHOLE = ['--single-transaction', '--exit-on-error']

/** One of PostgreSQL's tools at a database; the password goes by the environment, so that no list of processes and no message shows it. */
function atDatabase(name, databaseUrl, args) {
  const url = new URL(databaseUrl)
  const password = decodeURIComponent(url.password)
  url.password = ''
  const env = { ...process.env, ...(password !== '' && { PGPASSWORD: password }) }
  return run(join(postgresBinaries() ?? '/usr/bin', name), [...args, `--dbname=${url.href}`], {
    env,
  })
}

async function checksumOf(file) {
  const hash = createHash('sha256')
  await pipeline(createReadStream(file), hash)
  return hash.digest('hex')
}

/** GnuPG with the passphrase on its standard input, so that no list of processes shows it; its keys stay out of it. */
async function gpg(passphrase, args) {
  await ensureDebianPackages(['gnupg'])
  const home = mkdtempSync(join('/tmp', 'tholepin-gpg-'))
  try {
    const always = ['--homedir', home, '--batch', '--yes', '--quiet', '--no-tty']
    const how = ['--pinentry-mode', 'loopback', '--passphrase-fd', '0']
    await run('gpg', [...always, ...how, ...args], { input: `${passphrase}\n` })
  } finally {
    await run('gpgconf', ['--homedir', home, '--kill', 'gpg-agent']).catch(() => {})
    rmSync(home, { recursive: true, force: true })
  }
}

/**
 * Copies a database into a file and gives the file's path; with a passphrase `.gpg` is added to it.
 * Nothing stands under the name before it is whole.
 */
export async function copied(databaseUrl, to, passphrase = '') {
  const file = resolve(passphrase === '' ? to : `${to.replace(/\.gpg$/, '')}${LOCKED}`)
  if (existsSync(file)) throw new SetupError(`${file} is there already. Name another file.`)
  const half = join(dirname(file), `.${basename(file)}.half`)
  const open = `${half}.open`
  try {
    const written = passphrase === '' ? half : open
    await atDatabase('pg_dump', databaseUrl, [...PLAIN, '--format=custom', `--file=${written}`])
    if (passphrase !== '')
      await gpg(passphrase, ['--symmetric', '--cipher-algo', 'AES256', '--output', half, open])
    writeFileSync(`${file}.sha256`, `${await checksumOf(half)}  ${basename(file)}\n`, {
      mode: 0o600,
    })
    renameSync(half, file)
  } finally {
    for (const left of [half, open]) rmSync(left, { force: true })
  }
  return file
}

/** Tells what is wrong with a copy before anything is touched. */
async function checked(file) {
  if (!existsSync(file)) throw new SetupError(`There is no file ${file}.`)
  const sum = `${file}.sha256`
  if (!existsSync(sum))
    throw new SetupError(`${sum} is missing. It was written beside the copy; bring it along.`)
  const [wanted] = readFileSync(sum, 'utf8').split(/\s/)
  if (wanted !== (await checksumOf(file)))
    throw new SetupError(
      `${file} is not as it was written: its checksum differs. Take another copy.`,
    )
}

const TABLES = `select count(*) from pg_class c join pg_namespace n on n.oid = c.relnamespace where c.relkind in ('r', 'p') and n.nspname not in ('pg_catalog', 'information_schema') and n.nspname not like 'pg_toast%'`

/** Brings a copy into an empty database, whole or not at all. */
export async function restored(databaseUrl, from, passphrase = '') {
  const file = resolve(from)
  await checked(file)
  const held = await atDatabase('psql', databaseUrl, ['-Atqc', TABLES])
  if (Number(held.trim()) > 0)
    throw new SetupError(
      'The database holds tables already; nothing was changed. Restore into an empty one: make another and name it in DATABASE_URL.',
    )
  const isLocked = file.endsWith(LOCKED)
  if (isLocked && passphrase === '')
    throw new SetupError(`${file} is encrypted. Give its passphrase in BACKUP_PASSPHRASE.`)
  const open = isLocked ? join(mkdtempSync(join('/tmp', 'tholepin-copy-')), 'copy') : file
  try {
    if (isLocked)
      await gpg(passphrase, ['--decrypt', '--output', open, file]).catch(() => {
        throw new SetupError(
          'The passphrase does not open this copy; nothing was changed. Without it nobody can read it, we neither.',
        )
      })
    await atDatabase('pg_restore', databaseUrl, [...PLAIN, ...WHOLE, open])
  } finally {
    if (isLocked) rmSync(dirname(open), { recursive: true, force: true })
  }
}
