import { createHash, randomBytes, randomUUID } from 'node:crypto'
import { type ClientId, type CoachId, failure, type Result, success, MS_PER_DAY } from '#core/base'
import type { Problem } from '#shared/contracts/problem'
import type { LinkView, NewLinkBody, OpenLinkAnswer, OpenLinkBody } from '#shared/contracts/sheet'
import type { z } from 'zod'
import { database } from '../db/database'
import { gathered } from '../db/gathered'
import { clientName } from '../db/queries/clients'
import { insertMessage } from '../db/queries/messages'
import {
  devicesByHash,
  insertDevice,
  linkByHash,
  linkOf,
  replaceLink,
  revokeLinks,
  touchDevices,
} from '../db/queries/sheetLinks'
import { countAttempt, forgetAttempts, isOpen, LIMITS } from './attempts'
import { hashedPassword, isPassword } from './passwords'
import type { Coach } from './signIn'
import { currentTime } from '../clock'

const SECRET_BYTES = 24
const SEEN_EVERY_MS = 60_000

/** A client's phone that may ask for her sheet. */
export interface SheetReader {
  readonly coach: Coach
  readonly clientId: ClientId
  readonly deviceId: string
}

/** Secrets are long and random, so a plain hash cannot be guessed back; PINs are short and get a slow one. */
const hashed = (secret: string) => createHash('sha256').update(secret).digest('hex')
const newSecret = () => randomBytes(SECRET_BYTES).toString('base64url')

const NO_CLIENT: Problem = { kind: 'not-found', what: 'client' }

/** Makes a client's link anew and tells it this once; the one before ends. */
export async function makeLink(
  coach: Coach,
  client: ClientId,
  { pin, days }: z.output<typeof NewLinkBody>,
): Promise<Result<{ token: string }, Problem>> {
  const db = database()
  const known = await clientName(db, coach.id, client)
  if (!known) return failure(NO_CLIENT)
  const [token, now] = [newSecret(), currentTime()]
  await replaceLink(db, {
    coachId: coach.id,
    id: randomUUID(),
    clientId: client,
    tokenHash: hashed(token),
    pinHash: pin === null ? null : await hashedPassword(pin),
    createdAt: now,
    expiresAt: days === null ? null : new Date(now.getTime() + days * MS_PER_DAY),
  })
  await insertMessage(db, {
    coachId: coach.id,
    id: randomUUID(),
    clientId: client,
    kind: 'link',
    writtenAt: now,
    text: `Hello ${known.name.split(' ')[0]}, here is your training sheet: [your link]. Open it on your phone and keep it on the home screen; it works without reception.${pin === null ? '' : ' I will tell you the PIN in person.'}`,
  })
  return success({ token })
}

/** Withdraws a client's link; phones that have it keep what is on them and get nothing more. */
export async function withdrawLink(
  coach: Coach,
  client: ClientId,
): Promise<Result<{ isDone: true }, Problem>> {
  if (!(await clientName(database(), coach.id, client))) return failure(NO_CLIENT)
  await revokeLinks(database(), coach.id, client, currentTime())
  return success({ isDone: true })
}

/** What is known of a client's link: all but the link. */
export async function linkState(
  coach: Coach,
  client: ClientId,
): Promise<Result<z.input<typeof LinkView>, Problem>> {
  if (!(await clientName(database(), coach.id, client))) return failure(NO_CLIENT)
  const link = await linkOf(database(), coach.id, client)
  if (!link) return success({ link: null })
  const { createdAt, expiresAt, revokedAt, pinHash, phones, lastSeenAt } = link
  return success({
    link: {
      createdAt: createdAt.toISOString(),
      expiresAt: expiresAt?.toISOString() ?? null,
      hasPin: pinHash !== null,
      isOver: revokedAt !== null || (expiresAt !== null && expiresAt <= currentTime()),
      phones: phones ?? 0,
      lastSeenAt: lastSeenAt ? new Date(lastSeenAt).toISOString() : null,
    },
  })
}

/** Opens a link on a phone: a key of the phone's own, or the question for the PIN. */
export async function openLink(
  { token, pin }: z.output<typeof OpenLinkBody>,
  from: string,
): Promise<Result<OpenLinkAnswer, Problem>> {
  const db = database()
  // Whoever tries links at random is stopped by the address; whoever has one and tries PINs, by the link.
  const tried = await isOpen(LIMITS.unknownLink, from)
  if (!tried.ok) return tried
  const link = await linkByHash(db, hashed(token), currentTime())
  if (!link) {
    const counted = await countAttempt(LIMITS.unknownLink, from)
    return counted.ok ? failure({ kind: 'not-found', what: 'link' }) : counted
  }
  if (!link.isGood) return failure({ kind: 'link-over' })
  if (link.pinHash !== null) {
    if (pin === null) return success({ key: null, needsPin: true })
    const counted = await countAttempt(LIMITS.wrongPin, link.id)
    if (!counted.ok) return counted
    if (!(await isPassword(link.pinHash, pin))) return failure({ kind: 'wrong-pin' })
    await forgetAttempts(LIMITS.wrongPin, link.id)
  }
  const [key, now] = [newSecret(), currentTime()]
  await insertDevice(db, {
    coachId: link.coachId,
    id: randomUUID(),
    linkId: link.id,
    keyHash: hashed(key),
    openedAt: now,
    lastSeenAt: now,
  })
  return success({ key, needsPin: false })
}

/** Keys of phones that ask in the same instant are looked up together. */
const deviceOf = gathered(
  (_: string) => 'key',
  async keys => {
    const byHash = new Map(
      (await devicesByHash(database(), keys.map(hashed), currentTime())).map(device => [
        device.keyHash,
        device,
      ]),
    )
    return keys.map(key => byHash.get(hashed(key)))
  },
)
const touched = gathered(
  ({ coachId }: { readonly coachId: CoachId; readonly deviceId: string }) => coachId,
  async (phones, coachId) => {
    const ids = phones.map(({ deviceId }) => deviceId)
    await touchDevices(database(), coachId, ids, currentTime())
    return ids
  },
)

/** Whose phone a key belongs to. Errors: no such key; a link that is over. */
export async function sheetReader(key: string): Promise<Result<SheetReader, Problem>> {
  const device = await deviceOf(key)
  if (!device) return failure({ kind: 'not-signed-in' })
  const { coach, clientId, deviceId, isGood, lastSeenAt } = device
  if (!isGood) return failure({ kind: 'link-over' })
  // Once a minute is enough to know that a phone is there; a set a second need not write it.
  if (currentTime().getTime() - lastSeenAt.getTime() > SEEN_EVERY_MS)
    // A sheet is read though nothing can be written just now.
    await touched({ coachId: coach.id, deviceId }).catch(() => undefined)
  return success({ coach, clientId, deviceId })
}
