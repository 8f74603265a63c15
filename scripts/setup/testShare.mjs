import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { ROOT } from './paths.mjs'

/** Least share of the lines of code that are tests: a quarter, as CONTRIBUTING.md asks. */
const LEAST_SHARE = 0.25

const CODE = /\.(ts|vue|mjs|js|css)$/
const TESTS = /\.test\.ts$|\.spec\.ts$|^e2e\/|\/testing\//

/** Lines of code and of tests in the files that git knows of; `lines` reads a file's number of lines. */
export function shareOf(files, lines) {
  const code = files.filter(file => CODE.test(file) && !file.includes('/migrations/'))
  const sum = names => names.reduce((total, name) => total + lines(name), 0)
  const [all, tests] = [sum(code), sum(code.filter(file => TESTS.test(file)))]
  return { all, tests, share: all === 0 ? 0 : tests / all, isEnough: tests >= LEAST_SHARE * all }
}

/** The share of tests in this checkout. */
export function testShare() {
  const listed = execFileSync('git', ['ls-files', '-co', '--exclude-standard'], { cwd: ROOT })
  const files = listed.toString().split('\n').filter(Boolean)
  return shareOf(files, file => {
    try {
      return readFileSync(join(ROOT, file), 'utf8').split('\n').length - 1
    } catch {
      // Removed and not yet committed.
      return 0
    }
  })
}

/** One line that says how many lines are tests, and what to do where they are too few. */
export function shareLine({ all, tests, share, isEnough }) {
  const figure = `Tests are ${tests} of ${all} lines, ${(100 * share).toFixed(1)} %`
  return isEnough
    ? `${figure}.`
    : `${figure}: at least ${100 * LEAST_SHARE} % are wanted. Write tests for what changed; CONTRIBUTING.md says how.`
}
