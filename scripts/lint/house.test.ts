import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs'
import { dirname, join, relative } from 'node:path'
import { fileURLToPath } from 'node:url'
import { expect, test } from '@jest/globals'
import { CHAPTERS, chapterProblem } from './house.mjs'

const ROOT = fileURLToPath(new URL('../..', import.meta.url))

function* filesBelow(folder: string): Generator<string> {
  for (const name of readdirSync(folder)) {
    const path = join(folder, name)
    if (statSync(path).isDirectory()) yield* filesBelow(path)
    else yield path
  }
}

const isSource = (path: string) => /\.(ts|vue)$/.test(path) && !/\.(test|spec)\.ts$/.test(path)

const sources = ['app', 'core', 'server', 'shared'].flatMap(folder =>
  [...filesBelow(join(ROOT, folder))].filter(isSource),
)

/** Modules a file names, as types too, in the project's own tree. */
function importsOf(file: string): readonly string[] {
  const text = readFileSync(file, 'utf8')
  const names = [...text.matchAll(/(?:from|import\()\s*'([^']+)'/g)].map(([, name = '']) => name)
  return names.flatMap(name => {
    const base = name.startsWith('.')
      ? join(dirname(file), name)
      : name.startsWith('#core/')
        ? join(ROOT, 'core', name.slice('#core/'.length))
        : name.startsWith('#shared/')
          ? join(ROOT, 'shared', name.slice('#shared/'.length))
          : name.startsWith('~/')
            ? join(ROOT, 'app', name.slice('~/'.length))
            : null
    if (base === null) return []
    const found = ['', '.ts', '.vue', '/index.ts']
      .map(ending => base + ending)
      .find(path => existsSync(path) && statSync(path).isFile())
    return found === undefined ? [] : [found]
  })
}

/** The first circle of a graph as its names in order; null where there is none. */
function circleIn(graph: ReadonlyMap<string, ReadonlySet<string>>): readonly string[] | null {
  const done = new Set<string>()
  const walk = (name: string, path: readonly string[]): readonly string[] | null => {
    if (path.includes(name)) return [...path.slice(path.indexOf(name)), name]
    if (done.has(name)) return null
    for (const next of graph.get(name) ?? []) {
      const found = walk(next, [...path, name])
      if (found) return found
    }
    done.add(name)
    return null
  }
  for (const name of graph.keys()) {
    const found = walk(name, [])
    if (found) return found
  }
  return null
}

const graphOf = (nameOf: (file: string) => string | null) => {
  const graph = new Map<string, Set<string>>()
  for (const file of sources) {
    const from = nameOf(file)
    if (from === null) continue
    const targets = graph.get(from) ?? new Set<string>()
    graph.set(from, targets)
    for (const target of importsOf(file)) {
      const to = nameOf(target)
      if (to !== null && to !== from) targets.add(to)
    }
  }
  return graph
}

test('a circle is found where there is one', () => {
  const graph = new Map([
    ['a', new Set(['b'])],
    ['b', new Set(['c'])],
    ['c', new Set(['b'])],
  ])
  expect(circleIn(graph)).toEqual(['b', 'c', 'b'])
})

test('no file imports itself by a circle, types included', () => {
  expect(sources.length).toBeGreaterThan(500)
  expect(circleIn(graphOf(file => relative(ROOT, file)))).toBeNull()
})

test('no folder of core imports itself by a circle, types included', () => {
  const folders = graphOf(file => {
    const [top, ...parts] = relative(ROOT, dirname(file)).split('/')
    return top === 'core' && parts[0] !== 'testing' ? parts.slice(0, 2).join('/') : null
  })
  expect(folders.size).toBeGreaterThan(25)
  expect(circleIn(folders)).toBeNull()
})

test('every folder of core is a chapter, or the tests’ own', () => {
  const folders = readdirSync(join(ROOT, 'core')).filter(name => !name.includes('.'))
  expect(folders.filter(name => name !== 'testing').sort()).toEqual([...CHAPTERS].sort())
})

test.each([
  { name: 'to a chapter before', file: 'judge/checks/checks', target: 'plan/method', says: null },
  { name: 'within a folder', file: 'plan/method/band', target: 'plan/method/school', says: null },
  { name: 'to a neighbour', file: 'body/joints/ramp', target: 'body/log', says: null },
  {
    name: 'upwards',
    file: 'body/log/trend',
    target: 'follow/sheet',
    says: /core\/body\/log must not import core\/follow\/sheet.*Move what both need into core\/body/,
  },
  {
    name: 'past the face of a folder',
    file: 'body/log/trend',
    target: 'plan/method/band',
    says: /Import core\/plan\/method by its index\.ts, not plan\/method\/band/,
  },
  {
    name: 'past the face of a chapter that is one room',
    file: 'exchange/imports/logImport',
    target: 'words/names',
    says: /Import core\/words by its index\.ts/,
  },
  { name: 'out of core', file: 'plan/block/edit', target: '../app/stores', says: /is pure/ },
  { name: 'to an unknown chapter', file: 'plan/block/edit', target: 'misc/x', says: /no chapter/ },
])('an import $name', ({ file, target, says }) => {
  const problem = chapterProblem(file.split('/'), target.split('/'))
  if (says === null) expect(problem).toBeUndefined()
  else expect(problem).toMatch(says)
})
