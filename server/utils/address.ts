import type { IncomingMessage } from 'node:http'
import type { H3Event } from 'h3'
import proxyaddr from 'proxy-addr'

type Trust = (address: string, hop: number) => boolean

/**
 * Which senders of a request are believed about where it comes from: how many proxies stand before this server, or their
 * addresses and networks; nobody where nothing is said.
 *
 * Errors: throws where it is neither, naming the variable and what it takes.
 */
export function trustOf(written: string | undefined): Trust {
  const text = written?.trim() ?? ''
  if (text === '') return () => false
  if (/^\d+$/.test(text)) {
    const hops = Number(text)
    return (_, hop) => hop < hops
  }
  try {
    return proxyaddr.compile(text.split(',').map(part => part.trim()))
  } catch {
    throw new Error(
      `TRUSTED_PROXY is ${JSON.stringify(text)}: give the number of proxies, or their addresses, such as 127.0.0.1, 10.0.0.0/8`,
    )
  }
}

let trust: Trust | undefined

/** The address a request comes from, as far as it can be believed. */
export function senderOf(request: IncomingMessage, trusted: Trust): string {
  return request.socket.remoteAddress ? proxyaddr(request, trusted) : 'unknown'
}

/** Where a request comes from, for limits on attempts. */
export function addressOf(event: H3Event): string {
  trust ??= trustOf(process.env.TRUSTED_PROXY)
  return senderOf(event.node.req, trust)
}
