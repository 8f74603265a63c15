import { PassThrough } from 'node:stream'
import { expect, test } from '@jest/globals'
import type { H3Event } from 'h3'
import { jsonBody } from './requestBody'

/** A request whose body is sent by hand. */
function request(send: (body: PassThrough) => void): H3Event {
  const req = Object.assign(new PassThrough(), { headers: {} })
  send(req)
  return { node: { req } } as unknown as H3Event
}

test.each([
  [
    'a whole body',
    (body: PassThrough): void => void body.end('{"a":1}'),
    { ok: true, value: { a: 1 } },
  ],
  ['half a body', (body: PassThrough): void => void body.end('{"a":'), 'unreadable-json'],
  [
    'a sender that went away before',
    (body: PassThrough): void => {
      body.on('error', () => {})
      body.destroy()
    },
    'unreadable-json',
  ],
  [
    'a sender that goes away meanwhile',
    (body: PassThrough): void => {
      body.write('{"a":')
      setTimeout(() => body.emit('aborted'), 5)
    },
    'unreadable-json',
  ],
  [
    'more than may be',
    (body: PassThrough): void => void body.end(`"${'x'.repeat(200)}"`),
    'too-large',
  ],
] as const)('%s is read or refused, and no failure of the server', async (_, send, wanted) => {
  const found = await jsonBody(request(send), 100)
  if (typeof wanted === 'object') expect(found).toEqual(wanted)
  else expect(found).toMatchObject({ ok: false, error: { kind: wanted } })
})
