import {
  type BlockId,
  daysBetween,
  failure,
  type PlainDate,
  type Result,
  success,
} from '#core/base'
import { firstName, whatIfDone } from '#core/words'
import { type Problem, problemWords } from '#shared/contracts/problem'
import {
  type TakenWhatIf,
  type TakeWhatIfBody,
  type WhatIf,
  WHAT_IF_DAYS,
  type WhatIfView,
} from '#shared/contracts/whatIf'
import type { z } from 'zod'
import { database } from '../../db/database'
import { tellChange } from '../../db/queries/changes'
import { issued } from '../blocks'
import type { Coach } from '../signIn'
import type { Prepared, Written } from './asked'
import { creditOtherwise, methodOtherwise } from './counting'
import { daysOff } from './days'
import { stationOut } from './station'

const wrong = (pointer: string, detail: string): Result<never, Problem> =>
  failure({ kind: 'invalid', errors: [{ pointer, kind: 'custom', detail }] })

/** What would happen, looked through for everybody; nothing is written. */
async function prepared(
  coach: Coach,
  asked: WhatIf,
  today: PlainDate,
): Promise<Result<Prepared, Problem>> {
  if ('from' in asked) {
    if (asked.to < today) return wrong('/to', 'Those days are over. Choose days to come.')
    if (daysBetween(asked.from, asked.to) >= WHAT_IF_DAYS)
      return wrong('/to', `More than ${WHAT_IF_DAYS} days. Choose an earlier last day.`)
  }
  switch (asked.kind) {
    case 'station':
      return success(await stationOut(coach, asked, today))
    case 'away':
    case 'closed':
      return success(await daysOff(coach, asked, today))
    case 'credit':
      return creditOtherwise(coach, asked, today)
    case 'method':
      return methodOtherwise(coach, asked, today)
  }
}

export async function whatIf(
  coach: Coach,
  asked: WhatIf,
  today: PlainDate,
): Promise<Result<WhatIfView, Problem>> {
  const found = await prepared(coach, asked, today)
  return found.ok ? success(found.value.view) : found
}

/** Does it for everybody but who is left out; who could not be changed is told with the reason. */
export async function takeWhatIf(
  coach: Coach,
  { asked, leftOut }: z.output<typeof TakeWhatIfBody>,
  today: PlainDate,
): Promise<Result<z.input<typeof TakenWhatIf>, Problem>> {
  const found = await prepared(coach, asked, today)
  if (!found.ok) return found
  const { view, what, write, writeStudio } = found.value
  await tellChange(database(), coach.id, what)
  const studio = await writeStudio(leftOut)
  if (!studio.ok) return studio
  const failed: { name: string; why: string }[] = []
  const done: { readonly name: string; readonly written: Written }[] = []
  for (const { client, name, isWritten } of view.lines) {
    if (!isWritten || leftOut.includes(client)) continue
    const result = await write(client)
    if (result.ok) done.push({ name, written: result.value })
    else failed.push({ name, why: problemWords(result.error).detail })
  }
  const toSend = await Promise.all(
    done.flatMap(({ name, written }) => written.map(block => stale(coach, name, block))),
  )
  return success({
    did: whatIfDone(
      what,
      done.map(({ name }) => firstName(name)),
    ),
    failed,
    toSend: toSend.flat(),
  })
}

/** Rotations of which the client has something in an older form. */
async function stale(coach: Coach, name: string, block: BlockId) {
  const opened = await issued(coach, block)
  if (!opened.ok) return []
  const { version, expanded } = opened.value
  return expanded.passes
    .filter(({ sessions }) =>
      sessions.some(({ sent }) => sent?.isEdited === true && !sent.isDone && sent.setsDone === 0),
    )
    .map(({ at }) => ({ name, block, version, pass: at }))
}
