// `npm run mutants [-- FOLDER …] [--count 200] [--seed 1] [--known]`: breaks the code by one small change at a time and runs the
// tests that reach the changed line. A change that no test sees is a survivor; the table says how many were killed by
// folder. Which test reaches which line is found out first, by running every test file once; `--known` goes by what was
// found out the last time.
// Works on copies below .data/mutants, never in the checkout.
import { execFileSync, spawn } from 'node:child_process'
import {
  cpSync,
  existsSync,
  mkdirSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs'
import { join } from 'node:path'
import { testsReaching } from './mutants/reach.mjs'
import { mutantsOf, mutated } from './mutants/mutate.mjs'
import { setup, teardown } from './setup/jestDatabase.mjs'
import { ROOT } from './setup/paths.mjs'

const args = process.argv.slice(2)
const option = (name, usual) => {
  const at = args.indexOf(`--${name}`)
  return at < 0 ? usual : Number(args.splice(at, 2)[1])
}
const flag = name => {
  const at = args.indexOf(`--${name}`)
  return at >= 0 && args.splice(at, 1).length > 0
}
const [count, seed, isKnown] = [option('count', 200), option('seed', 1), flag('known')]
const FOLDERS =
  args.length > 0 ? args : ['core', 'server/services', 'server/db/queries', 'shared', 'app']
const COPIES = 2
const PLACE = join(ROOT, '.data', 'mutants')
const MEASURED = join(PLACE, 'reach.jsonl')
const CONFIGURATION = [
  'jest.config.mjs',
  'package.json',
  'playwright.config.ts',
  'tsconfig.json',
  'tsconfig.tools.json',
  'tsconfig.unit.json',
]
const LIMIT_MS = 240_000
const MEASURING_MS = 60 * 60_000
/** Tests that take long and see little that others do not. */
const SLOW = 'allocation\\.test|highs\\.test|proof\\.test|days\\.test'

/** Numbers from 0 to 1, the same for the same seed. */
function chance(state) {
  return () => {
    state = (state * 1664525 + 1013904223) >>> 0
    return state / 2 ** 32
  }
}
const random = chance(seed * 7919 + 17)

const tracked = execFileSync('git', ['ls-files'], { cwd: ROOT }).toString().split('\n')
const sources = folder =>
  tracked.filter(
    file =>
      file.startsWith(`${folder}/`) &&
      /\.ts$/.test(file) &&
      !/\.test\.ts$|\/testing\/|\/index\.ts$|\.d\.ts$|\/migrations\/|\/catalogue\/exercises\//.test(
        file,
      ) &&
      existsSync(join(ROOT, file)),
  )

/** So many mutants of a folder, drawn file by file in proportion to what there is to break. */
function drawn(folder, wanted) {
  const all = sources(folder).flatMap(file => {
    const text = readFileSync(join(ROOT, file), 'utf8')
    return mutantsOf(text, file).map(mutant => ({ ...mutant, file, folder }))
  })
  const picked = []
  while (picked.length < wanted && all.length > 0)
    picked.push(all.splice(Math.floor(random() * all.length), 1)[0])
  return picked
}

function prepared(copy) {
  rmSync(copy, { recursive: true, force: true })
  mkdirSync(copy, { recursive: true })
  for (const name of ['app', 'core', 'docs', 'scripts', 'server', 'shared', 'e2e'])
    cpSync(join(ROOT, name), join(copy, name), { recursive: true })
  for (const name of CONFIGURATION) cpSync(join(ROOT, name), join(copy, name))
  symlinkSync(join(ROOT, 'node_modules'), join(copy, 'node_modules'))
  // The template of the database is made once, for all copies.
  const config = readFileSync(join(copy, 'jest.config.mjs'), 'utf8').replace(
    /\n\s*global(Setup|Teardown):[^\n]*/g,
    '',
  )
  writeFileSync(join(copy, 'jest.config.mjs'), config)
}

