import type { Server } from 'node:http'
import type { Socket } from 'node:net'

/**
 * Longer than any proxy in front keeps a connection that nobody uses (nginx: 60 s): whoever closes first must be the one who sends,
 * or what is sent in that instant is lost. Units: ms.
 */
const KEPT_MS = 75_000

/** Connections are kept longer than Node's five seconds. */
export default defineNitroPlugin(nitro => {
  nitro.hooks.hook('request', event => {
    const { server } = event.node.req.socket as Socket & { readonly server?: Server }
    if (server && server.keepAliveTimeout < KEPT_MS) {
      server.keepAliveTimeout = KEPT_MS
      server.headersTimeout = KEPT_MS + 1000
    }
  })
})
