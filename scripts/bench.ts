// `npm run bench`: how long the hot paths take on this machine, as medians. Names given as arguments choose among them.
import { rotationLedger } from '#core/ledger'
import { defaultContext } from '#core/method'
import { Bench } from 'tinybench'
import { nineDayPlan, repeated } from './bench/plans'

const bench = new Bench({ time: 400, warmupTime: 150 })
const context = defaultContext({ trainingAgeMonths: 40 })
for (const times of [1, 2, 4, 8]) {
  const { rotation } = repeated(nineDayPlan(), times)
  bench.add(`ledger, 9 days × ${times} (${8 * times} sessions of 8 exercises)`, () => rotationLedger(rotation, context))
}

await bench.run()
console.table(bench.tasks.map(({ name, result }) => {
  if (!('latency' in result)) return { what: name, 'median ms': 'failed' }
  return { 'what': name, 'median ms': result.latency.p50.toFixed(3), 'p99 ms': result.latency.p99.toFixed(3), 'runs': result.latency.samplesCount }
}))
