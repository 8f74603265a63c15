import { randomUUID } from 'node:crypto'
import { createServer } from 'node:http'
import type { H3Event } from 'h3'
import { logger } from '../seen/logger'
import { countRequest, METRICS_TYPE, metricsText } from '../seen/metrics'

declare module 'h3' {
  interface H3EventContext {
    /** What a request is called in every line about it. */
    requestId?: string
    /** Whose it was, hashed. */
    askedBy?: string
    startedAt?: number
  }
}

/** The route's own pattern, without anybody's id; pages are one. */
const routeOf = ({ context, path }: H3Event): string => {
  const { matchedRoute } = context as { readonly matchedRoute?: { readonly path?: string } }
  return path.startsWith('/api/') ? (matchedRoute?.path ?? '/api/?') : 'page'
}

function told(event: H3Event): void {
  const { requestId, startedAt = performance.now(), askedBy } = event.context
  const [ms, status] = [performance.now() - startedAt, getResponseStatus(event)]
  const line = { method: event.method, route: routeOf(event), status }
  countRequest(line, ms / 1000)
  logger[status >= 500 ? 'error' : 'info'](
    { requestId, ...line, ms: Math.round(ms), ...(askedBy && { coach: askedBy }) },
    'request',
  )
}

/** Metrics for who runs it, on a port of their own that only this machine reaches; none without METRICS_PORT. */
function listenForMetrics(port: string | undefined): void {
  if (!port) return
  const number = Number(port)
  if (!Number.isInteger(number) || number < 1 || number > 65_535)
    throw new Error(
      `METRICS_PORT is ${JSON.stringify(port)}: give a port from 1 to 65535, or leave it out.`,
    )
  createServer((request, response) => {
    if (request.url !== '/metrics') return void response.writeHead(404).end()
    metricsText().then(
      text => response.writeHead(200, { 'content-type': METRICS_TYPE }).end(text),
      () => response.writeHead(500).end(),
    )
  })
    .on('error', error => logger.error({ port: number, reason: error.message }, 'no metrics'))
    .listen(number, '127.0.0.1')
}

/** Every request gets a number, a line in the log and a place in the metrics. */
export default defineNitroPlugin(nitro => {
  listenForMetrics(process.env.METRICS_PORT)
  nitro.hooks.hook('request', event => {
    event.context.requestId = randomUUID()
    event.context.startedAt = performance.now()
    setResponseHeader(event, 'x-request-id', event.context.requestId)
  })
  nitro.hooks.hook('afterResponse', event => told(event))
})
