import { atEnd } from '../setup/cleanup.mjs'
import { rest, underLoad } from './load.mjs'

/** The server is killed somewhere within so many milliseconds of its being up. */
const WITHIN_MS = 500

/** The server killed and started again so many times around writes: what was acknowledged must be there, and once. */
export async function killedServer(site, rounds) {
  let server = await site.startServer()
  atEnd(() => server.stop())
  const boots = []
  const load = { writers: 2, phones: 6, mayEnd: true }
  const found = await underLoad({ ...site, server }, load, async () => {
    for (let round = 0; round < rounds; round++) {
      await rest(50 + ((round * 137) % WITHIN_MS))
      await server.kill()
      const began = performance.now()
      server = await site.startServer()
      boots.push(performance.now() - began)
      if (round % 20 === 19) process.stdout.write(`· killed ${round + 1} of ${rounds}\n`)
    }
    await rest(1000)
    const sorted = boots.sort((a, b) => a - b)
    return {
      'boot ms, middle': Math.round(sorted[Math.floor(rounds / 2)]),
      p95: Math.round(sorted[Math.floor(rounds * 0.95)]),
    }
  })
  return { rounds, ...found }
}
