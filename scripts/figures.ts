// `npm run --silent figures -- [DAY]`: ledger, recovery, minutes and checks of every demo client as JSON lines, for
// comparing a change that must change no figure byte for byte (`diff` before and after).
import { plainDate } from '#core/base'
import { demoClients } from '../server/demo/studio'
import { run } from './plan/commands'

const COMMANDS = ['ledger', 'recovery', 'minutes', 'checks'] as const

for (const { name, method, facts, plan } of demoClients(
  plainDate(process.argv[2] ?? '2026-04-01'),
)) {
  const file = JSON.stringify({ plan, method, client: facts })
  for (const command of COMMANDS) {
    const { out, errors } = run([command, 'demo'], () => file)
    if (errors) throw new Error(`${name}: ${errors.join(' ')}`)
    console.log(JSON.stringify({ name, command, figures: JSON.parse(out ?? 'null') }))
  }
}
