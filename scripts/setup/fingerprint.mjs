import { createHash } from 'node:crypto'
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { ROOT } from './paths.mjs'

function* filesBelow(path) {
  if (!existsSync(path)) return
  if (statSync(path).isFile()) return yield path
  for (const name of readdirSync(path).sort()) yield* filesBelow(join(path, name))
}

/** One hash over the contents of files and folders of the project. */
export function fingerprint(names) {
  const hash = createHash('sha256').update(process.version)
  for (const name of names) {
    for (const file of filesBelow(join(ROOT, name))) {
      if (!file.endsWith('.test.ts'))
        hash.update(file.slice(ROOT.length)).update(readFileSync(file))
    }
  }
  return hash.digest('hex')
}

/** Does some work only if its inputs changed since it was last done; the mark is kept in a file. */
export async function onceFor(markFile, print, work) {
  if (existsSync(markFile) && readFileSync(markFile, 'utf8') === print) return
  await work()
  writeFileSync(markFile, print)
}
