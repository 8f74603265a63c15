import { plainDate } from '#core/base'
import { splitByUse } from '#core/body/log'
import { muscleTrends } from '#core/body/trend'
import { defaultContext } from '#core/plan/method'
import { demoClients } from '../../server/demo/studio'
import { writtenHistory } from '../../server/demo/writtenHistory'

const CLIENTS = 200
const WEEKS = 12
const TODAY = plainDate('2026-04-01')

const NOTHING_ELSE = { isDeload: () => false, isPainful: () => false, isConfirmed: () => false }

const read = ({ exposures }: ReturnType<typeof writtenHistory>) =>
  exposures.map(({ exercise, on, value, repsToFailure, tired, sets, heldAs }) => ({
    exercise,
    on,
    value,
    repsToFailure,
    tired: tired ?? null,
    sets: sets ?? null,
    heldAs: heldAs ?? null,
  }))

/** Logs of many clients as the roster reads them, from the demo's ways of training. */
function logs() {
  const all: ReturnType<typeof read>[] = []
  for (let seed = 1; all.length < CLIENTS; seed++)
    for (const client of demoClients(TODAY, seed)) {
      const named = { ...client, name: `${client.name} ${100 + seed}` }
      all.push(read(writtenHistory(named, TODAY, WEEKS)))
    }
  return all.slice(0, CLIENTS)
}

/** Time to reckon the verdicts of every muscle of many clients, nothing known from before; each round on values never seen. */
export function verdictTimes(rounds = 3): string {
  const { catalogue } = defaultContext({ trainingAgeMonths: 40 })
  const times = Array.from({ length: rounds }, () => {
    const all = logs()
    const began = performance.now()
    for (const exposures of all) muscleTrends(splitByUse(exposures, NOTHING_ELSE).used, catalogue)
    return `${((performance.now() - began) / 1000).toFixed(2)} s`
  })
  return `verdicts of ${CLIENTS} clients with ${WEEKS} weeks of log, nothing known: ${times.join(', ')}`
}
