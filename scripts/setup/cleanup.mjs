const steps = []
let isEnding = false

/** Remembers something to be undone at the end, latest first. */
export function atEnd(step) {
  steps.push(step)
}

/** Undoes everything once and exits. */
export async function end(code) {
  if (isEnding) return
  isEnding = true
  for (const step of steps.reverse()) await step().catch(error => console.error(error.message))
  process.exit(code)
}

/** Whether the end has begun. */
export function isAtEnd() {
  return isEnding
}

/** Ends cleanly on Ctrl-C, on a polite kill and on a closed terminal. */
export function endOnSignals() {
  for (const [signal, code] of [
    ['SIGINT', 130],
    ['SIGTERM', 143],
    ['SIGHUP', 129],
  ]) {
    process.on(signal, () => void end(code))
  }
}
