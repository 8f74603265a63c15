import { describe, expect, test } from '@jest/globals'
import { readScheme, readSession } from './useSchemeText'

describe('what cannot be taken is told where it stands', () => {
  const lines = [
    'session "Arms"',
    'cable_curl 3 x 12',
    '',
    'pushdown_rop 3 x 12',
    'hammer_curl 3 x 8',
  ]
  const text = lines.join('\n')

  test('an exercise nobody knows, in its own line', () => {
    const read = readSession(text)
    if (read.ok) throw new Error('taken')
    const { at, end, words } = read.error
    expect(text.slice(at, end)).toBe('pushdown_rop')
    expect(text.slice(0, at).split('\n')).toHaveLength(4)
    expect(words).toMatch(/exercise/i)
  })
  test('a partner of a pair', () => {
    const pair = 'cable_curl 3 x 12\nsuperset: hammer_curl 3 x 8 & pushdown_rop 3 x 12'
    const read = readSession(pair)
    expect(read.ok || pair.slice(read.error.at, read.error.end)).toBe('pushdown_rop')
  })
  test('too many sets mark the line', () => {
    const long = `cable_curl 3 x 12\nhammer_curl 300 x 8`
    const read = readSession(long)
    expect(read.ok || long.slice(read.error.at, read.error.end)).toContain('hammer_curl')
  })
  test('a scheme that no contract takes is marked whole', () =>
    expect(readScheme('300 x 8')).toMatchObject({ ok: false, error: { at: 0, end: 7 } }))
})