/** Whether the tests of a copy pass with these arguments; too long counts as seen, as an endless loop does. */
const passes = (copy, jestArgs, { env = {}, limitMs = LIMIT_MS } = {}) =>
  new Promise(resolve => {
    const args = ['run', '--silent', 'unit', '--', '-i', '--silent', '--passWithNoTests']
    const child = spawn('npm', [...args, ...jestArgs], {
      cwd: copy,
      stdio: 'ignore',
      // A group of its own, so that whoever hangs below npm ends with it.
      detached: true,
      env: { ...process.env, ...env, NODE_ENV: 'test' },
    })
    const limit = setTimeout(() => process.kill(-child.pid, 'SIGKILL'), limitMs)
    child.on('close', code => {
      clearTimeout(limit)
      resolve(code === 0)
    })
  })

/** Measures which lines every test file reaches, and how long it takes; each copy runs its share of the files, each file apart. */
async function measured(copies) {
  const shares = await Promise.all(
    copies.map(async (copy, at) => {
      const file = join(copy, 'reach.jsonl')
      writeFileSync(file, '')
      await passes(
        copy,
        [
          '--coverage',
          '--coverageReporters=json-summary',
          `--reporters=${join(copy, 'scripts', 'mutants', 'reachReporter.mjs')}`,
          `--shard=${at + 1}/${copies.length}`,
          `--testPathIgnorePatterns=${SLOW}`,
        ],
        { env: { EACH_APART: '1', REACH: file }, limitMs: MEASURING_MS },
      )
      return readFileSync(file, 'utf8').split('\n').filter(Boolean)
    }),
  )
  writeFileSync(MEASURED, shares.flat().join('\n'))
}

/** What was measured the last time. */
const knownTests = () =>
  readFileSync(MEASURED, 'utf8')
    .split('\n')
    .map(line => {
      const { reached, ...row } = JSON.parse(line)
      return { ...row, reached: new Map(reached.map(([file, lines]) => [file, new Set(lines)])) }
    })

async function isKilled(copy, { file, ...mutant }, known) {
  // What no test reaches no test can see.
  const steps = testsReaching(known, file, mutant.line)
  const path = join(copy, file)
  const source = readFileSync(path, 'utf8')
  writeFileSync(path, mutated(source, mutant))
  try {
    for (const tests of steps)
      if (!(await passes(copy, ['--bail', '--ci', '--runTestsByPath', ...tests]))) return true
    return false
  } finally {
    writeFileSync(path, source)
  }
}

await setup()
const share = folder => sources(folder).length
const total = FOLDERS.reduce((sum, folder) => sum + share(folder), 0)
const mutants = FOLDERS.flatMap(folder =>
  drawn(folder, Math.max(5, Math.round((count * share(folder)) / total))),
)
console.log(`${mutants.length} mutants, seed ${seed}`)
const copies = Array.from({ length: COPIES }, (_, at) => join(PLACE, String(at)))
copies.forEach(prepared)
if (!isKnown || !existsSync(MEASURED)) await measured(copies)
const known = knownTests()
console.log(`${known.length} test files measured`)
const results = []
const queue = [...mutants]
await Promise.all(
  copies.map(async copy => {
    for (let mutant; (mutant = queue.shift());) {
      const killed = await isKilled(copy, mutant, known)
      results.push({ ...mutant, killed })
      if (results.length % 25 === 0) console.log(`${results.length} of ${mutants.length}`)
      if (!killed)
        console.log(
          `survived  ${mutant.file}:${mutant.line}  ${mutant.kind}: ${mutant.was.slice(0, 60).replace(/\s+/g, ' ')} → ${mutant.text.slice(0, 60).replace(/\s+/g, ' ')}`,
        )
    }
  }),
)
await teardown()
const row = (name, own) => {
  const killed = own.filter(one => one.killed).length
  return `${name.padEnd(24)} ${String(own.length).padStart(5)} ${String(killed).padStart(7)} ${own.length === 0 ? '' : `${Math.round((100 * killed) / own.length)} %`.padStart(7)}`
}
console.log(`\n${'folder'.padEnd(24)} mutants killed   share`)
for (const folder of FOLDERS)
  console.log(
    row(
      folder,
      results.filter(one => one.folder === folder),
    ),
  )
console.log(row('all', results))
