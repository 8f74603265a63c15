// Which test files reach a line of the code.
import { dirname } from 'node:path'

/** Most tests run for one change: more of them hardly ever see what these did not. */
const MOST_TESTS = 10

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

/** Test files that reach a line: those beside it first, which are about it, then those that take the least time. */
export function testsReaching(known, file, line) {
  const isBeside = ({ test }) => dirname(file).startsWith(dirname(test))
  return known
    .filter(({ reached }) => reached.get(file)?.has(line))
    .sort((a, b) => Number(isBeside(b)) - Number(isBeside(a)) || a.ms - b.ms)
    .slice(0, MOST_TESTS)
    .map(({ test }) => test)
}
