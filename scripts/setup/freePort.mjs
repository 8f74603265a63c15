import { createServer } from 'node:net'

function isFree(port) {
  return new Promise(resolve => {
    const probe = createServer()
    probe.once('error', () => resolve(undefined))
    probe.listen(port, '127.0.0.1', () => {
      const taken = probe.address().port
      probe.close(() => resolve(taken))
    })
  })
}

/** The wanted port of 127.0.0.1 if nobody listens there, else one the system gives. */
export async function freePort(wanted = 0) {
  return (await isFree(wanted)) ?? (await isFree(0))
}
