import { daysBetween, type PlainDate, plainDate } from '#core/base'
import { blockAsTold, expandedBlock } from '#core/design/progress'
import { blockLoadSessions, loadsAhead, type LoadSession, nextTime } from '#core/design/loads'
import type { PlanContext } from '#core/plan/method'
import { sessionInTurn } from '#core/plan/session'
import { nextTimeWords } from '#core/words'
import type { ClientView } from '#shared/contracts/client'
import type { SheetView } from '#shared/contracts/sheet'
import { sessionDocument } from '../db/documents'
import { database } from '../db/database'
import { blocksOf } from '../db/queries/blocks'
import { sentOf } from '../db/queries/blockSessions'
import type { LoadData } from './loads'
import type { Coach } from './signIn'

/** So many days after a session it still says what comes next time. */
const TOLD_DAYS = 3

type Next = NonNullable<SheetView['sessions'][number]['next']>
interface DoneRow {
  readonly id: string
  readonly on: PlainDate
  readonly pass: number
  readonly prescribed: Parameters<typeof sessionDocument>[0]
  readonly finishedAt: Date | null
}

const isTold = ({ finishedAt }: DoneRow, today: PlainDate): boolean =>
  finishedAt !== null &&
  daysBetween(plainDate(finishedAt.toISOString().slice(0, 10)), today) <= TOLD_DAYS

/** Sessions that lie ahead: of the block of today as it is told, and of the ones that wait behind it. */
async function sessionsAhead(
  coach: Coach,
  { id, block }: ClientView,
  context: PlanContext,
  today: PlainDate,
): Promise<readonly LoadSession[]> {
  const db = database()
  if (!block) return []
  const [sent, line] = await Promise.all([
    sentOf(db, coach.id, block.id),
    blocksOf(db, coach.id, id),
  ])
  const told = sent.map(row => ({ ...row, content: sessionDocument(row.content) }))
  // Of a draft nobody is told anything: its exercises are not decided.
  const later = line.filter(({ plan }) => plan.startsOn > block.plan.startsOn && !plan.draft)
  return [
    ...blockLoadSessions(blockAsTold(block.plan, context, told, today), today),
    // Keys of two blocks would be the same ones.
    ...later.flatMap(({ id: of, plan }) =>
      blockLoadSessions(expandedBlock(plan, context), today).map(session => ({
        ...session,
        key: `${of} ${session.key}`,
      })),
    ),
  ]
}

/** What comes next time of the sessions a client has just done, by the block as it would be sent today. */
export async function nextTimes(
  coach: Coach,
  rows: readonly DoneRow[],
  {
    view,
    context,
    loads,
  }: { readonly view: ClientView; readonly context: PlanContext; readonly loads: LoadData },
  today: PlainDate,
): Promise<ReadonlyMap<string, Next>> {
  const done = rows.filter(row => isTold(row, today))
  if (!view.block || done.length === 0) return new Map()
  const ahead = await sessionsAhead(coach, view, context, today)
  const { block } = view
  const own = loadsAhead(ahead, loads.history, {
    context,
    unit: loads.unit,
    bodyKg: loads.bodyKg,
    rules: block.plan.block?.rules,
    rotation: block.plan.rotation,
  })
  const nameOf = (exercise: string) => context.catalogue.get(exercise)?.name ?? exercise
  return new Map(
    done.map(({ id, on, pass, prescribed }) => {
      const content = sessionInTurn(sessionDocument(prescribed), Math.max(0, pass))
      return [
        id,
        nextTime({ content, on }, ahead, own).map(next => ({
          on: next.on,
          words: nextTimeWords(next, nameOf),
        })),
      ]
    }),
  )
}
