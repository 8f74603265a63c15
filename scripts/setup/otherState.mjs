// Another state of the project beside this one, and servers of both: what `npm run bench -- --against REV` measures.
import { fork } from 'node:child_process'
import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { atEnd } from './cleanup.mjs'
import { dataHome, ROOT } from './paths.mjs'
import { run } from './run.mjs'
import { say } from './say.mjs'

const git = (...args) => run('git', args, { cwd: ROOT })
const lockOf = folder => readFileSync(join(folder, 'package-lock.json'), 'utf8')

/** Checks out a revision into a folder of its own, with its packages; made once, kept for the next time. */
export async function checkedOut(revision) {
  const sha = (await git('rev-parse', '--verify', `${revision}^{commit}`)).trim()
  const folder = join(dataHome('against'), sha.slice(0, 12))
  if (existsSync(join(folder, 'node_modules'))) return folder
  say(`Checking out ${sha.slice(0, 12)}`)
  if (!existsSync(folder)) {
    await run('git', ['clone', '--quiet', '--shared', '--no-checkout', ROOT, folder])
    await run('git', ['checkout', '--quiet', '--detach', sha], { cwd: folder })
  }
  if (lockOf(folder) === lockOf(ROOT))
    await run('cp', ['-al', join(ROOT, 'node_modules'), join(folder, 'node_modules')])
  else await run('npm', ['ci', '--no-audit', '--no-fund'], { cwd: folder })
  return folder
}

/** Builds what lies in a folder, where it is not built yet, and serves it on demo data; it ends with this process. */
export function servedFrom(folder) {
  const child = fork(join(ROOT, 'scripts', 'setup', 'serveOther.mjs'), [folder], { cwd: folder })
  const over = new Promise(resolve => child.on('exit', resolve))
  atEnd(async () => {
    if (child.connected) child.disconnect()
    await over
  })
  return new Promise((resolve, reject) => {
    child.on('message', resolve)
    void over.then(code => reject(new Error(`the server of ${folder} ended (exit ${code})`)))
  })
}
