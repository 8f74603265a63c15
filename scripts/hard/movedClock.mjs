// Read by a server before anything else: its clock is as far off as the file MOVED_CLOCK says, in milliseconds.
import { readFileSync } from 'node:fs'

const file = process.env.MOVED_CLOCK
const RealDate = Date
const realNow = Date.now
const EVERY_MS = 20
let [off, readAt] = [0, 0]

function moved() {
  const now = realNow()
  if (now - readAt > EVERY_MS) {
    readAt = now
    try {
      off = Number(readFileSync(file, 'utf8'))
    } catch {
      // Being written just now: as far off as before.
    }
  }
  return now + off
}

globalThis.Date = new Proxy(RealDate, {
  construct: (of, given, target) =>
    Reflect.construct(of, given.length === 0 ? [moved()] : given, target),
  apply: () => new RealDate(moved()).toString(),
  get: (of, name) => (name === 'now' ? moved : Reflect.get(of, name)),
})
