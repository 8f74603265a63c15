import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, test } from '@jest/globals'
import { copyOf, settingsOf, stagesOf } from './containerFile.mjs'
import { ROOT } from './paths.mjs'

test('stages with their steps, lines that go on as one, comments left out', () => {
  expect(
    stagesOf('# a\nFROM one AS first\nRUN a \\\n  && b\nFROM two\nCOPY --from=first /x /y\n'),
  ).toEqual([
    { image: 'one', name: 'first', steps: [{ word: 'RUN', rest: 'a && b' }] },
    { image: 'two', name: '1', steps: [{ word: 'COPY', rest: '--from=first /x /y' }] },
  ])
})

test.each(['ADD a b', 'RUN a', 'FROM x\nonbuild'])('%s is told, not passed over', text => {
  expect(() => stagesOf(text)).toThrow('not known here')
})

test('copies and settings', () => {
  expect(copyOf('--from=build --chown=root:root /a/b /c')).toEqual({
    from: 'build',
    what: ['/a/b'],
    to: '/c',
  })
  expect(copyOf('package.json package-lock.json ./')).toEqual({
    from: undefined,
    what: ['package.json', 'package-lock.json'],
    to: './',
  })
  expect(settingsOf('HOST=0.0.0.0 PORT=3210')).toEqual({ HOST: '0.0.0.0', PORT: '3210' })
})

test('the application’s own file can be followed: it ends without rights, with a command', () => {
  const [build, app] = stagesOf(readFileSync(join(ROOT, 'deploy/Dockerfile'), 'utf8'))
  expect(build?.name).toBe('build')
  const words = app?.steps.map(({ word }) => word) ?? []
  expect(words.at(-1)).toBe('CMD')
  expect(words.lastIndexOf('RUN')).toBeLessThan(words.indexOf('USER'))
})
