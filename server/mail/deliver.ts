import { MS_PER_DAY, MS_PER_MINUTE } from '#core/base'
import { mailSubject, mailText } from '#core/words'
import { database } from '../db/database'
import {
  claimMails,
  type ClaimedMail,
  releaseMails,
  settleMail,
  takeUpMails,
} from '../db/queries/mails'
import type { MailAnswer, SendMail } from './transport'

/** So long a message can be taken back before it goes out. Units: ms. */
const GRACE_MS = MS_PER_MINUTE
/** Messages older than this are not sent any more when mail is set up. */
const REACH_MS = MS_PER_DAY
/** A mail in hand for longer belongs to a server that is gone. */
const GONE_MS = 5 * MS_PER_MINUTE
/** Minutes until the next try, by how many there were. */
const AGAIN_MINUTES = [1, 5, 15, 60, 180, 360, 720] as const

/** Sends what is due; a mail goes out once at most, and what does not is told. Shape: how many were taken by the mail server. */
export async function deliverMails(
  { send, from }: { readonly send: SendMail; readonly from: string },
  now: Date,
): Promise<number> {
  const db = database()
  const before = (ms: number) => new Date(now.getTime() - ms)
  await releaseMails(db, before(GONE_MS), 'The server that sent it ended meanwhile.')
  await takeUpMails(db, { from: before(REACH_MS), to: before(GRACE_MS), now })
  const due = await claimMails(db, now)
  let taken = 0
  for (const mail of due) {
    const { id, to, answerTo } = mail
    const answer = await send({
      id,
      to,
      answerTo,
      from,
      subject: mailSubject(mail),
      text: mailText(mail),
    })
    await settleMail(db, mail, settled(answer, mail, now))
    taken += Number(answer.kind === 'taken')
  }
  return taken
}

/** How a mail stands after a server's answer. */
export function settled(
  answer: MailAnswer,
  { attempts }: Pick<ClaimedMail, 'attempts'>,
  now: Date,
) {
  if (answer.kind === 'taken') return { state: 'sent' as const, at: now, said: '' }
  const { said } = answer
  if (answer.kind === 'unsure') return { state: 'unsure' as const, at: now, said }
  const minutes = AGAIN_MINUTES[attempts - 1]
  return answer.kind === 'refused' || minutes === undefined
    ? { state: 'failed' as const, at: now, said }
    : {
        state: 'waiting' as const,
        at: new Date(now.getTime() + minutes * MS_PER_MINUTE),
        said,
      }
}
