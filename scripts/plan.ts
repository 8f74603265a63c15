// `npm run --silent plan -- ledger|recovery|minutes|checks|allocate FILE.json [--school …]`: what the screens compute, as JSON.
// With `schema` it writes the JSON Schema of a plan file to docs/schema.
import { readFileSync, writeFileSync } from 'node:fs'
import { planFileSchema } from '#shared/contracts/planFile'
import { linearSolver } from '#shared/solver/highs'
import { run } from './plan/commands'

const args = process.argv.slice(2)
if (args[0] === 'schema') {
  writeFileSync(
    new URL('../docs/schema/plan-file.schema.json', import.meta.url),
    `${JSON.stringify(planFileSchema(), null, 2)}\n`,
  )
} else {
  // Only proposals need the solver, and it takes a moment to load.
  const solver = args[0] === 'allocate' ? await linearSolver() : undefined
  const { code, out, errors } = run(args, file => readFileSync(file, 'utf8'), solver)
  if (out !== undefined) console.log(out)
  errors?.forEach(error => console.error(error))
  process.exitCode = code
}
