import { expect, test } from '@jest/globals'
import { shareLine, shareOf } from './testShare.mjs'

const lines: Readonly<Record<string, number>> = {
  'core/a.ts': 60,
  'core/a.test.ts': 20,
  'core/testing/b.ts': 10,
  'e2e/journeys/c.spec.ts': 10,
  'docs/d.md': 999,
  'server/db/migrations/e.js': 999,
}
const of = (file: string) => lines[file] ?? 0

test('tests, their helpers and journeys are told from the rest; prose and migrations do not count', () => {
  const found = shareOf(Object.keys(lines), of)
  expect(found).toEqual({ all: 100, tests: 40, share: 0.4, isEnough: true })
  expect(shareLine(found)).toBe('Tests are 40 of 100 lines, 40.0 %.')
})

test('too few are told with what to do', () => {
  const found = shareOf(['core/a.ts', 'core/testing/b.ts'], of)
  expect(found.isEnough).toBe(false)
  expect(shareLine(found)).toMatch(/^Tests are 10 of 70 lines, 14\.3 %: at least 25 % are wanted\./)
})

test('a tree without code has no share', () => expect(shareOf([], of).share).toBe(0))
