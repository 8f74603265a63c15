import { randomUUID } from 'node:crypto'
import { type ClientId, failure, type Result, success } from '#core/base'
import type { Problem } from '#shared/contracts/problem'
import type { OutboxView } from '#shared/contracts/sheet'
import type { z } from 'zod'
import { database } from '../db/database'
import { clientName } from '../db/queries/clients'
import { triedSignUp } from '../db/queries/coaches'
import { insertMessage, outboxOf } from '../db/queries/messages'
import type { Coach } from './signIn'
import { currentTime } from '../clock'

type Outbox = z.input<typeof OutboxView>

const asContract = (rows: Awaited<ReturnType<typeof outboxOf>>): Outbox => ({
  messages: rows.map(({ writtenAt, ...message }) => ({
    ...message,
    writtenAt: writtenAt.toISOString(),
  })),
})

/** All messages to clients, as they would have been sent, and what the coach herself is told. */
export async function outbox(coach: Coach): Promise<Result<Outbox, Problem>> {
  const [sent, tried] = await Promise.all([
    outboxOf(database(), coach.id),
    triedSignUp(database(), coach.id),
  ])
  return success({ ...asContract(sent), ...(tried && { signUpTriedAt: tried.toISOString() }) })
}

/** Messages to one client. */
export async function clientOutbox(
  coach: Coach,
  client: ClientId,
): Promise<Result<Outbox, Problem>> {
  if (!(await clientName(database(), coach.id, client)))
    return failure({ kind: 'not-found', what: 'client' })
  return success(asContract(await outboxOf(database(), coach.id, client)))
}

/** A message in the coach's own words. */
export async function writeMessage(
  coach: Coach,
  client: ClientId,
  text: string,
): Promise<Result<{ isDone: true }, Problem>> {
  if (!(await clientName(database(), coach.id, client)))
    return failure({ kind: 'not-found', what: 'client' })
  await insertMessage(database(), {
    coachId: coach.id,
    id: randomUUID(),
    clientId: client,
    kind: 'own',
    text,
    writtenAt: currentTime(),
  })
  return success({ isDone: true })
}
