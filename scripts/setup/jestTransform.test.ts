import { expect, test } from '@jest/globals'
import { withGlobalsTaken } from './jestTransform.mjs'

test.each([
  ['what it names', 'export const top = Math.max(1, 2)', /^var Math = globalThis\.Math; export/],
  ['several', 'new Map([[Number(1), 2]])', /^var Map = .*, Number = globalThis\.Number; new/],
  ['nothing it does not name', 'export const one = 1', /^export/],
  ['no name of its own', "import { Map } from './maps'\nnew Map()", /^import/],
  ['no class of its own', 'class Set {}\nnew Set()', /^class/],
  ['nothing that tests replace', 'export const now = () => Date.now()', /^export/],
])('a module takes %s', (_, code, taken) => {
  expect(withGlobalsTaken(code)).toMatch(taken)
  expect(withGlobalsTaken(code).split('\n')).toHaveLength(code.split('\n').length)
})
