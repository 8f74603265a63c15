import { describe, expect, test } from '@jest/globals'
import type { IncomingMessage } from 'node:http'
import { senderOf, trustOf } from './address'

const request = (remoteAddress: string | undefined, forwarded?: string) =>
  ({
    socket: { remoteAddress },
    headers: forwarded ? { 'x-forwarded-for': forwarded } : {},
  }) as unknown as IncomingMessage

describe('where a request comes from', () => {
  const three = '203.0.113.9, 198.51.100.7, 10.0.0.2'
  test.each([
    ['nobody is believed where nothing is said', undefined, '10.0.0.1', '10.0.0.1'],
    ['one proxy: what it has heard', '1', '10.0.0.1', '10.0.0.2'],
    ['two proxies', '2', '10.0.0.1', '198.51.100.7'],
    ['no more than there are', '9', '10.0.0.1', '203.0.113.9'],
    ['by network: the first who is no proxy', '10.0.0.0/8', '10.0.0.1', '198.51.100.7'],
    ['a stranger who says he is somebody', '10.0.0.0/8', '192.0.2.1', '192.0.2.1'],
    ['by address', '10.0.0.1, 10.0.0.2', '10.0.0.1', '198.51.100.7'],
  ])('%s', (_, written, socket, wanted) =>
    expect(senderOf(request(socket, three), trustOf(written))).toBe(wanted),
  )
  test('a socket that is gone has no address', () =>
    expect(senderOf(request(undefined, three), trustOf('1'))).toBe('unknown'))
  test('what cannot be read is told with its remedy', () =>
    expect(() => trustOf('everyone')).toThrow(/TRUSTED_PROXY is "everyone": give the number/))
})
