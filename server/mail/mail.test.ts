import { type AddressInfo, createServer, type Socket } from 'node:net'
import { text as textOf } from 'node:stream/consumers'
import { afterAll, beforeEach, describe, expect, test } from '@jest/globals'
import { eq } from 'drizzle-orm'
import { SMTPServer } from 'smtp-server'
import { mailStateWords, mailSubject } from '#core/words'
import { currentTime } from '../clock'
import { database } from '../db/database'
import { insertMessage } from '../db/queries/messages'
import { clients, mails, messages } from '../db/schema'
import { clientOutbox, tryAgain, writeMessage } from '../services/outbox'
import { recorded, lastChanges, undoChange } from '../services/changes'
import { unitStudio, type UnitStudio, useTestDatabase, valueOf } from '../testing/database'
import { deliverMails, settled } from './deliver'
import { answerOf, mailSetUp, type SendMail, smtp } from './transport'

useTestDatabase()

/** How a mail server of the test behaves from here on. */
let mood: 'takes' | 'refuses' | 'busy' = 'takes'
const taken: string[] = []
const server = new SMTPServer({
  authOptional: true,
  disabledCommands: ['STARTTLS'],
  onRcptTo: (_, __, done) =>
    mood === 'takes'
      ? done()
      : done(
          Object.assign(new Error(mood === 'busy' ? 'try later' : 'no such mailbox'), {
            responseCode: mood === 'busy' ? 451 : 550,
          }),
        ),
  onData: (stream, _, done) => {
    void textOf(stream).then(text => {
      taken.push(text)
      done()
    })
  },
})
server.on('error', () => {})
let send: SendMail
beforeEach(async () => {
  mood = 'takes'
  taken.length = 0
  // What earlier tests wrote is theirs.
  await database().delete(messages)
  await database().delete(mails)
  if (!server.server.listening)
    await new Promise<void>(done => server.listen(0, '127.0.0.1', () => done()))
  send = smtp(`smtp://127.0.0.1:${(server.server.address() as AddressInfo).port}`)
})
afterAll(() => new Promise<void>(done => void server.close(() => done())))

const from = 'plans@skerrylane.example'
const minutes = (count: number) => new Date(currentTime().getTime() + count * 60_000)

/** A studio in which somebody has an address and was written to. */
async function written(text = 'Come ten minutes earlier.') {
  const studio = await unitStudio()
  const { id, profile } = studio.client('Marit')
  await database()
    .update(clients)
    .set({ profile: { ...profile, email: 'marit@harbour.example' } })
    .where(eq(clients.id, id))
  valueOf(
    await recorded(studio.coach, { clientId: id, kind: 'message' }, () =>
      writeMessage(studio.coach, id, text),
    ),
  )
  return { studio, id }
}
const state = async ({ coach }: UnitStudio, id: UnitStudio['clients'][number]['id']) =>
  valueOf(await clientOutbox(coach, id)).messages[0]!

describe('a message by mail', () => {
  test('goes out a minute later, once, to the address of the profile', async () => {
    const { studio, id } = await written('Grüße, и до завтра')
    expect(await deliverMails({ send, from }, currentTime())).toBe(0)
    expect(await deliverMails({ send, from }, minutes(2))).toBe(1)
    expect(await deliverMails({ send, from }, minutes(3))).toBe(0)
    expect(taken).toHaveLength(1)
    const [, body = ''] = taken[0]!.split('\r\n\r\n')
    expect(Buffer.from(body, 'base64').toString()).toContain('Grüße, и до завтра\n\nTest Coach')
    expect(taken[0]).toMatch(/^To: marit@harbour\.example/m)
    expect(taken[0]).toMatch(/^Reply-To: coach-/m)
    expect(taken[0]).toMatch(/^Subject: A message from Test Coach/m)
    expect((await state(studio, id)).mail).toEqual({
      words: 'Mailed to marit@harbour.example',
      canTryAgain: false,
      isWrong: false,
    })
  })

  test('taken back within the minute it never goes out', async () => {
    const { studio, id } = await written()
    const { undo } = valueOf(await lastChanges(studio.coach, id))
    valueOf(await undoChange(studio.coach, id, undo!.id))
    expect(await deliverMails({ send, from }, minutes(2))).toBe(0)
    expect(taken).toEqual([])
  })

  test('several servers at once send it once', async () => {
    await written()
    const counts = await Promise.all(
      Array.from({ length: 5 }, () => deliverMails({ send, from }, minutes(2))),
    )
    expect(counts.reduce((sum, count) => sum + count, 0)).toBe(1)
    expect(taken).toHaveLength(1)
  })

  test('what was said of pain, and who has no address, gets none', async () => {
    const studio = await unitStudio()
    const { id, profile } = studio.client('Marit')
    await database()
      .update(clients)
      .set({ profile: { ...profile, email: 'marit@harbour.example' } })
      .where(eq(clients.id, id))
    for (const clientId of [id, studio.client('Joren').id])
      await insertMessage(database(), {
        coachId: studio.coach.id,
        id: crypto.randomUUID(),
        clientId,
        kind: clientId === id ? 'pain' : 'own',
        text: 'x',
        writtenAt: currentTime(),
      })
    expect(await deliverMails({ send, from }, minutes(2))).toBe(0)
  })
})

