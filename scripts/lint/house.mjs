// How the house is laid out, as lint rules: which chapter of core/ may import which, that a folder is entered by its
// index.ts, and that app/pages only routes. CONTRIBUTING.md says why.
import { dirname, join, relative, sep } from 'node:path'

/** The chapters of core/ in reading order: a chapter imports only chapters before it. */
export const CHAPTERS = [
  'base',
  'plan',
  'count',
  'body',
  'judge',
  'design',
  'follow',
  'words',
  'exchange',
]
/** Chapters that are one room: their index.ts lies in the chapter itself. */
const SINGLE_ROOMS = new Set(['base', 'words'])

const depthOf = chapter => (SINGLE_ROOMS.has(chapter) ? 1 : 2)

/** Chapter, room and what lies beyond the room's door of a path below core/, as its parts. */
function placeOf(parts) {
  const [chapter] = parts
  const depth = depthOf(chapter)
  return { chapter, room: parts.slice(0, depth).join('/'), beyond: parts.slice(depth) }
}

/**
 * What is wrong with an import inside core/; undefined if nothing is.
 * `file` and `target` are paths below core/, as parts without an extension.
 */
export function chapterProblem(file, target) {
  if (target[0] === '..')
    return 'core/ is pure: what it needs from outside is handed in as an argument.'
  const [from, to] = [placeOf(file), placeOf(target)]
  const [own, other] = [CHAPTERS.indexOf(from.chapter), CHAPTERS.indexOf(to.chapter)]
  if (other < 0)
    return `core/${to.chapter} is no chapter: name it in scripts/lint/house.mjs, or use one of ${CHAPTERS.join(', ')}.`
  if (other > own)
    return `core/${from.room} must not import core/${to.room}: a chapter imports only those before it (${CHAPTERS.join(' ← ')}). Move what both need into core/${from.chapter} or earlier, or hand it in.`
  if (from.room !== to.room && to.beyond.length > 0)
    return `Import core/${to.room} by its index.ts, not ${target.join('/')}: a folder's index is its face. Name there what others may use.`
  return undefined
}

const withoutExtension = path => path.replace(/\.ts$/, '')

/** Every kind of import and export that names a module. */
const everySource = check => {
  const visit = node => node.source && check(node.source)
  return {
    ImportDeclaration: visit,
    ExportNamedDeclaration: visit,
    ExportAllDeclaration: visit,
    ImportExpression: visit,
    TSImportType: node => check(node.source ?? node.argument),
  }
}

const chapters = {
  meta: { type: 'problem', schema: [] },
  create(context) {
    const core = join(context.cwd, 'core')
    const file = withoutExtension(relative(core, context.filename)).split(sep)
    return everySource(source => {
      const name = source.value
      if (typeof name !== 'string') return
      if (!name.startsWith('.')) {
        const message = 'core/ is pure: it imports core/ only, by relative paths.'
        context.report({ node: source, message })
        return
      }
      const target = relative(core, join(dirname(context.filename), name)).split(sep)
      const problem = chapterProblem(file, target)
      if (problem) context.report({ node: source, message: problem })
    })
  },
}

const faces = {
  meta: { type: 'problem', schema: [] },
  create: context =>
    everySource(source => {
      const name = source.value
      if (typeof name !== 'string' || !name.startsWith('#core/')) return
      const { room, beyond } = placeOf(name.slice('#core/'.length).split('/'))
      const message = `Import #core/${room}: a folder of core/ is entered by its index.ts.`
      if (beyond.length > 0) context.report({ node: source, message })
    }),
}

const PAGE_LINES = 12

const onlyRoutes = {
  meta: { type: 'problem', schema: [] },
  create: context => ({
    Program(node) {
      const lines = context.sourceCode.lines.length
      const message = `A page only routes: ${lines} lines are more than ${PAGE_LINES}. Put the screen into app/screens/ and name it here.`
      if (lines > PAGE_LINES) context.report({ node, message })
    },
  }),
}

const TEMPLATE_LINES = 150

const shortTemplates = {
  meta: { type: 'suggestion', schema: [] },
  create: context => ({
    Program() {
      const { templateBody } = context.sourceCode.ast
      if (!templateBody) return
      const lines = templateBody.loc.end.line - templateBody.loc.start.line + 1
      const message = `A template of ${lines} lines: is there a part in it with a name of its own? Over ${TEMPLATE_LINES} it says why (<!-- long: … -->).`
      const saysWhy = context.sourceCode.text.includes('<!-- long: ')
      if (lines > TEMPLATE_LINES && !saysWhy)
        context.report({ loc: templateBody.loc.start, message })
    },
  }),
}

export default {
  rules: { chapters, faces, 'only-routes': onlyRoutes, 'short-templates': shortTemplates },
}
