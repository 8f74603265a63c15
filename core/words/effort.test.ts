import { readdirSync, readFileSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, test } from '@jest/globals'
import { EFFORT, effortWords, leftWords, reserveWords, shortEffort } from '.'

describe('effort in words', () => {
  test.each([
    [reserveWords(0), 'none in reserve'],
    [reserveWords(1.5), '1.5 in reserve'],
    [shortEffort(2), 'RIR 2'],
    [shortEffort(3, 1), 'RIR 3 and 1'],
    [shortEffort(3, 1, '→'), 'RIR 3 → 1'],
    [shortEffort(2, 2, '→'), 'RIR 2'],
    [leftWords(2, false), '2 left'],
    [leftWords(4, true), '4 or more left'],
    [effortWords(undefined), ''],
    [effortWords({ kind: 'failure' }), 'until no rep is possible'],
    [effortWords({ kind: 'rir', rir: 3 }), '3 in reserve'],
    [effortWords({ kind: 'in_words', text: 'snappy' }), 'snappy'],
  ])('%s', (words, expected) => expect(words).toBe(expected))

  test('no screen has a name of its own for it', () => {
    const own = new RegExp(`['>\`](${EFFORT.name}|${EFFORT.short}|${EFFORT.logged})['<\`]`)
    const files = (folder: string): readonly string[] =>
      readdirSync(folder).flatMap(name => {
        const path = join(folder, name)
        if (statSync(path).isDirectory()) return files(path)
        return /\.test\.ts$/.test(name) ? [] : [path]
      })
    const typed = files('app/screens').filter(path => own.test(readFileSync(path, 'utf8')))
    expect(typed).toEqual([])
  })
})
