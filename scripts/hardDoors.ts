// The doors' part of `npm run hard`, through scripts/hard.mjs, which starts the built server: every route with the wrong asker, then so
// many bodies (first argument) from a seed (second) that a failure can be drawn with again.
import { accessMatrix, fuzzed, type Row } from './hard/doors'

const [times = '2000', seed = String(Date.now() % 2 ** 31)] = process.argv.slice(2)
const matrix = await accessMatrix()
console.table(matrix)
const bodies = await fuzzed(Number(times), Number(seed))
console.table(bodies)
const sum = (rows: readonly Row[], of: string) =>
  rows.reduce((all, row) => all + Number(row[of] ?? 0), 0)
if (
  sum(matrix, 'answered otherwise') +
    sum(bodies, 'answers of 500') +
    sum(bodies, 'pages of 500') +
    sum(bodies, 'tables of others changed') >
  0
)
  process.exit(1)
