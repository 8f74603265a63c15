import { createHash } from 'node:crypto'
import { readFileSync } from 'node:fs'
import swc from '@swc/jest'

/**
 * Jest runs every test file in a world of its own, in which reading `Math` or `Map` is some hundred times slower than in the
 * application: loops spent most of their time on it. So each module takes those it names once, at its beginning. What tests
 * replace (`Date`, timers) is left alone.
 */
const TAKEN_ONCE = [
  'Array',
  'Boolean',
  'Float64Array',
  'Infinity',
  'Int16Array',
  'Int32Array',
  'JSON',
  'Map',
  'Math',
  'NaN',
  'Number',
  'Object',
  'Promise',
  'Reflect',
  'Set',
  'String',
  'Symbol',
  'Uint8Array',
  'WeakMap',
]

const isOwnName = (code, name) =>
  new RegExp(
    `\\b(?:const|let|var|function|class)\\s+${name}\\b|\\bimport\\b[^;'"]*\\b${name}\\b`,
  ).test(code)

/** The module with the globals it names taken at its beginning, on its first line, so that lines stay where they are. */
export function withGlobalsTaken(code) {
  const named = TAKEN_ONCE.filter(
    name => new RegExp(`\\b${name}\\b`).test(code) && !isOwnName(code, name),
  )
  if (named.length === 0) return code
  return `var ${named.map(name => `${name} = globalThis.${name}`).join(', ')}; ${code}`
}

const own = readFileSync(new URL(import.meta.url))

/** The transformer of the project's own TypeScript, and of packages that come as modules and need no translation. */
export default {
  createTransformer({ isTranslated = true, ...options } = {}) {
    const inner = swc.createTransformer(options)
    const taken = result => ({ ...result, code: withGlobalsTaken(result.code) })
    return {
      ...inner,
      process: (source, file, asked) =>
        isTranslated
          ? taken(inner.process(source, file, asked))
          : { code: withGlobalsTaken(source) },
      processAsync: async (source, file, asked) =>
        isTranslated
          ? taken(await inner.processAsync(source, file, asked))
          : { code: withGlobalsTaken(source) },
      getCacheKey: (source, file, ...rest) =>
        createHash('sha1')
          .update(inner.getCacheKey(source, file, ...rest))
          .update(own)
          .update(String(isTranslated))
          .digest('hex'),
    }
  },
}
