// Which test files reach a line of the code.
import coverageMaps from 'istanbul-lib-coverage'
import sourceMaps from 'istanbul-lib-source-maps'
import { dirname } from 'node:path'

/** Most tests asked of a change at first, and most of those asked where these see nothing. */
const [FIRST, FURTHER] = [10, 40]

/** A coverage report in the lines of the sources: what runs has no types, and other lines. */
export async function asWritten(report) {
  const map = coverageMaps.createCoverageMap(report)
  return (await sourceMaps.createSourceMapStore().transformCoverage(map)).toJSON()
}

/**
 * Lines that were run, by file, from a coverage report: `Map<file, Set<line>>`, files relative to `root`.
 * A statement that was run stands for each of its lines.
 */
export function linesReached(report, root) {
  const reached = new Map()
  for (const [path, { statementMap, s }] of Object.entries(report)) {
    const file = path.startsWith(`${root}/`) ? path.slice(root.length + 1) : path
    const lines = new Set()
    for (const [id, { start, end }] of Object.entries(statementMap))
      if (s[id] > 0) for (let line = start.line; line <= end.line; line++) lines.add(line)
    if (lines.size > 0) reached.set(file, lines)
  }
  return reached
}

/** Portraits look at everything at once: they take long and see what no other test does. */
const isWide = ({ test }) => test.startsWith('scripts/portraits/')

/**
 * Test files that reach a line, in the steps in which they are asked: those beside it first, which are about it, with those
 * that take the least time; then more of these; the wide ones only where nothing was seen.
 */
export function testsReaching(known, file, line) {
  const isBeside = ({ test }) => dirname(file).startsWith(dirname(test))
  const reaching = known.filter(({ reached }) => reached.get(file)?.has(line))
  const near = reaching
    .filter(one => !isWide(one))
    .sort((a, b) => Number(isBeside(b)) - Number(isBeside(a)) || a.ms - b.ms)
  return [near.slice(0, FIRST), near.slice(FIRST, FIRST + FURTHER), reaching.filter(isWide)]
    .map(step => step.map(({ test }) => test))
    .filter(step => step.length > 0)
}
