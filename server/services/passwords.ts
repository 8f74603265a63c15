import { Hash } from '@adonisjs/hash'
import { Scrypt } from '@adonisjs/hash/drivers/scrypt'

const hash = new Hash(new Scrypt({}))

/** A salted scrypt hash, ready to store. */
export function hashedPassword(password: string): Promise<string> {
  return hash.make(password)
}

/** Whether a password is the one that was hashed. */
export function isPassword(hashed: string, password: string): Promise<boolean> {
  return hash.verify(hashed, password)
}
