import { describe, expect, test } from '@jest/globals'
import { mutantsOf, mutated } from './mutate.mjs'

const changes = (source: string) => mutantsOf(source).map(mutant => mutated(source, mutant))

describe('a source broken by one small change', () => {
  test.each([
    ['a limit', 'const a = x < 3', ['const a = x <= 3', 'const a = x < (3 + 1)']],
    ['arithmetic', 'const a = b - c', ['const a = b + c']],
    ['a condition', 'const a = b ? c : d', ['const a = !(b) ? c : d']],
    ['a branch', 'if (a) b = c', ['if (!(a)) b = c']],
    ['both', 'const a = b && c', ['const a = b || c']],
    ['a call', 'const a = Math.min(b, c)', ['const a = Math.max(b, c)']],
    ['a statement left out', 'save(plan)', [';']],
    ['a word', 'const a = true', ['const a = false']],
  ])('%s', (_, source, expected) => expect(changes(source).sort()).toEqual([...expected].sort()))

  test.each([
    ['types', 'interface A { readonly kind: 1; readonly is: true }'],
    ['imports', "import { a } from './b'"],
    ['text', "const a = 'set ' + name"],
  ])('%s are left alone', (_, source) => expect(changes(source)).toEqual([]))

  test('each change is one, with its line', () => {
    const source = 'const a = 1\nconst b = a > 2 ? a : 3\n'
    const mutants = mutantsOf(source)
    expect(new Set(mutants.map(({ line }) => line))).toEqual(new Set([1, 2]))
    for (const mutant of mutants) expect(mutated(source, mutant)).not.toBe(source)
  })
})
