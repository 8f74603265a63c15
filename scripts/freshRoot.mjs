// `npm run fresh-root`: the steps of the container files in fresh Debian roots made from Debian's packages, one root a stage, and what
// comes of them run there: a database by `deploy/database.sh`, the application beside it until it is ready. Needs root; about six minutes.
import { cpSync, existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { spawn } from 'node:child_process'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { randomBytes } from 'node:crypto'
import { atEnd, end, endOnSignals } from './setup/cleanup.mjs'
import { copyOf, settingsOf, stagesOf } from './setup/containerFile.mjs'
import { ensureDebianPackages } from './setup/debian.mjs'
import { isRoot, ROOT } from './setup/paths.mjs'
import { run } from './setup/run.mjs'
import { say, SetupError } from './setup/say.mjs'

const RELEASE = 'trixie'
const READY_WITHIN_MS = 60_000
const CERTIFICATES = '/certificates-of-the-machine.pem'
const home = mkdtempSync(join(tmpdir(), 'tholepin-roots-'))
const base = join(home, 'base')

/** Where this machine has its Debian packages from. */
function mirror() {
  const file = ['/etc/apt/sources.list.d/debian.sources', '/etc/apt/sources.list'].find(existsSync)
  const [, found] =
    /^(?:URIs:|deb(?: \[[^\]]*\])?)\s+(\S+)/m.exec(file ? readFileSync(file, 'utf8') : '') ?? []
  if (!found) throw new SetupError('Where Debian packages come from is not said in /etc/apt.')
  return found
}

/** A fresh root of its own, with what a container is given from outside: processes, devices, names of hosts. */
async function freshRoot(name) {
  const root = join(home, name)
  await run('cp', ['-a', base, root])
  for (const file of ['/etc/resolv.conf', '/etc/hosts'])
    if (existsSync(file)) cpSync(file, join(root, file))
  // A machine behind a proxy of its own trusts what the proxy signs; a root made on it has to as well.
  if (process.env.NODE_EXTRA_CA_CERTS)
    cpSync(process.env.NODE_EXTRA_CA_CERTS, join(root, CERTIFICATES))
  for (const place of ['proc', 'dev']) {
    await run('mount', ['--rbind', `/${place}`, join(root, place)])
    await run('mount', ['--make-rslave', join(root, place)])
    atEnd(() => run('umount', ['-l', join(root, place)]))
  }
  return root
}

const inRoot = (root, { user = 'root', env = {}, folder = '/' }, command) => [
  'chroot',
  [
    `--userspec=${user}`,
    root,
    'env',
    '-i',
    'PATH=/usr/local/sbin:/usr/local/bin:/usr/sbin:/usr/bin:/sbin:/bin',
    'HOME=/root',
    ...Object.entries(env).map(([key, value]) => `${key}=${value}`),
    'sh',
    '-c',
    `cd ${folder} && ${command}`,
  ],
]

/** Follows a container file; the last stage's root with who runs what in it. */
async function followed(text, context, outside = {}) {
  const roots = new Map()
  let last
  for (const [at, { name, steps }] of stagesOf(text).entries()) {
    const root = await freshRoot(`${context.replace(/\W/g, '')}-${name}-${at}`)
    roots.set(name, root)
    const now = { user: 'root', env: {}, folder: '/' }
    for (const { word, rest } of steps)
      await step(root, now, { word, rest }, { roots, context, outside })
    last = { root, ...now }
  }
  return last
}

async function step(root, now, { word, rest }, { roots, context, outside }) {
  say(`${word} ${rest.slice(0, 90)}`)
  if (word === 'RUN') await run(...inRoot(root, { ...now, env: { ...outside, ...now.env } }, rest))
  else if (word === 'WORKDIR') {
    now.folder = rest
    mkdirSync(join(root, rest), { recursive: true })
  } else if (word === 'ENV') Object.assign(now.env, settingsOf(rest))
  else if (word === 'USER') now.user = rest
  else if (word === 'CMD') now.command = JSON.parse(rest)
  else if (word === 'COPY') await copied(root, now, copyOf(rest), { roots, context })
}

async function copied(root, now, { from, what, to }, { roots, context }) {
  const target = join(root, resolve(now.folder, to))
  for (const path of what) {
    if (path !== '.') {
      const source = join(from ? roots.get(from) : context, path)
      await run('cp', ['-a', source, to.endsWith('/') ? `${target}/` : target])
      continue
    }
    // What a build is given is what is in the repository, and nothing of this machine besides.
    const archive = join(home, 'context.tar')
    await run('git', ['archive', '--format=tar', '-o', archive, 'HEAD'], { cwd: context })
    await run('tar', ['-xf', archive, '-C', target])
  }
}

/** Starts what a root is for, and ends it at the end. */
function started({ root, command, ...how }, env) {
  const words = command.map(word => `'${word.replaceAll("'", `'\\''`)}'`).join(' ')
  const child = spawn(...inRoot(root, { ...how, env: { ...how.env, ...env } }, `exec ${words}`), {
    stdio: ['ignore', 'inherit', 'inherit'],
    detached: true,
  })
  const ended = new Promise(done => child.once('exit', done))
  atEnd(async () => {
    try {
      process.kill(-child.pid, 'SIGTERM')
    } catch {
      return
    }
    await ended
  })
}

async function until(url, words) {
  for (const limit = Date.now() + READY_WITHIN_MS; Date.now() < limit;) {
    const isThere = await fetch(url).then(
      answer => answer.ok,
      () => false,
    )
    if (isThere) return say(words)
    await new Promise(done => setTimeout(done, 250))
  }
  throw new SetupError(`${url} did not answer well within a minute.`)
}

const databaseFile = () => {
  const compose = readFileSync(join(ROOT, 'deploy/compose.yaml'), 'utf8')
  const [, inline] = /dockerfile_inline: \|\n((?: {8}.*\n)+)/.exec(compose) ?? []
  if (!inline) throw new SetupError('deploy/compose.yaml has no file of the database any more.')
  return inline
}

endOnSignals()
try {
  if (!isRoot) throw new SetupError('Making a root needs root.')
  await ensureDebianPackages(['debootstrap'])
  atEnd(async () => rmSync(home, { recursive: true, force: true }))
  say(`Making a fresh root of ${RELEASE}`)
  await run('debootstrap', ['--variant=minbase', RELEASE, base, mirror()])
  const registry = (await run('npm', ['config', 'get', 'registry'])).trim().split('\n').at(-1)
  const database = await followed(databaseFile(), join(ROOT, 'deploy'))
  const app = await followed(readFileSync(join(ROOT, 'deploy/Dockerfile'), 'utf8'), ROOT, {
    npm_config_registry: registry,
    ...(process.env.NODE_EXTRA_CA_CERTS && { NODE_EXTRA_CA_CERTS: CERTIFICATES }),
  })
  const secrets = Array.from({ length: 3 }, () => randomBytes(24).toString('hex'))
  started(database, { OWNER_PASSWORD: secrets[0] })
  await new Promise(done => setTimeout(done, 8000))
  const at = '127.0.0.1/tholepin'
  started(app, {
    DATABASE_URL: `postgres://tholepin_app:${secrets[1]}@${at}`,
    DATABASE_OWNER_URL: `postgres://tholepin:${secrets[0]}@${at}`,
    NUXT_SESSION_PASSWORD: secrets[2],
    TRUSTED_PROXY: '1',
  })
  await until(
    'http://127.0.0.1:3210/api/ready',
    'Ready: the containers’ steps hold in a fresh root',
  )
  await end(0)
} catch (error) {
  console.error(`\n${error.message}`)
  await end(1)
}
