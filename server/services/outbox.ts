import { randomUUID } from 'node:crypto'
import { type ClientId, failure, type Result, success } from '#core/base'
import { mailStateWords } from '#core/words'
import type { Problem } from '#shared/contracts/problem'
import type { OutboxView } from '#shared/contracts/sheet'
import type { z } from 'zod'
import { database } from '../db/database'
import { clientName } from '../db/queries/clients'
import { triedSignUp } from '../db/queries/coaches'
import { mailAgain, mailsOf } from '../db/queries/mails'
import { insertMessage, outboxOf } from '../db/queries/messages'
import type { Coach } from './signIn'
import { currentTime } from '../clock'

type Outbox = z.input<typeof OutboxView>

type Mails = Awaited<ReturnType<typeof mailsOf>>

const asContract = (rows: Awaited<ReturnType<typeof outboxOf>>, mails: Mails): Outbox => ({
  messages: rows.map(({ writtenAt, ...message }) => {
    const mail = mails.get(message.id)
    const isWrong = mail?.state === 'failed' || mail?.state === 'unsure'
    return {
      ...message,
      writtenAt: writtenAt.toISOString(),
      ...(mail && { mail: { words: mailStateWords(mail), canTryAgain: isWrong, isWrong } }),
    }
  }),
})

/** All messages to clients, as they would have been sent, and what the coach herself is told. */
export async function outbox(coach: Coach): Promise<Result<Outbox, Problem>> {
  const [sent, mails, tried] = await Promise.all([
    outboxOf(database(), coach.id),
    mailsOf(database(), coach.id),
    triedSignUp(database(), coach.id),
  ])
  return success({
    ...asContract(sent, mails),
    ...(tried && { signUpTriedAt: tried.toISOString() }),
  })
}

/** Messages to one client. */
export async function clientOutbox(
  coach: Coach,
  client: ClientId,
): Promise<Result<Outbox, Problem>> {
  if (!(await clientName(database(), coach.id, client)))
    return failure({ kind: 'not-found', what: 'client' })
  const [sent, mails] = await Promise.all([
    outboxOf(database(), coach.id, client),
    mailsOf(database(), coach.id, client),
  ])
  return success(asContract(sent, mails))
}

/** Tries once more to mail a message that did not go out, or of which nobody knows. */
export async function tryAgain(
  coach: Coach,
  message: string,
): Promise<Result<{ isDone: true }, Problem>> {
  return (await mailAgain(database(), coach.id, message, currentTime()))
    ? success({ isDone: true })
    : failure({ kind: 'not-found', what: 'message' })
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
