/** What a key asks of the board. */
export type BoardIntent =
  | { readonly kind: 'go'; readonly days: number; readonly rails: number }
  | { readonly kind: 'go_to_day'; readonly digit: number }
  | { readonly kind: 'carry'; readonly days: number }
  | { readonly kind: 'sets'; readonly step: 1 | -1 }
  | { readonly kind: 'pick'; readonly step: 1 | -1 }
  | {
      readonly kind:
        | 'confirm'
        | 'cancel'
        | 'undo'
        | 'redo'
        | 'heads'
        | 'add_exercise'
        | 'next_notice'
        | 'table'
        | 'keys'
        | 'rest_day'
        | 'swap_days'
        | 'copy_day'
        | 'move_session'
        | 'hold'
        | 'mark'
        | 'why'
        | 'calendar'
        | 'revisions'
        | 'rotation'
        | 'checks'
        | 'dismiss'
        | 'propose'
    }

interface Pressed {
  readonly key: string
  readonly shiftKey: boolean
  readonly ctrlKey: boolean
  readonly metaKey: boolean
  readonly altKey: boolean
}

const ARROWS: Readonly<Record<string, { days: number; rails: number }>> = {
  ArrowLeft: { days: -1, rails: 0 },
  ArrowRight: { days: 1, rails: 0 },
  ArrowUp: { days: 0, rails: -1 },
  ArrowDown: { days: 0, rails: 1 },
}
const PLAIN: Readonly<Record<string, BoardIntent>> = {
  '+': { kind: 'sets', step: 1 },
  '=': { kind: 'sets', step: 1 },
  '-': { kind: 'sets', step: -1 },
  '−': { kind: 'sets', step: -1 },
  ',': { kind: 'pick', step: -1 },
  '.': { kind: 'pick', step: 1 },
  Enter: { kind: 'confirm' },
  Escape: { kind: 'cancel' },
  z: { kind: 'undo' },
  Z: { kind: 'redo' },
  h: { kind: 'heads' },
  e: { kind: 'add_exercise' },
  n: { kind: 'next_notice' },
  t: { kind: 'table' },
  '?': { kind: 'keys' },
  r: { kind: 'rest_day' },
  w: { kind: 'swap_days' },
  k: { kind: 'copy_day' },
  m: { kind: 'move_session' },
  f: { kind: 'hold' },
  ' ': { kind: 'mark' },
  y: { kind: 'why' },
  c: { kind: 'calendar' },
  b: { kind: 'revisions' },
  o: { kind: 'rotation' },
  x: { kind: 'checks' },
  p: { kind: 'propose' },
  Delete: { kind: 'dismiss' },
}

/** The intent behind a key press; undefined where the board has none, so that the browser keeps its own. */
export function boardIntent({
  key,
  shiftKey,
  ctrlKey,
  metaKey,
  altKey,
}: Pressed): BoardIntent | undefined {
  if (ctrlKey || metaKey)
    return key.toLowerCase() === 'z' ? { kind: shiftKey ? 'redo' : 'undo' } : undefined
  if (altKey) return undefined
  const arrow = ARROWS[key]
  if (arrow)
    return shiftKey && arrow.days !== 0
      ? { kind: 'carry', days: arrow.days }
      : { kind: 'go', ...arrow }
  if (/^[0-9]$/.test(key)) return { kind: 'go_to_day', digit: Number(key) }
  return PLAIN[key]
}

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
