import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'

function isAlive(pid) {
  const commandLine = `/proc/${pid}/cmdline`
  return existsSync(commandLine) && readFileSync(commandLine, 'utf8').includes('start.mjs')
}

/**
 * Keeps two starts from running at once. Gives the other one's mark if there is one, else leaves our own.
 * A mark whose process is gone is stale and replaced.
 */
export function otherStart(home) {
  const file = join(home, 'running.json')
  try {
    writeFileSync(file, JSON.stringify({ pid: process.pid }), { flag: 'wx' })
    return undefined
  } catch (error) {
    if (error.code !== 'EEXIST') throw error
  }
  const other = readMark(file)
  if (other && isAlive(other.pid)) return other
  writeFileSync(file, JSON.stringify({ pid: process.pid }))
  return undefined
}

function readMark(file) {
  try {
    return JSON.parse(readFileSync(file, 'utf8'))
  } catch {
    // Half written by a start that died: nobody's.
    return undefined
  }
}

/** Writes the address into our mark, for the next start to tell. */
export function markServing(home, url) {
  writeFileSync(join(home, 'running.json'), JSON.stringify({ pid: process.pid, url }))
}

/** Takes our mark away. */
export function unmark(home) {
  rmSync(join(home, 'running.json'), { force: true })
}