describe('a mail server that', () => {
  test('is busy is asked again later, and nothing is sent twice', async () => {
    const { studio, id } = await written()
    mood = 'busy'
    expect(await deliverMails({ send, from }, minutes(2))).toBe(0)
    expect((await state(studio, id)).mail?.words).toMatch(
      /^Not taken yet, tried again: .*try later/,
    )
    mood = 'takes'
    expect(await deliverMails({ send, from }, minutes(2.5))).toBe(0)
    expect(await deliverMails({ send, from }, minutes(4))).toBe(1)
    expect(taken).toHaveLength(1)
  })

  test('refuses is told, and asked again only when the coach says so', async () => {
    const { studio, id } = await written()
    mood = 'refuses'
    await deliverMails({ send, from }, minutes(2))
    const message = await state(studio, id)
    expect(message.mail).toMatchObject({ canTryAgain: true, isWrong: true })
    mood = 'takes'
    expect(await deliverMails({ send, from }, minutes(600))).toBe(0)
    valueOf(await tryAgain(studio.coach, message.id))
    expect(await deliverMails({ send, from }, minutes(601))).toBe(1)
  })

  test('is not there is tried again', async () => {
    const { studio, id } = await written()
    await deliverMails({ send: smtp('smtp://127.0.0.1:9'), from }, minutes(2))
    expect((await state(studio, id)).mail?.words).toMatch(/^Not taken yet, tried again/)
    expect(await deliverMails({ send, from }, minutes(4))).toBe(1)
  })

  test('goes away once it has the text leaves it open: told, and not sent again by itself', async () => {
    const { studio, id } = await written()
    const rude = createServer((socket: Socket) => {
      socket.on('error', () => {})
      socket.write('220 rude\r\n')
      socket.on('data', data => {
        const said = data.toString()
        if (/^EHLO|^HELO/.test(said)) socket.write('250 rude\r\n')
        else if (/^MAIL|^RCPT/.test(said)) socket.write('250 ok\r\n')
        else if (/^DATA/.test(said)) socket.write('354 go on\r\n')
        else socket.destroy()
      })
    })
    await new Promise<void>(done => rude.listen(0, '127.0.0.1', () => done()))
    const { port } = rude.address() as AddressInfo
    await deliverMails({ send: smtp(`smtp://127.0.0.1:${port}`), from }, minutes(2))
    rude.close()
    expect((await state(studio, id)).mail?.words).toMatch(/^Nobody knows whether it reached/)
    expect(await deliverMails({ send, from }, minutes(900))).toBe(0)
  })

  test('was being asked by a server that ended leaves it open', async () => {
    const { studio, id } = await written()
    const lost: SendMail = () => new Promise(() => {})
    void deliverMails({ send: lost, from }, minutes(2))
    await new Promise(done => setTimeout(done, 1500))
    expect(await deliverMails({ send, from }, minutes(3))).toBe(0)
    expect(await deliverMails({ send, from }, minutes(9))).toBe(0)
    expect((await state(studio, id)).mail?.words).toMatch(/ended meanwhile/)
    expect(taken).toEqual([])
  })
})

describe('by itself', () => {
  test.each([
    [{ responseCode: 550, message: 'no' }, true, 'refused'],
    [{ responseCode: 421, message: 'no' }, true, 'not_now'],
    [{ message: 'gone' }, false, 'not_now'],
    [{ message: 'gone' }, true, 'unsure'],
  ] as const)('%j, handed over: %s, is %s', (error, isHandedOver, kind) =>
    expect(answerOf(error, isHandedOver).kind).toBe(kind),
  )

  test('tries come ever more rarely, and end', () => {
    const now = new Date('2026-04-02T10:00:00Z')
    const waits = Array.from({ length: 8 }, (_, at) =>
      settled({ kind: 'not_now', said: 'x' }, { attempts: at + 1 }, now),
    )
    expect(waits.map(({ state: is }) => is)).toEqual([...Array(7).fill('waiting'), 'failed'])
    const times = waits.slice(0, 7).map(({ at }) => at.getTime())
    expect(times).toEqual(times.toSorted((a, b) => a - b))
  })

  test('an operator’s settings are read, and wrong ones named', () => {
    expect(mailSetUp({})).toBeNull()
    expect(() => mailSetUp({ SMTP_URL: 'mail.example' })).toThrow(/smtp:\/\//)
    expect(() => mailSetUp({ SMTP_URL: 'smtp://mail.example' })).toThrow(/MAIL_FROM/)
    expect(mailSetUp({ SMTP_URL: 'smtp://mail.example', MAIL_FROM: 'a@b.example' })?.from).toBe(
      'a@b.example',
    )
  })

  test('a name with a line break makes no second line of the head', () => {
    expect(mailSubject({ kind: 'own', coach: 'Ann\r\nBcc: x@y.example', studio: '' })).toBe(
      'A message from Ann Bcc: x@y.example',
    )
    expect(mailStateWords({ state: 'waiting', to: 'a@b.example', said: '' })).toBe(
      'On its way to a@b.example',
    )
  })
})
