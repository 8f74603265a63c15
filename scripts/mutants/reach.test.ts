import { expect, test } from '@jest/globals'
import { transformSync } from '@swc/core'
import { asWritten, linesReached, testsReaching } from './reach.mjs'

const span = (from: number, to = from) => ({ start: { line: from }, end: { line: to } })
const report = {
  '/copy/core/a.ts': {
    statementMap: { 0: span(1), 1: span(3, 5), 2: span(8) },
    s: { 0: 1, 1: 4, 2: 0 },
  },
  '/copy/core/b.ts': { statementMap: { 0: span(1) }, s: { 0: 0 } },
}

test('a statement that was run stands for its lines; a file without one is left out', () => {
  const reached = linesReached(report, '/copy')
  expect([...reached.keys()]).toEqual(['core/a.ts'])
  expect([...reached.get('core/a.ts')!]).toEqual([1, 3, 4, 5])
})

test('lines are told as they are written, not as they run without types', async () => {
  const source = [
    'interface Taken { readonly out: string }',
    '',
    'type Other = Taken',
    'export const one = (taken: Other) =>',
    '  taken.out',
    'export const two = 2',
  ].join('\n')
  const { code, map } = transformSync(source, {
    filename: '/copy/core/typed.ts',
    sourceMaps: true,
    jsc: { target: 'es2022', parser: { syntax: 'typescript' } },
  })
  expect(code.split('\n').length).toBeLessThan(source.split('\n').length)
  const lines = code.trimEnd().split('\n')
  const at = (line: number, column: number) => ({ line, column })
  const own = {
    path: '/copy/core/typed.ts',
    inputSourceMap: JSON.parse(map!),
    statementMap: Object.fromEntries(
      lines.map((text, n) => [n, { start: at(n + 1, 0), end: at(n + 1, text.length) }]),
    ),
    s: Object.fromEntries(lines.map((_, n) => [n, 1])),
    fnMap: {},
    f: {},
    branchMap: {},
    b: {},
  }
  const reached = linesReached(await asWritten({ [own.path]: own }), '/copy')
  expect([...reached.get('core/typed.ts')!].sort()).toEqual([4, 5, 6])
})

test('tests that reach a line: those beside it, then the quickest, and no more than help', () => {
  const reached = linesReached(report, '/copy')
  const known = [
    ...Array.from({ length: 30 }, (_, at) => ({ test: `app/t${at}.ts`, ms: 30 - at, reached })),
    { test: 'core/a.test.ts', ms: 900, reached },
  ]
  const [near, further] = testsReaching(known, 'core/a.ts', 4)
  expect(near).toHaveLength(10)
  expect(further).toHaveLength(21)
  expect(near!.slice(0, 2)).toEqual(['core/a.test.ts', 'app/t29.ts'])
  expect(testsReaching(known, 'core/a.ts', 8)).toEqual([])
  expect(testsReaching(known, 'core/c.ts', 1)).toEqual([])
})

test('what looks at everything is asked last, and by itself', () => {
  const reached = linesReached(report, '/copy')
  const known = [
    { test: 'scripts/portraits/all.test.ts', ms: 1, reached },
    { test: 'app/t.test.ts', ms: 5, reached },
  ]
  expect(testsReaching(known, 'core/a.ts', 1)).toEqual([
    ['app/t.test.ts'],
    ['scripts/portraits/all.test.ts'],
  ])
  expect(testsReaching(known.slice(0, 1), 'core/a.ts', 1)).toEqual([
    ['scripts/portraits/all.test.ts'],
  ])
})
