// `npm run lock`: after adding a package, names the native builds for other platforms that the registry at hand did not
// list. Without them `npm ci` takes the lock file for outdated. They are skipped on machines they do not fit.
import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { ROOT } from './setup/paths.mjs'

const SYSTEMS = [
  'aix',
  'android',
  'darwin',
  'freebsd',
  'linux',
  'netbsd',
  'openbsd',
  'openharmony',
  'sunos',
  'win32',
]
const PROCESSORS = [
  'arm64',
  'arm',
  'ia32',
  'loong64',
  'mips64el',
  'ppc64',
  'riscv64',
  's390x',
  'wasm32',
  'x64',
]

/** What a native build runs on, read off its name: `…-linux-x64-musl`. */
function platformOf(name) {
  const words = name.split(/[-/]/)
  const os = SYSTEMS.find(system => words.includes(system))
  const cpu =
    PROCESSORS.find(processor => words.includes(processor)) ??
    (name.includes('wasm32') ? 'wasm32' : undefined)
  if (!cpu) return undefined
  const libc = os === 'linux' && words.includes('musl') ? 'musl' : undefined
  return { cpu: [cpu], ...(libc && { libc: [libc] }), ...(os && { os: [os] }) }
}

const file = join(ROOT, 'package-lock.json')
const lock = JSON.parse(readFileSync(file, 'utf8'))
let added = 0
for (const [path, { optionalDependencies = {}, dev }] of Object.entries(lock.packages)) {
  for (const [name, version] of Object.entries(optionalDependencies)) {
    const nested = `${path}/node_modules/${name}`
    const top = `node_modules/${name}`
    if (lock.packages[nested] || lock.packages[top]?.version === version) continue
    const platform = platformOf(name)
    if (!platform || !/^\d/.test(version)) continue
    lock.packages[lock.packages[top] ? nested : top] = {
      version,
      ...platform,
      ...(dev && { dev }),
      optional: true,
    }
    added += 1
  }
}
lock.packages = Object.fromEntries(
  Object.entries(lock.packages).sort(([a], [b]) => (a < b ? -1 : 1)),
)
writeFileSync(file, `${JSON.stringify(lock, null, 2)}\n`)
console.log(`${added} builds for other platforms named`)
