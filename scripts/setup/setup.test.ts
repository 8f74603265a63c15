import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { createServer } from 'node:net'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { fingerprint, onceFor } from './fingerprint.mjs'
import { freePort } from './freePort.mjs'
import { installing } from './project.mjs'
import { run } from './run.mjs'
import { markServing, otherStart, unmark } from './runningMark.mjs'
import { secretsIn } from './secrets.mjs'

let home = ''
beforeAll(() => {
  home = mkdtempSync(join(tmpdir(), 'tholepin-'))
})
afterAll(() => rmSync(home, { recursive: true, force: true }))

describe('work that is done once for its inputs', () => {
  test('again only when the inputs changed', async () => {
    let done = 0
    const mark = join(home, 'mark')
    for (const print of ['a', 'a', 'b', 'b', 'a'])
      await onceFor(mark, print, async () => void (done += 1))
    expect(done).toBe(3)
  })
  test('work that failed is not done', async () => {
    const mark = join(home, 'failed')
    await expect(
      onceFor(mark, 'a', async () => {
        throw new Error('no')
      }),
    ).rejects.toThrow('no')
    let done = false
    await onceFor(mark, 'a', async () => void (done = true))
    expect(done).toBe(true)
  })
  test('a fingerprint looks at contents and leaves tests out', () => {
    expect(fingerprint(['core/base'])).toBe(fingerprint(['core/base']))
    expect(fingerprint(['core/base'])).not.toBe(fingerprint(['core/scheme']))
    expect(fingerprint(['core/base/memo.test.ts'])).toBe(fingerprint([]))
  })
})

describe('two starts at once', () => {
  test("a mark of a process that is gone is nobody's, our own is taken away", () => {
    const mark = join(home, 'running.json')
    writeFileSync(mark, JSON.stringify({ pid: 999_999_999, url: 'http://127.0.0.1:1' }))
    expect(otherStart(home)).toBeUndefined()
    markServing(home, 'http://127.0.0.1:2')
    expect(JSON.parse(readFileSync(mark, 'utf8'))).toEqual({
      pid: process.pid,
      url: 'http://127.0.0.1:2',
    })
    writeFileSync(mark, '{half')
    expect(otherStart(home)).toBeUndefined()
    unmark(home)
    expect(otherStart(home)).toBeUndefined()
  })
})

test('a port that is taken is not given out', async () => {
  const server = createServer()
  const taken = await new Promise<number>(resolve =>
    server.listen(0, '127.0.0.1', () => resolve((server.address() as { port: number }).port)),
  )
  expect(await freePort(taken)).not.toBe(taken)
  await new Promise(resolve => server.close(resolve))
  expect(await freePort(taken)).toBe(taken)
})

test.each([
  ['9.2.0', ['exec', '--yes', 'npm@11', '--', 'ci']],
  ['10.8.2', ['exec', '--yes', 'npm@11', '--', 'ci']],
  ['11.19.1\n', ['ci']],
])('npm %s installs by a reader of this lock file', (version, begun) => {
  expect(installing(version).slice(0, begun.length)).toEqual(begun)
})

test('secrets are made once and kept', () => expect(secretsIn(home)).toEqual(secretsIn(home)))

test('a command that fails quotes its last words', async () => {
  await expect(run('sh', ['-c', 'echo the reason; exit 3'])).rejects.toThrow(
    /exit 3.*\n.*the reason/,
  )
  await expect(run('no-such-command', [])).rejects.toThrow(/could not be started/)
})
