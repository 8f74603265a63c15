import { Hash } from '@adonisjs/hash'
import { Scrypt } from '@adonisjs/hash/drivers/scrypt'
import pLimit from 'p-limit'

const hash = new Hash(new Scrypt({}))
/** One hash after the other: a storm of sign-ins waits in its own row, and everything else goes on. */
const oneByOne = pLimit(1)

/** A salted scrypt hash, ready to store. */
export function hashedPassword(password: string): Promise<string> {
  return oneByOne(() => hash.make(password))
}

/** Whether a password is the one that was hashed. */
export function isPassword(hashed: string, password: string): Promise<boolean> {
  return oneByOne(() => hash.verify(hashed, password))
}

/** Hashes that wait for their turn. */
export const hashesWaiting = (): number => oneByOne.pendingCount
