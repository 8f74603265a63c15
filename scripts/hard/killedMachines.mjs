import { atEnd } from '../setup/cleanup.mjs'
import { freePort } from '../setup/freePort.mjs'
import { proxyBefore } from '../setup/proxy.mjs'
import { rest, underLoad } from './load.mjs'

const SERVERS = 4

/** Four servers on one database behind a proxy; each round another one is killed and started again while the rest go on. */
export async function killedMachines(site, rounds) {
  const ports = await Promise.all(Array.from({ length: SERVERS }, () => freePort()))
  const start = port => site.startServer({ port, env: { TRUSTED_PROXY: '1' } })
  const servers = await Promise.all(ports.map(start))
  atEnd(async () => void (await Promise.all(servers.map(server => server.stop()))))
  const proxy = await proxyBefore(servers.map(({ url }) => url))
  atEnd(proxy.stop)
  const load = { readers: 4, writers: 2, phones: 6, mayEnd: true }
  const found = await underLoad({ ...site, server: { url: proxy.url } }, load, async () => {
    for (let round = 0; round < rounds; round++) {
      await rest(200 + ((round * 137) % 400))
      const at = round % SERVERS
      await servers[at].kill()
      servers[at] = await start(ports[at])
    }
    await rest(1000)
    return {}
  })
  return { rounds, ...found }
}
