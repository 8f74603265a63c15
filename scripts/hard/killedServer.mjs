import { atEnd } from '../setup/cleanup.mjs'
import { rest, underLoad } from './load.mjs'

/** The server is killed somewhere within so many milliseconds of its being up. */
const WITHIN_MS = 500

/** The server killed and started again so many times around writes: what was acknowledged must be there, and once. */
export async function killedServer(site, rounds) {
  let server = await site.startServer()
  atEnd(() => server.stop())
  const load = { writers: 2, phones: 6, mayEnd: true }
  const found = await underLoad({ ...site, server }, load, async () => {
    for (let round = 0; round < rounds; round++) {
      await rest(50 + ((round * 137) % WITHIN_MS))
      await server.kill()
      server = await site.startServer()
      if (round % 20 === 19) process.stdout.write(`· killed ${round + 1} of ${rounds}\n`)
    }
    await rest(1000)
    return {}
  })
  return { rounds, ...found }
}
