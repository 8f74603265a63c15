// `npm run types`: every file against its types. The compiled checker takes what has no templates in a few seconds; pages
// and components are for the checker that reads templates.
import { join } from 'node:path'
import { ROOT } from './setup/paths.mjs'
import { ensurePrepared } from './setup/project.mjs'
import { run } from './setup/run.mjs'
import { reportingErrors } from './setup/say.mjs'

const NATIVE = join(ROOT, 'node_modules', 'typescript-native', 'bin', 'tsc')
const WITH_TEMPLATES = join(ROOT, 'node_modules', 'vue-tsc', 'bin', 'vue-tsc.js')

const PROJECTS = [
  [NATIVE, 'core/tsconfig.json'],
  [NATIVE, 'tsconfig.tools.json'],
  [NATIVE, '.nuxt/tsconfig.server.json'],
  [NATIVE, '.nuxt/tsconfig.node.json'],
  [WITH_TEMPLATES, '.nuxt/tsconfig.app.json'],
]

/** Whether a project has no finding; what is wrong is printed by the checker itself. */
const isSound = ([checker, project]) =>
  run(process.execPath, [checker, '--noEmit', '-p', project], {
    cwd: ROOT,
    output: 'inherit',
  }).then(
    () => true,
    () => false,
  )

await reportingErrors(async () => {
  await ensurePrepared()
  const results = []
  for (const project of PROJECTS) results.push(await isSound(project))
  process.exitCode = results.every(Boolean) ? 0 : 1
})
