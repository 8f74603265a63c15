import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync, statfsSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { atEnd } from '../setup/cleanup.mjs'
import { isRoot } from '../setup/paths.mjs'
import { rest, underLoad, untilWell } from './load.mjs'
import { ownSite } from './site.mjs'

const SIZE_MB = 220
const FULL_MS = 6000

/** A folder on a small disk of its own; undefined where none can be had. */
function smallDisk() {
  if (!isRoot) return undefined
  const folder = mkdtempSync(join(tmpdir(), 'tholepin-full-'))
  try {
    execFileSync('mount', ['-t', 'tmpfs', '-o', `size=${SIZE_MB}m`, 'tmpfs', folder], {
      stdio: 'ignore',
    })
  } catch {
    rmSync(folder, { recursive: true })
    return undefined
  }
  atEnd(async () => {
    execFileSync('umount', ['-l', folder])
    rmSync(folder, { recursive: true, force: true })
  })
  return folder
}

/** Takes all room there is for a while; whoever watches the database starts it again where it ended by itself. */
async function filled(folder, postgres) {
  const ballast = join(folder, 'ballast')
  const { bavail, bsize } = statfsSync(folder)
  try {
    writeFileSync(ballast, Buffer.alloc(bavail * bsize))
  } catch (error) {
    if (error.code !== 'ENOSPC') throw error
  }
  await rest(FULL_MS)
  rmSync(ballast)
  if (!(await postgres.isUp())) await postgres.again()
}

/** The disk of the database runs full under phones and a coach who saves, and is given room again. */
export async function fullDisk(rounds) {
  const folder = smallDisk()
  if (!folder) return { rounds: 0, 'not tried': 'a small disk needs root' }
  const site = await ownSite(folder, 'disk')
  const found = await underLoad(site, { readers: 4, writers: 1, phones: 3 }, async asking => {
    const back = []
    for (let round = 0; round < rounds; round++) {
      await rest(1000)
      await filled(folder, site.postgres)
      back.push(await untilWell(asking))
      process.stdout.write(`· full ${round + 1} of ${rounds}, well again\n`)
    }
    return { 'well again ms': Math.round(Math.max(...back)) }
  })
  return { rounds, ...found }
}
