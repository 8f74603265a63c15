// Told by Jest after each test file: which lines it reached, a line of JSON each, into the file that REACH names.
import { appendFileSync } from 'node:fs'
import { relative } from 'node:path'
import { asWritten, linesReached } from './reach.mjs'

export default class ReachReporter {
  async onTestResult({ path }, { coverage, perfStats }) {
    const root = process.cwd()
    const reached = [...linesReached(await asWritten(coverage ?? {}), root)].map(
      ([file, lines]) => [file, [...lines]],
    )
    const row = { test: relative(root, path), ms: perfStats.runtime, reached }
    appendFileSync(process.env.REACH, `${JSON.stringify(row)}\n`)
  }
}
