import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { ROOT } from '../setup/paths.mjs'
import { rest, underLoad } from './load.mjs'
import { ownSite } from './site.mjs'

const HOUR_MS = 3_600_000
/** How far the server's clock is off, one after the other: an hour as when clocks change, a day, a year, and back. */
const JUMPS_MS = [1, -1, 24, -24, 400 * 24, 0, -400 * 24, 0].map(hours => hours * HOUR_MS)
const STAY_MS = 1200

/** The server's clock jumps while phones log and a coach reads: nothing fails, nothing is lost, nobody stays shut out. */
export async function clockJumps(home) {
  const file = join(home, 'moved-clock')
  const move = ms => writeFileSync(file, String(ms))
  move(0)
  const site = await ownSite(home, 'clock', {
    env: {
      MOVED_CLOCK: file,
      NODE_OPTIONS: `--import=${pathToFileURL(join(ROOT, 'scripts/hard/movedClock.mjs')).href}`,
    },
  })
  const found = await underLoad(site, { readers: 1, mayBeLate: true }, async asking => {
    let shutOut = 0
    for (const jump of JUMPS_MS) {
      move(jump)
      await rest(STAY_MS)
      // Too many guesses are shut out for their quarter of an hour by whatever clock, not for as long as it jumped back.
      shutOut += await wronglyShutOut(asking, site.demoPassword)
    }
    return { 'shut out': shutOut }
  })
  return { rounds: JUMPS_MS.length, ...found }
}

const QUARTER_SECONDS = 15 * 60

/** Guesses an account until it is shut, and says 1 where it stays so for longer than it may. */
async function wronglyShutOut({ url }, password) {
  for (let guess = 0; guess < 7; guess++) {
    const answer = await fetch(`${url}/api/sign-in`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        email: 'guessed@skerrylane.example',
        password: `${password}${guess}`,
      }),
    })
    if (answer.status === 429)
      return Number(answer.headers.get('retry-after')) > QUARTER_SECONDS ? 1 : 0
  }
  return 0
}
