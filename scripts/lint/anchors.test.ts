import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { expect, test } from '@jest/globals'
import { CHECK_TABLE } from '#core/judge/checks'
import { anchorOf, anchorsIn, missingAnchors } from './anchors.mjs'

const ROOT = fileURLToPath(new URL('../..', import.meta.url))
const methods = anchorsIn(readFileSync(join(ROOT, 'docs', 'methods.md'), 'utf8'))

test('every place in the documentation that code names is there', () => {
  const names = execFileSync('git', ['ls-files', '*.ts', '*.vue', '*.mjs'], { cwd: ROOT })
  const files = names
    .toString()
    .split('\n')
    .filter(name => name !== '' && !name.endsWith('anchors.test.ts'))
    .flatMap(name => {
      try {
        return [[name, readFileSync(join(ROOT, name), 'utf8')] as const]
      } catch {
        return []
      }
    })
  expect(files.length).toBeGreaterThan(700)
  expect(missingAnchors(files, ROOT)).toEqual([])
})

test.each(Object.entries(CHECK_TABLE))('%s rests on a chapter of the methods', (_, { anchor }) =>
  expect(methods).toContain(anchor),
)

test('an anchor that is not there is named with its file and the remedy', () => {
  const text = 'Source: docs/methods.md#bands and docs/methods.md#nowhere, docs/none.md#x.'
  const read = (file: string) => {
    if (file.endsWith('methods.md')) return '# Methods\n\n## Bands\n'
    throw new Error('no such file')
  }
  expect(missingAnchors([['core/a.ts', text]], '/r', read)).toEqual([
    'core/a.ts names docs/methods.md#nowhere: write that heading, or name one that is there.',
    'core/a.ts names docs/none.md, which does not exist.',
  ])
})

test.each([
  ['Session limits', 'session-limits'],
  ['Where this departs from the first figures', 'where-this-departs-from-the-first-figures'],
  ['Credits of one’s own', 'credits-of-ones-own'],
])('%s is called %s', (heading, anchor) => expect(anchorOf(heading)).toBe(anchor))
