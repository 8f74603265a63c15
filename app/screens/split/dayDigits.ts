const DIGIT_PAUSE_MS = 600

/** Digits typed in quick succession name one day: 1 then 2 is day 12 where the rotation has one. */
export function dayFromDigits(
  typed: string,
  digit: number,
  lengthDays: number,
): { readonly day: number | null; readonly typed: string } {
  const together = `${typed}${digit}`
  if (typed !== '' && Number(together) >= 1 && Number(together) <= lengthDays)
    return { day: Number(together) - 1, typed: '' }
  return digit >= 1 && digit <= lengthDays
    ? { day: digit - 1, typed: String(digit) }
    : { day: null, typed: '' }
}

/** Hears digits one by one; answers with the day from 0 they name, null where they name none. */
export function dayDigits(lengthDays: () => number, now: () => number) {
  let typed = ''
  let typedAt = -Infinity
  return (digit: number): number | null => {
    const before = now() - typedAt < DIGIT_PAUSE_MS ? typed : ''
    const heard = dayFromDigits(before, digit, lengthDays())
    typed = heard.typed
    typedAt = now()
    return heard.day
  }
}
