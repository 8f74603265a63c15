import { existsSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { isRoot } from './paths.mjs'
import { run } from './run.mjs'
import { say, SetupError } from './say.mjs'

const POSTGRES_HOME = '/usr/lib/postgresql'
/** The browser without windows: it draws the same pages at two thirds of the cost. */
export const CHROMIUM = '/usr/bin/chromium-headless-shell'

/** Folder with initdb, pg_ctl and postgres of the newest installed server; undefined without one. */
export function postgresBinaries() {
  if (!existsSync(POSTGRES_HOME)) return undefined
  return readdirSync(POSTGRES_HOME)
    .sort((a, b) => Number(b) - Number(a))
    .map(version => join(POSTGRES_HOME, version, 'bin'))
    .find(folder => existsSync(join(folder, 'initdb')) && existsSync(join(folder, 'postgres')))
}

const PACKAGES = {
  debootstrap: () => existsSync('/usr/sbin/debootstrap'),
  gnupg: () => existsSync('/usr/bin/gpg'),
  'nginx-light': () => existsSync('/usr/sbin/nginx'),
  postgresql: () => postgresBinaries() !== undefined,
  'chromium-headless-shell': () => existsSync(CHROMIUM),
}

/** Installs those of the named Debian packages that are missing. */
export async function ensureDebianPackages(names) {
  const missing = names.filter(name => !PACKAGES[name]())
  if (missing.length === 0) return
  say(`Installing Debian packages: ${missing.join(', ')}`)
  const [command, ...before] = isRoot ? ['apt-get'] : ['sudo', '-n', 'apt-get']
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
  try {
    await run(command, [...before, 'update'], { env })
    await run(command, [...before, 'install', '-y', '--no-install-recommends', ...missing], { env })
  } catch (error) {
    throw new SetupError(
      `These Debian packages are needed: ${missing.join(', ')}. Install them as root with\n  apt-get install ${missing.join(' ')}\nand start again.\n${error.message}`,
    )
  }
}
