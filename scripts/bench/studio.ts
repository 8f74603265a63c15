import { addDays, blockId as blockIdOf } from '#core/base'
import { planEnd } from '#core/plan/block'
import { database } from '../../server/db/database'
import { blocksOf } from '../../server/db/queries/blocks'
import { startNextBlock } from '../../server/services/blocks'
import { carry } from '../../server/services/carry'
import { keepPlan } from '../../server/services/planTemplates'
import { clientSeason } from '../../server/services/season'
import { rosterStudio } from './rosterStudio'

const OTHERS = 40
const BLOCKS = 40
const WEEKS_EACH = 6
const READS = 60

const sorted = (samples: readonly number[]) => [...samples].sort((a, b) => a - b)
const at = (samples: readonly number[], share: number) =>
  (sorted(samples)[Math.floor(share * samples.length)] ?? 0).toFixed(0)

async function timed<Value>(work: () => Promise<Value>): Promise<[ms: number, value: Value]> {
  const from = performance.now()
  const value = await work()
  return [performance.now() - from, value]
}

/** What takes a whole studio: a rotation given to 40 clients, and a season of 40 blocks, with the database. */
export async function studioTable(): Promise<readonly object[]> {
  const { coach, today, clients } = await rosterStudio({ count: OTHERS + 1, weeks: 12 })
  const [first, ...others] = clients
  if (!first) throw new Error('the demo has no client')
  const kept = await keepPlan(
    coach,
    {
      name: 'Bench',
      reason: '',
      block: first.blockId,
      part: 'rotation',
    },
    today,
  )
  if (!kept.ok) throw new Error('the rotation could not be kept')
  const from = { kind: 'template', id: kept.value.id } as const
  const [look, given]: number[][] = [[], []]
  for (const { id } of others) {
    look!.push((await timed(() => carry(coach, id, { from, isTrial: true }, today)))[0])
    given!.push((await timed(() => carry(coach, id, { from, isTrial: false }, today)))[0])
  }
  return [
    row('a rotation before 40 clients, one after the other, all', look!),
    row('the same given to them, all', given!),
    ...(await seasonRows(coach, first, today)),
  ]
}

const row = (what: string, samples: readonly number[]) => ({
  what,
  'all ms': samples.reduce((sum, one) => sum + one, 0).toFixed(0),
  'median ms': at(samples, 0.5),
  'p95 ms': at(samples, 0.95),
})

async function seasonRows(
  coach: Parameters<typeof clientSeason>[0],
  { id }: Awaited<ReturnType<typeof rosterStudio>>['clients'][number],
  today: Parameters<typeof clientSeason>[2],
) {
  const line = () => blocksOf(database(), coach.id, id)
  for (let count = (await line()).length; count < BLOCKS; count++) {
    const last = (await line()).at(-1)!
    const begun = await startNextBlock(coach, blockIdOf(last.id), {
      version: last.version,
      title: `Block ${count + 1}`,
      startsOn: addDays(planEnd(last.plan), 1),
      weeks: WEEKS_EACH,
      from: 'first',
      modes: {},
      isCut: false,
    })
    if (!begun.ok) throw new Error('a block could not be put behind the others')
  }
  const [firstTime] = await timed(() => clientSeason(coach, id, today))
  const again: number[] = []
  for (let read = 0; read < READS; read++)
    again.push((await timed(() => clientSeason(coach, id, today)))[0])
  return [
    row('season of 40 blocks, first time', [firstTime]),
    row('season of 40 blocks, again', again),
  ]
}
